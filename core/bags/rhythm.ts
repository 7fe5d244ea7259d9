import { bad, good, type Read } from '../fault';
import type { Side } from '../moves/kind';
import type { Milliseconds, PerMinute, Seconds } from '../units';
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
      what: `no bag rebounds ${reboundsPerMinute} times per minute`,
      mend: 'count the rebounds in ten seconds and multiply by six',
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

/** A rhythm as it is drilled for a time. */
export interface RhythmDrill {
  /** Rebounds of the board after each touch: odd, or 0 for a soft touch that does not reach it. */
  readonly row: readonly number[];
  /** `turns` changes from row to row. */
  readonly hand: 'lead' | 'rear' | 'turns';
  /** How often the last number of the row stands, from the first equal share of the time to the last. */
  readonly grow: { readonly from: number; readonly to: number } | null;
  readonly rebounds: PerMinute;
  readonly ms: Milliseconds;
}

/** A touch of a drilled rhythm, from its beginning. */
export interface RhythmTouch {
  readonly at: Milliseconds;
  readonly side: Side;
  readonly rebounds: number;
}

/** Rebounds of a usual board where nobody counted them, and how long a soft touch takes (house values, trade page, section 7). */
export const usualRebounds: PerMinute = 300;
const softTouchMs: Milliseconds = 500;

/** Rows of one share of a drill, laid out until no whole touch fits any more. */
function shareTouches(
  row: readonly number[],
  { hand, rebounds }: RhythmDrill,
  from: Milliseconds,
  ms: Milliseconds,
): RhythmTouch[] {
  const out: RhythmTouch[] = [];
  let at = 0;
  for (let index = 0; ; index += 1) {
    const count = row[index % row.length] ?? 1;
    const length = count === 0 ? softTouchMs : (count * 60_000) / rebounds;
    // A touch that ends with the time is one that fits, whatever the fractions come to.
    if (at + length > ms + 1e-6) return out;
    const rear = hand === 'turns' ? Math.floor(index / row.length) % 2 === 1 : hand === 'rear';
    out.push({ at: from + at, side: rear ? 'rear' : 'lead', rebounds: count });
    at += length;
  }
}

/**
 * The touches of a rhythm drill: whole touches that fit, row after row without a breath; where it grows, each equal share of
 * the time repeats the last number of the row once more.
 * @example rhythmTouches({ row: [3, 3, 1], hand: 'lead', grow: null, rebounds: 300, ms: 60_000 }).length // 128
 */
export function rhythmTouches(drill: RhythmDrill): RhythmTouch[] {
  const { row, grow, ms } = drill;
  const last = row.at(-1);
  if (last === undefined || !(drill.rebounds > 0)) return [];
  if (!grow) return shareTouches(row, drill, 0, ms);
  const shares = Math.max(1, grow.to - grow.from + 1);
  return Array.from({ length: shares }, (_, at) => {
    const grown = [...row.slice(0, -1), ...Array.from({ length: grow.from + at }, () => last)];
    return shareTouches(grown, drill, (at * ms) / shares, ms / shares);
  }).flat();
}
