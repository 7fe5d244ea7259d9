import { chromium, type Page } from '@playwright/test';
import { serverOf } from '../server/listen';
import type { AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';
import { quantile, report } from './measure';

/** How much there is of each. */
export interface Many {
  readonly sheets: number;
  readonly log: number;
  readonly book: number;
}

/** Multiplies the demo in the browser's own database, each record under an id of its own. */
export function fill(page: Page, many: Many): Promise<void> {
  return page.evaluate(
    (wanted) =>
      new Promise<void>((done, failed) => {
        const request = indexedDB.open('keen-tempo');
        request.onerror = () => failed(request.error);
        request.onsuccess = () => {
          const stores: ('sheets' | 'log' | 'book')[] = ['sheets', 'log', 'book'];
          const writing = request.result.transaction(stores, 'readwrite');
          for (const store of stores) {
            const rows = writing.objectStore(store);
            const all = rows.getAll();
            all.onsuccess = () => {
              type Row = { id: string; demo: boolean; startedAt?: number; changedAt?: number } & Record<
                'sheet' | 'entry',
                { id: string; startedAt?: number } | undefined
              >;
              const from = all.result as Row[];
              rows.clear();
              for (let at = 0; at < wanted[store]; at += 1) {
                const row = structuredClone(from[at % from.length]) as Row;
                row.id = `${store}${at}`;
                row.demo = false;
                const inner = row.sheet ?? row.entry;
                if (inner) inner.id = row.id;
                if (row.changedAt !== undefined) row.changedAt -= at * 60_000;
                if (row.startedAt !== undefined) {
                  // Ten years for five thousand: one every seventeen hours or so.
                  row.startedAt -= at * 17 * 3_600_000;
                  if (inner) inner.startedAt = row.startedAt;
                }
                rows.put(row);
              }
            };
          }
          writing.oncomplete = () => {
            request.result.close();
            done();
          };
        };
      }),
    many,
  );
}

/** Milliseconds from asking for a view to its rows, over a few visits. */
export async function opening(page: Page, path: string, row: string): Promise<number> {
  const took: number[] = [];
  for (let visit = 0; visit < 4; visit += 1) {
    const start = performance.now();
    await page.goto(path);
    // At each frame: a locator that waits looks ever more rarely, at last twice a second.
    await page.waitForFunction((rows) => document.querySelector(rows)?.textContent, row);
    took.push(performance.now() - start);
  }
  return quantile(took.slice(1), 0.5);
}

/** Milliseconds from a key to the drawn answer of the book's search, typed as quickly as people type. */
function searching(page: Page): Promise<number[]> {
  return page.evaluate(async () => {
    const field = document.querySelector<HTMLInputElement>('search input');
    const took: number[] = [];
    if (!field) return took;
    for (const words of [
      'h',
      'ho',
      'hoo',
      'hook',
      'hook b',
      'bo',
      'body',
      '',
      '1',
      '1 2',
      '1 2 3',
      'kn',
      'knee',
      'x',
      '',
    ]) {
      const start = performance.now();
      field.value = words;
      field.dispatchEvent(new Event('input', { bubbles: true }));
      await new Promise((next) => requestAnimationFrame(() => setTimeout(next)));
      took.push(performance.now() - start);
      await new Promise((next) => setTimeout(next, 120));
    }
    return took;
  });
}

const views = [
  { name: 'sheets', path: '/sheets', row: '.list li' },
  { name: 'log', path: '/log', row: 'tr[mat-row]' },
  { name: 'book', path: '/combos', row: '.list tr[mat-row]' },
] as const;

/** Much of everything against little, in the built product and a real browser. */
export async function benchPages(): Promise<void> {
  const server = serverOf(fileURLToPath(new URL('../dist/app/browser', import.meta.url)));
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const browser = await chromium.launch({
    executablePath: process.env['CHROME_BIN'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox'],
  });
  const page = await (await browser.newContext({ baseURL: base })).newPage();
  await page.goto('/sheets');
  await page.locator('.list li').first().waitFor();
  const few = new Map<string, number>();
  await fill(page, { sheets: 10, log: 10, book: 10 });
  for (const { name, path, row } of views) few.set(name, await opening(page, path, row));
  await fill(page, { sheets: 500, log: 5000, book: 3000 });
  for (const { name, path, row } of views) {
    const ms = await opening(page, path, row);
    const before = few.get(name) ?? 0;
    report(
      `opening the ${name} with 500 sheets, 5000 entries, 3000 combinations`,
      `${Math.round(ms)} ms; with ten ${Math.round(before)} ms`,
      'at most twice as long and 200 ms',
    );
  }
  await page.goto('/combos');
  await page.locator('.list tr[mat-row]').first().waitFor();
  await searching(page);
  const took = [...(await searching(page)), ...(await searching(page)), ...(await searching(page))];
  report('typing in the search of 3000 combinations, median', `${Math.round(quantile(took, 0.5))} ms`, 'told');
  report(
    'typing in the search of 3000 combinations, 95th percentile',
    `${Math.round(quantile(took, 0.95))} ms`,
    'at most 50 ms',
  );
  await browser.close();
  server.closeAllConnections();
  server.close();
}
