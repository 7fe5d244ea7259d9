import type { Metres } from '../../units';
import type { Access } from '../own-kind';
import { armReach } from './heights';

/** Something that hangs or stands in a room, seen from above. */
export interface PlacedBag {
  readonly id: string;
  readonly name: string;
  /** Middle, from the room's left front corner. */
  readonly x: Metres;
  readonly y: Metres;
  readonly radius: Metres;
}

/** What the floor round one bag is like. */
export interface BagFloor {
  readonly id: string;
  /** Radius of the circle that its athlete needs: the bag, an arm and a step. */
  readonly circle: Metres;
  /** Share of the directions from which an athlete can hit it, 0 to 1. */
  readonly free: number;
  readonly access: Access;
  /** Neighbours whose circle runs into this one, and by how much. */
  readonly overlaps: readonly { readonly id: string; readonly by: Metres }[];
}

/** A step round the bag (house value). */
const step: Metres = 0.6;
/** Half of what a body takes up (house value). */
const bodyHalf: Metres = 0.25;
const directions = 72;

/** The least share of the circle that each access stands for (house values). */
const leastShare: readonly (readonly [Access, number])[] = [
  ['all round', 0.95],
  ['three quarters', 0.7],
  ['half', 0.45],
  ['quarter', 0],
];

interface Room {
  readonly width: Metres;
  readonly depth: Metres;
}

function isFree(bag: PlacedBag, angle: number, reach: Metres, room: Room, others: readonly PlacedBag[]): boolean {
  const [x, y] = [bag.x + Math.cos(angle) * (bag.radius + reach), bag.y + Math.sin(angle) * (bag.radius + reach)];
  if (x < bodyHalf || y < bodyHalf || x > room.width - bodyHalf || y > room.depth - bodyHalf) return false;
  return others.every((other) => Math.hypot(other.x - x, other.y - y) >= other.radius + bodyHalf);
}

/**
 * The circles round the bags of a room for athletes of a stature: who gets into whose way, and how much of each circle is
 * free of walls and neighbours.
 * @example floorPlan({ width: 6, depth: 5 }, bags, 1.9)[0].access // "half"
 */
export function floorPlan(room: Room, bags: readonly PlacedBag[], stature: Metres): BagFloor[] {
  const reach = armReach(stature);
  return bags.map((bag): BagFloor => {
    const others = bags.filter((other) => other.id !== bag.id);
    const circle = bag.radius + reach + step;
    const free =
      Array.from({ length: directions }, (_, at) => (at / directions) * 2 * Math.PI).filter((angle) =>
        isFree(bag, angle, reach, room, others),
      ).length / directions;
    const overlaps = others.flatMap((other) => {
      const by = circle + other.radius + reach + step - Math.hypot(other.x - bag.x, other.y - bag.y);
      return by > 0 ? [{ id: other.id, by: Math.round(by * 100) / 100 }] : [];
    });
    const access = leastShare.find(([, least]) => free >= least)?.[0] ?? 'quarter';
    return { id: bag.id, circle, free, access, overlaps };
  });
}
