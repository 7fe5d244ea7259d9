import type { DexieOptions, Table } from 'dexie';
import { Dexie } from 'dexie/dist/modern/dexie.mjs';
import type { SheetFigures } from './figures';
import type { BookEntry, Digest, LogEntry, Sheet, UnfinishedRun } from '../../core/index';

/** What every record carries beside its content. */
interface Kept {
  readonly id: string;
  readonly demo: boolean;
  /** Counted up with every change, and compared in the transaction that writes; none in records of older versions. */
  readonly rev?: number;
}

/** A sheet as it is stored, with what the list needs to sort by. */
export interface StoredSheet extends Kept {
  readonly changedAt: number;
  readonly sheet: Sheet;
  /** Of this very state; none until they have been worked out. */
  readonly figures?: SheetFigures;
}

export interface StoredEntry extends Kept {
  readonly startedAt: number;
  readonly sheetId: string;
  readonly entry: LogEntry;
}

export interface StoredCombination extends Kept {
  readonly changedAt: number;
  readonly entry: BookEntry;
}

/** A remembered choice or draft, validated by whoever reads it. */
export interface StoredChoice {
  readonly key: string;
  readonly value: unknown;
  readonly rev?: number;
  /** Put there with the demo, and never changed. */
  readonly demo?: boolean;
}

/** A state of a sheet that undo or redo leads to, numbered in the order of the changes. */
export interface StoredStep {
  readonly sheetId: string;
  readonly number: number;
  readonly name: string;
  readonly sheet: Sheet;
}

/** Words of the coach's own as they were spoken once: samples of 16 bits at the pack's rate. Made anew at any time, so in no backup. */
export interface StoredClip {
  /** Voice, and the words as they were given to the synthesiser. */
  readonly key: string;
  readonly samples: Int16Array<ArrayBuffer>;
}

/** What an entry of the log comes to. Made anew at any time, so in no backup. */
export interface StoredDigest {
  readonly id: string;
  /** Of the entry that it was made of. */
  readonly rev: number;
  /** How digests were made then. */
  readonly made: number;
  readonly digest: Digest;
  /** What a search looks at, in small letters. */
  readonly words: string;
}

/** A run that is not over, by a key of its own, so that two of them do not replace each other. */
export type StoredRun = UnfinishedRun & { readonly key: string };

/** Everything the application keeps, in the browser; with `options` in another place than the browser's own. */
export class Database extends Dexie {
  declare readonly sheets: Table<StoredSheet, string>;
  declare readonly log: Table<StoredEntry, string>;
  declare readonly book: Table<StoredCombination, string>;
  declare readonly steps: Table<StoredStep, [string, number]>;
  declare readonly choices: Table<StoredChoice, string>;
  declare readonly clips: Table<StoredClip, string>;
  declare readonly runs: Table<StoredRun, string>;
  declare readonly digests: Table<StoredDigest, string>;

  constructor(name: string, options?: DexieOptions) {
    super(name, options);
    this.version(1).stores({
      sheets: 'id, changedAt',
      log: 'id, startedAt, sheetId',
      book: 'id, changedAt',
      choices: 'key',
      runs: 'key',
    });
    this.version(2).stores({ steps: '[sheetId+number], sheetId' });
    // The last run of a sheet is found without reading the others.
    this.version(3).stores({ log: 'id, startedAt, sheetId, [sheetId+startedAt]' });
    // The log is ordered by what was done without reading all of it.
    this.version(4).stores({
      log: 'id, startedAt, sheetId, [sheetId+startedAt], entry.title, entry.done.ms, entry.done.rounds, entry.done.punches',
    });
    this.version(5).stores({ clips: 'key' });
    // Which entries have changed is seen without reading them; entries of older versions had no count of their changes.
    this.version(6)
      .stores({ log: 'id, startedAt, sheetId, [sheetId+startedAt], [id+rev]', digests: 'id' })
      .upgrade((change) =>
        change
          .table<StoredEntry>('log')
          .toCollection()
          .modify((row: { rev?: number }) => void (row.rev ??= 1)),
      );
    // By the count alone thousands of keys come at once; by both, each was a step of its own.
    this.version(7).stores({ log: 'id, startedAt, sheetId, [sheetId+startedAt], rev' });
  }
}
