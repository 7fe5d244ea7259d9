import fc from 'fast-check';
import Papa from 'papaparse';
import { dayFromIso, dayOf, momentOf } from '../log/day';
import { noDigest } from '../log/no-digest.spec';
import { entryByHand } from '../log/entry-by-hand';
import type { LogEntry } from '../log/log-entry';
import { emptySheet } from '../sheet/fresh';
import { plainCell, readCsv, safeCell, writeCsv, type CsvTable } from './csv-cells';
import { entriesCsv, guessMapping, isEntriesCsv, isRoundsCsv, roundsCsv } from './log-csv';
import { clockIn, dayIn, msIn, numberIn, roundsIn, sessionsIn } from './log-csv-in';

const entry: LogEntry = entryByHand({
  ...{ id: 'e1', startedAt: momentOf(dayFromIso('2026-11-26') ?? 0, 18 * 60 + 30), title: '=2+3, "quoted"' },
  ...{ ms: 2_400_000, rounds: 6, sheet: emptySheet(() => 's'), planned: null, punches: 600 },
  said: {
    ...{
      effort: 7,
      counted: 540,
      note: '-late\nnext line; yes',
      pulse: { mean: 130, most: 171 },
      faults: ['wrist', 'leaning'],
    },
    ...{ count: { of: 'several', by: 'typed' }, who: { group: 'Watch', names: ['Ada', '@bo'], people: 12 } },
  },
});
const tableOf = (text: string): CsvTable => readCsv(text) ?? { header: [], rows: [] };

describe('cells', () => {
  it('that a spreadsheet would run are made safe and are what they were again (OWASP, CSV Injection)', () => {
    expect(['=1', '+1', '-1', '@x', '\tx', 'a=1', "'=1", ''].map(safeCell)).toEqual([
      ...["'=1", "'+1", "'-1", "'@x", "'\tx", 'a=1', "''=1", ''],
    ]);
    fc.assert(
      fc.property(fc.string(), (text) => {
        expect(plainCell(safeCell(text))).toBe(text);
        expect(safeCell(text)).not.toMatch(/^[=+\-@\t\r]/);
      }),
    );
    expect(plainCell("'tis")).toBe("'tis");
  });

  it('come back through RFC 4180 as they were (reference: papaparse)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.string(), fc.string(), fc.constant('x')), { minLength: 1, maxLength: 5 }),
        (rows) => {
          const text = writeCsv(['a', 'b', 'c'], rows);
          expect(text.endsWith('\r\n')).toBeTrue();
          expect(tableOf(text).rows).toEqual(rows);
          expect(Papa.parse<string[]>(text.trimEnd()).errors).toEqual([]);
        },
      ),
    );
  });
});

describe('entries as CSV', () => {
  const text = entriesCsv([entry], () => ['wrist', 'leaning']);

  it('go out and come in the same', () => {
    const table = tableOf(text);
    expect(isEntriesCsv(table)).toBeTrue();
    const { sessions, faults } = sessionsIn(table, null, 'day first');
    expect(faults).toEqual([]);
    const { title, startedAt, effort, counted, note, count, who, pulse } = entry;
    expect(sessions).toEqual([
      {
        ...{ id: 'e1', startedAt, title, ms: 2_400_000, rounds: 6, punches: 600, rehearsal: false },
        said: { effort, counted, note, count, who, pulse, faults: ['wrist', 'leaning'] },
      } as (typeof sessions)[number],
    ]);
  });

  it('of other origin are mapped by the names of their columns, and what is wrong is said by its line', () => {
    const other = tableOf(
      'Day;Duration;RPE;Punches;Notes\n26.11.2026 18:05;1:05:00;7;900;fine\n31.2.2026;40;7;;\n1.2.2026;40;11;;\n',
    );
    const mapping = guessMapping(other.header);
    expect([
      mapping.date,
      mapping.minutes,
      mapping.effort,
      mapping['counted punches'],
      mapping.note,
      mapping.title,
    ]).toEqual([...[0, 1, 2, 3, 4, null]]);
    const { sessions, faults } = sessionsIn(other, mapping, 'day first');
    expect(sessions.map(({ startedAt, ms, said }) => [startedAt, ms, said.effort, said.counted])).toEqual([
      [momentOf(dayFromIso('2026-11-26') ?? 0, 18 * 60 + 5), 3_900_000, 7, 900],
    ]);
    expect(faults.map(({ line }) => line)).toEqual([3, 4]);
    expect(faults[0]?.mend).toContain('2026-11-26');
  });
});

