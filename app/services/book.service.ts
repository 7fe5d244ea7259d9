import { inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { map, type Observable } from 'rxjs';
import { alike, bookEntrySchema, merge3, type BookEntry } from '../../core/index';
import { faultOf } from '../store/sound';
import { Store } from '../store/store';

/** The coach's book of combinations. */
@Injectable({ providedIn: 'root' })
export class BookService {
  private readonly store = inject(Store);

  /** All entries that can be read, the last changed first; undefined until storage has answered. */
  readonly all$: Observable<readonly BookEntry[]> = this.store
    .watch(({ book }) => book.orderBy('changedAt').reverse().toArray())
    .pipe(map((stored) => this.asBefore(stored.flatMap((row) => (faultOf('book', row) === null ? [row.entry] : [])))));
  readonly all = toSignal(this.all$);
  private before = new Map<string, BookEntry>();

  /** Entries that have not changed are the very same: what was worked out for them is found again. */
  private asBefore(entries: readonly BookEntry[]): readonly BookEntry[] {
    const same = entries.map((entry) => {
      const old = this.before.get(entry.id);
      return old && alike(old, entry) ? old : entry;
    });
    this.before = new Map(same.map((entry) => [entry.id, entry]));
    return same;
  }

  /** Writes entries; only what was changed since they were shown is, so that another hand's changes stay. */
  async put(...entries: readonly BookEntry[]): Promise<void> {
    const shown = new Map(this.all()?.map((entry) => [entry.id, entry]));
    await this.store.write('your combinations', 'book', (database) => {
      const { book } = database;
      return database.transaction('rw', book, async () => {
        const rows = await book.bulkGet(entries.map(({ id }) => id));
        await book.bulkPut(
          entries.map((mine, at) => {
            const row = rows[at];
            const theirs = bookEntrySchema.safeParse(row?.entry);
            const base = shown.get(mine.id);
            const entry = theirs.success && base ? merge3(base, mine, theirs.data).value : mine;
            return { id: mine.id, changedAt: Date.now(), demo: false, entry, rev: (row?.rev ?? 0) + 1 };
          }),
        );
      });
    });
  }

  /** Takes an entry out; the returned function puts it back as it was. */
  async remove(id: string): Promise<() => Promise<void>> {
    const { written } = await this.store.write('a deletion', 'book', async ({ book }) => {
      const stored = await book.get(id);
      await book.delete(id);
      return stored;
    });
    const stored = await written;
    return async () => {
      if (stored) await this.store.write('your combinations', 'book', ({ book }) => book.put(stored));
    };
  }
}
