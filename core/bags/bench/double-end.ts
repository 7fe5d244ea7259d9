import type { Hertz, Kilograms, Metres, Newtons, PerMinute, Seconds } from '../../units';
import { gravity } from './pendulum';

/** A ball between two stretched cords. */
export interface DoubleEnd {
  readonly mass: Kilograms;
  readonly upper: Metres;
  readonly lower: Metres;
  readonly tensionUpper: Newtons;
  readonly tensionLower: Newtons;
}

/** How the ball swings after a blow, and the tempos that meet it. */
export interface Swing {
  readonly frequency: Hertz;
  /** From one passage through the centre to the next. */
  readonly returnInterval: Seconds;
  /** Blows a minute that meet the ball as it comes back: on odd return intervals, fastest first. */
  readonly tempos: readonly PerMinute[];
  readonly notes: readonly string[];
}

/** It crosses the centre toward the hitter after an odd number of return intervals. */
const odd = [1, 3, 5, 7, 9] as const;
/** An upper tension this far from what carries the ball is said (house value). */
const balanced = 0.1;
/** Straights cannot be thrown faster than this for long (house value, from 0.30 s a straight at all-out pace). */
const fastest: PerMinute = 290;

/** Spring constant of both cords for a small sideways swing, k = tension/length each (textbook). */
export function stiffness({ upper, lower, tensionUpper, tensionLower }: DoubleEnd): number {
  return tensionUpper / upper + tensionLower / lower;
}

/**
 * The small sideways swing of the ball, f = (1/2π)·√((k₁+k₂)/m) (textbook). More tension: faster, and a smaller swing for
 * the same blow; both schools are right.
 * @example doubleEndSwing({ mass: 0.3, upper: 1, lower: 1, tensionUpper: 60, tensionLower: 57 }).frequency
 */
export function doubleEndSwing(ball: DoubleEnd): Swing {
  const frequency = Math.sqrt(stiffness(ball) / ball.mass) / (2 * Math.PI);
  const returnInterval = 1 / (2 * frequency);
  const tempos = odd.map((count) => 60 / (count * returnInterval));
  const notes: string[] = [];
  const carried = ball.tensionLower + ball.mass * gravity;
  if (Math.abs(ball.tensionUpper - carried) > balanced * carried)
    notes.push(
      `the tensions don’t balance: ${ball.tensionLower} N below needs ${carried.toFixed(1)} N above, not ${ball.tensionUpper} N`,
    );
  if ((tempos[0] ?? 0) > fastest)
    notes.push(
      `${Math.round(tempos[0] ?? 0)} punches per minute is too fast for anyone: hit it on every third pass or slower`,
    );
  return { frequency, returnInterval, tempos, notes };
}

/**
 * How far the ball swings out after a blow of a given momentum (kg·m/s), x = p/(m·ω), small swing (textbook).
 * @example excursion(ball, 0.5)
 */
export function excursion(ball: DoubleEnd, momentum: number): Metres {
  return momentum / Math.sqrt(stiffness(ball) * ball.mass);
}
