import type { Milliseconds, SessionTime } from '../units';

/** Kinds of calls, most important first (trade page, section 9). */
export const callKinds = [
  'bell',
  'new',
  'own',
  'stance',
  'count',
  'effort',
  'drill',
  'time',
  'preview',
  'reminder',
  'focus',
  'water',
  'breathing',
] as const;
export type CallKind = (typeof callKinds)[number];

/** What a call is worth when not everything can be said (house values in the trade's order). */
export const importance: Readonly<Record<CallKind, number>> = {
  bell: 10_000,
  new: 500,
  own: 450,
  stance: 400,
  count: 300,
  effort: 250,
  drill: 240,
  time: 150,
  preview: 140,
  reminder: 120,
  focus: 100,
  water: 70,
  breathing: 60,
};
/** A short form is worth this share of the full one. */
export const shortWorth = 0.8;

/** Words with the time they take. */
export interface Phrase {
  readonly form: 'full' | 'short';
  readonly say: string;
  readonly ms: Milliseconds;
}

/** Something that would be good to say, and when it still is. */
export interface Candidate {
  readonly kind: CallKind;
  /** The full form first, then the short one where there is one. */
  readonly phrases: readonly Phrase[];
  /** It begins no earlier … */
  readonly from: SessionTime;
  /** … and has ended by then. */
  readonly until: SessionTime;
}

/** Something that is said. */
export interface Call {
  readonly at: SessionTime;
  readonly kind: CallKind;
  readonly say: string;
  readonly form: 'full' | 'short';
  readonly ms: Milliseconds;
}

/** Something that is not said, and why. */
export interface Dropped {
  readonly kind: CallKind;
  readonly say: string;
  readonly why: string;
}

/** Between two calls (house value, trade page, section 9). */
export const leastGap: Milliseconds = 300;

/** How fast words are spoken (house value 165 a minute, trade page, section 9). */
const wordsPerMinute = 165;
const bellMs: Milliseconds = 1000;

/** Time that words take to say. `spokenLength('one, two, three body')` → `1455` */
export function spokenLength(words: string): Milliseconds {
  const count = words.split(/[\s-]+/).filter((word) => /[\p{L}\p{N}]/u.test(word)).length;
  return Math.round((Math.max(1, count) * 60_000) / wordsPerMinute);
}

/** A candidate's forms from its words. */
export function phrases(full: string, short?: string): Phrase[] {
  const phrase = (form: Phrase['form'], say: string): Phrase => ({
    form,
    say,
    ms: say === 'bell' ? bellMs : spokenLength(say),
  });
  return short !== undefined && short !== full
    ? [phrase('full', full), phrase('short', short)]
    : [phrase('full', full)];
}
