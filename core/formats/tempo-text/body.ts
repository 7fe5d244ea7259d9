import { formsOf } from '../../notation/forms';
import { lex } from '../../notation/lex';
import { matchName } from '../../notation/match';
import { readCombination, type Parts } from '../../notation/read';
import { secondReadings } from '../../notation/second-readings';
import { writeCombination } from '../../notation/write';
import type { Scheme } from '../../moves/scheme';
import type { PieceOf } from '../../sheet/schema';
import { readTime } from '../../clock-text';
import { fault, splitOutside, wholeQuote, type Scan } from './line';

/** What the numbers and names of a text mean. */
export interface Meanings {
  readonly scheme: Scheme;
  readonly parts: Parts;
}

/** What a piece's words and combination come to, whatever its length and effort. */
export type Body =
  { readonly kind: 'words'; readonly words: string } | Pick<PieceOf<'combination'>, 'kind' | 'text' | 'words'>;

/** What may stand behind a combination: what is done between repetitions, the breath, how a turned one goes on. */
export interface Tail {
  readonly between?: string;
  readonly gapMs?: number;
  readonly otherStance?: 'carry on mirrored' | 'reset';
  readonly voice?: 'strikes' | 'click';
  readonly bpm?: number;
  /** Lanes with a text of their own. */
  readonly lanes?: readonly { readonly bag: string; readonly text: string }[];
}

const laneTail = /^("(?:\\.|[^"\\])*"|[a-z-]+)\s+("(?:\\.|[^"\\])*"|“[^”]*”)$/i;

/** `double-end "1 2 3 2"`; the text as it was typed. */
function readLaneTail(value: string): Tail | null {
  const match = laneTail.exec(value);
  const [name = '', text = ''] = [match?.[1], match?.[2]];
  const bag = (wholeQuote(name) ?? name.toLowerCase()).slice(0, 40);
  return match && bag ? { lanes: [{ bag, text: wholeQuote(text) ?? text }] } : null;
}

/** Lane texts as they are kept: canonical in six where they read. */
export function keepLanes(lanes: Tail['lanes'], meanings: Meanings): { lanes?: { bag: string; text: string }[] } {
  if (!lanes) return {};
  return {
    lanes: lanes.slice(0, 12).map(({ bag, text }) => {
      const read = readCombination(text, meanings);
      return { bag, text: read.ok ? writeCombination(read.value) : text };
    }),
  };
}

const tails: readonly { readonly pattern: RegExp; readonly read: (value: string) => Tail | null }[] = [
  {
    pattern: /(?:^|\s)(?:lane|station)\s+((?:"(?:\\.|[^"\\])*"|[a-z-]+)\s+(?:"(?:\\.|[^"\\])*"|“[^”]*”))\s*$/i,
    read: readLaneTail,
  },
  {
    pattern: /(?:^|\s)between\s+("(?:\\.|[^"\\])*"|“[^”]*”)\s*$/i,
    read: (value) => ({ between: wholeQuote(value) ?? value }),
  },
  {
    pattern: /(?:^|\s)gap\s+(\d{1,2}(?:\.\d{1,3})?\s*s|\d{1,2}:\d\d(?:\.\d{1,3})?)\s*$/i,
    read: (value) => {
      const gapMs = readTime(value);
      return gapMs !== null && gapMs <= 60_000 ? { gapMs } : null;
    },
  },
  { pattern: /(?:^|\s)(calls strikes)\s*$/i, read: () => ({ voice: 'strikes' }) },
  { pattern: /(?:^|\s)clicks\s*$/i, read: () => ({ voice: 'click' }) },
  {
    pattern: /(?:^|\s)at (\d{2,3}) bpm\s*$/i,
    read: (value) => (Number(value) >= 30 && Number(value) <= 240 ? { bpm: Number(value) } : null),
  },
  { pattern: /(?:^|\s)(reset)\s*$/i, read: () => ({ otherStance: 'reset' }) },
  { pattern: /(?:^|\s)(carry on mirrored)\s*$/i, read: () => ({ otherStance: 'carry on mirrored' }) },
];

/** Parts what stands behind a combination from the text before it. */
export function takeTail(text: string): { readonly text: string; readonly tail: Tail } {
  let left = text;
  let tail: Tail = {};
  for (;;) {
    const before = left;
    for (const { pattern, read } of tails) {
      const match = pattern.exec(left);
      const found = match ? read(match[1] ?? '') : null;
      if (!match || !found) continue;
      left = left.slice(0, match.index);
      tail = { ...found, ...tail, ...(found.lanes ? { lanes: [...found.lanes, ...(tail.lanes ?? [])] } : {}) };
    }
    if (left === before) return { text: left.trimEnd(), tail };
  }
}

