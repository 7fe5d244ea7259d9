import fc from 'fast-check';
import { chiSquaredDistributionTable, sum } from 'simple-statistics';
import { answerLength, callDrill, directions, usualDrill } from './call-drill';
import type { DrillKind } from './kinds';

const drill = (kind: DrillKind, seed = 1, ms = 60_000) => callDrill({ kind, ms, ...usualDrill, seed });

/** Pearson's statistic against equal shares. */
function statisticOf(counts: readonly number[]): number {
  const expected = sum([...counts]) / counts.length;
  return sum(counts.map((count) => (count - expected) ** 2 / expected));
}

describe('calls drills', () => {
  it('are the same for the same seed and others for another', () => {
    expect(drill('count', 7)).toEqual(drill('count', 7));
    expect(drill('count', 7)).not.toEqual(drill('count', 8));
  });

  it('leave room for each answer and a gap within bounds, and end in time', () => {
    let ran = 0;
    fc.assert(
      fc.property(
        fc.record({
          kind: fc.constantFrom<DrillKind>('count', 'direction', 'go'),
          ms: fc.integer({ min: 1000, max: 300_000 }),
          seed: fc.integer({ min: 0, max: 4_294_967_295 }),
          least: fc.integer({ min: 1, max: 6 }),
          most: fc.integer({ min: 6, max: 12 }),
          gapLeastMs: fc.integer({ min: 0, max: 2000 }),
          gapMostMs: fc.integer({ min: 2000, max: 6000 }),
        }),
        (given) => {
          const calls = callDrill(given);
          let free = 0;
          ran += calls.length;
          for (const call of calls) {
            expect(call.at - free).toBeGreaterThanOrEqual(given.gapLeastMs);
            expect(call.at - free).toBeLessThanOrEqual(given.gapMostMs);
            expect(call.answerMs).toBe(answerLength(given.kind, call.punches));
            expect(call.punches).toBeGreaterThanOrEqual(given.least);
            expect(call.punches).toBeLessThanOrEqual(given.most);
            free = call.at + call.answerMs;
          }
          expect(free).toBeLessThanOrEqual(given.ms);
          // It goes on for as long as another answer is sure to fit.
          expect(given.ms - free).toBeLessThanOrEqual(given.gapMostMs + answerLength(given.kind, given.most));
        },
      ),
    );
    expect(ran).toBeGreaterThan(0);
  });

  it('say numbers for counts, directions in balance, one word for go, and grow', () => {
    expect(
      drill('count').every(({ say, punches }) => say === ['two', 'three', 'four', 'five', 'six'][punches - 2]),
    ).toBeTrue();
    const go = callDrill({ kind: 'go', ms: 120_000, ...usualDrill, least: 3, most: 3 });
    expect(new Set(go.map(({ say, punches }) => `${say} ${punches}`))).toEqual(new Set(['go 3']));
    const grown = drill('direction', 3, 240_000).map(({ punches }) => punches);
    expect([...grown].sort((a, b) => a - b)).toEqual(grown);
    expect([grown[0], grown.at(-1)]).toEqual([2, 6]);
  });

  // Critical values of the chi-square distribution as tabled in simple-statistics.
  it('spread directions evenly: chi-square under the table value', () => {
    const said = Array.from({ length: 40 }, (_, seed) => drill('direction', seed, 180_000)).flat();
    const counts = directions.map((direction) => said.filter(({ say }) => say === direction).length);
    expect(statisticOf(counts)).toBeLessThan(chiSquaredDistributionTable[3]?.[0.05] ?? 0);
    for (let seed = 0; seed < 40; seed += 1) {
      const one = drill('direction', seed, 180_000).map(({ say }) => say);
      const each = directions.map((direction) => one.filter((word) => word === direction).length);
      expect(Math.max(...each) - Math.min(...each)).toBeLessThanOrEqual(2);
    }
  });

  it('spread counts and gaps evenly', () => {
    // The last answers of a drill are cut by its end, which favours short ones; the first twenty are free of that.
    const first = Array.from({ length: 400 }, (_, seed) => drill('count', seed, 300_000).slice(0, 20)).flat();
    const counts = [2, 3, 4, 5, 6].map((number) => first.filter(({ punches }) => punches === number).length);
    expect(statisticOf(counts)).toBeLessThan(chiSquaredDistributionTable[4]?.[0.005] ?? 0);
    const gaps = Array.from({ length: 400 }, (_, seed) => drill('count', seed, 300_000).slice(0, 20)).flatMap((calls) =>
      calls.slice(1).map((call, at) => call.at - (calls[at]?.at ?? 0) - (calls[at]?.answerMs ?? 0)),
    );
    const bins = [0, 1, 2].map(
      (bin) => gaps.filter((gap) => Math.min(2, Math.floor((gap - 1000) / 1000)) === bin).length,
    );
    expect(statisticOf(bins)).toBeLessThan(chiSquaredDistributionTable[2]?.[0.005] ?? 0);
  });
});
