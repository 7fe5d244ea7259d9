import { readTempoText } from '../formats/tempo-text/read';
import type { Sheet } from '../sheet/schema';
import { balanceOf, stanceTimes } from '../tally/balance';
import { tally } from '../tally/tally';
import { compile } from '../timeline/compile';
import { findings } from './index';

const sheetOf = (...lines: string[]): Sheet => readTempoText(lines.join('\n')).sheet;
const kinds = (sheet: Sheet): string[] => findings(sheet).map(({ kind }) => kind);

// Trade page, section 8; times are house values.
describe('what is found in a stance plan', () => {
  it('measures both sides in strikes and seconds, and finds what is out of balance, with a mend', () => {
    const sheet = sheetOf('stances: each round, first at 1', 'round 1:00 x4 rest 0:30: 1 1 2');
    const balance = balanceOf(tally(compile(sheet), sheet.stance));
    expect(balance.balanced).toBeTrue();
    expect(balance.strikes.left).toBe(balance.strikes.right);
    expect(Math.abs(balance.ms.left - balance.ms.right)).toBeLessThan(100);
    expect(stanceTimes(compile(sheet))).toEqual({ natural: 120_000, other: 120_000, changes: 3 });
    const odd = sheetOf('stances: each round, first at 1', 'round 1:00 x3 rest 0:30: 1 1 1 2');
    const finding = findings(odd).find(({ kind }) => kind === 'stance balance');
    const mended = finding?.mends[0]?.edit(odd);
    expect(mended && kinds(mended)).not.toContain('stance balance');
  });

  it('finds a change-over that falls on a new combination, and a plan inside of nothing', () => {
    const both = sheetOf('stances: half round', 'round 1:00', '0:30: 1 2', '0:30: 2 3');
    const finding = findings(both).find(({ kind }) => kind === 'stance and combination');
    const mended = finding?.mends[0]?.edit(both);
    expect(mended && kinds(mended)).not.toContain('stance and combination');
    const apart = [
      ['stances: half round', 'round 1:00: 1 2'],
      // What comes again in the other stance is not new, and a rest is room enough.
      ['stances: learn then mirror', 'round 2:00', '0:30: 1 2', '0:30: 2 3'],
      ['stances: each round', 'round 1:00: 1 2', 'rest 0:30', 'round 1:00: 2 3'],
    ];
    expect(apart.length).toBeGreaterThan(0);
    for (const lines of apart)
      expect(kinds(sheetOf(...lines)))
        .withContext(lines[0] ?? '')
        .not.toContain('stance and combination');
    // Without time to settle, or without a rest, it is found as well.
    const together = [
      ['stances: half round, settle 0s', 'round 1:00', '0:30: 1 2', '0:30: 2 3'],
      ['stances: each round', 'round 1:00: 1 2', 'round 1:00: 2 3'],
      ['round 1:00: 1 2', 'round 1:00 switch stance: 2 3'],
    ];
    expect(together.length).toBeGreaterThan(0);
    for (const lines of together) {
      const sheet = sheetOf(...lines);
      const found = findings(sheet).find(({ kind }) => kind === 'stance and combination');
      const after = found?.mends[0]?.edit(sheet);
      expect(after && kinds(after))
        .withContext(lines.join(', '))
        .not.toContain('stance and combination');
      expect(after).toBeDefined();
    }
    expect(kinds(sheetOf('stances: inside', 'round 1:00: 1 2'))).toContain('stance inside');
    expect(kinds(sheetOf('stances: inside', 'round 1:00: 1 2 switch 1 2'))).not.toContain('stance inside');
  });
});
