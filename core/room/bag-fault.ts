import { natureOf } from '../bags/kinds';
import type { Metres } from '../units';
import type { OwnBag } from '../bags/own-kind';
import type { Room, RoomBag } from '../sheet/room';

/** A bag is at least so high (house value): its edges cannot meet. */
export const leastBagHeight: Metres = 0.02;

/**
 * What cannot be of a bag's measures together, with the mend; null where nothing is wrong. Each measure alone is looked at by
 * the schema.
 * @example bagFault({ ...bag, bottom: 1, top: 0.5 }, []) // "the upper edge must be above the lower edge"
 */
export function bagFault(bag: RoomBag, ownBags: readonly OwnBag[]): string | null {
  if (natureOf(bag.kind, ownBags)?.body === 'none') return null;
  return bag.top - bag.bottom < leastBagHeight - 1e-9 ? 'the top edge must be above the bottom edge' : null;
}

/** What of a room's bags cannot be together, each with its name; bags that are as they were are not looked at. */
export function roomFault(room: Room, before: Room): string | null {
  for (const bag of room.bags) {
    const fault = before.bags.includes(bag) ? null : bagFault(bag, room.ownBags);
    if (fault) return `${bag.name || bag.kind}: ${fault}`;
  }
  return null;
}
