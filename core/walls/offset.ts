import type { Milliseconds } from '../units';

/** A question about the other clock: asked at `t0` and answered at `t3` by ours, met at `t1` and left at `t2` by the other. */
export interface RoundTrip {
  readonly t0: Milliseconds;
  readonly t1: Milliseconds;
  readonly t2: Milliseconds;
  readonly t3: Milliseconds;
}

/** Round trips that are kept: as many as NTP's clock filter keeps (RFC 5905, section 10). */
export const keptTrips = 8;

/** How long the line itself took, both ways (RFC 5905, section 8: δ). `delayOf({ t0: 0, t1: 60, t2: 61, t3: 21 })` → `20` */
export const delayOf = ({ t0, t1, t2, t3 }: RoundTrip): Milliseconds => t3 - t0 - (t2 - t1);

/** How far the other clock is ahead by one trip (RFC 5905, section 8: θ). `offsetBy({ t0: 0, t1: 60, t2: 61, t3: 21 })` → `50` */
export const offsetBy = ({ t0, t1, t2, t3 }: RoundTrip): Milliseconds => (t1 - t0 + (t2 - t3)) / 2;

/**
 * How far the other clock is ahead of ours: by the quickest of the last eight trips, since it can be wrong by half of its
 * delay at most (RFC 5905, section 10). Null where nothing was asked yet.
 * @example offsetOf([{ t0: 0, t1: 60, t2: 61, t3: 21 }]) // 50
 */
export function offsetOf(trips: readonly RoundTrip[]): Milliseconds | null {
  const kept = trips.slice(-keptTrips);
  const [first, ...others] = kept;
  if (!first) return null;
  return offsetBy(others.reduce((best, trip) => (delayOf(trip) < delayOf(best) ? trip : best), first));
}
