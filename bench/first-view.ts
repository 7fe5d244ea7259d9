import { createServer } from 'node:http';
import { existsSync, readFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { gzipSync } from 'node:zlib';
import { chromium, type Browser, type Page } from '@playwright/test';
import { installMarks, keyOnNewSheet, pressNear, timesOf, type Marks } from './first-marks';
import { quantile, report } from './measure';

const visits = 10;
/** How much slower than this machine the one is that it is tried on. */
const slower = 4;
/** A person looks at the list for so long before pressing something, in milliseconds. */
const looking = 1500;

/** The bare shell, compressed as the product is. */
async function serveBare(): Promise<{ readonly base: string; readonly close: () => void }> {
  const types: Readonly<Record<string, string>> = { html: 'text/html', js: 'text/javascript', css: 'text/css' };
  const server = createServer((request, response) => {
    const path = request.url === '/' ? '/index.html' : (request.url ?? '');
    const file = `dist/bare/browser${path}`;
    if (!existsSync(file)) {
      response.writeHead(404).end();
      return;
    }
    const type = types[path.split('.').at(-1) ?? ''] ?? 'text/plain';
    response.writeHead(200, { 'content-type': type, 'content-encoding': 'gzip' }).end(gzipSync(readFileSync(file)));
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  return {
    base: `http://127.0.0.1:${(server.address() as AddressInfo).port}/`,
    close: () => {
      server.closeAllConnections();
      server.close();
    },
  };
}

async function slowPage(context: Awaited<ReturnType<Browser['newContext']>>): Promise<Page> {
  const page = await context.newPage();
  await (await context.newCDPSession(page)).send('Emulation.setCPUThrottlingRate', { rate: slower });
  // What runs the bench names functions by a helper of its own, which no page has.
  await page.addInitScript('globalThis.__name = (named) => named');
  await page.addInitScript(installMarks);
  return page;
}

const mark = (page: Page, name: keyof Marks): Promise<number> =>
  page
    .waitForFunction((key) => window.firstMinute.marks[key], name, { timeout: 120_000 })
    .then((each) => each.jsonValue())
    .then(Number);

/** What is measured, in milliseconds, but for what is counted. */
type Figure =
  | 'bare'
  | 'line'
  | 'list'
  | 'key on a new sheet, first visit'
  | 'key on a new sheet, later'
  | 'line, second visit'
  | 'clock';
type Figures = Record<Figure, number[]> & { shift: number[]; task: number[]; requests: number[]; kB: number[] };

async function firstVisit(browser: Browser, base: string, into: Figures): Promise<void> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await slowPage(context);
  await page.goto(base);
  const [line, list] = [await mark(page, 'line'), await mark(page, 'list')];
  into.line.push(line);
  into.list.push(list);
  const { shift, task, requests, kB } = await timesOf(page, line, list);
  into.shift.push(shift);
  into.task.push(task);
  into.requests.push(requests);
  into.kB.push(kB);
  await page.waitForTimeout(looking);
  into['key on a new sheet, first visit'].push(await keyOnNewSheet(page));
  await page.keyboard.type(' 2 3b 2');
  await page.keyboard.press('Control+Enter');
  await page.waitForSelector('a.run');
  await page.waitForTimeout(looking);
  await pressNear(page, 'a.run');
  into.clock.push(await mark(page, 'clock'));
  // The worker has put everything away: the next visit comes from there.
  await page.waitForFunction(async () => (await navigator.serviceWorker.getRegistration())?.active, undefined, {
    polling: 500,
    timeout: 120_000,
  });
  const again = await slowPage(context);
  await again.goto(base);
  into['line, second visit'].push(await mark(again, 'line'));
  await mark(again, 'list');
  await again.waitForTimeout(looking);
  into['key on a new sheet, later'].push(await keyOnNewSheet(again));
  await context.close();
}

/** What somebody waits for who has never been here, and what for the second time. Everything in one run, as ratios to the bare shell. */
export async function benchFirstView(base: string): Promise<void> {
  const browser = await chromium.launch({
    executablePath: process.env['CHROME_BIN'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox'],
  });
  const bare = await serveBare();
  const all: Figures = {
    bare: [],
    line: [],
    list: [],
    'key on a new sheet, first visit': [],
    'key on a new sheet, later': [],
    'line, second visit': [],
    clock: [],
    shift: [],
    task: [],
    requests: [],
    kB: [],
  };
  for (let count = 0; count < visits; count += 1) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const page = await slowPage(context);
    await page.goto(bare.base);
    all.bare.push(await mark(page, 'bare'));
    await context.close();
    await firstVisit(browser, base, all);
  }
  await browser.close();
  bare.close();
  const one = quantile(all.bare, 0.5);
  const aims: readonly [Figure, string][] = [
    ['line', 'at most 1.5 ×'],
    ['list', 'at most 2 ×'],
    ['key on a new sheet, first visit', 'at most 0.4 ×'],
    ['key on a new sheet, later', 'at most 0.2 ×'],
    ['line, second visit', 'at most 1.0 ×'],
    ['clock', 'at most 0.5 ×'],
  ];
  for (const [name, aim] of aims)
    report(
      `${name} / bare shell, ${slower} times slower: median, worst`,
      `${(quantile(all[name], 0.5) / one).toFixed(2)} ×, ${(Math.max(...all[name]) / one).toFixed(2)} ×`,
      aim,
    );
  report('layout shift until the list stands, worst', Math.max(...all.shift).toFixed(3), 'at most 0.02');
  report(
    'longest task between line and list, median, worst',
    `${quantile(all.task, 0.5).toFixed(0)} ms, ${Math.max(...all.task).toFixed(0)} ms`,
    `at most ${50 * slower} ms`,
  );
  report(
    'scripts until the list stands',
    `${quantile(all.requests, 0.5)}, ${quantile(all.kB, 0.5).toFixed(0)} kB`,
    'at most 220 kB',
  );
  report('the bare shell', `${one.toFixed(0)} ms`, 'told');
}
