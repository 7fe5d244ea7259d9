import type { Metres, Seconds } from '../../units';

/** Standard acceleration of free fall, m/s² (3rd CGPM, 1901). */
export const gravity = 9.80665;

/**
 * Period of a hung bag taken as a point mass, T = 2π·√(L/g) (textbook, small swing). It comes back at the hitter between
 * half a period and a whole one.
 * @example pendulumPeriod(1) // 2.0064
 */
export function pendulumPeriod(length: Metres): Seconds {
  return 2 * Math.PI * Math.sqrt(length / gravity);
}
