import fc from 'fast-check';
import { anyCombination } from '../notation/arbitrary.spec';
import { readCombination } from '../notation/read';
import { unfold } from '../mechanics/steps';
import { fullTurn } from '../notation/combination';
import { compile } from '../timeline/compile';
import type { Piece, Sheet } from '../sheet/schema';
import { emptySheet } from '../sheet/fresh';
import { anySheet } from '../sheet/arbitrary-sheet.spec';
import { countByMove, countCombination } from './counts';
import { planLeaf, repetitionsIn } from './planned';
import { tally } from './tally';

let count = 0;
const freshId = (): string => `t${(count += 1)}`;
const sheetOf = (kind: 'round' | 'show' | 'warm-up', pieces: Piece[]): Sheet => ({
  ...emptySheet(freshId),
  blocks: [{ id: freshId(), kind, ms: pieces.reduce((sum, piece) => sum + ('ms' in piece ? piece.ms : 0), 0), pieces }],
});
const combo = (ms: number, text: string, more: Partial<Extract<Piece, { kind: 'combination' }>> = {}): Piece => ({
  kind: 'combination',
  id: freshId(),
  ms,
  effort: 'steady',
  text,
  ...more,
});
const countsOf = (text: string) => {
  const read = readCombination(text);
  if (!read.ok) throw new Error(read.fault.what);
  return countCombination(read.value);
};

it('a tally in the other stance has the other sides, of the very same timeline too', () => {
  const timeline = compile(sheetOf('round', [combo(60_000, '1 1 2')]));
  const { bySide } = tally(timeline, 'orthodox');
  expect(bySide.left).toBeGreaterThan(bySide.right);
  expect(tally(timeline, 'southpaw').bySide).toEqual({ left: bySide.right, right: bySide.left });
});

it('a tally is the same whatever was added up before: alike combinations done otherwise are told apart', () => {
  // Each nine times: (30 + 3) / 3.66 = 9.01 at the usual pace, (30 + 3) / 3.6 = 9.17 a tenth faster; without a breath 6 / 0.66.
  const sheet = sheetOf('round', [
    combo(30_000, '1 2'),
    combo(30_000, '1 2', { effort: 'strong' }),
    combo(6000, '1 2', { nonStop: true }),
    combo(30_000, '1 2 switch'),
    combo(30_000, '1 2 switch', { otherStance: 'reset' }),
  ]);
  for (const each of [sheet, { ...sheet, class: { ...sheet.class, pace: 1.1 } }, ...fc.sample(anySheet, 50)]) {
    const timeline = compile(each);
    // A copy of a leaf has a combination of its own, for which nothing can have been remembered.
    const anew = { ...timeline, leaves: timeline.leaves.map((leaf) => structuredClone(leaf)) };
    expect(tally(timeline, each.stance)).toEqual(tally(anew, each.stance));
  }
});

it('what a class is shown counts for nothing, and free choice for a strike a second, a quarter more or less', () => {
  const planOf = (kind: 'show' | 'round', piece: Piece) => {
    const [leaf] = compile(sheetOf(kind, [piece])).leaves;
    const plan = leaf && planLeaf(leaf);
    return [plan?.counts.strikes, plan?.least, plan?.most];
  };
  const ownTime: Piece = { kind: 'own-time', id: freshId(), ms: 60_000, effort: 'steady' };
  expect(planOf('round', ownTime)).toEqual([60, 45, 75]);
  expect(planOf('round', combo(60_000, 'freestyle'))).toEqual([60, 45, 75]);
  expect(planOf('show', ownTime)).toEqual([0, 0, 0]);
  expect(planOf('show', combo(60_000, 'freestyle'))).toEqual([0, 0, 0]);
});

// Counting rules: trade page, section 10 (common practice, no source).
describe('counting one repetition', () => {
  it('tells punches, other strikes, defences and feet apart', () => {
    expect(countsOf('1 2 lel rkn bk tp push sl in ft 1 sq wait')).toEqual({
      punches: 2,
      elbows: 1,
      knees: 1,
      kicks: 1,
      teeps: 1,
      strikes: 6,
      defences: 1,
      feet: 2,
      moves: 12,
    });
  });
  it('counts slots by their number, ranges by their middle, turns by their mean', () => {
    expect(countsOf('any 3').punches).toBe(3);
    expect(countsOf('any 2-5 end 3').punches).toBe(3.5);
    expect(countsOf('any 2 kicks end 2')).toEqual(jasmine.objectContaining({ kicks: 1, punches: 1, strikes: 2 }));
    expect(countsOf('[bk / swk] 2')).toEqual(jasmine.objectContaining({ kicks: 1, punches: 1 }));
    expect(countsOf('[1 2 / 3] 2').punches).toBe(2.5);
  });
  it('counts groups without unfolding them, and the same as unfolded', () => {
    fc.assert(
      fc.property(anyCombination, (combination) => {
        const turns = fullTurn(combination.items);
        let moves = 0;
        for (let turn = 0; turn < turns; turn += 1)
          for (const step of unfold(combination, turn))
            for (const content of step.content)
              moves += content.kind === 'slot' ? (content.least + content.most) / 2 : 1;
        expect(countCombination(combination).moves).toBeCloseTo(moves / turns, 6);
      }),
    );
  });
  it('names each move', () => {
    const read = readCombination('(1 2)x3 in+3');
    expect(read.ok && countByMove(read.value)).toEqual({ jab: 3, cross: 3, 'step in': 1, 'lead hook': 1 });
  });
});

