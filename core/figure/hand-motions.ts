import type { Side, Target } from '../moves/kind';
import type { FootKey, Key, Motion, MotionOf } from './motion';
import { spinningBackFist } from './spin-motion';
import { sided } from './vector';

/** How a body stands behind a strike: lower and further over the feet when it goes to the body. */
interface Level {
  readonly y: number;
  readonly drop: number;
  readonly lean: number;
}

const level = (target: Target | null): Level =>
  target === 'body' ? { y: 0.665, drop: 0.075, lean: 17 } : { y: 0.9, drop: 0, lean: 0 };

/** The foot of the striking side turns on its ball and pushes: how far depends on the turn of the hip above it. */
const push = (side: Side, share = 1): Readonly<Partial<Record<Side, FootKey>>> =>
  side === 'rear'
    ? { rear: { turn: 48 - 46 * share, heel: 22 + 18 * share, knee: [1, 0.1, 0.15] } }
    : { lead: { turn: 12 + 48 * share, heel: 2 + 34 * share, knee: [0.75, 0.1, 0.55] } };

/** Facing of hips and chest when a side is all the way through, and when it is wound up. */
const through = (side: Side): { hips: number; chest: number } =>
  side === 'rear' ? { hips: -16, chest: -38 } : { hips: 58, chest: 66 };
const wound = (side: Side): { hips: number; chest: number } =>
  side === 'rear' ? { hips: 42, chest: 44 } : { hips: 20, chest: 8 };

/** Hands that do not strike come back to the chin. */
const kept = (side: Side): NonNullable<Key['hands']> =>
  side === 'rear'
    ? { lead: { near: [0.1, -0.05, -0.06], elbow: [0, -1, -0.25] } }
    : { rear: { near: [0.09, -0.06, 0.06], elbow: [0, -1, 0.25] } };

const jab: MotionOf = (_, target) => {
  const { y, drop, lean } = level(target);
  return {
    hit: { at: 0.5, point: 'hand' },
    back: 1.1,
    keys: [
      {
        at: 0.5,
        hips: { x: 0.035, y: 0.487 - drop, turn: 44 },
        chest: { turn: 56, lean: 7 + lean },
        hands: { lead: { to: [0.5, y, 0], elbow: [0, -0.8, -0.6] } },
      },
    ],
  };
};

const cross: MotionOf = (_, target) => {
  const { y, drop, lean } = level(target);
  const facing = through('rear');
  return {
    hit: { at: 0.5, point: 'hand' },
    back: 1.1,
    keys: [
      {
        at: 0.5,
        hips: { x: drop > 0 ? 0.035 : 0.06, y: 0.485 - drop, turn: facing.hips },
        chest: { turn: facing.chest, lean: 9 + lean },
        hands: { rear: { to: [0.505, y, 0], elbow: [0, -0.8, 0.6] }, ...kept('rear') },
        feet: push('rear'),
      },
    ],
  };
};

const hook: MotionOf = (side, target) => {
  const { y, drop, lean } = level(target);
  const [facing, loaded] = [through(side), wound(side)];
  return {
    hit: { at: 0.5, point: 'hand' },
    back: 1.1,
    keys: [
      {
        at: 0.26,
        hips: { x: 0.03, y: 0.482 - drop * 0.6, turn: loaded.hips },
        chest: { turn: loaded.chest, lean: 8 + lean * 0.6 },
        hands: {
          [side]: { to: sided(side, [0.2, Math.max(y, 0.74) - 0.03, 0.17]), elbow: sided(side, [-0.1, -0.35, 1]) },
        },
      },
      {
        at: 0.5,
        hips: { x: drop > 0 ? 0.018 : 0.075, y: 0.48 - drop, turn: facing.hips },
        chest: { turn: facing.chest, lean: 10 + lean },
        hands: { [side]: { to: sided(side, [0.49, y, 0.04]), elbow: sided(side, [0, 0.1, 1]) }, ...kept(side) },
        feet: push(side),
      },
    ],
  };
};

const uppercut: MotionOf = (side, target) => {
  const { drop, lean } = level(target);
  const high = target === 'body' ? 0.66 : 0.885;
  const [facing, loaded] = [through(side), wound(side)];
  return {
    hit: { at: 0.52, point: 'hand' },
    back: 1.1,
    keys: [
      {
        at: 0.25,
        hips: { x: 0.04, y: 0.455 - drop * 0.8, turn: loaded.hips },
        chest: { turn: loaded.chest, lean: 11 + lean * 0.5 },
        hands: {
          [side]: {
            to: sided(side, [0.21, high - (drop > 0 ? 0.06 : 0.2), 0.11]),
            elbow: sided(side, [-0.5, -1, 0.4]),
          },
        },
      },
      {
        at: 0.52,
        hips: { x: drop > 0 ? 0.028 : 0.07, y: 0.49 - drop, turn: facing.hips },
        chest: { turn: facing.chest * 0.9, lean: 8 + lean },
        hands: { [side]: { to: sided(side, [0.455, high, 0.01]), elbow: sided(side, [0.2, -1, 0.35]) }, ...kept(side) },
        feet: push(side, 0.8),
      },
    ],
  };
};

