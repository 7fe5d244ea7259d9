import { readTempoText } from '../formats/tempo-text/read';
import { digestOfRun } from '../progress/digest-of-run';
import type { Deed } from '../run/deeds';
import { compile } from '../timeline/compile';
import { coverageOf, aimsMet, coverageOfCombination, sayNeglected } from './coverage';
import { compareRounds, progressOfSheet, runsOf, sayProgress } from './compare-runs';
import type { Digest } from './digest';
import { noDigest } from './no-digest.spec';
import { entryByHand } from './entry-by-hand';
import { entryOfRun } from './entry-of-run';
import type { LogEntry, Said } from './log-entry';
import { readCombination } from '../notation/read';

const { sheet } = readTempoText(
  [
    'bag: heavy',
    'level: beginner',
    'round 2:00',
    '  1:00: 1 2 3b',
    '  1:00: ft 1 6 bl 2',
    'rest 1:00',
    'round 1:00: 1 2',
  ].join('\n'),
);
const deed = (what: Deed['what'], at: number): Deed => ({ what, from: at, to: at, wall: at });
const entry = (until: number, said: Said = {}): LogEntry => ({
  ...entryOfRun(
    {
      ...{ id: 'e', sheet, rate: 1, changes: [{ kind: 'fault', at: 5000, fault: 'wrist' }] },
      deeds: [deed('start', 0), deed(until < compile(sheet).ms ? 'stop now' : 'finish', until)],
    },
    compile(sheet),
  ),
  ...said,
});

describe('a digest', () => {
  it('is what was done, place by place on the staff', () => {
    const all = digestOfRun(entry(240_000));
    const repetitions = Object.fromEntries(all.worked.map(({ text, repetitions: count }) => [text, count]));
    const threes = repetitions['1 2 3b'] ?? 0;
    const pairs = repetitions['1 2'] ?? 0;
    const others = repetitions['ft 1 6 bl 2'] ?? 0;
    expect(threes).toBeGreaterThan(5);
    expect(all.cells).toEqual({
      'lead head straights': threes + pairs,
      'rear head straights': threes + pairs + others,
      'lead body hooks': threes,
      'rear head uppercuts': others,
    });
    expect(all.strikes).toBe(3 * threes + 2 * others + 2 * pairs);
    expect(all.defences).toBe(others);
    expect([all.left, all.right]).toEqual([2 * threes + pairs, threes + 2 * others + pairs]);
    expect(all.faults).toEqual(['wrist']);
    expect(all.byRound.map(({ ms, plannedMs }) => [ms, plannedMs])).toEqual([
      [120_000, 120_000],
      [60_000, 60_000],
    ]);
    expect(all.msByStance).toEqual({ orthodox: 180_000 });
  });

  it('of what was broken off counts the share that was done, and knows what was left', () => {
    const half = digestOfRun(entry(90_000));
    expect(half.worked.map(({ text, ms, plannedMs }) => [text, ms, plannedMs])).toEqual([
      ['1 2 3b', 60_000, 60_000],
      ['ft 1 6 bl 2', 30_000, 60_000],
      ['1 2', 0, 60_000],
    ]);
    expect(half.punches).toBe(entry(90_000).done.punches);
  });

  it('knows what was said of rounds, whose a count is, and that a simulated one is none', () => {
    const said = digestOfRun(
      entry(240_000, {
        ...{
          counted: 100,
          count: { of: 'one', by: 'typed', name: 'Wren' },
          rounds: [{ round: 2, effort: 7, counted: 40 }],
        },
        who: { group: 'Night watch', names: ['Wren'], people: null },
      }),
    );
    expect([said.counted, said.athlete, said.group, said.people]).toEqual([100, 'Wren', 'Night watch', 1]);
    expect(said.byRound.map(({ counted, effort }) => [counted, effort])).toEqual([
      [null, null],
      [40, 7],
    ]);
    const simulated = digestOfRun(entry(240_000, { counted: 100, count: { of: 'several', by: 'simulated' } }));
    expect(simulated.counted).toBeNull();
    expect(digestOfRun({ ...entry(240_000), rehearsal: true }).learns).toBeFalse();
  });

  it('of a session by hand counts its sheet by the share of it that was done', () => {
    const planned = { ms: 240_000, rounds: 2, punches: 100 };
    const hand = entryByHand({ ...{ id: 'h', startedAt: 0, title: '', ms: 120_000, rounds: 1, sheet, planned } });
    const [half, whole] = [digestOfRun(hand), digestOfRun(entry(240_000))];
    expect(half.strikes).toBe(Math.round(whole.strikes / 2));
    expect(half.faults).toEqual([]);
  });
});

