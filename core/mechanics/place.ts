import { kindNamed, moveKind } from '../moves/catalogue';
import type { Side, Target } from '../moves/kind';
import { otherSide, type Move } from '../moves/move';

/** A place on the staff: a stave and a level. */
export interface StaffPlace {
  readonly side: Side;
  readonly target: Target;
}

/** The places from the top of the staff to its bottom. */
export const staffPlaces: readonly StaffPlace[] = (['lead', 'rear'] as const).flatMap((side) =>
  (['head', 'body', 'leg'] as const).map((target) => ({ side, target })),
);

/**
 * The move as it would be at another place of the staff: the same strike on the other side or level, a kick of that
 * height, a defence to that side; null where there is no such move.
 * @example moveAt(move('hook'), { side: 'rear', target: 'body' }) // 4b
 */
export function moveAt(given: Move, place: StaffPlace): Move | null {
  const sided = given.side === place.side || given.side === null ? given : otherSide(given);
  if (!sided) return null;
  if (given.target === null) return sided;
  if (moveKind(sided.id).targets.includes(place.target)) return { ...sided, target: place.target };
  const there = kindNamed(moveKind(sided.id).heights?.[place.target]);
  return there?.sides.includes(place.side) ? { ...sided, id: there.id, target: place.target } : null;
}

/** The next place up (-1) or down (1) the staff that a move can stand at, or null at the end. */
export function stepPlace(given: Move, by: -1 | 1): Move | null {
  if (given.target === null) {
    if (given.side === null) return null;
    return (given.side === 'lead') === (by === 1) ? otherSide(given) : null;
  }
  const at = staffPlaces.findIndex((place) => place.side === given.side && place.target === given.target);
  for (let next = at + by; next >= 0 && next < staffPlaces.length; next += by) {
    const place = staffPlaces[next];
    const moved = place ? moveAt(given, place) : null;
    if (moved) return moved;
  }
  return null;
}
