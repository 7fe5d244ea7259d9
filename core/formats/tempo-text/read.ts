import { readTime } from '../../clock-text';
import { countUnplain, plainText, sayTaken } from '../../plain-text';
import { sheetLimits } from '../../sheet/limits';
import { sheetFormat, sheetVersion, type Block, type Piece, type Sheet } from '../../sheet/schema';
import { piecesLength } from '../../timeline/stages';
import { schemeOrSix } from '../../notation/stored';
import type { Milliseconds } from '../../units';
import { readBlockLine, takeBlockKind } from './block';
import type { Meanings } from './body';
import type { TechniqueFocus } from '../../sheet/calls';
import { readBuild } from './build';
import { readFocusLine } from './focus';
import { freshHead, readHeadLine, type Head } from './head';
import { fault, hasRoom, rest, take, takeQuoted, wholeQuote, type Line, type Scan, type TextFault } from './line';
import { lengthPattern, readPieces } from './piece';

/** A sheet from a text, with everything that was not read as it stands. */
export interface FromText {
  readonly sheet: Sheet;
  readonly faults: readonly TextFault[];
  /** Line of each block and piece, by id. */
  readonly lines: ReadonlyMap<string, number>;
}

/** More than any session; what is longer is not read, and that is said. */
export const mostCharacters = 1_000_000;
const mostLines = 20_000;

interface OpenBlock {
  readonly line: ReturnType<typeof readBlockLine>;
  readonly id: string;
  readonly pieces: Piece[];
  readonly says: { words: string; atMs: Milliseconds }[];
  readonly focuses: TechniqueFocus[];
  note: string | null;
}

/** What is being read: head, blocks so far, and comments waiting for the next block. */
interface Reading {
  readonly head: Head;
  readonly blocks: OpenBlock[];
  readonly faults: TextFault[];
  readonly lines: Map<string, number>;
  notes: string[];
  titled: boolean;
}

function meaningsOf(reading: Reading): Meanings {
  return { scheme: schemeOrSix(reading.head.numbers), parts: reading.head.named };
}

function takeNotes(reading: Reading): string | null {
  const note = reading.notes.length > 0 ? reading.notes.join('\n').slice(0, 4000) : null;
  reading.notes = [];
  return note;
}

function openBlock(reading: Reading, line: OpenBlock['line'], scan: Scan): void {
  if (!hasRoom(scan, reading.blocks, sheetLimits.blocks, 'a sheet', 'blocks')) return;
  const { number } = scan.line;
  const id = `b${reading.blocks.length + 1}`;
  reading.blocks.push({ line, id, pieces: [...line.pieces], says: [], focuses: [], note: takeNotes(reading) });
  reading.lines.set(id, number);
  for (const piece of line.pieces) reading.lines.set(piece.id, number);
}

function readSay(scan: Scan, block: OpenBlock): void {
  const at = scan.at;
  const words = takeQuoted(scan);
  const when = take(scan, /at\s+(\S+)/);
  const atMs = when ? readTime(when[1] ?? '') : null;
  if (words === null || atMs === null || rest(scan).trim() !== '')
    fault(
      scan,
      at,
      rest({ ...scan, at })
        .trim()
        .slice(0, 40),
      'this call could not be read',
      'write say "words" at 0:30',
    );
  if (words !== null && hasRoom(scan, block.says, sheetLimits.says, 'a block', 'calls of its own'))
    block.says.push({ words: words.slice(0, 400), atMs: atMs ?? 0 });
}

