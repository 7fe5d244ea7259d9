import { dayFromIso, momentOf, type Day, type WallTime } from '../log/day';
import type { Said } from '../log/log-entry';
import type { Milliseconds } from '../units';
import type { CsvTable } from './csv-cells';
import { entryColumns, roundColumns, type CsvMapping, type EntryColumn, type MappedField } from './log-csv';

/** A row of a file as a session that was held. */
export interface CsvSession {
  /** The entry it belongs to, in files that this program wrote. */
  readonly id: string | null;
  readonly startedAt: WallTime;
  readonly title: string;
  readonly ms: Milliseconds;
  readonly rounds: number;
  readonly punches: number | null;
  readonly rehearsal: boolean;
  readonly said: Said;
}

/** What one row says of a round. */
export interface CsvRound {
  readonly id: string;
  readonly round: number;
  readonly effort: number | null;
  readonly counted: number | null;
}

/** A row that is not taken in: its line in the file, what is wrong, and what would be right. */
export interface CsvFault {
  readonly line: number;
  readonly what: string;
  readonly mend: string;
}

/** Whether 3/4 is the 3rd of April or the 4th of March. */
export type DateOrder = 'day first' | 'month first';

/**
 * A day out of a cell: ISO 8601, or figures parted by dots, slashes or dashes in an order; null where it is none.
 * @example dayIn('26.11.2026', 'day first')
 */
export function dayIn(cell: string, order: DateOrder): Day | null {
  const iso = /^(\d{4}-\d{2}-\d{2})/.exec(cell.trim());
  if (iso?.[1]) return dayFromIso(iso[1]);
  const parts = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4})/.exec(cell.trim());
  if (!parts) return null;
  const [, one = '', two = '', year = ''] = parts;
  const [day, month] = order === 'day first' ? [one, two] : [two, one];
  return dayFromIso(`${year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`);
}

/** Minutes after midnight out of a time; null where it is none. `clockIn('6:30 pm')` → `1110` */
export function clockIn(cell: string): number | null {
  const found = /(\d{1,2}):(\d{2})(?::\d{2})?\s*([ap]m)?\s*$/i.exec(cell.trim());
  if (!found) return null;
  const [, hours = '', minutes = '', half] = found;
  const hour = (Number(hours) % (half ? 12 : 24)) + (half?.toLowerCase() === 'pm' ? 12 : 0);
  return Number(minutes) > 59 ? null : hour * 60 + Number(minutes);
}

/** A number with a point or a comma before its fractions; null where it is none. `numberIn('7,5')` → `7.5` */
export function numberIn(cell: string): number | null {
  const text = cell.trim().replace(',', '.');
  return /^-?\d+(\.\d+)?$/.test(text) ? Number(text) : null;
}

/** A length out of minutes, `m:ss` or `h:mm:ss`; null where it is none. `msIn('1:05:00')` → `3_900_000` */
export function msIn(cell: string): Milliseconds | null {
  const clock = /^(?:(\d{1,2}):)?(\d{1,3}):(\d{2})$/.exec(cell.trim());
  if (clock) return ((Number(clock[1] ?? 0) * 60 + Number(clock[2])) * 60 + Number(clock[3])) * 1000;
  const minutes = numberIn(cell);
  return minutes === null ? null : Math.round(minutes * 60_000);
}

const whole = (cell: string, least: number, most: number): number | null => {
  const value = numberIn(cell);
  return value === null || value < least || value > most ? null : Math.round(value);
};

/** Entries and what could not be taken in. */
export interface CsvSessions {
  readonly sessions: readonly CsvSession[];
  readonly faults: readonly CsvFault[];
}

/** Sessions may be so long, as lengths in a sheet may. */
const mostMs = 24 * 3_600_000;

