import { onsets } from '../mechanics/study';
import type { Timeline } from '../timeline/leaf';
import { blockName } from '../timeline/names';
import { repetitionsOf } from '../timeline/repetitions';
import type { Milliseconds, SessionTime } from '../units';
import type { TakenLeaf, TakenSession } from './session';

/** A picture of a film: from when, and how long it stands. */
export interface FilmFrame {
  readonly at: SessionTime;
  readonly ms: Milliseconds;
}

/** What is filmed of a session. */
export interface FilmStretch {
  readonly from: SessionTime;
  readonly to: SessionTime;
}

/** Where something moves there are this many pictures a second. */
export const filmRate = 25;
const frameMs: Milliseconds = 1000 / filmRate;

/** When what a still picture holds changes: the clock's seconds, words, and the move that is lit. */
function changesOf(leaf: TakenLeaf, { calls }: TakenSession): SessionTime[] {
  const end = leaf.at + leaf.ms;
  const seconds = Array.from({ length: Math.ceil(leaf.ms / 1000) }, (_, index) => end - index * 1000);
  const said = calls.filter(({ at }) => at >= leaf.at && at < end).map(({ at }) => at);
  const lit = repetitionsOf(leaf).flatMap(({ at, end: done, repetition }) => [
    ...onsets(repetition).map((onset) => leaf.at + at + onset / leaf.pace),
    leaf.at + done,
  ]);
  return [...seconds, ...said, ...lit, end];
}

/**
 * The pictures of a stretch of a session, in order and without gap: every frame where the figure moves, else only where
 * something changes.
 * @example [...filmFrames(session, { from: 0, to: 60_000 }, () => false)].length // about one a second
 */
export function* filmFrames(
  session: TakenSession,
  { from, to }: FilmStretch,
  moves: (leaf: TakenLeaf) => boolean,
): Generator<FilmFrame> {
  let at = from;
  for (const leaf of session.leaves) {
    const end = Math.min(to, leaf.at + leaf.ms);
    if (leaf.ms === 0 || end <= at || leaf.at >= to) continue;
    const times = moves(leaf)
      ? Array.from({ length: Math.ceil((end - at) / frameMs) }, (_, index) => at + (index + 1) * frameMs)
      : changesOf(leaf, session).sort((a, b) => a - b);
    for (const time of times) {
      const next = Math.min(time, end);
      // Two changes nearer than a frame are one picture.
      if (next - at < frameMs * 0.5 && next < end) continue;
      if (next <= at) continue;
      yield { at, ms: next - at };
      at = next;
    }
    if (at < end) {
      yield { at, ms: end - at };
      at = end;
    }
  }
}

/** Stretches that can be filmed: all of it, or a round. `filmStretches(compile(sheet))[0].name` → `"the whole session"` */
export function filmStretches(timeline: Timeline): (FilmStretch & { readonly name: string })[] {
  const whole = { name: 'the whole session', from: 0, to: timeline.ms };
  const parts: { name: string; from: SessionTime; to: SessionTime }[] = [];
  for (const leaf of timeline.leaves) {
    const name = blockName(leaf);
    const last = parts.at(-1);
    if (last?.name === name && last.to === leaf.at) last.to = leaf.at + leaf.ms;
    else if (leaf.ms > 0) parts.push({ name, from: leaf.at, to: leaf.at + leaf.ms });
  }
  return [whole, ...parts.filter((_, index) => parts.length > 1 || index > 0)];
}

/** The headings of a stretch as chapters, from its beginning. */
export function filmChapters(
  session: TakenSession,
  { from, to }: FilmStretch,
): { readonly at: Milliseconds; readonly name: string }[] {
  const chapters: { at: Milliseconds; name: string }[] = [];
  for (const leaf of session.leaves)
    if (leaf.at + leaf.ms > from && leaf.at < to && chapters.at(-1)?.name !== leaf.part)
      chapters.push({ at: Math.max(0, leaf.at - from), name: leaf.part });
  return chapters;
}
