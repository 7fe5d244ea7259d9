// A handful of combinations that differ as much as they can: the least edit distance between any two of them is as large as may be.
import { distance } from 'fastest-levenshtein';
import type { Letter } from './alphabet';
import type { Ways } from './count';
import type { Machine, StateId } from './machine';
import type { Wish } from './wish';

type Letters = readonly Letter[];

/** A set that differs, and how far it is from the best that could be. */
export interface Varied {
  readonly chosen: readonly Letters[];
  /** The least number of edits between any two of them. */
  readonly least: number;
  /** No set of as many can have a larger least one. */
  readonly most: number;
}

/** A combination as a word, one character a move, for the package that knows edit distances. */
const wordOf = (letters: Letters): string => String.fromCharCode(...letters.map((letter) => letter + 1));

/** Moves put in, left out or swapped between two combinations (Levenshtein 1966). `editsBetween([1, 2], [1, 3])` → `1` */
export const editsBetween = (a: Letters, b: Letters): number => distance(wordOf(a), wordOf(b));

/** So many tries at a set that is wider by one edit, before the search leaves the question open (house value). */
const mostTries = 20_000;

interface Distances {
  readonly size: number;
  readonly of: (a: number, b: number) => number;
}

function distancesOf(pool: readonly Letters[]): Distances {
  const words = pool.map(wordOf);
  const table = new Uint8Array(words.length ** 2);
  words.forEach((one, a) => {
    for (let b = 0; b < a; b += 1)
      table[a * words.length + b] = table[b * words.length + a] = distance(one, words[b] ?? '');
  });
  return { size: words.length, of: (a, b) => table[a * words.length + b] ?? 0 };
}

/** From one of them, each time the one that is furthest from those chosen (Gonzalez 1985): at least half of what can be had. */
function farthest({ size, of }: Distances, first: number, count: number): { chosen: number[]; least: number } {
  const chosen = [first];
  const near = Array.from({ length: size }, (_, at) => (at === first ? -1 : of(first, at)));
  let least = Infinity;
  while (chosen.length < count) {
    const far = near.reduce((best, value, at) => (value > (near[best] ?? -1) ? at : best), 0);
    least = Math.min(least, near[far] ?? 0);
    chosen.push(far);
    near.forEach((value, at) => {
      near[at] = at === far ? -1 : Math.min(value, value < 0 ? value : of(far, at));
    });
  }
  return { chosen, least };
}

/** A set in which any two are so far apart; null where there is none, undefined where that stays open. */
function apartBy({ size, of }: Distances, edits: number, count: number): number[] | null | undefined {
  let tries = 0;
  const search = (chosen: number[], left: readonly number[]): number[] | null => {
    if (chosen.length === count) return chosen;
    for (const [at, next] of left.entries()) {
      if (chosen.length + left.length - at < count) return null;
      tries += 1;
      if (tries > mostTries) return null;
      const found = search(
        [...chosen, next],
        left.slice(at + 1).filter((other) => of(next, other) >= edits),
      );
      if (found) return found;
    }
    return null;
  };
  const found = search(
    [],
    Array.from({ length: size }, (_, at) => at),
  );
  return found ?? (tries > mostTries ? undefined : null);
}

/**
 * No set of so many combinations of a machine can be further apart than this: with fewer beginnings than combinations two of them
 * begin alike, and what all end in is alike as well (the argument of Singleton 1964 for codes).
 * @example mostApart(machine, countWays(machine), 12, wishes) // 5
 */
export function mostApart(machine: Machine, ways: Ways, count: number, wishes: readonly Wish[]): number {
  const alikeEnds = Math.max(0, ...wishes.map((wish) => (wish.kind === 'ends' ? wish.letters.length : 0)));
  let states = new Map<StateId, number>([[machine.start, 1]]);
  let alike = 0;
  while (alike + alikeEnds < machine.least) {
    const next = new Map<StateId, number>();
    for (const [state, beginnings] of states)
      machine.next(state).forEach((after, at) => {
        const letters = machine.classes[at]?.letters.length ?? 0;
        if (after >= 0 && ways.from(after, alike + 1) > 0n)
          next.set(after, (next.get(after) ?? 0) + beginnings * letters);
      });
    if ([...next.values()].reduce((sum, each) => sum + each, 0) >= count) break;
    states = next;
    alike += 1;
  }
  return machine.most - alike - alikeEnds;
}

/**
 * So many of a pool, as far apart as they can be had: farthest first from each of them, then a search for a set that is wider by
 * one edit as long as there may be one. `ceiling` is what no set can exceed; what is proved of the pool holds where it is all there is.
 * @example varied(pool, 12, mostApart(machine, 12, wishes)).least // 4
 */
export function varied(pool: readonly Letters[], count: number, ceiling: number, all: boolean): Varied {
  if (pool.length <= Math.max(1, count)) {
    const { of } = distancesOf(pool);
    const pairs = pool.flatMap((_, a) => Array.from({ length: a }, (_each, b) => of(a, b)));
    const least = pairs.length === 0 ? 0 : Math.min(...pairs);
    return { chosen: pool, least, most: all ? least : ceiling };
  }
  if (count < 2) return { chosen: pool.slice(0, count), least: 0, most: 0 };
  const distances = distancesOf(pool);
  let best = farthest(distances, 0, count);
  for (let first = 1; first < pool.length; first += 1) {
    const next = farthest(distances, first, count);
    if (next.least > best.least) best = next;
  }
  let most = ceiling;
  for (let edits = best.least + 1; edits <= ceiling; edits += 1) {
    const chosen = apartBy(distances, edits, count);
    if (!chosen) {
      if (chosen === null && all) most = edits - 1;
      break;
    }
    best = { chosen, least: edits };
  }
  return { chosen: best.chosen.flatMap((at) => [pool[at] ?? []]), least: best.least, most };
}
