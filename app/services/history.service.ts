import { inject, Injectable } from '@angular/core';
import type { Collection } from 'dexie';
import { sheetSchema, type Sheet } from '../../core/index';
import { Database, type StoredStep } from '../store/database';

/** States of a sheet with the place of the present one among them. */
export interface History {
  readonly steps: readonly StoredStep[];
  /** Index of the present state. */
  readonly at: number;
}

/** At least two hundred steps back; older ones are let go. */
export const mostSteps = 250;

/** The changes of each sheet, kept so that undo survives a reload. One row a change: a write costs one state. */
@Injectable({ providedIn: 'root' })
export class HistoryService {
  private readonly database = inject(Database);

  /** The states kept for a sheet as it is read from storage, null where they do not lead to the sheet as it is stored. Whoever goes to one validates it. */
  async get(sheet: Sheet): Promise<History | null> {
    const rows = await this.rows(sheet.id).toArray();
    const pointer = (await this.database.choices.get(this.key(sheet.id)))?.value;
    const at = rows.findIndex(({ number }) => number === pointer);
    const now = rows[at];
    const kept = sheetSchema.safeParse(now?.sheet);
    if (!kept.success || JSON.stringify(kept.data) !== JSON.stringify(sheet)) return null;
    return { steps: rows, at };
  }

  private rows(sheetId: string, from = 0): Collection<StoredStep, [string, number]> {
    return this.database.steps.where('[sheetId+number]').between([sheetId, from], [sheetId, Infinity]);
  }

  /** Keeps a state under its number; everything behind it is gone, and so is what is too old. */
  async put(number: number, name: string, sheet: Sheet): Promise<void> {
    const { steps, choices } = this.database;
    await this.database.transaction('rw', steps, choices, async () => {
      await this.rows(sheet.id, number + 1).delete();
      await steps
        .where('[sheetId+number]')
        .between([sheet.id, 0], [sheet.id, number - mostSteps])
        .delete();
      await steps.put({ sheetId: sheet.id, number, name, sheet });
      await choices.put({ key: this.key(sheet.id), value: number });
    });
  }

  /** Begins a history anew; those of sheets that are gone are let go. */
  async begin(sheet: Sheet): Promise<void> {
    await this.put(0, '', sheet);
    const { sheets, steps } = this.database;
    const [here, kept] = await Promise.all([
      sheets.toCollection().primaryKeys(),
      steps.orderBy('sheetId').uniqueKeys(),
    ]);
    const gone = kept.filter((id): id is string => typeof id === 'string' && !here.includes(id));
    await steps.where('sheetId').anyOf(gone).delete();
  }

  /** Remembers which of the kept states is the present one. */
  async goTo(sheetId: string, number: number): Promise<void> {
    await this.database.choices.put({ key: this.key(sheetId), value: number });
  }

  private key(sheetId: string): string {
    return `step ${sheetId}`;
  }
}
