import { good, type Read } from '../fault';
import type { Letter } from './alphabet';
import { countWays, sampleOf } from './count';
import { machineOf, type Machine } from './machine';
import type { Part } from './part';
import { coverPart } from './parts';
import type { Wish } from './wish';

/** What rounds between them are to have: each a set of moves of which one is enough. */
export type Element = ReadonlySet<Letter>;

/** More things to cover than this are too many sets of them (house value). */
export const mostElements = 10;

/** One combination a round. */
export interface Rounds {
  readonly rounds: readonly (readonly Letter[])[];
  /** Which elements no round has, by their places. */
  readonly uncovered: readonly number[];
  /** How often elements are had more often than once: nothing in an exact cover. */
  readonly again: number;
}

const bitsIn = (mask: number): number => mask.toString(2).replaceAll('0', '').length;

/**
 * So many sets out of those there are, the same one more than once if need be: the fewest elements uncovered, of those choices the
 * fewest covered twice, and of those the most evenly spread, by dynamic programming over what is covered so far. Sets are bits.
 * @example leastUncovered([0b011, 0b100], 2, 3) // { chosen: [0b011, 0b100], uncovered: 0, again: 0 }
 */
export function leastUncovered(
  sets: readonly number[],
  count: number,
  elements: number,
): { readonly chosen: readonly number[]; readonly uncovered: number; readonly again: number } | null {
  interface Cover {
    readonly again: number;
    /** The squares of how much each set has: the least where all have alike. */
    readonly uneven: number;
    readonly chosen: readonly number[];
  }
  let covers = new Map<number, Cover>([[0, { again: 0, uneven: 0, chosen: [] }]]);
  for (let round = 0; round < count; round += 1) {
    const next = new Map<number, Cover>();
    for (const [covered, { again, uneven, chosen }] of covers)
      for (const set of sets) {
        const [union, more] = [covered | set, again + bitsIn(covered & set)];
        const squares = uneven + bitsIn(set) ** 2;
        const known = next.get(union);
        if (!known || more < known.again || (more === known.again && squares < known.uneven))
          next.set(union, { again: more, uneven: squares, chosen: [...chosen, set] });
      }
    covers = next;
  }
  const all = [...covers].map(([covered, cover]) => ({ ...cover, uncovered: elements - bitsIn(covered) }));
  return all.sort((a, b) => a.uncovered - b.uncovered || a.again - b.again || a.uneven - b.uneven)[0] ?? null;
}

/** Ends only where exactly these elements were met. */
const exactly = (part: Part, mask: number): Part => ({ ...part, ends: (state) => state === mask });

/**
 * Combinations for so many rounds that all meet the wishes, which are their theme, and between them have the elements: each once
 * where that can be, else as few uncovered as can be. It is exact over everything that meets the wishes, since which sets of elements
 * a combination can have is counted, not drawn; which combination has one is drawn by the seed. Null where nothing meets the wishes.
 * @example roundsOf(wishes, [hooks, body], 2, 1)
 */
export function roundsOf(
  wishes: readonly Wish[],
  elements: readonly Element[],
  count: number,
  seed: number,
): Read<Rounds | null> {
  const cover = coverPart(elements);
  const whole = machineOf(wishes, { extra: [cover] });
  if (!whole.ok) return whole;
  const choice = leastUncovered([...endingsOf(whole.value)], count, elements.length);
  if (!choice) return good(null);
  const taken = new Map<number, number>();
  const rounds = choice.chosen.map((mask) => {
    const nth = taken.get(mask) ?? 0;
    taken.set(mask, nth + 1);
    const some = drawnWith(wishes, exactly(cover, mask), choice.chosen.filter((each) => each === mask).length, seed);
    // Where there are fewer than rounds, one comes again.
    return some[nth % some.length] ?? [];
  });
  const covered = choice.chosen.reduce((sum, mask) => sum | mask, 0);
  const uncovered = elements.flatMap((_, at) => (covered & (1 << at) ? [] : [at]));
  return good({ rounds, uncovered, again: choice.again });
}

/** Every set of elements with which a combination can end. */
function endingsOf(machine: Machine): ReadonlySet<number> {
  const found = new Set<number>();
  let states = new Set([machine.start]);
  for (let length = 0; length <= machine.most; length += 1) {
    const next = new Set<number>();
    for (const state of states) {
      if (machine.ends(state, length)) found.add(machine.held(state, 0));
      if (length < machine.most) for (const after of machine.next(state)) if (after >= 0) next.add(after);
    }
    states = next;
  }
  return found;
}

function drawnWith(wishes: readonly Wish[], part: Part, size: number, seed: number): (readonly Letter[])[] {
  const machine = machineOf(wishes, { extra: [part] });
  return machine.ok ? sampleOf(countWays(machine.value), size, seed) : [];
}
