import type { Timeline } from '../session/compile';
import { passesOf, passLength } from '../session/passes';
import type { SessionTime } from '../units';

/** Something to be heard. */
export interface Cue {
  readonly at: SessionTime;
  readonly kind: 'start bell' | 'end bell' | 'change' | 'ten' | 'count' | 'click';
  /** Open breaks before it; it is not heard until they have been passed, though the clock stands at its second. */
  readonly breaksBefore: number;
  /** Seconds left, for a count. */
  readonly count?: number;
}

/** From which second the last ones are counted. */
export type CountFrom = 3 | 5;

/**
 * Bells, changes and last seconds of a session, in order. Rounds have bells; where one round follows another at once,
 * one bell serves both. Every other block begins with a change.
 * @example cues(compile(sheet), 5)
 */
export function cues(timeline: Timeline, countFrom: CountFrom): Cue[] {
  const all = passesOf(timeline);
  const out: Cue[] = [];
  let breaksBefore = 0;
  const add = (at: SessionTime, kind: Cue['kind'], count?: number): void => {
    out.push({ at, kind, breaksBefore, ...(count === undefined ? {} : { count }) });
  };
  const countDown = (end: SessionTime): void => {
    for (let count = countFrom; count >= 1; count -= 1) add(end - count * 1000, 'count', count);
  };
  countDown(0);
  all.forEach((pass, index) => {
    const isRound = pass.block === 'round';
    const afterRound = all[index - 1]?.block === 'round' && all[index - 1]?.end === pass.at;
    if (isRound) add(pass.at, 'start bell');
    else if (!afterRound) add(pass.at, 'change');
    for (const { at } of pass.leaves.slice(1)) add(at, 'change');
    for (const { at, ms, voice, bpm } of pass.leaves)
      if (voice === 'click')
        for (let beat = 0; beat * (60_000 / bpm) < ms; beat += 1) add(at + beat * (60_000 / bpm), 'click');
    const length = passLength(pass);
    if (isRound && length >= 20_000) add(pass.end - 10_000, 'ten');
    const nextIsRound = all[index + 1]?.block === 'round';
    if (length > countFrom * 1000 && (isRound || nextIsRound)) countDown(pass.end);
    if (isRound && !nextIsRound) add(pass.end, 'end bell');
    if (pass.open) breaksBefore += 1;
  });
  return out.sort((a, b) => a.at - b.at);
}
