import { rhythmTouches, speedRhythm, speedRhythms, usualRebounds, type RhythmDrill } from './rhythm';

const drill = (more: Partial<RhythmDrill>): RhythmDrill => ({
  row: [3, 3, 1],
  hand: 'lead',
  grow: null,
  rebounds: 300,
  ms: 60_000,
  ...more,
});
const moments = (more: Partial<RhythmDrill>, first = 6): number[] =>
  rhythmTouches(drill(more))
    .slice(0, first)
    .map(({ at }) => Math.round(at));

// 300 rebounds a minute are five a second, one each 200 ms (arithmetic); odd counts bring the bag back to the hitter
// (common practice, no source).
describe('a rhythm of the speed bag', () => {
  it('has its touches apart by their rebounds, the hands in turn', () => {
    const read = speedRhythm([3, 1, 5], 300);
    if (!read.ok) throw new Error('no rhythm');
    const { touches, seconds } = read.value;
    expect(touches.map(({ at }) => Math.round(at * 1000))).toEqual([0, 600, 800]);
    expect(touches.map(({ side, rebounds }) => `${side} ${rebounds}`)).toEqual(['lead 3', 'rear 1', 'lead 5']);
    expect(seconds).toBeCloseTo(1.8, 9);
  });

  it('is refused with a mend where the bag stands still, and where rebounds are even', () => {
    for (const rate of [0, -60, NaN]) {
      const read = speedRhythm([3], rate);
      expect(read.ok).toBeFalse();
      if (!read.ok) expect(read.fault.what).toContain(`no bag rebounds ${rate} times per minute`);
      if (!read.ok) expect(read.fault.mend).toContain('multiply by six');
    }
    expect(speedRhythm([2], 300).ok).toBeFalse();
    expect(speedRhythm([3], 1).ok).toBeTrue();
  });

  it('is learnt from sevens to singles, each with odd rebounds alone', () => {
    expect(speedRhythms.map(({ name }) => name)).toEqual([
      'Sevens',
      'Fives',
      'Triplets',
      'Two triplets, four singles',
      'One triplet, runs of six',
      'Singles',
    ]);
    const all = speedRhythms.flatMap(({ rebounds }) => rebounds);
    expect(all.length).toBeGreaterThan(20);
    expect(all.filter((count) => count % 2 === 0)).toEqual([]);
    // Slower rhythms first: the first touch is held the longest.
    const firsts = speedRhythms.map(({ rebounds }) => rebounds[0]);
    expect(firsts).toEqual([7, 5, 3, 3, 3, 1]);
  });
});

describe('a rhythm that is drilled for a time', () => {
  it('goes row after row without a breath, whole touches alone', () => {
    expect(usualRebounds).toBe(300);
    // 600, 600 and 200 ms make a row of 1.4 s: 42 rows and two touches more in a minute.
    expect(moments({})).toEqual([0, 600, 1200, 1400, 2000, 2600]);
    const all = rhythmTouches(drill({}));
    expect(all.length).toBe(128);
    expect(all.map(({ rebounds }) => rebounds).slice(0, 4)).toEqual([3, 3, 1, 3]);
    // A touch that ends with the time fits; one that would end a moment behind it does not.
    expect(rhythmTouches(drill({ row: [3], ms: 1200 })).length).toBe(2);
    expect(rhythmTouches(drill({ row: [3], ms: 1199 })).length).toBe(1);
    expect(moments({ rebounds: 150 }, 3)).toEqual([0, 1200, 2400]);
  });

  it('is touched by one hand, or changes from row to row', () => {
    const sides = (hand: RhythmDrill['hand']): string =>
      rhythmTouches(drill({ hand }))
        .slice(0, 9)
        .map(({ side }) => side.charAt(0))
        .join('');
    expect([sides('lead'), sides('rear'), sides('turns')]).toEqual(['lllllllll', 'rrrrrrrrr', 'lllrrrlll']);
  });

  it('holds half a second for a soft touch that does not reach the board', () => {
    expect(moments({ row: [0, 1] }, 4)).toEqual([0, 500, 700, 1200]);
  });

  it('grows in equal shares of its time, the last number once more in each', () => {
    const grown = rhythmTouches(drill({ row: [3, 1], grow: { from: 1, to: 3 }, ms: 30_000 }));
    const inShare = (share: number) => grown.filter(({ at }) => at >= share * 10_000 && at < (share + 1) * 10_000);
    const rows = [0, 1, 2].map((share) => inShare(share).map(({ rebounds }) => rebounds));
    expect(rows.map((row) => row.slice(0, 5))).toEqual([
      [3, 1, 3, 1, 3],
      [3, 1, 1, 3, 1],
      [3, 1, 1, 1, 3],
    ]);
    expect([0, 1, 2].map((share) => inShare(share)[0]?.at)).toEqual([0, 10_000, 20_000]);
    expect(grown.every(({ at, rebounds }) => at + rebounds * 200 <= 30_000 + 1e-6)).toBeTrue();
    // One share where nothing grows.
    expect(rhythmTouches(drill({ grow: { from: 1, to: 1 } }))).toEqual(rhythmTouches(drill({})));
  });

  it('has no touches without a row, or where the board does not answer', () => {
    expect(rhythmTouches(drill({ row: [] }))).toEqual([]);
    expect(rhythmTouches(drill({ rebounds: 0 }))).toEqual([]);
  });
});
