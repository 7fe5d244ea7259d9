import { readTempoText } from '../formats/tempo-text/read';
import { compile } from '../timeline/compile';
import { effortOverTime, effortPercent } from './at-a-glance';
import { balance, balanceOf, stanceTimes } from './balance';
import { tally, type Tally } from './tally';

/*
 * Sums worked out by hand from the trade page, sections 3, 4 and 6: 30 s of `1 2` at steady pace is nine repetitions
 * (floor((30 + 3) / (0.6 + 3))), a combination's strikes fall on the athlete's own sides, slots and free work half and half.
 */
function summed(...lines: readonly string[]): Tally {
  const { sheet, faults } = readTempoText(lines.join('\n'));
  expect(faults).toEqual([]);
  return tally(compile(sheet), sheet.stance);
}

const some = (counts: Readonly<Record<string, number>>): Record<string, number> =>
  Object.fromEntries(Object.entries(counts).filter(([, count]) => count > 0));
const kinds = ({ byKind }: Tally): Record<string, readonly [number, number]> =>
  Object.fromEntries(
    Object.entries(byKind).flatMap(([kind, { left, right }]) => (left + right > 0 ? [[kind, [left, right]]] : [])),
  );

describe('sums worked out by hand', () => {
  it('part time into work, rest and the rest of the session', () => {
    const sums = summed('warm-up 1:00', 'round 0:30: 1 2 3b 2', 'rest 0:20', 'cool-down 0:40', 'show 0:30: 1 2');
    expect([sums.work, sums.rest, sums.other]).toEqual([30_000, 20_000, 130_000]);
    expect(sums.rounds.map(({ round, label, counts }) => [round, label, counts.punches])).toEqual([[1, 'Round 1', 28]]);
    expect(sums.byMove).toEqual({ jab: 7, cross: 14, 'lead hook': 7 });
    expect(sums.byTarget).toEqual({ head: 21, body: 7, leg: 0 });
    expect(kinds(sums)).toEqual({ straights: [7, 14], hooks: [7, 0] });
    // Seven jabs of 280 ms and hooks of 380 ms left, fourteen crosses of 300 ms right (trade page, section 3).
    expect(sums.msBySide).toEqual({ left: 7 * 280 + 7 * 380, right: 14 * 300 });
    expect([sums.least, sums.most]).toEqual([28, 28]);
  });

  it('add the pieces of one round up, and keep rounds apart', () => {
    const sums = summed('round 1:00', '  0:30: 1 2', '  0:30 own time', 'round 0:30: 1 2');
    expect(sums.rounds.map(({ counts }) => counts.punches)).toEqual([18 + 30, 18]);
    expect(some(sums.byMove)).toEqual({ jab: 18, cross: 18, free: 30 });
  });

  it('take free work as a strike a second, half and half, with a quarter either way', () => {
    const sums = summed('round 1:00', '  1:00 own time');
    expect([sums.least, sums.counts.punches, sums.most]).toEqual([45, 60, 75]);
    expect(kinds(sums)).toEqual({ free: [30, 30] });
    expect(sums.msBySide).toEqual({ left: 30_000, right: 30_000 });
    expect(sums.byTarget.head).toBe(60);
  });

  it('count a calls drill by its calls', () => {
    const { sheet } = readTempoText('round 1:00\n  1:00 call go 3 seed 5');
    const timeline = compile(sheet);
    const sums = tally(timeline, 'orthodox');
    const calls = timeline.leaves[0]?.drillCalls.length ?? 0;
    expect(calls).toBeGreaterThan(5);
    expect(sums.byMove).toEqual({ 'called punch': 3 * calls });
    expect([sums.least, sums.most]).toEqual([3 * calls, 3 * calls]);
    expect(kinds(sums)).toEqual({ free: [1.5 * calls, 1.5 * calls] });
  });

  it('give touches to the hand they are meant for', () => {
    // Rebounds 300 a minute, one touch in three rebounds: 100 a minute (trade page, section 7).
    const touches = (...lines: readonly string[]) => {
      const sums = summed('bag: speed', ...lines);
      expect(sums.byMove).toEqual({ touch: 50 });
      expect(kinds(sums)).toEqual({ free: [sums.bySide.left, sums.bySide.right] });
      return [sums.bySide, sums.msBySide, sums.byTarget.head];
    };
    const all = [{ left: 50, right: 0 }, { left: 30_000, right: 0 }, 50];
    const none = [{ left: 0, right: 50 }, { left: 0, right: 30_000 }, 50];
    const halves = [{ left: 25, right: 25 }, { left: 15_000, right: 15_000 }, 50];
    expect(touches('round 0:30: rhythm 3')).toEqual(all);
    expect(touches('round 0:30', '  0:30 rhythm 3 rear')).toEqual(none);
    expect(touches('round 0:30', '  0:30 rhythm 3 turns')).toEqual(halves);
    expect(touches('stance: southpaw', 'round 0:30: rhythm 3')).toEqual(none);
    expect(touches('stance: square', 'round 0:30: rhythm 3')).toEqual(halves);
  });

  it('give a slot half to each side, and its last move to its own', () => {
    const sums = summed('round 0:30: any 2-4 body end 3');
    expect(some(sums.byMove)).toEqual({ 'any body': 16, 'lead hook': 8 });
    expect([sums.least, sums.most]).toEqual([16, 32]);
    expect(sums.bySide).toEqual({ left: 16, right: 8 });
    expect(kinds(sums)).toEqual({ hooks: [8, 0], free: [8, 8] });
    expect(sums.byTarget).toEqual({ head: 8, body: 16, leg: 0 });
    const grouped = summed('round 0:30: (any 1-3)x2 2');
    expect(grouped.most - grouped.counts.strikes).toBe(2 * (grouped.byMove['cross'] ?? 0));
    const turning = summed('round 0:30: [any 1-3 / 2]');
    expect(turning.most - turning.counts.strikes).toBeCloseTo((turning.byMove['cross'] ?? 0) + 0.5, 0);
  });

  it('give kicks, knees, elbows and teeps to their own sides and kinds', () => {
    const sums = summed('round 0:30: 1 2 3b lk');
    expect(kinds(sums)).toEqual({ straights: [7, 7], hooks: [7, 0], kicks: [0, 7] });
    const southpaw = summed('stance: southpaw', 'round 0:30: 1 2 3b lk');
    expect(kinds(southpaw)).toEqual({ straights: [7, 7], hooks: [0, 7], kicks: [7, 0] });
    expect(southpaw.bySide).toEqual({ left: 14, right: 14 });
  });

  it('stand as each piece stands: square shares, the other stance mirrors', () => {
    const one = summed('round 1:00 learn then mirror', '  1:00: 1 1 2');
    expect(one.bySide.left).toBe(one.bySide.right);
    const square = summed('stance: square', 'round 0:30: 1 1 2');
    expect(square.bySide.left).toBe(square.bySide.right);
    // A piece that stands square for a while keeps each number on the athlete's own hand.
    const whiles = summed('round 0:30', '  0:30 square: 1 1 2');
    expect(whiles.bySide).toEqual({ left: 16, right: 8 });
    const turned = summed('round 0:30', '  0:30 southpaw: 1 1 2');
    expect(turned.bySide).toEqual({ left: 8, right: 16 });
  });
});

