import * as z from 'zod/mini';
import { logEntrySchema, unfinishedRunSchema, type LogEntry, type UnfinishedRun } from '../../core/index';
import type { StoredRun } from '../store/database';

/** Where a run stands, in few words. */
const noteSchema = z.extend(z.pick(unfinishedRunSchema, { at: true, breaksPassed: true, deeds: true, seen: true }), {
  /** Deeds before those that the note holds. */
  before: z.int().check(z.gte(0)),
});
type Note = z.infer<typeof noteSchema>;

const standsKey = (key: string): string => `keen-tempo run ${key}`;
const endPrefix = 'keen-tempo ended run ';
/** Deeds that a note holds; the others are in storage already. */
const notedDeeds = 200;

/** Writes, or removes where there is no value. Without this storage a run is taken up where the database last had it. */
function set(name: string, value: unknown): void {
  try {
    if (value === null) localStorage.removeItem(name);
    else localStorage.setItem(name, JSON.stringify(value));
  } catch {
    // Forbidden or full: the database has the run, only a little older.
  }
}

function get<T>(name: string, schema: z.ZodMiniType<T>): T | null {
  try {
    const read = schema.safeParse(JSON.parse(localStorage.getItem(name) ?? 'null'));
    return read.success ? read.data : null;
  } catch {
    return null;
  }
}

function names(): readonly string[] {
  try {
    return Object.keys(localStorage);
  } catch {
    return [];
  }
}

/** Where a run stands, and how it ended: written at once, since the database may miss what is done just before a page is left. */
export const runNotes = {
  keep(key: string, { at, breaksPassed, deeds, seen }: UnfinishedRun): void {
    const last = deeds.slice(-notedDeeds);
    set(standsKey(key), { at, breaksPassed, seen, deeds: last, before: deeds.length - last.length });
  },

  drop: (key: string): void => set(standsKey(key), null),

  /** A stored run with what its note knows better; null where it cannot be read. */
  with({ key, ...row }: StoredRun): UnfinishedRun | null {
    const read = unfinishedRunSchema.safeParse(row);
    if (!read.success) return null;
    const run = read.data;
    const note = get<Note>(standsKey(key), noteSchema);
    if (!note || note.before > run.deeds.length) return run;
    const deeds = [...run.deeds.slice(0, note.before), ...note.deeds];
    const { at, breaksPassed, seen } = note;
    return deeds.length > run.deeds.length ? { ...run, at, breaksPassed, seen, deeds } : run;
  },

  /** Until the database has the entry of a run that is over. */
  keepEnd: (key: string, entry: LogEntry): void => set(endPrefix + key, entry),

  dropEnd: (key: string): void => set(endPrefix + key, null),

  /** The entry of a run that is over and may not be in the database yet. */
  ended: (key: string): LogEntry | null => get<LogEntry>(endPrefix + key, logEntrySchema),

  /** Runs that are over, by their keys, whose entries may not be in the database yet. */
  allEnded: (): readonly (readonly [string, LogEntry])[] =>
    names()
      .filter((name) => name.startsWith(endPrefix))
      .flatMap((name) => {
        const [key, entry] = [name.slice(endPrefix.length), get<LogEntry>(name, logEntrySchema)];
        return entry ? [[key, entry] as const] : [];
      }),
};
