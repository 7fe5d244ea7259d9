import { alike, programmePrefix } from '../../core/index';
import { demoRoom } from '../../demo/room';
import type { Database, StoredChoice } from './database';
import { demoRows, tablesOf } from './demo-tables';

/** The untouched demo: rows of each table, and the room and the programme where they are still the demo's. */
export interface Taken {
  readonly rows: readonly (readonly { readonly id: string; readonly demo: boolean }[])[];
  readonly choices: readonly StoredChoice[];
}

/** Takes the untouched demo out, and hands over what it was. */
export function takeOut(database: Database): Promise<Taken> {
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

/** Puts back what was taken out. */
export async function putIn(database: Database, { rows, choices }: Taken): Promise<void> {
  await Promise.all(tablesOf(database).map((table, at) => table.bulkPut([...(rows[at] ?? [])])));
  await database.choices.bulkPut([...choices]);
}
