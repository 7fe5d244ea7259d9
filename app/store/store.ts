import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { Dexie, liveQuery } from 'dexie/dist/modern/dexie.mjs';
import {
  filter,
  firstValueFrom,
  from,
  map,
  merge,
  type Observable,
  ReplaySubject,
  retry,
  Subject,
  switchMap,
  timer,
} from 'rxjs';
import { Database, type StoredEntry, type StoredSheet } from './database';
import { databaseName } from './database-name';
import { firstRows } from './first-rows';
import { moveInto } from './move-into';

/** Where records are kept: on this device, or, where the browser gives no storage, in this tab alone. */
export type Keeping =
  { readonly where: 'opening' } | { readonly where: 'device' } | { readonly where: 'tab'; readonly why: string };

/** A write that has not gone through yet; it is tried again by itself. */
export interface Waiting {
  /** What is written, in words. */
  readonly what: string;
  readonly why: string;
}

/** How a write went at its first try; `written` settles when it has gone through in the end. */
export interface Outcome<T> {
  readonly ok: boolean;
  readonly written: Promise<T>;
}

/** A record as it is to be written, so that it can be exported while it waits. */
export type Held =
  { readonly store: 'sheets'; readonly row: StoredSheet } | { readonly store: 'log'; readonly row: StoredEntry };

/** A write in its lane. */
interface Job {
  readonly what: string;
  readonly holds: readonly Held[];
  /** Runs once; settles when the database has answered, however long that takes, or has been closed. */
  readonly run: () => Promise<void>;
  /** Tells how the first try went; what is said later makes no difference. */
  readonly tell: (ok: boolean) => void;
}

/** Storage that has not answered by then is taken for none (the page says so within three seconds). */
const answerWithinMs = 1500;
/** What is first put in is worked out first, on a slow machine, too. */
const firstRowsWithinMs = 20_000;
/** A write that takes longer is said to wait; it is not run again before it has settled. */
const saidAfterMs = 5000;
const againEveryMs = 2000;
const lookForDiskEveryMs = 5000;

/** What a browser's error means to a coach. */
function reasonOf(thrown: unknown): string {
  const { name, message } = thrown instanceof Error ? thrown : new Error(String(thrown));
  const inner = thrown instanceof Error && 'inner' in thrown && thrown.inner instanceof Error ? thrown.inner.name : '';
  const is = (each: string): boolean => name === each || inner === each || message.includes(each);
  if (is('QuotaExceededError')) return 'the disk is full, or the browser’s limit for this page is reached';
  if (is('VersionError')) return 'a newer version of Keen Tempo has used this storage: reload the page to get it';
  if (is('MissingAPIError') || is('SecurityError') || is('InvalidStateError'))
    return 'this browser does not let this page save anything (perhaps a private window or a setting)';
  if (is('TimeoutError')) return 'the browser’s storage is not responding';
  // What Chromium answers on a device without any space left: it closes the database or breaks the write off.
  if (is('AbortError') || is('UnknownError') || is('DatabaseClosedError'))
    return 'the browser could not use its storage (the device may be full)';
  // Dexie puts the browser's own words on a second line.
  return (message.split('\n')[0] ?? '').replace(/\.+$/, '') || name;
}

const beatMs = 100;

/** A promise that gives up when time is over. It is counted in beats: while the page is busy, no answer can be taken in. */
async function within<T>(ms: number, what: PromiseLike<T>): Promise<T> {
  let beats: ReturnType<typeof setInterval> | undefined;
  const late = new Promise<never>((_, reject) => {
    let left = Math.ceil(ms / beatMs);
    beats = setInterval(() => {
      left -= 1;
      if (left <= 0) reject(new DOMException('no answer', 'TimeoutError'));
    }, beatMs);
  });
  try {
    return await Promise.race([what, late]);
  } finally {
    clearInterval(beats);
  }
}

/** What a closed database had begun it still ends; after so long it will not. */
const endsAfterCloseMs = 2000;

