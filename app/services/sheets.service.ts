import { inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { liveQuery } from 'dexie';
import { from, map, type Observable } from 'rxjs';
import { sheetSchema, type Sheet } from '../../core/index';
import { Database, type StoredSheet } from '../store/database';
import { freshId } from './fresh-id';

/** The saved sheets. Everything read from storage is validated; a record that is broken is left alone and not shown. */
@Injectable({ providedIn: 'root' })
export class SheetsService {
  private readonly database = inject(Database);

  /** All sheets, the last changed first; undefined until storage has answered. */
  readonly all$: Observable<readonly StoredSheet[]> = from(
    liveQuery(() => this.database.sheets.orderBy('changedAt').reverse().toArray()),
  ).pipe(map((stored) => stored.filter(({ sheet }) => sheetSchema.safeParse(sheet).success)));
  readonly all = toSignal(this.all$);

  async get(id: string): Promise<Sheet | null> {
    const stored = await this.database.sheets.get(id);
    const parsed = sheetSchema.safeParse(stored?.sheet);
    return parsed.success ? parsed.data : null;
  }

  /** Writes a sheet; whoever shows it as saved waits for this. */
  async put(sheet: Sheet): Promise<void> {
    await this.database.sheets.put({ id: sheet.id, changedAt: Date.now(), demo: false, sheet });
  }

  /** A copy under a name and id of its own. */
  async copy(sheet: Sheet): Promise<Sheet> {
    const copied = { ...sheet, id: freshId(), title: `${sheet.title} (copy)`.slice(0, 200) };
    await this.put(copied);
    return copied;
  }

  /** Takes a sheet out; the returned function puts it back as it was. */
  async remove(id: string): Promise<() => Promise<void>> {
    const stored = await this.database.sheets.get(id);
    await this.database.sheets.delete(id);
    return async () => {
      if (stored) await this.database.sheets.put(stored);
    };
  }

  /** Adds a sheet from a file; one that is already here is kept beside it, never written over. */
  async addImported(sheet: Sheet): Promise<Sheet> {
    const taken = await this.database.sheets.get(sheet.id);
    const added = taken ? { ...sheet, id: freshId() } : sheet;
    await this.put(added);
    return added;
  }
}
