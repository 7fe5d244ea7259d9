import { inject, Injectable } from '@angular/core';
import { from, switchMap, type Observable } from 'rxjs';
import { addressSchema, type Sheet } from '../../core/index';
import type { StoredSheet } from '../store/database';
import type { History, Known, SheetChange, Written } from '../store/sheet-rows';
import { faultOf } from '../store/sound';
import { Store, type Held, type Outcome } from '../store/store';
import { freshId } from './fresh-id';

/** What is read and written of a sheet by its parts; a list of sheets needs none of it. */
const sheetRows = () => import('../store/sheet-rows');

/** What a new sheet is opened with: itself, and no step to go back to. It is stored as the first revision (`addSheet`). */
const newHistory = (sheet: Sheet): History => ({
  known: { sheet, rev: 1 },
  steps: [{ sheetId: sheet.id, number: 0, name: '', sheet }],
  at: 0,
});

const heldSheet = (sheet: Sheet): readonly Held[] => [
  { store: 'sheets', row: { id: sheet.id, changedAt: Date.now(), demo: false, sheet } },
];

const laneOf = (id: string): string => `sheet ${id}`;

/** Rows of a list from a place on, and how many there are in all. */
export interface Page<Row> {
  readonly rows: readonly Row[];
  readonly count: number;
}

/** The saved sheets. Everything read from storage is validated; a record that is broken is left alone and listed elsewhere. */
@Injectable({ providedIn: 'root' })
export class SheetsService {
  private readonly store = inject(Store);
  /** Storage that comes late may have what was not found. */
  readonly came = this.store.came.asReadonly();
  /** Sheets on their way into storage: they can be opened at once. */
  private readonly arriving = new Map<string, { readonly sheet: Sheet; readonly outcome: Promise<Outcome<void>> }>();

  /** Some sheets, the last changed first, from a place on, and how many there are in all. */
  page$(from: number, most: number): Observable<Page<StoredSheet>> {
    return this.store
      .watch(async ({ sheets }) => ({
        rows: await sheets.orderBy('changedAt').reverse().offset(from).limit(most).toArray(),
        count: await sheets.count(),
      }))
      .pipe(
        switchMap(async ({ rows, count }) => {
          const toLayOut = rows.some(({ figures }) => !figures);
          const workFault = toLayOut ? (await import('../store/read-sheet')).workFault : null;
          return { rows: rows.filter((row) => faultOf('sheets', row, row.figures ? null : workFault) === null), count };
        }),
      );
  }

  async get(id: string): Promise<Sheet | null> {
    const arriving = this.arriving.get(id);
    if (arriving) return arriving.sheet;
    const { readSheet } = await import('../store/read-sheet');
    return readSheet((await this.store.read(({ sheets }) => sheets.get(id)))?.sheet);
  }

  /** A sheet with its history; null where there is none that can be read. */
  async open(id: string): Promise<History | null> {
    const arriving = this.arriving.get(id);
    if (arriving) return newHistory(arriving.sheet);
    const { openSheet } = await sheetRows();
    return this.store.read((database) => openSheet(database, id));
  }

  /** A sheet as it is stored, not looked at yet, again with every change from this tab or another; undefined once it is deleted. */
  row$(id: string): Observable<StoredSheet | undefined> {
    const written = this.arriving.get(id)?.outcome.then((outcome) => outcome.written) ?? Promise.resolve();
    return from(written).pipe(switchMap(() => this.store.watch(({ sheets }) => sheets.get(id))));
  }

  /** Puts a sheet in; whoever shows it as saved waits for this. */
  add(sheet: Sheet): Promise<Outcome<void>> {
    return this.store.write(
      `“${sheet.title}”`,
      laneOf(sheet.id),
      async (database) => (await sheetRows()).addSheet(database, sheet),
      heldSheet(sheet),
    );
  }

  /** Puts a new sheet in, which can be opened at once: it is shown first, and written behind. */
  begin(sheet: Sheet): void {
    const outcome = this.add(sheet);
    this.arriving.set(sheet.id, { sheet, outcome });
    void outcome.then(({ written }) => written).then(() => this.arriving.delete(sheet.id));
  }

  /** How the writing of a new sheet goes that is not written yet; undefined where none is. */
  beginning(id: string): Promise<Outcome<void>> | undefined {
    return this.arriving.get(id)?.outcome;
  }

  /** Writes a change with its step of undo. */
  write(change: SheetChange): Promise<Outcome<Written>> {
    return this.store.write(
      `“${change.sheet.title}”`,
      laneOf(change.sheet.id),
      async (database) => (await sheetRows()).writeChange(database, change),
      heldSheet(change.sheet),
    );
  }

  /** Goes to a step that is kept; null where another hand was faster. */
  goTo(id: string, from: number, to: number): Promise<Outcome<Known | null>> {
    return this.store.write('undo history', laneOf(id), async (database) =>
      (await sheetRows()).goToStep(database, id, from, to),
    );
  }

  /** Changes a sheet that is not open here, as a step of its history. */
  async change(id: string, change: (sheet: Sheet) => Sheet, name: string): Promise<void> {
    const opened = await this.open(id);
    if (opened) await this.write({ sheet: change(opened.known.sheet), base: opened.known, name, goesOn: null });
  }

  /** A copy under a name and id of its own. */
  async copy(sheet: Sheet): Promise<Sheet> {
    const copied = { ...sheet, id: freshId(), title: `${sheet.title} (copy)`.slice(0, 200) };
    await this.add(copied);
    return copied;
  }

  /** Takes a sheet out; the returned function puts it back as it was. */
  async remove(id: string): Promise<() => Promise<void>> {
    const { written } = await this.store.write('a deletion', laneOf(id), async ({ sheets }) => {
      const stored = await sheets.get(id);
      await sheets.delete(id);
      return stored;
    });
    const stored = await written;
    return async () => {
      if (stored)
        await this.store.write(`“${stored.sheet.title}”`, laneOf(id), ({ sheets }) =>
          sheets.put({ ...stored, rev: (stored.rev ?? 0) + 1 }),
        );
    };
  }

  /** Adds a sheet from a file; one that is already here is kept beside it, and an id that is no address is made ours. */
  async addImported(sheet: Sheet): Promise<Sheet> {
    const taken = await this.store.read(({ sheets }) => sheets.get(sheet.id));
    const own = !taken && addressSchema.safeParse(sheet.id).success;
    const added = own ? sheet : { ...sheet, id: freshId() };
    await this.add(added);
    return added;
  }
}
