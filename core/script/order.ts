import type { SessionTime } from '../units';
import { lateCost, leastGap, worthOfKind } from './call';
import { isFixed, onGrid, type Said } from './solve';

/** The calls of a run that are still to be placed, in their own order and with the most pressing first. */
interface Left {
  readonly inOrder: readonly Said[];
  readonly pressing: readonly Said[];
}

const without = ({ inOrder, pressing }: Left, gone: Said): Left => ({
  inOrder: inOrder.filter((each) => each !== gone),
  pressing: pressing.filter((each) => each !== gone),
});

/** Whether all but one of them can still be said from a moment on, the most pressing first, before a wall. */
function feasible({ pressing }: Left, gone: Said, from: SessionTime, wall: SessionTime): boolean {
  let free = from;
  for (const each of pressing) {
    if (each === gone) continue;
    const { from: opens, until } = each.candidate;
    const end = onGrid(Math.max(free, opens)) + each.phrase.ms;
    if (end > until || end + leastGap > wall) return false;
    free = end + leastGap;
  }
  return true;
}

/** What matters more and opens while a lesser call would still be said: it goes first where all the others can wait. */
function better(
  left: Left,
  lesser: Said,
  at: SessionTime,
  wall: SessionTime,
): { readonly next: Said; readonly at: SessionTime } | null {
  const end = at + lesser.phrase.ms + leastGap;
  const worth = worthOfKind(lesser.candidate.kind);
  const more = left.inOrder
    .filter(({ candidate: { kind, from } }) => worthOfKind(kind) > worth && from > at && onGrid(from) < end)
    .sort((a, b) => a.candidate.from - b.candidate.from);
  for (const next of more) {
    const opens = onGrid(next.candidate.from);
    if (feasible(left, next, opens + next.phrase.ms + leastGap, wall)) return { next, at: opens };
  }
  return null;
}

/** Those that can begin first of all from a moment on, what matters most first. */
function soonest({ inOrder }: Left, free: SessionTime): { readonly at: SessionTime; readonly now: Said[] } {
  let at: SessionTime = Infinity;
  let now: Said[] = [];
  for (const each of inOrder) {
    const start = onGrid(Math.max(free, each.candidate.from));
    if (start < at) [at, now] = [start, []];
    if (start === at) now.push(each);
  }
  return { at, now: now.sort((a, b) => worthOfKind(b.candidate.kind) - worthOfKind(a.candidate.kind)) };
}

/** The calls between two that stand, what matters more first where their windows allow it; as they were where they do not. */
function ordered(run: readonly Said[], from: SessionTime, wall: SessionTime): readonly Said[] {
  let left: Left = { inOrder: run, pressing: [...run].sort((a, b) => a.candidate.until - b.candidate.until) };
  const out: Said[] = [];
  let free = from;
  while (left.inOrder.length > 0) {
    const { at, now } = soonest(left, free);
    const next = now.find((each) => feasible(left, each, at + each.phrase.ms + leastGap, wall));
    const chosen = next && (better(left, next, at, wall) ?? { next, at });
    if (!chosen) return run;
    const { phrase, candidate } = chosen.next;
    // In time: it begins no later than where it stood, or than where it was found feasible.
    out.push({ candidate, phrase, at: chosen.at });
    left = without(left, chosen.next);
    free = chosen.at + phrase.ms + leastGap;
  }
  return out;
}

/** What all of them lose by being late. */
const lateIn = (run: readonly Said[]): number =>
  run.reduce((sum, { candidate, at }) => sum + lateCost(candidate, at), 0);

/**
 * What matters more is said first: the same calls in the same forms, moved inside their windows between those that stand.
 * @example importantFirst(said)[0].candidate.kind // "stance", where praise stood before it
 */
export function importantFirst(said: readonly Said[]): Said[] {
  const out: Said[] = [];
  let run: Said[] = [];
  let free: SessionTime = -Infinity;
  const close = (wall: SessionTime): void => {
    const moved = run.length > 1 ? ordered(run, free, wall) : run;
    // What begins is not said later for it.
    out.push(...(lateIn(moved) > lateIn(run) ? run : moved));
    run = [];
  };
  for (const each of said) {
    if (!isFixed(each.candidate)) {
      run.push(each);
      continue;
    }
    close(each.at);
    out.push(each);
    free = each.at + each.phrase.ms + leastGap;
  }
  close(Infinity);
  return out;
}
