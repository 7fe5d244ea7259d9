import type { Study } from '../mechanics/study';
import { onsets } from '../mechanics/study';
import { isStrike } from '../moves/move';
import type { Milliseconds, PaceFactor } from '../units';

/** A class's pace as fitted to taps. */
export interface TapFit {
  readonly pace: PaceFactor;
  /** The pace lies between these with about 95 % confidence. */
  readonly low: PaceFactor;
  readonly high: PaceFactor;
  /** Gaps between taps that were matched with gaps between strikes. */
  readonly matched: number;
  /** Strikes that nobody tapped, and taps that no strike explains. */
  readonly missed: number;
  readonly doubled: number;
}

/** Paces that are tried first, from half learning to well over all-out. */
const slowest: PaceFactor = 0.3;
const fastest: PaceFactor = 2.5;
const tries = 90;
/** A gap a fifth off its expected length is one standard deviation away; hands are no metronomes (house value). */
const looseness = 0.2;
/** What a missed or doubled tap costs, in the same unit as squared deviations; nothing explains a tap worse than this. */
const slipCost = 6;
const mostTaps = 400;
const leastMatched = 4;

interface Expected {
  /** Length from each strike to the next one in the same repetition; null where a breath of unknown length follows. */
  readonly gaps: readonly (Milliseconds | null)[];
}

function expectedGaps(studied: Study): Expected {
  const gaps: (Milliseconds | null)[] = [];
  for (const turn of studied.turns) {
    const at = onsets(turn);
    const strikes = turn.walk.steps.flatMap(({ step }, index) =>
      step.content.some((each) => each.kind === 'move' && isStrike(each)) ? [at[index] ?? 0] : [],
    );
    strikes.forEach((start, index) => {
      const next = strikes[index + 1];
      gaps.push(next === undefined ? null : next - start);
    });
  }
  return { gaps };
}

/** Expected time over the next `steps` strikes, or null where a breath lies in it. */
function gapOver({ gaps }: Expected, from: number, steps: number): Milliseconds | null {
  let sum = 0;
  for (let step = 0; step < steps; step += 1) {
    const gap = gaps[(from + step) % gaps.length];
    if (gap === null || gap === undefined) return null;
    sum += gap;
  }
  return sum;
}

interface Way {
  readonly cost: number;
  readonly from: Way | null;
  readonly tap: number;
  readonly strike: number;
  readonly slip: 'none' | 'missed' | 'doubled';
  /** How many strikes on the tap before stood. */
  readonly steps: number;
}

function deviation(
  tapped: Milliseconds,
  expected: Milliseconds | null,
  pace: PaceFactor,
  shortest: Milliseconds,
): number {
  // A breath may be as long as it likes, but not shorter than any strike follows another.
  if (expected === null) return tapped * pace >= shortest ? 0 : slipCost;
  const wanted = expected / pace;
  return Math.min(slipCost, ((tapped - wanted) / (looseness * wanted)) ** 2);
}

/** The cheapest way to lay taps on strikes, one after the other, a missed or a doubled tap allowed at each. */
function align(taps: readonly Milliseconds[], expected: Expected, pace: PaceFactor): Way | null {
  const count = expected.gaps.length;
  const shortest = Math.min(...expected.gaps.flatMap((gap) => gap ?? []));
  let rows: (Way | null)[][] = [
    expected.gaps.map((_, strike): Way => ({ cost: 0, from: null, tap: 0, strike, slip: 'none', steps: 0 })),
  ];
  for (let tap = 1; tap < taps.length; tap += 1) {
    const row: (Way | null)[] = new Array<Way | null>(count).fill(null);
    for (const [back, slip, steps] of [
      [1, 'none', 1],
      [1, 'missed', 2],
      [2, 'doubled', 1],
    ] as const) {
      const before = rows[rows.length - back];
      if (!before || tap - back < 0) continue;
      const tapped = (taps[tap] ?? 0) - (taps[tap - back] ?? 0);
      for (const way of before) {
        if (!way) continue;
        const strike = (way.strike + steps) % count;
        const cost =
          way.cost +
          deviation(tapped, gapOver(expected, way.strike, steps), pace, shortest) +
          (slip === 'none' ? 0 : slipCost);
        if (cost < (row[strike]?.cost ?? Infinity)) row[strike] = { cost, from: way, tap, strike, slip, steps };
      }
    }
    rows = [...rows.slice(-1), row];
  }
  return (rows.at(-1) ?? []).reduce<Way | null>(
    (best, way) => (way && way.cost < (best?.cost ?? Infinity) ? way : best),
    null,
  );
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length / 2;
  return sorted.length % 2
    ? (sorted[Math.floor(middle)] ?? NaN)
    : ((sorted[middle - 1] ?? NaN) + (sorted[middle] ?? NaN)) / 2;
}

/** Expected over tapped lengths along a way; slips and breaths left out. */
function ratios(way: Way, taps: readonly Milliseconds[], expected: Expected): number[] {
  const out: number[] = [];
  for (let here: Way | null = way; here?.from; here = here.from) {
    const wanted = gapOver(expected, here.from.strike, here.steps);
    const tapped = (taps[here.tap] ?? 0) - (taps[here.from.tap] ?? 0);
    if (wanted !== null && here.slip === 'none' && tapped > 0) out.push(wanted / tapped);
  }
  return out;
}

function countSlips(way: Way, slip: Way['slip']): number {
  let count = 0;
  for (let here: Way | null = way; here; here = here.from) if (here.slip === slip) count += 1;
  return count;
}

/**
 * Fits a class's pace to taps, one at each strike of a combination done over and over with breaths between. A missed or
 * a double tap here and there does no harm: taps are laid on strikes by the cheapest alignment for each pace, the best
 * pace wins, and the median of its matched gaps decides. Null where too little can be matched.
 * @example fitPace([0, 300, 600], study(combination))?.pace
 */
export function fitPace(taps: readonly Milliseconds[], studied: Study): TapFit | null {
  const expected = expectedGaps(studied);
  const used = taps.slice(-mostTaps);
  if (used.length <= leastMatched || !expected.gaps.some((gap) => gap !== null)) return null;
  let best: { way: Way; cost: number } | null = null;
  for (let at = 0; at < tries; at += 1) {
    const pace = slowest * (fastest / slowest) ** (at / (tries - 1));
    const way = align(used, expected, pace);
    if (way && way.cost < (best?.cost ?? Infinity)) best = { way, cost: way.cost };
  }
  if (!best) return null;
  const found = ratios(best.way, used, expected);
  if (found.length < leastMatched) return null;
  const pace = median(found);
  // Spread by the median absolute deviation, scaled to a standard deviation of a normal one; error of a median.
  const spread = 1.4826 * median(found.map((ratio) => Math.abs(ratio - pace)));
  const error = Math.max(0.005 * pace, (1.253 * spread) / Math.sqrt(found.length)) * 1.96;
  return {
    pace,
    low: pace - error,
    high: pace + error,
    matched: found.length,
    missed: countSlips(best.way, 'missed'),
    doubled: countSlips(best.way, 'doubled'),
  };
}
