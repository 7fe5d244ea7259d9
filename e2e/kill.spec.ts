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
      await page.getByRole('button', { name: kill === 0 ? 'Start' : 'Resume there', exact: true }).click();
      await page.locator('kt-stage').waitFor();
      if (kill === 0) for (let step = 0; step < 4; step += 1) await page.keyboard.press('ArrowRight');
      else await page.keyboard.press('Space');
      await page.waitForTimeout(700 + Math.random() * 1200);
      await browser.kill();
      page = await browser.open(`${baseURL}/sheets`);
      const note = page.getByRole('note').filter({ hasText: 'was broken off at' });
      await expect(note).toContainText(/broken off at (5:\d\d|[6-9]:\d\d)/);
      await note.getByRole('link', { name: 'Take it up' }).click();
    }
    await page.getByRole('button', { name: 'Resume there' }).click();
    await page.getByRole('button', { name: 'Stop' }).click();
    await expect(page.getByLabel('Note for next time')).toBeVisible();
    await page.goto(`${baseURL}/sheets`);
    await expect(page.locator('.list li')).toHaveCount(5);
    await expect(page.getByRole('note').filter({ hasText: 'was broken off at' })).toBeHidden();
  } finally {
    await browser.end();
  }
});