/** A line that belongs into a block: a build, a call of the coach's, or pieces. */
function readInner(reading: Reading, scan: Scan): void {
  if (reading.blocks.length === 0) {
    fault(
      scan,
      scan.at,
      rest(scan).slice(0, 20),
      'this comes before the first block',
      'start with a block, for example round 3:00',
    );
    openBlock(reading, { kind: 'round', ms: undefined, pieces: [] }, scan);
  }
  const block = reading.blocks.at(-1);
  if (!block) return;
  if (take(scan, /say(?=\s*["“])/)) {
    readSay(scan, block);
    return;
  }
  if (take(scan, /(?:focus|cue)\s*:/)) {
    const own = (reading.head.ownBags ?? []).map(({ name }) => name);
    const focus = readFocusLine(scan, meaningsOf(reading), own);
    if (focus && hasRoom(scan, block.focuses, sheetLimits.focuses, 'a block', 'cues')) block.focuses.push(focus);
    return;
  }
  let next = block.pieces.length;
  const freshId = (): string => `${block.id}p${(next += 1)}`;
  const meanings = meaningsOf(reading);
  const pieces = take(scan, /build(?=\s|:|$)/)
    ? [readBuild(scan, meanings, freshId())]
    : readPieces(scan, meanings, freshId);
  // A line that is no piece is kept as a note, so that nothing typed is lost.
  if (pieces.length === 0) block.note = [block.note, scan.line.text.trim()].filter(Boolean).join('\n').slice(0, 4000);
  for (const piece of pieces) {
    if (!hasRoom(scan, block.pieces, sheetLimits.pieces, 'a block', 'pieces')) return;
    block.pieces.push(piece);
    reading.lines.set(piece.id, scan.line.number);
  }
}

function readTitle(reading: Reading, text: string): void {
  const title = text.replace(/^#\s*/, '').trim();
  if (reading.titled) reading.notes.push(title);
  else reading.head.title = (wholeQuote(title) ?? title).slice(0, 200);
  reading.titled = true;
}

function readLine(reading: Reading, line: Line): void {
  const indent = /^\s*/.exec(line.text)?.[0].length ?? 0;
  const text = line.text.slice(indent);
  if (text === '') return;
  if (text.startsWith('//')) reading.notes.push(text.slice(2).replace(/^ /, ''));
  else if (text.startsWith('#')) readTitle(reading, text.trimEnd());
  else {
    const scan: Scan = { line, at: indent, faults: reading.faults };
    const kind = takeBlockKind(scan);
    if (kind) {
      openBlock(reading, readBlockLine(scan, kind, meaningsOf(reading), `b${reading.blocks.length + 1}p1`), scan);
      return;
    }
    scan.at = indent;
    const inner = new RegExp(`^(?:(?:${lengthPattern.source})|build\\b|say\\b|switch stance\\b)`, 'i').test(text);
    if (!inner && (reading.blocks.length === 0 || indent === 0) && readHeadLine(scan, reading.head)) return;
    readInner(reading, scan);
  }
}

function closeBlock({ line, id, pieces, says, focuses, note }: OpenBlock): Block {
  const { ms, pieces: _, ...own } = line;
  const block: Block = {
    ...own,
    id,
    ms: ms ?? null,
    pieces,
    ...(says.length > 0 ? { says } : {}),
    ...(focuses.length > 0 ? { focuses } : {}),
    ...(note === null ? {} : { note }),
  };
  if (ms !== undefined) return block;
  // A block whose length is not read is as long as what stands in it.
  return { ...block, ms: Math.min(sheetLimits.ms, Math.max(1000, piecesLength(block) || 60_000)) };
}

/** Faults of one kind that are told one by one; the others are counted. */
const mostOfAKind = 100;

/** The first faults of each kind; behind them, how many more there are of it. */
function firstOfAKind(faults: readonly TextFault[]): readonly TextFault[] {
  const counts = new Map<string, number>();
  const first = faults.filter(({ what }) => {
    const count = (counts.get(what) ?? 0) + 1;
    counts.set(what, count);
    return count <= mostOfAKind;
  });
  const more = first.filter(({ what }, at) => {
    const last = first.findLastIndex((each) => each.what === what) === at;
    return last && (counts.get(what) ?? 0) > mostOfAKind;
  });
  return [
    ...first,
    ...more.map((fault) => ({
      ...fault,
      read: '',
      what: `${fault.what}: ${((counts.get(fault.what) ?? 0) - mostOfAKind).toLocaleString('en')} more places like this`,
    })),
  ];
}

function tooLong(reading: Reading, number: number, most: string): void {
  const what = `a text can hold ${most}; the rest was not read`;
  reading.faults.push({ level: 'error', line: number, column: 1, read: '', what, mend: 'split it into two sheets' });
}

/**
 * Reads a session as a coach jots it down (`docs/formats/tempo-text.md`). Never fails: each place that is not read is a
 * fault with line and column, and everything else is kept. Ids are given by place, `b1`, `b1p1`.
 * @example readTempoText('round 3:00: 1 2 3b').sheet.blocks[0].ms // 180000
 */
export function readTempoText(text: string, sheetId = 'tempo-text'): FromText {
  const reading: Reading = { head: freshHead(), blocks: [], faults: [], lines: new Map(), notes: [], titled: false };
  const lines = text
    .slice(0, mostCharacters)
    .replace(/^\uFEFF/, '')
    .split(/\r?\n/);
  if (text.length > mostCharacters) tooLong(reading, lines.length, `${mostCharacters.toLocaleString('en')} characters`);
  lines.slice(0, mostLines).forEach((each, at) => {
    const line = { number: at + 1, text: plainText(each) };
    const taken = sayTaken(countUnplain(each));
    if (taken !== null)
      reading.faults.push({
        level: 'note',
        line: line.number,
        column: 1,
        read: '',
        what: taken,
        mend: 'see what is left',
      });
    readLine(reading, line);
  });
  if (lines.length > mostLines) tooLong(reading, mostLines + 1, `${mostLines.toLocaleString('en')} lines`);
  const { named: _, parts, head, ...plain } = reading.head;
  const note = takeNotes(reading);
  const sheet: Sheet = {
    format: sheetFormat,
    version: sheetVersion,
    id: sheetId,
    ...plain,
    ...(parts.length > 0 ? { parts } : {}),
    ...(head.length > 0 ? { head } : {}),
    ...(note === null ? {} : { note }),
    blocks: reading.blocks.map(closeBlock),
  };
  return { sheet, faults: firstOfAKind(reading.faults), lines: reading.lines };
}
