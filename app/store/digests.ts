import { dayOf, digestOfRun, type Digest, type LogEntry, type Searched } from '../../core/index';
import type { Database, StoredDigest, StoredEntry } from './database';
import { faultOf } from './sound';

/** How digests are made: counted up when they come out differently, so that old ones are made anew. */
const made = 1;
/** Entries that are read at once. */
const chunk = 40;

/** What a search looks at, in small letters. */
function wordsOf({ title, note, who }: LogEntry): string {
  return [title, note, who?.group ?? '', ...(who?.names ?? [])].join(' ').toLowerCase();
}

function digestFor(row: StoredEntry): StoredDigest | null {
  if (faultOf('log', row) !== null) return null;
  const { id, rev = 0, entry } = row;
  try {
    return { id, rev, made, digest: digestOfRun(entry), words: wordsOf(entry) };
  } catch {
    // One entry that cannot be added up (its sheet unfolds beyond all bounds, say) does not take the others with it.
    return null;
  }
}

/** How often each entry was changed, without reading one: its id under each count that there is. */
function revisions(database: Database): Promise<Map<string, number>> {
  const { log } = database;
  return database.transaction('r', log, async () => {
    const counts = (await log.orderBy('rev').uniqueKeys()) as number[];
    const [ids, ...under] = await Promise.all([
      log.toCollection().primaryKeys(),
      ...counts.map((count) => log.where('rev').equals(count).primaryKeys()),
    ]);
    const revs = new Map(ids.map((id) => [id, 0]));
    under.forEach((each, at) => {
      for (const id of each) revs.set(id, counts[at] ?? 0);
    });
    return revs;
  });
}

/** How far digests are that are being made. */
export interface Adding {
  readonly done: number;
  readonly of: number;
}

/**
 * The digests of the whole log, kept in memory and beside the log: only entries that are new or have changed since are read
 * and worked out.
 */
export class Digests {
  private readonly kept = new Map<string, StoredDigest>();
  /** All of them as they were at the last look, the very same list while nothing changes; null before the first. */
  private known: readonly Searched[] | null = null;
  /** How far it is where digests are being made; null where all are there. */
  adding: Adding | null = null;
  private last: Promise<unknown> = Promise.resolve();
  /** A look that has not begun. */
  private next: Promise<readonly Searched[]> | null = null;

  constructor(private readonly database: Database) {}

  /** Digests as they are now. */
  async all(): Promise<readonly Searched[]> {
    // One after the other: whoever asks while they are being made waits for one more look, together with all who ask by then.
    this.next ??= this.last.then(() => {
      this.next = null;
      return this.refresh();
    });
    const refreshed = this.next;
    this.last = refreshed.catch(() => undefined);
    return refreshed;
  }

  /** Digests as they were at the last look, one that is under way included; null before the first. */
  async atHand(): Promise<readonly Searched[] | null> {
    await this.last;
    return this.known;
  }

  /** Every digest, without what a search looks at. */
  async digests(): Promise<readonly Digest[]> {
    return (await this.all()).map(({ digest }) => digest);
  }

  private async refresh(): Promise<readonly Searched[]> {
    const { log, digests } = this.database;
    const [now, stored] = await Promise.all([revisions(this.database), this.known ? [] : digests.toArray()]);
    for (const row of stored) this.kept.set(row.id, row);
    const gone = [...this.kept.keys()].filter((id) => !now.has(id));
    for (const id of gone) this.kept.delete(id);
    const old = [...now].flatMap(([id, rev]) => (this.isFresh(this.kept.get(id), rev) ? [] : [id]));
    for (let at = 0; at < old.length; at += chunk) {
      this.adding = { done: at, of: old.length };
      const rows = await log.bulkGet(old.slice(at, at + chunk));
      const fresh = rows.flatMap((row) => (row ? (digestFor(row) ?? []) : []));
      for (const row of fresh) this.kept.set(row.id, row);
      await this.keep(fresh);
    }
    this.adding = null;
    if (gone.length > 0) await digests.bulkDelete(gone).catch(() => undefined);
    if (!this.known || gone.length > 0 || old.length > 0) this.known = [...this.kept.values()];
    return this.known;
  }

  /** A day is one of the place where the coach is: a digest that was made elsewhere has another. */
  private isFresh(row: StoredDigest | undefined, rev: number): boolean {
    return row?.rev === rev && row.made === made && row.digest.day === dayOf(row.digest.startedAt);
  }

  /** What cannot be kept is made anew the next time. */
  private async keep(rows: readonly StoredDigest[]): Promise<void> {
    await this.database.digests.bulkPut([...rows]).catch(() => undefined);
  }
}
