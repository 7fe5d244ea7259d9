import { TestBed } from '@angular/core/testing';
import { dayFromIso, newProgramme, programmePrefix, type ProgrammeWishes } from '../../core/index';
import { builtDemo, testProviders } from '../spec-store.spec';
import { allRows, contentOf, replaceRows } from '../store/backup-rows';
import { seedDemo } from '../store/demo-rows';
import { Store } from '../store/store';
import { BackupService } from './backup.service';
import { FilesService } from './files.service';

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
});