describe('cells of other origin', () => {
  it('are read as days in either order, times, lengths and numbers', () => {
    const day = (text: string): number | null => dayFromIso(text);
    expect(dayIn('3/4/2026', 'day first')).toBe(day('2026-04-03'));
    expect(dayIn('3/4/2026', 'month first')).toBe(day('2026-03-04'));
    expect([dayIn('2026-03-04T10:00', 'day first'), dayIn('soon', 'day first')]).toEqual([day('2026-03-04'), null]);
    expect(['18:30', '6:30 pm', '12:05 am', '9:75', 'x'].map(clockIn)).toEqual([1110, 1110, 5, null, null]);
    expect(['40', '40:30', '1:02:03', '7,5', 'long'].map(msIn)).toEqual([
      2_400_000,
      2_430_000,
      3_723_000,
      450_000,
      null,
    ]);
    expect(['7.5', '7,5', '-1', '1e3', ''].map(numberIn)).toEqual([7.5, 7.5, -1, null, null]);
  });
});

describe('rounds as CSV', () => {
  it('go out and come in the same, and a row that names none is said', () => {
    const round = { plannedMs: 1, ms: 180_000, punches: 90, kind: 'build', pace: 1 } as const;
    const text = roundsCsv([
      {
        ...noDigest,
        id: 'e1',
        day: dayOf(entry.startedAt),
        byRound: [
          { ...round, round: 1, counted: 80, effort: 6 },
          { ...round, round: 2, counted: null, effort: null },
        ],
      },
    ]);
    const table = tableOf(text);
    expect(isRoundsCsv(table)).toBeTrue();
    expect(roundsIn(table).rounds).toEqual([
      { id: 'e1', round: 1, effort: 6, counted: 80 },
      { id: 'e1', round: 2, effort: null, counted: null },
    ]);
    expect(roundsIn({ header: table.header, rows: [['', '', '', '1', '', '', '', '']] }).faults[0]?.line).toBe(2);
  });

  it('what is no table is none', () => {
    expect([readCsv(''), readCsv('one'), readCsv('a,b')]).toEqual([null, null, null]);
  });

  it('runs no formula behind blanks, line ends, zero-width signs or a byte order mark, nor full-width ones, nor in a head', () => {
    // OWASP, "CSV Injection": what Excel and LibreOffice take for a formula; leading signs as their importers drop them.
    const hostile = [
      '=1',
      '+1',
      '-1',
      '@A1',
      '\t=1',
      '\r=1',
      '\n=1',
      ' =1',
      '\u200b=1',
      '\ufeff=1',
      '\u00a0+1',
      '＝1',
      '＋1',
      '－1',
      '＠A',
    ];
    expect(hostile.filter((text) => !safeCell(text).startsWith("'"))).toEqual([]);
    expect(hostile.map((text) => plainCell(safeCell(text)))).toEqual(hostile);
    expect(plainCell(safeCell("'=1"))).toBe("'=1");
    expect(writeCsv(['=cmd', 'b'], [['x', 1]]).startsWith("'=cmd,b")).toBeTrue();
    const back = readCsv(
      writeCsv(
        ['a', 'b'],
        hostile.map((text) => [text, 1]),
      ),
    );
    expect(back?.rows.map(([cell]) => cell)).toEqual(hostile);
  });
});
