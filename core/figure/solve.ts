import type { Statures } from '../units';
import { leastBend, lengths, jointRanges } from './rig';
import { bodySides, type BodySide, type FootPose, type HandPose, type Joints, type Pose } from './pose';
import { radians, between, cross, dot, length, minus, plus, squareTo, times, unit, up, type Vector } from './vector';

/** Two bones that end where they should: the longest and the shortest way across that their joint allows. */
interface Reach {
  readonly upper: Statures;
  readonly lower: Statures;
  readonly longest: Statures;
  readonly shortest: Statures;
}

function reachOf(upper: Statures, lower: Statures, mostBend: number): Reach {
  const across = (bend: number): Statures =>
    Math.sqrt(upper * upper + lower * lower + 2 * upper * lower * Math.cos(bend * radians));
  return { upper, lower, longest: across(leastBend), shortest: across(mostBend) };
}

const arm = reachOf(lengths.upperArm, lengths.forearm, jointRanges.elbow.flexion);
const leg = reachOf(lengths.thigh, lengths.shank, jointRanges.knee.flexion);

/** Planted legs stay this much short of their longest, so that the clamp below leaves them alone. */
const plantedReach: Statures = leg.longest * 0.965;
/** From this share of the longest way on, reaching further brings less and less: the limb never snaps straight. */
const easeFrom = 0.97;

/** A way across that the joint allows, near what is wanted; the same where nothing is in the way. Smooth to the first order. */
function allowed(wanted: Statures, { longest, shortest }: Reach): Statures {
  const top = longest * easeFrom;
  if (wanted > top) return top + (longest - top) * (1 - Math.exp((top - wanted) / (longest - top)));
  const bottom = shortest * 1.12;
  if (wanted < bottom) return bottom - (bottom - shortest) * (1 - Math.exp((wanted - bottom) / (bottom - shortest)));
  return wanted;
}

/** The middle joint and the end of two bones from `root` toward `wanted`, bent the way of `pole`. */
function bend(root: Vector, wanted: Vector, pole: Vector, reach: Reach): { middle: Vector; end: Vector } {
  const way = minus(wanted, root);
  const axis = unit(way);
  const across = allowed(length(way), reach);
  const along = (across * across + reach.upper * reach.upper - reach.lower * reach.lower) / (2 * across);
  const out = Math.sqrt(Math.max(0, reach.upper * reach.upper - along * along));
  const outward = unit(squareTo(pole, axis));
  return {
    middle: plus(plus(root, times(axis, along)), times(outward, out)),
    end: plus(root, times(axis, across)),
  };
}

/** From the ankle to the ball of a foot. */
export function ankleToBall(yaw: number, pitch: number): Vector {
  const { ankleHeight, ankleToBall: ahead } = lengths;
  const forward = ahead * Math.cos(pitch) - ankleHeight * Math.sin(pitch);
  return [forward * Math.cos(yaw), -ahead * Math.sin(pitch) - ankleHeight * Math.cos(pitch), forward * Math.sin(yaw)];
}

/** Smallest of some numbers, or a little less where two are alike, so that it changes smoothly. */
function softLeast(values: readonly number[]): number {
  const softness = 0.004;
  const least = Math.min(...values);
  return least - softness * Math.log(values.reduce((sum, each) => sum + Math.exp((least - each) / softness), 0));
}

/** How high a pelvis may be for a leg to reach its foot; a foot in the air asks for nothing. */
function highestFor(foot: FootPose, ankle: Vector, hip: Vector): Statures {
  const [dx, dz] = [hip[0] - ankle[0], hip[2] - ankle[2]];
  const room = plantedReach * plantedReach - dx * dx - dz * dz;
  // Smoothly no less than a little: a foot far out in the air has no say.
  const kept = 0.5 * (room + Math.sqrt(room * room + 0.0004));
  return ankle[1] + Math.sqrt(kept) - hip[1] + 20 * Math.max(0, foot.ball[1]) ** 1.5;
}

/** The three axes of a trunk part: the way it faces, its upright and its right. */
export interface Axes {
  readonly forward: Vector;
  readonly upward: Vector;
  readonly right: Vector;
}

/** The pelvis as turned and tipped. */
export function pelvisAxes(turn: number, tip: number): Axes {
  const forward: Vector = [Math.cos(turn), 0, Math.sin(turn)];
  const flat: Vector = [-Math.sin(turn), 0, Math.cos(turn)];
  const right = plus(times(flat, Math.cos(tip)), times(up, Math.sin(tip)));
  return { forward, right, upward: cross(right, forward) };
}

