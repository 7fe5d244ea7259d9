import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { choose } from './hands';

/** Types a combination into a new sheet, and waits until it is saved. */
async function newSheet(page: Page, title: string): Promise<void> {
  await page.goto('/sheets');
  await page.getByRole('button', { name: 'New sheet' }).first().click();
  await page.getByLabel('Title of the sheet').fill(title);
  await page.getByLabel('Type a combination').fill('1 2 3b 2');
  await page.getByLabel('Type a combination').press('Enter');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
}

/** Ways in which a browser can refuse its storage; each runs before the page does. */
const without: readonly { readonly name: string; readonly script: string }[] = [
  { name: 'blocked', script: `Object.defineProperty(window, 'indexedDB', { get: () => undefined })` },
  {
    name: 'throwing',
    script: `IDBFactory.prototype.open = () => { throw new DOMException('no', 'SecurityError'); }`,
  },
  {
    name: 'never answering',
    script: `IDBFactory.prototype.open = () => Object.assign(new EventTarget(), { readyState: 'pending' })`,
  },
];

for (const { name, script } of without)
  test(`storage that is ${name}: the page draws, says so, and works in this tab`, async ({ page }) => {
    const errors: string[] = [];
    page.on('pageerror', (error) => errors.push(error.message));
    await page.addInitScript(script);
    await page.goto('/sheets');
    await expect(page.getByRole('alert').filter({ hasText: 'Nothing is being saved on this device' })).toBeVisible();
    await expect(page.locator('.list li')).toHaveCount(5);
    await page.getByRole('button', { name: 'New sheet' }).first().click();
    await page.getByLabel('Title of the sheet').fill('In this tab');
    await page.getByRole('link', { name: 'Sheets', exact: true }).click();
    await expect(page.getByRole('link', { name: 'In this tab', exact: true })).toBeVisible();
    await page.goto('about:blank');
    expect(errors).toEqual([]);
  });

test('storage that answers late takes over what the tab has kept', async ({ page }) => {
  await page.addInitScript(() => {
    const open = IDBFactory.prototype.open;
    Object.assign(window, { shut: true });
    IDBFactory.prototype.open = function (this: IDBFactory, ...args: [string, number?]) {
      if ('shut' in window && window.shut) throw new DOMException('no', 'SecurityError');
      return open.apply(this, args);
    };
  });
  await page.goto('/sheets');
  const notice = page.getByRole('alert').filter({ hasText: 'Nothing is being saved on this device' });
  await expect(notice).toBeVisible();
  await page.getByRole('button', { name: 'New sheet' }).first().click();
  await page.getByLabel('Title of the sheet').fill('Kept through it');
  await page.evaluate(() => Object.assign(window, { shut: false }));
  await expect(notice).toBeHidden({ timeout: 10_000 });
  await page.goto('/sheets');
  await page.evaluate(() => Object.assign(window, { shut: false }));
  await expect(page.getByRole('link', { name: 'Kept through it', exact: true })).toBeVisible({ timeout: 10_000 });
});

test('a database that a newer version has left, or that is deleted while open, blanks nothing', async ({ page }) => {
  await newSheet(page, 'Before');
  await page.evaluate(
    () =>
      new Promise<void>((done) => {
        indexedDB.deleteDatabase('keen-tempo').onsuccess = () => done();
      }),
  );
  await expect(page.getByRole('alert').filter({ hasText: 'deleted in another tab' })).toBeVisible();
  await page.getByRole('button', { name: 'Restore it' }).click();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Title of the sheet')).toHaveValue('Before');
  await page.goto('about:blank');
  await page.goto('/settings');
  await page.evaluate(
    () =>
      new Promise<void>((done, failed) => {
        const request = indexedDB.open('keen-tempo', 1000);
        request.onsuccess = () => {
          request.result.close();
          done();
        };
        request.onerror = () => failed(request.error);
      }),
  );
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Settings' })).toBeVisible();
});

