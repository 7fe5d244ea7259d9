import { insertAfter } from '../mechanics/edit';
import { moveKind } from '../moves/catalogue';
import { familyOf, move } from '../moves/move';
import type { Combination } from '../notation/combination';
import { natureHere, usualSchools, type Conditions } from './conditions';
import { drillFor } from './drills';
import { shortenTo, strikesIn } from './fit-length';
import { fitItem, type Reasons } from './fit-moves';
import { fitOrder } from './fit-order';
import { withoutNewSeams } from './fit-seams';
import { bagNatures, type BagNature } from './kinds';
import type { BagKind } from './kind-names';

/** Whether a combination can be done on a bag as it stands, with changes, or not at all. */
export interface BagFit {
  /** Name of the kind. */
  readonly bag: string;
  readonly verdict: 'fits' | 'adapt' | 'unfit';
  /** What does not fit and what is done about it, in the coach's words. */
  readonly reasons: readonly string[];
  /** The combination with the smallest changes that fit; null where none can be written as moves. */
  readonly adapted: Combination | null;
  /** What might be done besides, although it fits as it is. */
  readonly offers: readonly Offer[];
}

/** A change that would help and is not needed. */
export interface Offer {
  readonly what: string;
  readonly combination: Combination;
}

interface Ordered {
  readonly combination: Combination;
  readonly reasons: Reasons;
}

/** With everything put in that must follow, cut from the end until it is short enough for the athletes. */
function orderAndShorten(aimed: Combination, nature: BagNature, here: Conditions, most: number): Ordered | null {
  const afterHook = (here.schools ?? usualSchools).afterHook;
  const all = strikesIn(aimed.items);
  for (let strikes = Math.min(most, all); strikes >= Math.min(1, all); strikes -= 1) {
    const reasons: Reasons = new Set();
    const opening = shortenTo(aimed, strikes);
    const followed = fitOrder(opening, nature, afterHook, reasons);
    if (!followed) return null;
    if (strikesIn(followed.items) > most) continue;
    if (opening !== aimed)
      reasons.add(
        `${all} strikes is too many for ${here.level ? `${here.level}s` : 'this class'} on the ${nature.shown}: shortened to the first ${strikesIn(opening.items)}`,
      );
    return { combination: followed, reasons };
  }
  return null;
}

function unfit(nature: BagNature, combination: Combination, reason: string): BagFit {
  const drill = drillFor(combination, nature);
  return {
    bag: nature.name,
    verdict: 'unfit',
    reasons: [reason, `instead: ${drill.words}`],
    adapted: null,
    offers: [],
  };
}

/** Re-aimed, ordered and shortened as the bag needs it; null where it gets too long to follow. */
function fitted(combination: Combination, nature: BagNature, here: Conditions): Ordered | null {
  const reasons: Reasons = new Set();
  const aimed = { ...combination, items: combination.items.map((item) => fitItem(item, nature, reasons)) };
  const most = here.level ? (nature.longest?.[here.level] ?? Infinity) : Infinity;
  const ordered = orderAndShorten(aimed, nature, here, most);
  return ordered && { combination: ordered.combination, reasons: new Set([...reasons, ...ordered.reasons]) };
}

/** After a hard straight a ball between cords is steadied by a cover or a parry (trade page, section 7). */
function offersFor(combination: Combination, nature: BagNature): Offer[] {
  if (!nature.wildAfterHooks) return [];
  const { items } = combination;
  const at = items.findIndex((item, index) => {
    const next = items[index + 1];
    const hard = item.kind === 'move' && item.force === 'hard' && moveKind(item.id).shape === 'straight';
    return hard && !(next?.kind === 'move' && familyOf(next) === 'defence');
  });
  const strike = items[at];
  if (strike?.kind !== 'move') return [];
  return (['cover', 'parry'] as const).map((id) => ({
    what: `a ${moveKind(id).name} after the hard ${moveKind(strike.id).name} steadies the ball`,
    combination: insertAfter(combination, [at], move(id)),
  }));
}

/**
 * Matches a combination with a bag: a built-in kind by its name, or any nature. Power and steps round a combination are
 * cues, never a misfit, unless a strike is marked hard where power is capped. Adapting what fits changes nothing, adapting
 * twice equals once, and nothing sticks in an adapted combination that did not stick before. What cannot be adapted offers a
 * drill of that bag with the same theme.
 * @example fitToBag(combination, 'double-end').verdict // "adapt" for `1 2 3b`
 */
export function fitToBag(combination: Combination, bag: BagKind | BagNature, here: Conditions = {}): BagFit {
  const nature = natureHere(typeof bag === 'string' ? bagNatures[bag] : bag, here);
  if (nature.rhythm) return unfit(nature, combination, `numbered combinations become rhythms on the ${nature.shown}`);
  if (nature.targets.length === 0)
    return unfit(nature, combination, `nothing here can be reached on the ${nature.shown}`);
  const found = fitted(combination, nature, here);
  if (!found) return unfit(nature, combination, `too long for the ${nature.shown}: use part of it`);
  if (found.reasons.size === 0)
    return {
      bag: nature.name,
      verdict: 'fits',
      reasons: [],
      adapted: null,
      offers: offersFor(combination, nature),
    };
  const fits = (changed: Combination): boolean => fitted(changed, nature, here)?.reasons.size === 0;
  const adapted = withoutNewSeams(combination, found.combination, fits, found.reasons);
  if (!adapted) return unfit(nature, combination, `the part that suits the ${nature.shown} does not flow`);
  return { bag: nature.name, verdict: 'adapt', reasons: [...found.reasons], adapted, offers: [] };
}
