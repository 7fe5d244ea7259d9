// What people really throw, of what is planned. Formulas and where they come from: docs/progress.md. Begin with `calibrate`.
import type { PaceFactor } from '../units';
import type { Day } from './day';
import type { Digest, PlannedPart, WorkKind } from './digest';

/** A count against its plan: the ratio, when it was taken, and of what. */
export interface Counted {
  readonly day: Day;
  /** Counted over planned. */
  readonly ratio: number;
  readonly group: string;
  readonly athlete: string | null;
  readonly kind: WorkKind;
  readonly pace: PaceFactor;
}

/** A ratio of counted to planned with how far off it may be, on the scale of its logarithm. */
export interface Estimate {
  readonly ratio: number;
  /** Standard deviation of the logarithm of `ratio`. */
  readonly sd: number;
  /** How many counts it rests on. */
  readonly counts: number;
}

/** House values (no source): what is believed before anybody has counted, and how sessions scatter. */
export const counting = {
  /** Before any count a class is held to throw what is planned, give or take this much. */
  ratio: 1,
  sd: 0.2,
  /** How far a class, an athlete, a kind of work or a pace lies from what it belongs to. */
  apart: 0.1,
  /** How one session differs from the next. */
  scatter: 0.12,
  /** A count weighs half as much after this many days. */
  halfDays: 42,
  /** Counts of more days ago than this weigh nothing any more. */
  lookedBack: 420,
  /** Errors beyond this many scatters pull no harder (Huber 1964). */
  bend: 1,
} as const;

/** A value with a weight, on the scale of the logarithm. */
export interface Weighed {
  readonly value: number;
  readonly weight: number;
}

/**
 * The robust, shrunk mean: the m that makes Σ wᵢ ρ((yᵢ − m) / s) + (m − m₀)² / (2 t²) least, ρ being Huber's loss with its
 * bend at k. The sum is convex, so the least is found by weighing anew until nothing moves. Its sd comes from the same weights.
 * @example shrunkMean([{ value: 0, weight: 1 }], { mean: 1, sd: 1 }, 1, 10).mean // 0.5
 */
export function shrunkMean(
  values: readonly Weighed[],
  prior: { readonly mean: number; readonly sd: number },
  scatter: number,
  bend: number,
): { readonly mean: number; readonly sd: number } {
  let { mean } = prior;
  let precision = 0;
  for (let round = 0; round < 200; round += 1) {
    precision = 1 / prior.sd ** 2;
    let sum = prior.mean * precision;
    for (const { value, weight } of values) {
      const error = Math.abs(value - mean) / scatter;
      const pull = (weight * (error <= bend ? 1 : bend / error)) / scatter ** 2;
      precision += pull;
      sum += value * pull;
    }
    const next = sum / precision;
    const moved = Math.abs(next - mean);
    mean = next;
    if (moved < 1e-12) break;
  }
  return { mean, sd: 1 / Math.sqrt(precision) };
}

/** Slower, as planned or faster than steady: paces that are counted together (house values). */
export type PaceBand = 'slow' | 'steady' | 'fast';
/** How a pace is counted. `paceBand(1.3)` → `fast` */
export const paceBand = (pace: PaceFactor): PaceBand => (pace < 0.9 ? 'slow' : pace > 1.1 ? 'fast' : 'steady');

/** Every count of the log that anything is learnt from: rounds where rounds were counted, else whole sessions. `countsIn(digests)[0].ratio` → `0.9` */
export function countsIn(digests: readonly Digest[]): Counted[] {
  return digests.flatMap((digest): Counted[] => {
    if (!digest.learns) return [];
    const { day, group, athlete } = digest;
    const rounds = digest.byRound.flatMap((round): Counted[] =>
      round.counted === null || round.counted <= 0 || round.punches <= 0
        ? []
        : [{ day, group, athlete, ratio: round.counted / round.punches, kind: round.kind, pace: round.pace }],
    );
    if (rounds.length > 0) return rounds;
    if (digest.counted === null || digest.counted <= 0 || digest.punches <= 0) return [];
    const [most] = [...digest.byRound].sort((a, b) => b.punches - a.punches);
    return [
      {
        ...{ day, group, athlete, ratio: digest.counted / digest.punches },
        kind: most?.kind ?? 'combination',
        pace: most?.pace ?? 1,
      },
    ];
  });
}

/** Ratios by what they are of, each one shrunk towards what it belongs to. */
export interface Calibration {
  readonly everybody: Estimate;
  readonly groups: ReadonlyMap<string, Estimate>;
  readonly athletes: ReadonlyMap<string, Estimate>;
  /** By class and kind of work, and by those and the pace: `group|kind`, `group|kind|pace`. */
  readonly kinds: ReadonlyMap<string, Estimate>;
  readonly paces: ReadonlyMap<string, Estimate>;
}

