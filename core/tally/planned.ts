import { studyOf } from '../mechanics/study-of';
import type { Stance } from '../mechanics/walk';
import type { Target } from '../moves/kind';
import { fullTurn, type Combination } from '../notation/combination';
import type { Leaf, Timeline } from '../timeline/leaf';
import type { Milliseconds, PaceFactor } from '../units';
import {
  addTo,
  countByMove,
  countCombination,
  noCounts,
  timesOfTurns,
  type Counts,
  type GrowingCounts,
} from './counts';
import { addFree, addSides, addTouches, facingOf, noSides, spreadLeaf, type Sides, type StrikesByKind } from './sides';

/** Free work is shown as a range of this much either way (house value). */
export const freeSpread = 0.25;

/** What is planned in one leaf. */
export interface LeafPlan {
  /** Whole repetitions that fit; 0 where nothing is repeated. */
  readonly repetitions: number;
  readonly counts: Counts;
  /** Least and most strikes: slots with a range and free work widen it. */
  readonly least: number;
  readonly most: number;
}

const emptyPlan: LeafPlan = { repetitions: 0, counts: noCounts(), least: 0, most: 0 };

/**
 * Whole repetitions that fit into a time: ⌊(T + g) / (seconds/pace + g)⌋, at least one (trade page, section 4).
 * @example repetitionsIn(30_000, 660, 1, 3000) // 9
 */
export function repetitionsIn(
  ms: Milliseconds,
  repetitionMs: Milliseconds,
  pace: PaceFactor,
  gapMs: Milliseconds,
): number {
  return Math.max(1, Math.floor((ms + gapMs) / (repetitionMs / pace + gapMs)));
}

function slotSpread(combination: Combination): number {
  let spread = 0;
  const visit = (items: Combination['items'], weight: number): void => {
    for (const item of items) {
      if (item.kind === 'slot') spread += ((item.most - item.least) / 2) * weight;
      else if (item.kind === 'group') visit(item.items, weight * item.times);
      else if (item.kind === 'turns') for (const option of item.options) visit(option, weight / item.options.length);
    }
  };
  visit(combination.items, 1);
  return spread;
}

function freePlan(leaf: Leaf): LeafPlan {
  const strikes = Math.round((leaf.ms / 1000) * leaf.pace);
  const counts = { ...noCounts(), strikes, punches: strikes, moves: strikes };
  return {
    repetitions: 0,
    counts,
    least: Math.round(strikes * (1 - freeSpread)),
    most: Math.round(strikes * (1 + freeSpread)),
  };
}

/** Work whose punches are known one by one. */
function fixedPlan(punches: number): LeafPlan {
  const counts = { ...noCounts(), punches, strikes: punches, moves: punches };
  return { repetitions: 0, counts, least: punches, most: punches };
}

/** What a leaf plans: free work a strike a second, combinations by whole repetitions; shows and rests nothing. */
export function planLeaf(leaf: Leaf): LeafPlan {
  if (leaf.kind === 'show' || leaf.kind === 'rest') return emptyPlan;
  if (leaf.doing === 'own-time') return freePlan(leaf);
  if (leaf.doing === 'calls') {
    return fixedPlan(leaf.drillCalls.reduce((sum, call) => sum + call.punches, 0));
  }
  if (leaf.doing === 'rhythm') return fixedPlan(leaf.touches.length);
  if (leaf.doing !== 'combination' || !leaf.combination) return emptyPlan;
  if (leaf.combination.items[0]?.kind === 'freestyle') return freePlan(leaf);
  const { combination } = leaf;
  const study = studyOf(combination, 'orthodox', leaf.nonStop, leaf.otherStance);
  const repetitions = repetitionsIn(leaf.ms, study.ms, leaf.pace, leaf.gapMs);
  const counts = noCounts();
  timesOfTurns(repetitions, fullTurn(combination.items)).forEach((times, turn) => {
    addTo(counts, countCombination(combination, turn), times);
  });
  const spread = slotSpread(combination) * repetitions;
  return { repetitions, counts, least: counts.strikes - spread, most: counts.strikes + spread };
}

