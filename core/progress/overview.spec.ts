import { demoBook } from '../../demo/combinations';
import { demoLog } from '../../demo/log';
import { dayOf, firstDayOf, isoDay, weekOf } from '../log/day';
import { digestOfRun } from './digest-of-run';
import { anyEntry, logLines, orderLog, type LogWish, type Searched } from './log-list';
import { overview, type ProgressQuestion } from './overview';

const midnight = new Date(2026, 10, 23).getTime();
const today = dayOf(midnight);
const entries = demoLog(midnight);
const digests = entries.map(digestOfRun);
const question: ProgressQuestion = {
  ...{ today, days: 84, group: null, level: 'beginner', aims: {}, emptyDays: 'rest' },
};

describe('what the log tells', () => {
  const all = overview(digests, demoBook, question);

  it('of twelve weeks of the demo has something to say everywhere', () => {
    expect(all.sessions).toBe(34);
    expect(all.weeks.length).toBe(13);
    expect(all.weeks.some(({ said }) => said.length > 0)).toBeTrue();
    expect(all.weeks.some(({ strain }) => strain !== null)).toBeTrue();
    expect(all.counts.length).toBeGreaterThan(15);
    expect(new Set(all.next.map(({ kind }) => kind)).size).toBeGreaterThan(2);
    expect(all.coverage.faults['hand-drops']).toBe(6);
    expect(all.groups).toEqual(['Off-shift class']);
  });

  it('is not bent by the one count that was ten times too many', () => {
    const wrong = all.counts.filter(({ ratio }) => ratio > 5);
    expect(wrong.length).toBe(1);
    const last = all.counted.at(-1);
    expect(last?.ratio).toBeGreaterThan(0.8);
    expect(last?.ratio).toBeLessThan(0.95);
    expect(last?.sd ?? 1).toBeLessThan(all.counted[0]?.sd ?? 0);
  });

  it('tells classes and people apart, those with the most counts first', () => {
    const [first] = all.ratios;
    expect([first?.of, first?.name]).toEqual(['class', 'Off-shift class']);
    expect(all.ratios.every((each, at) => at === 0 || each.counts <= (all.ratios[at - 1]?.counts ?? 0))).toBeTrue();
    const people = all.ratios.filter(({ of }) => of === 'person');
    expect(people.map(({ name }) => name)).toEqual(['Orla', 'Bram']);
    // Few counts stay near what everybody throws, and say so by their range.
    expect(people.every(({ sd }) => sd > (first?.sd ?? 1))).toBeTrue();
  });

  it('is that of a class and a span where those are asked for', () => {
    const four = overview(digests, demoBook, { ...question, days: 28 });
    expect(isoDay(four.from)).toBe(isoDay(firstDayOf(weekOf(today - 27))));
    expect(four.sessions).toBeLessThan(all.sessions);
    const none = overview(digests, demoBook, { ...question, group: 'nobody' });
    expect([none.sessions, none.weeks, none.counts]).toEqual([0, [], []]);
    expect(none.neglected).toContain('nothing to compare');
  });

  it('is the same for the same log', () => {
    expect(overview([...digests].reverse(), demoBook, question).next).toEqual(all.next);
  });
});

describe('the list of the log', () => {
  const searched: Searched[] = digests.map((digest, at) => ({
    digest,
    words: `${entries[at]?.title} ${entries[at]?.note}`.toLowerCase(),
  }));
  const list = (wish: Partial<LogWish>) =>
    logLines(orderLog(searched, { ...anyEntry, ...wish }), { ...anyEntry, ...wish });
  const ids = (wish: Partial<LogWish>) => list(wish).lines.flatMap((line) => (typeof line === 'string' ? line : []));
  const heads = (wish: Partial<LogWish>) => list(wish).lines.flatMap((line) => (typeof line === 'string' ? [] : line));

  it('is found by words, days, class, sheet and fault', () => {
    expect(list({}).count).toBe(34);
    expect(ids({ words: 'roll CAME' })).toEqual(['demo-entry-1']);
    expect(list({ words: 'nothing like it' }).count).toBe(0);
    expect(list({ from: today - 7, to: today }).count).toBe(3);
    expect(list({ group: 'nobody' }).count).toBe(0);
    expect(list({ sheetId: 'demo-one-a-round' }).count).toBe(
      digests.filter(({ sheetId }) => sheetId === 'demo-one-a-round').length,
    );
    expect(list({ fault: 'hand-drops' }).count).toBe(6);
  });

  it('is ordered by each column both ways', () => {
    const byEffort = ids({ order: 'effort', down: true }).map(
      (id) => digests.find((each) => each.id === id)?.effort ?? -1,
    );
    expect(byEffort.length).toBe(34);
    expect(byEffort).toEqual([...byEffort].sort((a, b) => b - a));
    const titles = ids({ order: 'title', down: false }).map(
      (id) => digests.find((each) => each.id === id)?.title ?? '',
    );
    expect(titles).toEqual([...titles].sort());
    expect(new Set(titles).size).toBeGreaterThan(1);
  });

  it('is put together by week and by sheet, with what each comes to', () => {
    const weeks = heads({ by: 'week' });
    expect(weeks.length).toBeGreaterThan(2);
    expect(weeks[0]?.sessions).toBe(3);
    expect(weeks.map(({ day }) => day)).toEqual([...weeks.map(({ day }) => day)].sort((a, b) => (b ?? 0) - (a ?? 0)));
    const sheets = heads({ by: 'sheet' });
    expect(sheets.length).toBe(5);
    expect(sheets.reduce((sum, { sessions }) => sum + sessions, 0)).toBe(34);
    expect(sheets.map(({ title }) => title)).toEqual([...sheets.map(({ title }) => title)].sort());
    expect(heads({})).toEqual([]);
  });

  it('has each head above its own entries, in the order that is wished within', () => {
    const { lines, count } = list({ by: 'sheet', order: 'when', down: false });
    expect([lines.length, count]).toEqual([39, 34]);
    let over = '';
    let before = -Infinity;
    for (const line of lines) {
      const digest = typeof line === 'string' ? digests.find(({ id }) => id === line) : null;
      if (typeof line !== 'string') over = line.title;
      else expect(digest?.title).toBe(over);
      expect(digest === null || (digest?.startedAt ?? 0) > before).toBeTrue();
      before = digest?.startedAt ?? -Infinity;
    }
  });

  it('keeps a sheet that was renamed together, under the title it had last', () => {
    const late = Math.max(...digests.map(({ startedAt }) => startedAt));
    const renamed = searched.map(({ digest, words }) => ({
      words,
      digest: digest.startedAt === late ? { ...digest, title: 'Now called otherwise' } : digest,
    }));
    const { lines } = logLines(orderLog(renamed, anyEntry), { ...anyEntry, by: 'sheet' });
    const titles = lines.flatMap((line) => (typeof line === 'string' ? [] : line.title));
    expect(titles.length).toBe(5);
    expect(titles).toContain('Now called otherwise');
  });
});
