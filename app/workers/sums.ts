import { demoLog } from '../../demo/log';
import { demoProgramme } from '../../demo/programme';
import { compile, tally, type Programme, type Sheet } from '../../core/index';
import { sheetFigures, type SheetFigures } from '../store/figures';

/** What a list shows of a sheet. */
export function figuresOf(sheet: Sheet): SheetFigures {
  const timeline = compile(sheet);
  return sheetFigures(timeline, tally(timeline, sheet.stance));
}

/** The demo's programme, as the log has left it before a midnight. */
export function demoPlan(midnight: number): Programme {
  return demoProgramme(demoLog(midnight), midnight);
}
