import { mirrorCombination } from '../mechanics/mirror';
import { study, type Study } from '../mechanics/study';
import type { Stance } from '../mechanics/walk';
import type { Move } from '../moves/move';
import type { Combination } from '../notation/combination';
import type { Milliseconds, PaceFactor } from '../units';
import { contactPoint, jointsAt, type BodyMotion, type Hit } from './body-motion';
import { motionOf, type MotionOptions, type Performed } from './compile';
import { pointIn } from './frame';
import { bodySides, jointNames, type BodySide, type JointName, type Joints } from './pose';
import type { Vector } from './vector';

/** A body in motion, in a stance: what is drawn, and what the command prints. */
export interface Figure {
  readonly motion: BodyMotion;
  /** A left-hander is the mirror of the one that was worked out. */
  readonly mirrored: boolean;
  readonly square: boolean;
}

/** A strike that lands: when, with what, where, and where its target is. */
export interface Landing {
  readonly at: Milliseconds;
  readonly step: number;
  readonly move: Move;
  readonly limb: Hit['limb'];
  readonly where: Vector;
  readonly target: Vector;
}

const otherSide = (side: BodySide): BodySide => (side === 'left' ? 'right' : 'left');
const across = ([x, y, z]: Vector): Vector => [x, y, -z];

const mirrorNames = Object.fromEntries(
  jointNames.map((name) => {
    const side = bodySides.find((each) => name.startsWith(each));
    return [name, side ? name.replace(side, otherSide(side)) : name];
  }),
) as Record<JointName, JointName>;

/** The body as in a mirror along the way to the target. Twice is the same again, to the last bit. */
export function mirrorJoints(joints: Joints): Joints {
  return Object.fromEntries(jointNames.map((name) => [name, across(joints[mirrorNames[name]])])) as Joints;
}

/** The combination as somebody in a stance does it, worked out for an orthodox one. */
export function figureStudy(combination: Combination, stance: Stance): Study {
  return study(stance === 'southpaw' ? mirrorCombination(combination) : combination);
}

/** Repetitions of a study as a figure. `figureFrom([{ at: 0, repetition }], 'southpaw', { pace: 0.6 })` */
export function figureFrom(
  performed: readonly Performed[],
  stance: Stance,
  options: Omit<MotionOptions, 'square'>,
): Figure {
  const square = stance === 'square';
  return { motion: motionOf(performed, { ...options, square }), mirrored: stance === 'southpaw', square };
}

/**
 * One repetition of a combination, its loop seam included; of moves that take turns the first.
 * @example figureLandings(figureOf(combination, 'orthodox'))[0].limb // "left hand"
 */
export function figureOf(combination: Combination, stance: Stance, pace: PaceFactor = 1): Figure {
  const [first] = figureStudy(combination, stance).turns;
  const performed = first ? [{ at: 0, repetition: first }] : [];
  return figureFrom(performed, stance, { pace, until: (first?.ms ?? 0) / pace });
}

/** Where all joints of a figure are, in statures. */
export function figureJoints({ motion, mirrored }: Figure, at: Milliseconds): Joints {
  const joints = jointsAt(motion, at);
  return mirrored ? mirrorJoints(joints) : joints;
}

const targets = new Map<string, Vector>();

/** Where a move lands when it is done alone and unhurried: its target, in the frame of the stance. */
function targetOf(move: Move, square: boolean): Vector {
  const key = `${move.id} ${move.side} ${move.target} ${square}`;
  const known = targets.get(key);
  if (known) return known;
  const plain: Move = { kind: 'move', id: move.id, side: move.side, target: move.target };
  const [alone] = study({ items: [plain] }).turns;
  const motion = motionOf(alone ? [{ at: 0, repetition: alone }] : [], { square });
  const [hit] = motion.hits;
  const found = hit ? contactPoint(jointsAt(motion, hit.at), hit.body, hit.point) : ([0, 0, 0] as const);
  targets.set(key, found);
  return found;
}

/** Every strike that lands, in order: feints, pushes, holds and open slots do not. */
export function figureLandings({ motion, mirrored, square }: Figure): Landing[] {
  return motion.hits.map(({ at, step, move, limb, point, body, frame }) => {
    const where = contactPoint(jointsAt(motion, at), body, point);
    const target = pointIn(frame, targetOf(move, square));
    if (!mirrored) return { at, step, move, limb, where, target };
    const swapped: Hit['limb'] = `${otherSide(body)} ${limb.endsWith('hand') ? 'hand' : 'leg'}`;
    return { at, step, move, limb: swapped, where: across(where), target: across(target) };
  });
}
