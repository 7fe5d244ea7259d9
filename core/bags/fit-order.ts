import { insertAfter } from '../mechanics/edit';
import { unfold, type Step } from '../mechanics/steps';
import { moveKind } from '../moves/catalogue';
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
/** Walks a repetition step by step and says where something is missing; the end comes as null. */
type Watch = (step: Step | null) => Gap | null;

/** Long combinations are not followed move by move; nobody does them on a small ball. */
const mostFilled = Math.min(1000, limits.moves);

function strikeOf(step: Step | undefined): Move | null {
  const found = step?.content.find((each) => each.kind === 'move' && isStrike(each));
  return found?.kind === 'move' ? found : null;
}

const hasSlot = (step: Step): boolean => step.content.some((each) => each.kind === 'slot');

/** A hook that sends a ball sideways; what brings it back goes by its side. */
export type WildHook = Pick<Move, 'id' | 'side'>;

/**
 * What a strike does to a ball that a hook may have sent sideways: whether it brings it back, and the hook that is open after
 * it. Null for the end of the combination. `ballAfter(null, move('hook'), 'rear straight')` → `{ open: hook, back: false }`
 */
export function ballAfter<Hook extends WildHook>(
  wild: Hook | null,
  strike: Hook | null,
  afterHook: Schools['afterHook'],
): { readonly open: Hook | null; readonly back: boolean } {
  const bringsBack = (hook: Hook): boolean =>
    strike !== null &&
    (afterHook === 'rear straight'
      ? strike.side === 'rear' && moveKind(strike.id).shape === 'straight'
      : moveKind(strike.id).bringsBack && strike.side === hook.side);
  const back = wild !== null && bringsBack(wild);
  return { open: strike && moveKind(strike.id).wild && !back ? strike : null, back };
}

/** Hooks that nothing brings back, by the coach's school. */
function wildHooks(afterHook: Schools['afterHook'], nature: BagNature): Watch {
  const target = nature.targets.includes('head') ? 'head' : 'body';
  let wild: Move | null = null;
  let path: readonly number[] = [];
  const fillerFor = (hook: Move): Move => {
    if (afterHook === 'rear straight') return { ...move('cross'), target };
    if (hook.side === 'lead' && target === 'head') return move('back-fist');
    return moveKind(hook.id).bringsBack ? { ...hook } : move('hook', hook.side ?? 'rear', target);
  };
  return (step) => {
    const strike = step ? strikeOf(step) : null;
    if (step && !strike && !hasSlot(step)) return null;
    const [before, place] = [wild, path];
    const { open, back } = ballAfter(before, strike, afterHook);
    wild = open;
    if (step && open) ({ path } = step);
    return before && !back ? { path: place, filler: fillerFor(before) } : null;
  };
}

/** Two strikes that follow each other without a beat between them. */
function hurried(): Watch {
  let last: readonly number[] | null = null;
  return (step) => {
    const before = last;
    const strikes = step !== null && strikeOf(step) !== null;
    last = strikes ? step.path : null;
    return before && strikes ? { path: before, filler: move('wait') } : null;
  };
}

function gapsIn(steps: readonly Step[], watch: Watch): Gap[] {
  return [...steps, null].flatMap((step) => watch(step) ?? []);
}

const isFlat = (combination: Combination): boolean =>
  combination.items.every((item) => item.kind !== 'group' && item.kind !== 'turns');

function firstGap(combination: Combination, watch: () => Watch): Gap | undefined {
  for (let turn = 0; turn < fullTurn(combination.items); turn += 1) {
    const [gap] = gapsIn(unfold(combination, turn), watch());
    if (gap) return gap;
  }
  return undefined;
}

/** Fills each gap that is found; a group repeats what is put into it. Null where it grows past what anybody does. */
function fillGaps(combination: Combination, watch: () => Watch): Combination | null {
  if (isFlat(combination)) {
    const gaps = gapsIn(unfold(combination), watch());
    if (gaps.length === 0) return combination;
    if (combination.items.length + gaps.length > mostFilled) return null;
    return gaps.reduceRight((filled, { path, filler }) => insertAfter(filled, path, filler), combination);
  }
  // What is put into a group is there in each of its repeats, so the next gap is looked for from the beginning.
  let filled = combination;
  for (let gap = firstGap(filled, watch); gap; gap = firstGap(filled, watch)) {
    filled = insertAfter(filled, gap.path, gap.filler);
    if (unfoldedLength(filled.items) > mostFilled) return null;
  }
  return filled;
}

const saidAfterHook = (name: string, school: Schools['afterHook']): string =>
  school === 'rear straight'
    ? `a hook sends the ${name} bag sideways: a cross brings it back`
    : `a hook sends the ${name} bag sideways: the same hand brings it back`;

/** The combination with everything put in that must follow on this bag; null where it gets too long to follow. */
export function fitOrder(
  combination: Combination,
  nature: BagNature,
  afterHook: Schools['afterHook'],
  reasons: Reasons,
): Combination | null {
  let followed: Combination | null = combination;
  if (nature.wildAfterHooks) {
    const brought = fillGaps(followed, () => wildHooks(afterHook, nature));
    if (brought !== followed) reasons.add(saidAfterHook(nature.name, afterHook));
    followed = brought;
  }
  if (followed && nature.oneAtATime) {
    const beaten: Combination | null = fillGaps(followed, hurried);
    if (beaten !== followed)
      reasons.add(`the ${nature.shown} has to come back through the middle: one beat between strikes`);
    followed = beaten;
  }
  return followed;
}
