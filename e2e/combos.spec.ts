import { readFile } from 'node:fs/promises';
import { expect, test } from '@playwright/test';
import { choose } from './hands';

test('write a combination, place moves on the staff by keys and by drag, find it again', async ({ page }) => {
  await page.goto('/combos');
  await expect(page.getByText('12 of 12')).toBeVisible();
  await page.getByRole('button', { name: 'New combination' }).click();
  const card = page.getByRole('region', { name: 'Combination' });
  await card.getByLabel('Combination', { exact: true }).fill('1 2');
  await expect(page.getByText('13 of 13')).toBeVisible();
  await card.getByLabel('Name').fill('Night bell');
  await card.locator('.box').last().focus();
  await page.keyboard.press('3');
  await page.keyboard.press('ArrowDown');
  await expect(card.getByLabel('Combination', { exact: true })).toHaveValue('1 2 3b');
  await page.keyboard.press('Alt+ArrowLeft');
  await expect(card.getByLabel('Combination', { exact: true })).toHaveValue('1 3b 2');

  // Drag the offered roll between the first two.
  const offer = await card.getByRole('button', { name: 'Insert rear roll' }).boundingBox();
  const board = await card.locator('.board').boundingBox();
  const second = await card.locator('.box').nth(1).boundingBox();
  if (!offer || !board || !second) throw new Error('nothing to drag');
  await page.mouse.move(offer.x + 10, offer.y + 10);
  await page.mouse.down();
  await page.mouse.move(offer.x + 10, offer.y - 30, { steps: 5 });
  await page.mouse.move(second.x + 2, board.y + board.height / 2, { steps: 15 });
  await page.mouse.up();
  await expect(card.getByLabel('Combination', { exact: true })).toHaveValue(
    /^(1 ro(-l)? 3b 2|ro(-l)? 1 3b 2|1 3b ro(-l)? 2)$/,
  );

  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Close' }).click();
  await page.reload();
  await page.getByLabel('Find').fill('night');
  await expect(page.locator('.list tr[mat-row]')).toHaveCount(1);
  await expect(page.locator('.list tr[mat-row]')).toContainText('Night bell');
});

test('a selection goes to a file; another coach takes it in after a look', async ({ page, browser }) => {
  await page.goto('/combos');
  await page.getByLabel('Choose Turnout').check();
  await page.getByLabel('Choose Long hose').check();
  await page.getByRole('button', { name: 'Compare' }).click();
  await expect(page.getByRole('region', { name: 'Comparison' })).toContainText('switch kick');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export 2' }).click(),
  ]);
  const text = await readFile(await download.path(), 'utf8');

  const other = await (await browser.newContext()).newPage();
  await other.goto(new URL('/combos', page.url()).href);
  await other.getByRole('button', { name: 'Clear the examples' }).click();
  await expect(other.getByText('No combinations yet.')).toBeVisible();
  await other
    .locator('input[type=file]')
    .setInputFiles({ name: 'book.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  await expect(other.getByRole('heading', { name: '2 combinations in this file' })).toBeVisible();
  await choose(other, 'What to do with Turnout', 'skip');
  await other.getByRole('button', { name: 'Import 1' }).click();
  await expect(other.locator('.list tr[mat-row]')).toHaveCount(1);
  await other.locator('input[type=file]').setInputFiles({
    name: 'bad.json',
    mimeType: 'application/json',
    buffer: Buffer.from(text.replace('"5 2 swk 1 lk"', '"5 2 zzz"')),
  });
  await expect(other.getByRole('alert')).toContainText(/entries\[\d\]\.text/);
  await expect(other.locator('.list tr[mat-row]')).toHaveCount(1);
  await other.close();
});

test('own numbers re-spell a sheet, and a bad scheme is refused with the reason', async ({ page }) => {
  await page.goto('/settings');
  await page.getByRole('button', { name: 'Add a number' }).click();
  await page.getByLabel('Number', { exact: true }).fill('9');
  await page.getByLabel('Move', { exact: true }).fill('1');
  await expect(page.getByText('jab already has the number 1')).toBeVisible();
  await page.getByLabel('Move', { exact: true }).fill('lk');
  await expect(page.getByText('Saved.')).toBeVisible();
  await page.goto('/sheets/demo-hands-then-legs');
  await page.getByRole('button', { name: 'Class and settings' }).click();
  await choose(page, 'Numbers', 'mine');
  await expect(page.getByRole('group', { name: '5 2 swk 1 9' }).first()).toBeVisible();
  const entry = page.getByLabel('Type a combination');
  await entry.fill('longhose then 9');
  await expect(page.locator('.facts')).toContainText('6 moves');
});

test('tapping along fits the class’s pace and changes what is planned', async ({ page }) => {
  await page.goto('/sheets/demo-ten-minutes');
  const punches = page.locator('kt-sheet-totals div').nth(2);
  await expect(punches).toContainText('415');
  await page.getByRole('button', { name: 'Class and settings' }).click();
  await page.locator('kt-piece-view .piece').nth(3).focus();
  await page.getByRole('button', { name: 'Tap the pace' }).click();
  const pad = page.locator('.pad');
  for (let tap = 0; tap < 12; tap += 1) {
    await pad.press('t');
    await page.waitForTimeout(tap % 5 === 4 ? 900 : 380);
  }
  await expect(page.locator('kt-tap-along')).toContainText(/give or take \d+%/);
  await page.getByRole('button', { name: 'Use this pace' }).click();
  await expect(punches).not.toContainText('415');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(punches).toContainText('415');
});

test('wishes are composed: counted as they change, drawn, put into the book, undone; contradictions are named', async ({
  page,
}) => {
  await page.goto('/combos');
  await page.getByRole('button', { name: 'Compose' }).click();
  const card = page.getByRole('region', { name: 'Compose' });
  await expect(card.getByRole('status')).toContainText('combinations match');
  await expect(card.getByRole('status')).toContainText('at least');
  await card.getByLabel('Criteria, separated by commas').fill('3 moves, only 1 2, flows');
  await card.getByLabel('Criteria, separated by commas').press('Enter');
  await expect(card.getByRole('status')).toContainText('5 combinations match');
  const found = card.getByRole('list', { name: 'Results' }).getByRole('listitem');
  await expect(found).toHaveCount(5);
  await card.getByRole('option', { name: 'ends on 3' }).click();
  await expect(card.getByRole('status')).toContainText('These contradict each other: only 1 2 · ends on 3');
  await card.getByRole('option', { name: 'ends on 3' }).click();
  await card.getByLabel('Criteria, separated by commas').fill('flows');
  await card.getByLabel('Criteria, separated by commas').press('Enter');
  await expect(card.getByText('say how many moves').first()).toBeVisible();
  await card.getByLabel('Criteria, separated by commas').fill('5 moves, begins 1 2, one roll, flows, loops');
  await card.getByLabel('Criteria, separated by commas').press('Enter');
  await expect(found).toHaveCount(6);
  const first = await found.first().textContent();
  await card.getByRole('button', { name: 'Show others' }).click();
  await expect(found.first()).not.toHaveText(first ?? '');
  await found
    .first()
    .getByRole('button', { name: /save to combinations$/ })
    .click();
  await expect(page.getByText(/saved to your combinations/)).toBeVisible();
  await expect(page.getByText('13 of 13')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('12 of 12')).toBeVisible();
  await found
    .first()
    .getByRole('button', { name: /new sheet$/ })
    .click();
  await expect(page).toHaveURL(/\/sheets\//);
});
