import type { Kilograms, Metres, Newtons } from './units';

export const measureSystems = ['metric', 'imperial'] as const;
/** In which measures lengths, weights and pulls are shown and typed; the core keeps SI units. */
export type MeasureSystem = (typeof measureSystems)[number];

// Exact by the international yard and pound agreement of 1959 (NIST SP 811, appendix B); the pound-force at standard gravity.
const inch: Metres = 0.0254;
const pound: Kilograms = 0.45359237;
const poundForce: Newtons = pound * 9.80665;

/** What is measured, with its unit's name and size in each system. */
export const measures = {
  length: { metric: { name: 'm', size: 1, digits: 2 }, imperial: { name: 'in', size: inch, digits: 1 } },
  mass: { metric: { name: 'kg', size: 1, digits: 2 }, imperial: { name: 'lb', size: pound, digits: 2 } },
  pull: { metric: { name: 'N', size: 1, digits: 1 }, imperial: { name: 'lbf', size: poundForce, digits: 1 } },
} as const;
export type Measured = keyof typeof measures;

/** A figure as it stands in a field. `inUnits('length', 1.8, 'imperial')` → `70.9` */
export function inUnits(what: Measured, value: number, system: MeasureSystem): number {
  const { size, digits } = measures[what][system];
  return Number((value / size).toFixed(digits));
}

/**
 * A bound as it is told beside a field, rounded inwards, so that what is told can be typed.
 * @example boundInUnits('length', 0.8, 'imperial', 'least') // 31.5
 */
export function boundInUnits(what: Measured, value: number, system: MeasureSystem, end: 'least' | 'most'): number {
  const { size, digits } = measures[what][system];
  const steps = (value / size) * 10 ** digits;
  return (end === 'least' ? Math.ceil(steps - 1e-6) : Math.floor(steps + 1e-6)) / 10 ** digits;
}

/** A field's figure back in SI units. `fromUnits('length', 70.9, 'imperial')` → `1.80086` */
export function fromUnits(what: Measured, value: number, system: MeasureSystem): number {
  return value * measures[what][system].size;
}

/** A length as it is said. `sayLength(1.8, 'imperial')` → `5 ft 11 in` */
export function sayLength(value: Metres, system: MeasureSystem): string {
  if (system === 'metric') return `${value.toFixed(2)} m`;
  const inches = Math.round(value / inch);
  return inches < 12 ? `${inches} in` : `${Math.floor(inches / 12)} ft ${inches % 12} in`;
}
