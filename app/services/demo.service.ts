import { inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import type { Table } from 'dexie';
import { alike, programmePrefix, type Room } from '../../core/index';
import type { Database, StoredChoice } from '../store/database';
import { Store } from '../store/store';

/** The demo class, there on the first visit and cleared by one button. What a coach has changed is no demo any more and stays. */
@Injectable({ providedIn: 'root' })
export class DemoService {
  private readonly store = inject(Store);

  /** How many untouched demo records are left. */
  readonly left = toSignal(
    this.store.watch(async (database) => {
      const counts = await Promise.all(tablesOf(database).map((table) => demoRows(table).count()));
      return counts.reduce((sum, count) => sum + count, 0);
    }),
    { initialValue: 0 },
  );

  /** Takes the untouched demo out; the returned function puts it back. */
  async clear(): Promise<() => Promise<void>> {
    const { demoRoom } = await import('../../demo/room');
    const { written } = await this.store.write('clearing the demo', 'demo', (database) => takeOut(database, demoRoom));
    const taken = await written;
    return async () => {
      await this.store.write('the demo', 'demo', (database) => putIn(database, taken));
    };
  }
}

type DemoTable = Table<{ readonly id: string; readonly demo: boolean }, string>;
/** Untouched demo records, found by their ids: the rest of a large table is not read. */
const demoRows = (table: DemoTable) =>
  table
    .where('id')
    .startsWith('demo-')
    .filter((stored) => stored.demo);
const tablesOf = ({ sheets, log, book }: Database): DemoTable[] => [sheets, log, book];

/** The untouched demo: rows of each table, and the room and the programme where they are still the demo's. */
interface Taken {
  readonly rows: readonly (readonly { readonly id: string; readonly demo: boolean }[])[];
  readonly choices: readonly StoredChoice[];
}

function takeOut(database: Database, demoRoom: Room): Promise<Taken> {
  const tables = tablesOf(database);
  const { choices } = database;
  return database.transaction('rw', [...tables, choices], async () => {
    const rows = await Promise.all(tables.map((table) => demoRows(table).toArray()));
    await Promise.all(tables.map((table, at) => table.bulkDelete((rows[at] ?? []).map(({ id }) => id))));
    const room = await choices.get('room');
    // A room that was changed is the coach's own.
    const untouched = room && (room.demo === true || alike(room.value, demoRoom));
    const programmes = await choices
      .where('key')
      .startsWith(programmePrefix)
      .filter(({ demo }) => demo === true)
      .toArray();
    const taken = [...(untouched ? [room] : []), ...programmes];
    await choices.bulkDelete(taken.map(({ key }) => key));
    return { rows, choices: taken };
  });
}

async function putIn(database: Database, { rows, choices }: Taken): Promise<void> {
  await Promise.all(tablesOf(database).map((table, at) => table.bulkPut([...(rows[at] ?? [])])));
  await database.choices.bulkPut([...choices]);
}
