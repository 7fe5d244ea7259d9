import { bad, good, type Read } from '../fault';
import type { Side } from '../moves/kind';
import type { PerMinute, Seconds } from '../units';
import { speedBagRate } from './bench/speed-bag';

/** One touch of a rhythm: when, with which hand, and how many rebounds follow it. */
export interface Touch {
  readonly at: Seconds;
  readonly side: Side;
  readonly rebounds: number;
}

/** One round of a rhythm; `seconds` later it begins again. */
export interface Rhythm {
  readonly touches: readonly Touch[];
  readonly seconds: Seconds;
}

/** Rhythms in the order they are learnt: rebounds after each touch, hand by hand (trade page, section 7; common practice, no source). A new one is a line here. */
export const speedRhythms: readonly { readonly name: string; readonly rebounds: readonly number[] }[] = [
  { name: 'Sevens', rebounds: [7, 7] },
  { name: 'Fives', rebounds: [5, 5] },
  { name: 'Triplets', rebounds: [3, 3, 3, 3] },
  { name: 'Two triplets, four singles', rebounds: [3, 3, 1, 1, 1, 1] },
  { name: 'One triplet, runs of six', rebounds: [3, 1, 1, 1, 1, 1, 1] },
  { name: 'Singles', rebounds: [1, 1, 1, 1, 1, 1, 1, 1] },
];

/**
 * When the touches of a rhythm fall on a bag of a speed. Lead and rear take turns. Rebounds between touches are odd, or the
 * bag is on its far side.
 * @example speedRhythm([3, 3], 360).value.touches[1].at // 0.5
 */
export function speedRhythm(rebounds: readonly number[], reboundsPerMinute: PerMinute): Read<Rhythm> {
  if (!(reboundsPerMinute > 0))
    return bad({
      at: 0,
      end: 0,
      read: String(reboundsPerMinute),
      what: `a bag does not rebound ${reboundsPerMinute} times a minute`,
      mend: 'count the rebounds of ten seconds and write six times as many',
    });
  const touches: Touch[] = [];
  let at: Seconds = 0;
  for (const [index, count] of rebounds.entries()) {
    const rate = speedBagRate(reboundsPerMinute, count);
    if (!rate.ok) return rate;
    touches.push({ at, side: index % 2 === 0 ? 'lead' : 'rear', rebounds: count });
    at += 60 / rate.value;
  }
  return good({ touches, seconds: at });
}
