import * as z from '../schemas';
import { logEntrySchema } from '../log/log-entry';
import { alike } from '../merging/alike';
import { bookEntrySchema } from '../sheet/book';
import { programmePrefix, programmeSchema } from '../sheet/programme';
import { roomSchema } from '../sheet/room';
import { sheetSchema } from '../sheet/schema';
import { readVersioned, type FromFile } from './sheet-json';

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

/** The text that a backup's checksum is of. */
export function checkedText(content: BackupContent): string {
  return JSON.stringify(content);
}

/** A backup as text; `checksum` is the SHA-256 of `checkedText(content)` in hex. */
export function writeBackup(content: BackupContent, madeAt: Date, checksum: string): string {
  return JSON.stringify({
    format: backupFormat,
    version: backupVersion,
    madeAt: madeAt.toISOString(),
    checksum,
    content,
  });
}

/** Reads a backup's text; refused with its paths where it is none, is newer, or holds what cannot be read. */
export function readBackup(text: string): FromFile<Backup> {
  return readVersioned(text, backupFormat, backupVersion, backupSchema, 'backup', mostBackupCharacters);
}

/** The stored content that a checksum was taken of: as it stands in the file, before anything is brought up to date. */
export function contentIn(text: string): string | null {
  try {
    const data = JSON.parse(text) as { readonly content?: unknown };
    return JSON.stringify(data.content) ?? null;
  } catch {
    return null;
  }
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
