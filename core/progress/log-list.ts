import { firstDayOf, isoDay, weekOf, type Day } from '../log/day';
import type { Digest } from '../log/digest';
import { sessionLoad, type Load } from '../log/load';

/** By what the log can be ordered. */
export const logOrders = ['when', 'title', 'time', 'rounds', 'punches', 'effort'] as const;
export type LogOrder = (typeof logOrders)[number];
/** How entries can be put together. */
export const logGroupings = ['none', 'day', 'week', 'sheet'] as const;
export type LogGrouping = (typeof logGroupings)[number];

/** What is looked for in the log; what is left out does not matter. */
export interface LogWish {
  /** Words that all have to stand in title, note, names or class. */
  readonly words: string;
  readonly from: Day | null;
  readonly to: Day | null;
  readonly group: string | null;
  readonly sheetId: string | null;
  /** Only those in which this fault was seen. */
  readonly fault: string | null;
  readonly order: LogOrder;
  readonly down: boolean;
  readonly by: LogGrouping;
}
export const anyEntry: LogWish = {
  ...{ words: '', from: null, to: null, group: null, sheetId: null, fault: null },
  ...{ order: 'when', down: true, by: 'none' },
};

/** A digest with the words of its entry that a search looks at, in small letters. */
export interface Searched {
  readonly digest: Digest;
  readonly words: string;
}

/** What stands over the entries of a day, a week or a sheet. */
export interface LogHead {
  readonly key: string;
  /** The day or the Monday; null where a sheet is meant. */
  readonly day: Day | null;
  readonly title: string;
  readonly sessions: number;
  readonly load: Load;
}

/** A line of the list: an entry by its id, or what stands over those that follow. */
export type LogLine =
  { readonly kind: 'entry'; readonly id: string } | { readonly kind: 'head'; readonly head: LogHead };

/** What is found, line by line, and how many of the lines are entries. */
export interface LogLines {
  readonly count: number;
  readonly lines: readonly LogLine[];
}

const figure: Readonly<Record<Exclude<LogOrder, 'title'>, (digest: Digest) => number>> = {
  when: ({ startedAt }) => startedAt,
  time: ({ ms }) => ms,
  rounds: ({ rounds }) => rounds,
  punches: ({ punches, counted }) => counted ?? punches,
  effort: ({ effort }) => effort ?? -1,
};

function suits({ digest, words }: Searched, wish: LogWish, looked: readonly string[]): boolean {
  const { day, group, sheetId, faults } = digest;
  return (
    (wish.from === null || day >= wish.from) &&
    (wish.to === null || day <= wish.to) &&
    (wish.group === null || group === wish.group) &&
    (wish.sheetId === null || sheetId === wish.sheetId) &&
    (wish.fault === null || faults.includes(wish.fault)) &&
    looked.every((word) => words.includes(word))
  );
}

function keyOf({ day, sheetId }: Digest, by: LogGrouping): string {
  return by === 'day' ? isoDay(day) : by === 'week' ? isoDay(firstDayOf(weekOf(day))) : by === 'sheet' ? sheetId : '';
}

function inOrder(a: Digest, b: Digest, { order, down }: LogWish): number {
  const turn = down ? -1 : 1;
  if (order === 'title')
    return (a.title < b.title ? -1 : a.title > b.title ? 1 : 0) * turn || b.startedAt - a.startedAt;
  return (figure[order](a) - figure[order](b)) * turn || b.startedAt - a.startedAt;
}

const lineOf = ({ id }: Digest): LogLine => ({ kind: 'entry', id });

function headOf(key: string, group: readonly Digest[], by: LogGrouping): LogHead {
  const last = group.reduce((late, each) => (late.startedAt > each.startedAt ? late : each));
  return {
    key,
    day: by === 'sheet' ? null : by === 'day' ? last.day : firstDayOf(weekOf(last.day)),
    // Of a sheet that was renamed, the title it had last.
    title: last.title,
    sessions: group.length,
    load: group.reduce((sum, { learns, effort, ms }) => sum + (learns ? (sessionLoad(effort, ms) ?? 0) : 0), 0),
  };
}

/** Days and weeks come the last first, sheets by their titles. */
function headsInOrder(a: LogHead, b: LogHead): number {
  return (b.day ?? 0) - (a.day ?? 0) || (a.title < b.title ? -1 : a.title > b.title ? 1 : a.key < b.key ? -1 : 1);
}

/** Entries that are in order, each under its head. */
function underHeads(found: readonly Digest[], by: LogGrouping): readonly LogLine[] {
  const groups = new Map<string, Digest[]>();
  for (const digest of found) {
    const key = keyOf(digest, by);
    groups.set(key, groups.get(key) ?? []);
    groups.get(key)?.push(digest);
  }
  return [...groups]
    .map(([key, group]) => ({ head: headOf(key, group, by), group }))
    .sort((a, b) => headsInOrder(a.head, b.head))
    .flatMap(({ head, group }): readonly LogLine[] => [{ kind: 'head', head }, ...group.map(lineOf)]);
}

/**
 * What is looked for in the log, in order, under its heads.
 * @example logLines(all, { ...anyEntry, words: 'alarm' }).count
 */
export function logLines(all: readonly Searched[], wish: LogWish): LogLines {
  const looked = wish.words
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  const found = all.filter((each) => suits(each, wish, looked)).map(({ digest }) => digest);
  found.sort((a, b) => inOrder(a, b, wish));
  return {
    count: found.length,
    lines: wish.by === 'none' ? found.map(lineOf) : underHeads(found, wish.by),
  };
}
