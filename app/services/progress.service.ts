import { inject, Injectable, type OnDestroy } from '@angular/core';
import { combineLatest, debounceTime, type Observable, switchMap } from 'rxjs';
import type { LogSums } from '../workers/log-sums';
import type { LogWorker } from '../workers/log.worker';
import { startHelper, type Helper } from '../workers/in-worker';
import { databaseName } from '../store/database-name';
import { Store } from '../store/store';

/** Changes that follow each other this quickly are answered together. */
const together = 60;

/** Asks the whole log: in a worker of its own, which reads the store by itself; here where there is none. */
@Injectable({ providedIn: 'root' })
export class ProgressService implements OnDestroy {
  private readonly store = inject(Store);
  private readonly name = inject(databaseName);
  private helper: Promise<Helper<LogWorker>> | null = null;
  private here: LogSums | null = null;

  /** What a question comes to, again whenever the log or the book has changed. */
  watch<T>(question: (sums: Pick<ProgressService, 'ask'>) => Promise<T>): Observable<T> {
    return combineLatest([
      this.store.watch(({ log }) => log.count()),
      this.store.watch(({ book }) => book.count()),
    ]).pipe(
      debounceTime(together),
      switchMap(() => question(this)),
    );
  }

  /** Asks once. `ask('overview', question)` */
  async ask<Name extends keyof LogSums>(
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
    void this.helper?.then(
      (helper) => helper.end(),
      () => undefined,
    );
  }
}
