import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { chromium, type Browser, type Page } from '@playwright/test';
import { quantile, report } from './measure';

const visits = 5;
/** How much slower than this machine the one is that it is tried on. */
const slower = 4;

/**
 * A first visit: nothing is in the browser's cache, nothing in its storage, and the machine is slow. What is put on the
 * device for later, once the view stands, is not of it.
 */
async function coldPage(browser: Browser): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  const page = await context.newPage();
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: slower });
  return page;
}

interface FirstView {
  /** Milliseconds from asking to the frame, to the list, and to a typed combination that is drawn. */
  readonly frame: number;
  readonly list: number;
  readonly staff: number;
}

/** Remembers when the list was drawn, in the page's own time. */
function markList(): void {
  new MutationObserver((_, observer) => {
    if (!document.querySelector('.list li')) return;
    performance.mark('list');
    observer.disconnect();
  }).observe(document, { childList: true, subtree: true });
}

interface Script {
  readonly worker: boolean;
  /** As gzip compresses it. */
  readonly kB: number;
  /** Whether it was asked for before the list was drawn. */
  readonly before: boolean;
}

const kBOf = (all: readonly Script[]): number => all.reduce((sum, { kB }) => sum + kB, 0);

/** What a first visit asks for, until all has come that comes by itself. */
async function scripts(browser: Browser, base: string): Promise<Script[]> {
  const page = await coldPage(browser);
  await page.addInitScript(markList);
  await page.goto(`${base}/sheets`);
  await page.getByLabel('Type and go').waitFor();
  await page.waitForLoadState('networkidle');
  const asked = await page.evaluate(() => {
    const drawn = performance.getEntriesByName('list')[0]?.startTime ?? Infinity;
    return performance.getEntriesByType('resource').map(({ name, startTime }) => ({ name, before: startTime < drawn }));
  });
  const found: Script[] = [];
  for (const { name, before } of asked.filter((each) => each.name.endsWith('.js'))) {
    const body = await (await fetch(name)).arrayBuffer();
    found.push({ worker: name.includes('/worker-'), kB: gzipSync(body).length / 1000, before });
  }
  await page.context().close();
  return found;
}

async function visit(browser: Browser, base: string): Promise<FirstView> {
  const page = await coldPage(browser);
  const began = performance.now();
  const since = (): number => performance.now() - began;
  await page.goto(`${base}/sheets`);
  await page.locator('nav').first().waitFor();
  const frame = since();
  await page.locator('.list li').first().waitFor();
  const list = since();
  await page.getByRole('button', { name: 'New sheet' }).first().click();
  await page.getByLabel('Type a combination').fill('1 2 3b 2 5 4');
  await page.locator('kt-entry-bar .glyph').nth(5).waitFor();
  const staff = since();
  await page.context().close();
  return { frame, list, staff };
}

/** What somebody waits for who has never been here. */
export async function benchFirstView(base: string): Promise<void> {
  const browser = await chromium.launch({
    executablePath: process.env['CHROME_BIN'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox'],
  });
  const all: FirstView[] = [];
  for (let count = 0; count < visits; count += 1) all.push(await visit(browser, base));
  const of = (key: keyof FirstView): number =>
    quantile(
      all.map((each) => each[key]),
      0.5,
    );
  const bare = gzipSync(readFileSync('dist/bare/browser/main.js')).length / 1000;
  const kB = (value: number): string => `${value.toFixed(0)} kB`;
  const asked = await scripts(browser, base);
  const first = kBOf(asked.filter(({ before, worker }) => before && !worker));
  report('script until the list of sheets is drawn, compressed', kB(first), 'at most 220 kB');
  report('the same / a bare shell of Angular with Material', (first / bare).toFixed(2), 'told');
  report(
    'script of workers until then, on a first visit',
    kB(kBOf(asked.filter(({ before, worker }) => before && worker))),
    'told',
  );
  report('all script of a first visit, workers too, compressed', kB(kBOf(asked)), 'told');
  report(`the list, cold, ${slower} times slower: to it / to the frame`, (of('list') / of('frame')).toFixed(2), 'told');
  report(
    `a typed staff, cold, ${slower} times slower: to it / to the list`,
    (of('staff') / of('list')).toFixed(2),
    'told',
  );
  await browser.close();
}
