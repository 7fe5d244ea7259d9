import type { PaceFactor, Percent } from '../units';

export const effortNames = ['easy', 'steady', 'strong', 'all-out'] as const;
/** How hard a piece is meant: in words, or as a per cent. */
export type Effort = (typeof effortNames)[number] | Percent;

export const focusNames = ['technique', 'speed', 'power'] as const;
/** What a piece is about, where it is about one thing; it decides the pace before the effort does. */
export type Focus = (typeof focusNames)[number];

/** House values of the trade page, section 4. */
const paceOfEffort: Readonly<Record<(typeof effortNames)[number], PaceFactor>> = {
  easy: 0.8,
  steady: 1,
  strong: 0.9,
  'all-out': 1.45,
};
const paceOfFocus: Readonly<Record<Focus, PaceFactor>> = { technique: 0.6, power: 0.9, speed: 1.3 };
const slowest: PaceFactor = 0.4;

/**
 * How fast a piece is worked. A per cent lies on the straight line through 0.8 at 50 and 1.45 at 100, never under 0.4.
 * @example paceOf('strong') // 0.9
 */
export function paceOf(effort: Effort, focus?: Focus): PaceFactor {
  if (focus) return paceOfFocus[focus];
  if (typeof effort !== 'number') return paceOfEffort[effort];
  return Math.max(slowest, 0.8 + ((effort - 50) / 50) * (1.45 - 0.8));
}

/** `strong`, `70 %` */
export function sayEffort(effort: Effort): string {
  return typeof effort === 'number' ? `${effort}%` : effort;
}
