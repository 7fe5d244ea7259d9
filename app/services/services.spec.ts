import { TestBed } from '@angular/core/testing';
import { emptySheet, type UnfinishedRun } from '../../core/index';
import { demoBook } from '../../demo/combinations';
import { demoSheets } from '../../demo/sheets';
import { testProviders, until } from '../spec-store.spec';
import { Database } from '../store/database';
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
    const sheets = TestBed.inject(SheetsService);
    await demo.seedOnce(new Date(2026, 10, 23));
    await until(
      () => sheets.all()?.length === demoSheets.length && demo.left() === demoSheets.length + demoBook.length + 6,
    );
    const putBack = await demo.clear();
    await until(() => sheets.all()?.length === 0);
    await demo.seedOnce(new Date(2026, 10, 24));
    expect(await TestBed.inject(Database).sheets.count()).toBe(0);
    await putBack();
    await until(() => sheets.all()?.length === demoSheets.length);
  });

  it('clearing the demo spares what the coach has changed', async () => {
    const demo = TestBed.inject(DemoService);
    await demo.seedOnce(new Date(2026, 10, 23));
    const [first] = demoSheets;
    if (first) await TestBed.inject(SheetsService).put({ ...first, title: 'Mine now' });
    await demo.clear();
    expect((await TestBed.inject(Database).sheets.toArray()).map(({ sheet }) => sheet.title)).toEqual(['Mine now']);
    expect(await TestBed.inject(Database).log.count()).toBe(0);
  });

  it('a deleted sheet comes back whole, a copy and an import have ids of their own', async () => {
    const sheets = TestBed.inject(SheetsService);
    const sheet = emptySheet(freshId, 'One');
    await sheets.put(sheet);
    const putBack = await sheets.remove(sheet.id);
    expect(await sheets.get(sheet.id)).toBeNull();
    await putBack();
    expect(await sheets.get(sheet.id)).toEqual(sheet);
    expect((await sheets.copy(sheet)).title).toBe('One (copy)');
    expect((await sheets.addImported(sheet)).id).not.toBe(sheet.id);
    expect(await TestBed.inject(Database).sheets.count()).toBe(3);
  });

  it('a broken record is not shown, and not thrown away', async () => {
    const database = TestBed.inject(Database);
    await database.sheets.put({ id: 'broken', changedAt: 1, demo: false, sheet: { title: 7 } as never });
    const sheets = TestBed.inject(SheetsService);
    await until(() => sheets.all() !== undefined);
    expect(sheets.all()).toEqual([]);
    expect(await sheets.get('broken')).toBeNull();
    expect(await database.sheets.count()).toBe(1);
  });

  it('an unfinished run is validated on its way back', async () => {
    const runs = TestBed.inject(UnfinishedRunService);
    const run: UnfinishedRun = { sheet: emptySheet(freshId), at: 1234, breaksPassed: 0, deeds: [], rate: 1, seen: 1 };
    await runs.put(run);
    expect(await runs.get()).toEqual(run);
    await TestBed.inject(Database).runs.put({ key: 'current', ...run, at: 'soon' as never });
    expect(await runs.get()).toBeNull();
    await runs.clear();
    expect(await TestBed.inject(Database).runs.count()).toBe(0);
  });

  it('choices are remembered, and set the look at once', async () => {
    const settings = TestBed.inject(SettingsService);
    await settings.loaded;
    settings.change({ look: 'dark', countIn: 5 });
    TestBed.tick();
    expect(document.documentElement.style.colorScheme).toBe('dark');
    settings.change({ look: 'system' });
    TestBed.tick();
    const stored = () => TestBed.inject(Database).choices.get('settings');
    let kept = await stored();
    for (let look = 0; look < 100 && !kept; look += 1) kept = await stored();
    expect(kept?.value).toEqual(jasmine.objectContaining({ countIn: 5 }));
  });

  it('a choice made before the remembered ones are read loses none of them', async () => {
    const database = TestBed.inject(Database);
    await database.choices.put({ key: 'settings', value: { look: 'light', volume: 0.3 } });
    const settings = TestBed.inject(SettingsService);
    settings.change({ countFrom: 3 });
    await settings.loaded;
    expect(settings.settings()).toEqual(jasmine.objectContaining({ look: 'light', volume: 0.3, countFrom: 3 }));
    settings.change({ look: 'system' });
    TestBed.tick();
  });

  it('entries of the log come back after a delete', async () => {
    const log = TestBed.inject(LogService);
    await TestBed.inject(DemoService).seedOnce(new Date(2026, 10, 23));
    const putBack = await log.remove('demo-entry-1');
    expect(await TestBed.inject(Database).log.count()).toBe(5);
    await putBack();
    await until(() => log.all()?.length === 6);
  });

  it('file names are made of titles', () => {
    const files = TestBed.inject(FilesService);
    expect(files.fileName('Tower, first watch!', 'json')).toBe('tower-first-watch.json');
    expect(files.fileName('🥊', 'json')).toBe('sheet.json');
  });
});
