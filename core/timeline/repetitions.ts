import { onsets, type Repetition } from '../mechanics/study';
import { studyOf } from '../mechanics/study-of';
import type { Milliseconds, SessionTime } from '../units';
import type { Leaf } from './leaf';

/** One repetition in a leaf, from the leaf's beginning. */
export interface RepetitionAt {
  readonly at: Milliseconds;
  readonly end: Milliseconds;
  /** Which of its turns, where moves take turns. */
  readonly turn: number;
  readonly repetition: Repetition;
}

/** What of a leaf its repetitions depend on. */
export type Repeated = Pick<Leaf, 'ms' | 'combination' | 'nonStop' | 'otherStance' | 'pace' | 'gapMs'>;

const known = new WeakMap<Repeated, readonly RepetitionAt[]>();

/** The whole repetitions that a leaf's combination comes to at its pace; none without a combination. Worked out once. */
export function repetitionsOf(leaf: Repeated): readonly RepetitionAt[] {
  let found = known.get(leaf);
  if (!found) {
    found = layOut(leaf);
    known.set(leaf, found);
  }
  return found;
}

function layOut(leaf: Repeated): RepetitionAt[] {
  if (!leaf.combination) return [];
  const { turns } = studyOf(leaf.combination, 'orthodox', leaf.nonStop, leaf.otherStance);
  const out: RepetitionAt[] = [];
  let at = 0;
  while (at < leaf.ms) {
    const turn = out.length % turns.length;
    const repetition = turns[turn];
    if (!repetition || repetition.ms === 0) break;
    const end = at + repetition.ms / leaf.pace;
    if (end > leaf.ms + 1) break;
    out.push({ at, end, turn, repetition });
    at = end + leaf.gapMs;
  }
  return out;
}

/**
 * Which step is done at a moment of the session, by its place in the written combination (`0`, `2.1`); null in a breath.
 * @example strikingAt(leaf, leaf.at) // "0"
 */
export function strikingAt(leaf: Repeated & Pick<Leaf, 'at'>, moment: SessionTime): string | null {
  const at = moment - leaf.at;
  const current = repetitionsOf(leaf).find((each) => at >= each.at && at < each.end);
  if (!current) return null;
  const inside = (at - current.at) * leaf.pace;
  const step = onsets(current.repetition).findLastIndex((onset) => onset <= inside + 1e-6);
  return current.repetition.walk.steps[step]?.step.path.join('.') ?? null;
}
