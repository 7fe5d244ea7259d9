import { bookEntrySchema, logEntrySchema, roomSchema, sheetSchema } from '../core/index';
import { rowsOf } from '../app/store/demo-file';
import { demoFile, demoRows } from './rows';

describe('the demo as the build writes it', () => {
  it('is put into storage as it would be worked out there, on any day', () => {
    const written = JSON.parse(JSON.stringify(demoFile())) as ReturnType<typeof demoFile>;
    for (const day of [new Date(2026, 10, 23), new Date(2027, 2, 28)]) {
      const rows = rowsOf(written, day.getTime());
      expect(rows.log.length).toBe(34);
      expect(rows).toEqual(JSON.parse(JSON.stringify(demoRows(day.getTime()))));
    }
  });

  it('is what the schemas ask for: nobody looks at it again', () => {
    const { sheets, book, log, room } = rowsOf(demoFile(), new Date(2026, 10, 23).getTime());
    expect([sheets.length > 3, book.length > 11, roomSchema.safeParse(room).success]).toEqual([true, true, true]);
    expect(sheets.filter(({ sheet, figures }) => !figures || !sheetSchema.safeParse(sheet).success)).toEqual([]);
    expect(book.filter(({ entry }) => !bookEntrySchema.safeParse(entry).success)).toEqual([]);
    expect(log.filter(({ entry }) => !logEntrySchema.safeParse(entry).success)).toEqual([]);
  });
});
