import { spawn } from 'node:child_process';
import { chromium, type Page } from '@playwright/test';

// `npm run pictures`: one current PNG of each main view, from the demo data, into docs/screenshots/. Needs a build.
const port = 4397;
const args = [
  '--no-sandbox',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--no-first-run',
];

interface Picture {
  readonly name: string;
  readonly path: string;
  readonly dark?: boolean;
  readonly prepare: (page: Page) => Promise<unknown>;
}

const pictures: readonly Picture[] = [
  { name: 'sheets', path: '/sheets', prepare: (page) => page.locator('.list li').first().waitFor() },
  {
    name: 'sheet',
    path: '/sheets/demo-first-watch',
    prepare: async (page) => {
      await page.locator('[data-row="demo-first-watch-b3"]').evaluate((row) => row.scrollIntoView());
      await page.locator('[data-row="demo-first-watch-b3"]').focus();
      await page.getByLabel('Type a combination').fill('1 2 3b ro 4 6');
    },
  },
  {
    name: 'sheet-text',
    path: '/sheets/demo-hands-then-legs',
    prepare: async (page) => {
      await page.getByRole('tab', { name: 'Text' }).click();
      await page.locator('kt-block-view .head').nth(2).focus();
    },
  },
  {
    name: 'sheet-glance',
    path: '/sheets/demo-hands-then-legs',
    dark: true,
    prepare: async (page) => {
      await page.getByRole('tab', { name: 'Glance' }).click();
      await page.locator('kt-glance svg').first().waitFor();
      await page.locator('kt-piece-view .piece').nth(3).focus();
      await page.keyboard.press('o');
    },
  },
  {
    name: 'sheet-whole',
    path: '/sheets/demo-hands-then-legs',
    prepare: async (page) => {
      await page.getByRole('tab', { name: 'Whole' }).click();
      await page.getByRole('button', { name: 'no kicks' }).click();
    },
  },
  {
    name: 'faults',
    path: '/sheets/demo-first-watch',
    prepare: async (page) => {
      await page.locator('[data-row="demo-first-watch-b3"]').focus();
      await page.getByRole('tab', { name: 'Faults' }).click();
      await page.getByRole('button', { name: 'Add the mend of: Hand drops before the hook' }).click();
      await page.locator('kt-piece-view .piece').nth(6).focus();
    },
  },
  {
    name: 'library',
    path: '/sheets/demo-hands-then-legs',
    prepare: async (page) => {
      await page.getByRole('tab', { name: 'Add' }).click();
      await page.getByLabel('Search what to put in').fill('ladder');
      await page
        .getByRole('button', { name: /^Jab to four/ })
        .first()
        .focus();
    },
  },
  { name: 'combos', path: '/combos', prepare: (page) => page.locator('.list tr[mat-row]').first().waitFor() },
  {
    name: 'combination',
    path: '/combos',
    prepare: async (page) => {
      await page.getByRole('button', { name: /^Pump check/ }).click();
      await page.getByLabel('Combination', { exact: true }).last().fill('1 1 2 sl 3 switch 2b');
      await page.getByRole('combobox', { name: 'Bag' }).first().click();
      await page.getByRole('option', { name: 'double-end' }).click();
      await page.locator('.box').nth(3).focus();
    },
  },
  {
    name: 'room',
    path: '/room',
    prepare: async (page) => {
      await page.getByRole('button', { name: /^Wall bag, / }).focus();
    },
  },
  {
    name: 'bench',
    path: '/bench',
    prepare: async (page) => {
      await page.getByRole('tab', { name: 'Ball between cords' }).click();
      await page.getByRole('list', { name: 'What hits and what misses' }).waitFor();
      await page.waitForTimeout(900);
    },
  },
  {
    name: 'lanes',
    path: '/sheets/demo-four-corners',
    prepare: async (page) => {
      await page.getByRole('tab', { name: 'Lanes' }).click();
      await page.locator('.rundown').evaluate((list) => (list.scrollTop = 260));
      await page.locator('kt-lane-versions .sum').nth(3).click();
    },
  },
  {
    name: 'board',
    path: '/board/demo-four-corners',
    prepare: (page) => page.locator('.lanes .card').first().waitFor(),
  },
  {
    name: 'calls',
    path: '/calls/demo-first-watch',
    prepare: async (page) => {
      await page.locator('[data-call]').nth(8).click();
      await page.locator('.script').evaluate((list) => (list.scrollTop = 1780));
    },
  },
  {
    name: 'run',
    path: '/run/demo-first-watch',
    dark: true,
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Start' }).click();
      await page.locator('kt-stage').waitFor();
      for (let step = 0; step < 9; step += 1) await page.keyboard.press('ArrowRight');
      await page.waitForTimeout(7000);
    },
  },
  {
    name: 'run-change',
    path: '/run/demo-hands-then-legs',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Start' }).click();
      await page.locator('kt-stage').waitFor();
      for (let step = 0; step < 8; step += 1) await page.keyboard.press('ArrowRight');
      await page.waitForTimeout(1500);
      await page.getByRole('button', { name: 'Change' }).click();
      const panel = page.getByRole('dialog', { name: 'Change the session' });
      await panel.getByRole('button', { name: '+ 30 s' }).click();
      await panel.getByRole('button', { name: 'Slower' }).click();
      await page.waitForTimeout(700);
    },
  },
  {
    name: 'run-over',
    path: '/run/demo-ten-minutes',
    prepare: async (page) => {
      await page.getByRole('combobox', { name: 'Speed' }).click();
      await page.getByRole('option', { name: 'rehearsal × 60' }).click();
      await page.getByRole('button', { name: 'Start' }).click();
      await page.locator('#over').waitFor({ timeout: 30_000 });
    },
  },
  { name: 'log', path: '/log', prepare: (page) => page.locator('tr[mat-row]').first().waitFor() },
  { name: 'settings', path: '/settings', prepare: (page) => page.locator('mat-select').first().waitFor() },
];

const server = spawn(process.execPath, ['dist/server/main.mjs'], {
  env: { ...process.env, PORT: String(port) },
  stdio: ['ignore', 'pipe', 'inherit'],
});
try {
  await new Promise((ready) => server.stdout.once('data', ready));
  const browser = await chromium.launch({ executablePath: process.env['CHROME_BIN'] ?? '/usr/bin/chromium', args });
  for (const { name, path, dark, prepare } of pictures) {
    const page = await browser.newPage({
      viewport: { width: 1280, height: 800 },
      colorScheme: dark ? 'dark' : 'light',
    });
    await page.goto(`http://localhost:${port}${path}`);
    await prepare(page);
    await page.waitForTimeout(400);
    await page.screenshot({ path: `docs/screenshots/${name}.png` });
    await page.close();
  }
  await browser.close();
} finally {
  server.kill();
}
