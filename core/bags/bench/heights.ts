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
