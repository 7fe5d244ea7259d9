import { readCombination } from '../notation/read';
import type { Combination } from '../notation/combination';
import { compile } from '../timeline/compile';
import { liveTimeline } from '../live/live';
import { saySides, soloLadder, soloSheet } from './solo';

const read = (text: string): Combination => {
  const found = readCombination(text);
  if (!found.ok) throw new Error(text);
  return found.value;
};

// Trade page, section 5: add one; raise until it breaks. Sides: the lead hand of an orthodox athlete is the left one.
describe('one athlete alone', () => {
  it('has one more each time it sits, then the whole faster, up to 1.4', () => {
    const rungs = soloLadder(read('1 2 3b 2')).map(({ text, pace }) => `${text} at ${pace}`);
    expect(rungs.slice(0, 5)).toEqual([
      '1 at 0.6',
      '1 2 at 0.6',
      '1 2 3b at 0.6',
      '1 2 3b 2 at 0.6',
      '1 2 3b 2 at 0.7',
    ]);
    expect(rungs.at(-1)).toBe('1 2 3b 2 at 1.4');
    expect(rungs.length).toBe(12);
  });

  it('is told left and right by the own stance, also behind a step that trades the feet', () => {
    expect(saySides(read('1 2 3b'), 'orthodox')).toEqual(['left jab', 'right cross', 'left hook to the body']);
    expect(saySides(read('1 2 3b'), 'southpaw')).toEqual(['right jab', 'left cross', 'right hook to the body']);
    const [before, , after] = saySides(read('1 shift 1'), 'orthodox');
    expect([before, after]).toEqual(['left jab', 'right jab']);
    expect(saySides(read('any 2 2'), 'orthodox')[0]).toBe('your choice');
  });

  it('runs as a session whose rungs are changes on the way: slower first, one more at the next repetition', () => {
    let count = 0;
    const sheet = soloSheet(read('1 2 3b 2'), 'Ladder truck', 'southpaw', () => `id${(count += 1)}`);
    const planned = compile(sheet);
    expect([planned.ms, planned.leaves[0]?.stance, planned.leaves[0]?.voice]).toEqual([
      1_800_000,
      'southpaw',
      'strikes',
    ]);
    const live = liveTimeline(planned, [
      { kind: 'pace', at: -3000, factor: 0.6 },
      { kind: 'swap', at: 20_000, text: '1 2' },
    ]);
    expect(live.leaves[0]?.pace).toBeCloseTo(0.6, 9);
    expect(live.leaves.at(-1)?.combination?.items.length).toBe(2);
    expect(live.leaves.at(-1)?.pace).toBeCloseTo(0.6, 9);
    expect(live.ms).toBe(1_800_000);
  });
});
