/** What stands between a token and the one before it. */
export type Joint = 'none' | 'space' | 'hyphen' | 'comma';

/** A piece of text with its place; `text` is in small letters. */
export interface Token {
  readonly kind: 'word' | 'sign';
  readonly text: string;
  readonly at: number;
  readonly end: number;
  readonly joint: Joint;
}

const signs = '()[]/+|;:';
/** Every dash that a keyboard or a phone may put between two numbers counts as a hyphen. */
const hyphens = '-\u2010\u2011\u2012\u2013\u2014\u2212';

/** Only A to Z, so that positions stay those of the given text (some capitals grow when made small). */
function small(text: string): string {
  return text.replace(/[A-Z]+/g, (letters) => letters.toLowerCase());
}

/** Splits text into words and signs; gives no meaning to them. Linear in its length. `lex('1-2, (3)x2')` */
export function lex(source: string): Token[] {
  const text = small(source).replace(/\u00d7/g, 'x');
  const tokens: Token[] = [];
  let joint: Joint = 'none';
  let at = 0;
  const isSpace = (char: string): boolean => /\s/.test(char);
  while (at < text.length) {
    const char = text.charAt(at);
    if (isSpace(char)) {
      if (joint === 'none') joint = 'space';
      else if (joint === 'hyphen') joint = 'space';
      at += 1;
    } else if (hyphens.includes(char)) {
      // A hyphen binds its neighbours only where it touches both.
      joint = joint === 'none' ? 'hyphen' : joint;
      at += 1;
    } else if (char === ',') {
      joint = 'comma';
      at += 1;
    } else if (signs.includes(char)) {
      tokens.push({ kind: 'sign', text: char, at, end: at + 1, joint });
      joint = 'none';
      at += 1;
    } else {
      let end = at + 1;
      while (end < text.length) {
        const next = text.charAt(end);
        if (isSpace(next) || next === ',' || hyphens.includes(next) || signs.includes(next)) break;
        end += 1;
      }
      tokens.push({ kind: 'word', text: text.slice(at, end), at, end, joint });
      joint = 'none';
      at = end;
    }
  }
  return tokens;
}
