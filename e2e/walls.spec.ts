import { expect, test, type Browser, type Page } from '@playwright/test';
import { choose } from './hands';
import { copyOfBuild, end, serve } from './versions';

/** Another screen of the room: a browser of its own, with nothing in it. */
async function screen(browser: Browser, width = 1280, height = 720): Promise<Page> {
  const context = await browser.newContext({ viewport: { width, height } });
  return context.newPage();
}

/** The demo run on the coach's page, with a room that is open. */
async function openRoom(page: Page): Promise<string> {
  await page.goto('/run/demo-hands-then-legs');
  await page.getByRole('button', { name: 'Show on screens' }).click();
  const said = page.getByRole('dialog', { name: 'Screens and remotes' }).getByText(/^Code: /);
  await expect(said).toHaveText(/^Code: [BCDFGHJKLMNPQRSTVWXZ2-9]{5}$/);
  return ((await said.textContent()) ?? '').slice('Code: '.length);
}

async function joinWall(browser: Browser, code: string): Promise<Page> {
  const wall = await screen(browser);
  // Headless screens never go dark: the lock is counted where it is asked for.
  await wall.addInitScript(() => {
    const locks = { asked: 0 };
    Object.assign(window, { locks });
    navigator.wakeLock.request = () => {
      locks.asked += 1;
      return Promise.resolve({ release: () => Promise.resolve() } as WakeLockSentinel);
    };
  });
  await wall.goto('/wall');
  await wall.getByLabel('Code').fill(code.toLowerCase());
  await wall.getByRole('button', { name: 'Join' }).click();
  await expect(wall.getByRole('timer')).toBeVisible();
  expect(await wall.evaluate(() => (window as unknown as { locks: { asked: number } }).locks.asked)).toBe(1);
  return wall;
}

const seconds = async (page: Page): Promise<number> => {
  const [minutes = '0', rest = '0'] = ((await page.getByRole('timer').textContent()) ?? '').split(':');
  return Number(minutes) * 60 + Number(rest);
};

