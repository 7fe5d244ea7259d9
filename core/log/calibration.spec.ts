import fc from 'fast-check';
import loadHighs, { type Highs } from 'highs';
import { mean } from 'simple-statistics';
import {
  calibrate,
  counting,
  countsIn,
  expected,
  expectedCount,
  shrunkMean,
  type Counted,
  type Weighed,
} from './calibration';
import type { Digest } from './digest';
import { noDigest } from './no-digest.spec';

const today = 20_000;
const count = (ratio: number, more: Partial<Counted> = {}): Counted => ({
  ...{ day: today, ratio, group: 'watch', athlete: null, kind: 'combination', pace: 1 },
  ...more,
});
const times = <T>(count: number, of: (at: number) => T): T[] => Array.from({ length: count }, (_, at) => of(at));

/**
 * The same least as a quadratic programme, answered by HiGHS: Huber's loss of z is the least of a² / 2 + k |z − a| over a, so
 * with the shift split into two parts of its own it is quadratic with linear rows.
 */
function leastByHighs(
  highs: Highs,
  values: readonly Weighed[],
  prior: { mean: number; sd: number },
  scatter: number,
  bend: number,
): number {
  // m is shifted so that the solver's variables need no constant: m = prior + d.
  const linear = values.map(({ weight }, at) => `${weight * bend} p${at} + ${weight * bend} q${at}`);
  const squares = [...values.map(({ weight }, at) => `${weight} a${at} ^ 2`), `${1 / prior.sd ** 2} d ^ 2`];
  const rows = values.map(
    ({ value }, at) => ` ${1 / scatter} d + a${at} + p${at} - q${at} = ${(value - prior.mean) / scatter}`,
  );
  const free = ['d', ...values.map((_, at) => `a${at}`)].map((name) => ` ${name} free`);
  const model = ['Minimize', ` obj: ${linear.join(' + ')} + [ ${squares.join(' + ')} ] / 2`, 'Subject To'];
  const solved = highs.solve([...model, ...rows, 'Bounds', ...free, 'End'].join('\n'));
  return prior.mean + (solved.Columns['d'] as { Primal: number }).Primal;
}

describe('the shrunk mean', () => {
  let highs: Highs;
  beforeAll(async () => {
    highs = await loadHighs();
  });

  it('is the least of its formula, as a quadratic solver finds it (HiGHS, University of Edinburgh)', () => {
    let seen = 0;
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            value: fc.integer({ min: -250, max: 250 }).map((each) => each / 100),
            weight: fc.integer({ min: 5, max: 100 }).map((each) => each / 100),
          }),
          { minLength: 1, maxLength: 8 },
        ),
        (values) => {
          const prior = { mean: 0.05, sd: 0.2 };
          const own = shrunkMean(values, prior, counting.scatter, counting.bend).mean;
          expect(own).toBeCloseTo(leastByHighs(highs, values, prior, counting.scatter, counting.bend), 4);
          seen += 1;
        },
      ),
      { numRuns: 60, seed: 7 },
    );
    expect(seen).toBe(60);
  });

  it('is the plain mean where nothing is believed before and nothing is bent (simple-statistics)', () => {
    const values = [0.1, -0.2, 0.35, 0.05];
    const own = shrunkMean(
      values.map((value) => ({ value, weight: 1 })),
      { mean: 5, sd: 1e6 },
      1,
      1e9,
    );
    expect(own.mean).toBeCloseTo(mean(values), 6);
    // Its error is the deviation over the root of how many there are.
    expect(own.sd).toBeCloseTo(0.5, 6);
  });

  it('of one value stands half way where both are believed alike', () => {
    expect(shrunkMean([{ value: 0, weight: 1 }], { mean: 1, sd: 1 }, 1, 10).mean).toBeCloseTo(0.5, 9);
  });
});

