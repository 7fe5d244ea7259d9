import { inject, Injectable } from '@angular/core';
import { map, type Observable, switchMap } from 'rxjs';
import type { LogEntry, UnfinishedRun } from '../../core/index';
import type { Database, StoredRun } from '../store/database';
import { entryLane, heldEntry, writeEntry } from '../store/log-rows';
import { Store, type Outcome } from '../store/store';
import { runNotes } from './run-notes';

/** A run that was broken off, by its key. */
export interface BrokenOff {
  readonly key: string;
  readonly run: UnfinishedRun;
}

const laneOf = (key: string): string => `run ${key}`;
const lockName = (key: string): string => `keen-tempo run ${key}`;
/** Where the browser has no locks, a run that was seen so lately is one of another tab. */
const liveMs = 3000;

/** Runs that are not over yet, so that a reload takes each up at the right second, and none replaces another. */
@Injectable({ providedIn: 'root' })
export class UnfinishedRunService {
  private readonly store = inject(Store);
  private readonly next = new Map<string, UnfinishedRun>();
  private readonly busy = new Set<string>();
  /** Runs that have their entry: what of them still waits to be written would bring them back. */
  private readonly ended = new Set<string>();

  /** Runs that nobody performs any more, the last seen first. */
  readonly all$: Observable<readonly BrokenOff[]> = this.store
    .watch(({ runs }) => runs.toArray())
    .pipe(
      switchMap((rows) => this.withoutLive(rows.filter(({ key }) => runNotes.ended(key) === null))),
      map((rows) =>
        rows
          .flatMap((row): BrokenOff[] => {
            const run = runNotes.with(row);
            return run ? [{ key: row.key, run }] : [];
          })
          .sort((a, b) => b.run.seen - a.run.seen),
      ),
    );

  constructor() {
    for (const [key, entry] of runNotes.allEnded()) void this.finish(key, entry);
  }

  /** Keeps where a run stands. Only the latest goes to storage; in the meantime a note has it. */
  async put(key: string, run: UnfinishedRun, hurry = true): Promise<void> {
    if (hurry) runNotes.keep(key, run);
    this.next.set(key, run);
    if (this.busy.has(key)) return;
    this.busy.add(key);
    for (let now = this.next.get(key); now; now = this.next.get(key)) {
      this.next.delete(key);
      const row = { key, ...now };
      await (
        await this.store.write('the position in the session', laneOf(key), ({ runs }): PromiseLike<unknown> =>
          this.ended.has(key) ? Promise.resolve() : runs.put(row),
        )
      ).written;
    }
    this.busy.delete(key);
  }

  /** Writes the entry of a run that stands stopped: it has the run's own key, so that the end of the run writes it anew. */
  note(entry: LogEntry): Promise<Outcome<void>> {
    return this.store.write(
      `the entry of “${entry.title}”`,
      entryLane(entry.id),
      (database) => database.transaction('rw', database.log, () => writeEntry(database, entry)),
      heldEntry(entry),
    );
  }

  /** Writes the entry of a run that is over, which is then unfinished no more. A page that is left before that writes it later. */
  async finish(key: string, entry: LogEntry): Promise<Outcome<void>> {
    this.ended.add(key);
    this.next.delete(key);
    runNotes.drop(key);
    runNotes.keepEnd(key, entry);
    const outcome = await this.store.write(
      `the entry of “${entry.title}”`,
      entryLane(entry.id),
      (database) => endRun(database, key, entry),
      heldEntry(entry),
    );
    void outcome.written.then(() => runNotes.dropEnd(key));
    return outcome;
  }

  /** Lets a broken-off run go: it becomes an entry of the log, marked so. The returned function takes that back. */
  async letGo({ key, run }: BrokenOff): Promise<() => Promise<void>> {
    const entry = (await import('./broken-off')).brokenOff.entryOf(key, run);
    const before = await this.store.read(({ log }) => log.get(key));
    this.ended.add(key);
    runNotes.drop(key);
    await this.store.write(`the entry of “${entry.title}”`, laneOf(key), (database) => endRun(database, key, entry));
    return async () => {
      this.ended.delete(key);
      await this.store.write('an interrupted session', laneOf(key), (database) =>
        database.transaction('rw', database.log, database.runs, async () => {
          if (before) await database.log.put(before);
          else await database.log.delete(key);
          await database.runs.put({ key, ...run });
        }),
      );
    };
  }

  /** Says to other tabs that a run is performed here, until the returned function is called or the page is left. */
  hold(key: string): () => void {
    let letGo: () => void = () => undefined;
    // Made before the lock is asked for: whoever lets go before it is granted lets go of it all the same.
    const over = new Promise<void>((done) => (letGo = done));
    if ('locks' in navigator) void navigator.locks.request(lockName(key), { ifAvailable: true }, () => over);
    return letGo;
  }

  private async withoutLive(rows: readonly StoredRun[]): Promise<readonly StoredRun[]> {
    if (!('locks' in navigator)) return rows.filter(({ seen }) => Date.now() - seen > liveMs || seen > Date.now());
    const { held = [] } = await navigator.locks.query();
    const live = new Set(held.map(({ name }) => name));
    return rows.filter(({ key }) => !live.has(lockName(key)));
  }
}

function endRun(database: Database, key: string, entry: LogEntry): Promise<void> {
  return database.transaction('rw', database.log, database.runs, async () => {
    const row = await database.log.get(entry.id);
    // What was said of it when it stood stopped is not lost.
    const said = row ? { effort: row.entry.effort, counted: row.entry.counted, note: row.entry.note } : {};
    await writeEntry(database, { ...entry, ...said });
    await database.runs.delete(key);
  });
}