function sessionIn(cellOf: (field: EntryColumn) => string, order: DateOrder): CsvSession | Omit<CsvFault, 'line'> {
  const day = dayIn(cellOf('date'), order);
  if (day === null)
    return {
      what: `“${cellOf('date')}” is not a date`,
      mend: 'use 2026-11-26, or choose day first or month first',
    };
  const ms = msIn(cellOf('minutes'));
  if (ms === null || ms <= 0 || ms > mostMs)
    return { what: `“${cellOf('minutes')}” is not a length`, mend: 'use minutes, for example 40 or 40:00' };
  const effort = cellOf('effort') === '' ? null : whole(cellOf('effort'), 0, 10);
  if (cellOf('effort') !== '' && effort === null)
    return { what: `“${cellOf('effort')}” is not an effort`, mend: 'use a number from 0 to 10' };
  const counted = cellOf('counted punches') === '' ? null : whole(cellOf('counted punches'), 0, 1_000_000);
  if (cellOf('counted punches') !== '' && counted === null)
    return { what: `“${cellOf('counted punches')}” is not a count`, mend: 'use a whole number' };
  const [mean, most] = [whole(cellOf('mean pulse'), 20, 260), whole(cellOf('most pulse'), 20, 260)];
  const listed = (field: EntryColumn): string[] =>
    cellOf(field)
      .split(';')
      .map((each) => each.trim())
      .filter((each) => each !== '');
  const [group, names, people] = [cellOf('class').slice(0, 80), listed('names'), whole(cellOf('people'), 0, 500)];
  const [of, by] = [cellOf('count of'), cellOf('count by')];
  return {
    id: cellOf('id') || null,
    startedAt: momentOf(day, clockIn(cellOf('time')) ?? clockIn(cellOf('date')) ?? 18 * 60),
    title: cellOf('title').slice(0, 200),
    ms,
    rounds: whole(cellOf('rounds'), 0, 500) ?? 0,
    punches: whole(cellOf('planned punches'), 0, 1_000_000),
    rehearsal: cellOf('rehearsal') === 'yes',
    said: {
      ...{ effort, counted, note: cellOf('note').slice(0, 4000) },
      ...(counted === null || of === ''
        ? {}
        : {
            count: {
              of: of === 'one' ? 'one' : 'several',
              by: by === 'counter' || by === 'simulated' ? by : 'typed',
            },
          }),
      ...(mean === null && most === null ? {} : { pulse: { mean, most } }),
      ...(cellOf('faults') === ''
        ? {}
        : {
            faults: listed('faults')
              .map((each) => each.slice(0, 40))
              .slice(0, 60),
          }),
      ...(group === '' && names.length === 0 && people === null
        ? {}
        : {
            who: {
              ...(group === '' ? {} : { group }),
              names: names.map((each) => each.slice(0, 60)).slice(0, 100),
              people,
            },
          }),
    },
  };
}

/**
 * Sessions out of a table, by a mapping of its columns; a row that cannot be read is said with its line and left out.
 * @example sessionsIn(table, guessMapping(table.header), 'day first').faults
 */
export function sessionsIn(table: CsvTable, mapping: CsvMapping | null, order: DateOrder): CsvSessions {
  const sessions: CsvSession[] = [];
  const faults: CsvFault[] = [];
  table.rows.forEach((row, index) => {
    const cellOf = (field: EntryColumn): string => {
      const at = mapping ? (mapping[field as MappedField] ?? null) : entryColumns.indexOf(field);
      return at === null ? '' : (row[at] ?? '').trim();
    };
    const read = sessionIn(cellOf, order);
    if ('what' in read) faults.push({ line: index + 2, ...read });
    else sessions.push(read);
  });
  return { sessions, faults };
}

/** Rounds out of a file that this program wrote, with what could not be read. `roundsIn(table).rounds[0]?.effort` */
export function roundsIn(table: CsvTable): {
  readonly rounds: readonly CsvRound[];
  readonly faults: readonly CsvFault[];
} {
  const rounds: CsvRound[] = [];
  const faults: CsvFault[] = [];
  const cell = (row: readonly string[], name: (typeof roundColumns)[number]): string =>
    (row[roundColumns.indexOf(name)] ?? '').trim();
  table.rows.forEach((row, index) => {
    const round = whole(cell(row, 'round'), 1, 500);
    const id = cell(row, 'id');
    if (round === null || id === '') {
      faults.push({ line: index + 2, what: 'it has no round', mend: 'leave the id and round columns unchanged' });
      return;
    }
    rounds.push({
      ...{ id, round },
      effort: whole(cell(row, 'effort'), 0, 10),
      counted: whole(cell(row, 'counted punches'), 0, 1_000_000),
    });
  });
  return { rounds, faults };
}
