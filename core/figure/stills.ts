import type { Side } from '../moves/kind';
import type { Stance } from '../mechanics/walk';
import { newBody } from './body';
import type { Figure } from './figure-of';
import { finished } from './finished';
import { startFrame } from './frame';
import type { FootKey, HandKey, Key, Motion } from './motion';
import type { BodySide } from './pose';
import { playKeys } from './play-keys';
import { sided, type Vector } from './vector';
import { move } from '../moves/move';

/** A pose that is held. */
type Still = Omit<Key, 'at'> & {
  /** Left and right are the body's own, so that it is never mirrored. */
  readonly whoeverLeads?: true;
};

const both = <Part>(of: (side: Side) => Part): Readonly<Record<Side, Part>> => ({ lead: of('lead'), rear: of('rear') });

const hands = (at: Vector, elbow: Vector): Readonly<Record<Side, HandKey>> =>
  both((side) => ({ near: sided(side, at), elbow: sided(side, elbow) }));
const handsTo = (at: Vector, elbow: Vector): Readonly<Record<Side, HandKey>> =>
  both((side) => ({ to: sided(side, at), elbow: sided(side, elbow) }));
const level = (apart: number, lift = 0): Readonly<Record<Side, FootKey>> =>
  both((side) => ({
    ball: sided(side, [0.02, lift, apart]),
    turn: side === 'rear' ? 12 : -12,
    heel: lift > 0 ? 35 : 2,
    knee: sided(side, [1, 0.1, 0.12]),
  }));
const legs = (thigh: Vector, shank: Vector, heel = 0): Readonly<Record<Side, FootKey>> =>
  both((side) => ({ leg: { thigh: sided(side, thigh), shank: sided(side, shank) }, heel, turn: 0 }));

const standing = { hips: { x: -0.02, y: 0.525, turn: 0 }, chest: { turn: 0, lean: 1 }, feet: level(0.07) } as const;
const atSides = hands([0.03, -0.5, 0.19], [-1, 0, 0.3]);
const onHands = handsTo([0.2, 0.045, 0.11], [-0.6, 0.1, 0.8]);
const onForearms = handsTo([0.32, 0.04, 0.08], [-0.3, -1, 0.2]);
const stretched = { hips: { x: -0.13, y: 0.26, turn: 0 }, chest: { turn: 0, lean: 71 } } as const;
/** Straight legs that fall so far to the toes; a planted leg would keep its knee bent. */
const behind = (fall: number): Readonly<Record<Side, FootKey>> => legs([-1, -fall, 0], [-1, -fall - 0.04, 0], 62);
/** On one forearm, the body straight and turned to its side, the other hand on the hip; an orthodox athlete's left leads. */
const sidePlank = (arm: BodySide): Still => {
  const [down, up, over]: [Side, Side, number] = arm === 'left' ? ['lead', 'rear', 1] : ['rear', 'lead', -1];
  const along = (x: number, y: number, z: number): Vector => [x, y, over * z];
  const leg = (fall: number): FootKey => ({
    leg: { thigh: along(0.03, -fall, 0.95), shank: along(0, -fall, 0.95) },
    heel: 0,
    turn: 0,
  });
  return {
    hips: { x: 0, y: 0.21, z: over * 0.1, turn: 0, tip: over * 68 },
    chest: { turn: 0, lean: 0, side: over * -68 },
    hands: {
      [down]: { to: along(0.18, 0.045, -0.28), elbow: along(0, -1, -0.1) },
      [up]: { near: along(0.05, -0.3, 0.4), elbow: along(-0.2, 1, 0.4) },
    },
    // The upper foot lies on the lower one.
    feet: { [down]: leg(0.17), [up]: leg(0.44) },
    whoeverLeads: true,
  };
};
const onBack = { hips: { x: 0.12, y: 0.075, turn: 0 }, chest: { turn: 0, lean: -84 } } as const;
const feetFlat = both((side): FootKey => ({ ball: sided(side, [0.42, 0, 0.08]), turn: 0, heel: 0, knee: [0.3, 1, 0] }));

