import { studyOf } from '../mechanics/study-of';
import type { Combination } from '../notation/combination';
import type { Milliseconds, PaceFactor, Seconds } from '../units';
import { comesBack } from './bench/pendulum';

/** How a combination is repeated on a bag that swings, so that each repetition meets it going away. */
export interface SwingDrill {
  /** Length of a repetition of the combination. */
  readonly repetitionMs: Milliseconds;
  /** Breath until the next one, a whole number of swings after the last strike. */
  readonly gapMs: Milliseconds;
  /** From the last strike: when it comes back and nobody should stand square before it. */
  readonly aside: { readonly from: Seconds; readonly to: Seconds };
  readonly words: string;
}

/** Shortest time to step round and set the feet (house value). */
const leastGap: Milliseconds = 1000;

/**
 * Repeats of a combination on a hung bag in time with its swing: after the last strike the bag goes away, comes back between
 * half a swing and a whole one (step round), and the next repetition begins when it leaves again.
 * @example swingDrill(combination, 2.2).gapMs // 2200
 */
export function swingDrill(combination: Combination, period: Seconds, pace: PaceFactor = 1): SwingDrill {
  const swing = period * 1000;
  const aside = comesBack(period);
  return {
    repetitionMs: Math.round(studyOf(combination, 'orthodox').ms / pace),
    gapMs: Math.round(Math.ceil(leastGap / swing) * swing),
    aside,
    words: `Step around the bag as it swings in, from ${aside.from.toFixed(1)} s after the last strike; go again as it swings away`,
  };
}
