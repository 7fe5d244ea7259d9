import { expect, test } from '@playwright/test';

test('the room by keys: a bag is put in, moved, and says what the numbers say', async ({ page }) => {
  await page.goto('/room');
  await expect(page.getByText('its bottom edge is at 0.75 m', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Add' }).click();
  await page.getByRole('menuitem', { name: 'reflex bag', exact: true }).click();
  const bag = page.getByRole('button', { name: /^reflex bag, 4\.50 m from the left/ });
  await bag.focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('button', { name: /^reflex bag, 4\.60 m from the left/ })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: /^reflex bag, 4\.60 m from the left/ })).toBeVisible();
});

test('the room by mouse: a dragged bag stays where it was dropped', async ({ page }) => {
  await page.goto('/room');
  const bag = page.getByRole('button', { name: /^Sand base, 7\.20 m/ });
  // What is said of the room moves the plan: a hover waits until it stands still.
  await bag.locator('.bag').hover();
  const box = await bag.locator('.bag').boundingBox();
  if (!box) throw new Error('not drawn');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x - 60, box.y + box.height / 2, { steps: 4 });
  await page.mouse.up();
  await expect(bag).toHaveCount(0);
  await expect(page.getByRole('button', { name: /^Sand base, [56]\./ })).toBeVisible();
});

test('the bench works a typed combination out in its worker: waiting hits, hurrying misses', async ({ page }) => {
  await page.goto('/bench');
  await page.getByRole('tab', { name: 'Double-end bag' }).click();
  const blows = page.getByRole('list', { name: 'Hits and misses' });
  await expect(blows.getByRole('listitem')).toHaveCount(4);
  await expect(blows).not.toContainText('misses');
  await page.getByLabel('Try a combination on it').fill('1 2 3 2 1 2');
  await page.getByLabel('Wait for the ball before each strike').uncheck();
  await expect(blows.getByRole('listitem')).toHaveCount(6);
  await expect(blows).toContainText('misses');
});

test('one session, four kinds of bag: versions, rotation and today follow from the sheet', async ({ page }) => {
  await page.goto('/sheets/demo-four-corners');
  const lanes = page.getByRole('button', { name: /^Stations/ }).first();
  await expect(page.getByText('double-end bag 1 2 3 2').first()).toBeVisible();
  await lanes.click();
  await page.getByRole('tab', { name: 'Stations' }).click();
  await expect(page.getByRole('columnheader', { name: 'Group 4 (3)' })).toBeVisible();
  await page.getByRole('button', { name: 'Today', exact: true }).click();
  await page.getByLabel('People here today').fill('9');
  await page.getByLabel('Finish earlier by (min)').fill('5');
  await page.getByLabel('freestanding bag, places available').fill('0');
  await page.getByRole('button', { name: 'Show changes' }).click();
  await expect(page.getByText('freestanding bag is out of use: its station is removed')).toBeVisible();
  await page.getByRole('button', { name: 'Use for today' }).click();
  await page.getByRole('tab', { name: 'Stations' }).click();
  await expect(page.getByRole('columnheader', { name: 'Group 3 (3)' })).toBeVisible();
  await expect(page.getByRole('columnheader', { name: 'Group 4' })).toHaveCount(0);
  await page.getByRole('link', { name: 'Open the rotation board' }).click();
  await expect(page.getByRole('heading', { name: /rotation/ })).toBeVisible();
  await page.goBack();
  await page.getByRole('tab', { name: 'Stations' }).click();
  // Undo is there once the kept steps have been read.
  await expect(page.getByRole('columnheader', { name: 'Group 3 (3)' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('columnheader', { name: 'Group 4 (3)' })).toBeVisible();
});
