import type { Leaf, Timeline } from '../timeline/leaf';
import { planLeaf } from '../tally/planned';
import type { Milliseconds, SessionTime } from '../units';
import type { Deed } from './deeds';

/** What a run came to. */
export interface Done {
  /** Session time worked through, repeats counted again, pauses and the count-in not. */
  readonly ms: Milliseconds;
  /** Work rounds whose every second was run at least once. */
  readonly rounds: number;
  /** Planned punches of what was run, in proportion where a piece was broken off. */
  readonly punches: number;
  readonly finished: boolean;
}

/** A stretch of session time that was run through. */
export interface Stretch {
  readonly from: SessionTime;
  readonly to: SessionTime;
}

/** The stretches of session time that the clock ran through, in the order they were run. */
export function stretchesOf(deeds: readonly Deed[]): Stretch[] {
  const stretches: Stretch[] = [];
  let running = false;
  let since: SessionTime = 0;
  deeds.forEach((deed, at) => {
    if (running && deed.from > Math.max(0, since)) stretches.push({ from: Math.max(0, since), to: deed.from });
    since = deed.to;
    if (deed.what === 'start' || deed.what === 'resume' || deed.what === 'break over') running = true;
    else if (
      deed.what === 'pause' ||
      deed.what === 'hold' ||
      deed.what === 'break' ||
      deed.what === 'stop now' ||
      deed.what === 'end' ||
      deed.what === 'finish'
    )
      running = false;
    // Going somewhere ends an open break by itself; after a pause it stays paused.
    else if (!running && deeds[at - 1]?.what === 'break') running = true;
  });
  return stretches;
}

function covered(stretches: readonly Stretch[], from: SessionTime, to: SessionTime): boolean {
  let reached = from;
  for (const stretch of [...stretches].sort((a, b) => a.from - b.from))
    if (stretch.from <= reached) reached = Math.max(reached, stretch.to);
  return reached >= to;
}

/** How often a leaf was run through, in proportion where it was broken off; repeats count again. `timesRun(stretches, leaf)` → `1.5` */
export function timesRun(stretches: readonly Stretch[], leaf: Pick<Leaf, 'at' | 'ms'>): number {
  if (leaf.ms === 0) return 0;
  const run = stretches.reduce(
    (sum, each) => sum + Math.max(0, Math.min(each.to, leaf.at + leaf.ms) - Math.max(each.from, leaf.at)),
    0,
  );
  return run / leaf.ms;
}

/** Adds up what was done from the deeds of a run. `whatWasDone(deeds, compile(sheet)).rounds` */
export function whatWasDone(deeds: readonly Deed[], timeline: Timeline): Done {
  const stretches = stretchesOf(deeds);
  let punches = 0;
  const missed = new Set<number>();
  const there = new Set<number>();
  for (const leaf of timeline.leaves) {
    if (leaf.round !== null) there.add(leaf.round);
    if (leaf.round !== null && !covered(stretches, leaf.at, leaf.at + leaf.ms)) missed.add(leaf.round);
    const times = timesRun(stretches, leaf);
    if (times > 0) punches += planLeaf(leaf).counts.punches * times;
  }
  return {
    ms: Math.round(stretches.reduce((sum, each) => sum + each.to - each.from, 0)),
    // A round that a live change has left out is not there at all.
    rounds: there.size - missed.size,
    punches: Math.round(punches),
    finished: deeds.at(-1)?.what === 'finish',
  };
}

/** Deeds of a coach that an entry names, besides the changes of the plan, in words. */
const named: readonly (readonly [Deed['what'], string])[] = [
  ['hold', 'class held'],
  ['pause', 'paused'],
  ['repeat', 'repeated a drill'],
  ['back', 'gone back'],
  ['forward', 'skipped ahead'],
];

/**
 * What a coach has done to a run beside changing its plan, with how often.
 * @example sayDeeds(deeds) // ["paused 2 times", "gone back"]
 */
export function sayDeeds(deeds: readonly Deed[]): string[] {
  return named.flatMap(([what, words]) => {
    const count = deeds.filter((each) => each.what === what).length;
    return count === 0 ? [] : [count === 1 ? words : `${words}, ${count} times`];
  });
}
