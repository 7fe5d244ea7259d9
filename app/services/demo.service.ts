import { inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { liveQuery } from 'dexie';
import { from } from 'rxjs';
import { demoLog } from '../../demo/log';
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
        const sheets = await this.database.sheets.filter((stored) => stored.demo).count();
        const entries = await this.database.log.filter((stored) => stored.demo).count();
        return sheets + entries;
      }),
    ),
    { initialValue: 0 },
  );

  /** Puts the demo in, once in the life of this browser's storage. */
  async seedOnce(now: Date): Promise<void> {
    const { sheets, log, choices } = this.database;
    await this.database.transaction('rw', [sheets, log, choices], async () => {
      if (await choices.get('demo')) return;
      await choices.put({ key: 'demo', value: 'seeded' });
      const midnight = new Date(now.getFullYear(), now.getMonth(), now.getDate()).getTime();
      await sheets.bulkPut(
        demoSheets.map((sheet, index) => ({ id: sheet.id, changedAt: midnight - index * 60_000, demo: true, sheet })),
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
    const { sheets, log } = this.database;
    const demoSheetsLeft = await sheets.filter((stored) => stored.demo).toArray();
    const demoEntries = await log.filter((stored) => stored.demo).toArray();
    await this.database.transaction('rw', [sheets, log], async () => {
      await sheets.bulkDelete(demoSheetsLeft.map(({ id }) => id));
      await log.bulkDelete(demoEntries.map(({ id }) => id));
    });
    return async () => {
      await sheets.bulkPut(demoSheetsLeft);
      await log.bulkPut(demoEntries);
    };
  }
}
