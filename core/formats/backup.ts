import * as z from '../schemas';
import { logEntrySchema } from '../log/log-entry';
import { alike } from '../merging/alike';
import { bookEntrySchema } from '../sheet/book';
import { programmePrefix, programmeSchema } from '../sheet/programme';
import { roomSchema } from '../sheet/room';
import { sheetSchema } from '../sheet/schema';
import { parseJson, readVersioned, type FromFile } from './sheet-json';

/** The format's name in every backup, and the version that is written (docs/formats/backup.md). */
export const backupFormat = 'keen-tempo/backup';
export const backupVersion = 1;
/** 7 200 entries make a little over 20 million: room for far more than ten years, and less than a browser's longest text. */
export const mostBackupCharacters = 400_000_000;

const kept = {
  id: z.string().check(z.minLength(1), z.maxLength(64)),
  demo: z.boolean(),
  rev: z.optional(z.int().check(z.gte(0))),
};

const sheetRow = z.looseObject({ ...kept, changedAt: z.number(), sheet: sheetSchema });
const logRow = z.looseObject({ ...kept, startedAt: z.number(), sheetId: z.string(), entry: logEntrySchema });
const bookRow = z.looseObject({ ...kept, changedAt: z.number(), entry: bookEntrySchema });
const choiceRow = z.looseObject({ key: z.string().check(z.minLength(1)), value: z.unknown() }).check(
  z.refine(({ key, value }) => key !== 'room' || roomSchema.safeParse(value).success, {
    path: ['value'],
    error: 'this is not a room',
  }),
  z.refine(({ key, value }) => !key.startsWith(programmePrefix) || programmeSchema.safeParse(value).success, {
    path: ['value'],
    error: 'this is not a programme',
  }),
);

/** A record that could not be read when the backup was made: it is kept as it is. */
const unreadRow = z.strictObject({ store: z.enum(['sheets', 'log', 'book', 'choices']), row: z.unknown() });

const content = z.strictObject({
  sheets: z.array(sheetRow),
  log: z.array(logRow),
  book: z.array(bookRow),
  choices: z.array(choiceRow).check(z.describe('settings, phrasebook, room, half-typed text and other preferences')),
  unread: z.array(unreadRow),
});

const backupSchema = z.strictObject({
  format: z.literal(backupFormat),
  version: z.literal(backupVersion),
  madeAt: z.iso.datetime(),
  checksum: z
    .string()
    .check(z.regex(/^[0-9a-f]{64}$/), z.describe('SHA-256 of the content as JSON without spaces, UTF-8')),
  content,
});

export type BackupContent = z.infer<typeof content>;
export type Backup = z.infer<typeof backupSchema>;

/**
 * The text that a backup's checksum is of, a record at a time: ten years need not be one text in memory.
 * @example [...contentPieces({ sheets: [], log: [{ id: 'a' }] })].join('') // '{"sheets":[],"log":[{"id":"a"}]}'
 */
export function* contentPieces(content: object): Generator<string> {
  let before = '{';
  for (const [key, value] of Object.entries(content) as [string, unknown][]) {
    yield `${before}${JSON.stringify(key)}:`;
    before = ',';
    if (Array.isArray(value)) yield* listPieces(value);
    else yield JSON.stringify(value);
  }
  yield before === '{' ? '{}' : '}';
}

function* listPieces(rows: readonly unknown[]): Generator<string> {
  if (rows.length === 0) yield '[]';
  for (const [index, row] of rows.entries())
    yield `${index === 0 ? '[' : ','}${JSON.stringify(row)}${index === rows.length - 1 ? ']' : ''}`;
}

/**
 * A backup as text, in pieces; `checksum` is the SHA-256 of the content's pieces in hex.
 * @example [...backupPieces(content, new Date(), checksum)].join('') // '{"format":"keen-tempo/backup", …'
 */
export function* backupPieces(content: BackupContent, madeAt: Date, checksum: string): Generator<string> {
  const head = JSON.stringify({ format: backupFormat, version: backupVersion, madeAt: madeAt.toISOString(), checksum });
  yield `${head.slice(0, -1)},"content":`;
  yield* contentPieces(content);
  yield '}';
}

/** A backup that was read, with its content as it stands in the file: that is what its checksum was taken of. */
export interface ReadBackup extends Backup {
  readonly stored: object;
}

/**
 * Reads a backup's text; refused with its paths where it is none, is newer, or holds what cannot be read.
 * @example readBackup('{').ok // false
 */
export function readBackup(text: string): FromFile<ReadBackup> {
  const data = parseJson(text, mostBackupCharacters);
  if (!data.ok) return data;
  const format = { name: backupFormat, version: backupVersion, schema: backupSchema, thing: 'backup' };
  const read = readVersioned(data.value, format);
  return read.ok ? { ...read, value: { ...read.value, stored: (data.value as { content: object }).content } } : read;
}

/** How records that come in stand to those that are there. */
export interface Sorted<Row> {
  readonly fresh: readonly Row[];
  readonly same: readonly Row[];
  /** Under the name of another one that is there. */
  readonly different: readonly Row[];
}

/**
 * Sorts records that come in by those that are there; `of` takes what counts of a record (not its revision, say).
 * @example sortOut(there, coming, ({ id }) => id, ({ sheet }) => sheet).fresh
 */
export function sortOut<Row>(
  there: readonly Row[],
  coming: readonly Row[],
  nameOf: (row: Row) => string,
  of: (row: Row) => unknown,
): Sorted<Row> {
  const known = new Map(there.map((row) => [nameOf(row), row]));
  const [fresh, same, different]: [Row[], Row[], Row[]] = [[], [], []];
  for (const row of coming) {
    const old = known.get(nameOf(row));
    (old === undefined ? fresh : alike(of(old), of(row)) ? same : different).push(row);
  }
  return { fresh, same, different };
}
