import type { Effort } from '../mechanics/effort';
import type { Leaf, Timeline } from '../timeline/leaf';
import { leafName } from '../timeline/names';
import type { Percent, Seconds } from '../units';

/** Effort as one scale: the middle of the trade's words, section 6; rests and shows are nought. */
export function effortPercent(effort: Effort): Percent {
  if (typeof effort === 'number') return effort;
  return { easy: 45, steady: 65, strong: 82, 'all-out': 98 }[effort];
}

/** How hard a leaf is; nought where nobody works. `leafPercent(leaf)` → 65 */
export function leafPercent({ kind, doing, effort }: Leaf): Percent {
  return kind === 'rest' || kind === 'show' || doing === 'unplanned' ? 0 : effortPercent(effort);
}

/** A stretch of one effort. */
export interface EffortStretch {
  readonly from: Seconds;
  readonly to: Seconds;
  readonly percent: Percent;
  readonly label: string;
}

/** Effort over the session's time, gapless. `effortOverTime(compile(sheet))[0].percent` */
export function effortOverTime(timeline: Timeline): EffortStretch[] {
  return timeline.leaves
    .filter((leaf) => leaf.ms > 0)
    .map((leaf) => ({
      from: leaf.at / 1000,
      to: (leaf.at + leaf.ms) / 1000,
      percent: leafPercent(leaf),
      label: leafName(leaf),
    }));
}
