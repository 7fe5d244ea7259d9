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
        .getByRole('button', { name: /^Similar to / })
        .first()
        .click();
      await page.getByRole('list', { name: 'Variations' }).getByRole('listitem').first().waitFor();
    },
  },
  {
    name: 'combos, a family',
    part: 'kt-family-view',
    path: '/combos',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Compose', exact: true }).click();
      await page.getByRole('tab', { name: 'Build-ups' }).click();
      await page.getByRole('tree', { name: 'Build-ups' }).waitFor();
    },
  },
  {
    name: 'sheet, what next and composing',
    part: '.side',
    path: '/sheets/demo-first-watch',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'What next' }).click();
      await page.getByRole('listbox', { name: 'Possible next moves' }).getByRole('option').first().waitFor();
      await page.keyboard.press('Alt+c');
      await page.getByRole('tab', { name: 'Themed rounds' }).click();
      await page.getByRole('list', { name: 'Themed rounds' }).waitFor();
    },
  },
];
