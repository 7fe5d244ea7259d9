import type { Side } from '../moves/kind';
import type { FootKey, HandKey, Motion, MotionOf, Travel } from './motion';
import { sided } from './vector';

const toward = (side: Side): number => (side === 'rear' ? 1 : -1);

const still = (keys: Motion['keys'], back = 1.1): Motion => ({ hit: null, back, keys });

const slip: MotionOf = (side) =>
  still([
    {
      at: 0.5,
      hips: { x: side === 'rear' ? -0.045 : 0.02, y: 0.47, z: 0.02 * toward(side), turn: side === 'rear' ? 44 : 12 },
      chest: { turn: side === 'rear' ? 48 : 2, lean: 10, side: 17 * toward(side) },
    },
  ]);

/** Under and up on the other side, along a U. */
const roll: MotionOf = (side) =>
  still(
    [
      {
        at: 0.22,
        hips: {
          x: side === 'rear' ? 0.01 : -0.04,
          y: 0.455,
          z: -0.015 * toward(side),
          turn: side === 'rear' ? 20 : 42,
        },
        chest: { turn: side === 'rear' ? 14 : 44, lean: 11, side: -14 * toward(side) },
      },
      { at: 0.5, hips: { y: 0.38, z: 0, x: -0.03 }, chest: { lean: 25, side: 0 } },
      {
        at: 0.8,
        hips: {
          x: side === 'rear' ? -0.045 : 0.015,
          y: 0.455,
          z: 0.02 * toward(side),
          turn: side === 'rear' ? 44 : 12,
        },
        chest: { turn: side === 'rear' ? 47 : 4, lean: 11, side: 15 * toward(side) },
      },
    ],
    1.25,
  );

const duck: MotionOf = (side) =>
  still([
    {
      at: 0.5,
      hips: { x: -0.035, y: 0.365, z: 0.015 * toward(side), turn: side === 'rear' ? 40 : 18 },
      chest: { turn: side === 'rear' ? 40 : 12, lean: 24, side: 6 * toward(side) },
    },
  ]);

const block: MotionOf = (side) =>
  still([
    {
      at: 0.45,
      hips: { y: 0.48 },
      chest: { turn: side === 'rear' ? 40 : 20, lean: 9, side: -3 * toward(side) },
      hands: { [side]: { near: sided(side, [0.045, 0.005, 0.1]), elbow: sided(side, [0.75, -0.7, 0.45]) } },
    },
    { at: 0.7, hands: { [side]: { near: sided(side, [0.045, 0.005, 0.1]), elbow: sided(side, [0.75, -0.7, 0.45]) } } },
  ]);

const parry: MotionOf = (side) =>
  still([
    {
      at: 0.5,
      chest: { turn: side === 'rear' ? 18 : 38, lean: 8 },
      hands: { [side]: { near: sided(side, [0.2, -0.035, -0.035]), elbow: sided(side, [0, -1, 0.35]) } },
    },
  ]);

const pullBack: MotionOf = () =>
  still([
    {
      at: 0.5,
      hips: { x: -0.055, y: 0.475, turn: 40 },
      chest: { turn: 40, lean: -13 },
    },
  ]);

const shell = (side: Side): HandKey => ({
  near: sided(side, [0.075, -0.005, 0.075]),
  elbow: sided(side, [0.6, -1, 0.15]),
});
const cover: MotionOf = () =>
  still([
    {
      at: 0.45,
      hips: { y: 0.468, turn: 22 },
      chest: { turn: 14, lean: 14 },
      hands: { lead: shell('lead'), rear: shell('rear') },
    },
    { at: 0.75, hands: { lead: shell('lead'), rear: shell('rear') } },
  ]);

/** A shin raised against a low kick, the knee a little out. */
const check: MotionOf = (side) => {
  const raised: FootKey = {
    leg:
      side === 'lead'
        ? { thigh: [0.94, -0.22, 0.16], shank: [0.12, -0.98, -0.12] }
        : { thigh: [0.78, -0.22, 0.56], shank: [0.1, -0.98, 0.1] },
    heel: 10,
    turn: 10 * toward(side),
  };
  return still(
    [
      { at: 0.08, feet: { [side]: {} } },
      {
        at: 0.42,
        hips: {
          x: side === 'lead' ? -0.07 : 0.07,
          y: 0.5,
          z: -0.02 * toward(side),
          turn: side === 'lead' ? 40 : 14,
          tip: 5 * toward(side),
        },
        chest: { turn: side === 'lead' ? 36 : 14, lean: 2 },
        feet: { [side]: raised },
      },
      { at: 0.6, feet: { [side]: raised } },
    ],
    1,
  );
};

const going = (travel: Travel): Motion => ({ ...still([], 1), travel });
/** Around the bag toward a side: with the foot of that side first. Without a side, toward the lead one (house value). */
const round =
  (degrees: number): MotionOf =>
  (side) =>
    going({ around: -degrees * toward(side), first: side });

