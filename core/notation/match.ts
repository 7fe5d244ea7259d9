import type { Forms, Meaning } from './forms';
import type { Token } from './lex';

/** Signs written after a move: `!` hard, `~` light, `@word` a finer aim. */
export interface Marks {
  readonly word: string;
  readonly force?: 'hard' | 'light';
  readonly aim?: string;
  /** Whether any stood there. */
  readonly written: boolean;
}

/** A name found in the text. */
export interface Named {
  readonly meaning: Meaning;
  readonly marks: Marks;
  /** How many tokens it took. */
  readonly length: number;
}

const markedWord = /^([^!~@]+)(?:([!~])(?:@([a-z0-9_]+))?|@([a-z0-9_]+)([!~])?)?$/;

/** Parts a word from its marks; null where the marks are not in order. `readMarks('2!@jaw')` */
export function readMarks(text: string): Marks | null {
  const match = markedWord.exec(text);
  const word = match?.[1];
  if (!match || word === undefined) return null;
  const sign = match[2] ?? match[5];
  const aim = match[3] ?? match[4];
  return {
    word,
    ...(sign ? { force: sign === '!' ? ('hard' as const) : ('light' as const) } : {}),
    ...(aim ? { aim } : {}),
    written: sign !== undefined || aim !== undefined,
  };
}

/** The longest name that begins at a token, words joined by spaces or hyphens; null where there is none. */
export function matchName(tokens: readonly Token[], start: number, forms: Forms): Named | null {
  const first = tokens[start]?.text ?? '';
  const plain = forms.meanings.get(first);
  // Most words stand for themselves and begin nothing longer.
  if (plain && forms.longestFrom.get(first) === 1)
    return { meaning: plain, marks: { word: first, written: false }, length: 1 };
  return matchWords(tokens, start, forms);
}

function matchWords(tokens: readonly Token[], start: number, forms: Forms): Named | null {
  let words = '';
  let found: Named | null = null;
  let longest = 1;
  for (let length = 1; length <= longest; length += 1) {
    const token = tokens[start + length - 1];
    if (token?.kind !== 'word' || (length > 1 && token.joint !== 'space' && token.joint !== 'hyphen')) break;
    const marks = readMarks(token.text);
    if (!marks) break;
    words = words ? `${words} ${marks.word}` : marks.word;
    if (length === 1) longest = forms.longestFrom.get(words) ?? 1;
    const meaning = forms.meanings.get(words);
    if (meaning) found = { meaning, marks, length };
    // A mark ends the name: nothing that belongs to it can follow.
    if (marks.written) break;
  }
  return found;
}
