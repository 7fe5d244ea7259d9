import type { Access } from '../bags/own-kind';
import { lowKicksLand } from '../bags/bench/heights';
import { bagKinds, type BagKind } from '../bags/kind-names';
import type { Room } from '../sheet/room';
import { roomBagName, roomFloor, staturesOf } from './room';

/** A bag of a room as it hangs there. */
export interface BagAsItHangs {
  readonly name: string;
  readonly kind: BagKind;
  readonly conditions: { readonly access: Access; readonly lowKicks: boolean };
}

/**
 * The bags of a room that are up, each with how much of the circle round it is free and whether the smallest one's low kicks land;
 * those of a kind of the coach's own are left out.
 * @example hungBags(room)[0].conditions.access // "quarter"
 */
export function hungBags(room: Room): BagAsItHangs[] {
  const floors = new Map(roomFloor(room).map(({ id, access }) => [id, access]));
  const { smallest } = staturesOf(room);
  return room.bags.flatMap((bag): BagAsItHangs[] => {
    const kind = bagKinds.find((each) => each === bag.kind);
    if (bag.down || !kind) return [];
    const access = floors.get(bag.id) ?? 'all round';
    return [{ name: roomBagName(bag), kind, conditions: { access, lowKicks: lowKicksLand(bag.bottom, [smallest]) } }];
  });
}
