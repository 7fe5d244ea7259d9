import { Dexie } from 'dexie/dist/modern/dexie.mjs';
import { anyEntry, type LogEntry } from '../../core/index';
import { demoLog } from '../../demo/log';
import { LogSums } from '../workers/log-sums';
import { Database, type StoredDigest } from './database';
import { Digests } from './digests';

const today = new Date(2026, 10, 23).getTime();
const entries = demoLog(today);
const stored = (entry: LogEntry, rev: number) => ({
  ...{ id: entry.id, startedAt: entry.startedAt, sheetId: entry.sheetId, demo: false, entry, rev },
});

describe('digests', () => {
  let database: Database;
  beforeEach(async () => {
    database = new Database(`spec-${crypto.randomUUID()}`);
    await database.log.bulkPut(entries.slice(0, 4).map((entry) => stored(entry, 1)));
  });
  afterEach(() => database.delete());

  it('are made once, kept, and made anew only of what has changed', async () => {
    const first = new Digests(database);
    expect((await first.digests()).map(({ id }) => id).sort()).toEqual(entries.slice(0, 4).map(({ id }) => id));
    expect(await database.digests.count()).toBe(4);
    // Another page finds them made: a mark in one of them is still there.
    const marked = (await database.digests.get('demo-entry-2')) as StoredDigest;
    await database.digests.put({ ...marked, digest: { ...marked.digest, title: 'marked' } });
    const second = new Digests(database);
    expect((await second.digests()).find(({ id }) => id === 'demo-entry-2')?.title).toBe('marked');
    await database.log.put(stored({ ...(entries[1] as LogEntry), effort: 9, note: 'Late' }, 2));
    const now = (await second.all()).find(({ digest }) => digest.id === 'demo-entry-2');
    expect([now?.digest.effort, now?.digest.title, now?.words]).toEqual([
      9,
      entries[1]?.title,
      jasmine.stringContaining('late'),
    ]);
    expect((await first.digests()).find(({ id }) => id === 'demo-entry-2')?.effort).toBe(9);
  });

  it('go with their entries, and leave out what cannot be read', async () => {
    const digests = new Digests(database);
    await digests.digests();
    await database.log.delete('demo-entry-1');
    await database.log.put({
      ...stored(entries[5] as LogEntry, 1),
      id: 'broken',
      entry: { broken: true } as unknown as LogEntry,
    });
    expect((await digests.digests()).map(({ id }) => id).sort()).toEqual([
      'demo-entry-2',
      'demo-entry-3',
      'demo-entry-4',
    ]);
    expect(await database.digests.get('demo-entry-1')).toBeUndefined();
  });

  it('say how far they are while they are made', async () => {
    await database.log.bulkPut(
      Array.from({ length: 90 }, (_, at) => ({
        ...stored({ ...(entries[at % entries.length] as LogEntry), id: `more-${at}` }, 1),
      })),
    );
    const sums = new LogSums(database);
    const told: (number | undefined)[] = [];
    const done = sums.lines(anyEntry, false);
    let over = false;
    void done.then(() => (over = true));
    while (!over) {
      await new Promise((next) => setTimeout(next));
      told.push(sums.adding()?.done);
    }
    expect(told).toContain(40);
    expect(sums.adding()).toBeNull();
    expect((await done).count).toBe(94);
  });

  it('are searched as they are known where nothing has changed, and looked at anew where something has', async () => {
    const sums = new LogSums(database);
    const { count } = await sums.lines(anyEntry, false);
    await database.log.delete('demo-entry-3');
    expect((await sums.lines(anyEntry, true)).count).toBe(count);
    expect((await sums.lines(anyEntry, false)).count).toBe(count - 1);
    expect((await sums.lines(anyEntry, true)).count).toBe(count - 1);
    // Whoever types on while it is being looked at gets what that look finds.
    await database.log.delete('demo-entry-2');
    const looking = sums.lines(anyEntry, false);
    expect((await sums.lines(anyEntry, true)).count).toBe(count - 2);
    await looking;
    // In another order they are not left in this one before.
    const { lines } = await sums.lines({ ...anyEntry, down: false }, true);
    expect(lines).toEqual([...(await sums.lines(anyEntry, true)).lines].reverse());
  });

  it('answer what is asked of the log', async () => {
    const sums = new LogSums(database);
    // Nothing is known before the first look: it is looked at, whatever is said.
    const found = await sums.lines({ ...anyEntry, words: 'alarm' }, true);
    expect(found).toEqual({ count: 1, lines: ['demo-entry-3'] });
    const weeks = await sums.lines({ ...anyEntry, by: 'week' }, false);
    expect(weeks.lines.filter((line) => typeof line !== 'string').length).toBeGreaterThan(1);
    expect(await sums.groups()).toEqual(['Off-shift class']);
    const compared = await sums.compared('demo-entry-1', 'demo-entry-2');
    expect(compared?.before.id).toBe('demo-entry-2');
    expect(await sums.compared('demo-entry-1', 'none')).toBeNull();
    const kcal = (await sums.lastEnergy(70))?.kcal ?? 0;
    expect(kcal).toBeGreaterThan(50);
    expect(kcal).toBeLessThan(300);
  });
});

/** Stores as each earlier version had them, with one entry as that version wrote it. */
const earlier: readonly Readonly<Record<string, string>>[] = [
  { sheets: 'id, changedAt', log: 'id, startedAt, sheetId', book: 'id, changedAt', choices: 'key', runs: 'key' },
  { steps: '[sheetId+number], sheetId' },
  { log: 'id, startedAt, sheetId, [sheetId+startedAt]' },
  {
    log: 'id, startedAt, sheetId, [sheetId+startedAt], entry.title, entry.done.ms, entry.done.rounds, entry.done.punches',
  },
  { clips: 'key' },
  { log: 'id, startedAt, sheetId, [sheetId+startedAt], [id+rev]', digests: 'id' },
];

describe('a database of an earlier version', () => {
  earlier.forEach((_, last) => {
    it(`${last + 1} opens with all its entries, which are found and added up`, async () => {
      const name = `spec-${crypto.randomUUID()}`;
      const old = new Dexie(name);
      earlier.slice(0, last + 1).forEach((stores, at) => old.version(at + 1).stores(stores));
      await old.open();
      const { rev: _rev, ...row } = stored(entries[0] as LogEntry, 0);
      // As it was written then: without what came later.
      const { count: _count, who: _who, faults: _faults, ...entry } = row.entry;
      await old.table('log').bulkPut([
        { ...row, entry },
        { ...row, id: 'second', entry: { ...entry, id: 'second' }, rev: 7 },
      ]);
      old.close();
      const database = new Database(name);
      const rows = await database.log.orderBy('id').toArray();
      expect(rows.map(({ id, rev }) => [id, rev])).toEqual([
        // Whatever wrote it without a count since then, it is found.
        ['demo-entry-1', last < 5 ? 1 : undefined],
        ['second', 7],
      ]);
      expect(rows[0]?.entry).toEqual(entry);
      expect((await new Digests(database).digests()).length).toBe(2);
      await database.delete();
    });
  });
});