/** Still poses by name, in the athlete's own frame: what exercises of the library look like (house values, by eye). */
export const stills = {
  'standing easy': { ...standing, hands: atSides },
  'hands on hips': { ...standing, hands: hands([0.03, -0.4, 0.13], [-0.3, 0.1, 1]) },
  'arms wide': { ...standing, hands: hands([0, -0.12, 0.47], [-0.3, -1, 0]) },
  'arms in front': { ...standing, hands: handsTo([0.37, 0.8, 0.05], [0, -1, 0.4]) },
  'knee up': {
    hips: { x: 0, y: 0.525, turn: 5 },
    chest: { turn: 5, lean: 0 },
    hands: hands([0.13, -0.06, 0.06], [-0.1, -1, 0.35]),
    feet: { ...level(0.07), rear: { leg: { thigh: [0.96, -0.05, 0.1], shank: [-0.1, -1, 0] }, heel: 20, turn: 0 } },
  },
  'knee up, arm up': {
    hips: { x: 0, y: 0.525, turn: 0 },
    chest: { turn: 0, lean: 0 },
    hands: {
      lead: { near: [0.03, 0.28, -0.1], elbow: [-0.3, 0, -1] },
      rear: { near: [0.05, -0.45, 0.17], elbow: [-1, 0, 0.3] },
    },
    feet: { ...level(0.07), rear: { leg: { thigh: [0.92, -0.35, 0.08], shank: [-0.1, -1, 0] }, heel: 20, turn: 0 } },
  },
  'small jump': {
    hips: { y: 0.56, turn: 0 },
    chest: { turn: 0, lean: 2 },
    hands: hands([0.1, -0.38, 0.2], [-0.9, -0.2, 0.5]),
    feet: level(0.06, 0.035),
  },
  star: {
    hips: { y: 0.5, turn: 0 },
    chest: { turn: 0, lean: 0 },
    hands: hands([0, 0.17, 0.3], [0, -0.3, 1]),
    feet: level(0.24, 0.02),
  },
  squat: {
    hips: { x: -0.08, y: 0.3, turn: 0 },
    chest: { turn: 0, lean: 36 },
    hands: hands([0.15, -0.09, 0.06], [-0.1, -1, 0.35]),
    feet: level(0.12),
  },
  'leg swung': {
    hips: { x: 0, y: 0.52, turn: 10 },
    chest: { turn: 10, lean: -5 },
    hands: hands([0.05, -0.3, 0.28], [-0.8, -0.3, 0.6]),
    feet: {
      ...level(0.07),
      rear: { leg: { thigh: [0.8, -0.55, 0.08], shank: [0.8, -0.6, 0.05] }, heel: -10, turn: 0 },
    },
  },
  'trunk turned': { ...standing, chest: { turn: -38, lean: 3 }, hands: hands([0.02, -0.2, 0.4], [-0.3, -1, 0]) },
  'trunk turned in stance': {
    hips: { turn: 48 },
    chest: { turn: 62, lean: 4 },
    hands: hands([0.13, -0.06, 0.06], [-0.1, -1, 0.35]),
    feet: { rear: { ball: [-0.13, 0, 0.1], turn: 30, heel: 45 } },
  },
  'step to the side': {
    hips: { x: -0.03, y: 0.46, turn: 0 },
    chest: { turn: 0, lean: 6 },
    hands: hands([0.13, -0.06, 0.06], [-0.1, -1, 0.35]),
    feet: level(0.19),
  },
  'heel pressed back': {
    hips: { x: -0.02, y: 0.49, turn: 0 },
    chest: { turn: 0, lean: 22 },
    hands: handsTo([0.4, 0.78, 0.09], [0, -0.6, 0.8]),
    feet: {
      lead: { ball: [0.18, 0, -0.07], turn: 0, heel: 0, knee: [1, 0.1, 0] },
      rear: { ball: [-0.24, 0, 0.07], turn: 0, heel: 0, knee: [1, 0.1, 0] },
    },
  },
  'low lunge': {
    hips: { x: 0.02, y: 0.3, turn: 8 },
    chest: { turn: 5, lean: 4 },
    hands: hands([0.05, -0.42, 0.15], [-0.5, -0.3, 0.9]),
    feet: {
      lead: { ball: [0.27, 0, -0.07], heel: 0 },
      rear: { ball: [-0.33, 0, 0.07], turn: 5, heel: 62, knee: [0.9, -0.3, 0] },
    },
  },
  'folded forward': {
    hips: { x: -0.06, y: 0.5, turn: 0 },
    chest: { turn: 0, lean: 95 },
    hands: handsTo([0.22, 0.16, 0.07], [0, 0.3, 1]),
    feet: level(0.07),
  },
  plank: { hips: { x: -0.13, y: 0.17, turn: 0 }, chest: { turn: 0, lean: 83 }, hands: onForearms, feet: behind(0.11) },
  'side plank left': sidePlank('left'),
  'side plank right': sidePlank('right'),
  'press-up': { ...stretched, hands: onHands, feet: behind(0.275) },
  climber: {
    ...stretched,
    hands: onHands,
    feet: {
      ...behind(0.275),
      rear: { leg: { thigh: [0.95, -0.12, 0.1], shank: [-0.94, -0.12, 0] }, heel: 40, turn: 0 },
    },
  },
  'dead bug': {
    ...onBack,
    hands: handsTo([-0.14, 0.44, 0.1], [0.6, 0, 0.8]),
    feet: legs([0.15, 0.98, 0.08], [0.98, -0.1, 0]),
  },
  bridge: {
    hips: { x: 0.05, y: 0.25, turn: 0 },
    chest: { turn: 0, lean: -118 },
    hands: handsTo([0.08, 0.04, 0.17], [-0.5, 0, 1]),
    feet: feetFlat,
  },
  crunch: {
    ...onBack,
    chest: { turn: 0, lean: -58 },
    hands: hands([0.12, 0.02, 0.06], [0.3, -0.8, 0.5]),
    feet: feetFlat,
  },
  hollow: {
    ...onBack,
    chest: { turn: 0, lean: -74 },
    hands: handsTo([-0.5, 0.42, 0.1], [0, 0.5, 1]),
    feet: legs([0.96, 0.26, 0.08], [0.97, 0.2, 0], 40),
  },
  'v-sit': {
    ...onBack,
    chest: { turn: 0, lean: -42 },
    hands: hands([0.2, -0.14, 0.1], [0, -0.8, 0.5]),
    feet: legs([0.8, 0.58, 0.1], [0.95, 0.1, 0], 20),
  },
} as const satisfies Readonly<Record<string, Still>>;
export type StillName = keyof typeof stills;

/** At this moment a still figure is in its pose; it stays there. */
export const stillAt = 10;
const forever = 1e9;

/**
 * A figure that holds a pose.
 * @example sceneAt(stillFigure('squat', 'orthodox'), stillAt, views.side)
 */
export function stillFigure(name: StillName, stance: Stance): Figure {
  const home = startFrame(false);
  const body = newBody(home);
  const { whoeverLeads, ...key }: Still = stills[name];
  const motion: Motion = { keys: [{ ...key, at: 1 }], hit: null, back: forever };
  playKeys(body, motion, { at: 0, ms: 8, frameAt: () => home, after: home, move: move('wait'), taken: new Set() });
  return { motion: finished(body, home, forever), mirrored: stance === 'southpaw' && !whoeverLeads, square: false };
}
