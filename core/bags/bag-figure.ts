import { bagAhead, bagRadius } from '../figure/motion';
import { figureStature } from '../figure/rig';
import type { Figure } from '../figure/figure-of';
import { hull, type PicturePart } from '../figure/picture';
import type { Beside } from '../figure/scene';
import type { Vector } from '../figure/pose';
import type { Camera } from '../figure/view';
import { isHandStrike } from '../moves/move';
import type { Hertz, Metres, Milliseconds, Statures } from '../units';
import { doubleEndSwing, excursion, type DoubleEnd } from './bench/double-end';
import { pendulumPeriod } from './bench/pendulum';
import { shares } from './bench/heights';
import type { BagKind } from './kind-names';
import { bagNatures, type BagNature } from './kinds';

/** How a bag goes after a blow: how often it swings, how far a punch and a kick send it. */
export interface BagSwing {
  readonly frequency: Hertz;
  readonly byHand: Metres;
  readonly byLeg: Metres;
}

/** From the hook to the middle of a hung bag, where nobody measured it (house value). */
const usualHang: Metres = 1.4;
/** How far a blow sends a bag, where nobody measured it (house values). */
const usualSwings: Readonly<Record<'heavy' | 'ball' | 'firm', BagSwing>> = {
  heavy: { frequency: 1 / pendulumPeriod(usualHang), byHand: 0.05, byLeg: 0.12 },
  ball: { frequency: 2.6, byHand: 0.16, byLeg: 0.16 },
  firm: { frequency: 2, byHand: 0.015, byLeg: 0.05 },
};

/** A swing has died away to a third after this many seconds (house value). */
const fades = 1.2;

/** How a kind of bag goes by the bench where it was measured, else as such a thing usually does. */
export function swingOf(nature: BagNature, measured: Partial<BagSwing> = {}): BagSwing {
  const usual = nature.ball ? usualSwings.ball : nature.hangs ? usualSwings.heavy : usualSwings.firm;
  return { ...usual, ...measured };
}

/** Momentum that a light blow gives a ball, kg·m/s, and how far out it is drawn at most (house values). */
const lightBlow = 0.5;
const farthest: Metres = 0.35;

/** How a ball between measured cords goes, by the bench's own figures. `ballSwing(ball).frequency` → `3.1` */
export function ballSwing(ball: DoubleEnd): Partial<BagSwing> {
  return {
    frequency: doubleEndSwing(ball).frequency,
    byHand: Math.min(farthest, excursion(ball, lightBlow)),
  };
}

/** How far a bag is out of its place at a moment, away from the hitter: every blow so far adds its own dying swing. */
export function swungOut(figure: Figure, at: Milliseconds, swing: BagSwing): Statures {
  let out = 0;
  for (const { at: hit, move } of figure.motion.hits) {
    const since = (at - hit) / 1000;
    if (since <= 0 || since > 5 * fades) continue;
    const far = isHandStrike(move) ? swing.byHand : swing.byLeg;
    out += far * Math.exp(-since / fades) * Math.sin(2 * Math.PI * swing.frequency * since);
  }
  return out / figureStature;
}

/** Behind the limb that strikes it, whichever side one looks from. */
const behind: Statures = 0.3;

function cord(camera: Camera, from: Vector, to: Vector): PicturePart {
  const [a, b] = [camera(from), camera(to)];
  return {
    kind: 'line',
    paint: 'bag',
    width: 0.008,
    depth: (a.depth + b.depth) / 2 + behind + 0.01,
    points: [
      [a.x, a.y],
      [b.x, b.y],
    ],
  };
}

const top: Statures = 1.14;
const ballRadius: Statures = 0.06;

/** The parts of a bag whose middle is out of its place by so much: hung, standing, between cords, or none. */
function bagParts(nature: BagNature, camera: Camera, out: Statures, ahead: Statures): PicturePart[] {
  const at = (height: Statures, share = 1): Vector => [ahead + out * share, height, 0];
  if (nature.body !== 'thing') return [];
  if (nature.ball) {
    const middle = shares.chin + 0.02;
    const front = bagAhead - bagRadius + ballRadius;
    const ball: Vector = [front + ahead - bagAhead + out, middle, 0];
    const foot: Vector = [front + ahead - bagAhead, 0, 0];
    const hook: Vector = [foot[0], top, 0];
    const cords =
      nature.measured === 'cords'
        ? [cord(camera, hook, ball), cord(camera, ball, foot)]
        : nature.hangs
          ? [cord(camera, hook, ball)]
          : [cord(camera, ball, foot)];
    return [...cords, hull(camera, [[ball, ballRadius]], 'bag', -behind)];
  }
  // A hung bag swings about its hook: its lower end goes further than its upper one.
  if (nature.hangs)
    return [
      cord(camera, at(top, 0), at(0.98, 0.3)),
      hull(
        camera,
        [
          [at(0.98, 0.35), bagRadius * 0.9],
          [at(0.3, 1.25), bagRadius],
        ],
        'bag',
        -behind,
      ),
    ];
  return [
    hull(
      camera,
      [
        [at(0.96, 1.4), bagRadius * 0.85],
        [at(0.3, 0.3), bagRadius],
      ],
      'bag',
      -behind,
    ),
    hull(
      camera,
      [
        [at(0.07, 0), 0.14],
        [at(0.03, 0), 0.16],
      ],
      'shorts',
      -behind,
    ),
  ];
}

/** The bag of a kind beside a figure; none where there is no kind. `besideOf(leaf.bag, figure)` */
export function besideOf(kind: BagKind | null, figure: Figure, measured?: Partial<BagSwing>): Beside | null {
  return kind && bagBeside(bagNatures[kind], figure, measured);
}

/**
 * A bag beside a figure: where the strikes land, swinging after each.
 * @example sceneAt(figure, 400, views.side, bagBeside(bagNatures.heavy, figure)).parts.some(({ paint }) => paint === 'bag') // true
 */
export function bagBeside(nature: BagNature, figure: Figure, measured?: Partial<BagSwing>): Beside {
  const swing = swingOf(nature, measured);
  // Whoever steps in or out has the bag where they strike it: it hangs at the mean of those places.
  const places = figure.motion.hits.map(({ frame }) => frame.origin[0]);
  const mean = places.length > 0 ? places.reduce((sum, x) => sum + x, 0) / places.length : 0;
  return (camera, at) => bagParts(nature, camera, swungOut(figure, at, swing), bagAhead + mean);
}
