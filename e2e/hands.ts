import type { Locator, Page } from '@playwright/test';

/** Takes a choice of the field of a name, as somebody at the screen does. */
export async function choose(page: Page, name: string, choice: string, within: Page | Locator = page): Promise<void> {
  await within.getByRole('combobox', { name }).click();
  await page.getByRole('option', { name: choice, exact: true }).click();
}

/** How many rows of a store hold some words: what is shown is written a moment later. `written(page, 'log', 'Solo')` */
export const written = (page: Page, store: string, words: string): Promise<number> =>
  page.evaluate(
    ([name, part]) =>
      new Promise<number>((done) => {
        const open = indexedDB.open('keen-tempo');
        open.onsuccess = () => {
          const rows = open.result.transaction(name).objectStore(name).getAll();
          rows.onsuccess = () => {
            open.result.close();
            done(rows.result.filter((row) => JSON.stringify(row).includes(part)).length);
          };
        };
      }),
    [store, words] as const,
  );