test('a coach, two walls and a remote: screens follow, the remote presses, the tablet waits for nobody', async ({
  page,
  browser,
}) => {
  const code = await openRoom(page);
  const wall = await joinWall(browser, code);
  await expect(wall.getByText('Ready. Waiting for the coach to start.')).toBeVisible();
  await page.getByRole('button', { name: 'Show QR code' }).click();
  const address = (await page.getByText(/\/remote#/).textContent()) ?? '';
  expect(new URL(address).search).toBe('');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  // The focus is free: a space starts, and then pauses.
  await page.keyboard.press('Space');
  await expect(page.getByRole('timer')).toBeVisible();
  await expect(wall.getByText('Get ready').first()).toBeVisible();
  await page.keyboard.press('ArrowRight');
  const late = await joinWall(browser, code);
  for (const each of [wall, late])
    await expect(async () => {
      expect(Math.abs((await seconds(each)) - (await seconds(page)))).toBeLessThanOrEqual(1);
      expect(await each.getByRole('heading', { level: 1 }).textContent()).toBe(
        await page.getByRole('heading', { level: 1 }).textContent(),
      );
    }).toPass();

  const remote = await screen(browser, 390, 844);
  await remote.goto(new URL(address).pathname + new URL(address).hash);
  await remote.getByRole('button', { name: 'Pause' }).click();
  await expect(page.getByText('Paused').first()).toBeVisible();
  await expect(wall.getByText('Paused').first()).toBeVisible();
  const standing = await page.getByRole('timer').textContent();
  await expect(wall.getByRole('timer')).toHaveText(standing ?? '');
  await remote.getByRole('button', { name: 'Faster' }).click();
  await expect(remote.getByRole('button', { name: /^Faster · 110%/ })).toBeVisible();
  // On to a build, where there is a combination that another one can stand in for.
  await expect(async () => {
    await remote.getByRole('button', { name: 'Next', exact: true }).click();
    await expect(remote.getByRole('button', { name: 'Previous stage' })).toBeEnabled({ timeout: 500 });
  }).toPass();
  await choose(remote, 'Change combination', 'Turnout · 1 2');
  await expect(remote.getByRole('button', { name: 'Undo: combination changed' })).toBeVisible();
  await remote.getByRole('button', { name: /^Lock/ }).click();
  await expect(remote.locator('.keys[inert]')).toHaveCount(1);
  await expect(remote.getByRole('button', { name: 'Stop now' })).toBeEnabled();

  for (const each of [page, wall, late]) await expect(each.getByRole('timer')).toHaveCount(1);
  for (const each of [wall, late]) await expect(each.getByRole('button', { name: /^(Pause|Stop)/ })).toHaveCount(0);

  // A look at the sheet leaves the room open: walls stand still meanwhile, and the next run has the same code.
  await page.keyboard.press('Alt+1');
  await expect(wall.getByText('Paused').first()).toBeVisible();
  await page.goto('/run/demo-hands-then-legs');
  await page.getByRole('button', { name: 'Show on screens' }).click();
  await expect(page.getByRole('dialog', { name: 'Screens and remotes' }).getByText(`Code: ${code}`)).toBeVisible();
  await page.getByRole('button', { name: 'Stop sharing' }).click();
  for (const each of [wall, late, remote]) await expect(each.getByText('The coach has stopped sharing.')).toBeVisible();
});

test('a wall shows what it or the coach chooses, is shut out, and a wrong code or secret is told', async ({
  page,
  browser,
}) => {
  const code = await openRoom(page);
  const wall = await joinWall(browser, code);
  await wall.getByRole('combobox', { name: 'Show' }).click();
  await wall.getByRole('option', { name: 'the clock' }).click();
  await expect(wall.getByText('call')).toHaveCount(0);
  const chosen = page.getByRole('combobox', { name: /^Show on screen w1/ });
  await expect(chosen).toHaveText('the clock');
  await chosen.click();
  await page.getByRole('option', { name: 'rotation' }).click();
  await expect(wall.getByRole('region', { name: 'Rotation' })).toBeVisible();
  const stays = await joinWall(browser, code);
  await expect(page.getByRole('button', { name: 'Remove w2' })).toBeVisible();
  await page.getByRole('button', { name: 'Remove w1' }).click();
  await expect(wall.getByRole('alert')).toHaveText('The coach has removed this screen.');
  // The one that stays comes back by the new code, whatever it was typed as.
  await expect(page.getByText(`Code: ${code}`)).toHaveCount(0);
  const now = ((await page.getByText(/^Code: /).textContent()) ?? '').slice('Code: '.length);
  await expect(stays).toHaveURL(new RegExp(`/wall/${now}$`));
  await stays.reload();
  await expect(page.getByRole('button', { name: 'Remove w3' })).toBeVisible();
  // From the same machine, with the code that it knows.
  await wall.goto(`/wall/${code}`);
  await expect(wall.getByRole('alert')).toContainText('That code is not in use');

  const wrong = code.startsWith('B') ? 'CCCCC' : 'BBBBB';
  await wall.goto(`/wall/${wrong}`);
  await expect(wall.getByRole('alert')).toContainText('That code is not in use');
  await wall.goto(`/remote#${code}.${'a'.repeat(24)}`);
  await expect(wall.getByRole('alert')).toContainText('no longer valid');
  await wall.goto('/remote');
  await expect(wall.getByText('Scan it with this phone’s camera')).toBeVisible();
});

test('a wall that loses the line counts on and comes back; a reload of the tablet keeps its code', async ({
  page,
  browser,
}) => {
  const code = await openRoom(page);
  const wall = await joinWall(browser, code);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Space');
  await page.keyboard.press('ArrowRight');
  await expect(wall.getByText('Ready.')).toHaveCount(0);
  await page.reload();
  await expect(wall.getByText('The coach’s device is offline: the clock keeps running.')).toBeVisible();
  const before = await seconds(wall);
  await expect.poll(() => seconds(wall)).toBeLessThan(before);
  await page.getByRole('button', { name: 'Show on screens' }).click();
  await expect(page.getByText(`Code: ${code}`)).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Resume' }).click();
  await expect(wall.getByText('Paused').first()).toBeVisible();
  await expect(wall.getByRole('timer')).toHaveText((await page.getByRole('timer').textContent()) ?? '');
});

test('a restarted server: a screen and a remote that are back before the tablet wait for it, and go on', async ({
  browser,
}) => {
  test.setTimeout(120_000);
  const port = 4390;
  const folder = copyOfBuild('test-results/restart');
  let server = await serve(folder, port);
  const context = await browser.newContext({ baseURL: `http://localhost:${port}` });
  const page = await context.newPage();
  try {
    const code = await openRoom(page);
    await page.getByRole('button', { name: 'Show QR code' }).click();
    const address = new URL((await page.getByText(/\/remote#/).textContent()) ?? '');
    const others = await browser.newContext({ baseURL: `http://localhost:${port}` });
    const [wall, remote] = [await others.newPage(), await others.newPage()];
    await wall.goto(`/wall/${code}`);
    await expect(wall.getByRole('timer')).toBeVisible();
    await remote.goto(address.pathname + address.hash);
    await page.keyboard.press('Escape');
    await page.keyboard.press('Space');
    await expect(wall.getByText('Ready.')).toHaveCount(0);
    await expect(remote.getByRole('button', { name: 'Pause' })).toBeVisible();
    // The tablet is slow to come back: the screens ask several times for a room that is not there yet.
    await context.setOffline(true);
    await end(server);
    server = await serve(folder, port);
    await wall.waitForTimeout(6000);
    for (const each of [wall, remote]) {
      await expect(each.getByRole('timer')).toBeVisible();
      await expect(each.getByRole('alert')).toHaveCount(0);
    }
    await context.setOffline(false);
    // The remote presses with the secret that it had before.
    await expect(async () => {
      const pause = remote.getByRole('button', { name: 'Pause' });
      if (await pause.isVisible()) await pause.click({ timeout: 500 });
      await expect(page.getByText('Paused').first()).toBeVisible({ timeout: 1000 });
    }).toPass({ timeout: 30_000 });
    await expect(wall.getByText('Paused').first()).toBeVisible({ timeout: 30_000 });
  } finally {
    await end(server);
    await context.close();
  }
});

/** A copy of a tab, with a copy of what the tab remembers, as a browser's own *Duplicate* makes it. */
async function duplicate(page: Page): Promise<Page> {
  const [copy] = await Promise.all([page.waitForEvent('popup'), page.evaluate(() => void open(location.href))]);
  await expect(copy.getByRole('button', { name: 'Show on screens' })).toBeVisible();
  return copy;
}

test('a duplicated tab leaves the screens to the run that they follow', async ({ page, browser }) => {
  const code = await openRoom(page);
  const wall = await joinWall(browser, code);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Space');
  await expect(wall.getByText('Get ready').first()).toBeVisible();
  const copy = await duplicate(page);
  await copy.getByRole('button', { name: 'Show on screens' }).click();
  await expect(copy.getByText(/^Code: /)).not.toHaveText(`Code: ${code}`);
  await page.bringToFront();
  await page.keyboard.press('Space');
  await expect(wall.getByText('Paused').first()).toBeVisible();
  await page.getByRole('button', { name: 'Show on screens' }).click();
  await expect(page.getByText(`Code: ${code}`)).toBeVisible();
});

test('where tabs cannot see each other, the one that is replaced is told, and takes the screens back by a press only', async ({
  page,
  browser,
}) => {
  // As over plain http: no locks.
  await page.context().addInitScript(() => delete (Navigator.prototype as { locks?: unknown }).locks);
  const frames: string[] = [];
  page.on('websocket', (socket) => socket.on('framereceived', ({ payload }) => frames.push(String(payload))));
  const code = await openRoom(page);
  const wall = await joinWall(browser, code);
  const copy = await duplicate(page);
  const told = (each: Page) => each.getByText('Another tab or window shares with these screens now.');
  await expect(told(page)).toBeVisible();
  const before = frames.length;
  await page.waitForTimeout(4000);
  await expect(told(page)).toBeVisible();
  expect(frames.length - before).toBe(0);
  await page.getByRole('button', { name: 'Share from here instead' }).click();
  await expect(page.getByText(`Code: ${code}`)).toBeVisible();
  await copy.getByRole('button', { name: 'Show on screens' }).click();
  await expect(told(copy)).toBeVisible();
  await expect(wall.getByRole('timer')).toBeVisible();
});

test('a remote that presses without end does not hold the tablet up: Stop stops, and it is kept out when it is removed', async ({
  page,
  browser,
}) => {
  await openRoom(page);
  await page.getByRole('button', { name: 'Show QR code' }).click();
  const address = new URL((await page.getByText(/\/remote#/).textContent()) ?? '');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Space');
  await expect(page.getByRole('timer')).toBeVisible();
  const remote = await screen(browser, 390, 844);
  await remote.goto(address.pathname + address.hash);
  await expect(remote.getByRole('button', { name: 'Pause' })).toBeVisible();
  // Not our page: a program that has the secret, and sends eighteen a second for ten seconds.
  const [code = '', secret = ''] = address.hash.slice(1).split('.');
  const stopped = await remote.evaluate(
    async ([room, control]) => {
      const socket = new WebSocket(`ws://${location.host}/live`);
      await new Promise((done) => (socket.onopen = done));
      socket.send(JSON.stringify({ kind: 'control', code: room, secret: control }));
      const wait = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));
      for (let number = 1; number <= 180; number += 1) {
        socket.send(JSON.stringify({ kind: 'press', number, press: { kind: 'pace', by: number % 2 ? 0.1 : -0.1 } }));
        await wait(55);
      }
      socket.send(JSON.stringify({ kind: 'press', number: 181, press: { kind: 'deed', deed: 'stop' } }));
      return Date.now();
    },
    [code, secret] as const,
  );
  await expect(page.getByRole('button', { name: 'End session' })).toBeVisible();
  expect(await page.evaluate(() => Date.now())).toBeLessThan(stopped + 5000);
  await page.getByRole('button', { name: 'Resume', exact: true }).click();
  await page.getByRole('button', { name: 'Show on screens' }).click();
  await page.getByRole('button', { name: /^Remove r1/ }).click();
  await expect(remote.getByRole('alert')).toHaveText('The coach has removed this remote.');
  await remote.reload();
  await expect(remote.getByRole('alert')).toContainText('no longer valid');
});
