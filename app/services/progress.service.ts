import { inject, Injectable, signal, type OnDestroy } from '@angular/core';
import { combineLatest, debounceTime, map, type Observable, switchMap } from 'rxjs';
import type { Adding } from '../store/digests';
import type { LogSums } from '../workers/log-sums';
import type { LogWorker } from '../workers/log.worker';
import { startHelper, type Helper } from '../workers/in-worker';
import { databaseName } from '../store/database-name';
import { Store } from '../store/store';

/** Changes that follow each other this quickly are answered together. */
const together = 60;
/** Whoever waits longer, in milliseconds, is told how far it is. */
const patience = 400;

/** Asks the whole log: in a worker of its own, which reads the store by itself; here where there is none. */
@Injectable({ providedIn: 'root' })
export class ProgressService implements OnDestroy {
  private readonly store = inject(Store);
  private readonly name = inject(databaseName);
  private helper: Promise<Helper<LogWorker>> | null = null;
  private here: LogSums | null = null;
  /** How far the log is where it is added up for the first time, and that takes long; null where it does not. */
  readonly adding = signal<Adding | null>(null);
  private waiting = 0;
  private watched: ReturnType<typeof setInterval> | undefined;

  /** Says that something may stand differently in the log or the book: at the beginning, and at each change. */
  readonly changes$ = combineLatest([
    this.store.watch(({ log }) => log.count()),
    this.store.watch(({ book }) => book.count()),
  ]).pipe(
    debounceTime(together),
    map((): void => undefined),
  );

  /** What a question comes to, again whenever the log or the book has changed. */
  watch<T>(question: (sums: Pick<ProgressService, 'ask'>) => Promise<T>): Observable<T> {
    return this.changes$.pipe(switchMap(() => question(this)));
  }

  /** Asks once. `ask('overview', question)` */
  async ask<Name extends keyof LogSums>(
    name: Name,
    ...args: Parameters<LogSums[Name]>
  ): Promise<Awaited<ReturnType<LogSums[Name]>>> {
    this.waiting += 1;
    this.watched ??= setInterval(() => void this.lookHowFar(), patience);
    try {
      return await this.answer(name, ...args);
    } finally {
      this.waiting -= 1;
      if (this.waiting === 0) {
        clearInterval(this.watched);
        this.watched = undefined;
        this.adding.set(null);
      }
    }
  }

  private async lookHowFar(): Promise<void> {
    const adding = await this.answer('adding');
    if (this.waiting > 0) this.adding.set(adding);
  }

  private async answer<Name extends keyof LogSums>(
    name: Name,
    ...args: Parameters<LogSums[Name]>
  ): Promise<Awaited<ReturnType<LogSums[Name]>>> {
    await this.store.database();
    if (this.store.keeping().where === 'device')
      try {
        const helper = await (this.helper ??= this.start());
        return (await helper.ask((worker) => worker.ask(name, args))) as Awaited<ReturnType<LogSums[Name]>>;
      } catch {
        // It is answered here; questions that the worker is still at are left to it.
      }
    const { LogSums: Sums } = await import('../workers/log-sums');
    const database = await this.store.database();
    // What was kept in this tab alone has moved to the device by now, or the other way round.
    if (!this.here?.isOf(database)) this.here = new Sums(database);
    const method = this.here[name] as (...given: unknown[]) => unknown;
    return (await method.apply(this.here, args)) as Awaited<ReturnType<LogSums[Name]>>;
  }

  private async start(): Promise<Helper<LogWorker>> {
    const helper = startHelper<LogWorker>(
      new Worker(new URL('../workers/log.worker', import.meta.url), { type: 'module' }),
    );
    await helper.ask((worker) => worker.open(this.name));
    return helper;
  }

  ngOnDestroy(): void {
    clearInterval(this.watched);
    void this.helper?.then(
      (helper) => helper.end(),
      () => undefined,
    );
  }
}
