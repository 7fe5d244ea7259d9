import { fileURLToPath } from 'node:url';
import type { AddressInfo } from 'node:net';
import { chromium, type Page } from '@playwright/test';
import { serverOf } from '../server/listen';
import { quantile, report } from './measure';
import { fill, opening } from './pages';

/** Milliseconds from words in the log's search to the count of what is found. */
async function filtering(page: Page, count: number): Promise<number> {
  await page.goto('/log');
  await page.getByText(`${count} entries`).waitFor();
  const took: number[] = [];
  for (const words of ['alarm', 'tower', 'roll came', 'nothing like it']) {
    const before = await page.locator('kt-log-filter [role=status]').textContent();
    const start = performance.now();
    await page.getByLabel('Find').fill(words);
    await page.waitForFunction(
      (old) => document.querySelector('kt-log-filter [role=status]')?.textContent !== old,
      before,
    );
    took.push(performance.now() - start);
  }
  return quantile(took, 0.5);
}

const aim = 'at most twice as long and 300 ms';

/** Ten years of a log against fifty entries: opened, searched, drawn. */
export async function benchProgress(): Promise<void> {
  const server = serverOf(fileURLToPath(new URL('../dist/app/browser', import.meta.url)));
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const browser = await chromium.launch({
    executablePath: process.env['CHROME_BIN'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox'],
  });
  const page = await (await browser.newContext({ baseURL: base, serviceWorkers: 'block' })).newPage();
  await page.goto('/log');
  await page.getByText('34 entries').waitFor();
  const figures = async (entries: number) => {
    await fill(page, { sheets: 5, log: entries, book: 12 });
    const start = performance.now();
    await page.goto('/log');
    await page.getByText(`${entries} entries`).waitFor({ timeout: 300_000 });
    return {
      first: performance.now() - start,
      log: await opening(page, '/log', 'tr[mat-row]'),
      filter: await filtering(page, entries),
      chart: await opening(page, '/progress', 'kt-chart-card svg'),
    };
  };
  const few = await figures(50);
  const many = await figures(5000);
  const told = (name: 'log' | 'filter' | 'chart'): string =>
    `${Math.round(many[name])} ms; fifty ${Math.round(few[name])} ms`;
  report('opening the log with 5000 entries of ten years', told('log'), aim);
  report('searching it', told('filter'), aim);
  report('progress drawn from it', told('chart'), aim);
  report('adding 5000 entries up for the first time', `${Math.round(many.first)} ms`, 'told');
  await browser.close();
  server.close();
}
