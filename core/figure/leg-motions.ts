import type { Side, Target } from '../moves/kind';
import type { FootKey, HandKey, Key, Motion, MotionOf } from './motion';
import type { Vector } from './vector';

const sided = (side: Side, [x, y, z]: Vector): Vector => [x, y, side === 'rear' ? z : -z];
const other = (side: Side): Side => (side === 'rear' ? 'lead' : 'rear');
/** An angle toward the other side of the striking leg, for either leg. */
const across = (side: Side, degrees: number): number => (side === 'rear' ? -degrees : degrees);
/** A tip that raises the hip of a side. */
const raised = (side: Side, degrees: number): number => -across(side, degrees);

/** A leg in the air, by the ways of thigh and shank, written for the rear one. */
const leg = (side: Side, thigh: Vector, shank: Vector, heel: number, turn: number): FootKey => ({
  leg: { thigh: sided(side, thigh), shank: sided(side, shank) },
  heel,
  turn: across(side, turn),
});

/** The foot that stands turns its heel toward the target and comes up on its ball. */
const support = (side: Side, turn: number, heel: number): Readonly<Partial<Record<Side, FootKey>>> =>
  other(side) === 'lead'
    ? { lead: { turn: 12 - turn, heel, knee: [0.8, 0.1, -0.5] } }
    : { rear: { turn: 48 + turn * 0.7, heel: heel + 6, knee: [0.6, 0.1, 0.8] } };

/** The arm of the kicking side swings down against the leg, the other stays at the chin. */
const swung = (side: Side, far: number): NonNullable<Key['hands']> => {
  const free: HandKey = {
    near: sided(side, [0.15 - 0.09 * far, -0.2 - 0.14 * far, 0.2 + 0.11 * far]),
    elbow: sided(side, [-0.8, -0.3, 0.6]),
  };
  const kept: HandKey = { near: sided(other(side), [0.1, -0.05, 0.055]), elbow: sided(other(side), [0, -1, 0.3]) };
  return { [side]: free, [other(side)]: kept };
};

/** The arm over the leg reaches low in front, to balance it. */
const balanced = (side: Side): NonNullable<Key['hands']> => ({
  [side]: { near: sided(side, [0.2, -0.21, 0.12]), elbow: sided(side, [-0.5, -0.8, 0.5]) },
  [other(side)]: { near: sided(other(side), [0.12, -0.05, 0.055]), elbow: sided(other(side), [0, -1, 0.3]) },
});

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

/** The same motion within a part of another one's time. */
function within(motion: Motion, from: number, to: number): readonly Key[] {
  return motion.keys.map((key) => ({ ...key, at: from + key.at * (to - from) }));
}

/** Where the standing foot is while lead and rear have traded places for a switched strike. */
const tradedBall = (height: number): Vector => [0.12, height, 0.06];
const traded = { ball: tradedBall(0), knee: [0.7, 0.1, 0.7] } satisfies FootKey;

/** Feet trade places in a hop, the strike of the leg that is now behind follows, and lands where it began. */
function switched(strike: Motion): Motion {
  const from = 0.26;
  return {
    ...strike,
    hit: strike.hit && { ...strike.hit, at: from + strike.hit.at * (1 - from) },
    keys: [
      {
        at: 0.12,
        hips: { y: 0.505, turn: 10 },
        chest: { turn: 10 },
        feet: {
          lead: { ball: [0, 0.03, -0.1], turn: -10, heel: 25 },
          rear: { ball: [0, 0.03, 0.09], turn: 15, heel: 25 },
        },
      },
      {
        at: 0.24,
        hips: { y: 0.475, turn: -16 },
        chest: { turn: -14 },
        feet: {
          lead: { ball: [-0.12, 0, -0.09], turn: -35, heel: 25, knee: [0.85, 0.1, -0.5] },
          rear: { ...traded, turn: 10, heel: 5 },
        },
      },
      ...within(strike, from, 1)
        .filter((key) => key.at > 0.32)
        .map((key) => {
          const standing = key.feet?.rear;
          return standing
            ? {
                ...key,
                feet: {
                  ...key.feet,
                  rear: { ...standing, ...traded, ball: tradedBall(standing.ball?.[1] ?? 0), turn: 62 },
                },
              }
            : key;
        }),
      { at: 0.88, hips: { y: 0.5 } },
    ],
  };
}

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

/** Motions of what legs throw. */
export const legMotions = {
  knee,
  'switch-knee': switchKnee,
  'jump-knee': jumpKnee,
  'low-kick': round('leg'),
  'inside-low-kick': insideLowKick,
  'body-kick': round('body'),
  'head-kick': round('head'),
  'switch-kick': switchKick,
  'step-up-kick': stepUpKick,
  teep,
} as const satisfies Readonly<Record<string, MotionOf>>;
