import type { Kilograms, Metres, Seconds } from '../../units';

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

/** A cylinder on a chain that does not weigh anything. */
export interface HungBag {
  readonly mass: Kilograms;
  /** From the hook to the bag's upper edge. */
  readonly chain: Metres;
  readonly length: Metres;
  readonly radius: Metres;
}

/**
 * Period of a hung bag as a body, T = 2π·√(I/(m·g·d)): I of a solid cylinder across its axis, m(3r² + l²)/12, moved to the
 * hook by Steiner's rule (textbook, small swing). The mass falls out.
 * @example hungBagPeriod({ mass: 36, chain: 0.5, length: 1.2, radius: 0.17 }) // 2.18
 */
export function hungBagPeriod({ mass, chain, length, radius }: HungBag): Seconds {
  const d = chain + length / 2;
  const inertia = (mass * (3 * radius ** 2 + length ** 2)) / 12 + mass * d ** 2;
  return 2 * Math.PI * Math.sqrt(inertia / (mass * gravity * d));
}

/** The stretch of a swing in which a bag that was pushed away comes back at the hitter. */
export function comesBack(period: Seconds): { readonly from: Seconds; readonly to: Seconds } {
  return { from: period / 2, to: period };
}
