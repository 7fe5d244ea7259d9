import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { mersenne } from 'pure-rand/generator/mersenne';
import type { Letter } from './alphabet';
import type { Machine, StateId } from './machine';

/** How many combinations there are, and each of them by its number. */
export interface Ways {
  readonly count: bigint;
  /** How many combinations go on from a state at a length, one that may end there among them. */
  readonly from: (state: StateId, length: number) => bigint;
  /** The k-th of them, from 0: the order is that of the alphabet's classes. */
  readonly at: (k: bigint) => readonly Letter[];
}

/**
 * Counts by dynamic programming over states, never one by one; big integers, so that it is exact however many there are.
 * @example countWays(machine).count // 14_641n
 */
export function countWays(machine: Machine): Ways {
  const { classes, most, start } = machine;
  const sizes = classes.map(({ letters }) => BigInt(letters.length));
  const memo: (bigint | undefined)[][] = Array.from({ length: most + 1 }, () => []);
  const from = (state: StateId, length: number): bigint => {
    const column = memo[length] ?? [];
    const known = column[state];
    if (known !== undefined) return known;
    let sum = machine.ends(state, length) ? 1n : 0n;
    if (length < most)
      machine.next(state).forEach((next, at) => {
        if (next >= 0) sum += (sizes[at] ?? 0n) * from(next, length + 1);
      });
    column[state] = sum;
    return sum;
  };
  const at = (k: bigint): readonly Letter[] => {
    const letters: Letter[] = [];
    let [state, left] = [start, k];
    for (;;) {
      if (machine.ends(state, letters.length)) {
        if (left === 0n) return letters;
        left -= 1n;
      }
      const ways = machine.next(state);
      let went = false;
      for (const [place, next] of ways.entries()) {
        if (next < 0 || letters.length >= most) continue;
        const each = from(next, letters.length + 1);
        const all = each * (sizes[place] ?? 0n);
        if (left >= all) {
          left -= all;
          continue;
        }
        letters.push(classes[place]?.letters[Number(left / each)] ?? 0);
        [state, left, went] = [next, left % each, true];
        break;
      }
      if (!went) throw new RangeError(`there is no combination ${k}`);
    }
  };
  return { count: from(start, 0), from, at };
}

/** A whole number below a bound, each as likely as any other: bits are drawn until they are below. */
function below(bound: bigint, draw: () => number): bigint {
  const bits = bound.toString(2).length;
  for (;;) {
    let value = 0n;
    for (let got = 0; got < bits; got += 32) value = (value << 32n) | BigInt(draw() >>> 0);
    value &= (1n << BigInt(bits)) - 1n;
    if (value < bound) return value;
  }
}

/**
 * An even sample without repeats, the same for the same seed; all there are, in their order, where those are no more.
 * @example sampleOf(countWays(machine), 5, 7).length // 5
 */
export function sampleOf({ count, at }: Ways, size: number, seed: number): (readonly Letter[])[] {
  if (count <= BigInt(size)) return Array.from({ length: Number(count) }, (_, k) => at(BigInt(k)));
  // Seeds that follow each other have to give draws that have nothing to do with each other.
  const source = mersenne(seed);
  const draw = (): number => uniformInt(source, 0, 0xffffffff);
  const drawn = new Set<bigint>();
  while (drawn.size < size) drawn.add(below(count, draw));
  return [...drawn].map(at);
}
