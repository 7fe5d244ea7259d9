import type { Timeline } from '../timeline/leaf';
import { passesOf } from '../timeline/passes';
import type { SessionTime } from '../units';
import type { Call } from './call';

/** What sounds beside words. */
export const soundKinds = ['start bell', 'end bell', 'change', 'ten', 'count', 'click'] as const;
export type SoundKind = (typeof soundKinds)[number];

/** Something to be heard that is no word. */
export interface SoundCue {
  readonly at: SessionTime;
  readonly kind: SoundKind;
  /** Open breaks before it; it is not heard until they have been passed, though the clock stands at its second. */
  readonly breaksBefore: number;
}

/** What is to be known of a call to sound it. */
type SoundingCall = Pick<Call, 'kind' | 'at' | 'sound'>;

/** Changes from piece to piece, and clicks: what sounds without a call. Rounds have their bells instead. */
function quietCues(timeline: Timeline): SoundCue[] {
  const out: SoundCue[] = [];
  const passes = passesOf(timeline);
  let breaksBefore = 0;
  passes.forEach((pass, index) => {
    const add = (at: SessionTime, kind: SoundKind): void => {
      out.push({ at, kind, breaksBefore });
    };
    const afterRound = passes[index - 1]?.isRound === true && passes[index - 1]?.end === pass.at;
    if (!pass.isRound && !afterRound) add(pass.at, 'change');
    pass.leaves.forEach(({ at, ms, voice, bpm, touches, goesOn }, place) => {
      if (place > 0 && !goesOn) add(at, 'change');
      if (voice === 'click')
        for (let beat = 0; beat * (60_000 / bpm) < ms; beat += 1) add(at + beat * (60_000 / bpm), 'click');
      for (const touch of touches) add(at + touch.at, 'click');
    });
    if (pass.open) breaksBefore += 1;
  });
  return out;
}

/** How many open breaks lie before a call: one at a break's own second comes after it, unless it ends what was before. */
function breaksBefore(call: SoundingCall, breaks: readonly SessionTime[]): number {
  const ends = call.sound === 'end bell' || call.kind === 'count';
  return breaks.filter((at) => (ends ? at < call.at : at <= call.at)).length;
}

/**
 * Everything that sounds in a session beside words, in order: bells and counts where the script has their calls, changes and
 * clicks where the timeline has them. A call that is not made does not sound.
 */
export function soundsOf(
  timeline: Timeline,
  calls: readonly SoundingCall[],
  breaks: readonly { readonly at: SessionTime; readonly calls: readonly SoundingCall[] }[],
): SoundCue[] {
  const moments = breaks.map(({ at }) => at);
  const cues = quietCues(timeline);
  for (const call of calls)
    if (call.sound) cues.push({ at: call.at, kind: call.sound, breaksBefore: breaksBefore(call, moments) });
  breaks.forEach(({ at, calls: said }, index) => {
    for (const { sound } of said) if (sound) cues.push({ at, kind: sound, breaksBefore: index });
  });
  return cues.sort((a, b) => a.at - b.at || a.breaksBefore - b.breaksBefore);
}