/** What a database answers; fails where it was closed and has not answered since: then nothing of the work is kept. */
function untilClosed<T>(database: Database, work: PromiseLike<T>): Promise<T> {
  return new Promise<T>((done, failed) => {
    const closed = (): void => {
      setTimeout(() => failed(new DOMException('closed', 'DatabaseClosedError')), endsAfterCloseMs);
    };
    database.on('close', closed);
    work.then(done, failed);
    void Promise.resolve(work).then(
      () => database.on('close').unsubscribe(closed),
      () => database.on('close').unsubscribe(closed),
    );
  });
}

/**
 * The one door to storage: opens it, says where things are kept, writes again what could not be written, and follows changes
 * from elsewhere. Without storage everything works in memory, and moves to the device when it can.
 */
@Injectable({ providedIn: 'root' })
export class Store {
  private readonly name = inject(databaseName);
  private readonly firstRows = inject(firstRows);
  private readonly inUse = new ReplaySubject<Database>(1);
  private current: Database | null = null;
  private over = false;
  private readonly lanes = new Map<string, Job[]>();
  private readonly failing = signal<ReadonlyMap<string, readonly Waiting[]>>(new Map());
  private readonly atOnce = new Subject<void>();
  /** What is being written; and what new writes wait for, while records move from one database to another. */
  private readonly attempts = new Set<Promise<unknown>>();
  private gate: Promise<void> = Promise.resolve();

  readonly keeping = signal<Keeping>({ where: 'opening' });
  /** How often storage has come after all: what was not found before may be there now. */
  readonly came = signal(0);
  /** Writes that have not gone through, for the page to say so. */
  readonly waiting = computed((): readonly Waiting[] => [...this.failing().values()].flat());

  constructor() {
    void this.open();
    const warn = (event: BeforeUnloadEvent): void => {
      if (this.waiting().length > 0) event.preventDefault();
    };
    addEventListener('beforeunload', warn);
    inject(DestroyRef).onDestroy(() => {
      this.over = true;
      removeEventListener('beforeunload', warn);
      this.current?.close();
    });
  }

  /** The database in use, once there is one. */
  database(): Promise<Database> {
    return firstValueFrom(this.inUse);
  }

  /** What a question comes to, again whenever something has changed that it asked, in this tab or another. */
  watch<T>(question: (database: Database) => Promise<T>): Observable<T> {
    return this.inUse.pipe(
      switchMap((database) =>
        from(liveQuery(() => question(database))).pipe(
          retry({ delay: () => timer(againEveryMs).pipe(filter(() => this.current === database && !this.over)) }),
        ),
      ),
      map((answer) => answer as T),
    );
  }

  /** Asks once. */
  async read<T>(question: (database: Database) => Promise<T>): Promise<T> {
    try {
      return await question(await this.database());
    } catch (thrown) {
      // Whoever asked goes with the application: nothing is answered any more, and nothing has failed.
      if (this.over) return new Promise<never>(() => undefined);
      throw thrown;
    }
  }

  /**
   * Writes; what does not go through is said, and tried again until it does. Writes of one lane (one sheet, say) go one after
   * the other. `job` reads and writes in one transaction.
   * @example const { ok } = await store.write('the room', 'room', (database) => database.choices.put(row))
   */
  write<T>(
    what: string,
    lane: string,
    job: (database: Database) => PromiseLike<T>,
    holds: readonly Held[] = [],
  ): Promise<Outcome<T>> {
    let done: (answer: T) => void = () => undefined;
    const written = new Promise<T>((settle) => (done = settle));
    return new Promise<Outcome<T>>((told) => {
      const queue = this.lanes.get(lane) ?? [];
      this.lanes.set(lane, queue);
      queue.push({
        what,
        holds,
        run: async () => {
          await this.gate;
          done(await this.running(job));
        },
        tell: (ok) => told({ ok, written }),
      });
      if (queue.length === 1) void this.work(lane, queue);
      else if (this.failing().has(lane)) this.say(lane, this.failing().get(lane)?.[0]?.why ?? '');
    });
  }

  private async running<T>(job: (database: Database) => PromiseLike<T>): Promise<T> {
    const attempt = this.database().then((database) => untilClosed(database, job(database)));
    this.attempts.add(attempt);
    try {
      return await attempt;
    } finally {
      this.attempts.delete(attempt);
    }
  }

