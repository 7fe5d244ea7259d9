import type { Move } from '../moves/move';
import type { Milliseconds } from '../units';
import { valueAt, type Curve } from './curve';
import type { Frame } from './frame';
import type { ContactPoint } from './motion';
import type { BodySide, FootPose, HandPose, Joints, Pose } from './pose';
import { along, solve } from './solve';
import type { Vector } from './vector';

/** The curves of everything but the hands. */
export interface TrunkMotion {
  readonly hips: Curve;
  readonly chest: Curve;
  readonly feet: Readonly<Record<BodySide, Curve>>;
}

/** A strike that lands. */
export interface Hit {
  /** When it touches. */
  readonly at: Milliseconds;
  /** Which step of the unfolded combination it is. */
  readonly step: number;
  readonly move: Move;
  readonly point: ContactPoint;
  readonly limb: `${BodySide} ${'hand' | 'leg'}`;
  readonly body: BodySide;
  /** Where the athlete stands as it touches. */
  readonly frame: Frame;
}

/** A body in motion: its curves, and what lands when. */
export interface BodyMotion extends TrunkMotion {
  readonly hands: Readonly<Record<BodySide, Curve>>;
  readonly hits: readonly Hit[];
  /** How the athlete stands, and from when: the first from the beginning. */
  readonly stands: readonly Stand[];
  /** Where the middle of the stance is on the floor, for a camera that follows. */
  readonly ground: Curve;
  /** Steps that are done, in order. */
  readonly done: readonly DoneStep[];
  readonly ms: Milliseconds;
}

/** A stance taken up at a moment. */
export interface Stand {
  readonly at: Milliseconds;
  readonly frame: Frame;
}

/** A step of a combination while it is done. */
export interface DoneStep {
  readonly at: Milliseconds;
  readonly ms: Milliseconds;
  readonly step: number;
  /** The strike of the step, else its first move; null for an open slot. */
  readonly move: Move | null;
  /** The head goes out of the way, so that its path is worth seeing. */
  readonly dodges: boolean;
}

function footAt(curve: Curve, at: Milliseconds): FootPose {
  const [x = 0, y = 0, z = 0, yaw = 0, pitch = 0, kneeX = 1, kneeY = 0, kneeZ = 0] = valueAt(curve, at, []);
  return { ball: [x, y, z], yaw, pitch, knee: [kneeX, kneeY, kneeZ] };
}

function handAt(curve: Curve, at: Milliseconds): HandPose {
  const [x = 0, y = 0, z = 0, elbowX = 0, elbowY = -1, elbowZ = 0] = valueAt(curve, at, []);
  return { fromHead: [x, y, z], elbow: [elbowX, elbowY, elbowZ] };
}

/** Everything of a pose but the hands, at a moment. */
export function trunkAt(motion: TrunkMotion, at: Milliseconds): Omit<Pose, 'hands'> {
  const [x = 0, y = 0, z = 0, hipTurn = 0, hipTip = 0] = valueAt(motion.hips, at, []);
  const [chestTurn = 0, forward = 0, right = 0] = valueAt(motion.chest, at, []);
  return {
    pelvis: [x, y, z],
    hipTurn,
    hipTip,
    chestTurn,
    lean: [forward, right],
    feet: { left: footAt(motion.feet.left, at), right: footAt(motion.feet.right, at) },
  };
}

/** The pose at a moment. */
export function poseAt(motion: BodyMotion, at: Milliseconds): Pose {
  return {
    ...trunkAt(motion, at),
    hands: { left: handAt(motion.hands.left, at), right: handAt(motion.hands.right, at) },
  };
}

/** Where all joints are at a moment, in statures. `jointsAt(motion, 150)['left hand']` → `[0.5, 0.9, 0]` */
export function jointsAt(motion: BodyMotion, at: Milliseconds): Joints {
  return solve(poseAt(motion, at));
}

/** How far down the shin a round kick lands (common practice, no source). */
const shinShare = 0.6;

/** What of a body touches the target. `contactPoint(joints, 'left', 'hand')` */
export function contactPoint(joints: Joints, side: BodySide, point: ContactPoint): Vector {
  return point === 'shin' ? along(joints, `${side} knee`, `${side} ankle`, shinShare) : joints[`${side} ${point}`];
}
