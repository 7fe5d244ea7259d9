import { TestBed } from '@angular/core/testing';
import { firstValueFrom } from 'rxjs';
import { compile, emptySheet, entryOfBrokenOff, readTempoText, type UnfinishedRun } from '../../core/index';
import { demoBook } from '../../demo/combinations';
import { demoSheets } from '../../demo/sheets';
import { builtDemo, logHere, sheetsHere, testProviders, until } from '../spec-store.spec';
import { allRows, replaceRows } from '../store/backup-rows';
import { unreadIn } from '../store/unread';
import { Store } from '../store/store';
import { seedDemo } from '../store/demo-rows';
import { BookService } from './book.service';
import { DemoService } from './demo.service';
import { FilesService } from './files.service';
import { freshId } from './fresh-id';
import { LogService } from './log.service';
import { SettingsService } from './settings.service';
import { SheetsService } from './sheets.service';
import { UnfinishedRunService } from './unfinished-run.service';

describe('what the browser keeps', () => {
  beforeEach(() => TestBed.configureTestingModule({ providers: testProviders() }));

  it('the demo comes once, is cleared, and comes back only by undo', async () => {
    const demo = TestBed.inject(DemoService);
    const here = sheetsHere();
    await TestBed.inject(Store).write('the demo', 'demo', (database) =>
      seedDemo(database, new Date(2026, 10, 23), builtDemo),
    );
    await until(
      () => here()?.rows.length === demoSheets.length && demo.left() === demoSheets.length + demoBook.length + 34,
    );
    const putBack = await demo.clear();
    await until(() => here()?.rows.length === 0);
    await TestBed.inject(Store).write('the demo', 'demo', (database) =>
      seedDemo(database, new Date(2026, 10, 24), builtDemo),
    );
    expect(await (await TestBed.inject(Store).database()).sheets.count()).toBe(0);
    await putBack();
    await until(() => here()?.rows.length === demoSheets.length);
  });

  it('clearing the examples spares what the coach has changed', async () => {
    const demo = TestBed.inject(DemoService);
    await TestBed.inject(Store).write('the demo', 'demo', (database) =>
      seedDemo(database, new Date(2026, 10, 23), builtDemo),
    );
    const [first] = demoSheets;
    if (first)
      await TestBed.inject(SheetsService).change(first.id, (sheet) => ({ ...sheet, title: 'Mine now' }), 'title');
    await demo.clear();
    expect((await (await TestBed.inject(Store).database()).sheets.toArray()).map(({ sheet }) => sheet.title)).toEqual([
      'Mine now',
    ]);
    expect(await (await TestBed.inject(Store).database()).log.count()).toBe(0);
  });

  it('a deleted sheet comes back whole, a copy and an import have ids of their own', async () => {
    const sheets = TestBed.inject(SheetsService);
    const sheet = emptySheet(freshId, 'One');
    await sheets.add(sheet);
    const putBack = await sheets.remove(sheet.id);
    expect(await sheets.get(sheet.id)).toBeNull();
    await putBack();
    expect(await sheets.get(sheet.id)).toEqual(sheet);
    expect((await sheets.copy(sheet)).title).toBe('One (copy)');
    expect((await sheets.addImported(sheet)).id).not.toBe(sheet.id);
    expect(await (await TestBed.inject(Store).database()).sheets.count()).toBe(3);
  });

  it('an id from a file that is no address is made ours, and the sheet opens by it', async () => {
    const sheets = TestBed.inject(SheetsService);
    const ids = ['..', '.', 'a/b', '100%', 'a.b', 'ä'];
    for (const id of ids) {
      const added = await sheets.addImported({ ...emptySheet(freshId, id), id });
      expect(added.id).toMatch(/^[A-Za-z0-9_-]{1,64}$/);
      expect((await sheets.get(added.id))?.title).toBe(id);
    }
    expect(await (await TestBed.inject(Store).database()).sheets.count()).toBe(ids.length);
    // One that can stand in an address stays as it is.
    expect((await sheets.addImported({ ...emptySheet(freshId), id: 'Tower-1' })).id).toBe('Tower-1');
  });

  it('a broken record is not shown, and not thrown away', async () => {
    const database = await TestBed.inject(Store).database();
    await database.sheets.add({ id: 'broken', changedAt: 1, demo: false, sheet: { title: 7 } as never });
    const here = sheetsHere();
    await until(() => here() !== undefined);
    expect(here()?.rows).toEqual([]);
    expect(await TestBed.inject(SheetsService).get('broken')).toBeNull();
    expect(await database.sheets.count()).toBe(1);
  });

  it('an unfinished run is validated on its way back, and several stand beside each other', async () => {
    const runs = TestBed.inject(UnfinishedRunService);
    const run: UnfinishedRun = { sheet: emptySheet(freshId), at: 1234, breaksPassed: 0, deeds: [], rate: 1, seen: 1 };
    const keys = async () => (await firstValueFrom(runs.all$)).map(({ key }) => key);
    await runs.put('one', run);
    await runs.put('two', { ...run, seen: 2 });
    expect(await keys()).toEqual(['two', 'one']);
    expect((await firstValueFrom(runs.all$))[1]?.run).toEqual(run);
    const database = await TestBed.inject(Store).database();
    await database.runs.put({ key: 'one', ...run, at: 'soon' as never });
    expect(await keys()).toEqual(['two']);
    expect(await unreadIn(database, 'runs')).toHaveSize(1);
  });

  it('a run that another page performs is not offered', async () => {
    const runs = TestBed.inject(UnfinishedRunService);
    const run: UnfinishedRun = { sheet: emptySheet(freshId), at: 1, breaksPassed: 0, deeds: [], rate: 1, seen: 1 };
    const key = freshId();
    await runs.put(key, run);
    const letGo = runs.hold(key);
    await until(() => true);
    expect(await firstValueFrom(runs.all$)).toEqual([]);
    letGo();
    await new Promise((next) => setTimeout(next, 20));
    expect((await firstValueFrom(runs.all$)).map((each) => each.key)).toEqual([key]);
  });

  it('a run that is let go before its lock is granted is free again', async () => {
    const key = freshId();
    // Let go in the same turn: the browser grants a lock in a later one.
    TestBed.inject(UnfinishedRunService).hold(key)();
    const granted = await navigator.locks.request(`keen-tempo run ${key}`, () => 'granted');
    expect(granted).toBe('granted');
  });

  it('what storage missed as the page was left in a hurry is known from the note', async () => {
    const runs = TestBed.inject(UnfinishedRunService);
    const deed = (at: number): UnfinishedRun['deeds'][number] => ({ what: 'forward', from: at, to: at, wall: at });
    const sheet = emptySheet(freshId);
    const run: UnfinishedRun = { sheet, at: 1000, breaksPassed: 0, deeds: [deed(0)], rate: 1, seen: 1 };
    const key = freshId();
    await runs.put(key, run);
    const later: UnfinishedRun = { ...run, at: 5000, deeds: [deed(0), deed(5000)], seen: 2 };
    await runs.put(key, later);
    await (await TestBed.inject(Store).database()).runs.put({ key, ...run });
    expect((await firstValueFrom(runs.all$)).map((each) => each.run)).toEqual([later]);
  });

  it('a page that is left before the entry of its run is written writes it the next time', async () => {
    const runs = TestBed.inject(UnfinishedRunService);
    const { sheet } = readTempoText('round 2:00: 1 2');
    const run: UnfinishedRun = { sheet, at: 1, breaksPassed: 0, deeds: [], rate: 1, seen: 1 };
    const key = freshId();
    await runs.put(key, run);
    const store = TestBed.inject(Store);
    const left = spyOn(store, 'write').and.returnValue(new Promise(() => undefined));
    void runs.finish(key, entryOfBrokenOff(key, run, compile(sheet)));
    left.and.callThrough();
    const nextVisit = TestBed.runInInjectionContext(() => new UnfinishedRunService());
    expect(await firstValueFrom(nextVisit.all$)).toEqual([]);
    const database = await store.database();
    await until(() => localStorage.getItem(`keen-tempo ended run ${key}`) === null);
    expect([await database.log.count(), await database.runs.count()]).toEqual([1, 0]);
  });

  it('a run that is let go is an entry of the log, marked so, and can be taken back', async () => {
    const runs = TestBed.inject(UnfinishedRunService);
    const { sheet } = readTempoText('round 2:00: 1 2');
    const start: UnfinishedRun['deeds'][number] = { what: 'start', from: 0, to: 0, wall: 1_000_000 };
    // Over five thousand deeds: going back again and again.
    const deeds = [
      start,
      ...Array.from({ length: 6000 }, () => ({ ...start, what: 'repeat' as const, from: 10, to: 0 })),
    ];
    await runs.put('long', { sheet, at: 60_000, breaksPassed: 0, deeds, rate: 1, seen: 2_000_000 });
    const [broken] = await firstValueFrom(runs.all$);
    if (!broken) throw new Error('a broken-off run');
    const putBack = await runs.letGo(broken);
    const database = await TestBed.inject(Store).database();
    const [row] = await database.log.toArray();
    expect([row?.entry.brokenOff, row?.startedAt, row?.entry.done.finished]).toEqual([true, 1_000_000, false]);
    expect(row?.entry.done.ms).toBe(6000 * 10 + 60_000);
    expect(await database.runs.count()).toBe(0);
    await putBack();
    expect([await database.log.count(), (await firstValueFrom(runs.all$)).length]).toEqual([0, 1]);
  });

  it('a run that has its entry does not come back by what of it still waited to be written', async () => {
    const runs = TestBed.inject(UnfinishedRunService);
    const { sheet } = readTempoText('round 2:00: 1 2');
    const run: UnfinishedRun = { sheet, at: 1, breaksPassed: 0, deeds: [], rate: 1, seen: 1 };
    const database = await TestBed.inject(Store).database();
    const put = spyOn(database.runs, 'put').and.rejectWith(new DOMException('full', 'QuotaExceededError'));
    const waiting = runs.put('late', run);
    await until(() => TestBed.inject(Store).waiting().length === 1);
    await runs.finish('late', entryOfBrokenOff('entry', run, compile(sheet)));
    put.and.callThrough();
    TestBed.inject(Store).tryAgain();
    await waiting;
    expect([await database.runs.count(), await database.log.count()]).toEqual([0, 1]);
  });

  it('restoring and taking it back leave the steps of undo where they were', async () => {
    const sheets = TestBed.inject(SheetsService);
    const sheet = emptySheet(freshId, 'One');
    await sheets.add(sheet);
    await sheets.change(sheet.id, (stored) => ({ ...stored, title: 'Two' }), 'title');
    const database = await TestBed.inject(Store).database();
    const rows = await allRows(database);
    await replaceRows(database, { ...rows, sheets: [] });
    expect(await sheets.get(sheet.id)).toBeNull();
    await replaceRows(database, rows);
    const history = await sheets.open(sheet.id);
    expect([history?.known.sheet.title, history?.at, history?.steps.map((step) => step.sheet.title)]).toEqual([
      'Two',
      1,
      ['One', 'Two'],
    ]);
  });

  it('choices are remembered, and set the look at once', async () => {
    const settings = TestBed.inject(SettingsService);
    await settings.loaded;
    settings.change({ look: 'dark', countIn: 5 });
    TestBed.tick();
    expect(document.documentElement.style.colorScheme).toBe('dark');
    settings.change({ look: 'system' });
    TestBed.tick();
    const database = await TestBed.inject(Store).database();
    const stored = () => database.choices.get('settings');
    let kept = await stored();
    for (let look = 0; look < 100 && !kept; look += 1) kept = await stored();
    expect(kept?.value).toEqual(jasmine.objectContaining({ countIn: 5 }));
  });

  it('a choice made before the remembered ones are read loses none of them', async () => {
    const database = await TestBed.inject(Store).database();
    await database.choices.put({ key: 'settings', value: { look: 'light', volume: 0.3 } });
    const settings = TestBed.inject(SettingsService);
    settings.change({ countFrom: 3 });
    await settings.loaded;
    expect(settings.settings()).toEqual(jasmine.objectContaining({ look: 'light', volume: 0.3, countFrom: 3 }));
    settings.change({ look: 'system' });
    TestBed.tick();
  });

  it('a combination that two hands have changed in different parts keeps both changes', async () => {
    const book = TestBed.inject(BookService);
    const [first] = demoBook;
    if (!first) throw new Error('no combination');
    await book.put(first);
    await until(() => book.all()?.length === 1);
    const { book: table } = await TestBed.inject(Store).database();
    await book.put({ ...first, name: 'By this hand' });
    await until(() => book.all()?.[0]?.name === 'By this hand');
    const shown = book.all()?.[0];
    const row = await table.get(first.id);
    if (!shown || !row) throw new Error('it is gone');
    // The other hand’s change is stored before this one has heard of it.
    const both = [
      table.put({ ...row, entry: { ...row.entry, note: 'By the other' }, rev: 9 }),
      book.put({ ...shown, tags: ['ours'] }),
    ];
    await Promise.all(both);
    const { entry } = (await table.get(first.id)) ?? {};
    expect([entry?.name, entry?.note, entry?.tags]).toEqual(['By this hand', 'By the other', ['ours']]);
  });

  it('log entries come back after a delete', async () => {
    const log = TestBed.inject(LogService);
    await TestBed.inject(Store).write('the demo', 'demo', (database) =>
      seedDemo(database, new Date(2026, 10, 23), builtDemo),
    );
    const putBack = await log.remove('demo-entry-1');
    expect(await (await TestBed.inject(Store).database()).log.count()).toBe(33);
    await putBack();
    const here = logHere();
    await until(() => here()?.length === 34);
  });

  it('file names are made of titles', () => {
    const files = TestBed.inject(FilesService);
    expect(files.fileName('Tower, first watch!', 'json')).toBe('tower-first-watch.json');
    expect(files.fileName('🥊', 'json')).toBe('sheet.json');
  });
});