describe('coverage', () => {
  const session = (day: number, more: Partial<Digest>): Digest => ({ ...noDigest, id: `${day}`, day, ...more });
  const log = [
    session(10, { cells: { 'lead head straights': 60, 'rear head straights': 40 }, left: 60, right: 40, strikes: 100 }),
    session(11, { cells: { 'lead body hooks': 4 }, left: 4, strikes: 4, faults: ['wrist'], learns: false }),
    session(20, { cells: { 'lead body hooks': 4 }, left: 4, strikes: 4, faults: ['wrist'], msByBag: { heavy: 9 } }),
  ];

  it('adds up a span, both its days in it and rehearsals out', () => {
    const all = coverageOf(log, 10, 20);
    expect([all.sessions, all.aimed, all.byTarget.body, all.byGroup.straights, all.byRange.long]).toEqual([
      2, 104, 4, 100, 100,
    ]);
    expect([all.bySide.lead, all.bySide.rear, all.left, all.right]).toEqual([64, 40, 64, 40]);
    expect([all.faults, all.msByBag]).toEqual([{ wrist: 1 }, { heavy: 9 }]);
    expect(coverageOf(log, 11, 20).aimed).toBe(4);
    expect(coverageOf(log, 12, 19).sessions).toBe(0);
  });

  it('says in one sentence what was neglected, against the coach’s own wishes where there are any', () => {
    const all = coverageOf(log.slice(0, 1), 0, 30);
    const said = sayNeglected(aimsMet(all, 'beginner', {}));
    expect(said).toMatch(/^0% of strikes are .*; the target is \d+%: /);
    const only = Object.fromEntries(aimsMet(all, 'beginner', {}).map(({ aim }) => [aim.id, 0]));
    expect(sayNeglected(aimsMet(all, 'beginner', { ...only, body: 20 }))).toContain('to the body; the target is 20%');
    expect(sayNeglected(aimsMet(all, 'beginner', only))).toBe('Everything is on target.');
    expect(sayNeglected(aimsMet(coverageOf([], 0, 1), 'beginner', {}))).toContain('nothing to compare');
  });

  it('of one combination is what it covers', () => {
    const read = readCombination('1 2b sl 3');
    const covered = coverageOfCombination(read.ok ? read.value : { items: [] });
    expect([covered.aimed, covered.byTarget.body, covered.defences, covered.byGroup.hooks]).toEqual([3, 1, 1, 1]);
  });
});

describe('runs of one sheet', () => {
  const at = (startedAt: number, more: Partial<Digest>): Digest => ({
    ...noDigest,
    id: `${startedAt}`,
    startedAt,
    ...more,
  });
  const log = [
    at(3, { counted: 240, effort: 5, ms: 2_400_000 }),
    at(1, { counted: 200, effort: 7, ms: 2_400_000, faults: ['wrist'] }),
    at(2, { counted: null, effort: null, ms: 2_160_000, learns: false }),
    at(2, { sheetId: 'another' }),
  ];

  it('stand in their order, the last against the mean of those before', () => {
    const runs = runsOf(log, 'sheet');
    expect(runs.map(({ startedAt }) => startedAt)).toEqual([1, 3]);
    const progress = progressOfSheet(runs);
    expect(progress && sayProgress(progress)).toBe(
      'Compared with last time: 40 punches more, effort 2 lower, no faults seen.',
    );
    expect(progressOfSheet(runs.slice(0, 1))).toBeNull();
  });

  it('stand round by round beside each other, where one lacks a round as well', () => {
    const [one, two] = [digestOfRun(entry(240_000)), digestOfRun(entry(90_000))];
    expect(
      compareRounds(two, { ...one, byRound: one.byRound.slice(1) }).map(({ round, before, now }) => [
        round,
        before?.ms,
        now?.ms,
      ]),
    ).toEqual([
      [1, 90_000, undefined],
      [2, 0, 60_000],
    ]);
  });
});