const overhand: MotionOf = (side, target) => {
  const { y, drop, lean } = level(target);
  const facing = through(side);
  return {
    hit: { at: 0.52, point: 'hand' },
    back: 1.1,
    keys: [
      {
        at: 0.24,
        hips: { x: 0.03, y: 0.48, turn: 40 },
        chest: { turn: 40, lean: 5, side: -3 },
        hands: { [side]: { to: [0.13, 0.96, 0.2], elbow: [-0.3, 0, 1] } },
      },
      {
        at: 0.52,
        hips: { x: drop > 0 ? 0.03 : 0.08, y: 0.465 - drop, z: -0.01, turn: facing.hips - 6 },
        chest: { turn: facing.chest - 6, lean: 15 + lean, side: -10 },
        hands: {
          [side]: { to: [0.505, y + (target === 'body' ? 0.03 : 0.015), 0], elbow: [0, 0.5, 1] },
          ...kept(side),
        },
        feet: push(side),
      },
    ],
  };
};

const shovelHook: MotionOf = (side, target) => {
  const { drop, lean } = level(target);
  const high = target === 'body' ? 0.65 : 0.885;
  const [facing, loaded] = [through(side), wound(side)];
  return {
    hit: { at: 0.5, point: 'hand' },
    back: 1.1,
    keys: [
      {
        at: 0.24,
        hips: { x: 0.04, y: 0.465 - drop * 0.7, turn: loaded.hips },
        chest: { turn: loaded.chest, lean: 10 + lean * 0.5 },
        hands: {
          [side]: {
            to: sided(side, [0.21, high - (drop > 0 ? 0.02 : 0.14), 0.15]),
            elbow: sided(side, [-0.4, -0.9, 0.6]),
          },
        },
      },
      {
        at: 0.5,
        hips: { x: drop > 0 ? 0.02 : 0.07, y: 0.485 - drop, turn: facing.hips },
        chest: { turn: facing.chest, lean: 9 + lean },
        hands: { [side]: { to: sided(side, [0.475, high, 0.035]), elbow: sided(side, [0, -0.9, 0.8]) }, ...kept(side) },
        feet: push(side, 0.9),
      },
    ],
  };
};

const backFist: MotionOf = (_, target) => {
  const { y, drop, lean } = level(target);
  return {
    hit: { at: 0.5, point: 'hand' },
    back: 1.1,
    keys: [
      {
        at: 0.22,
        hips: { x: 0.02, y: 0.486 - drop * 0.6, turn: 44 },
        chest: { turn: 62, lean: 8 + lean * 0.6 },
        hands: { lead: { to: [0.27, y - 0.045, 0.09], elbow: [0.8, -0.3, -0.6] } },
      },
      {
        at: 0.5,
        hips: { x: 0.045, y: 0.485 - drop, turn: 38 },
        chest: { turn: 48, lean: 8 + lean },
        hands: { lead: { to: [0.49, y, -0.03], elbow: [0.2, -0.35, -1] } },
      },
    ],
  };
};

const leapingCross: MotionOf = (side, target) => {
  const plain = cross(side, target);
  const { y } = level(target);
  const [last] = plain.keys;
  return {
    ...plain,
    hit: { at: 0.55, point: 'hand' },
    back: 1.25,
    keys: [
      { at: 0.2, hips: { x: 0.02, y: 0.455, turn: 30 }, chest: { turn: 26, lean: 10 } },
      {
        ...last,
        at: 0.55,
        hips: { x: 0.09, y: 0.55, turn: -16 },
        chest: { turn: -38, lean: 14 },
        hands: { rear: { to: [0.54, y, 0], elbow: [0, -0.6, 0.8] }, ...kept('rear') },
        feet: {
          lead: { ball: [0.15, 0.045, -0.07], heel: 20 },
          rear: { ball: [-0.16, 0.075, 0.08], turn: 20, heel: 60 },
        },
      },
    ],
  };
};

const elbow: MotionOf = (side) => {
  const [facing, loaded] = [through(side), wound(side)];
  return {
    hit: { at: 0.5, point: 'elbow' },
    back: 1.1,
    keys: [
      {
        at: 0.26,
        hips: { x: 0.04, turn: loaded.hips },
        chest: { turn: loaded.chest, lean: 8 },
      },
      {
        at: 0.5,
        hips: { x: 0.075, y: 0.5, turn: facing.hips },
        chest: { turn: facing.chest, lean: 8 },
        hands: {
          [side]: { fold: sided(side, [-0.6, -0.2, -0.7]), elbow: sided(side, [0.72, 0.7, -0.25]) },
          ...kept(side),
        },
        feet: push(side, 1.15),
      },
    ],
  };
};

const shove: MotionOf = () => ({
  hit: null,
  back: 1.15,
  keys: [
    {
      at: 0.5,
      hips: { x: 0.06, y: 0.475, turn: 40 },
      chest: { turn: 50, lean: 12 },
      hands: { lead: { to: [0.49, 0.7, 0], elbow: [0, -0.9, -0.5] } },
    },
    { at: 0.65, hands: { lead: { to: [0.5, 0.7, 0], elbow: [0, -0.9, -0.5] } } },
  ],
});

/** Motions of what hands and elbows throw. */
export const handMotions = {
  jab,
  cross,
  hook,
  uppercut,
  overhand,
  'shovel-hook': shovelHook,
  'back-fist': backFist,
  'spinning-back-fist': spinningBackFist,
  'leaping-cross': leapingCross,
  elbow,
  push: shove,
} as const satisfies Readonly<Record<string, (side: Side, target: Target | null) => Motion>>;
