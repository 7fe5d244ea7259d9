import { insertAfter } from '../mechanics/edit';
import { unfold, type Step } from '../mechanics/steps';
import { isStrike, move, type Move } from '../moves/move';
import { fullTurn, limits, unfoldedLength, type Combination } from '../notation/combination';
import type { Schools } from './conditions';
import type { Reasons } from './fit-moves';
import type { BagNature } from './kinds';

/** A place after which something has to be put in, and what. */
interface Gap {
  readonly path: readonly number[];
  readonly filler: Move;
}
type FindGap = (steps: readonly Step[]) => Gap | null;

/** Long combinations are not followed move by move; nobody does them on a small ball. */
const mostFilled = Math.min(1000, limits.moves);

function strikeOf(step: Step | undefined): Move | null {
  const found = step?.content.find((each) => each.kind === 'move' && isStrike(each));
  return found?.kind === 'move' ? found : null;
}

const hasSlot = (step: Step): boolean => step.content.some((each) => each.kind === 'slot');

/** The first hook that nothing brings back, by the coach's school. */
function wildHook(afterHook: Schools['afterHook'], nature: BagNature): FindGap {
  const target = nature.targets.includes('head') ? 'head' : 'body';
  return (steps) => {
    let wild: { readonly hook: Move; readonly path: readonly number[] } | null = null;
    const gap = (): Gap | null => {
      if (!wild) return null;
      const { hook, path } = wild;
      if (afterHook === 'rear straight') return { path, filler: { ...move('cross'), target } };
      return { path, filler: hook.side === 'lead' && target === 'head' ? move('back-fist') : { ...hook } };
    };
    for (const step of steps) {
      const strike = strikeOf(step);
      if (!strike && !hasSlot(step)) continue;
      if (wild) {
        const back: boolean =
          afterHook === 'rear straight'
            ? strike?.id === 'cross'
            : (strike?.id === 'hook' || strike?.id === 'back-fist') && strike.side === wild.hook.side;
        if (!back) return gap();
        wild = null;
        continue;
      }
      if (strike?.id === 'hook') wild = { hook: strike, path: step.path };
    }
    return gap();
  };
}

/** The first two strikes that follow each other without a beat between them. */
const hurried: FindGap = (steps) => {
  const at = steps.findIndex((step, index) => strikeOf(step) !== null && strikeOf(steps[index + 1]) !== null);
  return steps[at] ? { path: steps[at].path, filler: move('wait') } : null;
};

function firstGap(combination: Combination, find: FindGap): Gap | null {
  for (let turn = 0; turn < fullTurn(combination.items); turn += 1) {
    const gap = find(unfold(combination, turn));
    if (gap) return gap;
  }
  return null;
}

/** Fills each gap that is found; a group repeats what is put into it. Null where it grows past what anybody does. */
function fillGaps(combination: Combination, find: FindGap): Combination | null {
  let filled = combination;
  for (let gap = firstGap(filled, find); gap; gap = firstGap(filled, find)) {
    filled = insertAfter(filled, gap.path, gap.filler);
    if (unfoldedLength(filled.items) > mostFilled) return null;
  }
  return filled;
}

const saidAfterHook = (name: string, school: Schools['afterHook']): string =>
  school === 'rear straight'
    ? `a hook sends the ${name} ball sideways: a cross brings it back`
    : `a hook sends the ${name} ball sideways: the same hand brings it back`;

/** The combination with everything put in that must follow on this bag; null where it gets too long to follow. */
export function fitOrder(
  combination: Combination,
  nature: BagNature,
  afterHook: Schools['afterHook'],
  reasons: Reasons,
): Combination | null {
  let followed: Combination | null = combination;
  if (nature.wildAfterHooks) {
    const brought = fillGaps(followed, wildHook(afterHook, nature));
    if (brought !== followed) reasons.add(saidAfterHook(nature.name, afterHook));
    followed = brought;
  }
  if (followed && nature.oneAtATime) {
    const beaten: Combination | null = fillGaps(followed, hurried);
    if (beaten !== followed)
      reasons.add(`the ${nature.name} ball has to come back through the middle: a beat between two strikes`);
    followed = beaten;
  }
  return followed;
}
