import { plainText } from '../../plain-text';

/** A line of tempo text with its place in the file. */
export interface Line {
  /** From 1. */
  readonly number: number;
  readonly text: string;
}

/** Something to say about a place in the text. */
export interface TextFault {
  /** error: not read, or not runnable; note: read, but worth a look. */
  readonly level: 'error' | 'note';
  /** From 1. */
  readonly line: number;
  readonly column: number;
  /** The words as they were read. */
  readonly read: string;
  readonly what: string;
  readonly mend: string;
  /** The piece that keeps the text, where there is one. */
  readonly pieceId?: string;
}

/** `line 5, column 12` */
export function sayPlace(fault: Pick<TextFault, 'line' | 'column'>): string {
  return `line ${fault.line}, column ${fault.column}`;
}

/** Where a line is being read. */
export interface Scan {
  readonly line: Line;
  at: number;
  readonly faults: TextFault[];
}

const quoted = /^(?:"((?:\\.|[^"\\])*)"|[“”]([^“”]*)[“”])/;

/** What stands in quotes: JSON's escapes where they are right, else as it stands. */
function unquote(match: RegExpExecArray): string {
  if (match[1] === undefined) return match[2] ?? '';
  try {
    const value: unknown = JSON.parse(`"${match[1].replaceAll('\t', '\\t')}"`);
    return typeof value === 'string' ? plainText(value) : match[1];
  } catch {
    return match[1];
  }
}

export function skipSpace(scan: Scan): void {
  scan.at += /^[\s,]*/.exec(rest(scan))?.[0].length ?? 0;
}

/** What is left of the line. */
export function rest(scan: Scan): string {
  return scan.line.text.slice(scan.at);
}

/** Patterns as they are matched at a place, made once each. */
const anchoredBy = new Map<string, RegExp>();

/**
 * Whether one more fits into a list; where it does not, the place is a fault that tells the limit, and nothing is put in.
 * @example hasRoom(scan, head.head, sheetLimits.headLines, 'a head', 'head lines')
 */
export function hasRoom(scan: Scan, list: readonly unknown[], most: number, holder: string, what: string): boolean {
  if (list.length < most) return true;
  fault(scan, 0, scan.line.text.trim().slice(0, 40), `${holder} can hold at most ${most} ${what}`, 'remove this');
  return false;
}

/** Takes what a pattern matches here, without regard to capitals, and the spaces behind it; null where it does not. */
export function take(scan: Scan, pattern: RegExp): RegExpExecArray | null {
  let anchored = anchoredBy.get(pattern.source);
  if (!anchored) anchoredBy.set(pattern.source, (anchored = new RegExp(`^(?:${pattern.source})`, 'i')));
  const match = anchored.exec(rest(scan));
  if (!match) return null;
  scan.at += match[0].length;
  skipSpace(scan);
  return match;
}

/** Takes words in quotes. `"Light and strong"` */
export function takeQuoted(scan: Scan): string | null {
  const match = quoted.exec(rest(scan));
  if (!match) return null;
  scan.at += match[0].length;
  skipSpace(scan);
  return unquote(match);
}

/** A text that is one quotation from end to end, without its quotes; null where it is not. */
export function wholeQuote(text: string): string | null {
  const match = quoted.exec(text.trim());
  return match?.[0].length === text.trim().length ? unquote(match) : null;
}

/** Words as a strict writer quotes them. */
export function quote(words: string): string {
  return JSON.stringify(words);
}

/** Adds a fault at a column of the line, 0-based, with what stood there. */
export function fault(
  scan: Scan,
  at: number,
  read: string,
  what: string,
  mend: string,
  more: Partial<Pick<TextFault, 'level' | 'pieceId'>> = {},
): void {
  scan.faults.push({ level: 'error', line: scan.line.number, column: at + 1, read, what, mend, ...more });
}

/** Places outside quotes and brackets where a sign stands. */
export function splitOutside(text: string, sign: string): { readonly text: string; readonly at: number }[] {
  const parts: { text: string; at: number }[] = [];
  let from = 0;
  let depth = 0;
  for (let at = 0; at <= text.length; at += 1) {
    const character = text.charAt(at);
    if (character === '"' || character === '“') at += Math.max(0, (quoted.exec(text.slice(at))?.[0].length ?? 1) - 1);
    else if ('([{'.includes(character) && character !== '') depth += 1;
    else if (')]}'.includes(character) && character !== '') depth = Math.max(0, depth - 1);
    else if (at === text.length || (depth === 0 && text.startsWith(sign, at))) {
      parts.push({ text: text.slice(from, at), at: from });
      from = at + sign.length;
      at += at === text.length ? 0 : sign.length - 1;
    }
  }
  return parts;
}
