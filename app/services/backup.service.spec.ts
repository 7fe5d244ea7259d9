import { TestBed } from '@angular/core/testing';
import { firstValueFrom } from 'rxjs';
import {
  backupPieces,
  contentPieces,
  dayFromIso,
  emptySheet,
  newProgramme,
  programmePrefix,
  type BackupContent,
  type ProgrammeWishes,
} from '../../core/index';
import { builtDemo, testProviders } from '../spec-store.spec';
import { allRows, contentOf, replaceRows } from '../store/backup-rows';
import { seedDemo } from '../store/demo-rows';
import { Store } from '../store/store';
import { unreadIn } from '../store/unread';
import { BackupService } from './backup.service';
import { digest } from './digest';
import { FilesService } from './files.service';
import { freshId } from './fresh-id';
import { LastRunsService } from './last-runs.service';
import { UnreadService } from './unread.service';

const wishes: ProgrammeWishes = {
  ...{ name: 'Six weeks', starts: '2026-11-30', weeks: 6, weekdays: [0, 2, 4], at: 1080, minutes: 40 },
  ...{ level: 'beginner', kind: 'mixed', bag: 'heavy', bags: ['heavy', 'double-end'], people: 12, easierEvery: 4 },
  ...{ goal: { kind: 'combination', text: '1 2 3', steps: ['2', '2 3', '1 2 3'] }, daysOff: [] },
  bounds: { rise: 0.1, monotony: 2 },
};

describe('a backup', () => {
  it('brings back sheets, log, book and programme exactly, after everything was wiped', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    const store = TestBed.inject(Store);
    const { programme } = newProgramme('p', wishes, [], dayFromIso('2026-11-25') ?? 0);
    await store.write('the demo', 'demo', (database) => seedDemo(database, new Date(2026, 10, 23), builtDemo));
    await store.write('a programme', 'p', ({ choices }) =>
      choices.put({ key: `${programmePrefix}p`, value: programme }),
    );
    const database = await store.database();
    const before = contentOf(await allRows(database));
    expect([before.sheets.length > 3, before.log.length, before.book.length, before.unread.length]).toEqual([
      true,
      34,
      12,
      0,
    ]);
    expect(JSON.stringify(before.choices)).toContain('double-end');

    const backups = TestBed.inject(BackupService);
    let file: Blob | null = null;
    spyOn(TestBed.inject(FilesService), 'save').and.callFake(async (_name, content) => void (file = content as Blob));
    await backups.backUp(new Date(2026, 10, 24));
    await replaceRows(database, { sheets: [], log: [], book: [], choices: [] });
    expect((await allRows(database)).log).toEqual([]);
    const read = await backups.read(file ?? new Blob());
    if (!read.ok) throw new Error(read.problems[0]?.what);
    await backups.restore(read.value, 'replace');
    expect(contentOf(await allRows(database))).toEqual(before);
  });

  /** What is there as a file, with its content changed on the way. */
  async function fileOf(change: (content: BackupContent) => BackupContent): Promise<Blob> {
    const content = change(contentOf(await allRows(await TestBed.inject(Store).database())));
    return new Blob([...backupPieces(content, new Date(), digest.sha256(contentPieces(content)))]);
  }

  it('restored again by merging, an amended entry and a changed sheet come once, not once more each time', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    const store = TestBed.inject(Store);
    await store.write('the demo', 'demo', (database) => seedDemo(database, new Date(2026, 10, 23), builtDemo));
    const [database, backups] = [await store.database(), TestBed.inject(BackupService)];
    const file = await fileOf((content) => content);
    const [entry, sheet] = [(await database.log.toArray())[0], (await database.sheets.toArray())[0]];
    if (!entry || !sheet) throw new Error('the demo');
    await database.log.put({ ...entry, rev: 2, entry: { ...entry.entry, note: 'amended' } });
    await database.sheets.put({ ...sheet, rev: 2, sheet: { ...sheet.sheet, title: 'Another name' } });
    const counts: number[][] = [];
    for (let time = 0; time < 3; time += 1) {
      const read = await backups.read(file);
      if (!read.ok) throw new Error(read.problems[0]?.what);
      await backups.restore(read.value, 'merge');
      counts.push([await database.log.count(), await database.sheets.count()]);
    }
    expect(counts).toEqual([
      [35, 6],
      [35, 6],
      [35, 6],
    ]);
  });

  it('takes unreadable rows back as they are, and says how many have no name', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    const [database, backups] = [await TestBed.inject(Store).database(), TestBed.inject(BackupService)];
    const bad = { id: 'bad', startedAt: 1, sheetId: 's', demo: false, entry: null };
    const file = await fileOf((content) => ({
      ...content,
      unread: [
        { store: 'log', row: bad },
        { store: 'log', row: null },
        { store: 'sheets', row: { sheet: {} } },
      ],
    }));
    const read = await backups.read(file);
    if (!read.ok) throw new Error(read.problems[0]?.what);
    expect(read.value.nameless).toBe(2);
    await backups.restore(read.value, 'merge');
    expect((await database.log.toArray()).map(({ id, entry }) => [id, entry])).toEqual([['bad', null as never]]);
    // What looks at the last run passes over it, and it can be deleted and put back.
    const runs = TestBed.inject(LastRunsService);
    expect(await runs.last()).toBeNull();
    expect(await firstValueFrom(runs.lastOf$('s'))).toBeNull();
    const [record] = await unreadIn(database, 'log');
    if (!record) throw new Error('the unreadable row');
    const putBack = await TestBed.inject(UnreadService).remove(record);
    expect(await database.log.count()).toBe(0);
    await putBack();
    expect(await database.log.toArray()).toEqual([jasmine.objectContaining({ id: 'bad', entry: null })]);
  });

  it('a row under the name of another one is unreadable, and stays as it is', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    const database = await TestBed.inject(Store).database();
    const sheet = emptySheet(freshId);
    await database.sheets.put({ id: 'other', changedAt: 1, demo: false, sheet });
    expect((await unreadIn(database, 'sheets')).map(({ why }) => why)).toEqual([
      'id: it is stored under the name of another one',
    ]);
    expect(contentOf(await allRows(database)).unread).toHaveSize(1);
  });

  it('a small file that unpacks to more than a backup can be is refused before it is all unpacked', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    const megabyte = new Uint8Array(1_000_000);
    let left = 450;
    const zeros = new ReadableStream<Uint8Array>({
      pull: (to) => ((left -= 1) < 0 ? to.close() : to.enqueue(megabyte)),
    });
    const packed = await new Response(
      zeros.pipeThrough(new CompressionStream('gzip') as ReadableWritablePair<Uint8Array, Uint8Array>),
    ).blob();
    expect(packed.size).toBeLessThan(1_000_000);
    const read = await TestBed.inject(BackupService).read(packed);
    expect(read.ok ? '' : read.problems[0]?.what).toContain('unpacks to more than a backup can be');
  }, 60_000);

  it('of more than 20 million characters is made, and can be read', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    const [database, backups] = [await TestBed.inject(Store).database(), TestBed.inject(BackupService)];
    await database.choices.bulkPut(
      Array.from({ length: 25 }, (_, index) => ({ key: `draft ${index}`, value: 'x'.repeat(1_000_000) })),
    );
    const save = spyOn(TestBed.inject(FilesService), 'save').and.resolveTo();
    expect(await backups.backUp(new Date())).toEqual({ ok: true, value: { all: true } });
    const read = await backups.read(save.calls.mostRecent().args[1] as Blob);
    expect(read.ok && read.value.rows.choices.length).toBe(25);
  }, 60_000);
});
