import { TestBed } from '@angular/core/testing';
import { emptySheet } from '../../core/index';
import { testProviders, until } from '../spec-store.spec';
import { Store } from '../store/store';
import { BackupDueService } from './backup-due.service';
import { freshId } from './fresh-id';
import { PersistenceService } from './persistence.service';
import { SheetsService } from './sheets.service';

const megabyte = 1024 * 1024;
const day = 24 * 3600 * 1000;

describe('keeping for good', () => {
  beforeEach(() => TestBed.configureTestingModule({ providers: testProviders() }));

  it('is asked of the browser with the first sheet that is the coach’s own, and short room is told', async () => {
    const persist = spyOn(navigator.storage, 'persist').and.resolveTo(true);
    spyOn(navigator.storage, 'persisted').and.callFake(() => Promise.resolve(persist.calls.count() > 0));
    spyOn(navigator.storage, 'estimate').and.resolveTo({ usage: 90 * megabyte, quota: 100 * megabyte });
    const kept = TestBed.inject(PersistenceService);
    await until(() => kept.space() !== null);
    expect(kept.space()).toEqual({ usedMb: 90, ofMb: 100, short: true });
    expect(kept.kept()).toBe('clearable');
    expect(persist).not.toHaveBeenCalled();
    await TestBed.inject(SheetsService).add(emptySheet(freshId, 'Own'));
    await until(() => {
      TestBed.tick();
      return kept.kept() === 'protected';
    });
    expect(persist).toHaveBeenCalledTimes(1);
  });

  it('a backup is due when the last one, or the first own sheet, is older than was chosen', async () => {
    const due = TestBed.inject(BackupDueService);
    const database = await TestBed.inject(Store).database();
    const sheet = emptySheet(freshId, 'Own');
    await database.sheets.put({ id: sheet.id, changedAt: Date.now() - 29 * day, demo: false, sheet });
    await until(() => due.last() === null);
    await new Promise((next) => setTimeout(next, 100));
    expect(due.due()).toBeFalse();
    await database.sheets.put({ id: sheet.id, changedAt: Date.now() - 31 * day, demo: false, sheet });
    await until(() => due.due());
    await due.made(new Date());
    await until(() => !due.due());
    expect(due.last()).toBeGreaterThan(0);
  });
});
