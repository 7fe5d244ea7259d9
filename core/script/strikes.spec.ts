import { readTempoText } from '../formats/tempo-text/read';
import { onsets } from '../mechanics/study';
import { studyOf } from '../mechanics/study-of';
import { compile } from '../timeline/compile';
import type { Sheet } from '../sheet/schema';
import { leastGap } from './call';
import { candidatesOf } from './candidates';
import { scriptOf } from './script';

const sheetOf = (...lines: string[]): Sheet => readTempoText(lines.join('\n')).sheet;
const lines = (sheet: Sheet) => scriptOf(sheet).calls.filter(({ kind }) => kind === 'strikes');

/** Every strike's moment, worked out here from the combination's own times. */
function moments(sheet: Sheet): number[] {
  return compile(sheet).leaves.flatMap((leaf) => {
    if (!leaf.combination) return [];
    const { turns } = studyOf(leaf.combination, 'orthodox', leaf.nonStop);
    const out: number[] = [];
    let at = leaf.at;
    for (let turn = 0; ; turn += 1) {
      const repetition = turns[turn % turns.length];
      if (!repetition || at + repetition.ms / leaf.pace > leaf.at + leaf.ms + 1) return out;
      out.push(...onsets(repetition).map((onset) => at + onset / leaf.pace));
      at += repetition.ms / leaf.pace + leaf.gapMs;
    }
  });
}

// Trade page, section 9: heard as the tempo, so each word stands on the combination's own grid, and the gap rule holds between lines.
describe('strikes called on their own time', () => {
  for (const piece of ['1 2 3b ro 4', '2 3', '[1 2 / 3 4] 5'])
    for (const how of ['', 'nonstop ', 'speed ', '95% nonstop '])
      it(`${how}${piece}`, () => {
        const strikes = sheetOf('round 1:00', `1:00 ${how}: ${piece} calls strikes`);
        const grid = moments(strikes);
        const all = candidatesOf(compile(strikes)).candidates.filter(({ kind }) => kind === 'strikes');
        const called = all.flatMap(({ from, phrases: [phrase] }) => (phrase?.parts ?? []).map(({ at }) => from + at));
        expect(called.length).toBeGreaterThan(0);
        for (const at of called) expect(grid.some((moment) => Math.abs(moment - at) <= 1)).toBeTrue();
        // Where there is no breath a line gives up a strike or two at its end, and no more.
        const breath = !how.includes('nonstop');
        if (breath) expect(called.length).toBe(grid.length);
        else expect(grid.length - called.length).toBeLessThanOrEqual(2 * all.length);
        expect(all.length).toBeGreaterThan(1);
        all.slice(1).forEach(({ from }, index) => {
          expect(from - (all[index]?.until ?? 0)).toBeGreaterThanOrEqual(leastGap - 1);
        });
        const said = lines(strikes);
        expect(said.length).toBeGreaterThan(all.length / 3);
        for (const { parts = [], ms } of said) for (const { at } of parts) expect(at).toBeLessThan(ms);
      });

  it('stop for the count, and for the last second before the bell even without one', () => {
    const sheet = sheetOf('quiet: count', 'round 0:30', '0:30 nonstop: 1 2 calls strikes');
    const said = lines(sheet);
    expect(said.length).toBeGreaterThan(4);
    for (const { at, ms } of said) expect(at + ms).toBeLessThanOrEqual(29_000);
  });
});
