import { wholeOf, type Leaf, type Timeline } from '../timeline/leaf';
import type { Milliseconds, SessionTime } from '../units';
import { clockAt, setRunning, setTo, stoppedClock, type RunClock, type SourceTime } from './clock';
import type { Deed, Phase } from './deeds';

/** A session being performed. Changed only by the functions below, each of which gives a new one. */
export interface RunState {
  readonly phase: Phase;
  readonly clock: RunClock;
  /** Open breaks behind it. */
  readonly breaksPassed: number;
  readonly deeds: readonly Deed[];
}

/** A moment on both clocks: the one the run goes by, and the wall's. */
export interface Moment {
  readonly source: SourceTime;
  readonly wall: number;
}

function deed(state: RunState, what: Deed['what'], from: SessionTime, to: SessionTime, wall: number): readonly Deed[] {
  return [...state.deeds, { what, from: Math.round(from), to: Math.round(to), wall }];
}

/** Starts a run with a count-in before second zero. `begin({ source, wall }, 10_000)` */
export function begin(now: Moment, countIn: Milliseconds, rate = 1): RunState {
  const clock = setRunning(stoppedClock(-countIn, rate), true, now.source);
  return {
    phase: 'running',
    clock,
    breaksPassed: 0,
    deeds: [{ what: 'start', from: -countIn, to: -countIn, wall: now.wall }],
  };
}

/** Where the run stands; below zero while it counts in. */
export function positionOf(state: RunState, source: SourceTime): SessionTime {
  return clockAt(state.clock, source);
}

/** The open break a run has not passed yet and will meet next, or null. */
function nextBreak(timeline: Timeline, passed: number): Leaf | null {
  return timeline.leaves.filter((leaf) => leaf.open)[passed] ?? null;
}

/** The leaf a run is in: its index, or -1 before second zero, or the number of leaves after the end. */
export function leafIndexOf(state: RunState, timeline: Timeline, source: SourceTime): number {
  const at = positionOf(state, source);
  if (at < 0) return -1;
  const waiting = nextBreak(timeline, state.breaksPassed);
  if (waiting && waiting.at <= at) return timeline.leaves.indexOf(waiting);
  const index = timeline.leaves.findIndex((leaf) => !leaf.open && leaf.at <= at && at < leaf.at + leaf.ms);
  return index < 0 ? timeline.leaves.length : index;
}

/** Lets a run notice what time has brought: an open break, or the end. Call it on every look at the clock. */
export function notice(state: RunState, timeline: Timeline, now: Moment): RunState {
  if (state.phase !== 'running') return state;
  const at = positionOf(state, now.source);
  const waiting = nextBreak(timeline, state.breaksPassed);
  const holdAt = waiting?.at ?? timeline.ms;
  if (at < holdAt) return state;
  const clock = setRunning(setTo(state.clock, holdAt, now.source), false, now.source);
  if (waiting) return { ...state, phase: 'break', clock, deeds: deed(state, 'break', holdAt, holdAt, now.wall) };
  return { ...state, phase: 'over', clock, deeds: deed(state, 'finish', timeline.ms, timeline.ms, now.wall) };
}

function stand(state: RunState, now: Moment, phase: 'paused' | 'held', what: 'pause' | 'hold'): RunState {
  if (state.phase !== 'running') return state;
  const at = positionOf(state, now.source);
  const clock = setRunning(state.clock, false, now.source);
  return { ...state, phase, clock, deeds: deed(state, what, at, at, now.wall) };
}

/** Stops the clock for a while. */
export function pause(state: RunState, now: Moment): RunState {
  return stand(state, now, 'paused', 'pause');
}

/** Stops the clock until everybody is there; the class keeps its feet moving. */
export function hold(state: RunState, now: Moment): RunState {
  return stand(state, now, 'held', 'hold');
}

/** Phases in which somebody has made the clock stand still. */
const stands: ReadonlySet<Phase> = new Set<Phase>(['paused', 'held', 'stopped']);

/** Goes on after a pause, a hold or a stop, or ends an open break. */
export function resume(state: RunState, now: Moment): RunState {
  const at = positionOf(state, now.source);
  const clock = setRunning(state.clock, true, now.source);
  if (stands.has(state.phase))
    return { ...state, phase: 'running', clock, deeds: deed(state, 'resume', at, at, now.wall) };
  if (state.phase !== 'break') return state;
  return {
    ...state,
    phase: 'running',
    clock,
    breaksPassed: state.breaksPassed + 1,
    deeds: deed(state, 'break over', at, at, now.wall),
  };
}

