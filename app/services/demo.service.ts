import { inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { liveQuery, type Table } from 'dexie';
import { from } from 'rxjs';
import { demoBook } from '../../demo/combinations';
import { demoLog } from '../../demo/log';
import { demoRoom } from '../../demo/room';
import { demoSheets } from '../../demo/sheets';
import { Database } from '../store/database';

/** The demo class, there on the first visit and cleared by one button. What a coach has changed is no demo any more and stays. */
@Injectable({ providedIn: 'root' })
export class DemoService {
  private readonly database = inject(Database);

  /** How many untouched demo records are left. */
  readonly left = toSignal(
    from(
      liveQuery(async () => {
        const counts = await Promise.all(this.tables().map((table) => table.filter((stored) => stored.demo).count()));
        return counts.reduce((sum, count) => sum + count, 0);
      }),
    ),
    { initialValue: 0 },
  );

  private tables(): Table<{ readonly id: string; readonly demo: boolean }, string>[] {
    return [this.database.sheets, this.database.log, this.database.book];
  }

  /** Puts the demo in, once in the life of this browser's storage. */
  async seedOnce(now: Date): Promise<void> {
    const { sheets, log, book, choices } = this.database;
    await this.database.transaction('rw', [sheets, log, book, choices], async () => {
      if (await choices.get('demo')) return;
      await choices.put({ key: 'demo', value: 'seeded' });
      if (!(await choices.get('room'))) await choices.put({ key: 'room', value: demoRoom });
      const midnight = new Date(now.getFullYear(), now.getMonth(), now.getDate()).getTime();
      const before = (index: number) => midnight - index * 60_000;
      await sheets.bulkPut(
        demoSheets.map((sheet, index) => ({ id: sheet.id, changedAt: before(index), demo: true, sheet })),
      );
      await book.bulkPut(
        demoBook.map((entry, index) => ({ id: entry.id, changedAt: before(index), demo: true, entry })),
      );
      await log.bulkPut(
        demoLog(midnight).map((entry) => ({
          id: entry.id,
          startedAt: entry.startedAt,
          sheetId: entry.sheetId,
          demo: true,
          entry,
        })),
      );
    });
  }

  /** Takes the untouched demo out; the returned function puts it back. */
  async clear(): Promise<() => Promise<void>> {
    const tables = this.tables();
    const taken = await Promise.all(tables.map((table) => table.filter((stored) => stored.demo).toArray()));
    await this.database.transaction('rw', tables, () =>
      Promise.all(tables.map((table, at) => table.bulkDelete((taken[at] ?? []).map(({ id }) => id)))),
    );
    const { choices } = this.database;
    const room = await choices.get('room');
    // A room that was changed is the coach's own.
    const untouched = JSON.stringify(room?.value) === JSON.stringify(demoRoom);
    if (untouched) await choices.delete('room');
    return async () => {
      await Promise.all(tables.map((table, at) => table.bulkPut(taken[at] ?? [])));
      if (room && untouched) await choices.put(room);
    };
  }
}
