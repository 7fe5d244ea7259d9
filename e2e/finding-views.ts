import type { ViewState } from './views';

/** Where somebody looks for something: the list of sheets, the guide, and the search for anything. */
export const findingViews: readonly ViewState[] = [
  {
    name: 'sheets',
    path: '/sheets',
    prepare: async (page) => {
      // What is deferred is there with its names.
      await page.getByRole('combobox', { name: 'Emphasis' }).waitFor();
      await page
        .getByRole('button', { name: /^More for/ })
        .last()
        .waitFor();
    },
  },
  {
    name: 'help',
    path: '/help/run-a-class',
    prepare: async (page) => {
      await page.getByRole('heading', { level: 1, name: 'Run a class' }).waitFor();
    },
  },
  {
    name: 'search for anything',
    part: 'kt-palette',
    path: '/sheets',
    prepare: async (page) => {
      await page.locator('kt-type-and-go').waitFor();
      await page.keyboard.press('Control+k');
      await page.getByRole('option', { name: /Tower/ }).first().waitFor();
    },
  },
];
