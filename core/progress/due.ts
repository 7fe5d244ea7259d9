import { createEmptyCard, fsrs, generatorParameters, Rating, type Card, type Grade } from 'ts-fsrs';
import type { Day } from '../log/day';
import type { Digest, Worked } from '../log/digest';

/** How it went with a combination in a session. */
export type Recall = 'again' | 'hard' | 'good' | 'easy';

/** Less of it than this share was done: it is to be done again (house value). */
const leastDone = 0.5;
/** From this effort on it was hard, and up to this one easy (house values, on the scale 0 to 10). */
const hardFrom = 9;
const easyTo = 3;

/** How it went with one combination, by how much of it was done, how hard the session was and whether faults were seen. `recallOf(worked, digest)` → `good` */
export function recallOf({ ms, plannedMs }: Worked, { effort, faults, finished }: Digest): Recall {
  if (ms < plannedMs * leastDone) return 'again';
  if (faults.length > 0 || !finished || (effort !== null && effort >= hardFrom)) return 'hard';
  return effort !== null && effort <= easyTo ? 'easy' : 'good';
}

const grades: Readonly<Record<Recall, Grade>> = {
  again: Rating.Again,
  hard: Rating.Hard,
  good: Rating.Good,
  easy: Rating.Easy,
};

/**
 * The scheme: FSRS (Ye, Su and Cao 2022, "A stochastic shortest path algorithm for optimizing spaced repetition scheduling";
 * the package `ts-fsrs` with its own parameters), in whole days and without chance, so that the same log says the same.
 */
const scheme = fsrs(generatorParameters({ enable_fuzz: false, enable_short_term: false }));

const dayMs = 24 * 3_600_000;
/** What was done longer ago than this many days tells nothing of today (house value). */
const lookedBack = 400;
/** Noon, so that no clock change moves a day. */
const noonOf = (day: Day): Date => new Date((day + 0.5) * dayMs);

/** A combination with when it is due again. */
export interface DueAgain {
  readonly text: string;
  readonly last: Day;
  readonly due: Day;
  readonly times: number;
  /** How the last time went. */
  readonly recall: Recall;
  /** The chance that it is still known on a day. */
  readonly known: (day: Day) => number;
}

/** A combination as far as it is learnt. */
export interface Learnt {
  readonly card: Card;
  readonly last: Day;
  readonly times: number;
  readonly recall: Recall;
}

/** A combination after one more session. `dueDay(learn(undefined, today, 'good'))` */
export function learn(before: Learnt | undefined, day: Day, recall: Recall): Learnt {
  const card: Card = before ? before.card : createEmptyCard<Card>(noonOf(day));
  const next = scheme.next(card, noonOf(day), grades[recall]).card;
  return { card: next, last: day, times: (before?.times ?? 0) + 1, recall };
}

const order: readonly Recall[] = ['again', 'hard', 'good', 'easy'];

/**
 * When each combination that was worked on is due again: later with every success, sooner where it went badly.
 * @example dueOf(digests).find(({ text }) => text === '1 2 3b')?.due
 */
export function dueOf(digests: readonly Digest[]): DueAgain[] {
  return [...learntIn(digests)].map(([text, learnt]) => ({
    ...{ text, last: learnt.last, times: learnt.times, recall: learnt.recall, due: dueDay(learnt) },
    known: (day) => scheme.get_retrievability(learnt.card, noonOf(day), false),
  }));
}

/** The day on which a combination is due again. `dueDay(learn(undefined, today, 'good'))` */
export const dueDay = ({ card }: Learnt): Day => Math.floor(card.due.getTime() / dayMs);

/** How far each combination of some sessions is learnt, by its text. Several times on one day are one: the best of them counts. `learntIn(digests).get('1 2')?.times` */
export function learntIn(digests: readonly Digest[]): Map<string, Learnt> {
  const byDay = new Map<Day, Map<string, Recall>>();
  const last = digests.reduce((latest, { day, learns }) => (learns ? Math.max(latest, day) : latest), -Infinity);
  for (const digest of digests) {
    if (!digest.learns || digest.day < last - lookedBack) continue;
    const recalls = byDay.get(digest.day) ?? new Map<string, Recall>();
    byDay.set(digest.day, recalls);
    for (const worked of digest.worked) {
      const recall = recallOf(worked, digest);
      const known = recalls.get(worked.text);
      if (known === undefined || order.indexOf(recall) > order.indexOf(known)) recalls.set(worked.text, recall);
    }
  }
  const learnt = new Map<string, Learnt>();
  for (const [day, recalls] of [...byDay].sort((a, b) => a[0] - b[0]))
    for (const [text, recall] of recalls) {
      const before = learnt.get(text);
      // What was never done has not been learnt.
      if (before || recall !== 'again') learnt.set(text, learn(before, day, recall));
    }
  return learnt;
}
