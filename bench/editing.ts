import { chromium, type Browser, type Page } from '@playwright/test';
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

/** How far and how fast the wheel goes: the whole of 300 rows in four seconds, as a finger flings it. */
const [scrollBy, pixelsPerSecond] = [12_000, 3000];

/** What Chromium tells of a scroll in its trace: frames that it owed, those that it left out, and those with an empty spot. */
interface ScrollFrames {
  readonly expected?: number;
  readonly dropped_v3?: number;
  readonly missing_content?: number;
}
interface ScrollTrace {
  readonly args?: { readonly args?: { readonly data?: ScrollFrames } };
}

/** The shares of frames that scrolling through the rundown leaves out or shows with an empty spot, by the browser's own count. */
async function scrolledThrough(browser: Browser, page: Page): Promise<{ leftOut: number; gaps: number }> {
  await page.locator('.rundown').evaluate((list) => (list.scrollTop = 0));
  await page.waitForTimeout(500);
  const session = await page.context().newCDPSession(page);
  await browser.startTracing(page, { categories: ['cc'] });
  await session.send('Input.synthesizeScrollGesture', {
    ...{ x: 500, y: 450, yDistance: -scrollBy, speed: pixelsPerSecond },
    ...{ gestureSourceType: 'mouse', preventFling: true },
  });
  const { traceEvents } = JSON.parse((await browser.stopTracing()).toString()) as { traceEvents: ScrollTrace[] };
  const counts = traceEvents.flatMap(({ args }) => args?.args?.data ?? []);
  const sum = (of: keyof ScrollFrames): number => counts.reduce((all, data) => all + (data[of] ?? 0), 0);
  return { leftOut: sum('dropped_v3') / sum('expected'), gaps: sum('missing_content') / sum('expected') };
}

/** Tells, in the page, how long each key takes until the frame that shows what it changed in its row has been drawn. */
const watchRow = `
  window.edited = [];
  let pressed = null;
  let changed = null;
  // A message that is sent in a frame arrives when the frame has been drawn.
  const drawn = new MessageChannel();
  drawn.port1.onmessage = () => {
    if (changed !== null) window.edited.push(performance.now() - changed);
    else if (pressed !== null) requestAnimationFrame(frame);
    changed = null;
  };
  const frame = () => drawn.port2.postMessage(null);
  document.addEventListener('keydown', () => {
    pressed = performance.now();
    requestAnimationFrame(frame);
  }, true);
  new MutationObserver(() => {
    if (pressed !== null) changed = pressed;
    pressed = null;
  }).observe(document.activeElement, { subtree: true, childList: true, characterData: true, attributes: true });
`;

/**
 * From a key that changes a row (five seconds more or less) until the frame that shows it has been drawn, on a sheet of an
 * hour with 300 pieces, in the real interface.
 */
export async function benchEditing(address: string): Promise<void> {
  const browser = await chromium.launch({ executablePath: process.env['CHROME_BIN'] ?? '/usr/bin/chromium', args });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${address}/sheets`);
  await page
    .getByLabel('Import')
    .setInputFiles({ name: 'hour.tempo.txt', mimeType: 'text/plain', buffer: Buffer.from(hourOf300()) });
  await page.getByRole('link', { name: 'hour', exact: true }).click();
  // The sheet is open when what is to be said of it is said.
  await page.getByRole('complementary', { name: 'Checks' }).waitFor();
  const row = page.locator('kt-piece-view .piece').nth(150);
  await row.focus();
  await page.evaluate(watchRow);
  for (let stroke = 0; stroke < 80; stroke += 1)
    await page.keyboard.press(stroke % 2 === 0 ? '+' : '-', { delay: 100 });
  await page.waitForTimeout(300);
  const times = (await page.evaluate('window.edited')) as number[];
  report(
    `edit to drawn row, 300 pieces, ${times.length} edits, median`,
    `${quantile(times, 0.5).toFixed(1)} ms`,
    'one frame of 16 ms',
  );
  report('  worst', `${Math.max(...times).toFixed(1)} ms`, '50 ms');
  const scrolls = [
    await scrolledThrough(browser, page),
    await scrolledThrough(browser, page),
    await scrolledThrough(browser, page),
  ];
  const percent = (shares: readonly number[]): string =>
    `${shares.map((share) => (100 * share).toFixed(1)).join(', ')} %`;
  report('  frames left out, scrolled three times', percent(scrolls.map(({ leftOut }) => leftOut)), 'at most 1 %');
  report('  frames with an empty spot at the edge', percent(scrolls.map(({ gaps }) => gaps)), '–');
  await browser.close();
}
