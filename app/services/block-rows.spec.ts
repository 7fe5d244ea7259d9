import { changeBlock, compile, nudgeTimes, readTempoText, type Sheet } from '../../core/index';
import { blockRows } from './block-rows';

const hour = readTempoText(
  ['round 2:00 "One"', '  1:00: 1 2', '  1:00: 2 3', 'rest 1:00', 'round 2:00 "Two"', '  2:00: 1 2 3'].join('\n'),
).sheet;
const rowsOf = (sheet: Sheet) => blockRows(sheet, compile(sheet).leaves, []);

describe('the rows of a sheet', () => {
  it('stand one after the other, each with the leaves of its first pass', () => {
    const rows = rowsOf(hour);
    expect(rows.map(({ at, ms, round }) => [at, ms, round])).toEqual([
      [0, 120_000, 1],
      [120_000, 60_000, null],
      [180_000, 120_000, 2],
    ]);
    expect(rows[0]?.pieces.map(({ at }) => at)).toEqual([0, 60_000]);
  });

  it('are the very same where a change leaves them as they were', () => {
    const before = rowsOf(hour);
    const piece = hour.blocks[0]?.pieces[0]?.id ?? '';
    const after = rowsOf(nudgeTimes(hour, new Set([piece]), -5000));
    expect(after[0]).not.toBe(before[0]);
    // The first has changed; the second is the very same at another place.
    expect(after[0]?.pieces[0]?.row).not.toBe(before[0]?.pieces[0]?.row);
    expect(after[0]?.pieces[1]?.row).toBe(before[0]?.pieces[1]?.row);
    expect(after[0]?.pieces.map(({ at }) => at)).toEqual([0, 55_000]);
    const second = nudgeTimes(hour, new Set([hour.blocks[0]?.pieces[1]?.id ?? '']), -5000);
    expect(rowsOf(second)[0]?.pieces[0]?.row).toBe(before[0]?.pieces[0]?.row);
    expect(after[1]).toBe(before[1]);
    expect(after[2]).toBe(before[2]);
  });

  it('keep their pieces where only what comes before has changed, and the moments in them stay true', () => {
    const before = rowsOf(hour);
    const after = rowsOf(changeBlock(hour, hour.blocks[1]?.id ?? '', { ms: 90_000 }));
    expect(after[2]?.at).toBe(210_000);
    expect(after[2]?.pieces).toBe(before[2]?.pieces);
    expect(after[2]?.pieces.map(({ at }) => at)).toEqual([0]);
    // A later change is compared with how the rows stood last, not with how they were first drawn.
    expect(rowsOf(changeBlock(hour, hour.blocks[1]?.id ?? '', { ms: 30_000 }))[2]?.pieces).toBe(before[2]?.pieces);
  });

  it('are made anew where the same block comes to something else', () => {
    const before = rowsOf(hour);
    const mirrored = rowsOf({ ...hour, stance: 'southpaw' });
    expect(mirrored[0]?.pieces).not.toBe(before[0]?.pieces);
    expect(mirrored[0]?.pieces[0]?.row.leaves[0]?.stance).toBe('southpaw');
  });
});
