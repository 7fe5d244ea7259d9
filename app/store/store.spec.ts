import { TestBed } from '@angular/core/testing';
import { emptySheet } from '../../core/index';
import { freshId } from '../services/fresh-id';
import { SheetsService } from '../services/sheets.service';
import { testProviders, until } from '../spec-store.spec';
import { withHeld } from './backup-rows';
import { databaseName } from './database-name';
import { demoFile } from '../../demo/rows';
import { rowsOf } from './demo-file';
import { faultOf } from './sound';
import { firstRows } from './first-rows';
import { Store } from './store';

describe('storage that is refused', () => {
  it('is said before what stands in for it is filled, however long that takes', async () => {
    spyOn(IDBFactory.prototype, 'open').and.throwError(new DOMException('no', 'SecurityError'));
    let fill = (): void => undefined;
    const filled = new Promise<void>((done) => (fill = done));
    const asked = jasmine.createSpy('firstRows').and.returnValue(filled);
    TestBed.configureTestingModule({ providers: [...testProviders(), { provide: firstRows, useValue: asked }] });
    const store = TestBed.inject(Store);
    await until(() => asked.calls.count() > 0);
    expect(store.keeping()).toEqual({
      where: 'tab',
      why: jasmine.stringContaining('does not let this page save anything'),
    });
    let open = false;
    void store.database().then(() => (open = true));
    await Promise.resolve();
    expect(open).toBeFalse();
    fill();
    await until(() => open);
    expect(store.keeping().where).toBe('tab');
  });
});

describe('storage that has ended with its page', () => {
  it('neither answers nor fails: whoever asked is gone', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    const store = TestBed.inject(Store);
    await store.database();
    let told = 'nothing';
    void store
      .read(({ sheets }) => {
        TestBed.resetTestingModule();
        return sheets.toArray();
      })
      .then(
        () => (told = 'an answer'),
        () => (told = 'a failure'),
      );
    await new Promise((next) => setTimeout(next, 200));
    expect(told).toBe('nothing');
  });
});

/** Holds the sheets in a transaction of the browser's own, as another tab can, for so long. */
async function holdSheets(name: string, ms: number): Promise<void> {
  const database = await new Promise<IDBDatabase>((done, failed) => {
    const asked = indexedDB.open(name);
    asked.onsuccess = () => done(asked.result);
    asked.onerror = () => failed(asked.error);
  });
  const sheets = database.transaction('sheets', 'readwrite').objectStore('sheets');
  const end = performance.now() + ms;
  const again = (): void => {
    if (performance.now() < end) sheets.count().onsuccess = again;
    else database.close();
  };
  again();
}

describe('storage that takes long', () => {
  it('is waited for: what was deleted and taken back in the meantime is there, and nothing is done twice', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    const [store, sheets] = [TestBed.inject(Store), TestBed.inject(SheetsService)];
    for (let made = 0; made < 5; made += 1)
      await (
        await sheets.add({ ...emptySheet(freshId), title: `${made}` })
      ).written;
    const rows = await store.read((database) => database.sheets.toArray());
    expect(rows.length).toBe(5);
    const [first] = rows;
    if (!first) return;
    await holdSheets(TestBed.inject(databaseName), 6500);
    const deletion = sheets.remove(first.id);
    await until(() => store.waiting().length > 0, 6500);
    expect(store.waiting()[0]?.why).toContain('takes long');
    await (
      await deletion
    )();
    // The deletion would be run again after so long.
    await new Promise((next) => setTimeout(next, 2500));
    expect(await store.read((database) => database.sheets.count())).toBe(5);
    expect(store.waiting()).toEqual([]);
  }, 20_000);

  it('can be exported meanwhile: a new sheet that waits is in the backup', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    const [store, sheets] = [TestBed.inject(Store), TestBed.inject(SheetsService)];
    await store.database();
    await holdSheets(TestBed.inject(databaseName), 1500);
    const sheet = { ...emptySheet(freshId), title: 'On its way' };
    const outcome = sheets.add(sheet);
    expect(withHeld(null, store.held()).sheets.map((row) => row.sheet.title)).toEqual(['On its way']);
    await (
      await outcome
    ).written;
    expect(store.held()).toEqual([]);
  });
});

describe('storage that fails', () => {
  it('takes a second write of the same sheet while the first one waits, and both go through in the end', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    const store = TestBed.inject(Store);
    await store.database();
    let full = true;
    const written: string[] = [];
    const write = (what: string) =>
      store.write(what, 'sheet s', async () => {
        // As Chromium answers on a device without any space left.
        if (full) throw new DOMException('The transaction was aborted.', 'AbortError');
        written.push(what);
      });
    const first = await write('the new sheet');
    const second = await write('its title');
    expect([first.ok, second.ok]).toEqual([false, false]);
    expect(store.waiting()).toEqual([
      { what: 'the new sheet', why: 'the browser could not use its storage (the device may be full)' },
      { what: 'its title', why: 'the browser could not use its storage (the device may be full)' },
    ]);
    full = false;
    store.tryAgain();
    await Promise.all([first.written, second.written]);
    expect(written).toEqual(['the new sheet', 'its title']);
  });
});

describe('storage that comes back', () => {
  it('gets what was written while records moved, and is closed again where they cannot be moved', async () => {
    let shut = true;
    const open = IDBFactory.prototype.open;
    spyOn(IDBFactory.prototype, 'open').and.callFake(function (this: IDBFactory, ...given: [string, number?]) {
      if (shut) throw new DOMException('no', 'SecurityError');
      return open.apply(this, given);
    });
    TestBed.configureTestingModule({ providers: testProviders() });
    const [store, sheets] = [TestBed.inject(Store), TestBed.inject(SheetsService)];
    await until(() => store.keeping().where === 'tab');
    await (
      await sheets.add({ ...emptySheet(freshId), title: 'Before' })
    ).written;
    // The first move fails.
    let full = true;
    const transaction = IDBDatabase.prototype.transaction;
    spyOn(IDBDatabase.prototype, 'transaction').and.callFake(function (
      this: IDBDatabase,
      ...given: Parameters<typeof transaction>
    ) {
      if (full && given[1] === 'readwrite') throw new DOMException('full', 'QuotaExceededError');
      return transaction.apply(this, given);
    });
    const closed = spyOn(IDBDatabase.prototype, 'close').and.callThrough();
    shut = false;
    await until(() => closed.calls.count() > 0, 9000);
    expect(store.keeping().where).toBe('tab');
    full = false;
    const during = sheets.add({ ...emptySheet(freshId), title: 'During' });
    await until(() => store.keeping().where === 'device', 9000);
    await (
      await during
    ).written;
    const titles = (await store.read((database) => database.sheets.toArray())).map(({ sheet }) => sheet.title);
    expect([...titles].sort()).toEqual(['Before', 'During']);
  }, 20_000);
});

describe('what is known of a record', () => {
  it('is forgotten when it is deleted: another may come in under its id and revision', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    const store = TestBed.inject(Store);
    const [row] = rowsOf(demoFile(), 0).log;
    if (!row) throw new Error('the demo has no log');
    await (
      await store.write('an entry', 'log', ({ log }) => log.put(row))
    ).written;
    expect(faultOf('log', row)).toBeNull();
    const broken = { ...row, entry: null };
    // The same id and revision, known to be sound.
    expect(faultOf('log', broken)).toBeNull();
    await (
      await store.write('a deletion', 'log', ({ log }) => log.delete(row.id))
    ).written;
    await until(() => faultOf('log', broken) !== null);
  });
});
