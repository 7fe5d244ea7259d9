import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { written } from './hands';
import { copyOfBuild, end, makeNewer, serve } from './versions';

// A server of its own, which the test ends; the others' goes on.
const port = 4396;
const at = (path: string): string => `http://localhost:${port}${path}`;

test.use({ serviceWorkers: 'allow' });

/** Puts everything on the device, and what speaks own words. */
async function installed(page: Page): Promise<void> {
  await page.goto(at('/settings'));
  await expect(page.getByText(/Everything is on this device, including both voices \(\d/)).toBeVisible({
    timeout: 30_000,
  });
  await page.getByRole('button', { name: 'Download and turn on' }).click();
  await expect(page.getByRole('button', { name: 'Add a pronunciation' })).toBeVisible({ timeout: 30_000 });
}

test('with the server gone everything works: all views, a run with its voice, own words, a sound file; a newer version waits', async ({
  page,
}) => {
  test.slow();
  // A version that is served, and a newer one of it: another first page.
  const folder = copyOfBuild('test-results/versions');
  const first = await serve(folder, port);
  try {
    await installed(page);
  } finally {
    await end(first);
  }

  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  const views = [
    '/sheets',
    '/sheets/demo-first-watch',
    '/combos',
    '/room',
    '/bench',
    '/log',
    '/progress',
    '/programme',
  ];
  for (const path of views) {
    await page.goto(at(path));
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
  }
  // A word that nobody has written before is spoken by what was kept.
  await page.goto(at('/settings'));
  expect(await written(page, 'clips', 'tarrow bee')).toBe(0);
  await page.getByRole('button', { name: 'Add a pronunciation' }).click();
  await page.getByRole('button', { name: 'Listen to Tarrowby' }).click();
  // The synthesiser is compiled first, which a busy machine takes its time for.
  await expect.poll(() => written(page, 'clips', 'tarrow bee'), { timeout: 40_000 }).toBe(1);
  await page.goto(at('/calls/demo-ten-minutes'));
  await page.getByRole('button', { name: 'Export' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: /WAV/ }).click(),
  ]);
  const sound = readFileSync(await download.path());
  expect(sound.subarray(0, 4).toString()).toBe('RIFF');
  await page.goto(at('/run/demo-ten-minutes'));
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByRole('timer')).toBeVisible();
  const sizes = await page.evaluate(() =>
    Promise.all(['rms', 'slt'].map(async (voice) => (await (await fetch(`/voice/${voice}.ogg`)).blob()).size)),
  );
  expect(sizes.every((bytes) => bytes > 1_000_000)).toBeTruthy();

  // The server comes back with a newer version, while the old page runs a session.
  makeNewer(folder);
  const second = await serve(folder, port);
  try {
    await page.evaluate(() => dispatchEvent(new Event('online')));
    const notice = page.getByText('A new version of Keen Tempo is ready.');
    await expect(notice).toHaveCount(0);
    await page.keyboard.press('s');
    await page.keyboard.press('x');
    await expect(page.locator('#over')).toBeVisible();
    await page.getByRole('link', { name: 'Go to Log' }).click();
    await expect(notice).toBeVisible({ timeout: 30_000 });
    expect(await page.evaluate(() => document.querySelector('html')?.outerHTML.includes('newer</title>'))).toBeFalsy();
    await page.getByRole('button', { name: 'Update now' }).click();
    await expect(notice).toHaveCount(0);
    await page.waitForLoadState();
    expect(await page.evaluate(async () => (await (await fetch('/index.html')).text()).includes('newer</title>'))).toBe(
      true,
    );
  } finally {
    await end(second);
  }
  expect(errors).toEqual([]);
});
