import type { Combination } from '../notation/combination';
import { good, type Read } from '../fault';
import { alphabet, type Letter } from './alphabet';
import { countWays, sampleOf, type Ways } from './count';
import { machineOf, type Machine } from './machine';
import { scoreOf, type Liking } from './score';
import { mostApart, varied, type Varied } from './varied';
import { mostMoves, type Wish } from './wish';

/** A combination out of letters. `combinationOf([letterOf(move('jab'))])` is a jab */
export const combinationOf = (letters: readonly Letter[]): Combination => ({
  items: letters.flatMap((letter) => alphabet[letter] ?? []),
});

/** What wishes come to. */
export interface Composed {
  readonly wishes: readonly Wish[];
  readonly machine: Machine;
  readonly counted: Ways;
}

function* subsets<T>(all: readonly T[], size: number, from = 0): Generator<T[]> {
  if (size === 0) {
    yield [];
    return;
  }
  for (let at = from; at <= all.length - size; at += 1)
    for (const rest of subsets(all, size - 1, at + 1)) yield [all[at] as T, ...rest];
}

/** As long as wishes without a bound are searched: room for all that they name, and some moves between (house value). */
function roomFor(wishes: readonly Wish[]): number {
  const named = wishes.map((wish) => {
    if (wish.kind === 'begins' || wish.kind === 'ends' || wish.kind === 'contains') return wish.letters.length;
    return wish.kind === 'count' ? wish.least : 0;
  });
  return Math.min(mostMoves, 6 + named.reduce((sum, each) => sum + each, 0));
}

function canHold(wishes: readonly Wish[]): boolean {
  const machine = machineOf(wishes, { bound: roomFor(wishes) });
  return !machine.ok || countWays(machine.value).count > 0n;
}

/** A set of wishes that cannot hold together, and can without any one of them. */
function coreOf(wishes: readonly Wish[]): readonly Wish[] {
  return wishes.reduce<readonly Wish[]>((left, wish) => {
    const fewer = left.filter((each) => each !== wish);
    return fewer.length > 0 && !canHold(fewer) ? fewer : left;
  }, wishes);
}

/** One phrase may have made several wishes. */
const phrasesOf = (wishes: readonly Wish[]): string[] => [...new Set(wishes.map(({ phrase }) => phrase))];

/**
 * The smallest set of wishes that cannot hold together, the first of several in the order they were said; null where all can.
 * @example conflictIn(composed) // ["contains bk", "without kicks"]
 */
export function conflictIn({ wishes, counted }: Composed): readonly string[] | null {
  if (counted.count > 0n) return null;
  const core = coreOf(wishes);
  for (let size = 1; size < core.length; size += 1)
    for (const some of subsets(wishes, size)) if (!canHold(some)) return phrasesOf(some);
  return phrasesOf(core);
}

/**
 * Everything that meets some wishes, counted and ready to be drawn from; a fault where nothing bounds them.
 * @example compose(wishes).value.counted.count
 */
export function compose(wishes: readonly Wish[]): Read<Composed> {
  const machine = machineOf(wishes);
  if (!machine.ok) return machine;
  return good({ wishes, machine: machine.value, counted: countWays(machine.value) });
}

/** An even sample of what was composed. `drawn(composed, 5, 1).length` */
export function drawn({ counted }: Composed, size: number, seed: number): Combination[] {
  return sampleOf(counted, size, seed).map(combinationOf);
}

/** So many are drawn for a handful to be chosen from (house value). */
const poolSize = 240;

/**
 * A handful that differ as much as they can, out of an even sample, or out of all there are where those are no more; with the bound
 * that no handful of what was composed can exceed. Where a liking is given, the better third of the sample is chosen from.
 * @example variedOf(composed, 12, 1).least // 4
 */
export function variedOf(
  { wishes, machine, counted }: Composed,
  size: number,
  seed: number,
  liking: Liking | null = null,
): Varied {
  const sample = sampleOf(counted, poolSize, seed);
  const pool = liking ? better(sample, Math.max(size, Math.ceil(sample.length / 3)), liking) : sample;
  const all = BigInt(pool.length) === counted.count;
  return varied(pool, size, counted.count === 0n ? 0 : mostApart(machine, counted, size, wishes), all);
}

/** So many with the highest scores. */
function better(sample: readonly (readonly Letter[])[], size: number, liking: Liking): (readonly Letter[])[] {
  return sample
    .map((letters) => ({ letters, score: scoreOf(combinationOf(letters), liking) }))
    .sort((a, b) => b.score - a.score)
    .slice(0, size)
    .map(({ letters }) => letters);
}
