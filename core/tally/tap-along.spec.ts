import fc from 'fast-check';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { onsets, study } from '../mechanics/study';
import { readCombination } from '../notation/read';
import { isStrike } from '../moves/move';
import { fitPace } from './tap-along';

function studyOf(text: string) {
  const read = readCombination(text);
  if (!read.ok) throw new Error(read.fault.what);
  return study(read.value);
}

/** Taps of somebody watching `repetitions` of a combination at a pace, a breath between them; `noise` in milliseconds. */
function tapsOf(text: string, pace: number, repetitions: number, noise: (tap: number) => number = () => 0): number[] {
  const studied = studyOf(text);
  const taps: number[] = [];
  let start = 1000;
  for (let repetition = 0; repetition < repetitions; repetition += 1) {
    const turn = studied.turns[repetition % studied.turns.length];
    if (!turn) break;
    const at = onsets(turn);
    turn.walk.steps.forEach(({ step }, index) => {
      if (step.content.some((each) => each.kind === 'move' && isStrike(each)))
        taps.push(start + (at[index] ?? 0) / pace + noise(taps.length));
    });
    start += turn.ms / pace + 1800 + 400 * (repetition % 3);
  }
  return taps;
}

describe('tapping along', () => {
  it('finds the pace of clean taps', () => {
    for (const pace of [0.6, 0.8, 1, 1.3, 1.6]) {
      const fit = fitPace(tapsOf('1 2 3b ro 4 5', pace, 4), studyOf('1 2 3b ro 4 5'));
      expect(fit?.pace).toBeCloseTo(pace, 1);
      expect(fit?.missed).toBe(0);
      expect(fit?.doubled).toBe(0);
    }
  });

  it('is not misled by a missed or a double tap', () => {
    const taps = tapsOf('1 2 3b 2 5 4', 1.1, 5);
    const damaged = [...taps.slice(0, 8), ...taps.slice(9, 20), (taps[19] ?? 0) + 60, ...taps.slice(20)];
    const fit = fitPace(damaged, studyOf('1 2 3b 2 5 4'));
    expect(fit?.pace).toBeCloseTo(1.1, 1);
    expect((fit?.missed ?? 0) + (fit?.doubled ?? 0)).toBeGreaterThan(0);
  });

  it('stays within a tenth under unsteady hands, whatever the combination and pace', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('1 2 3b ro 4 5', '1 1 2 sl 6 3', '5 2 swk 1 lk', '1 2 3 2'),
        fc.double({ min: 0.6, max: 1.5, noNaN: true }),
        // Unsteady, not spiteful: the generator's own liking for extremes would have every tap err the same way.
        fc.nat(),
        (text, pace, seed) => {
          const random = xoroshiro128plus(seed);
          const noise = Array.from({ length: 40 }, () => uniformInt(random, -35, 35));
          const fit = fitPace(
            tapsOf(text, pace, 5, (tap) => noise[tap % noise.length] ?? 0),
            studyOf(text),
          );
          expect(Math.abs((fit?.pace ?? 0) / pace - 1)).toBeLessThan(0.12);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('is surer of steady taps than of unsteady ones, and of more than of fewer', () => {
    const width = (repetitions: number, by: number) => {
      const fit = fitPace(
        tapsOf('1 2 3b 2 5 4', 1, repetitions, (tap) => (tap % 3 === 0 ? by : tap % 3 === 1 ? -by : 0)),
        studyOf('1 2 3b 2 5 4'),
      );
      return fit ? fit.high - fit.low : Infinity;
    };
    expect(width(4, 5)).toBeLessThan(width(4, 40));
    expect(width(10, 40)).toBeLessThan(width(2, 40));
  });

  it('says nothing where there is too little to go by', () => {
    expect(fitPace([0, 300, 600], studyOf('1 2 3'))).toBeNull();
    expect(fitPace([0, 1000, 2000, 3000, 4000, 5000], studyOf('1'))).toBeNull();
    expect(fitPace([0, 1000, 2000, 3000, 4000, 5000], studyOf('sl ro'))).toBeNull();
  });

  it('counts matched gaps, missed and doubled taps, and takes breaths as they come', () => {
    // Six strikes have five gaps in a repetition; the breath between repetitions is none of them.
    const clean = fitPace(tapsOf('1 2 3b 2 5 4', 1, 4), studyOf('1 2 3b 2 5 4'));
    expect([clean?.matched, clean?.missed, clean?.doubled]).toEqual([20, 0, 0]);
    expect(clean?.pace).toBeCloseTo(1, 9);
    // Exact taps leave half a per cent at 95 per cent: 1.96 times it either way.
    expect((clean?.high ?? 0) - (clean?.pace ?? 0)).toBeCloseTo(0.0098, 9);
    expect((clean?.pace ?? 0) - (clean?.low ?? 0)).toBeCloseTo(0.0098, 9);
    const taps = tapsOf('1 2 3b 2 5 4', 1, 4);
    const missed = fitPace(taps.toSpliced(8, 1), studyOf('1 2 3b 2 5 4'));
    expect([missed?.matched, missed?.missed, missed?.doubled]).toEqual([18, 1, 0]);
    const doubled = fitPace(taps.toSpliced(9, 0, (taps[8] ?? 0) + 70), studyOf('1 2 3b 2 5 4'));
    expect([doubled?.missed, doubled?.doubled]).toEqual([0, 1]);
    expect(doubled?.pace).toBeCloseTo(1, 9);
  });

  it('goes by strikes, not by what lies between them, and by the last four hundred taps', () => {
    const fit = fitPace(tapsOf('1 sl 2 in+1 bl 2', 0.9, 4), studyOf('1 sl 2 in+1 bl 2'));
    expect(fit?.pace).toBeCloseTo(0.9, 9);
    expect(fit?.matched).toBe(12);
    const slow = tapsOf('1 2 3 2', 0.6, 40);
    const end = slow.at(-1) ?? 0;
    const quick = tapsOf('1 2 3 2', 1.2, 100).map((tap) => end + 2000 + tap);
    expect(fitPace([...slow, ...quick], studyOf('1 2 3 2'))?.pace).toBeCloseTo(1.2, 9);
  });
});
