import { emptySheet } from '../sheet/fresh';
import { amend, speaksOf, withoutPerson } from './amend';
import { entryByHand } from './entry-by-hand';
import { logEntrySchema, type LogEntry } from './log-entry';

const entry: LogEntry = entryByHand({
  ...{ id: 'e', startedAt: 1, title: 'In the yard', ms: 1_800_000, rounds: 4 },
  ...{ sheet: emptySheet(() => 's'), planned: null, punches: 300 },
});
const minute = 60_000;

describe('an entry by hand', () => {
  it('is one that the log reads, with nothing said of what nobody knows', () => {
    expect(logEntrySchema.safeParse(entry).success).toBeTrue();
    expect([entry.effort, entry.counted, entry.done.ms, entry.done.punches]).toEqual([null, null, 1_800_000, 300]);
  });

  it('takes its punches from the sheet, by the share of its time', () => {
    const planned = { ms: 3_600_000, rounds: 8, punches: 800 };
    const half = entryByHand({
      ...{ id: 'e', startedAt: 1, title: '', ms: 1_800_000, rounds: 4, planned },
      sheet: emptySheet(() => 's'),
    });
    expect(half.done.punches).toBe(400);
  });
});

describe('an entry that is said anew', () => {
  it('keeps what it was, and when it was changed', () => {
    const said = amend(entry, { effort: 5 }, minute);
    // Said for the first time, it was nothing before.
    expect(said.history).toBeUndefined();
    const again = amend(said, { effort: 7, note: 'late' }, 60 * minute);
    expect([again.effort, again.note]).toEqual([7, 'late']);
    expect(again.history).toEqual([{ at: 60 * minute, was: { effort: 5 } }]);
    expect(logEntrySchema.safeParse(again).success).toBeTrue();
    expect(amend(again, { effort: 7 }, 61 * minute)).toBe(again);
  });

  it('takes what is typed in one sitting as one change', () => {
    const typed = ['a', 'ab', 'abc'].reduce((now, note, at) => amend(now, { note }, at * 1000), {
      ...entry,
      note: 'first',
    });
    expect(typed.history).toEqual([{ at: 0, was: { note: 'first' } }]);
    expect(amend(typed, { note: 'x' }, 60 * minute).history?.at(-1)?.was).toEqual({ note: 'abc' });
  });
});

describe('one person’s data', () => {
  const full: LogEntry = {
    ...entry,
    ...{ title: 'With Wren', note: 'wren late, Wrenhold early', counted: 210 },
    sheet: { ...entry.sheet, title: 'Wren’s round', note: 'Wren first', class: { note: 'wren' } },
    rounds: [{ round: 1, effort: 5, counted: 60 }],
    count: { of: 'one', by: 'typed', name: 'Wren' },
    who: { names: ['Ada', 'Wren'], people: 2 },
    history: [{ at: 1, was: { counted: 200, count: { of: 'one', by: 'typed', name: 'Wren' }, note: 'Wren!' } }],
  };

  it('is taken out everywhere: name, count, rounds, notes, and what was before', () => {
    const out = withoutPerson(full, 'wren');
    expect(JSON.stringify(out)).not.toMatch(/wren(?!hold)/i);
    expect([out.counted, out.count, out.rounds?.[0]]).toEqual([
      null,
      undefined,
      { round: 1, effort: 5, counted: null },
    ]);
    expect(out.who).toEqual({ names: ['Ada'], people: 2 });
    expect(out.note).toBe('… late, Wrenhold early');
    expect(out.history?.[0]?.was).toEqual({ note: '…!' });
    expect(logEntrySchema.safeParse(out).success).toBeTrue();
  });

  it('leaves others’ alone, and says who is in an entry', () => {
    expect(withoutPerson(full, 'Bo')).toEqual(full);
    expect([speaksOf(full, 'Wren'), speaksOf(full, 'Bo'), speaksOf(full, ' ')]).toEqual([true, false, false]);
  });
});
