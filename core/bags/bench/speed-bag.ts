import { bad, good, type Read } from '../../fault';
import type { PerMinute } from '../../units';

/**
 * Touches a minute on a speed bag. It must come back to the hitter's side, so the rebounds between touches are odd; even
 * ones are refused.
 * @example speedBagRate(360, 3) // 120
 */
export function speedBagRate(reboundsPerMinute: PerMinute, reboundsPerHit: number): Read<PerMinute> {
  if (!Number.isInteger(reboundsPerHit) || reboundsPerHit < 1 || reboundsPerHit % 2 === 0)
    return bad({
      at: 0,
      end: 0,
      read: String(reboundsPerHit),
      what: `${reboundsPerHit} rebounds a hit leave the bag on the far side`,
      mend: 'write an odd number: 7 or 5 to begin with, 3 for triplets, 1 for singles',
    });
  return good(reboundsPerMinute / reboundsPerHit);
}
