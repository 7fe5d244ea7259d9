import { stepMs, type Repetition } from '../mechanics/study';
import { studyOf } from '../mechanics/study-of';
import { limbOf, mirrorStance, type Stance } from '../mechanics/walk';
import { isStrike, type Move } from '../moves/move';
import type { Target } from '../moves/kind';
import type { Combination, Freestyle, Slot } from '../notation/combination';
import type { Leaf, Timeline } from '../session/compile';
import type { Milliseconds, PaceFactor } from '../units';
import { addCounts, countByMove, countCombination, noCounts, type Counts } from './counts';

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

/** What a leaf plans: free work a strike a second, combinations by whole repetitions; shows and rests nothing. */
export function planLeaf(leaf: Leaf): LeafPlan {
  if (leaf.kind === 'show' || leaf.kind === 'rest') return emptyPlan;
  if (leaf.doing === 'own-time') return freePlan(leaf);
  if (leaf.doing === 'calls') {
    const punches = leaf.script.reduce((sum, call) => sum + call.punches, 0);
    const counts = { ...noCounts(), punches, strikes: punches, moves: punches };
    return { repetitions: 0, counts, least: punches, most: punches };
  }
  if (leaf.doing !== 'combination' || !leaf.combination) return emptyPlan;
  if (leaf.combination.items[0]?.kind === 'freestyle') return freePlan(leaf);
  const repetitions = repetitionsIn(
    leaf.ms,
    studyOf(leaf.combination, 'orthodox', leaf.nonStop, leaf.otherStance).ms,
    leaf.pace,
    leaf.gapMs,
  );
  const counts = addCounts(noCounts(), countCombination(leaf.combination), repetitions);
  const spread = slotSpread(leaf.combination) * repetitions;
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
  readonly rounds: readonly { readonly round: number; readonly label: string; readonly counts: Counts }[];
}

interface Spread {
  left: number;
  right: number;
  leftMs: Milliseconds;
  rightMs: Milliseconds;
  byTarget: Record<Target, number>;
}

/** `ms` is how long one strike of it takes at the leaf's pace. */
function spreadContent(
  out: Spread,
  content: Move | Slot | Freestyle,
  stance: Stance,
  weight: number,
  ms: Milliseconds,
): void {
  if (content.kind === 'move') {
    if (!isStrike(content)) return;
    const limb = limbOf(content, stance);
    const left = limb?.startsWith('left') ? 1 : limb ? 0 : 0.5;
    out.left += left * weight;
    out.right += (1 - left) * weight;
    out.leftMs += left * weight * ms;
    out.rightMs += (1 - left) * weight * ms;
    if (content.target) out.byTarget[content.target] += weight;
    return;
  }
  const strikes = content.kind === 'freestyle' ? 1 : (content.least + content.most) / 2 - (content.end ? 1 : 0);
  out.left += (strikes * weight) / 2;
  out.right += (strikes * weight) / 2;
  out.leftMs += (weight * ms) / 2;
  out.rightMs += (weight * ms) / 2;
  const toBody = content.kind === 'slot' && (content.of === 'body' || content.of === 'kicks');
  out.byTarget[toBody ? 'body' : 'head'] += strikes * weight;
  if (content.kind === 'slot' && content.end) spreadContent(out, content.end, stance, weight, 0);
}

function spreadRepetition(out: Spread, repetition: Repetition, weight: number, pace: PaceFactor): void {
  for (const { step, stance } of repetition.walk.steps)
    for (const content of step.content) spreadContent(out, content, stance, weight, stepMs(step) / pace);
}

/** Left and right, and targets, of all repetitions of a leaf; a combination that turns carries on mirrored. */
function spreadLeaf(out: Spread, leaf: Leaf, repetitions: number, stance: Stance): void {
  if (!leaf.combination) return;
  const studied = studyOf(leaf.combination, stance, leaf.nonStop, leaf.otherStance);
  const mirrored = studyOf(leaf.combination, mirrorStance(stance), leaf.nonStop, leaf.otherStance);
  const turns = studied.turns.length;
  let facing = stance;
  for (let turn = 0; turn < Math.min(repetitions, 2 * turns); turn += 1) {
    // Everything repeats after two full turns, so each of those is walked once and weighed.
    const weight = Math.floor((repetitions - 1 - turn) / (2 * turns)) + 1;
    const here = (facing === stance ? studied : mirrored).turns[turn % turns];
    if (!here) return;
    spreadRepetition(out, here, weight, leaf.pace);
    if (leaf.otherStance !== 'reset') facing = here.walk.end;
  }
}

function addFree(out: Spread, plan: LeafPlan, ms: Milliseconds): void {
  out.left += plan.counts.strikes / 2;
  out.right += plan.counts.strikes / 2;
  out.leftMs += ms / 2;
  out.rightMs += ms / 2;
  out.byTarget.head += plan.counts.strikes;
}

/**
 * Adds up what a timeline plans.
 * @example tally(compile(sheet), sheet.stance).counts.punches
 */
export function tally(timeline: Timeline, stance: Stance): Tally {
  let [work, rest, other, least, most] = [0, 0, 0, 0, 0];
  let counts = noCounts();
  const byMove: Record<string, number> = {};
  const spread: Spread = { left: 0, right: 0, leftMs: 0, rightMs: 0, byTarget: { head: 0, body: 0, leg: 0 } };
  const rounds = new Map<number, { round: number; label: string; counts: Counts }>();
  for (const leaf of timeline.leaves) {
    if (leaf.block === 'round') work += leaf.ms;
    else if (leaf.kind === 'rest') rest += leaf.ms;
    else other += leaf.ms;
    const plan = planLeaf(leaf);
    counts = addCounts(counts, plan.counts);
    least += plan.least;
    most += plan.most;
    if (leaf.round !== null) {
      const before = rounds.get(leaf.round)?.counts ?? noCounts();
      rounds.set(leaf.round, {
        round: leaf.round,
        label: `Round ${leaf.round}`,
        counts: addCounts(before, plan.counts),
      });
    }
    if (plan.repetitions > 0 && leaf.combination) {
      for (const [name, count] of Object.entries(countByMove(leaf.combination)))
        byMove[name] = (byMove[name] ?? 0) + count * plan.repetitions;
      spreadLeaf(spread, leaf, plan.repetitions, leaf.mirrored ? mirrorStance(stance) : stance);
    } else addFree(spread, plan, plan.counts.strikes > 0 ? leaf.ms : 0);
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
    rounds: [...rounds.values()],
  };
}