describe('balance of sides', () => {
  it('is a share of all strikes, even where there are none, within five per cent either way', () => {
    const ms = { left: 1, right: 2 };
    expect(balance({ left: 0, right: 0 }, ms)).toEqual({
      strikes: { left: 0, right: 0 },
      ms,
      left: 0.5,
      balanced: true,
    });
    expect(balance({ left: 55, right: 45 }, ms).left).toBe(0.55);
    expect(balance({ left: 54.9, right: 45.1 }, ms).balanced).toBeTrue();
    expect(balance({ left: 56, right: 44 }, ms).balanced).toBeFalse();
    expect(balance({ left: 44, right: 56 }, ms).balanced).toBeFalse();
    expect(balanceOf(summed('round 0:30: 1 1 2')).left).toBeCloseTo(2 / 3, 9);
  });

  it('counts time in each stance, rounds alone, and the changes between', () => {
    const times = (...lines: readonly string[]) => stanceTimes(compile(readTempoText(lines.join('\n')).sheet));
    expect(times('warm-up 1:00', 'round 1:00: 1 2', 'rest 0:30', 'round 2:00 switch stance: 1 2')).toEqual({
      natural: 60_000,
      other: 120_000,
      changes: 1,
    });
    expect(times('round 1:00: 1 2', 'round 1:00: 1 2')).toEqual({ natural: 120_000, other: 0, changes: 0 });
  });
});

describe('effort over time', () => {
  it('takes the middle of each word, a number as it is, and nought where nothing is worked', () => {
    expect((['easy', 'steady', 'strong', 'all-out', 33] as const).map(effortPercent)).toEqual([45, 65, 82, 98, 33]);
    const { sheet } = readTempoText(
      'show 0:30: 1 2\nround 1:30\n  0:30 all-out: 1 2\n  0:30 easy: 1\nrest 0:20\nrest open\nround 0:10: 1',
    );
    expect(effortOverTime(compile(sheet)).map(({ from, to, percent }) => [from, to, percent])).toEqual([
      [0, 30, 0],
      [30, 60, 98],
      [60, 90, 45],
      [90, 120, 0],
      [120, 140, 0],
      [140, 150, 65],
    ]);
    expect(effortOverTime(compile(sheet))[1]?.label).toBe('Round 1');
  });
});
