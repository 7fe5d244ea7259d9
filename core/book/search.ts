import { fitToBag } from '../bags/fit';
import { countByMove, countCombination, type Counts } from '../tally/counts';
import { studyOf } from '../mechanics/study-of';
import type { Combination } from '../notation/combination';
import type { Seam } from '../mechanics/seams';
import { levels, type BagKind, type Level } from '../bags/kind-names';
import { readStored } from '../notation/stored';
import type { BookEntry } from '../sheet/book';

/** An entry with everything that is derived from its moves. */
export interface BookRow {
  readonly entry: BookEntry;
  readonly combination: Combination;
  readonly counts: Counts;
  /** Length of one repetition at steady pace, in milliseconds. */
  readonly ms: number;
  /** Names of the strikes it trains, the most frequent first. */
  readonly trains: readonly string[];
  /** Where it sticks: warnings, and loops that would be one without a breath. */
  readonly stuck: readonly Seam[];
  /** Whether it ends in the other stance. */
  readonly turns: boolean;
  /** All words that a search looks at, in small letters. */
  readonly heap: string;
}

const remembered = new WeakMap<BookEntry, BookRow | null>();

/** What a book shows of an entry; null where its text cannot be read. */
export function bookRow(entry: BookEntry): BookRow | null {
  const known = remembered.get(entry);
  if (known !== undefined) return known;
  const read = readStored(entry.text);
  const row = read.ok ? rowOf(entry, read.value) : null;
  remembered.set(entry, row);
  return row;
}

function rowOf(entry: BookEntry, combination: Combination): BookRow {
  const studied = studyOf(combination, 'orthodox');
  const walks = studied.turns.map((turn) => turn.walk);
  const byMove = Object.entries(countByMove(combination)).sort((a, b) => b[1] - a[1]);
  const trains = byMove.map(([name]) => name);
  return {
    entry,
    combination,
    counts: countCombination(combination),
    ms: studied.ms,
    trains,
    heap: [entry.name, entry.text, entry.note, ...entry.tags, ...trains].join(' ').toLowerCase(),
    stuck: studied.turns.flatMap((turn) => turn.seams.filter((seam) => seam.stuck)),
    turns: walks.some((walk) => walk.end !== walk.start),
  };
}

/** What a coach looks for; what is left out does not matter. */
export interface BookFilter {
  /** Words that must stand in name, text, tags, note or trained strikes. */
  readonly words?: string;
  /** Name of a move it must hold. */
  readonly strike?: string;
  readonly leastMoves?: number;
  readonly mostMoves?: number;
  /** A bag that takes it as it stands. */
  readonly bag?: BagKind;
  readonly level?: Level;
  /** `stays` ends as it began, `turns` ends in the other stance. */
  readonly stance?: 'stays' | 'turns';
  readonly flows?: boolean;
}

function holdsWords({ heap }: BookRow, words: string): boolean {
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => heap.includes(word));
}

/** Whether an entry is one of those looked for. An entry without a level suits any. */
export function suits(row: BookRow, filter: BookFilter): boolean {
  const { entry, counts } = row;
  if (filter.words && !holdsWords(row, filter.words)) return false;
  if (filter.strike && !row.trains.includes(filter.strike)) return false;
  if (filter.leastMoves !== undefined && counts.moves < filter.leastMoves) return false;
  if (filter.mostMoves !== undefined && counts.moves > filter.mostMoves) return false;
  if (filter.bag && fitToBag(row.combination, filter.bag).verdict !== 'fits') return false;
  if (filter.level && entry.level && entry.level !== filter.level) return false;
  if (filter.stance && row.turns !== (filter.stance === 'turns')) return false;
  return !filter.flows || row.stuck.length === 0;
}

/** By what the book can be ordered. */
export const bookOrders = ['name', 'punches', 'seconds', 'level'] as const;
export type BookOrder = (typeof bookOrders)[number];

const keys: Readonly<Record<BookOrder, (row: BookRow) => string | number>> = {
  name: ({ entry }) => (entry.name || entry.text).toLowerCase(),
  punches: ({ counts }) => counts.punches,
  seconds: ({ ms }) => ms,
  level: ({ entry }) => (entry.level ? levels.indexOf(entry.level) : -1),
};

/** The rows in another order, those that are alike as they stood. `sortBook(rows, 'punches', true)` */
export function sortBook(rows: readonly BookRow[], by: BookOrder, down: boolean): readonly BookRow[] {
  const keyed = rows.map((row) => ({ row, key: keys[by](row) }));
  keyed.sort((a, b) => (a.key < b.key ? -1 : a.key > b.key ? 1 : 0) * (down ? -1 : 1));
  return keyed.map(({ row }) => row);
}
