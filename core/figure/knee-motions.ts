import type { Side, Target } from '../moves/kind';
import { across, balanced, leg, other, raised } from './legs';
import type { Motion, MotionOf } from './motion';
import { switched } from './switched';
import { sided, type Vector } from './vector';

/** A knee drives up and forward, the hip behind it, the trunk leaning back against it. */
const knee: MotionOf = (side, target) => kneeFrom(side, target === 'head', 0);

function kneeFrom(side: Side, high: boolean, jump: number): Motion {
  const forward = side === 'rear' ? 0.11 : 0.055;
  const flies = high || jump > 0;
  const standing = other(side);
  const ground: Vector = standing === 'lead' ? [0.14, 0, -0.07] : [-0.14, 0, 0.07];
  const lift = high ? 0.155 + jump * 0.3 : jump;
  return {
    hit: { at: 0.5, point: 'knee' },
    back: 1,
    keys: [
      { at: 0.06, feet: { [side]: {} } },
      {
        at: 0.26,
        hips: { x: forward * 0.4, y: flies ? 0.465 : 0.495, turn: across(side, side === 'rear' ? -10 : 30) },
        chest: { turn: across(side, side === 'rear' ? -14 : 28), lean: 3 },
        feet: { [side]: leg(side, [0.76, -0.62, 0.05], [-0.75, -0.66, 0.02], 45, 0) },
      },
      {
        at: 0.5,
        hips: {
          x: forward,
          y: 0.53 + lift * 1.15,
          z: sided(side, [0, 0, -0.02])[2],
          turn: across(side, side === 'rear' ? 14 : 48),
          tip: raised(side, high ? 22 : 10),
        },
        chest: { turn: across(side, side === 'rear' ? -2 : 42), lean: high ? -20 : -11 },
        hands: {
          lead: { near: [0.2, -0.09, -0.06], elbow: [-0.1, -1, -0.4] },
          rear: { near: [0.2, -0.09, 0.06], elbow: [-0.1, -1, 0.4] },
        },
        feet: {
          [side]: high
            ? leg(side, [0.8, 0.57, -0.13], [-0.3, -0.93, 0], 45, 0)
            : leg(side, [0.93, 0.32, -0.16], [-0.33, -0.93, 0], 45, 0),
          [standing]: flies
            ? { ball: [ground[0] * 0.9, lift * 0.75, ground[2]], heel: 62 }
            : { heel: standing === 'lead' ? 30 : 42 },
        },
      },
      {
        at: 0.79,
        hips: { x: forward * 0.4, y: flies ? 0.475 : 0.495, turn: across(side, side === 'rear' ? -10 : 32) },
        chest: { turn: across(side, side === 'rear' ? -14 : 30), lean: 3 },
        feet: {
          [side]: leg(side, [0.76, -0.6, 0.05], [-0.6, -0.75, 0.02], 40, 0),
          ...(flies ? { [standing]: { ball: ground, heel: standing === 'lead' ? 6 : 24 } } : {}),
        },
      },
    ],
  };
}

const switchKnee: MotionOf = (_, target) => switched(kneeFrom('lead', target === 'head', 0));
/** A knee in the air: off the standing leg, which tucks under. */
const jumpKnee: MotionOf = (side, target) => kneeFrom(side, target === 'head', 0.085);

interface Push {
  readonly thigh: Vector;
  readonly shank: Vector;
  readonly chamber: Vector;
  readonly hips: number;
  readonly lean: number;
  readonly toes: number;
}

const teeps: Readonly<Record<Target, Push>> = {
  leg: {
    thigh: [0.86, -0.22, -0.12],
    shank: [0.8, -0.68, -0.14],
    chamber: [0.85, -0.3, 0.04],
    hips: 0.49,
    lean: -2,
    toes: -46,
  },
  body: {
    thigh: [0.88, 0.38, -0.14],
    shank: [0.95, -0.16, -0.18],
    chamber: [0.9, 0.08, 0.02],
    hips: 0.51,
    lean: -12,
    toes: -70,
  },
  head: {
    thigh: [0.79, 0.61, -0.12],
    shank: [0.84, 0.46, -0.16],
    chamber: [0.86, 0.28, 0.02],
    hips: 0.53,
    lean: -29,
    toes: -82,
  },
};

/** The knee comes up first, then the foot goes straight out behind its ball, the hips after it. */
const teep: MotionOf = (side, target) => {
  const { thigh, shank, chamber, hips, lean, toes } = teeps[target ?? 'body'];
  const forward = side === 'rear' ? 0.0 : -0.04;
  const facing = side === 'rear' ? { drawn: -16, out: 10 } : { drawn: 20, out: 34 };
  return {
    hit: { at: 0.5, point: 'ball' },
    back: 1,
    keys: [
      { at: 0.05, feet: { [side]: {} } },
      {
        at: 0.28,
        hips: { x: forward * 0.5 - 0.02, y: hips, turn: across(side, facing.drawn) },
        chest: { turn: across(side, facing.drawn), lean: lean * 0.5 },
        feet: { [side]: leg(side, chamber, [-0.05, -1, 0], -20, 0) },
      },
      {
        at: 0.5,
        hips: { x: forward, y: hips, turn: across(side, facing.out), tip: raised(side, target === 'head' ? 12 : 4) },
        chest: { turn: across(side, facing.out - 12), lean },
        hands: balanced(side),
        feet: {
          [side]: leg(side, thigh, shank, toes, 0),
          [other(side)]: { heel: side === 'rear' ? (target === 'head' ? 26 : 14) : 32 },
        },
      },
      {
        at: 0.79,
        hips: { x: forward * 0.4 - 0.01, y: hips, turn: across(side, facing.drawn) },
        chest: { turn: across(side, facing.drawn), lean: lean * 0.4 },
        feet: { [side]: leg(side, [chamber[0], chamber[1] - 0.25, 0.06], [-0.1, -1, 0], 0, 0) },
      },
    ],
  };
};

/** Motions of knees, and of what pushes straight out. */
export const kneeMotions = {
  knee,
  'switch-knee': switchKnee,
  'jump-knee': jumpKnee,
  teep,
} as const satisfies Readonly<Record<string, MotionOf>>;
