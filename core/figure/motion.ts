import type { Side, Target } from '../moves/kind';
import type { Degrees, Statures } from '../units';
import type { Vector } from './vector';

/**
 * How a move looks, as data. Everything is written in the athlete's own frame: x toward the target, y up from the floor,
 * z toward the rear side; statures and degrees; origin midway between the feet. What a key leaves out stays as the
 * move's key before has it, or as the guard has it.
 */
export interface Key {
  /** Share of the move's length. */
  readonly at: number;
  readonly hips?: {
    readonly x?: Statures;
    readonly y?: Statures;
    readonly z?: Statures;
    /** Facing toward the rear side; less brings the rear hip forward. */
    readonly turn?: Degrees;
    /** Rear hip up. */
    readonly tip?: Degrees;
  };
  readonly chest?: {
    readonly turn?: Degrees;
    readonly lean?: Degrees;
    /** Toward the rear side. */ readonly side?: Degrees;
  };
  readonly hands?: Readonly<Partial<Record<Side, HandKey>>>;
  readonly feet?: Readonly<Partial<Record<Side, FootKey>>>;
}

/** A fist: at a point of the frame, near the head (it follows slips and ducks), or where an elbow's aim folds it to. */
export type HandKey = { readonly elbow: Vector } & (
  | { readonly to: Vector }
  /** `turned` when the whole body is, as in a spin. */
  | { readonly near: Vector; readonly turned?: Degrees }
  /** `elbow` is the way from shoulder to elbow, `fold` the way from there to the fist. */
  | { readonly fold: Vector }
);

/** A foot: turned on its ball, set down elsewhere, or in the air by its ankle. */
export interface FootKey {
  readonly turn?: Degrees;
  /** Heel up; less than nothing lifts the toes. */
  readonly heel?: Degrees;
  readonly ball?: Vector;
  /** As in guard, but turned with the whole body about its middle, and lifted. */
  readonly carried?: { readonly by: Degrees; readonly lift: Statures };
  readonly ankle?: Vector;
  /** By the way of the thigh and of the shank from the hip. */
  readonly leg?: { readonly thigh: Vector; readonly shank: Vector };
  /** Which way the knee points. */
  readonly knee?: Vector;
}

/** What touches the target. */
export type ContactPoint = 'hand' | 'elbow' | 'knee' | 'shin' | 'ball';

/** Where a foot move takes the athlete: along the floor, around the bag, or through to the other stance. */
export interface Travel {
  readonly forward?: Statures;
  /** Toward the athlete's own right. */
  readonly right?: Statures;
  /** Around the target, toward the rear side. */
  readonly around?: Degrees;
  /** Lead and rear trade places: in a hop, or by the rear foot passing through. */
  readonly trades?: 'hop' | 'through';
  /** Which foot goes first; both at once in a hop. */
  readonly first: Side;
}

export interface Motion {
  readonly keys: readonly Key[];
  /** What lands, and at which share of the move's length; null where nothing does. */
  readonly hit: { readonly at: number; readonly point: ContactPoint } | null;
  /** When all is back in guard, as a share of the move's length, if nothing else comes first. */
  readonly back: number;
  readonly travel?: Travel;
  /** Turns of the whole body that it ends with. */
  readonly spins?: number;
}

/** The motion of a move on a side, at a height. */
export type MotionOf = (side: Side, target: Target | null) => Motion;

/** The guard, from which every motion begins and to which it returns. Natural, feet a shoulder's width apart (common practice). */
export const guard = {
  hips: { x: 0, y: 0.49, z: 0, turn: 35, tip: 0 },
  chest: { turn: 30, lean: 7, side: 0 },
  hands: {
    lead: { near: [0.135, -0.045, -0.05], elbow: [-0.1, -1, -0.3] },
    rear: { near: [0.085, -0.07, 0.055], elbow: [-0.1, -1, 0.3] },
  },
  feet: {
    lead: { ball: [0.14, 0, -0.07], turn: 12, heel: 2, knee: [1, 0.1, 0.05] },
    rear: { ball: [-0.14, 0, 0.07], turn: 48, heel: 22, knee: [0.8, 0.1, 0.6] },
  },
} as const satisfies Omit<Required<Key>, 'at'>;

/** Feet of a square stance: level, a little wider than the hips. */
export const squareFeet = {
  lead: { ball: [0, 0, -0.1], turn: -8, heel: 2, knee: [1, 0.1, -0.15] },
  rear: { ball: [0, 0, 0.1], turn: 12, heel: 4, knee: [1, 0.1, 0.15] },
} as const satisfies Readonly<Record<Side, FootKey>>;

/** How far in front of the middle of the feet a bag's middle hangs, and how thick it is (house values). */
export const bagAhead: Statures = 0.62;
export const bagRadius: Statures = 0.09;