/** A session's planned work. */
export interface Tally {
  /** Time in rounds, in rests, and everything else. */
  readonly work: Milliseconds;
  readonly rest: Milliseconds;
  readonly other: Milliseconds;
  readonly counts: Counts;
  readonly least: number;
  readonly most: number;
  readonly byMove: Readonly<Record<string, number>>;
  /** Strikes by the athlete's own side. */
  readonly bySide: { readonly left: number; readonly right: number };
  /** Time in which strikes are thrown, by the athlete's own side. */
  readonly msBySide: { readonly left: Milliseconds; readonly right: Milliseconds };
  readonly byTarget: Readonly<Record<Target, number>>;
  /** Strikes by kind and side; slots and free work count half and half as `free`. */
  readonly byKind: StrikesByKind;
  readonly rounds: readonly { readonly round: number; readonly label: string; readonly counts: Counts }[];
}

/** What strikes are called that no combination names. */
const freeName: Partial<Record<Leaf['doing'], string>> = { rhythm: 'touch', calls: 'called punch' };

/** What one leaf adds to a session's sums. */
interface LeafWork {
  readonly plan: LeafPlan;
  readonly byMove: readonly (readonly [name: string, count: number])[];
  readonly sides: Sides;
}

function worked(leaf: Leaf, stance: Stance): LeafWork {
  const plan = planLeaf(leaf);
  const facing = facingOf(leaf, stance);
  const sides = noSides();
  if (plan.repetitions > 0 && leaf.combination) {
    const { combination } = leaf;
    spreadLeaf(sides, leaf, plan.repetitions, facing);
    const byMove = timesOfTurns(plan.repetitions, fullTurn(combination.items)).flatMap((times, turn) =>
      Object.entries(countByMove(combination, turn)).map(([name, count]) => [name, count * times] as const),
    );
    return { plan, byMove, sides };
  }
  const { strikes } = plan.counts;
  if (strikes === 0) return { plan, byMove: [], sides };
  if (leaf.doing === 'rhythm') addTouches(sides, leaf, facing);
  else addFree(sides, strikes, leaf.ms);
  return { plan, byMove: [[freeName[leaf.doing] ?? 'free', strikes]], sides };
}

const known = new WeakMap<Leaf, { readonly stance: Stance; readonly work: LeafWork }>();

/** Remembered: of hundreds of leaves a change makes only a few anew. */
function workOf(leaf: Leaf, stance: Stance): LeafWork {
  const before = known.get(leaf);
  if (before?.stance === stance) return before.work;
  const work = worked(leaf, stance);
  known.set(leaf, { stance, work });
  return work;
}

/**
 * Adds up what a timeline plans.
 * @example tally(compile(sheet), sheet.stance).counts.punches
 */
export function tally(timeline: Timeline, stance: Stance): Tally {
  let [work, rest, other, least, most] = [0, 0, 0, 0, 0];
  const counts = noCounts();
  const byMove: Record<string, number> = {};
  const spread = noSides();
  const rounds = new Map<number, GrowingCounts>();
  for (const leaf of timeline.leaves) {
    if (leaf.block === 'round') work += leaf.ms;
    else if (leaf.kind === 'rest') rest += leaf.ms;
    else other += leaf.ms;
    const { plan, byMove: own, sides } = workOf(leaf, stance);
    addTo(counts, plan.counts);
    least += plan.least;
    most += plan.most;
    if (leaf.round !== null) {
      const sum = rounds.get(leaf.round) ?? noCounts();
      rounds.set(leaf.round, sum);
      addTo(sum, plan.counts);
    }
    for (const [name, count] of own) if (count > 0) byMove[name] = (byMove[name] ?? 0) + count;
    addSides(spread, sides);
  }
  return {
    work,
    rest,
    other,
    counts,
    least,
    most,
    byMove,
    bySide: { left: spread.left, right: spread.right },
    msBySide: { left: Math.round(spread.leftMs), right: Math.round(spread.rightMs) },
    byTarget: spread.byTarget,
    byKind: spread.byKind,
    rounds: [...rounds].map(([round, sum]) => ({ round, label: `Round ${round}`, counts: sum })),
  };
}
