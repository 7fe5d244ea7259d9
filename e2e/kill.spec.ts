import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, expect, test, type Browser, type Page } from '@playwright/test';

/** How often the browser is killed in each test; `KILLS=20 npx playwright test kill` by hand. */
const kills = Number(process.env['KILLS'] ?? 5);

/** A browser with a profile of its own, that can be killed as a power cut would. */
class Killable {
  private child: ChildProcess | null = null;
  private browser: Browser | null = null;

  private constructor(private readonly profile: string) {}

  static async fresh(): Promise<Killable> {
    return new Killable(await mkdtemp(join(tmpdir(), 'kill-')));
  }

  async open(address: string): Promise<Page> {
    await rm(join(this.profile, 'DevToolsActivePort'), { force: true });
    this.child = spawn(
      process.env['CHROME_BIN'] ?? '/usr/bin/chromium',
      [
        ...['--headless', '--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'],
        ...[
          '--disable-component-update',
          '--disable-sync',
          '--remote-debugging-port=0',
          `--user-data-dir=${this.profile}`,
        ],
        'about:blank',
      ],
      { stdio: 'ignore', detached: true },
    );
    let port = '';
    await expect(async () => {
      [port = ''] = (await readFile(join(this.profile, 'DevToolsActivePort'), 'utf8')).split('\n');
      expect(port).not.toBe('');
    }).toPass({ timeout: 15_000 });
    this.browser = await chromium.connectOverCDP(`http://127.0.0.1:${port}`);
    const [context] = this.browser.contexts();
    const page = await (context ?? (await this.browser.newContext())).newPage();
    await page.goto(address);
    return page;
  }

  /** Ends the browser and all its processes at once, without a word to the page. */
  async kill(): Promise<void> {
    const { child } = this;
    if (child?.pid === undefined) return;
    const gone = new Promise((done) => child.once('exit', done));
    process.kill(-child.pid, 'SIGKILL');
    await gone;
    await this.browser?.close().catch(() => undefined);
    this.child = null;
  }

  async end(): Promise<void> {
    await this.kill();
    await rm(this.profile, { recursive: true, force: true, maxRetries: 5 });
  }
}

/** Pieces of the first own sheet as they are stored. */
const storedPieces = (page: Page): Promise<number> =>
  page.evaluate(
    () =>
      new Promise<number>((done) => {
        const request = indexedDB.open('keen-tempo');
        request.onsuccess = () => {
          const all = request.result.transaction('sheets').objectStore('sheets').getAll();
          all.onsuccess = () => {
            const rows = all.result as { demo: boolean; sheet: { blocks: { pieces: unknown[] }[] } }[];
            done(
              rows
                .filter(({ demo }) => !demo)
                .reduce(
                  (sum, { sheet }) => sum + sheet.blocks.reduce((count, { pieces }) => count + pieces.length, 0),
                  0,
                ),
            );
            request.result.close();
          };
        };
      }),
  );

test.describe.configure({ timeout: 60_000 + kills * 20_000 });

test('killed at a random moment while editing: everything that was shown as saved is there, and so is undo', async ({
  baseURL,
}) => {
  const browser = await Killable.fresh();
  try {
    let page = await browser.open(`${baseURL}/sheets`);
    await page.getByRole('button', { name: 'New sheet' }).first().click();
    await page.waitForURL(/\/sheets\/./);
    await page.getByLabel('Type a combination').waitFor();
    const address = page.url();
    let saved = 0;
    for (let kill = 0; kill < kills; kill += 1) {
      const until = Date.now() + 300 + Math.random() * 1200;
      let typed = await storedPieces(page);
      const typing = (async () => {
        while (Date.now() < until + 5000) {
          await page.getByLabel('Type a combination').fill('1 2');
          await page.getByLabel('Type a combination').press('Enter');
          typed += 1;
          await page.getByText('Saved', { exact: true }).waitFor();
          saved = typed;
        }
      })().catch(() => undefined);
      await new Promise((next) => setTimeout(next, until - Date.now()));
      await browser.kill();
      const [confirmed, most] = [saved, typed];
      await typing;
      page = await browser.open(address);
      await page.getByLabel('Type a combination').waitFor();
      const kept = await storedPieces(page);
      expect(kept).toBeGreaterThanOrEqual(confirmed);
      expect(kept).toBeLessThanOrEqual(most + 1);
      if (kept > 0) await expect(page.getByRole('button', { name: 'Undo', exact: true })).toBeEnabled();
      saved = kept;
    }
    expect(saved).toBeGreaterThan(0);
  } finally {
    await browser.end();
  }
});