/** The way from pelvis to chest of a trunk that leans. */
function spine([forward, right]: Pose['lean']): Vector {
  const angle = Math.hypot(forward, right);
  const share = angle < 1e-9 ? 1 : Math.sin(angle) / angle;
  return [forward * share, Math.cos(angle), right * share];
}

/** The chest as turned about a leaning spine. */
export function chestAxes(turn: number, lean: Pose['lean']): Axes {
  const upward = spine(lean);
  const right = unit(squareTo([-Math.sin(turn), 0, Math.cos(turn)], upward));
  return { upward, right, forward: cross(upward, right) };
}

/** Left is against the axis to the right, right is with it. */
const sign = { left: -1, right: 1 } as const;

interface Trunk {
  readonly pelvis: Vector;
  readonly hips: Readonly<Record<BodySide, Vector>>;
  readonly ankles: Readonly<Record<BodySide, Vector>>;
  readonly chest: Vector;
  readonly neck: Vector;
  readonly head: Vector;
}

/** Pelvis, chest and head of a pose; hands play no part in them. */
export function solveTrunk(pose: Omit<Pose, 'hands'>): Trunk {
  const { right } = pelvisAxes(pose.hipTurn, pose.hipTip);
  const ankleOf = ({ ball, yaw, pitch }: FootPose): Vector => minus(ball, ankleToBall(yaw, pitch));
  const ankles = { left: ankleOf(pose.feet.left), right: ankleOf(pose.feet.right) };
  const hipAt = (side: BodySide, pelvis: Vector): Vector => plus(pelvis, times(right, sign[side] * lengths.halfHips));
  const floor: Vector = [pose.pelvis[0], 0, pose.pelvis[2]];
  const highest = bodySides.map((side) => highestFor(pose.feet[side], ankles[side], hipAt(side, floor)));
  const pelvis: Vector = [pose.pelvis[0], softLeast([pose.pelvis[1], ...highest]), pose.pelvis[2]];
  const along = spine(pose.lean);
  const chest = plus(pelvis, times(along, lengths.trunk));
  const neck = plus(chest, times(unit(plus(along, times(up, 0.5))), lengths.neck));
  const head = plus(neck, times(unit(plus(along, times(up, 1.5))), lengths.head));
  return { pelvis, ankles, hips: { left: hipAt('left', pelvis), right: hipAt('right', pelvis) }, chest, neck, head };
}

/**
 * Joints of a pose: limbs keep their lengths, planted feet their places, joints their ranges; a hand or foot that is out
 * of reach is brought as near as it goes. Analytic, so that a frame costs microseconds.
 * @example solve(pose).head // [0.03, 0.9, 0]
 */
export function solve(pose: Pose): Joints {
  const trunk = solveTrunk(pose);
  const { right } = chestAxes(pose.chestTurn, pose.lean);
  const armOf = (side: BodySide, { fromHead, elbow }: HandPose): readonly [Vector, Vector, Vector] => {
    const shoulder = plus(trunk.chest, times(right, sign[side] * lengths.halfShoulders));
    const { middle, end } = bend(shoulder, plus(trunk.head, fromHead), elbow, arm);
    return [shoulder, middle, end];
  };
  const legOf = (side: BodySide, { yaw, pitch, knee }: FootPose): readonly [Vector, Vector, Vector] => {
    const { middle, end } = bend(trunk.hips[side], trunk.ankles[side], knee, leg);
    return [middle, end, plus(end, ankleToBall(yaw, pitch))];
  };
  const [leftArm, rightArm] = [armOf('left', pose.hands.left), armOf('right', pose.hands.right)];
  const [leftLeg, rightLeg] = [legOf('left', pose.feet.left), legOf('right', pose.feet.right)];
  return {
    pelvis: trunk.pelvis,
    chest: trunk.chest,
    neck: trunk.neck,
    head: trunk.head,
    'left shoulder': leftArm[0],
    'left elbow': leftArm[1],
    'left hand': leftArm[2],
    'left hip': trunk.hips.left,
    'left knee': leftLeg[0],
    'left ankle': leftLeg[1],
    'left ball': leftLeg[2],
    'right shoulder': rightArm[0],
    'right elbow': rightArm[1],
    'right hand': rightArm[2],
    'right hip': trunk.hips.right,
    'right knee': rightLeg[0],
    'right ankle': rightLeg[1],
    'right ball': rightLeg[2],
  };
}

/** A point on the way from one joint to another. `along(joints, 'left knee', 'left ankle', 0.6)` */
export function along(joints: Joints, from: keyof Joints, to: keyof Joints, share: number): Vector {
  return between(joints[from], joints[to], share);
}

/** How far two directions stand apart, in degrees. */
export function angleBetween(a: Vector, b: Vector): number {
  return Math.acos(Math.max(-1, Math.min(1, dot(unit(a), unit(b))))) / radians;
}
