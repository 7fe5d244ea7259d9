import { expect, test } from '@playwright/test';

test('six destinations: by key, by their newer addresses, and with a tab for each of their pages', async ({ page }) => {
  await page.goto('/gym');
  await expect(page).toHaveURL(/\/room$/);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Room');
  await page.getByRole('tab', { name: 'Bag set-up' }).click();
  await expect(page).toHaveURL(/\/bench$/);
  await expect(page.getByRole('link', { name: 'Gym', exact: true })).toHaveAttribute('aria-current', 'page');
  await page.keyboard.press('Alt+5');
  await page.getByRole('tab', { name: 'Progress' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Progress');
  for (const [address, heading] of [
    ['/combinations', 'Combinations'],
    ['/log/entries', 'Log'],
    ['/log/progress', 'Progress'],
    ['/gym/bags', 'Bag set-up'],
  ] as const) {
    await page.goto(address);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(heading);
  }
});

test('on a phone, More has what finds no room in the bar, the search among it', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/log');
  const bar = page.getByRole('navigation', { name: 'Main' });
  await expect(bar.getByRole('link', { name: 'Combos', exact: true })).toBeVisible();
  await expect(bar.getByRole('link', { name: 'Gym', exact: true })).toBeHidden();
  await bar.getByRole('button', { name: 'More' }).click();
  const more = page.getByRole('dialog', { name: 'More' });
  await more.getByRole('link', { name: 'Gym' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Room');
  await bar.getByRole('button', { name: 'More' }).click();
  await page.getByRole('dialog', { name: 'More' }).getByRole('button', { name: 'Search' }).click();
  await page.getByRole('combobox', { name: /^Search actions/ }).fill('units');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('combobox', { name: 'Units' })).toBeFocused();
});

test('search by Ctrl K finds actions, sheets and older names; help opens at a view’s page and follows its links', async ({
  page,
}) => {
  await page.goto('/sheets/demo-first-watch');
  await page.locator('[data-row="demo-first-watch-b3"]').focus();
  await page.keyboard.press('Control+k');
  const field = page.getByRole('combobox', { name: /^Search actions/ });
  await field.fill('duplicate');
  await page.keyboard.press('Enter');
  // It is done to the row that had the focus.
  await expect(page.getByText('Add one every thirty seconds')).toHaveCount(2);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+k');
  await field.fill('bench');
  await expect(page.getByRole('option', { name: /^Gym/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'Help with this page' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Write and build combinations');
  await page.getByRole('article').getByRole('link').first().click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Practise solo');
  await page.goto('/run/demo-first-watch');
  await page.getByRole('button', { name: 'Start' }).waitFor();
  await page.keyboard.press('Control+k');
  await expect(field).toHaveCount(0);
});
