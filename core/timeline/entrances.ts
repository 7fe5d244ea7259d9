import { unfold } from '../mechanics/steps';
import type { Combination } from '../notation/combination';
import type { Milliseconds } from '../units';
import type { Leaf } from './leaf';

/** A build on one staff: its whole, and for each of its moves, as they are listed, when it comes in. */
export interface Entrances {
  readonly combination: Combination;
  readonly at: readonly Milliseconds[];
}

const listed = (combination: Combination): string[] =>
  unfold(combination).flatMap(({ content }) => content.map((each) => JSON.stringify(each)));

/**
 * When each move of a build comes in, where every stage begins as the whole does; null where one staff cannot show it
 * (a pyramid comes down again, chunks begin anew). Stages are given in order.
 * @example entrances(ladderOf('1 2 3', 30_000)) // at: [0, 30000, 60000]
 */
export function entrances(stages: readonly Leaf[]): Entrances | null {
  const whole = stages.at(-1)?.combination;
  if (!whole) return null;
  const moves = listed(whole);
  const at: Milliseconds[] = [];
  for (const stage of stages) {
    const own = stage.combination ? listed(stage.combination) : [];
    if (own.length < at.length || own.some((move, index) => move !== moves[index])) return null;
    for (let index = at.length; index < own.length; index += 1) at.push(stage.at);
  }
  return { combination: whole, at };
}
