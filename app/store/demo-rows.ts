import { inSums } from '../workers/in-sums';
import type { Database } from './database';

/**
 * Puts the demo in, once in the life of this browser's storage. Its log counts what was planned, which the worker works out:
 * a first view needs none of that.
 */
export async function seedDemo(database: Database, now: Date): Promise<void> {
  const { sheets, log, book, choices } = database;
  if (await choices.get('demo')) return;
  const midnight = new Date(now.getFullYear(), now.getMonth(), now.getDate()).getTime();
  const rows = await inSums((sums) => sums.demoRows(midnight));
  await database.transaction('rw', [sheets, log, book, choices], async () => {
    if (await choices.get('demo')) return;
    await choices.put({ key: 'demo', value: 'seeded' });
    if (!(await choices.get('room'))) await choices.put({ key: 'room', value: rows.room, demo: true });
    await sheets.bulkPut([...rows.sheets]);
    await book.bulkPut([...rows.book]);
    await log.bulkPut([...rows.log]);
  });
}
