import type { Milliseconds, SessionTime } from '../units';
import type { Leaf, Timeline } from './compile';

/** One pass through a block: its leaves in order. Bells ring and calls are made by these. */
export interface Pass {
  readonly leaves: readonly Leaf[];
  readonly at: SessionTime;
  readonly end: SessionTime;
  readonly block: Leaf['block'];
  /** Lasts until a key is pressed. */
  readonly open: boolean;
}

/** The passes of a session; the rest between two repeats is one of its own. `passesOf(compile(sheet))[0].block` → `"warm-up"` */
export function passesOf(timeline: Timeline): Pass[] {
  const groups: { readonly key: string; readonly leaves: Leaf[] }[] = [];
  for (const leaf of timeline.leaves) {
    const key = `${leaf.blockId} ${leaf.round} ${leaf.block} ${leaf.open}`;
    const last = groups.at(-1);
    if (last?.key === key) last.leaves.push(leaf);
    else groups.push({ key, leaves: [leaf] });
  }
  return groups.flatMap(({ leaves }): Pass[] => {
    const [first, last] = [leaves[0], leaves.at(-1)];
    if (!first || !last) return [];
    return [{ leaves, at: first.at, end: last.at + last.ms, block: first.block, open: first.open }];
  });
}

/** Length of a pass. */
export function passLength({ at, end }: Pass): Milliseconds {
  return end - at;
}
