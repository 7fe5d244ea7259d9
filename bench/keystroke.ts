import { chromium } from '@playwright/test';
import { quantile, report } from './measure';

const args = [
  '--no-sandbox',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--no-first-run',
];

/**
 * From the input event of a key to the end of the frame callback that drew the staff, in the real interface: a
 * combination of 20 moves, typed key by key. Also the run clock of the page against both clocks of the browser.
 */
export async function benchKeystroke(address: string): Promise<void> {
  const browser = await chromium.launch({ executablePath: process.env['CHROME_BIN'] ?? '/usr/bin/chromium', args });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${address}/sheets/demo-ten-minutes`);
  const entry = page.getByLabel('Type a combination');
  await entry.fill('1 2 3b ro 4 5 1 2 sl-l 3 2 6 3b 2 1 bl 2 3 bk ');
  // Text, not a function: the loader's helpers do not exist inside the page.
  await page.evaluate(`
    window.drawn = [];
    document.getElementById('entry').addEventListener('input', () => {
      const start = performance.now();
      // Queued behind the application's own frame callback, so it ends after the drawing.
      requestAnimationFrame(() => queueMicrotask(() => window.drawn.push(performance.now() - start)));
    });
  `);
  await entry.press('End');
  for (let stroke = 0; stroke < 120; stroke += 1)
    await page.keyboard.press(stroke % 2 === 0 ? '4' : 'Backspace', { delay: 25 });
  await page.waitForTimeout(200);
  const times = (await page.evaluate('window.drawn')) as number[];
  report(
    `keystroke to drawn staff, 20 moves, ${times.length} strokes, median`,
    `${quantile(times, 0.5).toFixed(1)} ms`,
    'one frame of 16 ms',
  );
  report('  95th percentile', `${quantile(times, 0.95).toFixed(1)} ms`, 'one frame of 16 ms');
  const apart = (await page.evaluate(`new Promise((done) => {
    const context = new AudioContext();
    context.resume().then(() => {
      const [audio, page] = [context.currentTime * 1000, performance.now()];
      setTimeout(() => done([context.state, context.currentTime * 1000 - audio - (performance.now() - page)]), 5000);
    });
    setTimeout(() => done(['blocked', 0]), 7000);
  })`)) as [string, number];
  report(
    `audio clock against the page’s over 5 s (${apart[0]}; reported, not judged)`,
    `${apart[1].toFixed(1)} ms`,
    '–',
  );
  await browser.close();
}
