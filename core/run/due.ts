import type { SoundCue, SoundKind } from '../script/sounds';
import type { Milliseconds, SessionTime } from '../units';

/** A cue that is later than this is missed: it is not heard at all, rather than at the wrong moment (house value). */
export const latestCue: Milliseconds = 150;

/** Cues that tell how things stand: the last of those that were missed is heard once, late as it is. */
const tells: Readonly<Record<SoundKind, boolean>> = {
  'start bell': true,
  'end bell': true,
  change: true,
  ten: false,
  count: false,
  click: false,
};

/** What is to be heard next after a look at the clock. */
export interface Due {
  /** The missed cue that tells the present state, to be heard at once; null where none was missed. */
  readonly late: SoundCue | null;
  /** Place of the first cue that is still in time. */
  readonly next: number;
}

/**
 * Passes over what was missed while nobody looked at the clock (the page was blocked, the tab frozen, the device asleep).
 * @example dueFrom(cues, 0, 10_000, 0).next // the first cue from 9.85 s on
 */
export function dueFrom(cues: readonly SoundCue[], next: number, at: SessionTime, breaksPassed: number): Due {
  let late: SoundCue | null = null;
  let place = next;
  for (let cue = cues[place]; cue && cue.at < at - latestCue && cue.breaksBefore <= breaksPassed; cue = cues[place]) {
    if (tells[cue.kind]) late = cue;
    place += 1;
  }
  return { late, next: place };
}
