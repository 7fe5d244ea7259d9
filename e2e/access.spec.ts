import { AxeBuilder } from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';

/** Every view, and how to get it into its states. */
const views: readonly { name: string; path: string; prepare?: (page: Page) => Promise<void> }[] = [
  { name: 'sheets', path: '/sheets' },
  {
    name: 'sheet',
    path: '/sheets/demo-hands-then-legs',
    prepare: async (page) => {
      await page.locator('kt-block-view').first().waitFor();
      await page.getByLabel('Type a combination').fill('1 2 4 ro 3');
    },
  },
  {
    name: 'combos',
    path: '/combos',
    prepare: async (page) => {
      await page.getByLabel('Choose Turnout').check();
      await page.getByLabel('Choose Two bells').check();
      await page.getByRole('button', { name: 'Compare the two' }).click();
    },
  },
  {
    name: 'combination',
    path: '/combos',
    prepare: async (page) => {
      await page.getByRole('button', { name: /^Two bells/ }).click();
    },
  },
  {
    name: 'sheet, tapping along',
    path: '/sheets/demo-first-watch',
    prepare: async (page) => {
      await page.locator('summary').click();
      await page.locator('kt-piece-view .piece').nth(3).focus();
      await page.getByRole('button', { name: 'Tap along' }).click();
    },
  },
  { name: 'run, before', path: '/run/demo-first-watch' },
  {
    name: 'run, running',
    path: '/run/demo-first-watch',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Start' }).click();
      for (let step = 0; step < 6; step += 1) await page.keyboard.press('ArrowRight');
      await page.locator('.stage').waitFor();
    },
  },
  {
    name: 'run, over',
    path: '/run/demo-first-watch',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Start' }).click();
      await page.locator('.stage').waitFor();
      await page.keyboard.press('s');
      await page.locator('#over').waitFor();
    },
  },
  {
    name: 'sheet, text',
    path: '/sheets/demo-first-watch',
    prepare: async (page) => page.getByRole('tab', { name: 'Text' }).click(),
  },
  {
    name: 'sheet, glance',
    path: '/sheets/demo-first-watch',
    prepare: async (page) => {
      await page.getByRole('tab', { name: 'Glance' }).click();
      await page.locator('kt-glance svg').first().waitFor();
    },
  },
  {
    name: 'sheet, whole and options',
    path: '/sheets/demo-first-watch',
    prepare: async (page) => {
      await page.getByRole('tab', { name: 'Whole' }).click();
      await page.getByRole('button', { name: 'easier' }).click();
      await page.locator('kt-piece-view .piece').nth(4).focus();
      await page.keyboard.press('o');
      await page.keyboard.press('Space');
    },
  },
  {
    name: 'draft',
    path: '/sheets',
    prepare: async (page) => page.getByRole('button', { name: 'Draft for me' }).click(),
  },
  {
    name: 'log',
    path: '/log',
    prepare: async (page) => {
      await page
        .getByRole('button', { name: /^Change the entry/ })
        .first()
        .click();
    },
  },
  {
    name: 'sheet, lanes',
    path: '/sheets/demo-four-corners',
    prepare: async (page) => {
      await page.getByRole('tab', { name: 'Lanes' }).click();
      await page
        .getByRole('button', { name: /^Lanes/ })
        .first()
        .click();
    },
  },
  { name: 'board', path: '/board/demo-four-corners' },
  {
    name: 'room',
    path: '/room',
    prepare: async (page) => {
      await page.getByRole('button', { name: /^Wall bag, / }).focus();
      await page.locator('summary').click();
    },
  },
  { name: 'bench', path: '/bench' },
  {
    name: 'calls',
    path: '/calls/demo-first-watch',
    prepare: async (page) => {
      await page.locator('[data-call]').nth(4).click();
      await page.getByText('Phrasebook of this sheet').click();
    },
  },
  { name: 'settings', path: '/settings' },
  { name: 'not found', path: '/nowhere' },
];

for (const colorScheme of ['light', 'dark'] as const)
  for (const { name, path, prepare } of views)
    test(`axe finds nothing on ${name}, ${colorScheme}`, async ({ page }) => {
      await page.emulateMedia({ colorScheme, reducedMotion: 'reduce' });
      await page.goto(path);
      await page.getByRole('heading', { level: 1 }).first().waitFor();
      await prepare?.(page);
      const { violations } = await new AxeBuilder({ page }).analyze();
      expect(
        violations.map(
          (violation) => `${violation.id}: ${violation.nodes.map((node) => node.target.join(' ')).join(', ')}`,
        ),
      ).toEqual([]);
    });

for (const [device, width, height] of [
  ['phone', 390, 844],
  ['tablet', 820, 1180],
] as const)
  test(`nothing is wider than a ${device}`, async ({ page }) => {
    await page.setViewportSize({ width, height });
    for (const { path, prepare, name } of views) {
      await page.goto(path);
      await page.getByRole('heading', { level: 1 }).first().waitFor();
      await prepare?.(page);
      const over = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect(over, name).toBeLessThanOrEqual(0);
    }
  });

test('nothing is asked of any other place', async ({ page }) => {
  const elsewhere: string[] = [];
  page.on('request', (request) => {
    const url = new URL(request.url());
    if (url.hostname !== 'localhost' && !['blob:', 'data:'].includes(url.protocol)) elsewhere.push(request.url());
  });
  for (const { path } of views) {
    await page.goto(path);
    await page.getByRole('heading', { level: 1 }).first().waitFor();
  }
  expect(elsewhere).toEqual([]);
});
