import type { SessionTime } from '../units';
import { leastGap, worthOfKind, type Call, type Candidate } from './call';
import { isFixed, onGrid } from './solve';

/** A call that can be moved, with its window. */
interface Movable {
  readonly call: Call;
  readonly from: SessionTime;
  readonly until: SessionTime;
}

/** Whether all of them can still be said from a moment on, the most pressing first, before a wall. */
function feasible(left: readonly Movable[], from: SessionTime, wall: SessionTime): boolean {
  let free = from;
  for (const { call, from: opens, until } of [...left].sort((a, b) => a.until - b.until)) {
    const at = onGrid(Math.max(free, opens));
    if (at + call.ms > until || at + call.ms + leastGap > wall) return false;
    free = at + call.ms + leastGap;
  }
  return true;
}

/** What matters more and opens while a lesser call would still be said: it goes first where all the others can wait. */
function better(
  left: readonly Movable[],
  { call }: Movable,
  at: SessionTime,
  wall: SessionTime,
): { readonly next: Movable; readonly at: SessionTime } | null {
  const end = at + call.ms + leastGap;
  const more = left
    .filter((each) => worthOfKind(each.call.kind) > worthOfKind(call.kind) && each.from > at && onGrid(each.from) < end)
    .sort((a, b) => a.from - b.from);
  for (const next of more) {
    const opens = onGrid(next.from);
    const others = left.filter((each) => each !== next);
    if (opens + next.call.ms <= next.until && feasible(others, opens + next.call.ms + leastGap, wall))
      return { next, at: opens };
  }
  return null;
}

/** The calls between two that stand, what matters more first where their windows allow it; as they were where they do not. */
function ordered(run: readonly Movable[], from: SessionTime, wall: SessionTime): readonly Call[] {
  const left = [...run];
  const out: Call[] = [];
  let free = from;
  while (left.length > 0) {
    const soonest = Math.min(...left.map(({ from: opens }) => onGrid(Math.max(free, opens))));
    const now = left
      .filter(({ from: opens }) => onGrid(Math.max(free, opens)) === soonest)
      .sort((a, b) => worthOfKind(b.call.kind) - worthOfKind(a.call.kind));
    const next = now.find(({ call }) =>
      feasible(
        left.filter((each) => each.call !== call),
        soonest + call.ms + leastGap,
        wall,
      ),
    );
    const chosen = next && (better(left, next, soonest, wall) ?? { next, at: soonest });
    if (!chosen || chosen.at + chosen.next.call.ms > chosen.next.until) return run.map(({ call }) => call);
    const { call } = chosen.next;
    if (chosen.at + call.ms + leastGap > wall) return run.map((each) => each.call);
    out.push(chosen.at === call.at ? call : { ...call, at: chosen.at });
    left.splice(left.indexOf(chosen.next), 1);
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
