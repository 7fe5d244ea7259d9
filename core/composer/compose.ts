import { study } from '../mechanics/study';
import { isStrike, type Move } from '../moves/move';
import type { Combination } from '../notation/combination';
import { good, type Read } from '../fault';
import { alphabet, type Letter } from './alphabet';
import { countWays, sampleOf, type Ways } from './count';
import { machineOf } from './machine';
import { mostMoves, type Wish } from './wish';

/** A combination out of letters. `combinationOf([letterOf(move('jab'))])` is a jab */
export const combinationOf = (letters: readonly Letter[]): Combination => ({
  items: letters.flatMap((letter) => alphabet[letter] ?? []),
});

/** How much of the score what has (house values). */
const worth = { flow: 40, sides: 25, heights: 20, even: 15 } as const;

/**
 * How good a combination is, 0 to 100 (house values): seams without a word, strikes that change sides, heights that change,
 * both sides alike.
 * @example scoreOf(combination) // 87
 */
export function scoreOf(combination: Combination): number {
  const [turn] = study(combination).turns;
  const seams = turn?.seams ?? [];
  const strikes = combination.items.filter((item): item is Move => item.kind === 'move' && isStrike(item));
  const share = (test: (a: Move, b: Move) => boolean): number => {
    const pairs = strikes.slice(1).map((strike, at) => [strikes[at], strike] as const);
    return pairs.length === 0 ? 0 : pairs.filter(([a, b]) => a !== undefined && test(a, b)).length / pairs.length;
  };
  const lead = strikes.filter(({ side }) => side === 'lead').length;
  const flow = seams.length === 0 ? 1 : seams.filter(({ level }) => level === 'none').length / seams.length;
  const even = strikes.length === 0 ? 0 : 1 - Math.abs(2 * lead - strikes.length) / strikes.length;
  return Math.round(
    worth.flow * flow +
      worth.sides * share((a, b) => a.side !== b.side) +
      worth.heights * share((a, b) => a.target !== b.target) +
      worth.even * even,
  );
}

/** What wishes come to. */
export interface Composed {
  readonly counted: Ways;
  /** The smallest set of wishes that cannot hold together; null where all of them can. */
  readonly conflict: readonly string[] | null;
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
  const machine = machineOf(wishes, roomFor(wishes));
  return !machine.ok || countWays(machine.value).count > 0n;
}

/** A set of wishes that cannot hold together, and can without any one of them. */
function coreOf(wishes: readonly Wish[]): readonly Wish[] {
  return wishes.reduce<readonly Wish[]>((left, wish) => {
    const fewer = left.filter((each) => each !== wish);
    return fewer.length > 0 && !canHold(fewer) ? fewer : left;
  }, wishes);
}

/** The smallest set of wishes that no combination meets; the first of several in the order they were said. */
function conflictIn(wishes: readonly Wish[]): readonly string[] {
  const core = coreOf(wishes);
  for (let size = 1; size < core.length; size += 1)
    for (const some of subsets(wishes, size)) if (!canHold(some)) return some.map(({ phrase }) => phrase);
  return core.map(({ phrase }) => phrase);
}

/**
 * Everything that meets some wishes, counted and ready to be drawn from; contradictory ones say which cannot hold together.
 * @example compose(wishes).value.counted.count
 */
export function compose(wishes: readonly Wish[]): Read<Composed> {
  const machine = machineOf(wishes);
  if (!machine.ok) return machine;
  const counted = countWays(machine.value);
  return good({ counted, conflict: counted.count === 0n ? conflictIn(wishes) : null });
}

/** An even sample of what was composed. `drawn(composed, 5, 1).length` */
export function drawn({ counted }: Composed, size: number, seed: number): Combination[] {
  return sampleOf(counted, size, seed).map(combinationOf);
}