  /** Goes through the writes of a lane, again and again where one fails. */
  private async work(lane: string, queue: Job[]): Promise<void> {
    for (let job = queue[0]; job && !this.over; job = queue[0]) {
      const slow = setTimeout(() => this.say(lane, 'the browser’s storage takes long'), saidAfterMs);
      try {
        await job.run();
        job.tell(true);
        queue.shift();
        if (this.failing().has(lane)) this.say(lane, null);
      } catch (thrown) {
        this.say(lane, reasonOf(thrown));
        await firstValueFrom(merge(timer(againEveryMs), this.atOnce));
      } finally {
        clearTimeout(slow);
      }
    }
    this.lanes.delete(lane);
  }

  /** Says of all writes of a lane that they wait, and why; null where they wait no more. */
  private say(lane: string, why: string | null): void {
    const queue = why === null ? [] : (this.lanes.get(lane) ?? []);
    for (const job of queue) job.tell(false);
    this.failing.update((all) => {
      const now = new Map(all);
      if (why === null) now.delete(lane);
      else
        now.set(
          lane,
          queue.map(({ what }) => ({ what, why })),
        );
      return now;
    });
  }

  /** Records that are not written yet, each as it is to be. */
  held(): readonly Held[] {
    return [...this.lanes.values()].flat().flatMap(({ holds }) => holds);
  }

  /** Tries at once what waits. */
  tryAgain(): void {
    this.atOnce.next();
  }

  private use(database: Database, keeping: Keeping): void {
    this.current = database;
    this.keeping.set(keeping);
    this.inUse.next(database);
  }

  private async open(): Promise<void> {
    try {
      const database = await this.disk();
      if (!this.over) this.use(database, { where: 'device' });
    } catch (thrown) {
      await this.goWithout(reasonOf(thrown));
    }
  }

  /** The browser's own storage, open; throws where it does not answer. */
  private async disk(): Promise<Database> {
    const database = new Database(this.name);
    // Deleted under us, or taken over by a newer version: it is opened anew, and what is shown is written again.
    let lostAlready = false;
    const lost = (): void => {
      if (lostAlready) return;
      lostAlready = true;
      database.close();
      if (this.current === database && !this.over) void this.open();
    };
    database.on('versionchange', lost);
    database.on('close', lost);
    try {
      await within(answerWithinMs, database.open());
      await within(answerWithinMs, database.choices.count());
      await within(firstRowsWithinMs, this.firstRows(database));
    } catch (thrown) {
      database.close();
      throw thrown;
    }
    return database;
  }

  private async goWithout(why: string): Promise<void> {
    // Said first: loading and filling what stands in takes its time on a slow machine.
    this.keeping.set({ where: 'tab', why });
    const { IDBFactory, IDBKeyRange } = await import('fake-indexeddb');
    const indexedDB = new IDBFactory();
    // Live queries ask nothing where Dexie has found no storage at all when it was loaded.
    Dexie.dependencies.indexedDB ??= indexedDB;
    // By a name of its own: Dexie keeps answers by the name of the database that gave them.
    const database = new Database(`${this.name} in this tab`, { indexedDB, IDBKeyRange });
    await database.open();
    await this.firstRows(database);
    if (this.over) return;
    this.use(database, this.keeping());
    void this.lookForDisk(database);
  }

  /** Tries the browser's storage again and again; what this tab has kept goes there as soon as it answers. */
  private async lookForDisk(memory: Database): Promise<void> {
    while (!this.over && this.current === memory) {
      await firstValueFrom(timer(lookForDiskEveryMs));
      try {
        await this.moveTo(await this.disk(), memory);
        return;
      } catch (thrown) {
        if (this.current === memory) this.keeping.set({ where: 'tab', why: reasonOf(thrown) });
      }
    }
  }

  /** Moves everything; what is written meanwhile waits, so that nothing goes to the database that is left. */
  private async moveTo(disk: Database, memory: Database): Promise<void> {
    let moved = (): void => undefined;
    this.gate = new Promise((done) => (moved = done));
    try {
      while (this.attempts.size > 0) await Promise.allSettled(this.attempts);
      await moveInto(disk, memory);
      this.use(disk, { where: 'device' });
      this.came.update((times) => times + 1);
      memory.close();
    } catch (thrown) {
      disk.close();
      throw thrown;
    } finally {
      moved();
    }
  }
}
