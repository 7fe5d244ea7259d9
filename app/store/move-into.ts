import type { Table } from 'dexie';
import { alike } from '../../core/index';
import { freshId } from '../services/fresh-id';
import type { Database } from './database';

interface Row {
  readonly id: string;
  readonly demo: boolean;
}

/** A record under an id of its own, inside as well. */
function renamed<T extends Row>(row: T, id: string): T {
  if ('sheet' in row) return { ...row, id, sheet: { ...(row.sheet as object), id } };
  return 'entry' in row ? { ...row, id, entry: { ...(row.entry as object), id } } : { ...row, id };
}

/** Puts rows beside those that are there: the same ones are left, others under a taken id get one of their own. */
async function moveRows<T extends Row>(to: Table<T, string>, from: Table<T, string>): Promise<void> {
  // What was never touched of the demo is there already, or was cleared.
  const rows = await from.filter(({ demo }) => !demo).toArray();
  const there = await to.bulkGet(rows.map(({ id }) => id));
  await to.bulkPut(
    rows.flatMap((row, at) => {
      const old = there[at];
      if (!old || old.demo) return [row];
      return alike(old, row) ? [] : [renamed(row, freshId())];
    }),
  );
}

/**
 * Moves what a tab without storage has kept to the device, once the device answers again. Nothing that is there is
 * overwritten: choices that were made in the tab are put beside the others, and a room that differs keeps the old one aside.
 */
export async function moveInto(disk: Database, memory: Database): Promise<void> {
  const { sheets, log, book, choices, runs } = disk;
  const [kept, unfinished] = [await memory.choices.toArray(), await memory.runs.toArray()];
  await moveRows(sheets, memory.sheets);
  await moveRows(log, memory.log);
  await moveRows(book, memory.book);
  await runs.bulkPut(unfinished);
  await disk.transaction('rw', choices, async () => {
    for (const { key, value, demo } of kept) {
      const old = await choices.get(key);
      if (demo || key.startsWith('step ') || (old && alike(old.value, value))) continue;
      if (key === 'settings' && old) {
        await choices.put({ ...old, value: { ...(old.value as object), ...(value as object) } });
        continue;
      }
      if (old && key === 'room') await choices.put({ key: `aside room ${Date.now()}`, value: old.value });
      if (!old || key === 'room') await choices.put({ key, value, rev: (old?.rev ?? 0) + 1 });
    }
  });
}
