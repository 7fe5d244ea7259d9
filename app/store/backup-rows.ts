import {
  programmePrefix,
  programmeSchema,
  roomSchema,
  sortOut,
  type BackupContent,
  type Sorted,
} from '../../core/index';
import { freshId } from '../services/fresh-id';
import type { Database, StoredChoice, StoredCombination, StoredEntry, StoredSheet } from './database';
import { faultOf } from './sound';
import type { Held } from './store';

/** Where undo stands belongs to the steps, which no backup holds. */
const isKept = ({ key }: StoredChoice): boolean => !key.startsWith('step ');

/** Every row of every store but undo steps and unfinished runs. */
export interface Rows {
  readonly sheets: readonly StoredSheet[];
  readonly log: readonly StoredEntry[];
  readonly book: readonly StoredCombination[];
  readonly choices: readonly StoredChoice[];
}

/** Reads all rows at one moment. */
export function allRows(database: Database): Promise<Rows> {
  const { sheets, log, book, choices } = database;
  return database.transaction('r', sheets, log, book, choices, async () => ({
    sheets: await sheets.toArray(),
    log: await log.toArray(),
    book: await book.toArray(),
    choices: (await choices.toArray()).filter(isKept),
  }));
}

const noRows: Rows = { sheets: [], log: [], book: [], choices: [] };

/** Stored rows with those that wait to be written, which go first; without storage, those alone. */
export function withHeld(stored: Rows | null, held: readonly Held[]): Rows {
  const rows = stored ?? noRows;
  const put = <Row extends { readonly id: string }>(all: readonly Row[], waiting: readonly Row[]): Row[] => {
    const last = new Map(waiting.map((row) => [row.id, row]));
    return [...all.filter(({ id }) => !last.has(id)), ...last.values()];
  };
  return {
    ...rows,
    sheets: put(
      rows.sheets,
      held.flatMap((each) => (each.store === 'sheets' ? [each.row] : [])),
    ),
    log: put(
      rows.log,
      held.flatMap((each) => (each.store === 'log' ? [each.row] : [])),
    ),
  };
}

const readable = {
  sheets: (row: StoredSheet) => faultOf('sheets', row) === null,
  log: (row: StoredEntry) => faultOf('log', row) === null,
  book: (row: StoredCombination) => faultOf('book', row) === null,
  choices: ({ key, value }: StoredChoice) =>
    key.startsWith(programmePrefix)
      ? programmeSchema.safeParse(value).success
      : key !== 'room' || roomSchema.safeParse(value).success,
};

/** Rows as a backup holds them: what cannot be read stands apart, as it is. */
export function contentOf(rows: Rows): BackupContent {
  const unread: BackupContent['unread'] = [];
  const sound = <Row>(store: keyof Rows, all: readonly Row[], isSound: (row: Row) => boolean): Row[] =>
    all.filter((row) => {
      const good = isSound(row);
      if (!good) unread.push({ store, row });
      return good;
    });
  const plain = {
    sheets: sound('sheets', rows.sheets, readable.sheets),
    log: sound('log', rows.log, readable.log),
    book: sound('book', rows.book, readable.book),
    choices: sound('choices', rows.choices, readable.choices),
  };
  // Through JSON once: what a file cannot hold (undefined fields) is no difference later.
  return JSON.parse(JSON.stringify({ ...plain, unread })) as BackupContent;
}

const isName = (value: unknown): boolean => typeof value === 'string' && value !== '';

/** Whether an unreadable row can be stored at all: it has the name that its store goes by. */
const canBeStored = ({ store, row }: BackupContent['unread'][number]): boolean =>
  typeof row === 'object' &&
  row !== null &&
  (store === 'choices' ? 'key' in row && isName(row.key) : 'id' in row && isName(row.id));

/** How many of a backup's unreadable rows cannot be stored, since they have no name. */
export const namelessIn = ({ unread }: BackupContent): number => unread.filter((each) => !canBeStored(each)).length;

/** The rows that a backup holds, the unreadable ones among them. */
export function rowsOf({ unread, ...content }: BackupContent): Rows {
  const raw = <Row>(store: keyof Rows): Row[] =>
    unread.filter((each) => each.store === store && canBeStored(each)).map(({ row }) => row as Row);
  return {
    sheets: [...(content.sheets as StoredSheet[]), ...raw<StoredSheet>('sheets')],
    log: [...(content.log as StoredEntry[]), ...raw<StoredEntry>('log')],
    book: [...(content.book as StoredCombination[]), ...raw<StoredCombination>('book')],
    choices: [...(content.choices as StoredChoice[]), ...raw<StoredChoice>('choices')],
  };
}

