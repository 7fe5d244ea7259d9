import type { Side, Target } from '../moves/kind';
import { across, leg, raised, support, swung } from './legs';
import type { Motion, MotionOf } from './motion';
import { switched, within } from './switched';
import { sided, type Vector } from './vector';

interface Round {
  /** How steeply the thigh rises or falls as it lands. */
  readonly rise: number;
  readonly hips: number;
  readonly tip: number;
  readonly side: number;
  readonly lean: number;
  /** The thigh as it is brought up. */
  readonly chamber: Vector;
  readonly heel: number;
}

const rounds: Readonly<Record<Target, Round>> = {
  leg: { rise: -0.42, hips: 0.5, tip: 6, side: -6, lean: 2, chamber: [0.73, -0.6, 0.3], heel: 12 },
  body: { rise: 0.33, hips: 0.55, tip: 25, side: -18, lean: -10, chamber: [0.87, -0.1, 0.26], heel: 28 },
  head: { rise: 0.74, hips: 0.59, tip: 35, side: -30, lean: -29, chamber: [0.9, 0.12, 0], heel: 38 },
};

/** A round kick: hip, knee and shin come round in that order, and the shin lands across the target. */
const round =
  (usual: Target): MotionOf =>
  (side, target) =>
    roundKick(side, rounds[target ?? usual]);

function roundKick(side: Side, { rise, hips, tip, side: aside, lean, chamber, heel }: Round): Motion {
  const z = sided(side, [0, 0, 0.005])[2];
  const forward = side === 'rear' ? 0.045 : 0.0;
  const toSide = (degrees: number): number => raised(side, degrees);
  const drawn = leg(side, chamber, [-0.45, -0.55, 0.45], 40, 5);
  return {
    hit: { at: 0.5, point: 'shin' },
    back: 1,
    keys: [
      { at: 0.05, feet: { [side]: {} } },
      {
        at: 0.28,
        hips: { x: forward * 0.6, y: (hips + 0.49) / 2, z, turn: across(side, 0), tip: raised(side, tip * 0.5) },
        chest: { turn: across(side, 2), lean: lean * 0.5, side: toSide(aside * 0.5) },
        hands: swung(side, 0),
        feet: { [side]: drawn, ...support(side, 48, heel * 0.6) },
      },
      {
        at: 0.5,
        hips: { x: forward, y: hips, z, turn: across(side, 46), tip: raised(side, tip) },
        chest: { turn: across(side, 20), lean, side: toSide(aside) },
        hands: swung(side, 1),
        feet: {
          [side]: leg(
            side,
            [0.9, rise + 0.05, -0.24],
            [0.92, rise - 0.05, -0.04],
            (-Math.atan(rise) * 180) / Math.PI - 6,
            18,
          ),
          ...support(side, 84, heel),
        },
      },
      {
        at: 0.79,
        hips: { x: forward * 0.6, y: (hips + 0.49) / 2, turn: across(side, 2), tip: raised(side, tip * 0.5) },
        chest: { turn: across(side, 4), lean: lean * 0.4, side: toSide(aside * 0.4) },
        hands: swung(side, 0),
        feet: { [side]: leg(side, [chamber[0], chamber[1] - 0.15, chamber[2] - 0.1], [-0.3, -0.75, 0.3], 40, 5) },
      },
    ],
  };
}

/** Up into the inside of the leg: shorter, less turn, the foot comes from below. */
const insideLowKick: MotionOf = (side) => ({
  hit: { at: 0.5, point: 'shin' },
  back: 1,
  keys: [
    { at: 0.05, feet: { [side]: {} } },
    {
      at: 0.28,
      hips: { x: -0.02, y: 0.49, z: 0.02, turn: 22 },
      chest: { turn: 24, lean: 2 },
      feet: { [side]: leg(side, [0.72, -0.55, 0.4], [-0.35, -0.85, 0.25], 35, 0), ...support(side, 20, 22) },
    },
    {
      at: 0.5,
      hips: { x: 0, y: 0.49, z: 0.03, turn: 20 },
      chest: { turn: 26, lean: -4, side: 4 },
      feet: { [side]: leg(side, [0.86, -0.42, 0.26], [0.82, -0.46, -0.34], 18, 22), ...support(side, 30, 24) },
    },
    {
      at: 0.79,
      hips: { x: -0.01, turn: 26 },
      chest: { turn: 26, lean: 2 },
      feet: { [side]: leg(side, [0.72, -0.55, 0.3], [-0.25, -0.9, 0.15], 30, 0) },
    },
  ],
});

const switchKick: MotionOf = (_, target) => switched(roundKick('lead', rounds[target ?? 'body']));

/** The rear foot slides up to the lead one, which kicks; afterwards it comes back. */
const stepUpKick: MotionOf = (_, target) => {
  const plain = rounds[target ?? 'body'];
  // The feet are close together: less tip, or the standing leg is spread too far.
  const kick = roundKick('lead', { ...plain, tip: plain.tip * 0.7, chamber: [0.88, -0.08, 0.24] });
  const from = 0.25;
  return {
    ...kick,
    hit: kick.hit && { ...kick.hit, at: from + kick.hit.at * (1 - from) },
    keys: [
      { at: 0.13, hips: { x: 0, y: 0.48 }, feet: { rear: { ball: [-0.06, 0.02, 0.085], turn: 55, heel: 20 } } },
      { at: 0.24, hips: { x: 0.03, y: 0.48 }, feet: { rear: { ball: [0.04, 0, 0.075], turn: 60, heel: 14 } } },
      ...within(kick, from, 1).filter((key) => key.at > 0.3),
    ],
  };
};

/** Motions of kicks that come round. */
export const kickMotions = {
  'low-kick': round('leg'),
  'inside-low-kick': insideLowKick,
  'body-kick': round('body'),
  'head-kick': round('head'),
  'switch-kick': switchKick,
  'step-up-kick': stepUpKick,
} as const satisfies Readonly<Record<string, MotionOf>>;
