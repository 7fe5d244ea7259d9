import type { Locator, Page } from '@playwright/test';

/** Takes a choice of the field of a name, as somebody at the screen does. */
export async function choose(page: Page, name: string, choice: string, within: Page | Locator = page): Promise<void> {
  await within.getByRole('combobox', { name }).click();
  await page.getByRole('option', { name: choice, exact: true }).click();
}
