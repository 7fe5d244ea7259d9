import { firstDayOf, weekOf, type Day } from '../log/day';
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
  /** The day or the Monday; null where a sheet is meant. */
  readonly day: Day | null;
  readonly title: string;
  readonly sessions: number;
  readonly load: Load;
}

/** A line of the list: an entry, by its id alone since there are thousands, or what stands over those that follow. */
export type LogLine = string | LogHead;

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

/**
 * The whole log in an order, for every search until another order is wished.
 * @example orderLog(all, { order: 'effort', down: true })[0]?.digest.effort
 */
export function orderLog(
  all: readonly Searched[],
  { order, down }: Pick<LogWish, 'order' | 'down'>,
): readonly Searched[] {
  const turn = down ? -1 : 1;
  const compared = (a: Digest, b: Digest): number =>
    order === 'title' ? (a.title < b.title ? -1 : a.title > b.title ? 1 : 0) : figure[order](a) - figure[order](b);
  return [...all].sort(({ digest: a }, { digest: b }) => compared(a, b) * turn || b.startedAt - a.startedAt);
}

/** Under which day, week (by its Monday) or sheet an entry stands. */
const keys: Readonly<Record<Exclude<LogGrouping, 'none'>, (digest: Digest) => Day | string>> = {
  day: ({ day }) => day,
  week: ({ day }) => firstDayOf(weekOf(day)),
  sheet: ({ sheetId }) => sheetId,
};

/** What stands over a group, by what its entries have in common. */
function headOf(key: Day | string, group: readonly Digest[]): LogHead {
  const last = group.reduce((late, each) => (late.startedAt > each.startedAt ? late : each));
  return {
    day: typeof key === 'string' ? null : key,
    // Of a sheet that was renamed, the title it had last.
    title: last.title,
    sessions: group.length,
    load: group.reduce((sum, { learns, effort, ms }) => sum + (learns ? (sessionLoad(effort, ms) ?? 0) : 0), 0),
  };
}

/** Days and weeks come the last first, sheets by their titles. */
function headsInOrder(a: LogHead, b: LogHead): number {
  return (b.day ?? 0) - (a.day ?? 0) || (a.title < b.title ? -1 : a.title > b.title ? 1 : 0);
}

/** Entries that are in order, each under its head. */
function underHeads(found: readonly Digest[], keyOf: (digest: Digest) => Day | string): readonly LogLine[] {
  const groups = new Map<Day | string, Digest[]>();
  for (const digest of found) {
    const key = keyOf(digest);
    groups.set(key, groups.get(key) ?? []);
    groups.get(key)?.push(digest);
  }
  return [...groups]
    .map(([key, group]) => ({ head: headOf(key, group), group }))
    .sort((a, b) => headsInOrder(a.head, b.head))
    .flatMap(({ head, group }): readonly LogLine[] => [head, ...group.map(({ id }) => id)]);
}

/**
 * What is looked for in a log that stands in its order, under its heads.
 * @example logLines(orderLog(all, anyEntry), { ...anyEntry, words: 'alarm' }).count
 */
export function logLines(ordered: readonly Searched[], wish: LogWish): LogLines {
  const looked = wish.words
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  const found = ordered.filter((each) => suits(each, wish, looked)).map(({ digest }) => digest);
  return {
    count: found.length,
    lines: wish.by === 'none' ? found.map(({ id }) => id) : underHeads(found, keys[wish.by]),
  };
}
