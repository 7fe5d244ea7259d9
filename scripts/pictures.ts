import { spawn } from 'node:child_process';
import { chromium, type Page } from '@playwright/test';
import { contactSheet } from './contact-sheet';

// `npm run pictures`: one current PNG of each main view, from the demo data, into docs/screenshots/. Needs a build.
const port = 4397;
const args = [
  '--no-sandbox',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--no-first-run',
];

/** A coach's run of the four corners in another tab, some pieces in, with a room that is open. */
async function coachOf(page: Page): Promise<{ readonly code: string; readonly remote: string }> {
  const coach = await page.context().newPage();
  await coach.goto(`http://localhost:${port}/run/demo-four-corners`);
  await coach.getByRole('button', { name: 'Show on screens' }).click();
  const code = (await coach.getByText(/^Code: /).textContent()) ?? '';
  await coach.getByRole('button', { name: 'Show QR code' }).click();
  const remote = (await coach.getByText(/\/remote#/).textContent()) ?? '';
  await coach.keyboard.press('Escape');
  await coach.keyboard.press('Space');
  for (let step = 0; step < 6; step += 1) await coach.keyboard.press('ArrowRight');
  return { code: code.slice('Code: '.length), remote };
}

/** A wall of the coach's run, and what it shows. */
async function wallOf(page: Page, shows?: RegExp): Promise<void> {
  const { code } = await coachOf(page);
  await page.getByLabel('Code').fill(code);
  await page.getByRole('button', { name: 'Join' }).click();
  await page.getByRole('timer').waitFor();
  if (shows) {
    await page.getByRole('combobox', { name: 'Show' }).click();
    await page.getByRole('option', { name: shows }).first().click();
  }
  await page.waitForTimeout(5000);
}

const wallSize = { width: 1920, height: 1080 } as const;

interface Picture {
  readonly name: string;
  readonly path: string;
  readonly dark?: boolean;
  /** Shows that the product is on the device, which takes its time. */
  readonly installed?: boolean;
  /** 1280 by 800 unless told. */
  readonly size?: { readonly width: number; readonly height: number };
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
    name: 'film',
    path: '/sheets/demo-hands-then-legs',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Take home' }).click();
      await page.getByRole('menuitem', { name: 'Video' }).click();
      await page.getByRole('combobox', { name: 'Part' }).click();
      await page.getByRole('option', { name: /^Round 2/ }).click();
      await page.getByRole('slider', { name: 'Preview position' }).fill('31000');
      await page.waitForTimeout(1500);
    },
  },
  {
    // The figure at every move of the catalogue, by the very drawing of the product.
    name: 'figure',
    path: '/sheets',
    prepare: (page) => page.setContent(contactSheet()),
  },
  {
    name: 'combos',
    path: '/combos',
    prepare: async (page) => {
      await page.getByRole('button', { name: /^Two bells/ }).click();
      await page.getByRole('button', { name: 'Show figure' }).click();
      await page.getByRole('button', { name: 'Pause' }).click();
      await page.getByRole('button', { name: 'Next move' }).click();
      await page.getByRole('button', { name: 'Hide figure' }).evaluate((button) => button.scrollIntoView());
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
      await page.getByRole('tab', { name: 'Double-end bag' }).click();
      await page.getByRole('list', { name: 'Hits and misses' }).waitFor();
      await page.waitForTimeout(900);
    },
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
    name: 'solo',
    path: '/solo?text=1%202%203b%202%205%204&name=Ladder%20truck',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Start' }).click();
      await page.locator('kt-stage').waitFor();
      for (let rung = 0; rung < 4; rung += 1) await page.keyboard.press('o');
      await page.waitForTimeout(14_000);
    },
  },
  {
    name: 'compose',
    path: '/sheets/demo-first-watch',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'What next' }).click();
      await page.keyboard.press('Alt+c');
      await page
        .getByRole('button', { name: /^Similar to / })
        .first()
        .waitFor();
      await page.getByRole('listbox', { name: 'Possible next moves' }).getByRole('option').first().waitFor();
    },
  },
  {
    name: 'search',
    path: '/sheets/demo-first-watch',
    prepare: async (page) => {
      await page.locator('[data-row]').first().waitFor();
      await page.keyboard.press('Control+k');
      await page.getByRole('option', { name: /Tower/ }).first().waitFor();
      await page.getByRole('combobox', { name: /^Search/ }).fill('run');
    },
  },
  {
    name: 'wall',
    path: '/wall',
    dark: true,
    size: wallSize,
    prepare: (page) => wallOf(page),
  },
  { name: 'wall-lane', path: '/wall', size: wallSize, prepare: (page) => wallOf(page, /^one station/) },
  {
    name: 'remote',
    path: '/remote',
    size: { width: 390, height: 844 },
    prepare: async (page) => {
      const { remote } = await coachOf(page);
      await page.goto(remote);
      await page.reload();
      await page.getByRole('button', { name: 'Hold the class' }).waitFor();
    },
  },
  { name: 'progress', path: '/progress', prepare: (page) => page.locator('kt-chart-card svg').nth(1).waitFor() },
  { name: 'programme', path: '/programme', prepare: (page) => page.locator('.session').first().waitFor() },
  { name: 'log', path: '/log', prepare: (page) => page.locator('tr[mat-row]').first().waitFor() },
  {
    name: 'settings',
    path: '/settings',
    installed: true,
    prepare: (page) => page.getByText(/Everything is on this device, including both voices/).waitFor(),
  },
];

const server = spawn(process.execPath, ['dist/server/main.mjs'], {
  env: { ...process.env, PORT: String(port) },
  stdio: ['ignore', 'pipe', 'inherit'],
});
try {
  await new Promise((ready) => server.stdout.once('data', ready));
  const browser = await chromium.launch({ executablePath: process.env['CHROME_BIN'] ?? '/usr/bin/chromium', args });
  for (const { name, path, dark, installed, size, prepare } of pictures) {
    const context = await browser.newContext({
      serviceWorkers: installed ? 'allow' : 'block',
      viewport: size ?? { width: 1280, height: 800 },
      colorScheme: dark ? 'dark' : 'light',
    });
    const page = await context.newPage();
    await page.goto(`http://localhost:${port}${path}`);
    await prepare(page);
    await page.waitForTimeout(400);
    await page.screenshot({ path: `docs/screenshots/${name}.png` });
    await context.close();
  }
  await browser.close();
} finally {
  server.kill();
}
