import { mergeSheets, sheetSchema, type Clash, type Sheet } from '../../core/index';
import type { Database, StoredSheet, StoredStep } from './database';
import { readSheet } from './read-sheet';
import type { SheetFigures } from './figures';

/** At least two hundred steps back; older ones are let go. */
export const mostSteps = 250;

/** A sheet as it was last known to be stored. */
export interface Known {
  readonly sheet: Sheet;
  readonly rev: number;
}

/** A changed sheet on its way into storage, as a step of its history. */
export interface SheetChange {
  readonly sheet: Sheet;
  /** What it was changed from. */
  readonly base: Known;
  readonly name: string;
  /** Number of the step that it goes on with (typing in one field), null where it is one of its own. */
  readonly goesOn: number | null;
  readonly figures?: SheetFigures | undefined;
}

/** How a change was written. */
export type Written =
  | {
      readonly kind: 'written';
      readonly known: Known;
      readonly step: number;
      /** Parts that another hand has changed, too. */
      readonly clashes: readonly Clash[];
    }
  /** Another hand has deleted it; nothing was written. */
  | { readonly kind: 'gone' };

const pointerKey = (id: string): string => `step ${id}`;
const revOf = (row: StoredSheet): number => row.rev ?? 0;

function stepsOf({ steps }: Database, id: string, from = 0, to = Infinity) {
  return steps.where('[sheetId+number]').between([id, from], [id, to], true, true);
}

async function pointerOf({ choices }: Database, id: string): Promise<number> {
  const value = (await choices.get(pointerKey(id)))?.value;
  return typeof value === 'number' ? value : -1;
}

function inOneGo<T>(database: Database, work: () => Promise<T>): Promise<T> {
  return database.transaction('rw', database.sheets, database.steps, database.choices, work);
}

/** Puts a step at a number; what could be redone behind it is gone, and so is what is too old. */
async function putStep(database: Database, step: StoredStep): Promise<void> {
  const { sheetId, number } = step;
  await stepsOf(database, sheetId, number + 1).delete();
  await stepsOf(database, sheetId, 0, number - mostSteps).delete();
  await database.steps.put(step);
  await database.choices.put({ key: pointerKey(sheetId), value: number });
}

/**
 * Writes a changed sheet and its step in one transaction. Where it was changed by another hand since, both changes are
 * brought together; of the same part this one stands, and the clash is told.
 */
export function writeChange(database: Database, change: SheetChange): Promise<Written> {
  const { sheet: mine, base, name, goesOn, figures } = change;
  return inOneGo(database, async (): Promise<Written> => {
    const { id } = mine;
    const row = await database.sheets.get(id);
    if (!row) return { kind: 'gone' };
    const pointer = await pointerOf(database, id);
    const changed = revOf(row) !== base.rev;
    const { value: sheet, clashes } = changed ? mergeSheets(base.sheet, mine, row.sheet) : { value: mine, clashes: [] };
    const rev = revOf(row) + 1;
    const own = sheet === mine && figures ? { figures } : {};
    await database.sheets.put({ id, changedAt: Date.now(), demo: false, sheet, rev, ...own });
    const step = goesOn !== null && goesOn === pointer && !changed ? pointer : pointer + 1;
    await putStep(database, { sheetId: id, number: step, name, sheet });
    return { kind: 'written', known: { sheet, rev }, step, clashes };
  });
}

/**
 * Goes to a kept step (undo, redo), if the history still stands where the caller takes it to stand; another hand's change in
 * the meantime goes first, and nothing is written.
 */
export function goToStep(database: Database, id: string, from: number, to: number): Promise<Known | null> {
  return inOneGo(database, async () => {
    const [row, step] = [await database.sheets.get(id), await database.steps.get([id, to])];
    const read = sheetSchema.safeParse(step?.sheet);
    if (!row || !read.success || (await pointerOf(database, id)) !== from) return null;
    const rev = revOf(row) + 1;
    await database.sheets.put({ id, changedAt: Date.now(), demo: false, sheet: read.data, rev });
    await database.choices.put({ key: pointerKey(id), value: to });
    return { sheet: read.data, rev };
  });
}

/** Puts a new sheet in, with a history that begins with it; one that was there under its id is put back as it stood. */
export function addSheet(database: Database, sheet: Sheet, figures?: SheetFigures): Promise<void> {
  return inOneGo(database, async () => {
    const row = await database.sheets.get(sheet.id);
    const rev = row ? revOf(row) + 1 : 1;
    await database.sheets.put({
      id: sheet.id,
      changedAt: Date.now(),
      demo: false,
      sheet,
      rev,
      ...(figures ? { figures } : {}),
    });
    await putStep(database, {
      sheetId: sheet.id,
      number: (await pointerOf(database, sheet.id)) + 1,
      name: '',
      sheet,
    });
    await letGoOfOthers(database);
  });
}

/** Histories of sheets that are gone are let go. */
async function letGoOfOthers({ sheets, steps }: Database): Promise<void> {
  const here = new Set(await sheets.toCollection().primaryKeys());
  const kept = await steps.orderBy('sheetId').uniqueKeys();
  const gone = kept.filter((id): id is string => typeof id === 'string' && !here.has(id));
  if (gone.length > 0) await steps.where('sheetId').anyOf(gone).delete();
}

/** States of a sheet with the place of the present one among them. */
export interface History {
  readonly known: Known;
  readonly steps: readonly StoredStep[];
  /** Index of the present state. */
  readonly at: number;
}

/**
 * A sheet with its history; null where there is none that can be read. A sheet that is not what its step says (as older
 * versions could leave it) is one step more: nothing that leads back from it is lost.
 */
export function openSheet(database: Database, id: string): Promise<History | null> {
  return inOneGo(database, async () => {
    const row = await database.sheets.get(id);
    const sheet = readSheet(row?.sheet);
    if (!row || !sheet) return null;
    const known = { sheet, rev: revOf(row) };
    const kept = await stepsOf(database, id).toArray();
    const pointer = await pointerOf(database, id);
    const at = kept.findLastIndex(({ number }) => number <= pointer);
    if (JSON.stringify(sheetSchema.safeParse(kept[at]?.sheet).data) === JSON.stringify(known.sheet))
      return { known, steps: kept, at };
    const next = { sheetId: id, number: (kept[at]?.number ?? -1) + 1, name: '', sheet: known.sheet };
    await putStep(database, next);
    return { known, steps: [...kept.slice(0, at + 1), next], at: at + 1 };
  });
}
