import type { Database, StoredChoice } from './database';

/** Rows under such a key were put aside, because they could not be read or another one took their place. */
export const asidePrefix = 'aside ';

/** Puts a record aside under a key of its own, as it is, so that what comes in its place does not lose it. */
async function putAside({ choices }: Database, row: StoredChoice): Promise<void> {
  await choices.put({ key: `${asidePrefix}${row.key} ${Date.now()}`, value: row.value });
}

/**
 * Changes one choice by what is stored at that moment, in one transaction; one that `isSound` does not know is put aside
 * first. Gives the row as it was.
 * @example await changeChoice(database, 'settings', (old) => ({ ...old, look: 'dark' }))
 */
export function changeChoice(
  database: Database,
  key: string,
  change: (old: unknown) => unknown,
  isSound: (value: unknown) => boolean = () => true,
): Promise<StoredChoice | undefined> {
  const { choices } = database;
  return database.transaction('rw', choices, async () => {
    const row = await choices.get(key);
    const sound = row !== undefined && isSound(row.value);
    if (row && !sound) await putAside(database, row);
    await choices.put({ key, value: change(sound ? row.value : undefined), rev: (row?.rev ?? 0) + 1 });
    return row;
  });
}
