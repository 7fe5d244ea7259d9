import { studyOf } from '../mechanics/study-of';
import { fullTurn, type Combination } from '../notation/combination';
import type { Leaf } from '../timeline/leaf';
import type { Milliseconds, PaceFactor } from '../units';
import { addTo, countCombination, noCounts, timesOfTurns, type Counts } from './counts';

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

const isQuiet = ({ kind }: Leaf): boolean => kind === 'show' || kind === 'rest';

const isFreestyle = ({ combination }: Leaf): boolean => combination?.items[0]?.kind === 'freestyle';

/** Whole repetitions of its combination that a leaf has time for; 0 where nothing is repeated. `wholeRepetitions(leaf)` → 9 */
export function wholeRepetitions(leaf: Leaf): number {
  const { combination } = leaf;
  if (isQuiet(leaf) || leaf.doing !== 'combination' || !combination || isFreestyle(leaf)) return 0;
  const study = studyOf(combination, 'orthodox', leaf.nonStop, leaf.otherStance);
  return repetitionsIn(leaf.ms, study.ms, leaf.pace, leaf.gapMs);
}

/** What so many repetitions of a combination come to. */
function repeatedPlan(combination: Combination, repetitions: number): LeafPlan {
  const counts = noCounts();
  timesOfTurns(repetitions, fullTurn(combination.items)).forEach((times, turn) => {
    addTo(counts, countCombination(combination, turn), times);
  });
  const spread = slotSpread(combination) * repetitions;
  return { repetitions, counts, least: counts.strikes - spread, most: counts.strikes + spread };
}

/** What a leaf plans: free work a strike a second, combinations by whole repetitions; shows and rests nothing. */
export function planLeaf(leaf: Leaf): LeafPlan {
  if (isQuiet(leaf)) return emptyPlan;
  if (leaf.doing === 'own-time' || isFreestyle(leaf)) return freePlan(leaf);
  if (leaf.doing === 'calls') return fixedPlan(leaf.drillCalls.reduce((sum, call) => sum + call.punches, 0));
  if (leaf.doing === 'rhythm') return fixedPlan(leaf.touches.length);
  const repetitions = wholeRepetitions(leaf);
  return leaf.combination && repetitions > 0 ? repeatedPlan(leaf.combination, repetitions) : emptyPlan;
}