const grab: MotionOf = () =>
  still(
    [
      {
        at: 0.6,
        hips: { x: 0.06, y: 0.485, turn: 16 },
        chest: { turn: 10, lean: 12 },
        hands: {
          lead: { to: [0.44, 0.86, -0.045], elbow: [0, -1, -0.25] },
          rear: { to: [0.44, 0.86, 0.045], elbow: [0, -1, 0.25] },
        },
      },
      {
        at: 1,
        hands: {
          lead: { to: [0.43, 0.85, -0.045], elbow: [0, -1, -0.25] },
          rear: { to: [0.43, 0.85, 0.045], elbow: [0, -1, 0.25] },
        },
      },
    ],
    2,
  );

const post: MotionOf = () =>
  still(
    [
      {
        at: 0.6,
        hips: { x: 0.03, turn: 40 },
        chest: { turn: 46, lean: 9 },
        hands: { lead: { to: [0.47, 0.84, -0.02], elbow: [0, -1, -0.4] } },
      },
      { at: 1, hands: { lead: { to: [0.47, 0.84, -0.02], elbow: [0, -1, -0.4] } } },
    ],
    2,
  );

const squat: MotionOf = () =>
  still(
    [
      { at: 0.5, hips: { x: -0.035, y: 0.3, turn: 20 }, chest: { turn: 16, lean: 34 } },
      { at: 0.56, hips: { x: -0.035, y: 0.3, turn: 20 }, chest: { turn: 16, lean: 34 } },
    ],
    1,
  );

const onFloor = (side: Side): HandKey => ({
  to: sided(side, [0.3, 0.045, 0.12]),
  elbow: sided(side, [-0.6, 0.1, 0.8]),
});
/** Stretched out behind the hands, knees toward the floor. */
const plank = (side: Side): FootKey => ({
  ball: sided(side, [side === 'lead' ? -0.47 : -0.49, 0, 0.1]),
  heel: 60,
  turn: 0,
  knee: [0.4, -0.9, 0],
});
/** Hands to the floor, feet shot back, in again, up. */
const sprawl: MotionOf = () =>
  still(
    [
      {
        at: 0.24,
        hips: { x: -0.055, y: 0.315, turn: 12 },
        chest: { turn: 6, lean: 64 },
        hands: { lead: onFloor('lead'), rear: onFloor('rear') },
        feet: { lead: { heel: 30, turn: 0 }, rear: { heel: 40, turn: 10 } },
      },
      {
        at: 0.35,
        hips: { x: -0.09, y: 0.3 },
        chest: { lean: 72 },
        feet: {
          lead: { ball: [-0.2, 0.05, -0.09], heel: 60 },
          rear: { ball: [-0.38, 0.05, 0.09], heel: 70, knee: [0.7, -0.6, 0.2] },
        },
      },
      {
        at: 0.46,
        hips: { x: -0.13, y: 0.2, turn: 0 },
        chest: { turn: 0, lean: 78 },
        hands: { lead: onFloor('lead'), rear: onFloor('rear') },
        feet: { lead: plank('lead'), rear: plank('rear') },
      },
      {
        at: 0.56,
        hips: { x: -0.13, y: 0.2, turn: 0 },
        hands: { lead: onFloor('lead'), rear: onFloor('rear') },
        feet: { lead: plank('lead'), rear: plank('rear') },
      },
      {
        at: 0.67,
        hips: { x: -0.09, y: 0.3 },
        chest: { lean: 68 },
        feet: { lead: { ball: [-0.18, 0.06, -0.09], heel: 45 }, rear: { ball: [-0.36, 0.05, 0.09], heel: 55 } },
      },
      {
        at: 0.78,
        hips: { x: -0.05, y: 0.32, turn: 12 },
        chest: { turn: 8, lean: 60 },
        hands: { lead: onFloor('lead'), rear: onFloor('rear') },
        feet: {
          lead: { ball: [0.14, 0, -0.07], heel: 20, turn: 5, knee: [1, 0.1, 0.05] },
          rear: { ball: [-0.14, 0, 0.07], heel: 35, turn: 20, knee: [0.9, 0.1, 0.4] },
        },
      },
    ],
    1,
  );

/** Motions of what is no strike. */
export const otherMotions = {
  slip,
  roll,
  duck,
  block,
  parry,
  'pull-back': pullBack,
  cover,
  check,
  'step-in': () => going({ forward: 0.11, first: 'lead' }),
  'step-out': () => going({ forward: -0.11, first: 'rear' }),
  'step-left': () => going({ right: -0.12, first: 'lead' }),
  'step-right': () => going({ right: 0.12, first: 'rear' }),
  circle: round(28),
  pivot: round(18),
  'angle-out': round(36),
  switch: () => going({ trades: 'hop', first: 'lead' }),
  shift: () => going({ trades: 'through', first: 'rear' }),
  grab,
  post,
  squat,
  sprawl,
  wait: () => still([]),
} as const satisfies Readonly<Record<string, MotionOf>>;