/** Whether any word of a text names a move, a slot, free work or a part. */
export function knowsAny(text: string, meanings: Meanings): boolean {
  const forms = formsOf(meanings.scheme);
  const tokens = lex(text);
  return tokens.some(
    (token, at) =>
      token.kind === 'word' &&
      (matchName(tokens, at, forms) !== null ||
        token.text === 'any' ||
        token.text === 'freestyle' ||
        meanings.parts.has(token.text)),
  );
}

/** Notes where a text that reads was probably meant in another way. */
function noteSecondReadings(scan: Scan, text: string, at: number, { scheme }: Meanings): void {
  for (const { at: from, end, what, mend } of secondReadings(text, scheme))
    fault(scan, at + from, text.slice(from, end), what, mend, { level: 'note' });
}

/** Reads a combination and keeps it in six; text that does not read is kept, with a fault at the unknown word. */
export function keepCombination(scan: Scan, text: string, at: number, meanings: Meanings, pieceId: string): string {
  const read = readCombination(text, meanings);
  if (read.ok) {
    noteSecondReadings(scan, text, at, meanings);
    return writeCombination(read.value);
  }
  const { what, mend } = read.fault;
  fault(scan, at + read.fault.at, read.fault.read, what, mend, { pieceId });
  return text.trim().slice(0, 100_000);
}

const mostWords = 400;

function words(scan: Scan, text: string, at: number): Body {
  const plain = wholeQuote(text) ?? text.trim();
  if (plain.length > mostWords)
    fault(scan, at, plain.slice(0, 20), `this text is ${plain.length} characters long`, `use at most ${mostWords}`);
  return { kind: 'words', words: plain.slice(0, mostWords) };
}

function wordsNote(scan: Scan, text: string, at: number, meanings: Meanings): void {
  const [first] = text.split(/[\s,-]/);
  if (first !== undefined && /\d/.test(first) && knowsAny(first, meanings))
    fault(
      scan,
      at,
      text.slice(0, 40),
      'this is not a full combination, so it is kept as text',
      'put a colon before a combination, or quotes around text',
      { level: 'note' },
    );
}

/** What stands behind a colon: a combination, words where it names no move at all, or a fault at the unknown word. */
function readBehindColon(
  scan: Scan,
  before: { readonly text: string; readonly at: number },
  after: { readonly text: string; readonly at: number },
  meanings: Meanings,
  pieceId: string,
): Body {
  const both = before.text.trim() === '' ? after : { text: `${before.text}:${after.text}`, at: before.at };
  if (wholeQuote(after.text) !== null) return words(scan, both.text, both.at);
  if (!knowsAny(after.text, meanings)) {
    const from = after.at + after.text.length - after.text.trimStart().length;
    fault(
      scan,
      from,
      after.text.trim().slice(0, 40),
      'there is no move after the colon, so it is kept as text',
      'add a combination, or remove the colon',
      { level: 'note' },
    );
    return words(scan, both.text, both.at);
  }
  const said = words(scan, before.text, before.at);
  const named = said.kind === 'words' && said.words ? { words: said.words } : {};
  return { kind: 'combination', text: keepCombination(scan, after.text, after.at, meanings, pieceId), ...named };
}

/**
 * Reads `[words][: COMBINATION]`. Without a colon all of it must read as a combination, or it is words; quoted words
 * never are one. A colon in front of everything parts it from the options, and more words may follow it.
 */
export function readBody(scan: Scan, text: string, at: number, meanings: Meanings, pieceId: string): Body {
  const opening = /^\s*:/.exec(text)?.[0].length ?? 0;
  const inner = text.slice(opening);
  const lead = opening + inner.length - inner.trimStart().length;
  if (wholeQuote(inner) !== null || inner.trim() === '') return words(scan, inner, at + lead);
  const whole = readCombination(inner, meanings);
  // "close: 5 6 3" is a label and a combination; parts are named in a text that uses them behind a semicolon.
  const labelled = /^\s*[\p{L}\p{N}]+\s*:/u.test(inner) && !inner.includes(';');
  if (whole.ok && !labelled) {
    noteSecondReadings(scan, inner, at + opening, meanings);
    return { kind: 'combination', text: writeCombination(whole.value) };
  }
  const [first = { text: inner, at: 0 }] = splitOutside(inner, ':');
  const before = { text: first.text, at: at + lead };
  const after = { text: inner.slice(first.text.length + 1), at: at + opening + first.text.length + 1 };
  const colon = first.text.length < inner.length;
  if (colon && after.text.trim() === '') return words(scan, before.text, before.at);
  if (colon) return readBehindColon(scan, before, after, meanings, pieceId);
  if (opening > 0) return readBehindColon(scan, { text: '', at }, { text: inner, at: at + opening }, meanings, pieceId);
  wordsNote(scan, inner.trim(), at + lead, meanings);
  return words(scan, inner, at + lead);
}
