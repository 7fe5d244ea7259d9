import type { Milliseconds, SessionTime } from '../units';
import type { Leaf, Timeline } from './leaf';

/** One pass through a block: its leaves in order. Bells ring and calls are made by these. */
export interface Pass {
  readonly leaves: readonly Leaf[];
  readonly at: SessionTime;
  readonly end: SessionTime;
  readonly block: Leaf['block'];
  /** A work round, with its bells and its number. */
  readonly isRound: boolean;
  /** Work of any kind: not a rest, and not a show. */
  readonly isWork: boolean;
  /** Lasts until a key is pressed. */
  readonly open: boolean;
}

/** A pass by its first leaf, as it was the last time. */
const known = new WeakMap<Leaf, Pass>();

/** The very same pass where its leaves are the very same: whoever has worked something out for it finds it again. */
function passOf(leaves: readonly Leaf[]): Pass | null {
  const [first, last] = [leaves[0], leaves.at(-1)];
  if (!first || !last) return null;
  const before = known.get(first);
  if (before?.leaves.length === leaves.length && leaves.every((leaf, at) => leaf === before.leaves[at])) return before;
  const pass: Pass = {
    leaves,
    at: first.at,
    end: last.at + last.ms,
    block: first.block,
    isRound: first.block === 'round',
    isWork: first.block !== 'rest' && first.block !== 'show',
    open: first.open,
  };
  known.set(first, pass);
  return pass;
}

/** Whether a leaf goes on with the pass that another is of. */
function sameBlock(leaf: Leaf, before: Leaf | undefined): boolean {
  return (
    leaf.blockId === before?.blockId &&
    leaf.round === before.round &&
    leaf.block === before.block &&
    leaf.open === before.open
  );
}

/** The passes of a session; the rest between two repeats is one of its own. `passesOf(compile(sheet))[0].block` → `"warm-up"` */
export function passesOf(timeline: Timeline): Pass[] {
  const groups: Leaf[][] = [];
  for (const leaf of timeline.leaves) {
    const last = groups.at(-1);
    if (last && sameBlock(leaf, last[0])) last.push(leaf);
    else groups.push([leaf]);
  }
  return groups.flatMap((leaves) => passOf(leaves) ?? []);
}

/** Length of a pass. */
export function passLength({ at, end }: Pass): Milliseconds {
  return end - at;
}
