import { inject, Injectable } from '@angular/core';
import { map, type Observable } from 'rxjs';
import { logEntrySchema, type LogEntry } from '../../core/index';
import type { Database, StoredEntry } from '../store/database';
import { faultOf } from '../store/sound';
import { Store, type Outcome } from '../store/store';

/** Puts an entry in. */
export async function writeEntry({ log }: Database, entry: LogEntry): Promise<void> {
  const row = await log.get(entry.id);
  const { id, startedAt, sheetId } = entry;
  await log.put({ id, startedAt, sheetId, demo: false, entry, rev: (row?.rev ?? 0) + 1 });
}

/** Changes some fields of an entry; the others stay as they are stored, whoever wrote them. */
function changeEntry(database: Database, id: string, change: Partial<LogEntry>): Promise<void> {
  return database.transaction('rw', database.log, async () => {
    const row = await database.log.get(id);
    const read = logEntrySchema.safeParse({ ...row?.entry, ...change });
    if (read.success) await writeEntry(database, read.data);
  });
}

/** Writes of one entry go one after the other, the first one too. */
export const entryLane = (id: string): string => `entry ${id}`;

/** Rows of a list from a place on, and how many there are in all. */
export interface Page<Row> {
  readonly rows: readonly Row[];
  readonly count: number;
}

/** By what the log can be ordered, and the index that does it. */
const indexOf = {
  when: 'startedAt',
  title: 'entry.title',
  time: 'entry.done.ms',
  rounds: 'entry.done.rounds',
  punches: 'entry.done.punches',
} as const;
export const logOrders = Object.keys(indexOf) as (keyof typeof indexOf)[];

/** An order of the log, from the most to the least where it goes `down`. */
export interface LogOrder {
  readonly by: keyof typeof indexOf;
  readonly down: boolean;
}
const latestFirst: LogOrder = { by: 'when', down: true };

const readable = (rows: readonly StoredEntry[]): readonly LogEntry[] =>
  rows.flatMap((row) => (faultOf('log', row) === null ? [row.entry] : []));

/** What happened: the log of runs. */
@Injectable({ providedIn: 'root' })
export class LogService {
  private readonly store = inject(Store);

  /** All entries that can be read, the latest first. For what needs each of them; a list takes a page. */
  readonly all$: Observable<readonly LogEntry[]> = this.store
    .watch(({ log }) => log.orderBy('startedAt').reverse().toArray())
    .pipe(map(readable));

  /** Some entries in an order, from a place on, and how many there are in all. */
  page$(from: number, most: number, { by, down }: LogOrder = latestFirst): Observable<Page<LogEntry>> {
    return this.store
      .watch(async ({ log }) => {
        const ordered = log.orderBy(indexOf[by]);
        return {
          rows: await (down ? ordered.reverse() : ordered).offset(from).limit(most).toArray(),
          count: await log.count(),
        };
      })
      .pipe(map(({ rows, count }) => ({ rows: readable(rows), count })));
  }

  /** Entries from a moment on. */
  since$(startedAt: number): Observable<readonly LogEntry[]> {
    return this.store.watch(({ log }) => log.where('startedAt').aboveOrEqual(startedAt).toArray()).pipe(map(readable));
  }

  /** The last run of a sheet, rehearsals left out; null where there was none. */
  lastOf$(sheetId: string): Observable<LogEntry | null> {
    return this.store
      .watch(({ log }) =>
        log
          .where('[sheetId+startedAt]')
          .between([sheetId, -Infinity], [sheetId, Infinity])
          .reverse()
          .filter(({ entry }) => !entry.rehearsal)
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
        .filter(({ entry, demo }) => !demo && !entry.rehearsal)
        .first(),
    );
    return row ? (readable([row])[0] ?? null) : null;
  }

  /** Changes some fields of an entry. */
  change(entry: LogEntry, change: Partial<LogEntry>): Promise<Outcome<void>> {
    return this.store.write(`the entry of “${entry.title}”`, entryLane(entry.id), (database) =>
      changeEntry(database, entry.id, change),
    );
  }

  /** Takes an entry out; the returned function puts it back. */
  async remove(id: string): Promise<() => Promise<void>> {
    const { written } = await this.store.write('a deletion', entryLane(id), async ({ log }) => {
      const stored = await log.get(id);
      await log.delete(id);
      return stored;
    });
    const stored = await written;
    return async () => {
      if (stored) await this.store.write('the log', entryLane(id), ({ log }) => log.put(stored));
    };
  }
}
