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

/** Every dash that a keyboard or a phone may put between two numbers counts as a hyphen. */
const dashes = '\\u002d\\u2010-\\u2014\\u2212';
/** Words, signs, or a stretch of whatever parts them. */
const scanner = new RegExp(`[^\\s,${dashes}()[\\]/+|;:]+|[()[\\]/+|;:]|[\\s,${dashes}]+`, 'gu');
const onlyDash = new RegExp(`^[${dashes}]+$`);
const signs = '()[]/+|;:';

/** Only A to Z, so that positions stay those of the given text (some capitals grow when made small). */
function small(text: string): string {
  return /[A-Z\u00d7]/.test(text)
    ? text.replace(/[A-Z]+/g, (letters) => letters.toLowerCase()).replaceAll('\u00d7', 'x')
    : text;
}

/** What a stretch between two tokens amounts to: a hyphen binds its neighbours only where it touches both. */
function jointOf(gap: string): Joint {
  if (gap === ' ') return 'space';
  if (gap.includes(',')) return 'comma';
  return onlyDash.test(gap) ? 'hyphen' : 'space';
}

/** Splits text into words and signs; gives no meaning to them. Linear in its length. `lex('1-2, (3)x2')` */
export function lex(source: string): Token[] {
  const tokens: Token[] = [];
  let joint: Joint = 'none';
  let at = 0;
  for (const text of small(source).match(scanner) ?? []) {
    const end = at + text.length;
    const first = text.charAt(0);
    if (signs.includes(first)) tokens.push({ kind: 'sign', text, at, end, joint });
    else if (first === ' ' || /^[\s,]/.test(first) || onlyDash.test(first)) {
      joint = jointOf(text);
      at = end;
      continue;
    } else tokens.push({ kind: 'word', text, at, end, joint });
    joint = 'none';
    at = end;
  }
  return tokens;
}
