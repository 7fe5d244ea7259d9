import type { Vector } from './vector';

export type { Vector } from './vector';

/** Which side of the body; the figure knows lead and rear only where a motion is written. */
export const bodySides = ['left', 'right'] as const;
export type BodySide = (typeof bodySides)[number];

export const jointNames = [
  'pelvis',
  'chest',
  'neck',
  'head',
  ...bodySides.flatMap(
    (side) =>
      [
        `${side} shoulder`,
        `${side} elbow`,
        `${side} hand`,
        `${side} hip`,
        `${side} knee`,
        `${side} ankle`,
        `${side} ball`,
      ] as const,
  ),
] as const;
export type JointName = (typeof jointNames)[number];

/** Where every joint is, in statures. */
export type Joints = Readonly<Record<JointName, Vector>>;

/** Where a foot stands, and how: yaw in radians from forward toward right, pitch = how far the heel is up. */
export interface FootPose {
  readonly ball: Vector;
  readonly yaw: number;
  readonly pitch: number;
  /** Which way the knee points. */
  readonly knee: Vector;
}

/** Where a fist is, seen from the head, and which way its elbow points. */
export interface HandPose {
  readonly fromHead: Vector;
  readonly elbow: Vector;
}

/**
 * A body as it is wanted, in the world's axes and statures: the solver makes joints of it. Angles in radians.
 */
export interface Pose {
  /** The pelvis comes down by itself where planted legs would not reach. */
  readonly pelvis: Vector;
  readonly hipTurn: number;
  /** Right hip up. */
  readonly hipTip: number;
  readonly chestTurn: number;
  /** How far the trunk leans forward and to the right. */
  readonly lean: readonly [forward: number, right: number];
  readonly feet: Readonly<Record<BodySide, FootPose>>;
  readonly hands: Readonly<Record<BodySide, HandPose>>;
}
