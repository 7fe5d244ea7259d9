import type { Combination, Item } from '../notation/combination';
import { flatStageEnds, flatten, listedMoves } from './flat';
import type { Percent } from '../units';
import { ladder, type DefenceOption, type Stage, type StageStep } from './ladder';

function listed(items: readonly Item[]): number {
  return items.reduce((sum, item) => sum + listedMoves(item), 0);
}

function range(from: number, to: number): number[] {
  return Array.from({ length: Math.max(0, to - from) }, (_, index) => from + index);
}

/** A stage in which nothing is new. */
function again(combination: Combination, step: StageStep): Stage {
  return { combination, step, added: [] };
}

/**
 * Starts with the finish and adds in front, so that the ending stays sharp; a defence comes with the strike it rides
 * with, as in the ladder.
 * @example backward(combination) // of `1 2 3`: "3", "2 3", "1 2 3"
 */
export function backward(goal: Combination, defence: DefenceOption = 'rides'): Stage[] {
  const flat = flatten(goal.items);
  const starts = [0, ...ladder(goal, defence).map((stage) => flatten(stage.combination.items).length)]
    .slice(0, -1)
    .reverse();
  let before = 0;
  return starts.map((start, at) => {
    const items = flat.slice(start);
    const added = range(0, listed(items) - before);
    before = listed(items);
    return { combination: start === 0 ? { items: goal.items } : { items }, step: at === 0 ? 'first' : 'front', added };
  });
}

/**
 * Opening, then with the middle, then with the ending: cut where the coach says, counted in moves, defences included;
 * stage ends marked in the goal come first, thirds where nothing is said.
 * @example chunks(combination, [3, 5])
 */
export function chunks(goal: Combination, cuts: readonly number[] = []): Stage[] {
  const flat = flatten(goal.items);
  const total = listed(flat);
  const marked = flatStageEnds(goal).map((end) => listed(flat.slice(0, end)));
  const wanted =
    marked.length > 0 ? marked : cuts.length > 0 ? cuts : [Math.round(total / 3), Math.round((2 * total) / 3)];
  const ends = new Set<number>();
  for (const cut of [...wanted, total]) {
    // A cut inside a pair or a turn falls behind it.
    const end = flat.findIndex((_, index) => listed(flat.slice(0, index + 1)) >= cut);
    if (cut > 0) ends.add(end < 0 ? flat.length : end + 1);
  }
  let before = 0;
  return [...ends]
    .sort((a, b) => a - b)
    .map((end, at) => {
      const items = flat.slice(0, end);
      const step = at === 0 ? 'first' : 'add';
      const added = range(before, listed(items));
      before = listed(items);
      return { combination: end === flat.length ? { items: goal.items } : { items }, step, added };
    });
}

/** Stages up and down again to the first (2n − 1), and up once more where asked. */
export function upAndDown(stages: readonly Stage[], onceMore: boolean): Stage[] {
  const down = stages.slice(0, -1).reverse();
  const up = onceMore ? stages.slice(1) : [];
  return [
    ...stages,
    ...down.map((stage) => again(stage.combination, 'down')),
    ...up.map((stage) => again(stage.combination, 'again')),
  ];
}

/** The ladder up to the whole and down again. `pyramid(combination)` of `1 2 3`: 1, 1 2, 1 2 3, 1 2, 1 */
export function pyramid(goal: Combination, defence: DefenceOption = 'rides', onceMore = false): Stage[] {
  return upAndDown(ladder(goal, defence), onceMore);
}

/** The usual efforts of a ramp in one piece (trade page, section 6). */
export const usualRamp: readonly Percent[] = [50, 60, 70, 80, 100];

/** The same combination at one effort after the other. `ramp(combination, [50, 70, 100])` has three stages. */
export function ramp(goal: Combination, efforts: readonly Percent[] = usualRamp): Stage[] {
  // One combination for all: what goes on is not named a second time.
  const combination = { items: goal.items };
  return efforts.map((effort, at) => ({ ...again(combination, at === 0 ? 'first' : 'effort'), effort }));
}

/** Builds A, builds B, refreshes both, then runs them as one. `join(a, b).at(-1)` is A and B together. */
export function join(a: Combination, b: Combination, defence: DefenceOption = 'rides'): Stage[] {
  const [first, second] = [{ items: a.items }, { items: b.items }];
  return [
    ...ladder(a, defence),
    ...ladder(b, defence),
    again(first, 'again'),
    again(second, 'again'),
    again({ items: [...a.items, ...b.items] }, 'together'),
  ];
}
