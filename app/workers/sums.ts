import { demoBook } from '../../demo/combinations';
import { demoLog } from '../../demo/log';
import { demoProgramme } from '../../demo/programme';
import { demoRoom } from '../../demo/room';
import { demoSheets } from '../../demo/sheets';
import { compile, tally, type Programme, type Room, type Sheet } from '../../core/index';
import type { StoredCombination, StoredEntry, StoredSheet } from '../store/database';
import { sheetFigures, type SheetFigures } from '../store/figures';

/** What a list shows of a sheet. */
export function figuresOf(sheet: Sheet): SheetFigures {
  const timeline = compile(sheet);
  return sheetFigures(timeline, tally(timeline, sheet.stance));
}

/** The demo as it is stored: what there is of it was written before a midnight, in milliseconds since 1970. */
export function demoRows(midnight: number): {
  readonly sheets: readonly StoredSheet[];
  readonly book: readonly StoredCombination[];
  readonly log: readonly StoredEntry[];
  readonly room: Room;
} {
  const stored = (index: number) => ({ changedAt: midnight - index * 60_000, demo: true });
  return {
    sheets: demoSheets.map((sheet, index) => ({ id: sheet.id, ...stored(index), sheet, figures: figuresOf(sheet) })),
    book: demoBook.map((entry, index) => ({ id: entry.id, ...stored(index), entry })),
    log: demoLog(midnight).map((entry) => {
      const { id, startedAt, sheetId } = entry;
      return { id, startedAt, sheetId, demo: true, rev: 1, entry };
    }),
    room: demoRoom,
  };
}

/** The demo's programme, as the log has left it before a midnight. */
export function demoPlan(midnight: number): Programme {
  return demoProgramme(demoLog(midnight), midnight);
}