test('killed at a random moment during a run: it is offered again at its second, and ends in the log', async ({
  baseURL,
}) => {
  const browser = await Killable.fresh();
  try {
    let page = await browser.open(`${baseURL}/run/demo-first-watch`);
    for (let kill = 0; kill < kills; kill += 1) {
      await page.getByRole('button', { name: kill === 0 ? 'Start' : 'Resume', exact: true }).click();
      await page.locator('kt-stage').waitFor();
      if (kill === 0) for (let step = 0; step < 4; step += 1) await page.keyboard.press('ArrowRight');
      else await page.keyboard.press('Space');
      await page.waitForTimeout(700 + Math.random() * 1200);
      await browser.kill();
      page = await browser.open(`${baseURL}/sheets`);
      const note = page.getByRole('note').filter({ hasText: 'was interrupted at' });
      await expect(note).toContainText(/interrupted at (5:\d\d|[6-9]:\d\d)/);
      await note.getByRole('link', { name: 'Resume' }).click();
    }
    await page.getByRole('button', { name: 'Resume' }).click();
    await page.getByRole('button', { name: 'Stop' }).click();
    // A session that stands stopped may be resumed; one that was ended is in the log.
    await page.getByRole('button', { name: 'End session' }).click();
    await expect(page.locator('#over')).toBeVisible();
    await page.goto(`${baseURL}/sheets`);
    await expect(page.locator('.list li')).toHaveCount(5);
    await expect(page.getByRole('note').filter({ hasText: 'was interrupted at' })).toBeHidden();
  } finally {
    await browser.end();
  }
});

/** Makes the database as version 5 had it, with so many log entries (their fields of today, without a count of changes). */
const olderDatabase = (page: Page, entries: number): Promise<void> =>
  page.evaluate(
    (count) =>
      new Promise<void>((done, failed) => {
        const before = indexedDB.open('keen-tempo');
        before.onsuccess = () => {
          const read = before.result.transaction('log').objectStore('log').getAll();
          read.onsuccess = () => {
            const [row] = read.result as { id: string; entry: { id: string }; rev?: number }[];
            before.result.close();
            indexedDB.deleteDatabase('keen-tempo').onsuccess = () => {
              // Dexie counts in tens.
              const older = indexedDB.open('keen-tempo', 50);
              older.onupgradeneeded = () => {
                for (const name of ['sheets', 'log', 'book']) older.result.createObjectStore(name, { keyPath: 'id' });
                for (const name of ['choices', 'runs', 'clips'])
                  older.result.createObjectStore(name, { keyPath: 'key' });
                const steps = older.result.createObjectStore('steps', { keyPath: ['sheetId', 'number'] });
                steps.createIndex('sheetId', 'sheetId');
                const log = older.transaction?.objectStore('log');
                for (const name of ['startedAt', 'sheetId']) log?.createIndex(name, name);
                log?.createIndex('[sheetId+startedAt]', ['sheetId', 'startedAt']);
                older.transaction?.objectStore('sheets').createIndex('changedAt', 'changedAt');
                older.transaction?.objectStore('book').createIndex('changedAt', 'changedAt');
                for (let each = 0; row && each < count; each += 1) {
                  const { rev: _, ...old } = { ...row, id: `old-${each}`, entry: { ...row.entry, id: `old-${each}` } };
                  log?.put(old);
                }
              };
              older.onsuccess = () => {
                older.result.close();
                done();
              };
              older.onerror = () => failed(new Error(String(older.error)));
            };
          };
        };
      }),
    entries,
  );

test('killed at a random moment while the data of an older version is brought up: every entry is there', async ({
  baseURL,
}) => {
  const browser = await Killable.fresh();
  try {
    let page = await browser.open(`${baseURL}/log`);
    await expect(page.getByText(/^\s*34 entries/)).toBeVisible();
    // From a page of this address that has no database of its own open.
    await page.goto(`${baseURL}/mark.svg`);
    await olderDatabase(page, 400);
    for (let kill = 0; kill < kills; kill += 1) {
      const opening = page.goto(`${baseURL}/log`, { waitUntil: 'commit' }).catch(() => undefined);
      await new Promise((next) => setTimeout(next, 100 + Math.random() * 900));
      await browser.kill();
      await opening;
      page = await browser.open(`${baseURL}/mark.svg`);
    }
    await page.goto(`${baseURL}/log`);
    // The demo's, which a version without a choice of its own is given, beside its own.
    await expect(page.getByText(/^\s*434 entries/)).toBeVisible();
  } finally {
    await browser.end();
  }
});
