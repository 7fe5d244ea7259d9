import type { Milliseconds } from '../units';

/** In and out, in a rest, and how long a school holds the breath in between (trade page, section 6; house values). */
export const breath = { inMs: 2000, heldMs: 3000, outMs: 4000 } as const;

/** Where a breath is. */
export interface Breath {
  readonly phase: 'in' | 'hold' | 'out';
  /** How full the lungs are, 0 to 1. */
  readonly full: number;
}

/**
 * The breath that is drawn so long after a rest has begun; held only where the coach has chosen that.
 * @example breathAt(3000) // { phase: 'out', full: 0.75 }
 */
export function breathAt(since: Milliseconds, held = false): Breath {
  const outAt = breath.inMs + (held ? breath.heldMs : 0);
  const at = Math.max(0, since) % (outAt + breath.outMs);
  if (at < breath.inMs) return { phase: 'in', full: at / breath.inMs };
  if (at < outAt) return { phase: 'hold', full: 1 };
  return { phase: 'out', full: 1 - (at - outAt) / breath.outMs };
}
