import type { Milliseconds } from '../units';

/** In and out, in a rest (trade page, section 6; house values). The breath is not held. */
export const breath = { inMs: 2000, outMs: 4000 } as const;

/** Where a breath is. */
export interface Breath {
  readonly phase: 'in' | 'out';
  /** How full the lungs are, 0 to 1. */
  readonly full: number;
}

/** The breath that is drawn so long after a rest has begun. `breathAt(3000)` → `{ phase: 'out', full: 0.75 }` */
export function breathAt(since: Milliseconds): Breath {
  const at = Math.max(0, since) % (breath.inMs + breath.outMs);
  if (at < breath.inMs) return { phase: 'in', full: at / breath.inMs };
  return { phase: 'out', full: 1 - (at - breath.inMs) / breath.outMs };
}