describe('calibration', () => {
  it('stays near the house values with few counts, and goes where many of them are', () => {
    expect(calibrate([], today).everybody).toEqual({ ratio: 1, sd: counting.sd, counts: 0 });
    const one = calibrate([count(0.8)], today).groups.get('watch');
    const many = calibrate(
      times(30, () => count(0.8)),
      today,
    ).groups.get('watch');
    expect(one?.ratio).toBeGreaterThan(0.82);
    expect(many?.ratio).toBeCloseTo(0.8, 2);
    expect(many?.sd).toBeLessThan((one?.sd ?? 0) / 3);
  });

  it('is not bent by counts that are ten times too many', () => {
    const good = times(8, (at) => count(0.88 + (at % 3) * 0.02));
    const plain = calibrate(good, today).groups.get('watch')?.ratio ?? 0;
    for (const wrong of [10, 0.1]) {
      const bent = calibrate([...good, count(plain * wrong)], today).groups.get('watch')?.ratio ?? 0;
      expect(Math.abs(bent / plain - 1)).toBeLessThan(0.03);
    }
  });

  it('goes with the last sessions more than with those of long ago', () => {
    const both = [...times(10, () => count(0.7, { day: today - 200 })), ...times(10, () => count(0.95))];
    expect(calibrate(both, today).groups.get('watch')?.ratio).toBeGreaterThan(0.92);
    // What lies behind the day that is asked for is not known yet.
    expect(calibrate(both, today - 100).groups.get('watch')?.ratio).toBeLessThan(0.8);
  });

  it('keeps classes, athletes, kinds of work and paces apart, each near what it belongs to', () => {
    const counts = [
      ...times(12, () => count(0.9)),
      ...times(12, () => count(0.7, { kind: 'build' })),
      ...times(6, () => count(0.6, { kind: 'build', pace: 1.4 })),
      ...times(12, () => count(1.1, { group: 'night', athlete: 'Wren' })),
    ];
    const all = calibrate(counts, today);
    const of = (group: string, kind: Counted['kind'], pace: number): number => expected(all, group, kind, pace).ratio;
    expect(of('watch', 'combination', 1)).toBeCloseTo(0.9, 1);
    expect(of('watch', 'build', 1)).toBeLessThan(0.78);
    expect(of('watch', 'build', 1.4)).toBeLessThan(of('watch', 'build', 1));
    expect(of('night', 'combination', 1)).toBeGreaterThan(1);
    expect(all.athletes.get('Wren')?.ratio).toBeGreaterThan(1);
    // Of what was never counted, what it belongs to is expected.
    expect(of('watch', 'calls', 1)).toBe(all.groups.get('watch')?.ratio ?? 0);
    expect(of('nobody', 'calls', 1)).toBe(all.everybody.ratio);
  });

  it('shows a planned count with a range that narrows', () => {
    const parts = [{ planned: 700, kind: 'combination', pace: 1 } as const];
    const widths = [0, 1, 5, 40].map((size) => {
      const {
        count: here,
        least,
        most,
      } = expectedCount(
        parts,
        calibrate(
          times(size, () => count(0.9)),
          today,
        ),
        'watch',
      );
      expect(least).toBeLessThan(here);
      expect(most).toBeGreaterThan(here);
      return Math.log(most / least);
    });
    expect(widths).toEqual([...widths].sort((a, b) => b - a));
    expect(new Set(widths).size).toBe(4);
    // Down to how sessions differ from each other: four of five lie within 1.28 deviations (table of the normal distribution).
    expect((widths[3] ?? 0) / 2).toBeCloseTo(1.2816 * counting.scatter, 1);
    expect(expectedCount([], calibrate([], today), 'watch').count).toBe(0);
  });
});

describe('the counts of a log', () => {
  const round = { round: 1, plannedMs: 1, ms: 1, punches: 100, effort: null, kind: 'build', pace: 1 } as const;
  const digest = (more: Partial<Digest>): Digest => ({
    ...noDigest,
    group: 'watch',
    punches: 200,
    counted: 180,
    ...more,
  });

  it('are those of rounds where rounds were counted, else of the session', () => {
    expect(countsIn([digest({})]).map(({ ratio }) => ratio)).toEqual([0.9]);
    const both = digest({
      byRound: [
        { ...round, counted: 80 },
        { ...round, round: 2, counted: null },
      ],
    });
    expect(countsIn([both]).map(({ ratio, kind }) => [ratio, kind])).toEqual([[0.8, 'build']]);
  });

  it('leave out rehearsals, what nobody counted, and what planned nothing', () => {
    expect(
      countsIn([digest({ learns: false }), digest({ counted: null }), digest({ punches: 0 }), digest({ counted: 0 })]),
    ).toEqual([]);
  });
});
