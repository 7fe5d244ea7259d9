import type { DemoFile } from '../../demo/rows';
import type { Database } from './database';
import { demoFileAt, rowsOf } from './demo-file';

/** What a profile is marked with that has had today's names from its first visit; older ones have `seeded`. */
export const seededNow = 'seeded, today’s names';

/** Asks the server for the demo; null where none answers: the next visit asks again. */
async function fetched(): Promise<DemoFile | null> {
  try {
    const answer = await fetch(demoFileAt);
    // It comes from the build, whose specs hold it to the schemas.
    return answer.ok ? ((await answer.json()) as DemoFile) : null;
  } catch {
    return null;
  }
}

/** Puts the demo in, once in the life of this browser's storage: as the build has written it, in one transaction. */
export async function seedDemo(database: Database, now: Date, file = fetched): Promise<void> {
  const { sheets, log, book, choices } = database;
  if (await choices.get('demo')) return;
  const midnight = new Date(now.getFullYear(), now.getMonth(), now.getDate()).getTime();
  const read = await file();
  if (!read) return;
  const rows = rowsOf(read, midnight);
  await database.transaction('rw', [sheets, log, book, choices], async () => {
    if (await choices.get('demo')) return;
    await choices.put({ key: 'demo', value: seededNow });
    if (!(await choices.get('room'))) await choices.put({ key: 'room', value: rows.room, demo: true });
    await sheets.bulkPut([...rows.sheets]);
    await book.bulkPut([...rows.book]);
    await log.bulkPut([...rows.log]);
  });
}