test('a full disk is said, keeps what is shown, and is written when there is room', async ({ page }) => {
  await page.addInitScript(() => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function (this: IDBObjectStore, ...args: [unknown, IDBValidKey?]) {
      if ('full' in window && window.full) throw new DOMException('full', 'QuotaExceededError');
      return put.apply(this, args);
    };
  });
  await newSheet(page, 'Full');
  await page.evaluate(() => Object.assign(window, { full: true }));
  await page.getByLabel('Title of the sheet').fill('Full disk');
  const notice = page.getByRole('alert').filter({ hasText: 'Not saved yet' });
  await expect(notice).toContainText('The disk is full');
  await expect(page.getByLabel('Title of the sheet')).toHaveValue('Full disk');
  // Leaving the page would lose it: the browser is told to ask.
  const asks = (): Promise<boolean> =>
    page.evaluate(() => !window.dispatchEvent(new Event('beforeunload', { cancelable: true })));
  expect(await asks()).toBe(true);
  await page.evaluate(() => Object.assign(window, { full: false }));
  await notice.getByRole('button', { name: 'Try now' }).click();
  await expect(notice).toBeHidden();
  expect(await asks()).toBe(false);
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Title of the sheet')).toHaveValue('Full disk');
});

test('a run that ends on a full disk shows its entry, which is written when there is room', async ({ page }) => {
  await page.addInitScript(() => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function (this: IDBObjectStore, ...args: [unknown, IDBValidKey?]) {
      if ('full' in window && window.full) throw new DOMException('full', 'QuotaExceededError');
      return put.apply(this, args);
    };
  });
  await page.goto('/run/demo-first-watch');
  await page.getByRole('button', { name: 'Start' }).click();
  await page.locator('kt-stage').waitFor();
  await page.keyboard.press('ArrowRight');
  await page.evaluate(() => Object.assign(window, { full: true }));
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByLabel('Note for next time')).toBeVisible();
  await page.getByLabel('Note for next time').fill('As it is typed');
  await expect(page.getByRole('alert').filter({ hasText: 'Not saved yet' })).toBeVisible();
  await page.evaluate(() => Object.assign(window, { full: false }));
  await expect(page.getByRole('alert').filter({ hasText: 'Not saved yet' })).toBeHidden({ timeout: 8000 });
  await page.goto('/log');
  await expect(page.getByText('As it is typed')).toBeVisible();
});

test('two tabs on one sheet: nothing of either is lost, and the same part is asked about', async ({ context }) => {
  const [one, two] = [await context.newPage(), await context.newPage()];
  await newSheet(one, 'Both');
  await two.goto(one.url());
  await expect(two.getByLabel('Title of the sheet')).toHaveValue('Both');
  for (const text of ['1 2', '2 3', '3 2']) {
    await one.getByLabel('Type a combination').fill(text);
    await one.getByLabel('Type a combination').press('Enter');
  }
  await two.getByLabel('Title of the sheet').fill('Both hands');
  await expect(one.getByLabel('Title of the sheet')).toHaveValue('Both hands');
  await expect(one.getByText('Saved', { exact: true })).toBeVisible();
  await one.reload();
  const pieces = await one.evaluate(
    () =>
      new Promise<number>((done) => {
        const request = indexedDB.open('keen-tempo');
        request.onsuccess = () => {
          const all = request.result.transaction('sheets').objectStore('sheets').getAll();
          all.onsuccess = () => {
            const rows = all.result as { sheet: { title: string; blocks: { pieces: unknown[] }[] } }[];
            const row = rows.find(({ sheet }) => sheet.title === 'Both hands');
            done(row?.sheet.blocks.reduce((sum, { pieces }) => sum + pieces.length, 0) ?? 0);
            request.result.close();
          };
        };
      }),
  );
  expect(pieces).toBe(4);
});

test('what cannot be read is listed, exported as it is, and never written over', async ({ page }) => {
  await page.goto('/settings');
  await choose(page, 'Theme', 'Dark');
  await page.evaluate(
    () =>
      new Promise<void>((done) => {
        const request = indexedDB.open('keen-tempo');
        request.onsuccess = () => {
          const writing = request.result.transaction(['sheets', 'choices'], 'readwrite');
          writing
            .objectStore('sheets')
            .put({ id: 'odd', changedAt: 1, demo: false, sheet: { title: 'Odd one', blocks: 7 } });
          writing
            .objectStore('choices')
            .put({ key: 'settings', value: { look: 'dark', volume: 'loud', countFrom: 3 } });
          writing.objectStore('choices').put({ key: 'room', value: { width: 'wide' } });
          writing.oncomplete = () => {
            request.result.close();
            done();
          };
        };
      }),
  );
  await page.reload();
  await expect(page.getByRole('combobox', { name: 'Theme' })).toHaveText('Dark');
  await expect(page.getByRole('heading', { name: 'Could not be read' })).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export “Odd one”' }).click(),
  ]);
  expect(JSON.parse(await readFile(await download.path(), 'utf8'))).toEqual({
    id: 'odd',
    changedAt: 1,
    demo: false,
    sheet: { title: 'Odd one', blocks: 7 },
  });
  await page.goto('/room');
  await expect(page.getByText('Saved setting “room”')).toBeVisible();
  await page
    .getByLabel(/^Width/)
    .first()
    .fill('9');
  await page
    .getByLabel(/^Width/)
    .first()
    .press('Tab');
  await expect(page.getByText('Saved setting “aside room')).toBeVisible();
});

