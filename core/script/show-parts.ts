import { unfold, type Step } from '../mechanics/steps';
import { moveKind } from '../moves/catalogue';
import type { Side } from '../moves/kind';
import { familyOf, isLegStrike, type Move } from '../moves/move';
import type { Combination, Item } from '../notation/combination';

/** Steps of one repetition from one place up to another, not with it. */
export interface ShownPart {
  readonly from: number;
  readonly to: number;
}

/** A part without a phrase end is halved from this many moves on (house value). */
const halvedFrom = 4;

const movesOf = ({ content }: Step): Move[] => content.filter((each): each is Move => each.kind === 'move');
const isDefence = (move: Move): boolean => familyOf(move) === 'defence';
const isStraight = (step: Step | undefined, of: Side): boolean =>
  step !== undefined && movesOf(step).some(({ id, side }) => side === of && moveKind(id).shape === 'straight');

/** Places where a phrase ends: before a defence, and behind a kick (trade page, section 15; common practice). */
function phraseEnds(steps: readonly Step[]): number[] {
  const out = new Set<number>();
  steps.forEach((step, at) => {
    if (at > 0 && movesOf(step).some(isDefence) && !movesOf(steps[at - 1] ?? step).some(isDefence)) out.add(at);
    if (at + 1 < steps.length && movesOf(step).some(isLegStrike)) out.add(at + 1);
  });
  return [...out].sort((a, b) => a - b);
}

/** The middle of a long combination without a phrase end; a one-two is never split. */
function middle(steps: readonly Step[]): number[] {
  if (steps.length < halvedFrom) return [];
  const half = Math.ceil(steps.length / 2);
  return [isStraight(steps[half - 1], 'lead') && isStraight(steps[half], 'rear') ? half - 1 : half];
}

/** The coach's own cuts as places among the steps. */
function ownCuts({ stageEnds = [] }: Combination, steps: readonly Step[]): number[] {
  return stageEnds
    .map((items) => steps.filter(({ path }) => (path[0] ?? 0) < items).length)
    .filter((place) => place > 0 && place < steps.length);
}

/**
 * The parts in which a combination is shown: as the coach has cut it by `|`, else where its phrases end, else its halves;
 * never through what happens at once. None where it is shown whole at once.
 * @example partsToShow(read('1 2 ro 2')) // [{ from: 0, to: 2 }, { from: 2, to: 4 }]
 */
export function partsToShow(combination: Combination, turn = 0): ShownPart[] {
  const steps = unfold(combination, turn);
  const own = ownCuts(combination, steps);
  const phrases = own.length > 0 ? own : phraseEnds(steps);
  const cuts = phrases.length > 0 ? phrases : middle(steps);
  if (cuts.length === 0) return [];
  return [0, ...cuts].map((from, at) => ({ from, to: cuts[at] ?? steps.length }));
}

/** A part as a combination of its own, with what happens at once still at once. */
export function partShown(combination: Combination, turn: number, { from, to }: ShownPart): Combination {
  return {
    items: unfold(combination, turn)
      .slice(from, to)
      .map(({ content }): Item => {
        const moves = content.filter((each): each is Move => each.kind === 'move');
        const [first, second] = moves;
        if (first && second) return { kind: 'pair', moves: [first, second] };
        const [only] = content;
        if (!only) throw new Error('a step without content');
        return only;
      }),
  };
}
