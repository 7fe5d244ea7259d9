import type { Metres } from '../../units';

/**
 * Heights of the body as shares of stature (Drillis and Contini segment lengths, as reprinted in biomechanics
 * textbooks; from memory).
 */
export const shares = {
  knee: 0.285,
  hip: 0.53,
  elbow: 0.63,
  shoulder: 0.818,
  chin: 0.87,
  eye: 0.936,
} as const;

/** Upper arm, forearm and half a hand: from the shoulder to the knuckles of a fist (same source, from memory). */
const armShare = 0.186 + 0.146 + 0.108 / 2;
/** A low kick lands this far above the knee (house value: "just above"). */
const aboveKnee: Metres = 0.05;

export type BodyHeights = Readonly<Record<keyof typeof shares, Metres>>;

/** Where an athlete's joints stand. `bodyHeights(1.8).chin` → `1.566` */
export function bodyHeights(stature: Metres): BodyHeights {
  const at = (share: number): Metres => Math.round(stature * share * 1000) / 1000;
  return {
    knee: at(shares.knee),
    hip: at(shares.hip),
    elbow: at(shares.elbow),
    shoulder: at(shares.shoulder),
    chin: at(shares.chin),
    eye: at(shares.eye),
  };
}

/** From the shoulder to the fist of a stretched arm. `armReach(1.8)` → `0.695` */
export function armReach(stature: Metres): Metres {
  return Math.round(stature * armShare * 1000) / 1000;
}

/** The smallest, the middle one and the tallest of a class; null where nobody is measured. */
export interface ClassStatures {
  readonly smallest: Metres;
  readonly median: Metres;
  readonly tallest: Metres;
}

/** `classStatures([1.6, 1.9, 1.7]).median` → `1.7`; of an even number the mean of the two in the middle. */
export function classStatures(statures: readonly Metres[]): ClassStatures | null {
  const sorted = [...statures].sort((a, b) => a - b);
  const [smallest, tallest] = [sorted[0], sorted.at(-1)];
  if (smallest === undefined || tallest === undefined) return null;
  const half = sorted.length / 2;
  const [low, high] = [sorted[Math.ceil(half) - 1] ?? smallest, sorted[Math.floor(half)] ?? tallest];
  return { smallest, median: (low + high) / 2, tallest };
}

/** Lowest edge a bag may have for a low kick of this athlete to land on it, just above the knee. */
export function lowKickEdge(stature: Metres): Metres {
  return Math.round((stature * shares.knee + aboveKnee) * 1000) / 1000;
}

/** Whether a low kick lands on a bag for every one of these athletes; the smallest kicks lowest. */
export function lowKicksLand(lowerEdge: Metres, statures: readonly Metres[]): boolean {
  return statures.every((stature) => lowerEdge <= lowKickEdge(stature));
}
