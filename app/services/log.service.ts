import { inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { liveQuery } from 'dexie';
import { from, map, type Observable } from 'rxjs';
import { logEntrySchema, type LogEntry } from '../../core/index';
import { Database } from '../store/database';

/** What happened: the log of runs. */
@Injectable({ providedIn: 'root' })
export class LogService {
  private readonly database = inject(Database);

  /** All entries, the latest first. */
  readonly all$: Observable<readonly LogEntry[]> = from(
    liveQuery(() => this.database.log.orderBy('startedAt').reverse().toArray()),
  ).pipe(map((stored) => stored.map(({ entry }) => entry).filter((entry) => logEntrySchema.safeParse(entry).success)));
  readonly all = toSignal(this.all$);

  async put(entry: LogEntry): Promise<void> {
    await this.database.log.put({
      id: entry.id,
      startedAt: entry.startedAt,
      sheetId: entry.sheetId,
      demo: false,
      entry,
    });
  }

  /** Takes an entry out; the returned function puts it back. */
  async remove(id: string): Promise<() => Promise<void>> {
    const stored = await this.database.log.get(id);
    await this.database.log.delete(id);
    return async () => {
      if (stored) await this.database.log.put(stored);
    };
  }
}
