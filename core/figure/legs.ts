import type { Side } from '../moves/kind';
import type { FootKey, HandKey, Key } from './motion';
import { sided, type Vector } from './vector';

/** The side that does not strike. */
export const other = (side: Side): Side => (side === 'rear' ? 'lead' : 'rear');
/** An angle toward the other side of the striking leg, for either leg. */
export const across = (side: Side, degrees: number): number => (side === 'rear' ? -degrees : degrees);
/** A tip that raises the hip of a side. */
export const raised = (side: Side, degrees: number): number => -across(side, degrees);

/** A leg in the air, by the ways of thigh and shank, written for the rear one. */
export const leg = (side: Side, thigh: Vector, shank: Vector, heel: number, turn: number): FootKey => ({
  leg: { thigh: sided(side, thigh), shank: sided(side, shank) },
  heel,
  turn: across(side, turn),
});

/** The foot that stands turns its heel toward the target and comes up on its ball. */
export const support = (side: Side, turn: number, heel: number): Readonly<Partial<Record<Side, FootKey>>> =>
  other(side) === 'lead'
    ? { lead: { turn: 12 - turn, heel, knee: [0.8, 0.1, -0.5] } }
    : { rear: { turn: 48 + turn * 0.7, heel: heel + 6, knee: [0.6, 0.1, 0.8] } };

/** The arm of the kicking side swings down against the leg, the other stays at the chin. */
export const swung = (side: Side, far: number): NonNullable<Key['hands']> => {
  const free: HandKey = {
    near: sided(side, [0.15 - 0.09 * far, -0.2 - 0.14 * far, 0.2 + 0.11 * far]),
    elbow: sided(side, [-0.8, -0.3, 0.6]),
  };
  const kept: HandKey = { near: sided(other(side), [0.1, -0.05, 0.055]), elbow: sided(other(side), [0, -1, 0.3]) };
  return { [side]: free, [other(side)]: kept };
};

/** The arm over the leg reaches low in front, to balance it. */
export const balanced = (side: Side): NonNullable<Key['hands']> => ({
  [side]: { near: sided(side, [0.2, -0.21, 0.12]), elbow: sided(side, [-0.5, -0.8, 0.5]) },
  [other(side)]: { near: sided(other(side), [0.12, -0.05, 0.055]), elbow: sided(other(side), [0, -1, 0.3]) },
});
