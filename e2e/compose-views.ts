import type { ViewState } from './views';

/** Where somebody composes, in its states. */
export const composeViews: readonly ViewState[] = [
  {
    name: 'combos, composing',
    part: 'kt-compose-card',
    path: '/combos',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Compose', exact: true }).click();
      await page
        .getByRole('button', { name: /^Beside / })
        .first()
        .click();
      await page.getByRole('list', { name: 'Neighbours' }).getByRole('listitem').first().waitFor();
    },
  },
  {
    name: 'combos, a family',
    part: 'kt-family-view',
    path: '/combos',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Compose', exact: true }).click();
      await page.getByRole('tab', { name: 'Families' }).click();
      await page.getByRole('tree', { name: 'Family' }).waitFor();
    },
  },
  {
    name: 'sheet, what next and composing',
    part: '.side',
    path: '/sheets/demo-first-watch',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'What next' }).click();
      await page.getByRole('listbox', { name: 'What can follow' }).getByRole('option').first().waitFor();
      await page.keyboard.press('Alt+c');
      await page.getByRole('tab', { name: 'Rounds' }).click();
      await page.getByRole('list', { name: 'Rounds with a theme' }).waitFor();
    },
  },
];
