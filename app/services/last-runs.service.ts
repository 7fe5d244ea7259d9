import { inject, Injectable } from '@angular/core';
import { map, type Observable } from 'rxjs';
import type { LogEntry } from '../../core/index';
import type { StoredEntry } from '../store/database';
import { readable } from '../store/log-rows';
import { Store } from '../store/store';

/** Whether a row can be read, and is of a run that was no rehearsal. */
const isRun = (row: StoredEntry): boolean => readable([row]).some(({ rehearsal }) => !rehearsal);

/** What was run last: all that the first view needs of the log. */
@Injectable({ providedIn: 'root' })
export class LastRunsService {
  private readonly store = inject(Store);

  /** The last run of a sheet, rehearsals left out; null where there was none. */
  lastOf$(sheetId: string): Observable<LogEntry | null> {
    return this.store
      .watch(({ log }) =>
        log
          .where('[sheetId+startedAt]')
          .between([sheetId, -Infinity], [sheetId, Infinity])
          .reverse()
          .filter(isRun)
          .first(),
      )
      .pipe(map((row) => (row ? (readable([row])[0] ?? null) : null)));
  }

  /** The last run of any sheet, rehearsals left out; null where there was none. */
  async last(): Promise<LogEntry | null> {
    const row = await this.store.read(({ log }) =>
      log
        .orderBy('startedAt')
        .reverse()
        .filter((row) => !row.demo && isRun(row))
        .first(),
    );
    return row ? (readable([row])[0] ?? null) : null;
  }
}