describe('repetitions', () => {
  it('are ⌊(T + g) / (seconds/pace + g)⌋, at least one', () => {
    // 1 2 takes 0.6 s: (30 + 3) / 3.6 = 9.17; non-stop 30 / 0.6 = 50.
    expect(repetitionsIn(30_000, 600, 1, 3000)).toBe(9);
    expect(repetitionsIn(30_000, 600, 1, 0)).toBe(50);
    expect(repetitionsIn(1000, 5000, 1, 3000)).toBe(1);
    // All-out is 1.45 times as fast: 30 / (0.6 / 1.45) = 72.5.
    expect(repetitionsIn(30_000, 600, 1.45, 0)).toBe(72);
  });
});

describe('a session’s tally', () => {
  const tallyOf = (sheet: Sheet) => tally(compile(sheet), 'orthodox');

  it('multiplies counts by repetitions, round by round', () => {
    const sum = tallyOf(
      sheetOf('round', [combo(30_000, '1 2'), combo(30_000, '1 2', { nonStop: true, effort: 'all-out' })]),
    );
    expect(sum.counts.punches).toBe(18 + 144);
    expect(sum.rounds).toEqual([jasmine.objectContaining({ label: 'Round 1' })]);
    expect(sum.byMove).toEqual({ jab: 81, cross: 81 });
    expect(sum.bySide).toEqual({ left: 81, right: 81 });
    expect([sum.work, sum.rest, sum.other]).toEqual([60_000, 0, 0]);
  });

  it('has every kind of count of a repetition as often as it fits, in the round and in the whole', () => {
    const text = '1 2 lel rkn bk tp push sl in ft 1 sq wait';
    const sheet = sheetOf('round', [combo(90_000, text), combo(30_000, '2')]);
    const [first, second] = compile(sheet).leaves.map(planLeaf);
    const [often, more] = [first?.repetitions ?? 0, second?.repetitions ?? 0];
    expect([often, more].every((times) => times > 1)).toBeTrue();
    const expected = Object.entries(countsOf(text)).map(([kind, each]) => {
      const crosses = ['punches', 'strikes', 'moves'].includes(kind) ? more : 0;
      return [kind, each * often + crosses] as const;
    });
    expect(expected.filter(([, times]) => times > 0).length).toBe(9);
    const { counts, rounds } = tallyOf(sheet);
    expect(counts).toEqual(Object.fromEntries(expected) as unknown as typeof counts);
    expect(rounds.map((round) => round.counts)).toEqual([counts]);
  });

  it('shows free work and ranges as a spread, and shows nothing for a show', () => {
    const [own] = compile(sheetOf('round', [{ kind: 'own-time', id: 'o', ms: 60_000, effort: 'steady' }])).leaves;
    expect(own && planLeaf(own)).toEqual(jasmine.objectContaining({ least: 45, most: 75 }));
    const sum = tallyOf(sheetOf('round', [combo(30_000, 'any 2-4')]));
    expect(sum.most - sum.least).toBe(2 * (sum.counts.strikes / 3));
    expect(tallyOf(sheetOf('show', [combo(30_000, '1 2')])).counts.strikes).toBe(0);
    expect(tallyOf(sheetOf('warm-up', [combo(30_000, '1 2')])).other).toBe(30_000);
  });

  it('carries on mirrored after a change of stance, or resets', () => {
    // 1 switch: every other jab is the other hand's; 2 repetitions in 3.0 s + 3 s breath each.
    const piece = combo(60_000, '1 switch');
    const even = tallyOf(sheetOf('round', [piece])).bySide;
    expect(even.left).toBe(Math.ceil((even.left + even.right) / 2));
    const reset = tallyOf(sheetOf('round', [{ ...piece, otherStance: 'reset' } as Piece])).bySide;
    expect(reset.right).toBe(0);
  });

  // An identity: a strike has a side, a target and a name, so each sum is the strikes. Free work aims as a slot does.
  it('sides, targets and moves add up to the strikes before rounding, in every sheet', () => {
    let worked = 0;
    fc.assert(
      fc.property(anySheet, (sheet) => {
        const sum = tallyOf(sheet);
        const { strikes } = sum.counts;
        if (strikes > 0) worked += 1;
        const add = (numbers: readonly number[]): number => numbers.reduce((total, each) => total + each, 0);
        const near = Math.max(1e-6, strikes * 1e-9);
        expect(Math.abs(add([sum.bySide.left, sum.bySide.right]) - strikes)).toBeLessThan(near);
        expect(Math.abs(add(Object.values(sum.byTarget)) - strikes)).toBeLessThan(near);
        expect(Math.abs(add(Object.values(sum.byMove)) - sum.counts.moves)).toBeLessThan(near);
      }),
      { numRuns: 300 },
    );
    expect(worked).toBeGreaterThan(100);
  });

  it('left and right add up to the strikes', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('1 2 3', '2 switch 2', '[bk / swk] 2', 'any 2-3 end bk', '1+shift 2b', '(1 2)x3 lk'),
        fc.integer({ min: 5, max: 120 }),
        (text, seconds) => {
          const sum = tallyOf(sheetOf('round', [combo(seconds * 1000, text)]));
          expect(sum.bySide.left + sum.bySide.right).toBeCloseTo(sum.counts.strikes, 6);
        },
      ),
    );
  });
});
