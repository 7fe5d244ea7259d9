import { demoBook } from '../../demo/combinations';
import { demoLog } from '../../demo/log';
import { demoSheets } from '../../demo/sheets';
import { balanceOver, compile, tally, type Balance, type LogEntry, type Sheet } from '../../core/index';
import type { StoredCombination, StoredEntry, StoredSheet } from '../store/database';
import { sheetFigures, type SheetFigures } from '../store/figures';

/** What a list shows of a sheet. */
export function figuresOf(sheet: Sheet): SheetFigures {
  const timeline = compile(sheet);
  return sheetFigures(timeline, tally(timeline, sheet.stance));
}

/** Left and right of some weeks before a moment. */
export function balanceOf(log: readonly LogEntry[], weeks: number, now: number): Balance {
  return balanceOver(log, weeks, now);
}

/** The demo as it is stored: what there is of it was written before a midnight, in milliseconds since 1970. */
export function demoRows(midnight: number): {
  readonly sheets: readonly StoredSheet[];
  readonly book: readonly StoredCombination[];
  readonly log: readonly StoredEntry[];
} {
  const stored = (index: number) => ({ changedAt: midnight - index * 60_000, demo: true });
  return {
    sheets: demoSheets.map((sheet, index) => ({ id: sheet.id, ...stored(index), sheet, figures: figuresOf(sheet) })),
    book: demoBook.map((entry, index) => ({ id: entry.id, ...stored(index), entry })),
    log: demoLog(midnight).map((entry) => {
      const { id, startedAt, sheetId } = entry;
      return { id, startedAt, sheetId, demo: true, entry };
    }),
  };
}
