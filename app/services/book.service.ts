import { inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { liveQuery } from 'dexie';
import { from, map, type Observable } from 'rxjs';
import { bookEntrySchema, type BookEntry } from '../../core/index';
import { Database } from '../store/database';

/** The coach's book of combinations. */
@Injectable({ providedIn: 'root' })
export class BookService {
  private readonly database = inject(Database);

  /** All entries, the last changed first; undefined until storage has answered. */
  readonly all$: Observable<readonly BookEntry[]> = from(
    liveQuery(() => this.database.book.orderBy('changedAt').reverse().toArray()),
  ).pipe(map((stored) => stored.map(({ entry }) => entry).filter((entry) => bookEntrySchema.safeParse(entry).success)));
  readonly all = toSignal(this.all$);

  async put(...entries: readonly BookEntry[]): Promise<void> {
    const changedAt = Date.now();
    await this.database.book.bulkPut(entries.map((entry) => ({ id: entry.id, changedAt, demo: false, entry })));
  }

  /** Takes an entry out; the returned function puts it back as it was. */
  async remove(id: string): Promise<() => Promise<void>> {
    const stored = await this.database.book.get(id);
    await this.database.book.delete(id);
    return async () => {
      if (stored) await this.database.book.put(stored);
    };
  }
}
