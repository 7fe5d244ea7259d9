import { wholeOf, type Leaf, type Timeline } from '../timeline/leaf';
import type { Milliseconds, SessionTime } from '../units';
import type { SourceTime } from './clock';
import { leafIndexOf, positionOf, type RunState } from './run';

/** Where a run stands in its session: what a screen shows of it. */
export interface Where {
  readonly position: SessionTime;
  /** null before second zero and after the end. */
  readonly leaf: Leaf | null;
  /** The piece that is on, in the parts that changes made of it. */
  readonly parts: readonly Leaf[];
  readonly next: Leaf | null;
  /** Until the piece ends, until second zero, or how long an open break has lasted. */
  readonly clock: Milliseconds;
}

/**
 * Where a run stands at a reading of its clock.
 * @example whereIs(state, timeline, source).clock // 42_000
 */
export function whereIs(state: RunState, timeline: Timeline, source: SourceTime): Where {
  const position = positionOf(state, source);
  const index = leafIndexOf(state, timeline, source);
  const leaf = timeline.leaves[index] ?? null;
  const parts = leaf ? wholeOf(timeline, leaf) : [];
  const last = parts.at(-1);
  const next = timeline.leaves[(last ? timeline.leaves.indexOf(last) : index) + 1] ?? null;
  const end = last ? last.at + last.ms : timeline.ms;
  const clock =
    state.phase === 'break'
      ? Math.max(0, source - state.clock.anchorSource)
      : position < 0
        ? -position
        : Math.max(0, end - position);
  return { position, leaf, parts, next, clock };
}
