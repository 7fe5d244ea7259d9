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

/** A page of the log: entries by their ids, each with its head where it is the first under one. */
export interface LogPage {
  readonly count: number;
  readonly rows: readonly { readonly id: string; readonly head: LogHead | null }[];
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

function inOrder(a: Digest, b: Digest, { order, down, by }: LogWish): number {
  const turn = down ? -1 : 1;
  if (by === 'sheet' && a.sheetId !== b.sheetId)
    return a.title === b.title ? (a.sheetId < b.sheetId ? -1 : 1) : a.title < b.title ? -1 : 1;
  // Under days and weeks those come in their order, and the wished one counts within.
  if ((by === 'day' || by === 'week') && keyOf(a, by) !== keyOf(b, by)) return b.startedAt - a.startedAt;
  if (order === 'title')
    return (a.title < b.title ? -1 : a.title > b.title ? 1 : 0) * turn || b.startedAt - a.startedAt;
  return (figure[order](a) - figure[order](b)) * turn || b.startedAt - a.startedAt;
}

/**
 * A page of what is looked for in the log.
 * @example logPage(all, { ...anyEntry, by: 'week' }, 0, 25).rows[0]?.head?.sessions
 */
export function logPage(all: readonly Searched[], wish: LogWish, from: number, most: number): LogPage {
  const looked = wish.words
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  const found = all.filter((each) => suits(each, wish, looked)).map(({ digest }) => digest);
  found.sort((a, b) => inOrder(a, b, wish));
  const heads = new Map<string, { head: LogHead; first: string }>();
  if (wish.by !== 'none')
    for (const digest of found) {
      const key = keyOf(digest, wish.by);
      const load = digest.learns ? (sessionLoad(digest.effort, digest.ms) ?? 0) : 0;
      const known = heads.get(key);
      const day = wish.by === 'sheet' ? null : wish.by === 'day' ? digest.day : firstDayOf(weekOf(digest.day));
      heads.set(key, {
        first: known?.first ?? digest.id,
        head: {
          ...{ key, day, title: digest.title },
          sessions: (known?.head.sessions ?? 0) + 1,
          load: (known?.head.load ?? 0) + load,
        },
      });
    }
  const page = found.slice(from, from + most);
  return {
    count: found.length,
    rows: page.map((digest, at) => {
      const head = heads.get(keyOf(digest, wish.by));
      // The head stands again on top of a page that goes on with it.
      return { id: digest.id, head: head && (head.first === digest.id || at === 0) ? head.head : null };
    }),
  };
}
