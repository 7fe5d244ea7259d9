import { readTempoText } from '../formats/tempo-text/read';
import { compile } from '../timeline/compile';
import { findings } from '../findings/index';
import type { Sheet } from '../sheet/schema';
import { tally } from '../tally/planned';
import { balanceOf, stanceTimes } from '../tally/balance';

const sheetOf = (...lines: string[]): Sheet => readTempoText(lines.join('\n')).sheet;
const shown = (sheet: Sheet): string[] =>
  compile(sheet).leaves.map(
    ({ ms, mirrored, doing }) => `${ms / 1000} ${doing === 'change-over' ? 'settle' : mirrored ? 'other' : 'natural'}`,
  );
const kinds = (sheet: Sheet): string[] => findings(sheet).map(({ kind }) => kind);

// Trade page, section 8; times are house values: settle 3 s, first time in the other stance at 0.8 of the pace.
describe('the stance plan', () => {
  it('changes over each round, whatever the blocks say', () => {
    const sheet = sheetOf('stances: each round', 'round 1:00 x3: 1 2', 'round 1:00 switch stance: 1 2');
    expect(shown(sheet)).toEqual(['60 natural', '60 other', '60 natural', '60 other']);
    expect(shown(sheetOf('stances: never', 'round 1:00: 1 2', 'round 1:00 switch stance: 1 2'))).toEqual([
      '60 natural',
      '60 natural',
    ]);
  });

  it('changes over at half of a round, at the end of a repetition, and settles from what follows', () => {
    const sheet = sheetOf('stances: half round', 'round 1:00: 1 2');
    const [first, settle, second] = compile(sheet).leaves;
    // A repetition of 0.6 s and 3 s of breath: the eighth one ends at 25.8 s, the ninth at 29.4 s, nearest to half.
    expect(first?.ms).toBe(29_400);
    expect(settle).toEqual(jasmine.objectContaining({ kind: 'change-over', ms: 3000, mirrored: true }));
    expect((first?.ms ?? 0) + (settle?.ms ?? 0) + (second?.ms ?? 0)).toBe(60_000);
    expect(second?.mirrored).toBeTrue();
    expect(shown(sheetOf('stances: half round, settle 0s', 'round 1:00', '0:30: 1 2', '0:30: 2 3'))).toEqual([
      '30 natural',
      '30 other',
    ]);
  });

  it('changes over every so many pieces, and learns then mirrors, in the same time', () => {
    const pieces = ['0:20: 1', '0:20: 1', '0:20: 2', '0:20: 2'];
    expect(shown(sheetOf('stances: each pieces, after 2 pieces', 'round 1:20', ...pieces))).toEqual([
      '20 natural',
      '20 natural',
      '3 settle',
      '17 other',
      '20 other',
    ]);
    // Settling takes no more than the piece that it is for.
    expect(
      shown(sheetOf('stances: each pieces, after 1 piece, settle 5s', 'round 0:24', '0:20: 1', '0:04: 1')),
    ).toEqual(['20 natural', '4 settle']);
    expect(shown(sheetOf('stances: learn then mirror', 'round 2:00', '0:30: 1', '0:30: 2'))).toEqual([
      '30 natural',
      '30 natural',
      '3 settle',
      '27 other',
      '30 other',
    ]);
  });

  it('counts pieces through the session, whatever rounds they stand in', () => {
    // Two rounds of three pieces, every second piece: n n O | O n n; the third round goes on from there.
    expect(
      shown(sheetOf('stances: each pieces, after 2 pieces, settle 0s', 'round 1:00 x2', '0:20 x3 1 / 2 / 3')),
    ).toEqual(['20 natural', '20 natural', '20 other', '20 other', '20 natural', '20 natural']);
    expect(shown(sheetOf('stances: each pieces, after 1 piece', 'round 1:00 x3: 1'))).toEqual([
      '60 natural',
      '60 other',
      '60 natural',
    ]);
  });

  it('parts a calls drill with its script, no call lost but what the change takes', () => {
    const whole = compile(sheetOf('round 2:00', '2:00 call count 2-6 seed 7')).leaves.flatMap((leaf) =>
      leaf.drillCalls.map(({ at, say }) => `${leaf.at + at} ${say}`),
    );
    const timeline = compile(sheetOf('stances: half round', 'round 2:00', '2:00 call count 2-6 seed 7'));
    const parted = timeline.leaves.flatMap((leaf) => leaf.drillCalls.map(({ at, say }) => `${leaf.at + at} ${say}`));
    expect(timeline.leaves.map(({ doing }) => doing)).toEqual(['calls', 'change-over', 'calls']);
    expect(parted.every((call) => whole.includes(call))).toBeTrue();
    expect(whole.length - parted.length).toBeLessThanOrEqual(3);
    for (const leaf of timeline.leaves)
      for (const { at, answerMs } of leaf.drillCalls) expect(at >= 0 && at + answerMs <= leaf.ms).toBeTrue();
    // A drill that is cut at the bell calls nothing behind it.
    const cut = compile(sheetOf('round 1:00', '2:00 call go 3'));
    expect(cut.leaves[0]?.drillCalls.every(({ at, answerMs }) => at + answerMs <= 60_000)).toBeTrue();
  });

  it('is slower where a combination is done in the other stance for the first time', () => {
    const pace = (text: string): number[] =>
      compile(sheetOf(text, 'round 1:00 x4: 1 2')).leaves.map((leaf) => leaf.pace);
    expect(pace('stances: each round')).toEqual([1, 0.8, 1, 1]);
    expect(pace('stances: each round, first at 1')).toEqual([1, 1, 1, 1]);
  });

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
