import type { Milliseconds, SessionTime } from '../units';
import type { CallKind } from './kinds';

/** What a call is worth when not everything can be said (house values in the trade's order). */
export const importance: Readonly<Record<CallKind, number>> = {
  bell: 10_000,
  new: 500,
  own: 450,
  stance: 400,
  count: 300,
  effort: 250,
  drill: 240,
  lanes: 200,
  time: 150,
  preview: 140,
  reminder: 120,
  strikes: 110,
  focus: 100,
  water: 70,
  breathing: 60,
  cheer: 30,
};
/** A short form is worth this share of the full one. */
export const shortWorth = 0.8;
/** What the coach has locked goes before everything but the bell. */
export const lockedWorth = 5000;

/** A word of a call with its own moment, from the call's beginning. */
export interface Part {
  readonly at: Milliseconds;
  readonly say: string;
}

/** Words with the time they take. */
export interface Phrase {
  readonly form: 'full' | 'short';
  readonly say: string;
  readonly ms: Milliseconds;
  /** Where its words keep a time of their own: a long combination in parts, or strike by strike. */
  readonly parts?: readonly Part[];
}

/** Something that would be good to say, and when it still is. */
export interface Candidate {
  /** The same from one working out to the next, so that a coach's change stays with it. */
  readonly key: string;
  readonly kind: CallKind;
  /** The full form first, then the short one where there is one. */
  readonly phrases: readonly Phrase[];
  /** It begins no earlier … */
  readonly from: SessionTime;
  /** … and has ended by then. */
  readonly until: SessionTime;
  /** Locked by the coach at its moment … */
  readonly locked?: true;
  /** … which lies in this window. */
  readonly opens?: SessionTime;
  readonly closes?: SessionTime;
}

/** Something that is said. */
export interface Call {
  readonly key: string;
  readonly at: SessionTime;
  readonly kind: CallKind;
  readonly say: string;
  readonly form: 'full' | 'short';
  readonly ms: Milliseconds;
  readonly parts?: readonly Part[];
  /** Its window: it may be moved inside, and not at all where it is as long as the call. */
  readonly opens: SessionTime;
  readonly closes: SessionTime;
}

/** Something that is not said, and why. */
export interface Dropped {
  readonly key: string;
  readonly kind: CallKind;
  readonly say: string;
  readonly why: string;
  /** When it would have been said at the earliest. */
  readonly opens: SessionTime;
}

/** Whether a call may be moved: its window is longer than it is itself. `isMovable({ opens: 0, closes: 4000, ms: 700 })` → `true` */
export function isMovable({ opens, closes, ms }: Pick<Call, 'opens' | 'closes' | 'ms'>): boolean {
  return closes - opens > ms;
}

/** Between two calls (house value, trade page, section 9). */
export const leastGap: Milliseconds = 300;

/** How fast words are spoken (house value 165 a minute, trade page, section 9). */
const wordsPerMinute = 165;
export const bellMs: Milliseconds = 1000;

/** Time that words take to say, by the speaking rate. `spokenLength('one, two, three body')` → `1455` */
export function spokenLength(words: string): Milliseconds {
  const count = words.split(/[\s-]+/).filter((word) => /[\p{L}\p{N}]/u.test(word)).length;
  return Math.round((Math.max(1, count) * 60_000) / wordsPerMinute);
}
