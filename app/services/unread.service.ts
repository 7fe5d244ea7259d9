import { inject, Injectable } from '@angular/core';
import { catchError, combineLatest, debounceTime, distinctUntilChanged, map, type Observable, switchMap } from 'rxjs';
import type { Table } from 'dexie';
import type { Database } from '../store/database';
import { databaseName } from '../store/database-name';
import type { LookedAt, Unread } from '../store/sound';
import { Store } from '../store/store';
import { askOnce } from '../workers/in-worker';
import type { Lookout } from '../workers/unread.worker';

/** The view comes first, and changes one after the other are looked at together. */
const waitMs = 1000;

/** Finds records that cannot be read. Whole stores are looked through, so that it is done in a worker. */
@Injectable({ providedIn: 'root' })
export class UnreadService {
  private readonly store = inject(Store);
  private readonly name = inject(databaseName);

  /** The records of some stores that cannot be read, again when one comes or goes. */
  of(stores: readonly LookedAt[]): Observable<readonly Unread[]> {
    const counts = stores.map((store) => this.store.watch((database) => countIn(database, store)));
    return combineLatest(counts).pipe(
      map((all) => all.join(' ')),
      distinctUntilChanged(),
      debounceTime(waitMs),
      switchMap(() => (this.store.keeping().where === 'device' ? this.apart(stores) : this.here(stores))),
    );
  }

  /** Deletes a record that cannot be read; the returned function puts it back as it was. */
  async remove({ store, name, row }: Unread): Promise<() => Promise<void>> {
    const key = keyOf(store, row);
    const write = async (what: string, job: (table: Table<unknown, string>) => PromiseLike<unknown>): Promise<void> => {
      const { written } = await this.store.write(what, `${store} ${key}`, (database) => job(database.table(store)));
      await written;
    };
    await write('a deletion', (table) => table.delete(key));
    return () => write(`“${name}”`, (table) => table.put(row));
  }

  private async here(stores: readonly LookedAt[]): Promise<readonly Unread[]> {
    const { unreadIn } = await import('../store/unread');
    return this.store.read(async (database) =>
      (await Promise.all(stores.map((store) => unreadIn(database, store)))).flat(),
    );
  }

  private apart(stores: readonly LookedAt[]): Observable<readonly Unread[]> {
    return askOnce<Lookout, readonly Unread[]>(
      () => new Worker(new URL('../workers/unread.worker', import.meta.url), { type: 'module' }),
      (lookout) => lookout.unreadIn(this.name, stores),
    ).pipe(catchError(() => this.here(stores)));
  }
}

/** The name that a stored record goes by. */
function keyOf(store: LookedAt, row: unknown): string {
  const { id, key } = row as { readonly id?: string; readonly key?: string };
  return (store === 'runs' || store === 'choices' ? key : id) ?? '';
}

/** What changes when a record of a store comes or goes; of the few choices, when any of them is written. */
async function countIn(database: Database, store: LookedAt): Promise<string> {
  if (store === 'choices')
    return (await database.choices.toArray()).map(({ key, rev }) => `${key} ${rev ?? 0}`).join(' ');
  return String(await database.table(store).count());
}
