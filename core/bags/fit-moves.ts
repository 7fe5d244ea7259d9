import { kindNamed, moveKind } from '../moves/catalogue';
import type { Target } from '../moves/kind';
import { familyOf, fullMoveName, move, type Move } from '../moves/move';
import type { Item, Slot } from '../notation/combination';
import { isStrikeSlot, type SlotKind } from '../notation/slot-kinds';
import type { BagNature } from './kinds';

/** Reasons, each said once. */
export type Reasons = Set<string>;

/** The target that is taken instead: the body where it can be, else the head, else what there is. */
function goalOn(nature: BagNature): Target {
  if (nature.targets.includes('body')) return 'body';
  return nature.targets.includes('head') ? 'head' : 'leg';
}

function reaim(given: Move, nature: BagNature, reasons: Reasons): Move {
  if (given.target === null || nature.targets.includes(given.target)) return given;
  const goal = goalOn(nature);
  const id = goal === 'leg' ? given.id : (kindNamed(moveKind(given.id).heights?.[goal])?.id ?? given.id);
  const moved: Move = { ...given, id, target: goal };
  reasons.add(
    `${fullMoveName(given)}: nothing to the ${given.target} on the ${nature.shown}; aimed at the ${goal} instead`,
  );
  return moveKind(id).targets.includes(goal) ? moved : replace(given, nature, reasons);
}

/** What a strike becomes that the bag does not take: the straight of its side, or the kick where only legs are taken. */
function replace(given: Move, nature: BagNature, reasons: Reasons): Move {
  const side = given.side === 'lead' ? 'lead' : 'rear';
  const goal = goalOn(nature);
  const choices: readonly Move[] = [
    side === 'lead' ? move('jab') : move('cross'),
    move(goal === 'leg' ? 'low-kick' : 'body-kick', side),
    move('knee', side),
    move('teep', side),
    move('elbow', side),
    move('push'),
  ];
  const taken = choices.find((each) => nature.families.includes(familyOf(each))) ?? choices[0];
  const aimed =
    taken?.target && nature.targets.includes(taken.target) ? taken : { ...(taken ?? move('jab')), target: goal };
  // A kind that takes legs only, and no kick, has nothing to offer for a strike: it is waited out.
  const possible =
    moveKind(aimed.id).targets.includes(aimed.target ?? goal) && nature.families.includes(familyOf(aimed));
  const instead = possible ? aimed : move('wait');
  reasons.add(`${fullMoveName(given)}: no ${familyOf(given)} on the ${nature.shown}; ${fullMoveName(instead)} instead`);
  return instead;
}

function fitMove(given: Move, nature: BagNature, reasons: Reasons): Move {
  if (nature.noCircling && moveKind(given.id).circles) {
    reasons.add(`circle: no room to move around the ${nature.shown} here; angle out instead`);
    return { ...given, id: 'angle-out' };
  }
  if (familyOf(given) === 'hold' && !nature.families.includes('hold')) {
    reasons.add(`${fullMoveName(given)}: nothing to grab on the ${nature.shown}; cover instead`);
    return move('cover');
  }
  // A feint hits nothing, so any bag takes it; defences and steps neither.
  if (given.target === null || given.feint) return given;
  const taken = nature.families.some((family) => family === familyOf(given))
    ? reaim(given, nature, reasons)
    : replace(given, nature, reasons);
  if (taken.force !== 'hard' || !nature.powerCapped) return taken;
  reasons.add(`${fullMoveName(taken)}: no full power on the ${nature.shown}`);
  const { force, ...soft } = taken;
  return force ? soft : taken;
}

function takesSlot(of: SlotKind, nature: BagNature): boolean {
  if (!isStrikeSlot(of)) return true;
  const punches = nature.families.includes('punch') && nature.targets.some((target) => target !== 'leg');
  if (of === 'body') return punches && nature.targets.includes('body');
  if (of === 'kicks') return nature.families.includes('kick');
  return punches && (of !== 'strikes' || nature.families.includes('kick'));
}

function fitSlot(slot: Slot, nature: BagNature, reasons: Reasons): Item {
  const of = [slot.of, 'punches' as const, 'kicks' as const].find((each) => takesSlot(each, nature));
  if (of !== slot.of)
    reasons.add(`any ${slot.of}: not on the ${nature.shown}; ${of ? `any ${of}` : 'a one-beat wait'} instead`);
  if (!of) return move('wait');
  const { force, ...soft } = slot;
  if (force && nature.powerCapped) reasons.add(`any hard ${of}: no full power on the ${nature.shown}`);
  return {
    ...(nature.powerCapped ? soft : slot),
    of,
    ...(slot.end ? { end: fitMove(slot.end, nature, reasons) } : {}),
  };
}

/** An item with every strike re-aimed, replaced or softened as a bag needs it; itself where it fits. */
export function fitItem(item: Item, nature: BagNature, reasons: Reasons): Item {
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
