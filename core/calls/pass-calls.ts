import type { Leaf } from '../session/leaf';
import type { Pass } from '../session/passes';
import type { Milliseconds, SessionTime } from '../units';
import type { Call, Candidate } from './call';
import { leastGap } from './call';
import { makerFor, type Maker } from './candidate';
import { focusFor, type FocusTrail } from './focus';
import { leafPlace } from './leaf-calls';
import { numberWord } from './number-words';
import { isSaid, type CallKind } from './kinds';
import type { CallOptions } from './options';
import type { Wording } from './phrasebook';
import { callFor } from './say';
import { sayCombination } from './say-combination';
import { phrases, worded, type Speech } from './speech';

/** A time is not called later than this (house value). */
const lateTime: Milliseconds = 4000;
/** Which time left is told in a round of which length (trade page, section 9; the lengths are house values). */
const timesLeft: readonly (readonly [seconds: number, least: Milliseconds, most: Milliseconds])[] = [
  [120, 270_000, Infinity],
  [60, 120_000, Infinity],
  [30, 60_000, Infinity],
  [15, 30_000, 60_000],
];
/** From this length on a round is cheered (house value). */
const cheerFrom: Milliseconds = 120_000;

/**
 * From which length on a round has a focus, and when in it, as shares of the round (house values); the first is the late
 * one, when people tire, the second belongs to long rounds.
 */
const focusTimes: readonly (readonly [least: Milliseconds, from: number, until: number])[] = [
  [60_000, 0.55, 0.85],
  [150_000, 0.15, 0.45],
];

/** Whether a pass is a work round. */
export const isRound = (pass: Pass | undefined): boolean => pass?.block === 'round';

function placeOf(pass: Pass): string {
  const [leaf] = pass.leaves;
  return leaf ? `${leafPlace(leaf)} pass` : 'pass';
}

function sayTime(seconds: number, speech: Speech): Wording {
  if (seconds === 60) return worded(speech, 'one minute left');
  if (seconds % 60 === 0) return worded(speech, 'minutes left', { minutes: numberWord(seconds / 60) });
  return worded(speech, 'seconds left', { seconds: numberWord(seconds) });
}

function countDown(pass: Pass, make: Maker, { countFrom }: CallOptions): Candidate[] {
  return Array.from({ length: countFrom }, (_, at) =>
    make.exactly('count', pass.end - (countFrom - at) * 1000, numberWord(countFrom - at)),
  );
}

/** What belongs to a round as a whole: last seconds, time, one or two technique focuses, a word of praise. */
export function roundCalls(pass: Pass, trail: FocusTrail, cheered: number, options: CallOptions): Candidate[] {
  const { speech, countFrom } = options;
  const make = makerFor(placeOf(pass), speech);
  const length = pass.end - pass.at;
  const out: Candidate[] = [make.exactly('bell', pass.at, 'bell')];
  if (length >= 20_000) out.push(make.exactly('count', pass.end - 10_000, worded(speech, 'ten seconds').full));
  if (length > countFrom * 1000 + 1000) out.push(...countDown(pass, make, options));
  const timed = (at: number, { full, short }: Wording): Candidate =>
    make.within('time', at, at + lateTime, full, short);
  for (const [seconds, least, most] of timesLeft)
    if (length >= least && length < most) out.push(timed(pass.end - seconds * 1000, sayTime(seconds, speech)));
  if (length >= 120_000 && length / 2 !== 60_000) out.push(timed(pass.at + length / 2, worded(speech, 'half way')));
  const bags = options.bagsOf(pass.leaves[0]?.blockId ?? '');
  for (const [least, from, until] of focusTimes) {
    const at = pass.at + length * from;
    const focus = length >= least ? focusFor(pass.leaves, bags, speech.focuses, trail, at) : null;
    if (focus) out.push(make.within('focus', at, pass.at + length * until, focus));
  }
  const cheer = speech.cheers[cheered % Math.max(1, speech.cheers.length)];
  if (length >= cheerFrom && cheer)
    out.push(make.within('cheer', pass.at + length * 0.35, pass.at + length * 0.5, cheer));
  return out;
}

