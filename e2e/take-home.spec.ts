import { expect, test } from '@playwright/test';

const session = '# Two short ones\nclass: 12 people\nround 0:03: 1 2 bk\nrest 0:03\nround 0:03: 2 3\n';

test('a session goes home as one file, plays from disk to its end without a network, reads as a sheet without scripts, and comes back', async ({
  page,
  context,
  browser,
}, info) => {
  await page.goto('/sheets');
  await page
    .getByLabel('Import')
    .setInputFiles({ name: 'short.txt', mimeType: 'text/plain', buffer: Buffer.from(session) });
  await page.getByRole('link', { name: 'Two short ones', exact: true }).click();
  await page.getByRole('button', { name: 'Take home' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Stand-alone file (plays anywhere)' }).click(),
  ]);
  const path = info.outputPath('two-short-ones.html');
  await download.saveAs(path);

  const told: string[] = [];
  const home = await context.newPage();
  home.on('console', (message) => told.push(message.text()));
  home.on('pageerror', (error) => told.push(error.message));
  await context.setOffline(true);
  await home.goto(`file://${path}`);
  await expect(home.getByText('Warm up first.').first()).toBeVisible();
  await home.getByRole('button', { name: 'Start' }).click();
  await expect(home.getByRole('timer')).toHaveText(/0:0[1-3]/);
  await expect(home.getByRole('heading', { name: 'Round 1', exact: true })).toBeVisible();
  await expect(home.getByText('next: Rest')).toBeVisible();
  await expect(home.getByText(/^0:0\d of 0:09 done$/)).toBeVisible();
  const blocks = home.getByRole('list', { name: 'Blocks of the session' }).getByRole('button');
  await expect(blocks).toHaveText([/Round 1$/, /Rest$/, /Round 2$/]);
  await home.getByRole('button', { name: 'Pause' }).click();
  const held = await home.getByRole('timer').textContent();
  await home.getByLabel('Lead hand').selectOption('the other hand');
  await expect(home.getByRole('timer')).toHaveText(held ?? '');
  await blocks.nth(2).click();
  await expect(blocks.nth(2)).toHaveAttribute('aria-current', 'step');
  await blocks.nth(0).click();
  await home.getByRole('button', { name: 'Resume' }).click();
  await expect(home.getByRole('heading', { name: 'Round 2', exact: true })).toBeVisible({ timeout: 12_000 });
  await expect(home.locator('#player .staff svg')).toBeVisible();
  await expect(home.getByRole('button', { name: 'Start again' })).toBeVisible({ timeout: 12_000 });
  // Nothing was refused by its own policy, and nothing was asked of a network.
  expect(told).toEqual([]);
  await context.setOffline(false);
  await home.close();

  const silent = await browser.newContext({ javaScriptEnabled: false });
  const read = await silent.newPage();
  await read.goto(`file://${path}`);
  await expect(read.getByRole('heading', { name: 'Two short ones' })).toBeVisible();
  await expect(read.getByRole('listitem')).toHaveCount(3);
  await expect(read.locator('#player')).toBeHidden();
  await silent.close();

  await page.goto('/sheets');
  await page.getByLabel('Import').setInputFiles(path);
  await expect(page.getByRole('link', { name: 'Two short ones', exact: true })).toHaveCount(2);
});

test('an open break of the file lasts until somebody goes on', async ({ page }, info) => {
  await page.goto('/sheets');
  const text = '# With a break\nround 0:02: 1 2\nrest open\nround 0:04: 2 3\n';
  await page.getByLabel('Import').setInputFiles({ name: 'b.txt', mimeType: 'text/plain', buffer: Buffer.from(text) });
  await page.getByRole('link', { name: 'With a break', exact: true }).click();
  await page.getByRole('button', { name: 'Take home' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Stand-alone file (plays anywhere)' }).click(),
  ]);
  const path = info.outputPath('break.html');
  await download.saveAs(path);
  await page.goto(`file://${path}`);
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByRole('button', { name: 'Resume' })).toBeVisible({ timeout: 8000 });
  await expect(page.getByRole('heading', { name: 'Rest', exact: true })).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByRole('heading', { name: 'Round 2', exact: true })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Start again' })).toBeVisible({ timeout: 10_000 });
});

test('the licences of all that is bundled are served, that of the MP3 encoder inside its package among them', async ({
  request,
}) => {
  const licences = await (await request.get('/3rdpartylicenses.txt')).text();
  for (const text of ['Package: @angular/core', 'Package: wasm-media-encoders', 'GNU LIBRARY GENERAL PUBLIC LICENSE'])
    expect(licences).toContain(text);
});
