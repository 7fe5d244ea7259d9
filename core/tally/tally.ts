import type { Stance } from '../mechanics/walk';
import type { Target } from '../moves/kind';
import { fullTurn, type Combination } from '../notation/combination';
import type { Leaf, Timeline } from '../timeline/leaf';
import { passesOf, type Pass } from '../timeline/passes';
import type { Milliseconds } from '../units';
import { addTo, countByMove, noCounts, timesOfTurns, type Counts, type GrowingCounts } from './counts';
import { planLeaf, wholeRepetitions, type LeafPlan } from './planned';
import { addFree, addSides, addTouches, facingOf, noSides, spreadLeaf, type Sides, type StrikesByKind } from './sides';

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

/** What one leaf plans, move by move and side by side. */
interface LeafWork {
  readonly plan: LeafPlan;
  readonly byMove: Readonly<Record<string, number>>;
  readonly sides: Sides;
}

function addByMove(sum: Record<string, number>, more: Readonly<Record<string, number>>, times = 1): void {
  for (const [name, count] of Object.entries(more)) if (count * times > 0) sum[name] = (sum[name] ?? 0) + count * times;
}

function repeatedWork(leaf: Leaf, combination: Combination, facing: Stance): LeafWork {
  const plan = planLeaf(leaf);
  const [byMove, sides] = [{}, noSides()];
  timesOfTurns(plan.repetitions, fullTurn(combination.items)).forEach((times, turn) => {
    addByMove(byMove, countByMove(combination, turn), times);
  });
  spreadLeaf(sides, leaf, plan.repetitions, facing);
  return { plan, byMove, sides };
}

/** Remembered: a session has few combinations, and does each of them again and again. */
const repeated = new WeakMap<Combination, Map<string, LeafWork>>();

function workOf(leaf: Leaf, stance: Stance): LeafWork {
  const facing = facingOf(leaf, stance);
  const repetitions = wholeRepetitions(leaf);
  if (repetitions > 0 && leaf.combination) {
    const { combination, pace, otherStance } = leaf;
    const key = `${repetitions} ${pace} ${otherStance} ${facing}`;
    const known = repeated.get(combination) ?? new Map<string, LeafWork>();
    repeated.set(combination, known);
    const work = known.get(key) ?? repeatedWork(leaf, combination, facing);
    known.set(key, work);
    return work;
  }
  const plan = planLeaf(leaf);
  const sides = noSides();
  const { strikes } = plan.counts;
  if (strikes === 0) return { plan, byMove: {}, sides };
  if (leaf.doing === 'rhythm') addTouches(sides, leaf, facing);
  else addFree(sides, strikes, leaf.ms);
  return { plan, byMove: { [freeName[leaf.doing] ?? 'free']: strikes }, sides };
}

/** What a leaf, a pass or a session comes to. */
interface Sums {
  readonly work: Milliseconds;
  readonly rest: Milliseconds;
  readonly other: Milliseconds;
  readonly least: number;
  readonly most: number;
  readonly counts: Counts;
  readonly byMove: Readonly<Record<string, number>>;
  readonly sides: Sides;
}

/** Sums that are still being added up. */
type GrowingSums = { -readonly [Key in keyof Sums]: Sums[Key] } & {
  readonly counts: GrowingCounts;
  readonly byMove: Record<string, number>;
};

function noSums(): GrowingSums {
  return { work: 0, rest: 0, other: 0, least: 0, most: 0, counts: noCounts(), byMove: {}, sides: noSides() };
}

function addSums(sums: GrowingSums, more: Sums): void {
  sums.work += more.work;
  sums.rest += more.rest;
  sums.other += more.other;
  sums.least += more.least;
  sums.most += more.most;
  addTo(sums.counts, more.counts);
  addByMove(sums.byMove, more.byMove);
  addSides(sums.sides, more.sides);
}

function sumsOfLeaf(leaf: Leaf, stance: Stance): Sums {
  const time = leaf.block === 'round' ? 'work' : leaf.kind === 'rest' ? 'rest' : 'other';
  const { plan, byMove, sides } = workOf(leaf, stance);
  const { counts, least, most } = plan;
  return { work: 0, rest: 0, other: 0, [time]: leaf.ms, least, most, counts, byMove, sides };
}

const ofPasses = new WeakMap<Pass, { readonly stance: Stance; readonly sums: Sums }>();

/** Remembered: a change makes one pass anew of a session's many. */
function sumsOf(pass: Pass, stance: Stance): Sums {
  const before = ofPasses.get(pass);
  if (before?.stance === stance) return before.sums;
  const sums = noSums();
  for (const leaf of pass.leaves) addSums(sums, sumsOfLeaf(leaf, stance));
  ofPasses.set(pass, { stance, sums });
  return sums;
}

/**
 * Adds up what a timeline plans.
 * @example tally(compile(sheet), sheet.stance).counts.punches
 */
export function tally(timeline: Timeline, stance: Stance): Tally {
  const sum = noSums();
  const rounds = new Map<number, GrowingCounts>();
  for (const pass of passesOf(timeline)) {
    const own = sumsOf(pass, stance);
    addSums(sum, own);
    const round = pass.leaves[0]?.round ?? null;
    if (round === null) continue;
    const counts = rounds.get(round) ?? noCounts();
    rounds.set(round, counts);
    addTo(counts, own.counts);
  }
  const { work, rest, other, counts, least, most, byMove, sides } = sum;
  return {
    work,
    rest,
    other,
    counts,
    least,
    most,
    byMove,
    bySide: { left: sides.left, right: sides.right },
    msBySide: { left: Math.round(sides.leftMs), right: Math.round(sides.rightMs) },
    byTarget: sides.byTarget,
    byKind: sides.byKind,
    rounds: [...rounds].map(([round, each]) => ({ round, label: `Round ${round}`, counts: each })),
  };
}
