import type { BuildKind } from './kinds';
import type { KickSchool } from '../mechanics/seams';
import type { Target } from '../moves/kind';
import type { Percent } from '../units';
import type { Combination } from '../notation/combination';
import { alternator, byAmount, kickClose, levelPattern, singlesFirst } from './drills';
import { listedMoves } from './flat';
import { ladder, type DefenceOption, type Stage } from './ladder';
import { backward, chunks, join, pyramid, ramp } from './shapes';

/** What a build may be told; each kind takes what concerns it. */
export interface BuildOptions {
  readonly defence?: DefenceOption;
  readonly kick?: KickSchool | undefined;
  readonly cuts?: readonly number[] | undefined;
  readonly from?: number | undefined;
  readonly to?: number | undefined;
  readonly again?: boolean | undefined;
  /** Singles without the joined stage at the end. */
  readonly alone?: boolean | undefined;
  readonly pattern?: readonly Target[] | undefined;
  /** Efforts of a build of effort. */
  readonly efforts?: readonly Percent[] | undefined;
}

const nothing: Combination = { items: [] };

/** How many goals a kind of build works towards. */
export function goalsOf(kind: BuildKind): 0 | 1 | 2 {
  return kind === 'alternator' ? 0 : kind === 'join' ? 2 : 1;
}

/**
 * The stages of any build. Empty where the goals are not enough, or where a build by amount finds no single slot.
 * @example buildUp('pyramid', [combination], { again: true })
 */
export function buildUp(kind: BuildKind, goals: readonly Combination[], options: BuildOptions = {}): Stage[] {
  const [goal = nothing, second = nothing] = goals;
  if (goals.length < goalsOf(kind)) return [];
  const { defence = 'rides', again = false } = options;
  switch (kind) {
    case 'ladder':
      return ladder(goal, defence);
    case 'backward':
      return backward(goal, defence);
    case 'chunks':
      return chunks(goal, options.cuts);
    case 'pyramid':
      return pyramid(goal, defence, again);
    case 'kick-close':
      return kickClose(goal, options.kick, defence, again);
    case 'alternator':
      return alternator(options.from, Math.max(options.from ?? 2, options.to ?? 5));
    case 'levels':
      return levelPattern(goal, options.pattern);
    case 'singles':
      return singlesFirst(goal, options.alone);
    case 'amount':
      return byAmount(goal, options.to);
    case 'join':
      return join(goal, second, defence);
    case 'effort':
      return ramp(goal, options.efforts);
  }
}

/**
 * The early part that a stage should be reminded of, as places among its listed moves: the first half of what is not
 * new, since attention goes to the newest move and the first ones decay (trade page, section 5). Empty in the first
 * stage of a build and where nothing is old.
 * @example earlyPart(stages, 4) // [0, 1] of `1 2 3b 2 5`
 */
export function earlyPart(stages: readonly Stage[], index: number): number[] {
  const stage = stages[index];
  if (!stage || index === 0 || stage.effort !== undefined) return [];
  const fresh = new Set(stage.added);
  const listed = stage.combination.items.reduce((sum, item) => sum + listedMoves(item), 0);
  const old = Array.from({ length: listed }, (_, place) => place).filter((place) => !fresh.has(place));
  return old.slice(0, Math.ceil(old.length / 2));
}
