import { expect, test, type Page } from '@playwright/test';

/** What the page was told to sound: when it was asked, and how far ahead, in milliseconds. */
interface Asked {
  readonly at: number;
  readonly ahead: number;
}

/** Writes down every sound that is begun, before the page does anything. */
async function listen(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const asked: Asked[] = [];
    Object.assign(window, { asked });

    const { start } = AudioScheduledSourceNode.prototype;
    const note = (node: AudioScheduledSourceNode, when = 0): void => {
      asked.push({ at: performance.now(), ahead: (when - node.context.currentTime) * 1000 });
    };
    AudioScheduledSourceNode.prototype.start = function (when) {
      note(this, when);
      start.call(this, when);
    };

    const { start: startBuffer } = AudioBufferSourceNode.prototype;
    AudioBufferSourceNode.prototype.start = function (...args) {
      note(this, args[0]);
      startBuffer.apply(this, args);
    };
  });
}

const asked = (page: Page): Promise<Asked[]> =>
  page.evaluate(() => ('asked' in window ? (window.asked as Asked[]) : []));

/** Seconds of the session that are left, as the clock shows them. */
async function left(page: Page): Promise<number> {
  const [minutes = '', seconds = ''] = (await page.locator('.clock').innerText()).split(':');
  return Number(minutes) * 60 + Number(seconds);
}

test(
  'a page that stood still for six seconds stands at the right second, and what was missed is not sounded at once',
  { tag: '@alone' },
  async ({ page }) => {
    await listen(page);
    await page.goto('/run/demo-first-watch');
    await page.getByRole('button', { name: 'Start' }).click();
    await page.locator('kt-stage').waitFor();
    for (let step = 0; step < 6; step += 1) await page.keyboard.press('ArrowRight');
    await expect(page.locator('.clock')).toHaveText('0:27', { timeout: 8000 });
    // The whole page is held up, timers and drawing with it, as by a machine that is busy or asleep.
    await page.evaluate(() => {
      const until = performance.now() + 6000;
      while (performance.now() < until);
      Object.assign(window, { awake: performance.now() });
    });
    await page.waitForTimeout(400);
    expect(await left(page)).toBeGreaterThanOrEqual(19);
    expect(await left(page)).toBeLessThanOrEqual(21);
    const awake = await page.evaluate(() => ('awake' in window ? Number(window.awake) : 0));
    const heard = await asked(page);
    expect(heard.length).toBeGreaterThan(0);
    const woken = heard.filter(({ at }) => at >= awake && at < awake + 400);
    expect(woken.filter(({ ahead }) => ahead < -20)).toEqual([]);
    // The call that tells the present state has a few words, each a sound of its own; six seconds of clicks would be more.
    expect(woken.filter(({ ahead }) => ahead < 100).length).toBeLessThan(4);
  },
);

test('a frozen tab stands at the right second when it wakes', { tag: '@alone' }, async ({ page, context }) => {
  await listen(page);
  await page.goto('/run/demo-first-watch');
  await page.getByRole('button', { name: 'Start' }).click();
  await page.locator('kt-stage').waitFor();
  for (let step = 0; step < 6; step += 1) await page.keyboard.press('ArrowRight');
  await expect(page.locator('.clock')).toHaveText('0:27', { timeout: 8000 });
  const began = Date.now();
  const session = await context.newCDPSession(page);
  await session.send('Page.setWebLifecycleState', { state: 'frozen' });
  await new Promise((done) => setTimeout(done, 5000));
  await session.send('Page.setWebLifecycleState', { state: 'active' });
  await page.waitForTimeout(500);
  const passed = (Date.now() - began) / 1000;
  expect(Math.abs((await left(page)) - (27 - passed))).toBeLessThan(1.6);
});
