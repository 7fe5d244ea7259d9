import {
  programmePrefix,
  programmeSchema,
  readSettings,
  roomSchema,
  unfinishedRunSchema,
  workFault,
} from '../../core/index';
import { asidePrefix } from './choices';
import type { Database } from './database';
import { faultOf, whyNot, type LookedAt, type StoredRecord, type Unread } from './sound';

const titleOf = (value: unknown): string =>
  typeof value === 'object' && value !== null && 'title' in value && typeof value.title === 'string' ? value.title : '';

async function unreadRecords(database: Database, store: 'sheets' | 'log' | 'book'): Promise<Unread[]> {
  const rows: StoredRecord[] = await database.table<StoredRecord>(store).toArray();
  return rows.flatMap((row): Unread[] => {
    const why = faultOf(store, row, workFault);
    return why === null ? [] : [{ store, name: titleOf(row.sheet ?? row.entry) || row.id, why, row }];
  });
}

async function unreadRuns({ runs }: Database): Promise<Unread[]> {
  return (await runs.toArray()).flatMap((row): Unread[] => {
    const { key, ...run } = row;
    const why = whyNot(null, () => unfinishedRunSchema.safeParse(run));
    return why === null ? [] : [{ store: 'runs', name: titleOf(run.sheet) || key, why, row }];
  });
}

async function unreadChoices({ choices }: Database): Promise<Unread[]> {
  return (await choices.toArray()).flatMap((row): Unread[] => {
    const { key, value } = row;
    const of = (why: string | null): Unread[] => (why === null ? [] : [{ store: 'choices', name: key, why, row }]);
    if (key.startsWith(asidePrefix)) return of('another one replaced it; the old one is kept here');
    if (key === 'room') return of(whyNot(null, () => roomSchema.safeParse(value)));
    if (key.startsWith(programmePrefix)) return of(whyNot(null, () => programmeSchema.safeParse(value)));
    if (key !== 'settings') return [];
    const { unread } = readSettings(value);
    return of(unread.length > 0 ? `${unread.join(', ')}: not valid; the default is used instead` : null);
  });
}

/** All records of a store that cannot be read. */
export function unreadIn(database: Database, store: LookedAt): Promise<Unread[]> {
  if (store === 'runs') return unreadRuns(database);
  return store === 'choices' ? unreadChoices(database) : unreadRecords(database, store);
}