/** Goes on at a leaf's beginning, or past the last one, which ends the run. */
function jump(state: RunState, timeline: Timeline, index: number, what: Deed['what'], now: Moment): RunState {
  const target = timeline.leaves[index];
  const from = positionOf(state, now.source);
  const to = target?.at ?? timeline.ms;
  const done = deed(state, what, from, to, now.wall);
  if (!target)
    return {
      ...state,
      phase: 'over',
      clock: setTo(setRunning(state.clock, false, now.source), to, now.source),
      deeds: [...done, { what: 'finish', from: to, to, wall: now.wall }],
    };
  const breaksPassed = timeline.leaves.slice(0, index).filter((leaf) => leaf.open).length;
  const still = stands.has(state.phase);
  const clock = setRunning(setTo(state.clock, to, now.source), !still, now.source);
  return notice({ phase: still ? state.phase : 'running', clock, breaksPassed, deeds: done }, timeline, now);
}

/** Goes to the piece before or after, or to this piece's own beginning; going past the last one ends the run. */
export function go(state: RunState, timeline: Timeline, where: 'back' | 'forward' | 'repeat', now: Moment): RunState {
  if (state.phase === 'over') return state;
  const on = timeline.leaves[leafIndexOf(state, timeline, now.source)];
  const parts = on ? wholeOf(timeline, on) : [];
  const first = parts[0] ? timeline.leaves.indexOf(parts[0]) : leafIndexOf(state, timeline, now.source);
  const before = timeline.leaves[first - 1];
  const index = {
    back: before ? timeline.leaves.indexOf(wholeOf(timeline, before)[0] ?? before) : first - 1,
    forward: first + Math.max(1, parts.length),
    repeat: first,
  }[where];
  return jump(state, timeline, Math.max(0, index), where, now);
}

/** The first leaf of the stage before a leaf's own in the same build; null in the first stage and outside builds. */
export function stageBefore(timeline: Timeline, leaf: Leaf): Leaf | null {
  const { stage, pieceId, blockId } = leaf;
  if (!stage) return null;
  const of = (each: Leaf): boolean =>
    each.pieceId === pieceId &&
    each.blockId === blockId &&
    each.at < leaf.at &&
    each.stage?.number === stage.number - 1;
  const last = timeline.leaves.findLast(of);
  const first = timeline.leaves.find((each) => of(each) && each.round === last?.round);
  return first ?? null;
}

/** Goes back to a leaf of the timeline. `goTo(state, timeline, stageBefore(timeline, leaf), now)` */
export function goTo(state: RunState, timeline: Timeline, leaf: Leaf, now: Moment): RunState {
  const index = timeline.leaves.indexOf(leaf);
  return state.phase === 'over' || index < 0 ? state : jump(state, timeline, index, 'back', now);
}

/** What was pressed last of what moves through the session; null where that was nothing, or the run is over. `lastJump(state)?.what` → `"forward"` */
export function lastJump({ phase, deeds }: RunState): Deed | null {
  const last = deeds.findLast(({ what }) => !['pause', 'hold', 'resume', 'break'].includes(what));
  const jumped = last?.what === 'back' || last?.what === 'forward' || last?.what === 'repeat';
  return jumped && phase !== 'over' ? last : null;
}

/** Goes back to where the last jump was pressed: what was done since stays done. `takeJumpBack(state, timeline, now)` */
export function takeJumpBack(state: RunState, timeline: Timeline, now: Moment): RunState {
  const jumped = lastJump(state);
  if (!jumped) return state;
  const at = positionOf(state, now.source);
  const to = Math.min(jumped.from, timeline.ms);
  const breaksPassed = timeline.leaves.filter((leaf) => leaf.open && leaf.at < to).length;
  const deeds = deed(state, to < at ? 'back' : 'forward', at, to, now.wall);
  // An open break that it led into is left again; what somebody has stopped stays so.
  const still = stands.has(state.phase);
  const clock = setRunning(setTo(state.clock, to, now.source), !still, now.source);
  return { phase: still ? state.phase : 'running', clock, breaksPassed, deeds };
}

/** Stops everything at once; it can go on, or be ended (`endRun`). */
export function stopNow(state: RunState, now: Moment): RunState {
  if (state.phase === 'over' || state.phase === 'stopped') return state;
  const at = positionOf(state, now.source);
  const clock = setRunning(state.clock, false, now.source);
  return { ...state, phase: 'stopped', clock, deeds: deed(state, 'stop now', at, at, now.wall) };
}

/** Ends a run for good; what was done so far is kept. */
export function endRun(state: RunState, now: Moment): RunState {
  if (state.phase === 'over') return state;
  const at = positionOf(state, now.source);
  const clock = setRunning(state.clock, false, now.source);
  return { ...state, phase: 'over', clock, deeds: deed(state, 'end', at, at, now.wall) };
}

/** A run taken up again after a reload, standing paused where it was. */
export function takeUp(at: SessionTime, breaksPassed: number, deedsSoFar: readonly Deed[], rate: number): RunState {
  return { phase: 'paused', clock: stoppedClock(at, rate), breaksPassed, deeds: deedsSoFar };
}
