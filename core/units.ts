/** Whole thousandths of a second: all times inside the core. */
export type Milliseconds = number;
/** Seconds, as people and the command's JSON say them. */
export type Seconds = number;
/** How fast a class works: 1 is steady, 2 is twice as fast. */
export type PaceFactor = number;
/** Effort as a per cent, 100 is all there is. */
export type Percent = number;
/** Beginning of something on a session's own clock, in milliseconds from second zero. */
export type SessionTime = Milliseconds;

/** Seconds to whole milliseconds. `toMilliseconds(0.3)` → `300` */
export function toMilliseconds(seconds: Seconds): Milliseconds {
  return Math.round(seconds * 1000);
}

/** Milliseconds to seconds without floating dust. `toSeconds(2200)` → `2.2` */
export function toSeconds(ms: Milliseconds): Seconds {
  return Math.round(ms) / 1000;
}
/** Lengths and heights. */
export type Metres = number;
export type Kilograms = number;
/** Pull of a cord. */
export type Newtons = number;
/** Swings a second. */
export type Hertz = number;
/** Against full scale, or against another loudness. */
export type Decibels = number;
/** Touches or blows a minute. */
export type PerMinute = number;
export type MetresPerSecond = number;
export type Joules = number;
/** A length as a share of the athlete's stature. */
export type Statures = number;
export type Degrees = number;
