import type { DemoFile, DemoRows } from '../../demo/rows';

/** Where the build puts the demo. */
export const demoFileAt = 'examples.json';

/**
 * The rows of the demo's file, as they are stored by who first comes on a day: what happened is moved to before that day's
 * midnight, in milliseconds since 1970.
 * @example rowsOf(file, new Date(2026, 10, 23).getTime())
 */
export function rowsOf(file: DemoFile, midnight: number): DemoRows {
  const moved = <Row extends { readonly changedAt: number }>(rows: readonly Row[]): Row[] =>
    rows.map((row) => ({ ...row, changedAt: row.changedAt + midnight }));
  const sheets = new Map(file.sheets.map(({ id, sheet }) => [id, sheet]));
  return {
    sheets: moved(file.sheets),
    book: moved(file.book),
    room: file.room,
    log: file.log.flatMap((written) => {
      const sheet = sheets.get(written.sheetId);
      if (!sheet) return [];
      const startedAt = written.startedAt + midnight;
      const deeds = written.deeds.map((deed) => ({ ...deed, wall: deed.wall + midnight }));
      const { id, sheetId } = written;
      return [{ id, startedAt, sheetId, demo: true, rev: 1, entry: { ...written, sheet, startedAt, deeds } }];
    }),
  };
}
