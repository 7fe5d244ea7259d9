import type { LogEntry } from '../../core/index';
import type { Database, StoredEntry } from './database';
import { faultOf } from './sound';
import type { Held } from './store';

/** Puts an entry in. */
export async function writeEntry({ log }: Database, entry: LogEntry): Promise<void> {
  const row = await log.get(entry.id);
  const { id, startedAt, sheetId } = entry;
  await log.put({ id, startedAt, sheetId, demo: false, entry, rev: (row?.rev ?? 0) + 1 });
}

/** An entry as it waits to be written. */
export const heldEntry = (entry: LogEntry): readonly Held[] => {
  const { id, startedAt, sheetId } = entry;
  return [{ store: 'log', row: { id, startedAt, sheetId, demo: false, entry } }];
};

/** Writes of one entry go one after the other, the first one too. */
export const entryLane = (id: string): string => `entry ${id}`;

/** Entries that can be read; what cannot is left alone, and listed elsewhere. */
export const readable = (rows: readonly StoredEntry[]): readonly LogEntry[] =>
  rows.flatMap((row) => (faultOf('log', row) === null ? [row.entry] : []));
