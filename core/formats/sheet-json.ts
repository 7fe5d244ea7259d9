import { plainData } from '../plain-text';
import * as z from '../schemas';
import { sheetFormat, sheetSchema, sheetVersion, type Sheet } from '../sheet/schema';

/** A place in a file that is not as it should be. */
export interface Problem {
  /** `blocks[2].ms`, or empty for the file as a whole. */
  readonly path: string;
  readonly what: string;
}

/** What a file holds; `taken` counts characters that were removed since no text can hold them. */
export type FromFile<T> =
  | { readonly ok: true; readonly value: T; readonly taken?: number }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** More than any hand-made sheet; a bound on what a wrong file can cost. */
const mostCharacters = 20_000_000;

/** A Zod path as people read it. `sayPath(['blocks', 2, 'ms'])` → `blocks[2].ms` */
export function sayPath(path: readonly PropertyKey[]): string {
  return path.reduce<string>(
    (said, key) => (typeof key === 'number' ? `${said}[${key}]` : said ? `${said}.${String(key)}` : String(key)),
    '',
  );
}

/** JSON text of at most so many characters as data, nothing judged yet. `parseJson('{')` is refused: this is not JSON */
export function parseJson(text: string, most = mostCharacters): FromFile<unknown> {
  if (text.length > most) return { ok: false, problems: [{ path: '', what: 'the file is too large' }] };
  try {
    // Some editors put a byte order mark first; RFC 8259, section 8.1, lets a reader ignore it.
    return { ok: true, value: JSON.parse(text.replace(/^\uFEFF/, '')) };
  } catch (thrown) {
    return {
      ok: false,
      problems: [{ path: '', what: `this is not JSON (${thrown instanceof Error ? thrown.message : 'unreadable'})` }],
    };
  }
}

/** Judges data by a schema; a refusal names every path that is wrong. */
function judge<T>(data: unknown, schema: z.ZodMiniType<T>): FromFile<T> {
  const plain = plainData(data);
  const parsed = schema.safeParse(plain.data);
  if (parsed.success) return { ok: true, value: parsed.data, ...(plain.taken > 0 ? { taken: plain.taken } : {}) };
  return {
    ok: false,
    problems: parsed.error.issues.map((issue) => ({ path: sayPath(issue.path), what: issue.message })),
  };
}

/** Reads JSON text of at most so many characters against a schema; a refusal names every path that is wrong. */
export function readJson<T>(text: string, schema: z.ZodMiniType<T>, most = mostCharacters): FromFile<T> {
  const data = parseJson(text, most);
  return data.ok ? judge(data.value, schema) : data;
}

const versioned = z.looseObject({ format: z.string(), version: z.number() });

/** A file of one of our formats: its name, the newest version that is read, and what people call it. */
interface Format<T> {
  readonly name: string;
  readonly version: number;
  readonly schema: z.ZodMiniType<T>;
  readonly thing: string;
}

/** Reads data of one of our formats: its name and version are looked at first, so that a newer one is called newer. */
export function readVersioned<T>(data: unknown, { name, version, schema, thing }: Format<T>): FromFile<T> {
  const head = judge(data, versioned);
  if (!head.ok) return head;
  const { format, version: written } = head.value;
  if (format !== name)
    return {
      ok: false,
      problems: [{ path: 'format', what: `"${format.slice(0, 60)}" is not a ${thing}; expected "${name}"` }],
    };
  if (written > version)
    return {
      ok: false,
      problems: [
        {
          path: 'version',
          what: `version ${written} is newer than this version of Keen Tempo, which reads up to ${version}; please update`,
        },
      ],
    };
  return judge(data, schema);
}

/**
 * Reads a sheet's file. Refused with the wrong paths where it is malformed, of another kind, or newer than this
 * program; nothing else happens then.
 */
export function readSheetJson(text: string): FromFile<Sheet> {
  const data = parseJson(text);
  if (!data.ok) return data;
  return readVersioned(data.value, { name: sheetFormat, version: sheetVersion, schema: sheetSchema, thing: 'sheet' });
}

/** A sheet as it is exported: indented JSON with a line end, UTF-8 (RFC 8259). */
export function writeSheetJson(sheet: Sheet): string {
  return `${JSON.stringify(sheet, null, 2)}\n`;
}