test('a backup brings everything back: it says first what it will do, merges, replaces, and can be undone', async ({
  page,
}) => {
  await newSheet(page, 'In the backup');
  await page.goto('/settings');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Back up…' }).click(),
  ]);
  const file = await download.path();
  expect(download.suggestedFilename()).toMatch(/^keen-tempo-\d{4}-\d\d-\d\d\.backup\.json\.gz$/);
  await page.goto('/sheets');
  await page.getByRole('button', { name: 'More for In the backup' }).click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await expect(page.getByRole('link', { name: 'In the backup', exact: true })).toBeHidden();
  await page.goto('/settings');
  const open = async (): Promise<void> => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Restore…' }).click(),
    ]);
    await chooser.setFiles({ name: 'x', mimeType: 'application/gzip', buffer: await readFile(file) });
  };
  await open();
  const row = page.getByRole('row').filter({ has: page.getByRole('rowheader', { name: 'Sheets' }) });
  await expect(row).toContainText(/1\s*5\s*0/);
  await page.getByRole('button', { name: /^Merge/ }).click();
  await expect(page.getByText('Restored')).toBeVisible();
  await page.goto('/sheets');
  await expect(page.getByRole('link', { name: 'In the backup', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Clear the examples' }).click();
  await expect(page.locator('.list li')).toHaveCount(1);
  await page.goto('/settings');
  await open();
  await page.getByText('Replace: use the backup instead of everything here').click();
  await page.getByRole('button', { name: /^Replace/ }).click();
  const restored = page.locator('mat-snack-bar-container', { hasText: 'Restored' });
  await restored.getByRole('button', { name: 'Undo' }).click();
  await expect(restored).toBeHidden();
  await page.goto('/sheets');
  await expect(page.locator('.list li')).toHaveCount(1);
  await page.goto('/settings');
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Restore…' }).click(),
  ]);
  await chooser.setFiles({
    name: 'x.gz',
    mimeType: 'application/gzip',
    buffer: (await readFile(file)).subarray(0, 400),
  });
  await expect(page.getByRole('alert')).toContainText('cannot be opened');
});

test('storage that answers late: a sheet that was not found is looked for again when it has come', async ({
  context,
  page,
}) => {
  await page.goto('/sheets');
  await page.getByRole('button', { name: 'New sheet' }).click();
  await page.keyboard.type('1 2 3');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  const id = page.url().split('/').at(-1) ?? '';
  await page.close();
  for (const [view, found] of [
    ['run', 'Start'],
    ['sheets', 'Undo'],
  ] as const) {
    const late = await context.newPage();
    // The first database is opened seven seconds late: the page goes on without storage before that.
    await late.addInitScript(() => {
      const open = indexedDB.open.bind(indexedDB);
      const until = performance.now() + 7000;
      indexedDB.open = (...args: Parameters<typeof open>) => {
        const request = open(...args);
        if (performance.now() > until) return request;
        const listen = request.addEventListener.bind(request);
        const later = (act: unknown) => (event: Event) =>
          setTimeout(() => (act as (event: Event) => void).call(request, event), until - performance.now());
        request.addEventListener = (kind: string, act: unknown) => listen(kind as 'success', later(act) as never);
        Object.defineProperty(request, 'onsuccess', { set: (act) => listen('success', later(act)) });
        return request;
      };
    });
    await late.goto(`/${view}/${id}`);
    await expect(late.getByText(/sheet not found/i).first()).toBeVisible();
    await expect(late.getByRole('button', { name: found, exact: true })).toBeVisible({ timeout: 20_000 });
    await late.close();
  }
});
