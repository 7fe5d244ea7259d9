import { callNature, type CallKind } from '../sheet/call-kinds';
import type { Milliseconds, SessionTime } from '../units';
import type { Saying } from './saying';
import type { SoundKind } from './sounds';

/** The shortest form is worth this share of the full one; one between them lies between. */
const shortWorth = 0.8;

/** What the coach has locked goes before everything but the bell. */
export const lockedWorth = 5000;

/** A word of a call with its own moment, from the call's beginning. */
export interface Part extends Saying {
  readonly at: Milliseconds;
  /** The step of the combination that it names, where a screen is to light it. `2.1` */
  readonly step?: string;
}

/** Words with the time they take. */
export interface Phrase extends Saying {
  readonly form: 'full' | 'short';
  readonly ms: Milliseconds;
  /** Where its words keep a time of their own: a long combination in parts, or strike by strike. */
  readonly parts?: readonly Part[];
}

/**
 * What begins is worth so much less for each second that it is said late, but loses no more than a share of its worth, so
 * that late is better than not at all (house values): half a second costs more than a time call, a reminder or praise is worth.
 */
const latePerSecond = 400;
const mostLateShare = 0.65;

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
  /** The moment that it announces: later than this it is worth less. */
  readonly due?: SessionTime;
  /** What sounds with it. */
  readonly sound?: SoundKind;
  /** Locked by the coach at its moment … */
  readonly locked?: true;
  /** … which lies in this window. */
  readonly opens?: SessionTime;
  readonly closes?: SessionTime;
}

/** Candidates in the order of their windows. `candidates.sort(byWindow)` */
export const byWindow = (a: Candidate, b: Candidate): number => a.from - b.from || a.until - b.until;

/** What a candidate loses by being said so late. `lateCost({ kind: 'new', due: 30_000 }, 30_500)` → `200` */
export function lateCost({ kind, due }: Pick<Candidate, 'kind' | 'due'>, at: SessionTime): number {
  if (due === undefined) return 0;
  return Math.min(worthOfKind(kind) * mostLateShare, (Math.max(0, at - due) * latePerSecond) / 1000);
}

/** The share of a candidate's worth that one of its forms has, the full one first. `shareOf(1, 2)` → `0.8` */
export const shareOf = (form: number, forms: number): number =>
  forms < 2 ? 1 : 1 - ((1 - shortWorth) * form) / (forms - 1);

/** Time that the longest form of a candidate takes. `longestForm(candidate)` → `1800` */
export function longestForm({ phrases }: Pick<Candidate, 'phrases'>): Milliseconds {
  let longest = 0;
  for (const { ms } of phrases) longest = Math.max(longest, ms);
  return longest;
}

/** Time that the shortest form of a candidate takes. `shortestForm(candidate)` → `900` */
export function shortestForm({ phrases }: Pick<Candidate, 'phrases'>): Milliseconds {
  let shortest = Infinity;
  for (const { ms } of phrases) shortest = Math.min(shortest, ms);
  return shortest;
}

/** Something that is said. */
export interface Call extends Saying {
  readonly key: string;
  readonly at: SessionTime;
  readonly kind: CallKind;
  readonly form: 'full' | 'short';
  readonly ms: Milliseconds;
  readonly parts?: readonly Part[];
  readonly sound?: SoundKind;
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

/** What a kind of call is worth. */
export const worthOfKind = (kind: CallKind): number => callNature(kind).worth;

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