/** The bell that ends a round. */
export function endBell(pass: Pass, options: CallOptions): Candidate {
  return makerFor(`${placeOf(pass)} end`, options.speech).exactly('bell', pass.end, 'bell');
}

/** What is done in a leaf, in a few words. */
function workOf(leaf: Leaf, speech: Speech): string {
  if (leaf.combination) return sayCombination(leaf.combination, speech);
  if (leaf.doing === 'free' || leaf.doing === 'unplanned') return 'free';
  const { full, short } = callFor(leaf, speech);
  return (short ?? full).replace(/\.\s*$/, '');
}

/** What the rest is followed by, in full and short. */
function preview(next: Pass | undefined, speech: Speech): Wording | null {
  const leaf = next?.leaves[0];
  if (!leaf || !isRound(next)) return null;
  const name = leaf.detail ? leaf.label.slice(0, -` · ${leaf.detail}`.length) : leaf.label;
  return worded(speech, 'next', { round: name.replaceAll(' · ', ', '), combination: workOf(leaf, speech) });
}

/** What would be good to say in a rest: water, breathing, the change of lanes, what comes next, the count. */
export function restCalls(pass: Pass, next: Pass | undefined, options: CallOptions): Candidate[] {
  const { speech } = options;
  const [leaf] = pass.leaves;
  const make = makerFor(placeOf(pass), speech);
  const from = pass.at + 1000;
  const until = pass.end - (isRound(next) ? options.countFrom * 1000 + 500 : 500);
  const within = (kind: CallKind, { full, short }: Wording): Candidate => make.within(kind, from, until, full, short);
  const shown = preview(next, speech);
  const changes = options.laneChanges.has(next?.leaves[0]?.round ?? -1);
  return [
    ...(leaf?.words ? [within('new', { full: leaf.words })] : []),
    ...(changes ? [within('lanes', worded(speech, 'change lanes'))] : []),
    within('water', worded(speech, 'rest')),
    within('breathing', worded(speech, 'breathing')),
    ...(shown ? [within('preview', shown)] : []),
    ...(isRound(next) && pass.end - pass.at > options.countFrom * 1000 + 2000 ? countDown(pass, make, options) : []),
  ];
}

/** Something said while the clock stands, by its key. */
export interface BreakWords {
  readonly key: string;
  readonly kind: CallKind;
  readonly say: string;
}

/** What would be good to say in an open break, in order; `stood` tells how the class stood before it. */
export function breakWords(
  pass: Pass,
  afterRound: boolean,
  next: Pass | undefined,
  stood: boolean,
  options: CallOptions,
): BreakWords[] {
  const { speech } = options;
  const shown = preview(next, speech);
  const [leaf] = pass.leaves;
  const [first] = next?.leaves ?? [];
  const words: readonly (readonly [CallKind, string])[] = [
    ...(afterRound ? [['bell', 'bell'] as const] : []),
    ...(leaf ? [['new', callFor(leaf, speech).full] as const] : []),
    ...(first && options.laneChanges.has(first.round ?? -1)
      ? [['lanes', worded(speech, 'change lanes').full] as const]
      : []),
    ...(first && first.mirrored !== stood ? [['stance', worded(speech, 'switch stance').full] as const] : []),
    ...(shown ? [['preview', shown.full] as const] : []),
  ];
  return words
    .filter(([kind]) => isSaid(kind, options.talk) && !options.quiet.includes(kind))
    .map(([kind, say]) => ({ key: `${placeOf(pass)} break ${kind}`, kind, say }));
}

/** The words of an open break as calls, one after the other from its moment. */
export function breakCalls(at: SessionTime, words: readonly BreakWords[], speech: Speech): Call[] {
  let from = at;
  return words.map(({ key, kind, say }): Call => {
    const { ms, parts } = phrases(say, undefined, speech)[0] ?? { ms: 0 };
    const call = { key, at: from, kind, say, form: 'full' as const, ms, opens: from, closes: from + ms };
    from += ms + leastGap;
    return parts ? { ...call, parts } : call;
  });
}
