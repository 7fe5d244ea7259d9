import { chromium } from '@playwright/test';
import { report } from './measure';

/** How fast films are made at 720p, as a multiple of how long they last: with the figure, and with the diagram only. */
export async function benchFilm(base: string): Promise<void> {
  const browser = await chromium.launch({
    executablePath: process.env['CHROME_BIN'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox'],
  });
  const page = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
  // No place is chosen on a disk: the film is handed over when it is made.
  await page.addInitScript(() => Reflect.deleteProperty(window, 'showSaveFilePicker'));
  await page.goto(`${base}/sheets`);
  const text = '# Short film\nround 1:00: 1 2 3b ro 4 bk\n';
  await page
    .getByLabel('Import')
    .setInputFiles({ name: 'bench.txt', mimeType: 'text/plain', buffer: Buffer.from(text) });
  await page.getByRole('link', { name: 'Short film', exact: true }).click();
  await page.getByRole('button', { name: 'Take home' }).click();
  await page.getByRole('menuitem', { name: 'Video' }).click();
  for (const shows of ['figure and diagram', 'diagram only']) {
    await page.getByRole('combobox', { name: 'Show' }).click();
    await page.getByRole('option', { name: shows }).click();
    await page.getByRole('button', { name: 'Make video' }).and(page.locator(':enabled')).waitFor();
    const from = performance.now();
    const saved = page.waitForEvent('download', { timeout: 300_000 });
    await page.getByRole('button', { name: 'Make video' }).click();
    await saved;
    // A minute, and the title card.
    const times = 64_000 / (performance.now() - from);
    report(
      `film: 720p, ${shows}`,
      `${times.toFixed(1)} × real time`,
      shows === 'diagram only' ? 'at least 2 ×' : 'at least 1 ×',
    );
  }
  await browser.close();
}
