import { gunzipSync } from 'node:zlib';
import { readFileSync } from 'node:fs';
import { chromium, expect, test } from '@playwright/test';

// A tablet that opens the server by its address in the gym's network: plain http, not this machine's own, so that browsers
// offer nothing of what they keep for secure contexts (W3C Secure Contexts).
test('plain http in the gym’s network: a sheet is made, run and backed up, and what needs https leads there', async ({
  launchOptions,
  baseURL,
}) => {
  const port = new URL(baseURL ?? '').port;
  const browser = await chromium.launch({
    ...launchOptions,
    args: [...(launchOptions.args ?? []), '--host-resolver-rules=MAP tower.example 127.0.0.1'],
  });
  const page = await browser.newPage({
    baseURL: `http://tower.example:${port}`,
    viewport: { width: 1280, height: 800 },
  });
  const errors: string[] = [];
  page.on('pageerror', ({ message }) => errors.push(message));
  await page.goto('/sheets');
  expect(await page.evaluate(() => [isSecureContext, 'randomUUID' in crypto, 'subtle' in crypto])).toEqual([
    false,
    false,
    false,
  ]);
  await page.getByRole('button', { name: 'New sheet' }).click();
  await expect(page.getByLabel('Type a combination')).toBeFocused();
  await page.keyboard.type('1 2 3b 2');
  await page.keyboard.press('Control+Enter');
  await expect(page.locator('text.moment')).toHaveCount(4);
  await page.getByLabel('Title of the sheet').fill('By plain http');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Run', exact: true }).click();
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByRole('timer')).toBeVisible();
  await page.keyboard.press('s');
  await page.keyboard.press('x');
  await page.getByRole('link', { name: 'Go to Log' }).click();
  await expect(page.getByRole('row', { name: /By plain http/ }).first()).toBeVisible();

  await page.goto('/settings');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Back up' }).click(),
  ]);
  const backup = await download.path();
  expect(gunzipSync(readFileSync(backup)).toString()).toContain('By plain http');
  await page.locator('input[type=file]').first().setInputFiles(backup);
  await expect(page.getByText(/This backup|In this file|Merge/).first()).toBeVisible();
  const secure = page.getByRole('link', { name: 'Open it by https' });
  await expect(secure).toHaveAttribute('href', '/secure?to=/settings');
  await secure.click();
  // This one listens on its own machine only, and says what to do.
  await expect(page.getByText('HOST=0.0.0.0 npm start')).toBeVisible();
  expect(errors).toEqual([]);
  await browser.close();
});
