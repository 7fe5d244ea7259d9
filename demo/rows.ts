import { compile, tally, type BookEntry, type LogEntry, type Room, type Sheet } from '../core/index';
import type { FirstList } from '../app/first/first-row';
import { firstRowOf, sheetFigures } from '../app/store/figures';
import type { StoredCombination, StoredEntry, StoredSheet } from '../app/store/database';
import { demoBook } from './combinations';
import { demoLog } from './log';
import { demoRoom } from './room';
import { demoSheets } from './sheets';

/** The demo as it is stored. */
export interface DemoRows {
  readonly sheets: readonly StoredSheet[];
  readonly book: readonly StoredCombination[];
  readonly log: readonly StoredEntry[];
  readonly room: Room;
}

/** What happened is counted back from the midnight before the first visit, in milliseconds. */
const minute = 60_000;

/** The demo, worked out: what there is of it was written before a midnight, in milliseconds since 1970. */
export function demoRows(midnight: number): DemoRows {
  const stored = (index: number) => ({ changedAt: midnight - index * minute, demo: true });
  const figuresOf = (sheet: Sheet) => {
    const timeline = compile(sheet);
    return sheetFigures(timeline, tally(timeline, sheet.stance));
  };
  return {
    sheets: demoSheets.map((sheet, index) => ({ id: sheet.id, ...stored(index), sheet, figures: figuresOf(sheet) })),
    book: demoBook.map((entry: BookEntry, index) => ({ id: entry.id, ...stored(index), entry })),
    log: demoLog(midnight).map((entry: LogEntry) => {
      const { id, startedAt, sheetId } = entry;
      return { id, startedAt, sheetId, demo: true, rev: 1, entry };
    }),
    room: demoRoom,
  };
}

/** The demo as the build writes it: all times before midnight 0, and a sheet that was run by its id, since each stands there once. */
export type DemoFile = Omit<DemoRows, 'log'> & { readonly log: readonly Omit<LogEntry, 'sheet'>[] };

/** What the build writes. */
export function demoFile(): DemoFile {
  const { log, ...rows } = demoRows(0);
  return { ...rows, log: log.map(({ entry: { sheet: _run, ...entry } }) => entry) };
}

/** The list of a first visit, as it is drawn before the application is there. */
export const demoFirstList = (): FirstList => ({
  rows: demoRows(0).sheets.map(firstRowOf),
  hint: true,
});
