import { bookRow, type BookRow } from '../book/search';
import { coverageOf, aimsMet } from '../log/coverage';
import type { Digest, Worked } from '../log/digest';
import { noDigest } from '../log/no-digest.spec';
import { dueOf, recallOf } from './due';
import { buildTree, suggestDue, suggestForFaults, suggestForLacks, suggestHarder } from './next-steps';

const worked = (text: string, share = 1): Worked => ({
  ...{ text, repetitions: 10, plannedMs: 60_000, ms: 60_000 * share, pace: 1 },
});
const session = (day: number, texts: readonly string[], more: Partial<Digest> = {}): Digest => ({
  ...noDigest,
  ...{ id: `${day}`, day, effort: 5, worked: texts.map((text) => worked(text)) },
  ...more,
});
const rows = ['1 2', '1 2 3', '1 2 3 2', '1 2 5', '1 2b 3b'].flatMap((text): BookRow[] => {
  const row = bookRow({ id: text, name: text === '1 2' ? 'Post' : '', text, tags: [], note: '' });
  return row ? [row] : [];
});

describe('what is due', () => {
  it('goes by how much was done, how hard it was and what was seen', () => {
    const of = (share: number, more: Partial<Digest>): string => recallOf(worked('1', share), session(1, [], more));
    expect([of(1, {}), of(1, { effort: null }), of(1, { effort: 2 }), of(1, { effort: 9 })]).toEqual([
      'good',
      'good',
      'easy',
      'hard',
    ]);
    expect([of(1, { faults: ['wrist'] }), of(0.4, {}), of(1, { finished: false })]).toEqual(['hard', 'again', 'hard']);
  });

  it('is later with every success and sooner after trouble (FSRS, Ye, Su and Cao 2022: ts-fsrs)', () => {
    const gapAfter = (sessions: readonly Digest[]): number => {
      const [due] = dueOf(sessions);
      return (due?.due ?? 0) - (due?.last ?? 0);
    };
    const gaps: number[] = [];
    const sessions: Digest[] = [];
    for (let time = 0, day = 100; time < 4; time += 1) {
      sessions.push(session(day, ['1 2']));
      gaps.push(gapAfter(sessions));
      day += gaps.at(-1) ?? 1;
    }
    expect(gaps).toEqual([...gaps].sort((a, b) => a - b));
    expect((gaps[3] ?? 0) / (gaps[0] ?? 1)).toBeGreaterThan(10);
    const last = sessions.at(-1)?.day ?? 0;
    expect(gapAfter([...sessions.slice(0, 3), session(last, ['1 2'], { effort: 10 })])).toBeLessThan(gaps[3] ?? 0);
    expect(gapAfter([...sessions.slice(0, 3), session(last, [], { worked: [worked('1 2', 0.1)] })])).toBeLessThan(
      gaps[1] ?? 0,
    );
  });

  it('does not go by the order of a day, by rehearsals, or by what was never done', () => {
    const good = session(5, ['1 2']);
    const bad = session(5, ['1 2'], { effort: 10 });
    expect(dueOf([good, bad])[0]?.recall).toBe('good');
    expect(dueOf([bad, good])[0]?.due).toBe(dueOf([good, bad])[0]?.due ?? -1);
    expect(dueOf([session(5, ['1 2'], { learns: false })])).toEqual([]);
    expect(dueOf([session(5, [], { worked: [worked('1 2', 0)] })])).toEqual([]);
  });

  it('is still known with a chance that falls', () => {
    const [due] = dueOf([session(100, ['1 2'])]);
    const chances = [101, 105, 140].map((day) => due?.known(day) ?? 0);
    expect(chances).toEqual([...chances].sort((a, b) => b - a));
    // On the day it is due nine in ten still know it: what the scheme asks for.
    expect(due?.known(due.due) ?? 0).toBeCloseTo(0.9, 1);
  });
});

describe('what next', () => {
  const log = [session(100, ['1 2']), session(103, ['1 2']), session(112, ['1 2']), session(60, ['1 2b 3b'])];
  const due = dueOf(log);

  it('is what is due, the longest first, each with its reason', () => {
    const all = suggestDue(due, rows, 113);
    expect(all.map(({ text }) => text)).toEqual(['1 2b 3b']);
    expect(all[0]?.reason).toMatch(/^last done 53 days ago, once in total; overdue by \d+ days \(\d+% remembered\)$/);
    expect(suggestDue(due, rows, 400).map(({ name }) => name)).toEqual(['1 2b 3b', 'Post']);
  });

  it('is a step harder where something sits: what goes on from it by one move', () => {
    expect([...(buildTree(rows).get('1 2') ?? [])].map(({ entry }) => entry.text)).toEqual(['1 2 3', '1 2 5']);
    const harder = suggestHarder(due, rows, 113);
    expect(harder.map(({ text }) => text)).toEqual(['1 2 3', '1 2 5']);
    expect(harder[0]?.reason).toBe('one move more than Post, which has gone well 3 times');
    expect(suggestHarder(dueOf(log.slice(0, 1)), rows, 100)).toEqual([]);
  });

  it('is what serves an aim that is short, and what mends a fault that was seen', () => {
    const met = aimsMet(coverageOf([session(1, [], { cells: { 'lead head straights': 100 } })], 1, 1), 'beginner', {});
    const body = suggestForLacks(met, rows).find(({ reason }) => reason.includes('to the body'));
    expect(body?.text).toBe('1 2b 3b');
    const seen = [session(100, [], { faults: ['wrist'] }), session(101, [], { faults: ['wrist', 'leaning'] })];
    const faults = suggestForFaults(seen, 110);
    expect(faults.map(({ text }) => text)).toEqual(['1~ 2~', '1 2 out']);
    expect(faults[0]?.reason).toContain('2 times');
    expect(suggestForFaults(seen, 160)).toEqual([]);
  });

  it('is the same for the same log, in whatever order it is read', () => {
    const turned = [...log].reverse();
    expect(suggestDue(dueOf(turned), rows, 400)).toEqual(suggestDue(due, rows, 400));
    expect(suggestHarder(dueOf(turned), rows, 113)).toEqual(suggestHarder(due, rows, 113));
  });
});
