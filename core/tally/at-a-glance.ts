import { limbOf, mirrorStance, type Stance } from '../mechanics/walk';
import { familyOf, isStrike } from '../moves/move';
import type { Effort } from '../session/effort';
import type { Timeline } from '../session/compile';
import type { Percent, Seconds } from '../units';
import { studyOf } from '../mechanics/study-of';
import { planLeaf } from './planned';

/** Effort as one scale: the middle of the trade's words, section 6; rests and shows are nought. */
export function effortPercent(effort: Effort): Percent {
  if (typeof effort === 'number') return effort;
  return { easy: 45, steady: 65, strong: 82, 'all-out': 98 }[effort];
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
      percent:
        leaf.kind === 'rest' || leaf.kind === 'show' || leaf.doing === 'unplanned' ? 0 : effortPercent(leaf.effort),
      label: leaf.label,
    }));
}

export const strikeGroups = [
  'straights',
  'hooks',
  'uppercuts',
  'other punches',
  'elbows',
  'knees',
  'kicks',
  'teeps',
  'free',
] as const;
export type StrikeGroup = (typeof strikeGroups)[number];

/** Planned strikes of a kind by the athlete's own side. */
export type StrikesBySide = Readonly<Record<StrikeGroup, { readonly left: number; readonly right: number }>>;

function groupOf(id: string, family: string): StrikeGroup {
  if (family === 'elbow') return 'elbows';
  if (family === 'knee') return 'knees';
  if (family === 'kick') return 'kicks';
  if (family === 'teep') return 'teeps';
  if (id === 'jab' || id === 'cross') return 'straights';
  return id === 'hook' ? 'hooks' : id === 'uppercut' ? 'uppercuts' : 'other punches';
}

/**
 * Planned strikes by kind and side; slots and free work count half and half as `free`. The mean over a full turn of a
 * combination is taken, so that single strikes may come out in parts.
 */
export function strikesByKind(timeline: Timeline, stance: Stance): StrikesBySide {
  const sums = Object.fromEntries(strikeGroups.map((group) => [group, { left: 0, right: 0 }])) as Record<
    StrikeGroup,
    { left: number; right: number }
  >;
  for (const leaf of timeline.leaves) {
    const plan = planLeaf(leaf);
    if (plan.counts.strikes === 0) continue;
    const facing = leaf.mirrored ? mirrorStance(stance) : stance;
    const turns =
      leaf.combination && plan.repetitions > 0
        ? studyOf(leaf.combination, facing, leaf.nonStop, leaf.otherStance).turns
        : [];
    let known = 0;
    for (const turn of turns)
      for (const { step, stance: now } of turn.walk.steps)
        for (const content of step.content) {
          if (content.kind !== 'move' || !isStrike(content)) continue;
          const weight = plan.repetitions / turns.length;
          const limb = limbOf(content, now);
          const sum = sums[groupOf(content.id, familyOf(content))];
          sum.left += limb === null ? weight / 2 : limb.startsWith('left') ? weight : 0;
          sum.right += limb === null ? weight / 2 : limb.startsWith('right') ? weight : 0;
          known += weight;
        }
    const free = Math.max(0, plan.counts.strikes - known);
    sums.free.left += free / 2;
    sums.free.right += free / 2;
  }
  return sums;
}
