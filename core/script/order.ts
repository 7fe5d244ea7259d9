import type { SessionTime } from '../units';
import { leastGap, worthOfKind, type Call, type Candidate } from './call';
import { isFixed, onGrid } from './solve';

/** A call that can be moved, with its window. */
interface Movable {
  readonly call: Call;
  readonly from: SessionTime;
  readonly until: SessionTime;
}

/** The calls of a run that are still to be placed, in their own order and with the most pressing first. */
interface Left {
  readonly inOrder: readonly Movable[];
  readonly pressing: readonly Movable[];
}

const without = ({ inOrder, pressing }: Left, gone: Movable): Left => ({
  inOrder: inOrder.filter((each) => each !== gone),
  pressing: pressing.filter((each) => each !== gone),
});

/** Whether all but one of them can still be said from a moment on, the most pressing first, before a wall. */
function feasible({ pressing }: Left, gone: Movable, from: SessionTime, wall: SessionTime): boolean {
  let free = from;
  for (const each of pressing) {
    if (each === gone) continue;
    const at = onGrid(Math.max(free, each.from));
    const end = at + each.call.ms;
    if (end > each.until || end + leastGap > wall) return false;
    free = end + leastGap;
  }
  return true;
}

/** What matters more and opens while a lesser call would still be said: it goes first where all the others can wait. */
function better(
  left: Left,
  { call }: Movable,
  at: SessionTime,
  wall: SessionTime,
): { readonly next: Movable; readonly at: SessionTime } | null {
  const end = at + call.ms + leastGap;
  const more = left.inOrder
    .filter((each) => worthOfKind(each.call.kind) > worthOfKind(call.kind) && each.from > at && onGrid(each.from) < end)
    .sort((a, b) => a.from - b.from);
  for (const next of more) {
    const opens = onGrid(next.from);
    if (opens + next.call.ms <= next.until && feasible(left, next, opens + next.call.ms + leastGap, wall))
      return { next, at: opens };
  }
  return null;
}

/** Those that can begin first of all from a moment on, what matters most first. */
function soonest({ inOrder }: Left, free: SessionTime): { readonly at: SessionTime; readonly now: Movable[] } {
  let at: SessionTime = Infinity;
  let now: Movable[] = [];
  for (const each of inOrder) {
    const start = onGrid(Math.max(free, each.from));
    if (start < at) [at, now] = [start, []];
    if (start === at) now.push(each);
  }
  return { at, now: now.sort((a, b) => worthOfKind(b.call.kind) - worthOfKind(a.call.kind)) };
}

/** The calls between two that stand, what matters more first where their windows allow it; as they were where they do not. */
function ordered(run: readonly Movable[], from: SessionTime, wall: SessionTime): readonly Call[] {
  let left: Left = { inOrder: run, pressing: [...run].sort((a, b) => a.until - b.until) };
  const out: Call[] = [];
  let free = from;
  while (left.inOrder.length > 0) {
    const { at, now } = soonest(left, free);
    const next = now.find((each) => feasible(left, each, at + each.call.ms + leastGap, wall));
    const chosen = next && (better(left, next, at, wall) ?? { next, at });
    if (!chosen || chosen.at + chosen.next.call.ms > chosen.next.until) return run.map(({ call }) => call);
    const { call } = chosen.next;
    if (chosen.at + call.ms + leastGap > wall) return run.map((each) => each.call);
    out.push(chosen.at === call.at ? call : { ...call, at: chosen.at });
    left = without(left, chosen.next);
    free = chosen.at + call.ms + leastGap;
  }
  return out;
}

/**
 * What matters more is said first: the same calls in the same forms, moved inside their windows between those that stand.
 * @example importantFirst(calls, windows)[0].kind // "stance", where praise stood before it
 */
export function importantFirst(calls: readonly Call[], windows: ReadonlyMap<Call, Candidate>): Call[] {
  const out: Call[] = [];
  let run: Movable[] = [];
  let free: SessionTime = -Infinity;
  const close = (wall: SessionTime): void => {
    if (run.length > 1) out.push(...ordered(run, free, wall));
    else out.push(...run.map(({ call }) => call));
    run = [];
  };
  for (const call of calls) {
    const window = windows.get(call);
    if (window && !isFixed(window)) {
      run.push({ call, from: window.from, until: window.until });
      continue;
    }
    close(call.at);
    out.push(call);
    free = call.at + call.ms + leastGap;
  }
  close(Infinity);
  return out;
}
