import { expect, test } from '@playwright/test';
import { choose } from './hands';

test('what sound can do is said before the start, with one bell and one call to hear it', async ({ page }) => {
  await page.goto('/run/demo-first-watch');
  const check = page.locator('kt-sound-check');
  await expect(check).toContainText('Voice: Low voice, ready. Volume 80%.');
  await check.getByRole('button', { name: 'Sound check' }).click();
  await expect(check).toContainText(/You should hear a bell and “halfway”|Sound is blocked/);
});

test('keys of a headset pause, go on, go a piece on and back, and stop', async ({ page }) => {
  // The keys themselves are the browser's: what they call is called here.
  await page.addInitScript(() => {
    const keys: Record<string, (() => void) | null> = {};
    Object.assign(window, { keys });
    MediaSession.prototype.setActionHandler = (action, press) => (keys[action] = press as (() => void) | null);
  });
  const press = (key: string) =>
    page.evaluate((name) => (window as unknown as { keys: Record<string, () => void> }).keys[name]?.(), key);
  await page.goto('/run/demo-hands-then-legs');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect.poll(() => page.evaluate(() => navigator.mediaSession.playbackState)).toBe('playing');
  expect(await page.evaluate(() => navigator.mediaSession.metadata?.title)).toBe('Hands, then legs');
  await press('nexttrack');
  await expect(page.getByRole('heading', { name: 'Warm-up' })).toBeVisible();
  await press('pause');
  await expect(page.getByText('Paused').first()).toBeVisible();
  await press('pause');
  await expect(page.getByText('Paused').first()).toBeVisible();
  await press('play');
  await expect(page.getByText('Paused')).toHaveCount(0);
  await press('stop');
  await expect(page.getByRole('region', { name: 'Stopped' })).toBeVisible();
});

test('stop is one press and can go on; ending is another, and what was said meanwhile is in the log', async ({
  page,
}) => {
  await page.goto('/run/demo-first-watch');
  await page.getByRole('button', { name: 'Start' }).click();
  await page.keyboard.press('ArrowRight');
  await page.getByRole('button', { name: 'Stop now' }).click();
  const stopped = page.getByRole('region', { name: 'Stopped' });
  await stopped.getByLabel('Note for next time').fill('Somebody fell');
  const standing = (await page.getByRole('timer').textContent()) ?? '';
  await stopped.getByRole('button', { name: 'Resume' }).click();
  await expect(stopped).toHaveCount(0);
  await expect(page.getByRole('timer')).not.toHaveText(standing);
  await page.keyboard.press('s');
  await expect(stopped.getByLabel('Note for next time')).toHaveValue('Somebody fell');
  await stopped.getByRole('button', { name: 'End session' }).click();
  await expect(page.locator('#over')).toContainText('Ended early: ');
  await page.getByRole('link', { name: 'Go to Log' }).click();
  // Once, however often it was stopped.
  await expect(page.getByText('Somebody fell')).toHaveCount(1);
});

test('the lock keeps every control but Stop from stray touches', async ({ page }) => {
  await page.goto('/run/demo-first-watch');
  await page.getByRole('button', { name: 'Start' }).click();
  await page.getByRole('button', { name: 'Lock', exact: true }).click();
  const pause = page.getByText('Pause', { exact: true });
  await pause.click({ force: true });
  await expect(page.getByText('Paused')).toHaveCount(0);
  await page.getByRole('button', { name: 'Stop now' }).click();
  await expect(page.getByRole('region', { name: 'Stopped' })).toBeVisible();
});

test('where a browser has no lock for the screen, the screen is kept on another way', async ({ page }) => {
  await page.addInitScript(() => {
    Reflect.deleteProperty(Navigator.prototype, 'wakeLock');
    const play = HTMLMediaElement.prototype.play;
    HTMLMediaElement.prototype.play = function (this: HTMLMediaElement) {
      Object.assign(window, { played: [...((window as { played?: string[] }).played ?? []), this.tagName] });
      return play.call(this);
    };
  });
  await page.goto('/run/demo-first-watch');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect.poll(() => page.evaluate(() => (window as { played?: string[] }).played ?? [])).toContain('VIDEO');
});

test('a fault seen in one session is a reminder of the next, unless it is left out', async ({ page }) => {
  await page.goto('/run/demo-first-watch');
  await page.getByRole('button', { name: 'Start' }).click();
  for (let step = 0; step < 6; step += 1) await page.keyboard.press('ArrowRight');
  await page.keyboard.press('c');
  await choose(page, 'Log a fault', 'Wrist bends on impact');
  await expect(page.getByRole('listbox')).toHaveCount(0);
  await page.keyboard.press('s');
  await page.keyboard.press('x');
  await expect(page.locator('#over')).toBeVisible();
  await page.goto('/run/demo-ten-minutes');
  const notice = page.locator('.notice').filter({ hasText: 'Seen last time: Wrist bends on impact' });
  await notice.getByRole('button', { name: 'Skip them' }).click();
  await expect(notice).toHaveCount(0);
});

test('simulated sensors are called so beside the clock and in the log', async ({ page }) => {
  await page.goto('/settings');
  await page.getByRole('switch', { name: 'Punch counter, simulated' }).click();
  await page.getByRole('switch', { name: 'Heart-rate strap, simulated' }).click();
  await expect(page.getByLabel('Resting heart rate')).toHaveValue('60');
  await expect
    .poll(() =>
      page.evaluate(
        () =>
          new Promise<boolean>((done) => {
            const open = indexedDB.open('keen-tempo');
            open.onsuccess = () => {
              const asked = open.result.transaction('choices').objectStore('choices').get('settings');
              asked.onsuccess = () => {
                open.result.close();
                done((asked.result as { value?: { sensors?: { strap: boolean } } })?.value?.sensors?.strap === true);
              };
            };
          }),
      ),
    )
    .toBe(true);
  await page.goto('/run/demo-ten-minutes');
  await choose(page, 'Rehearsal speed', 'rehearsal × 20');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText(/^Simulated sensors: [1-9]\d* of \d+ punches planned so far · \d+ bpm, /)).toBeVisible({
    timeout: 30_000,
  });
  await page.keyboard.press('s');
  await page.keyboard.press('x');
  await expect(page.locator('dl')).toContainText(/Simulated\s*\d+ punches · heart rate \d+ average, \d+ maximum/);
});
