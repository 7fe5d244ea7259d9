import { expect, test, type Page } from '@playwright/test';

const wishesOf = (page: Page) => page.getByLabel('Criteria, separated by commas');

async function composeBesideSheet(page: Page): Promise<void> {
  await page.goto('/sheets');
  await page.getByRole('button', { name: 'New sheet' }).first().click();
  await expect(page.getByLabel('Type a combination')).toBeFocused();
  // The line is there before the page that knows the shortcut, which is pressed again then.
  await page.keyboard.press('Alt+c');
  await expect(wishesOf(page)).toBeFocused();
}

/** Goes on by the tabulator until something is reached by it. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
  const reached = page.getByRole('button', { name }).first();
  for (let press = 0; press < 40; press += 1) {
    if (await reached.evaluate((element) => element === document.activeElement).catch(() => false)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`nothing called ${name} was reached`);
}

test('from an empty round to a composed, built-up, running one by keys alone', async ({ page }) => {
  await page.goto('/sheets');
  await tabTo(page, /^New sheet$/);
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Type a combination')).toBeFocused();
  await page.keyboard.press('Escape');
  await page.locator('body').press('Shift+Tab');
  await tabTo(page, /^Round$/);
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Length of Round 1')).toHaveText('3:00');
  await page.keyboard.press('Alt+c');
  await expect(wishesOf(page)).toBeFocused();
  await page.keyboard.type('4 punches, begins 1 2, ends 3, flows, loops');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'Results' }).getByRole('listitem').first()).toContainText(/1 2 \S+ 3/);
  await tabTo(page, / build up$/);
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Build to .* added to the sheet/)).toBeVisible();
  await expect(page.locator('text.moment')).toHaveText(['0:00', '0:30', '1:00', '1:30']);
  // The empty round is the one that it fills.
  await expect(page.getByLabel(/^Length of Round/)).toHaveText('2:00');
  // It is an edit like any other.
  await page.keyboard.press('Control+z');
  await expect(page.locator('text.moment')).toHaveCount(0);
  await page.keyboard.press('Control+y');
  await expect(page.locator('text.moment')).toHaveCount(4);
  await page.keyboard.press('Control+Enter');
  await expect(page).toHaveURL(/\/run\//);
  await expect(page.getByRole('button', { name: 'Start' })).toBeEnabled();
  await page.keyboard.press('Space');
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/Get ready|Round 1/);
});

test('what can follow stands below the line when it is asked for: by keys and by a press, never in the way', async ({
  page,
}) => {
  await page.goto('/sheets');
  await page.getByRole('button', { name: 'New sheet' }).first().click();
  const line = page.getByLabel('Type a combination');
  await expect(line).toBeFocused();
  const chips = page.getByRole('listbox', { name: 'Possible next moves' });
  await expect(chips).toHaveCount(0);
  // The line is there before the page that knows the shortcut.
  await expect(page.locator('kt-entry-bar')).toBeVisible();
  await page.keyboard.press('Alt+n');
  await page.keyboard.type('1 2');
  await expect(chips.getByRole('option', { name: '3b', exact: true })).toBeVisible();
  // A cross after a cross sticks: it is not among what flows.
  await expect(chips.getByRole('option', { name: '2', exact: true })).toHaveCount(0);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await expect(line).toHaveValue('1 2 3b');
  await expect(line).toBeFocused();
  await chips.getByRole('option', { name: '2', exact: true }).click();
  await expect(line).toHaveValue('1 2 3b 2');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Escape');
  await expect(line).toBeFocused();
  await page.getByRole('button', { name: 'What next' }).click();
  await expect(chips).toHaveCount(0);
  await line.press('Enter');
  await expect(page.getByLabel('Length of Round 1')).toHaveText('3:00');
});

test('a part is locked and the rest varied; neighbours are stepped through and back', async ({ page }) => {
  await page.goto('/combos');
  await page.getByRole('button', { name: 'Compose', exact: true }).click();
  await wishesOf(page).fill('4 moves, begins 1 2 3b, only 1 2 3b 2b sl, flows');
  await wishesOf(page).press('Enter');
  const found = page.getByRole('list', { name: 'Results' }).getByRole('listitem');
  await expect(found.filter({ hasText: '1 2 3b 2b' })).toHaveCount(1);
  await page.getByRole('button', { name: 'Similar to 1 2 3b 2b' }).click();
  const beside = page.getByRole('region', { name: 'Variations' });
  await expect(beside.getByRole('heading', { name: 'Variations of 1 2 3b 2b' })).toBeVisible();
  const step = beside.getByRole('button', { name: /^Step to / }).first();
  const next = (await step.getAttribute('aria-label'))?.replace('Step to ', '') ?? '';
  await step.click();
  await expect(beside.getByRole('heading', { name: `Variations of ${next}`, exact: true })).toBeVisible();
  await beside.getByRole('button', { name: 'Back to 1 2 3b 2b' }).click();
  await expect(beside.getByRole('heading', { name: 'Variations of 1 2 3b 2b' })).toBeVisible();
  await expect(beside.getByRole('button', { name: /^Back to/ })).toHaveCount(0);
  const stays = beside.getByRole('listbox', { name: 'Moves to keep' });
  await stays.getByRole('option', { name: '3b', exact: true }).click();
  await beside.getByRole('button', { name: 'Vary the rest' }).click();
  await expect(wishesOf(page)).toHaveValue('like 1 2 3b _, only 1 2 3b 2b sl, flows');
  await expect(found.first()).toContainText('1 2 3b');
});

test('a family grows, and one of its goals becomes a programme that is built up as it grew', async ({ page }) => {
  await page.goto('/combos');
  await page.getByRole('button', { name: 'Compose', exact: true }).click();
  await wishesOf(page).fill('4 moves, begins 1 2 3b 2');
  await wishesOf(page).press('Enter');
  await page.getByRole('tab', { name: 'Build-ups' }).click();
  const family = page.getByRole('tree', { name: 'Build-ups' });
  await expect(family.getByRole('treeitem')).toHaveCount(4);
  await family.getByRole('button', { name: '1 2 3b 2 as a programme' }).click();
  await expect(page.getByLabel('Target combination')).toHaveValue('1 2 3b 2');
  await expect(page.getByText('Built up like this: 1 → 1 2 → 1 2 3b → 1 2 3b 2')).toBeVisible();
  await page.getByRole('button', { name: 'Create plan' }).click();
  await expect(page.getByRole('list', { name: 'Steps to the goal' }).getByRole('listitem')).toHaveCount(4);
});

test('rounds share a theme and cover what is asked, once each; they go into the sheet in one step', async ({
  page,
}) => {
  await composeBesideSheet(page);
  await page.keyboard.type('4-5 punches, begins 1 2, flows, loops');
  await page.keyboard.press('Enter');
  await page.getByRole('tab', { name: 'Themed rounds' }).click();
  await expect(page.getByText('Everything is included exactly once.')).toBeVisible();
  await expect(page.getByRole('list', { name: 'Themed rounds' }).getByRole('listitem')).toHaveCount(3);
  await page.getByRole('button', { name: 'Add as rounds' }).click();
  await expect(page.getByLabel(/^Length of Round/)).toHaveCount(3);
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(page.getByLabel(/^Length of Round/)).toHaveCount(0);
});

test('the way from one of the book to another is shown, each step one edit', async ({ page }) => {
  await page.goto('/combos');
  await page.getByRole('button', { name: 'Compose', exact: true }).click();
  await page.getByRole('tab', { name: 'Progression' }).click();
  await page.getByRole('combobox', { name: 'From' }).click();
  await page.getByRole('option', { name: /: 1 2$/ }).click();
  await page.getByRole('combobox', { name: 'To' }).click();
  await page.getByRole('option', { name: /: 1 bl 2 3$/ }).click();
  await expect(page.getByText('2 steps, one change each; every step flows.')).toBeVisible();
  await expect(page.getByRole('list', { name: 'Progression' }).getByRole('listitem')).toHaveCount(3);
});

test('a count that takes long says so and can be stopped; the next one is answered', async ({ page }) => {
  await page.goto('/combos');
  await page.getByRole('button', { name: 'Compose', exact: true }).click();
  await wishesOf(page).fill('6-9 moves, flows, loops, at most 6 s');
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(page.getByText(/^Stopped\. A time limit takes long/)).toBeVisible();
  await wishesOf(page).fill('3 moves, only 1 2, flows');
  await expect(page.getByText('5 combinations match')).toBeVisible();
});
