import { insertAfter } from '../mechanics/edit';
import { unfold, type Step } from '../mechanics/steps';
import type { Family, Target } from '../moves/kind';
import { moveKind } from '../moves/catalogue';
import { familyOf, fullMoveName, isStrike, move, type Move } from '../moves/move';
import { fullTurn, limits, unfoldedLength, type Combination, type Item, type Slot } from '../notation/combination';
import type { BagKind } from '../session/schema';
import { bagNatures, type BagNature } from './kinds';

/** Whether a combination can be done on a bag as it stands, with changes, or not at all. */
export interface BagFit {
  readonly bag: BagKind;
  readonly verdict: 'fits' | 'adapt' | 'unfit';
  /** What does not fit and what is done about it, in the coach's words. */
  readonly reasons: readonly string[];
  /** The combination with the smallest changes that fit; null where none can be written as moves. */
  readonly adapted: Combination | null;
}

/** Collects reasons, each said once. */
type Reasons = Set<string>;

const kickAtBody: Partial<Record<Move['id'], Move['id']>> = { 'low-kick': 'body-kick', 'inside-low-kick': 'body-kick' };

function reaim(given: Move, nature: BagNature, reasons: Reasons): Move {
  if (given.target === null || nature.targets.includes(given.target)) return given;
  const goal: Target = nature.targets.includes('body') ? 'body' : 'head';
  const id = kickAtBody[given.id] ?? given.id;
  const moved: Move = { ...given, id, target: goal };
  reasons.add(
    `${fullMoveName(given)}: the ${nature.kind} bag takes nothing to the ${given.target}; to the ${goal} instead`,
  );
  return moveKind(id).targets.includes(goal) ? moved : replace(given, nature, reasons);
}

/** A strike that the bag does not take becomes the straight of its side. */
function replace(given: Move, nature: BagNature, reasons: Reasons): Move {
  const straight = given.side === 'lead' ? move('jab') : move('cross');
  reasons.add(
    `${fullMoveName(given)}: no ${familyOf(given)} on the ${nature.kind} bag; ${fullMoveName(straight)} instead`,
  );
  return straight;
}

const striking: readonly Family[] = ['punch', 'elbow', 'knee', 'kick', 'teep', 'push'];

function fitMove(given: Move, nature: BagNature, reasons: Reasons): Move {
  // A feint hits nothing, so any bag takes it.
  if (given.feint || !striking.includes(familyOf(given))) return given;
  const taken = nature.families.includes(familyOf(given))
    ? reaim(given, nature, reasons)
    : replace(given, nature, reasons);
  if (taken.force !== 'hard' || !nature.powerCapped) return taken;
  reasons.add(`${fullMoveName(taken)}: power is capped on the ${nature.kind} bag`);
  const { force, ...soft } = taken;
  return force ? soft : taken;
}

function fitSlot(slot: Slot, nature: BagNature, reasons: Reasons): Slot {
  const legs = slot.of === 'kicks' || slot.of === 'strikes';
  const body = slot.of === 'body' && !nature.targets.includes('body');
  const unfit = body || (legs && !nature.families.includes('kick'));
  if (unfit) reasons.add(`any ${slot.of}: the ${nature.kind} bag takes punches to the head only`);
  const of = unfit ? 'punches' : slot.of;
  return { ...slot, of, ...(slot.end ? { end: fitMove(slot.end, nature, reasons) } : {}) };
}

function fitItem(item: Item, nature: BagNature, reasons: Reasons): Item {
  switch (item.kind) {
    case 'move':
      return fitMove(item, nature, reasons);
    case 'slot':
      return fitSlot(item, nature, reasons);
    case 'pair':
      return { ...item, moves: [fitMove(item.moves[0], nature, reasons), fitMove(item.moves[1], nature, reasons)] };
    case 'group':
      return { ...item, items: item.items.map((each) => fitItem(each, nature, reasons)) };
    case 'turns':
      return { ...item, options: item.options.map((option) => option.map((each) => fitItem(each, nature, reasons))) };
    case 'freestyle':
      return item;
  }
}

function strikeOf(step: Step): Move | null {
  const found = step.content.find((each) => each.kind === 'move' && isStrike(each));
  return found?.kind === 'move' ? found : null;
}

/** A place where something has to be put in after a step, or null where everything follows well. */
function firstGap(
  combination: Combination,
  wants: (strike: Move, next: Step | undefined, following: Move | null) => boolean,
): readonly number[] | null {
  for (let turn = 0; turn < fullTurn(combination.items); turn += 1) {
    const steps = unfold(combination, turn);
    for (const [index, step] of steps.entries()) {
      const strike = strikeOf(step);
      const later = steps
        .slice(index + 1)
        .find((each) => strikeOf(each) !== null || each.content.some((content) => content.kind === 'slot'));
      if (strike && wants(strike, steps[index + 1], later ? strikeOf(later) : null)) return step.path;
    }
  }
  return null;
}

/** Puts a move in after each place that wants it; a group repeats what is put into it. */
function fillGaps(combination: Combination, filler: Move, wants: Parameters<typeof firstGap>[1]): Combination | null {
  let filled = combination;
  for (let path = firstGap(filled, wants); path; path = firstGap(filled, wants)) {
    filled = insertAfter(filled, path, filler);
    if (unfoldedLength(filled.items) > mostFilled) return null;
  }
  return filled;
}

/** Long combinations are not followed move by move; nobody does them on a small ball. */
const mostFilled = Math.min(1000, limits.moves);

function follow(combination: Combination, nature: BagNature, reasons: Reasons): Combination | null {
  let followed: Combination | null = combination;
  if (nature.wildAfterHooks) {
    const wild = (strike: Move, _: Step | undefined, following: Move | null): boolean =>
      strike.id === 'hook' && following?.id !== 'cross';
    if (firstGap(combination, wild))
      reasons.add(`a hook sends the ${nature.kind} ball sideways: a cross brings it back`);
    followed = fillGaps(combination, move('cross'), wild);
  }
  if (followed && nature.oneAtATime) {
    const hurried = (_: Move, next: Step | undefined): boolean => next !== undefined && strikeOf(next) !== null;
    if (firstGap(followed, hurried))
      reasons.add(`the ${nature.kind} ball has to come back through the middle: a beat between two strikes`);
    followed = fillGaps(followed, move('wait'), hurried);
  }
  return followed;
}

/**
 * Matches a combination with a kind of bag. Power and steps round a combination are cues, never a misfit, unless a
 * strike is marked hard where power is capped. Adapting what fits changes nothing, and adapting twice equals once.
 * @example fitToBag(combination, 'double-end').verdict // "adapt" for `1 2 3b`
 */
export function fitToBag(combination: Combination, bag: BagKind): BagFit {
  const nature = bagNatures[bag];
  if (nature.rhythm)
    return {
      bag,
      verdict: 'unfit',
      reasons: [`numbered combinations become rhythms on the ${bag} bag: ${nature.rhythm}`],
      adapted: null,
    };
  const reasons: Reasons = new Set();
  const items = combination.items.map((item) => fitItem(item, nature, reasons));
  const adapted = follow({ ...combination, items }, nature, reasons);
  if (reasons.size === 0) return { bag, verdict: 'fits', reasons: [], adapted: null };
  if (!adapted)
    return {
      bag,
      verdict: 'unfit',
      reasons: [`too long for the ${bag} bag: take a part of it, or straights in ones to threes`],
      adapted: null,
    };
  return { bag, verdict: 'adapt', reasons: [...reasons], adapted };
}
