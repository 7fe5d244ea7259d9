import { inject, Injectable } from '@angular/core';
import { map, type Observable } from 'rxjs';
import { amend, logEntrySchema, speaksOf, withoutPerson, type LogEntry, type Said } from '../../core/index';
import type { Database } from '../store/database';
import { entryLane, readable, writeEntry, heldEntry } from '../store/log-rows';
import { Store, type Outcome } from '../store/store';

/** Says something of an entry anew; the rest stays as it is stored, whoever wrote it, and what it was is kept. */
function changeEntry(database: Database, id: string, change: Said): Promise<void> {
  return database.transaction('rw', database.log, async () => {
    const row = await database.log.get(id);
    const read = logEntrySchema.safeParse(row?.entry);
    const changed = read.success ? logEntrySchema.safeParse(amend(read.data, change, Date.now())) : read;
    if (changed.success) await writeEntry(database, changed.data);
  });
}

/** What happened: the log of runs. */
@Injectable({ providedIn: 'root' })
export class LogService {
  private readonly store = inject(Store);

  /** All entries that can be read, the latest first. For what needs each of them; a list takes a page. */
  readonly all$: Observable<readonly LogEntry[]> = this.store
    .watch(({ log }) => log.orderBy('startedAt').reverse().toArray())
    .pipe(map(readable));

  /** All entries that can be read, the first first; for what needs each of them. */
  async all(): Promise<readonly LogEntry[]> {
    return readable(await this.store.read(({ log }) => log.orderBy('startedAt').toArray()));
  }

  /** The ids of all entries, the latest first: by an index alone, before anything else can be known of them. */
  async latest(): Promise<readonly string[]> {
    // Turned round here: an index that is read backwards gives its keys one by one.
    return (await this.store.read(({ log }) => log.orderBy('startedAt').primaryKeys())).reverse();
  }

  /** Entries by their ids, in that order; what cannot be read is left out. */
  async byIds(ids: readonly string[]): Promise<readonly LogEntry[]> {
    const rows = await this.store.read(({ log }) => log.bulkGet([...ids]));
    return readable(rows.flatMap((row) => row ?? []));
  }

  /** Says something of an entry anew; what it was before is kept in it. */
  change(entry: LogEntry, change: Said): Promise<Outcome<void>> {
    return this.store.write(`the entry for “${entry.title}”`, entryLane(entry.id), (database) =>
      changeEntry(database, entry.id, change),
    );
  }

  /** Puts entries in that were held or written elsewhere. */
  add(entries: readonly LogEntry[]): Promise<Outcome<void>> {
    return this.store.write(
      'log entries',
      'log',
      (database) =>
        database.transaction('rw', database.log, async () => {
          for (const entry of entries) await writeEntry(database, entry);
        }),
      entries.flatMap(heldEntry),
    );
  }

  /** Takes entries out again. */
  async takeOut(ids: readonly string[]): Promise<void> {
    await this.store.write('log entries', 'log', ({ log }) => log.bulkDelete([...ids]));
  }

  /** Takes one person's data out of every entry; the returned function puts the entries back as they were. */
  async forget(person: string): Promise<{ readonly entries: number; readonly putBack: () => Promise<void> }> {
    const { written } = await this.store.write('removing a person', 'log', (database) =>
      database.transaction('rw', database.log, async () => {
        const rows = await database.log.filter(({ entry }) => speaksOf(entry, person)).toArray();
        for (const row of rows) await writeEntry(database, withoutPerson(row.entry, person));
        return rows;
      }),
    );
    const rows = await written;
    return {
      entries: rows.length,
      putBack: async () => {
        await this.store.write('the log', 'log', (database) =>
          database.transaction('rw', database.log, async () => {
            for (const { entry } of rows) await writeEntry(database, entry);
          }),
        );
      },
    };
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
