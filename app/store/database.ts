import { inject, Injectable, InjectionToken } from '@angular/core';
import { Dexie, type Table } from 'dexie';
import type { BookEntry, LogEntry, Sheet, UnfinishedRun } from '../../core/index';

/** Name of the browser's database; specs give each test one of its own. */
export const databaseName = new InjectionToken<string>('database name', { factory: () => 'keen-tempo' });

/** A sheet as it is stored, with what the list needs to sort by. */
export interface StoredSheet {
  readonly id: string;
  readonly changedAt: number;
  readonly demo: boolean;
  readonly sheet: Sheet;
}

export interface StoredEntry {
  readonly id: string;
  readonly startedAt: number;
  readonly sheetId: string;
  readonly demo: boolean;
  readonly entry: LogEntry;
}

export interface StoredCombination {
  readonly id: string;
  readonly changedAt: number;
  readonly demo: boolean;
  readonly entry: BookEntry;
}

/** A remembered choice or draft, validated by whoever reads it. */
export interface StoredChoice {
  readonly key: string;
  readonly value: unknown;
}

/** A state of a sheet that undo or redo leads to, numbered in the order of the changes. */
export interface StoredStep {
  readonly sheetId: string;
  readonly number: number;
  readonly name: string;
  readonly sheet: Sheet;
}

/** Everything the application keeps, in the browser. */
@Injectable({ providedIn: 'root' })
export class Database extends Dexie {
  declare readonly sheets: Table<StoredSheet, string>;
  declare readonly log: Table<StoredEntry, string>;
  declare readonly book: Table<StoredCombination, string>;
  declare readonly steps: Table<StoredStep, [string, number]>;
  declare readonly choices: Table<StoredChoice, string>;
  declare readonly runs: Table<UnfinishedRun & { readonly key: 'current' }, string>;

  constructor() {
    super(inject(databaseName));
    this.version(1).stores({
      sheets: 'id, changedAt',
      log: 'id, startedAt, sheetId',
      book: 'id, changedAt',
      choices: 'key',
      runs: 'key',
    });
    this.version(2).stores({ steps: '[sheetId+number], sheetId' });
  }
}
