import type { Pass } from '../session/passes';
import type { Milliseconds } from '../units';
import type { Call, Candidate } from './call';
import { leastGap } from './call';
import { makerFor, type Maker } from './candidate';
import { focusFor } from './focus';
import { leafPlace } from './leaf-calls';
import { numberWord } from './number-words';
import type { CallOptions } from './options';
import { callFor } from './say';
import { phrases, sayCombination, worded, type Speech } from './speech';

/** A time is not called later than this (house value). */
const lateTime: Milliseconds = 4000;
/** Seconds counted before a bell in the script. */
export const countFrom = 3;
/** From this length on a round is cheered (house value). */
const cheerFrom: Milliseconds = 120_000;

const sameWords = (say: string): { full: string } => ({ full: say });

/** Whether a pass is a work round. */
export const isRound = (pass: Pass | undefined): boolean => pass?.block === 'round';

function placeOf(pass: Pass): string {
  const [leaf] = pass.leaves;
  return leaf ? `${leafPlace(leaf)} pass` : 'pass';
}

function sayTime(seconds: number, speech: Speech): string {
  if (seconds === 60) return worded(speech, 'one minute left').full;
  if (seconds % 60 === 0) return worded(speech, 'minutes left', { minutes: numberWord(seconds / 60) }).full;
  return worded(speech, 'seconds left', { seconds: numberWord(seconds) }).full;
}

function countDown(pass: Pass, make: Maker): Candidate[] {
  return Array.from({ length: countFrom }, (_, at) =>
    make.exactly('count', pass.end - (countFrom - at) * 1000, numberWord(countFrom - at)),
  );
}

/** What belongs to a round as a whole: last seconds, time, a technique focus late in it, a word of praise. */
export function roundCalls(pass: Pass, said: string[], cheered: number, options: CallOptions): Candidate[] {
  const { speech } = options;
  const make = makerFor(placeOf(pass), speech);
  const length = pass.end - pass.at;
  const out: Candidate[] = [make.exactly('bell', pass.at, 'bell')];
  if (length >= 20_000) out.push(make.exactly('count', pass.end - 10_000, worded(speech, 'ten seconds').full));
  if (length > countFrom * 1000 + 1000) out.push(...countDown(pass, make));
  const timed = (at: number, words: string): Candidate => make.within('time', at, at + lateTime, words);
  for (const seconds of [60, 30])
    if (length >= seconds * 2000 || (seconds === 30 && length >= 60_000))
      out.push(timed(pass.end - seconds * 1000, sayTime(seconds, speech)));
  if (length >= 120_000 && length / 2 !== 60_000)
    out.push(timed(pass.at + length / 2, worded(speech, 'half way').full));
  const focus = length >= 60_000 ? focusFor(pass.leaves, said, speech.focuses) : null;
  if (focus) {
    said.push(focus);
    out.push(make.within('focus', pass.at + length * 0.55, pass.at + length * 0.85, focus));
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

/** What the rest is followed by, in full and short. */
function preview(next: Pass | undefined, speech: Speech): { full: string; short?: string } | null {
  const leaf = next?.leaves[0];
  if (!leaf || !isRound(next)) return null;
  const combination = leaf.combination ? sayCombination(leaf.combination, speech) : leaf.label;
  return worded(speech, 'next', { round: leaf.label.split(' · ').slice(0, 2).join(', '), combination });
}

/** What would be good to say in a rest: water, breathing, the change of lanes, what comes next, the count. */
export function restCalls(pass: Pass, next: Pass | undefined, options: CallOptions): Candidate[] {
  const { speech } = options;
  const [leaf] = pass.leaves;
  const make = makerFor(placeOf(pass), speech);
  const from = pass.at + 1000;
  const until = pass.end - (isRound(next) ? countFrom * 1000 + 500 : 500);
  const within = (kind: Parameters<Maker['within']>[0], { full, short }: { full: string; short?: string }): Candidate =>
    make.within(kind, from, until, full, short);
  const shown = preview(next, speech);
  const changes = options.laneChanges.has(next?.leaves[0]?.round ?? -1);
  return [
    ...(leaf?.words ? [within('new', sameWords(leaf.words))] : []),
    ...(changes ? [within('lanes', worded(speech, 'change lanes'))] : []),
    within('water', worded(speech, 'rest')),
    within('breathing', worded(speech, 'breathing')),
    ...(shown ? [within('preview', shown)] : []),
    ...(isRound(next) && pass.end - pass.at > countFrom * 1000 + 2000 ? countDown(pass, make) : []),
  ];
}

/** What is said while the clock stands in an open break, one after the other. */
export function breakCalls(pass: Pass, afterRound: boolean, next: Pass | undefined, options: CallOptions): Call[] {
  const { speech } = options;
  const shown = preview(next, speech);
  const [leaf] = pass.leaves;
  const words = [
    ...(afterRound ? [{ kind: 'bell' as const, say: 'bell' }] : []),
    ...(leaf ? [{ kind: 'new' as const, say: callFor(leaf, speech) }] : []),
    ...(shown ? [{ kind: 'preview' as const, say: shown.full }] : []),
  ];
  let at = pass.at;
  return words.map(({ kind, say }) => {
    const [phrase] = phrases(say, undefined, speech);
    const call: Call = {
      key: `${placeOf(pass)} break ${kind}`,
      at,
      kind,
      say,
      form: 'full',
      ms: phrase?.ms ?? 0,
      ...(phrase?.parts ? { parts: phrase.parts } : {}),
    };
    at += call.ms + leastGap;
    return call;
  });
}
