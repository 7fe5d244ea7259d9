import { chromium } from '@playwright/test';
import { quantile, report } from './measure';

const args = [
  '--no-sandbox',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--no-first-run',
];

/** An hour of 300 pieces: fifteen rounds of twenty twelve-second pieces, as text. */
function hourOf300(): string {
  const pieces = ['1 2 3b 2', '2 3 2', '1 bl 2 3', '5 2 swk', '1 1 2 sl 6 3'];
  const round = Array.from({ length: 20 }, (_, at) => `  0:12: ${pieces[at % pieces.length] ?? '1'}`).join('\n');
  return Array.from({ length: 15 }, (_, at) => `round 4:00 "Part ${at + 1}"\n${round}`).join('\n');
}

/**
 * From a key that changes a row (five seconds more or less) to the end of the frame callback that drew it, on a sheet of
 * an hour with 300 pieces, in the real interface.
 */
export async function benchEditing(address: string): Promise<void> {
  const browser = await chromium.launch({ executablePath: process.env['CHROME_BIN'] ?? '/usr/bin/chromium', args });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${address}/sheets`);
  await page
    .getByLabel('Import')
    .setInputFiles({ name: 'hour.tempo.txt', mimeType: 'text/plain', buffer: Buffer.from(hourOf300()) });
  await page.getByRole('link', { name: 'hour', exact: true }).click();
  const row = page.locator('kt-piece-view .piece').nth(150);
  await row.focus();
  await page.evaluate(`
    window.edited = [];
    document.addEventListener('keydown', () => {
      const start = performance.now();
      requestAnimationFrame(() => queueMicrotask(() => window.edited.push(performance.now() - start)));
    }, true);
  `);
  for (let stroke = 0; stroke < 80; stroke += 1) await page.keyboard.press(stroke % 2 === 0 ? '+' : '-', { delay: 40 });
  await page.waitForTimeout(300);
  const times = (await page.evaluate('window.edited')) as number[];
  report(
    `edit to drawn row, 300 pieces, ${times.length} edits, median`,
    `${quantile(times, 0.5).toFixed(1)} ms`,
    'one frame of 16 ms',
  );
  report('  worst', `${Math.max(...times).toFixed(1)} ms`, '50 ms');
  await browser.close();
}
