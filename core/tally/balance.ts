import type { Timeline } from '../timeline/leaf';
import type { Tally } from './tally';
import type { Milliseconds } from '../units';

/** Goal of a balanced session with mirrored work: no more than this share away from even (house value, ±5 %). */
export const balanceGoal = 0.05;

/** How a session, or some weeks, fall on the two sides of the body. */
export interface Balance {
  readonly strikes: { readonly left: number; readonly right: number };
  readonly ms: { readonly left: Milliseconds; readonly right: Milliseconds };
  /** Share of the left side among all strikes, 0 to 1; a half where there are none. */
  readonly left: number;
  readonly balanced: boolean;
}

/** Sums by side as a balance. */
export function balance(strikes: Balance['strikes'], ms: Balance['ms']): Balance {
  const all = strikes.left + strikes.right;
  const left = all > 0 ? strikes.left / all : 0.5;
  return { strikes, ms, left, balanced: Math.abs(left - 0.5) <= balanceGoal };
}

/** The balance of a planned session. `balanceOf(tally(compile(sheet), sheet.stance)).balanced` */
export function balanceOf({ bySide, msBySide }: Tally): Balance {
  return balance(bySide, msBySide);
}

/** Work in the natural stance and in the other one, and how often the class changes over. */
export function stanceTimes(timeline: Timeline): {
  readonly natural: Milliseconds;
  readonly other: Milliseconds;
  readonly changes: number;
} {
  const work = timeline.leaves.filter((leaf) => leaf.block === 'round' && leaf.doing !== 'change-over');
  const sum = (mirrored: boolean): Milliseconds =>
    work.filter((leaf) => leaf.mirrored === mirrored).reduce((total, { ms }) => total + ms, 0);
  const changes = work.filter((leaf, at) => at > 0 && work[at - 1]?.mirrored !== leaf.mirrored).length;
  return { natural: sum(false), other: sum(true), changes };
}
