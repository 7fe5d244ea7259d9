import type { Milliseconds, SessionTime } from '../units';

/** A reading of whatever clock the run goes by (the audio clock, or the page's), in milliseconds. */
export type SourceTime = Milliseconds;

/**
 * Where a session stands, as a straight line on its source clock. Nothing is counted up: every reading is worked out
 * from one anchor, so late or missing looks at it cannot make it drift.
 */
export interface RunClock {
  readonly anchorSession: SessionTime;
  readonly anchorSource: SourceTime;
  readonly running: boolean;
  /** Session milliseconds in one source millisecond; 1 except in rehearsal. */
  readonly rate: number;
}

/** A clock standing at a session time. `stoppedClock(0, 1)` */
export function stoppedClock(at: SessionTime, rate: number): RunClock {
  return { anchorSession: at, anchorSource: 0, running: false, rate };
}

/** The session time at a source reading. `clockAt(clock, source)` */
export function clockAt(clock: RunClock, source: SourceTime): SessionTime {
  return clock.running ? clock.anchorSession + (source - clock.anchorSource) * clock.rate : clock.anchorSession;
}

/** The source reading at which a running clock will show a session time. */
export function sourceAt(clock: RunClock, session: SessionTime): SourceTime {
  return clock.anchorSource + (session - clock.anchorSession) / clock.rate;
}

/** The same clock, going or standing from here on. */
export function setRunning(clock: RunClock, running: boolean, source: SourceTime): RunClock {
  return { ...clock, anchorSession: clockAt(clock, source), anchorSource: source, running };
}

/** The same clock, put to another session time. */
export function setTo(clock: RunClock, session: SessionTime, source: SourceTime): RunClock {
  return { ...clock, anchorSession: session, anchorSource: source };
}

/**
 * The same session on another source clock, both read at the same moment: nothing jumps. A clock that stands keeps since when.
 * @example handOver(clock, audio.now, page.now)
 */
export function handOver(clock: RunClock, from: SourceTime, to: SourceTime): RunClock {
  if (!clock.running) return { ...clock, anchorSource: clock.anchorSource + (to - from) };
  return { ...clock, anchorSession: clockAt(clock, from), anchorSource: to };
}
