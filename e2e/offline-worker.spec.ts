import { execFileSync } from 'node:child_process';
import { copyFileSync, mkdirSync, readdirSync, rmSync, unlinkSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { browserOf, copyOfBuild, end, makeNewer, renameScripts, serve } from './versions';

// Servers of its own, one after the other.
test.describe.configure({ mode: 'serial', timeout: 120_000 });
test.use({ serviceWorkers: 'allow' });
const port = 4391;
const at = (path: string): string => `http://localhost:${port}${path}`;

const active = (page: Page): Promise<string | null> =>
  page.evaluate(async () => {
    const worker = (await navigator.serviceWorker.getRegistration())?.active;
    return worker ? new URL(worker.scriptURL).pathname : null;
  });
const controlled = (page: Page): Promise<boolean> => page.evaluate(() => navigator.serviceWorker.controller !== null);

test('nobody waits for the worker: on a first visit it fetches behind the page, and controls none before everything is there', async ({
  page,
  context,
}) => {
  const server = await serve(copyOfBuild('test-results/first'), port);
  try {
    // A slow line for what the worker fetches: it is not there for many seconds.
    let held = true;
    await context.route('**/voice/*.ogg', async (route) => {
      while (held) await new Promise((next) => setTimeout(next, 100));
      await route.continue();
    });
    await page.goto(at('/sheets'));
    await expect(page.locator('.list li').first()).toBeVisible();
    await expect
      .poll(() => page.evaluate(async () => !!(await navigator.serviceWorker.getRegistration())?.installing))
      .toBe(true);
    // What is opened next is there at once, and so is a page that is loaded anew.
    await page.getByRole('link', { name: 'Gym', exact: true }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Room' })).toBeVisible({ timeout: 5000 });
    await page.goto(at('/sheets'));
    await expect(page.locator('.list li').first()).toBeVisible({ timeout: 5000 });
    expect([await active(page), await controlled(page)]).toEqual([null, false]);
    held = false;
    await expect.poll(() => active(page), { timeout: 60_000 }).toBe('/offline-worker.js');
    // Not before the next start of a page.
    expect(await controlled(page)).toBe(false);
    await page.reload();
    expect(await controlled(page)).toBe(true);
  } finally {
    await end(server);
  }
});

test('whoever has the worker of an older version is moved, and its caches go', async ({ page }) => {
  const folder = copyOfBuild('test-results/older');
  // An older version: a page that registers Angular's worker, with the table that its tool makes.
  const old = 'test-results/older-app';
  rmSync(old, { recursive: true, force: true });
  mkdirSync(join(old, 'app/browser'), { recursive: true });
  mkdirSync(join(old, 'server'));
  copyFileSync(join(folder, 'server/main.mjs'), join(old, 'server/main.mjs'));
  const browser = join(old, 'app/browser');
  writeFileSync(join(browser, 'index.html'), '<!doctype html><h1>Older</h1><script src="older.js"></script>');
  writeFileSync(join(browser, 'older.js'), 'navigator.serviceWorker.register("/ngsw-worker.js");');
  const config = join(old, 'ngsw-config.json');
  writeFileSync(
    config,
    JSON.stringify({
      index: '/index.html',
      assetGroups: [{ name: 'all', installMode: 'prefetch', resources: { files: ['/**'] } }],
    }),
  );
  execFileSync(process.execPath, ['node_modules/@angular/service-worker/ngsw-config.js', browser, config]);
  copyFileSync('node_modules/@angular/service-worker/ngsw-worker.js', join(browser, 'ngsw-worker.js'));
  const caches = (): Promise<string[]> => page.evaluate(() => window.caches.keys());
  const before = await serve(old, port);
  try {
    await page.goto(at('/'));
    await expect.poll(caches).toContainEqual(expect.stringMatching(/^ngsw:.*assets/));
    await page.reload();
    expect(await controlled(page)).toBe(true);
  } finally {
    await end(before);
  }
  const now = await serve(folder, port);
  try {
    // The first visit is still answered by the worker that goes behind it: browsers look for a newer one now and then.
    await page.goto(at('/sheets'));
    await expect.poll(() => active(page), { timeout: 45_000 }).not.toBe('/ngsw-worker.js');
    await page.goto(at('/sheets'));
    await expect(page.getByRole('heading', { level: 1, name: 'Sheets' })).toBeVisible();
    await expect.poll(() => active(page), { timeout: 60_000 }).toBe('/offline-worker.js');
    expect((await caches()).filter((name) => name.startsWith('ngsw:'))).toEqual([]);
  } finally {
    await end(now);
  }
});

test('a version that is not all there is never used; one that is waits until it is taken', async ({ page }) => {
  const folder = copyOfBuild('test-results/half');
  const server = await serve(folder, port);
  let gone = false;
  const title = (): Promise<string> =>
    page.evaluate(async () => /<title>(.*)<\/title>/.exec(await (await fetch('/index.html')).text())?.[1] ?? '');
  try {
    await page.goto(at('/settings'));
    await expect.poll(() => active(page), { timeout: 60_000 }).toBe('/offline-worker.js');
    await page.reload();
    // A newer version comes, and one of its files does not.
    const lost = join(browserOf(folder), 'new.json');
    writeFileSync(lost, '{}');
    makeNewer(folder);
    unlinkSync(lost);
    await page.evaluate(async () => {
      const registration = await navigator.serviceWorker.getRegistration();
      const tried = new Promise((done) =>
        registration?.addEventListener('updatefound', () => {
          const newer = registration.installing;
          newer?.addEventListener('statechange', () => newer.state === 'redundant' && done(null));
        }),
      );
      await registration?.update().catch(() => undefined);
      await tried;
    });
    const notice = page.getByText('A new version of Keen Tempo is ready.');
    await expect(notice).toHaveCount(0);
    await page.reload();
    expect(await title()).toBe('Keen Tempo');
    writeFileSync(lost, '{}');
    await expect(async () => {
      await page.evaluate(() => dispatchEvent(new Event('online')));
      await expect(notice).toBeVisible({ timeout: 3000 });
    }).toPass({ timeout: 30_000 });
    expect(await title()).toBe('Keen Tempo');
    await end(server);
    gone = true;
    // It is all here: taken with the server gone.
    await Promise.all([page.waitForEvent('framenavigated'), page.getByRole('button', { name: 'Update now' }).click()]);
    await expect(page.getByRole('heading', { level: 1, name: 'Settings' })).toBeVisible();
    expect(await title()).toBe('Keen Tempo, newer');
  } finally {
    if (!gone) await end(server);
  }
});

test('an old page whose scripts are gone from the server reloads itself once, with what is typed', async ({
  page,
  context,
}) => {
  // Without the worker: it would have them.
  await context.addInitScript(() => Object.defineProperty(navigator, 'serviceWorker', { get: () => undefined }));
  const folder = copyOfBuild('test-results/gone');
  let server = await serve(folder, port);
  try {
    await page.goto(at('/sheets'));
    const line = page.getByRole('combobox', { name: /^Type and go/ });
    await line.fill('1 2 3b 2');
    await end(server);
    renameScripts(folder);
    server = await serve(folder, port);
    expect(readdirSync(browserOf(folder)).some((name) => name.startsWith('main-NEW'))).toBe(true);
    await page.keyboard.press('Alt+6');
    await page.waitForFunction(() => document.querySelector('script[src^="main-NEW"]') !== null);
    await expect(line).toHaveValue('1 2 3b 2');
    await page.keyboard.press('Alt+6');
    await expect(page.getByRole('heading', { level: 1, name: 'Settings' })).toBeVisible();
    expect(await page.evaluate(() => performance.getEntriesByType('navigation').length)).toBe(1);
  } finally {
    await end(server);
  }
});

test('on a full disk the worker answers all the same: from what is on the device, or from the server', async ({
  page,
  context,
}) => {
  const server = await serve(copyOfBuild('test-results/full'), port);
  try {
    await page.goto(at('/sheets'));
    await expect.poll(() => active(page), { timeout: 60_000 }).toBe('/offline-worker.js');
    await page.reload();
    await expect.poll(() => controlled(page)).toBe(true);
    const devtools = await context.newCDPSession(page);
    await devtools.send('Storage.overrideQuotaForOrigin', { origin: at('').replace(/\/$/, ''), quotaSize: 1 });
    for (const path of ['/sheets', '/room', '/log', '/sheets/demo-first-watch', '/run/demo-first-watch']) {
      await page.goto(at(path));
      await expect(page.locator('#main')).toBeVisible();
      await expect(page.locator('#main h1').first()).toBeAttached();
    }
    // What somebody has thrown away comes from the server, though it cannot be put back.
    await page.evaluate(async () => {
      for (const name of await caches.keys()) await caches.delete(name);
    });
    await page.goto(at('/sheets'));
    await expect(page.locator('#main h1').first()).toHaveText('Sheets');
  } finally {
    await end(server);
  }
});
