import { armReach } from '../bags/bench/heights';
import { natureOf } from '../bags/kinds';
import type { Room, RoomBag } from '../sheet/room';
import type { Metres } from '../units';
import { staturesOf } from './room';

/** Somebody at a bag, seen from above. */
export interface Stand {
  readonly bagId: string;
  readonly x: Metres;
  readonly y: Metres;
  /** Which way they face, in radians clockwise from the right on the plan. */
  readonly facing: number;
}

/** Nobody stands nearer to a wall than half a pair of shoulders and a little (house value). */
const toWall: Metres = 0.3;
/** How far round the next one stands, in radians (house value: 70°, so that elbows are free). */
const apart = (70 * Math.PI) / 180;
/** So many stand round a bag before the last would stand in the first one's place. */
const mostAround = Math.floor((2 * Math.PI) / apart);

/** From the side of the middle of the room, then to its left and right in turn. */
function turns(count: number): number[] {
  return Array.from({ length: count }, (_, at) => Math.ceil(at / 2) * apart * (at % 2 === 0 ? 1 : -1));
}

function around(bag: RoomBag, room: Room, away: Metres, most: number): Stand[] {
  const middle = Math.atan2(room.depth / 2 - bag.y, room.width / 2 - bag.x);
  return turns(mostAround)
    .map((turn) => middle + turn)
    .map((angle) => ({
      bagId: bag.id,
      x: Math.round((bag.x + Math.cos(angle) * away) * 100) / 100,
      y: Math.round((bag.y + Math.sin(angle) * away) * 100) / 100,
      facing: angle + Math.PI,
    }))
    .filter(({ x, y }) => x >= toWall && y >= toWall && x <= room.width - toWall && y <= room.depth - toWall)
    .slice(0, most);
}

/**
 * Where people stand at the bags that are in use, within reach of them: as many as places, walls and people allow and five at most,
 * first come to the first bag. For drawing; who goes where is the rotation's business.
 * @example standsOf(room).length // at most room.people
 */
export function standsOf(room: Room): Stand[] {
  const reach = armReach(staturesOf(room).median);
  let left = room.people ?? Infinity;
  return room.bags.flatMap((bag) => {
    if (bag.down) return [];
    const open = natureOf(bag.kind, room.ownBags)?.body === 'none';
    const stands = around(bag, room, open ? bag.radius * 0.55 : bag.radius + reach, Math.min(left, bag.places));
    left -= stands.length;
    return stands;
  });
}
