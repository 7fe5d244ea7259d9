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
      what: `${reboundsPerHit} rebounds per hit leave the bag on the far side`,
      mend: 'use an odd number: start with 7 or 5; 3 for triplets, 1 for singles',
    });
  return good(reboundsPerMinute / reboundsPerHit);
}

/** A soft touch does not reach the board and takes this long (house value, trade page, section 7). */
const softMinutes = 1 / 120;

/**
 * Touches a minute of a row of rebounds: touches in the row over the time the row takes; 0 is a soft touch. An even number is
 * refused.
 * @example speedBagRowRate(300, [3, 3, 1]) // 128.57
 */
export function speedBagRowRate(reboundsPerMinute: PerMinute, row: readonly number[]): Read<PerMinute> {
  let minutes = 0;
  for (const count of row) {
    if (count === 0) {
      minutes += softMinutes;
      continue;
    }
    const rate = speedBagRate(reboundsPerMinute, count);
    if (!rate.ok) return rate;
    minutes += 1 / rate.value;
  }
  return good(row.length / minutes);
}
