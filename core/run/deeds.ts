import type { SessionTime } from '../units';

export const phases = ['running', 'paused', 'held', 'stopped', 'break', 'over'] as const;
/**
 * running counts in below zero; held waits with everybody on their feet; stopped stands still until it goes on or is ended;
 * break waits for a key in an open break.
 */
export type Phase = (typeof phases)[number];

/** What is done to a run, as its log has it. */
export const deeds = [
  'start',
  'pause',
  'hold',
  'resume',
  'back',
  'forward',
  'repeat',
  'break',
  'break over',
  'stop now',
  'end',
  'finish',
] as const;

/** Something that was done to a run: at which session time, and where it went on. */
export interface Deed {
  readonly what: (typeof deeds)[number];
  readonly from: SessionTime;
  readonly to: SessionTime;
  /** Milliseconds since 1970. */
  readonly wall: number;
}
