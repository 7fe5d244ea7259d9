import { fileURLToPath } from 'node:url';
import type { AddressInfo } from 'node:net';
import { chromium, type Page } from '@playwright/test';
import { serverOf } from '../server/listen';
import { quantile, report } from './measure';
import { fill, opening } from './pages';

/** Words after each of which something else stands in the list. */
const typed = [
  'watch',
  'alarm',
  'a',
  'hands',
  'tower',
  'ten',
  'one',
  'legs',
  'x',
  'on',
  'legs t',
  'tower f',
  'alarm in',
  '',
];

/** Milliseconds from a key to the drawn answer of the log's search, typed as quickly as people type. */
async function filtering(page: Page, count: number): Promise<number[]> {
  await page.goto('/log');
  await page.getByText(`${count} entries`).waitFor();
  // Stands there as soon as the whole log has been looked at.
  await page.getByText('Last four weeks').waitFor();
  return page.evaluate(async (words) => {
    const field = document.querySelector<HTMLInputElement>('kt-log-filter input');
    const list = document.querySelector<HTMLElement>('kt-log-page');
    const took: number[] = [];
    if (!field || !list) return took;
    for (let time = 0; time < 4; time += 1)
      for (const word of words) {
        const before = list.textContent;
        const start = performance.now();
        field.value = word;
        field.dispatchEvent(new Event('input', { bubbles: true }));
        do await new Promise((next) => requestAnimationFrame(() => setTimeout(next)));
        while (list.textContent === before && performance.now() - start < 1000);
        // The first time round, everything is met for the first time.
        if (time > 0) took.push(performance.now() - start);
        await new Promise((next) => setTimeout(next, 120));
      }
    return took;
  }, typed);
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
    await page.getByText('Last four weeks').waitFor({ timeout: 300_000 });
    return {
      first: performance.now() - start,
      log: await opening(page, '/log', 'tr[mat-row]'),
      typing: await filtering(page, entries),
      chart: await opening(page, '/progress', 'kt-chart-card svg'),
    };
  };
  const few = await figures(50);
  const many = await figures(5000);
  const told = (name: 'log' | 'chart'): string => `${Math.round(many[name])} ms; fifty ${Math.round(few[name])} ms`;
  report('opening the log with 5000 entries of ten years', told('log'), aim);
  for (const [name, share] of Object.entries({ median: 0.5, '95th percentile': 0.95 }))
    report(
      `typing in its search, ${name}`,
      `${Math.round(quantile(many.typing, share))} ms; fifty ${Math.round(quantile(few.typing, share))} ms`,
      share > 0.5 ? 'at most 50 ms' : 'told',
    );
  report('progress drawn from it', told('chart'), aim);
  report('adding 5000 entries up for the first time', `${Math.round(many.first)} ms`, 'told');
  await browser.close();
  server.close();
}
