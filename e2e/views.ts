import type { Page } from '@playwright/test';
import { composeViews } from './compose-views';
import { findingViews } from './finding-views';

/** Opens a room in Run; its code, and the address of its remote. */
async function openRoom(page: Page): Promise<{ readonly code: string; readonly remote: string }> {
  await page.getByRole('button', { name: 'Show on screens' }).click();
  const code = (await page.getByText(/^Code: /).textContent()) ?? '';
  await page.getByRole('button', { name: 'Show QR code' }).click();
  const remote = (await page.getByText(/\/remote#/).textContent()) ?? '';
  return { code: code.slice('Code: '.length), remote };
}

/** A coach in another tab, with a room that is open. */
async function coachWithRoom(page: Page) {
  const coach = await page.context().newPage();
  await coach.goto('/run/demo-four-corners');
  return { ...(await openRoom(coach)), coach };
}

/** A view in one of its states. */
export interface ViewState {
  readonly name: string;
  readonly path: string;
  readonly prepare?: (page: Page) => Promise<void>;
  /** What is new in this state, where the rest of the page is looked at under another name. */
  readonly part?: string;
  /** Rows that are alike: the first thirty stand for all of them. */
  readonly alike?: string;
}

/** Every view, and how to get it into its states. */
export const views: readonly ViewState[] = [
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
      await page.getByRole('button', { name: 'Compare' }).click();
    },
  },
  {
    name: 'sheet on a phone, the library from below',
    path: '/sheets/demo-hands-then-legs',
    part: 'kt-add-drawer',
    prepare: async (page) => {
      await page.locator('kt-block-view').first().waitFor();
      await page.setViewportSize({ width: 390, height: 844 });
      // Not the one of the entry line.
      await page
        .getByRole('toolbar', { name: 'Sheet tools' })
        .getByRole('button', { name: 'Add', exact: true })
        .click();
      await page.getByRole('menuitem', { name: /From the library/ }).click();
      await page.getByLabel('Search').waitFor();
    },
  },
  ...composeViews,
  ...findingViews,
  {
    name: 'combination',
    path: '/combos',
    prepare: async (page) => {
      await page.getByRole('button', { name: /^Two bells/ }).click();
    },
  },
  {
    name: 'combination, figure',
    part: 'kt-figure-fold',
    path: '/combos',
    prepare: async (page) => {
      await page.getByRole('button', { name: /^Two bells/ }).click();
      await page.getByRole('button', { name: 'Show figure' }).click();
      await page.getByRole('button', { name: /^(Play|Pause)$/ }).waitFor();
    },
  },
  {
    name: 'sheet, film',
    part: 'kt-film-dialog',
    path: '/sheets/demo-first-watch',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Take home' }).click();
      await page.getByRole('menuitem', { name: 'Video' }).click();
      await page.getByRole('button', { name: 'Make video' }).and(page.locator(':enabled')).waitFor();
    },
  },
  {
    name: 'sheet, tapping along',
    path: '/sheets/demo-first-watch',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Class and settings' }).click();
      await page.locator('kt-piece-view .piece').nth(3).focus();
      await page.getByRole('button', { name: 'Tap the pace' }).click();
    },
  },
  { name: 'run, before', path: '/run/demo-first-watch' },
  {
    name: 'run, running',
    path: '/run/demo-first-watch',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Start' }).click();
      for (let step = 0; step < 6; step += 1) await page.keyboard.press('ArrowRight');
      await page.locator('kt-stage').waitFor();
    },
  },
  {
    name: 'run, changing',
    path: '/run/demo-first-watch',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Start' }).click();
      await page.locator('kt-stage').waitFor();
      await page.keyboard.press('c');
      await page.keyboard.press('h');
      await page.getByRole('dialog', { name: 'Change the session' }).waitFor();
    },
  },
  {
    name: 'run, over',
    path: '/run/demo-first-watch',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Start' }).click();
      await page.locator('kt-stage').waitFor();
      await page.keyboard.press('s');
      await page.keyboard.press('x');
      await page.locator('#over').waitFor();
    },
  },
  {
    name: 'alone, where it broke',
    path: '/solo?text=1%202%203b&name=Two%20and%20a%20hook',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Start' }).click();
      await page.getByText('Step 1 of').waitFor();
      await page.keyboard.press('b');
      await page.getByRole('radio', { name: /^1 ·/ }).waitFor();
    },
  },
  {
    name: 'sheet, text',
    part: 'kt-side-panel',
    path: '/sheets/demo-first-watch',
    prepare: async (page) => page.getByRole('tab', { name: 'Text' }).click(),
  },
  {
    name: 'sheet, glance',
    part: 'kt-side-panel',
    path: '/sheets/demo-first-watch',
    prepare: async (page) => {
      await page.getByRole('tab', { name: 'Overview' }).click();
      await page.locator('kt-glance svg').first().waitFor();
    },
  },
  {
    name: 'sheet, whole and options',
    path: '/sheets/demo-first-watch',
    prepare: async (page) => {
      await page.getByRole('tab', { name: 'Fit and versions' }).click();
      await page.getByRole('button', { name: 'easier' }).click();
      await page.locator('kt-piece-view .piece').nth(4).focus();
      await page.keyboard.press('o');
      await page.keyboard.press('Space');
    },
  },
  {
    name: 'sheets, picking',
    path: '/sheets',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Use a template' }).click();
      await page.getByLabel('Type and go').fill('1 2 jabb');
      await page.getByLabel('Minutes', { exact: true }).fill('5');
      await page.getByRole('button', { name: 'Draft', exact: true }).click();
    },
  },
  {
    name: 'sheet, picking, a field that is wrong',
    path: '/sheets/demo-first-watch',
    prepare: async (page) => {
      await page.getByRole('tab', { name: 'Add' }).click();
      await page.locator('kt-block-view .name').nth(2).click();
      await page.getByLabel('Repeats of Round 1').fill('400');
      await page.getByLabel('Repeats of Round 1').press('Enter');
    },
  },
  {
    name: 'sheet, a menu',
    part: '.cdk-overlay-container',
    path: '/sheets/demo-first-watch',
    prepare: async (page) => {
      await page.locator('kt-block-view .name').nth(2).click();
      await page.getByRole('button', { name: /^More for Round 1/ }).click();
    },
  },
  {
    name: 'keys',
    part: '.cdk-overlay-container',
    path: '/sheets/demo-first-watch',
    prepare: async (page) => {
      await page.locator('kt-block-view').first().waitFor();
      await page.keyboard.press('Shift+?');
      await page.getByRole('dialog').waitFor();
    },
  },
  {
    name: 'a choice',
    part: '.cdk-overlay-container',
    path: '/settings',
    prepare: async (page) => {
      await page.getByRole('combobox', { name: 'Voice' }).click();
      await page.getByRole('listbox').waitFor();
    },
  },
  {
    name: 'progress',
    path: '/progress',
    prepare: async (page) => {
      await page.locator('kt-chart-card svg').first().waitFor();
      await page.getByRole('button', { name: 'Table' }).first().click();
    },
  },
  {
    name: 'programme',
    path: '/programme',
    prepare: async (page) => {
      await page.locator('.session').first().waitFor();
      await page.getByRole('button', { name: 'New programme' }).click();
    },
  },
  {
    name: 'log',
    path: '/log',
    prepare: async (page) => {
      await page
        .getByRole('button', { name: /^Edit the entry/ })
        .first()
        .click();
    },
  },
  {
    name: 'sheet, lanes',
    path: '/sheets/demo-four-corners',
    prepare: async (page) => {
      await page.getByRole('tab', { name: 'Stations' }).click();
      await page
        .getByRole('button', { name: /^Stations/ })
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
      await page.getByRole('button', { name: 'Your own kinds of bag' }).click();
    },
  },
  { name: 'bench', path: '/bench' },
  {
    name: 'calls',
    alike: '[data-call]',
    path: '/calls/demo-first-watch',
    prepare: async (page) => {
      await page.locator('[data-call]').nth(4).click();
      await page.getByText('Phrasebook for this sheet').click();
    },
  },
  { name: 'settings', path: '/settings' },
  { name: 'run, walls', path: '/run/demo-four-corners', prepare: async (page) => void (await openRoom(page)) },
  { name: 'wall, joining', path: '/wall' },
  {
    name: 'wall',
    path: '/wall',
    prepare: async (page) => {
      const { code, coach } = await coachWithRoom(page);
      await page.getByLabel('Code').fill(code);
      await page.getByRole('button', { name: 'Join' }).click();
      await coach.keyboard.press('Escape');
      await coach.keyboard.press('Space');
      for (let step = 0; step < 6; step += 1) await coach.keyboard.press('ArrowRight');
      await page.locator('kt-stage kt-strike-staff').first().waitFor();
    },
  },
  {
    name: 'remote',
    path: '/remote',
    prepare: async (page) => {
      const { remote, coach } = await coachWithRoom(page);
      await coach.keyboard.press('Escape');
      await coach.keyboard.press('Space');
      await page.goto(remote);
      await page.reload();
      await page.getByRole('button', { name: 'Hold the class' }).waitFor();
    },
  },
  { name: 'not found', path: '/nowhere' },
];
