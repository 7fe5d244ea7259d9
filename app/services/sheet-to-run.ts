import type { Sheet } from '../../core/index';

/**
 * The sheet that a link to Run hands over with its navigation (`[info]`), so that its page need not wait for storage. It is the
 * sheet as the page before showed it; nothing of it is kept in the browser's history.
 */
export class SheetToRun {
  constructor(readonly sheet: Sheet) {}
}

/** A sheet for such a link; nothing while there is none. `handOver(sheet)?.sheet === sheet` */
export const handOver = (sheet: Sheet | null): SheetToRun | undefined => (sheet ? new SheetToRun(sheet) : undefined);