/** What a restore will do, store by store. */
export interface RestorePlan {
  readonly sheets: Sorted<StoredSheet>;
  readonly log: Sorted<StoredEntry>;
  readonly book: Sorted<StoredCombination>;
  readonly choices: Sorted<StoredChoice>;
}

/** A record under a new id, as it comes beside the one that has its id; what cannot be read stays as it is. */
const beside = {
  sheet: ({ figures: _, ...row }: StoredSheet, id: string): StoredSheet =>
    readable.sheets(row)
      ? { ...row, id, sheet: { ...row.sheet, id, title: `${row.sheet.title} (backup)`.slice(0, 200) } }
      : { ...row, id },
  entry: <Row extends StoredEntry | StoredCombination>(row: Row, id: string): Row =>
    typeof row.entry === 'object' && row.entry !== null ? { ...row, id, entry: { ...row.entry, id } } : { ...row, id },
};

/** What has come beside another one before, from the same backup, is there already. */
function withoutAgain<Row>(
  { fresh, same, different }: Sorted<Row>,
  there: readonly Row[],
  contentOfRow: (row: Row) => unknown,
  put: (row: Row, id: string) => Row,
): Sorted<Row> {
  if (different.length === 0) return { fresh, same, different };
  const nameless = (row: Row): string => JSON.stringify(contentOfRow(put(row, '')));
  const contents = new Set(there.map((row) => JSON.stringify(blank(contentOfRow(row)))));
  const isThere = (row: Row): boolean => contents.has(nameless(row));
  return {
    fresh,
    same: [...same, ...different.filter(isThere)],
    different: different.filter((row) => !isThere(row)),
  };
}

const blank = (content: unknown): unknown =>
  typeof content === 'object' && content !== null && 'id' in content ? { ...content, id: '' } : content;

/** Compares what a backup holds with what is there. */
export function planRestore(there: Rows, coming: Rows): RestorePlan {
  const byId = ({ id }: { readonly id: string }): string => id;
  const [ofSheet, ofEntry] = [({ sheet }: StoredSheet) => sheet, ({ entry }: { readonly entry: unknown }) => entry];
  return {
    sheets: withoutAgain(sortOut(there.sheets, coming.sheets, byId, ofSheet), there.sheets, ofSheet, beside.sheet),
    log: withoutAgain(sortOut(there.log, coming.log, byId, ofEntry), there.log, ofEntry, beside.entry),
    book: withoutAgain(sortOut(there.book, coming.book, byId, ofEntry), there.book, ofEntry, beside.entry),
    choices: sortOut(
      there.choices,
      coming.choices,
      ({ key }) => key,
      ({ value }) => value,
    ),
  };
}

function allTables(database: Database) {
  const { sheets, log, book, choices, digests } = database;
  return [sheets, log, book, choices, digests] as const;
}

/** Entries as they are stored: each with a count of its changes, by which what is derived from it is told to be old. */
const counted = (row: StoredEntry): StoredEntry => ({ ...row, rev: row.rev ?? 1 });

/** Puts rows in place of everything that is there. */
export function replaceRows(database: Database, { sheets, log, book, choices }: Rows): Promise<void> {
  return database.transaction('rw', allTables(database), async () => {
    await Promise.all([database.sheets.clear(), database.log.clear(), database.book.clear(), database.digests.clear()]);
    // Undo stays: a sheet that is another one now is one step more, and steps of sheets that are gone are let go later.
    await database.choices.filter(isKept).delete();
    await database.sheets.bulkPut([...sheets]);
    await database.log.bulkPut(log.map(counted));
    await database.book.bulkPut([...book]);
    await database.choices.bulkPut([...choices]);
  });
}

/** Adds what is new; what differs comes beside what is there, under an id of its own, and of choices what is there stays. */
export function mergeRows(database: Database, plan: RestorePlan): Promise<void> {
  return database.transaction('rw', allTables(database), async () => {
    const { sheets, log, book, choices } = plan;
    await database.sheets.bulkPut([...sheets.fresh, ...sheets.different.map((row) => beside.sheet(row, freshId()))]);
    await database.log.bulkPut(
      [...log.fresh, ...log.different.map((row) => beside.entry(row, freshId()))].map(counted),
    );
    await database.book.bulkPut([...book.fresh, ...book.different.map((row) => beside.entry(row, freshId()))]);
    await database.choices.bulkPut([...choices.fresh]);
  });
}