function estimateOf(counts: readonly Counted[], above: { mean: number; sd: number }, today: Day): Estimate {
  const values = counts.map(({ ratio, day }) => ({
    value: Math.log(ratio),
    weight: 0.5 ** (Math.max(0, today - day) / counting.halfDays),
  }));
  const { mean, sd } = shrunkMean(values, above, counting.scatter, counting.bend);
  return { ratio: Math.exp(mean), sd, counts: counts.length };
}

const below = ({ ratio, sd }: Estimate): { mean: number; sd: number } => ({
  mean: Math.log(ratio),
  sd: Math.hypot(sd, counting.apart),
});

/** What a count belongs to, from the widest to the narrowest; null where it belongs nowhere. */
type Chain = readonly ((count: Counted) => string | null)[];

/**
 * The estimate of some counts and all that they belong to. Each part is shrunk towards what it belongs to *without* its own
 * counts: a count that spoke twice would be believed twice.
 */
function alongChain(known: readonly Counted[], chain: Chain, example: Counted, today: Day): Estimate {
  let prior: { readonly mean: number; readonly sd: number } = { mean: Math.log(counting.ratio), sd: counting.sd };
  let within = known;
  for (const keyOf of chain) {
    const key = keyOf(example);
    const others = within.filter((count) => keyOf(count) !== key);
    within = within.filter((count) => keyOf(count) === key);
    prior = below(estimateOf(others, prior, today));
  }
  return estimateOf(within, prior, today);
}

/** An estimate for each different end of a chain. */
function byEnd(known: readonly Counted[], chain: Chain, today: Day): ReadonlyMap<string, Estimate> {
  const examples = new Map<string, Counted>();
  for (const count of known) {
    const keys = chain.map((keyOf) => keyOf(count));
    if (keys.every((key) => key !== null)) examples.set(keys.join('|'), count);
  }
  return new Map([...examples].map(([key, example]) => [key, alongChain(known, chain, example, today)]));
}

/**
 * What counts have taught up to a day: everybody from the house values, a class and an athlete from everybody else, a kind of
 * work from its class, a pace from its kind.
 * @example calibrate(countsIn(digests), today).groups.get('beginner')?.ratio // 0.91
 */
export function calibrate(counts: readonly Counted[], today: Day): Calibration {
  const known = counts.filter(({ day }) => day <= today && day > today - counting.lookedBack);
  const group = (count: Counted): string => count.group;
  const kind = (count: Counted): string => count.kind;
  const pace = (count: Counted): string => paceBand(count.pace);
  return {
    everybody: estimateOf(known, { mean: Math.log(counting.ratio), sd: counting.sd }, today),
    groups: byEnd(known, [group], today),
    athletes: byEnd(known, [({ athlete }) => athlete], today),
    kinds: byEnd(known, [group, kind], today),
    paces: byEnd(known, [group, kind, pace], today),
  };
}

/** What is expected of some work of a class: the nearest that was counted, or what it belongs to. `expected(calibration, 'beginner', 'build', 1).ratio` */
export function expected(
  { everybody, groups, kinds, paces }: Calibration,
  group: string,
  kind: WorkKind,
  pace: PaceFactor,
): Estimate {
  const key = `${group}|${kind}`;
  return paces.get(`${key}|${paceBand(pace)}`) ?? kinds.get(key) ?? groups.get(group) ?? everybody;
}

/** A planned count as it is to be expected, with the range that four sessions of five fall into. */
export interface Expected {
  readonly count: number;
  readonly least: number;
  readonly most: number;
  /** How many counts it rests on. */
  readonly counts: number;
}

/** Four of five of a normal distribution lie within so many standard deviations. */
const fourOfFive = 1.2816;

/** The least and the most that a ratio may be in four cases of five. `bandOf({ ratio: 1, sd: 0.1 })` → about `[0.88, 1.14]` */
export function bandOf({ ratio, sd }: Pick<Estimate, 'ratio' | 'sd'>): readonly [number, number] {
  return [ratio * Math.exp(-fourOfFive * sd), ratio * Math.exp(fourOfFive * sd)];
}

/**
 * Planned counts by what they are of, as they are to be expected. The range narrows with every count, down to how sessions
 * differ from each other.
 * @example expectedCount([{ planned: 700, kind: 'build', pace: 1 }], calibration, 'beginner') // { count: 640, least: 540, … }
 */
export function expectedCount(parts: readonly PlannedPart[], calibration: Calibration, group: string): Expected {
  const all = parts.reduce((sum, { planned }) => sum + planned, 0);
  let [count, sd, counts] = [0, 0, calibration.groups.get(group)?.counts ?? 0];
  for (const { planned, kind, pace } of parts) {
    const estimate = expected(calibration, group, kind, pace);
    count += planned * estimate.ratio;
    // What is wrong of one part is wrong of all: their errors add up.
    sd += all > 0 ? (planned / all) * estimate.sd : 0;
    counts = Math.max(counts, estimate.counts);
  }
  const [least, most] = bandOf({ ratio: count, sd: Math.hypot(sd, counting.scatter) });
  return {
    count: Math.round(count),
    least: Math.round(least),
    most: Math.round(most),
    counts,
  };
}
