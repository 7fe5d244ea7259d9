import type { Combination, Item } from '../notation/combination';
import type { Percent } from '../units';
import { flatStageEnds, flatten, listedMoves, rides } from './flat';

/** Whether a defence is a stage of its own or comes together with the strike that answers it. */
export type DefenceOption = 'rides' | 'own';

/**
 * How a stage comes out of the one before it: the first of a build, moves added behind or in front, a rung down again, what
 * was done before, a strike alone, parts put together, more of the same, the same from the other hand, or at another effort.
 */
export type StageStep =
  'first' | 'add' | 'front' | 'down' | 'again' | 'alone' | 'together' | 'more' | 'turn' | 'effort';

/** One rung of a build. */
export interface Stage {
  readonly combination: Combination;
  readonly step: StageStep;
  /** Places of the new moves among the stage's listed moves. */
  readonly added: readonly number[];
  /** The effort of this stage, where the build is one of effort. */
  readonly effort?: Percent;
}

function ladderEnds(flat: readonly Item[], defence: DefenceOption): number[] {
  const ends: number[] = [];
  const lastAnswer = flat.findLastIndex((item) => !rides(item));
  flat.forEach((item, index) => {
    // A defence that nothing answers any more ends the combination, and is its own stage.
    if (defence === 'own' || !rides(item) || index > lastAnswer) ends.push(index + 1);
  });
  return ends;
}

/**
 * Add one: stage k is the first moves of the goal, one strike more each time. Hand-marked stage ends (`|`) decide
 * alone where there are any.
 * @example ladder(combination).map((stage) => writeCombination(stage.combination)) // "1", "1 2", "1 2 3b" …
 */
export function ladder(goal: Combination, defence: DefenceOption = 'rides'): Stage[] {
  const flat = flatten(goal.items);
  const marked = flatStageEnds(goal);
  const ends = marked.length > 0 ? [...marked, flat.length] : ladderEnds(flat, defence);
  let before = 0;
  return ends.map((end, at) => {
    const items = flat.slice(0, end);
    const listed = items.reduce((sum, item) => sum + listedMoves(item), 0);
    const step = at === 0 ? 'first' : 'add';
    const added = Array.from({ length: listed - before }, (_, index) => before + index);
    before = listed;
    // The whole keeps the spelling the coach gave it, groups and all.
    return { combination: end === flat.length ? { items: goal.items } : { items }, step, added };
  });
}
