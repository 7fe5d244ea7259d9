import { readFile } from 'node:fs/promises';
import { expect, test } from '@playwright/test';

test('the first visit holds the demo, which can be cleared, and brought back', async ({ page }) => {
  await page.goto('/');
  await expect(page.locator('.list li')).toHaveCount(5);
  await page.getByRole('button', { name: 'Clear the examples' }).click();
  await expect(page.getByText('No sheets yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('.list li')).toHaveCount(5);
});

test('copy, rename, delete with undo', async ({ page }) => {
  await page.goto('/sheets');
  const more = page.getByRole('button', { name: 'More for Tower, first watch', exact: true });
  await more.click();
  await page.getByRole('menuitem', { name: 'Copy' }).click();
  await expect(page.getByRole('link', { name: 'Tower, first watch (copy)', exact: true })).toBeVisible();
  await more.click();
  await page.getByRole('menuitem', { name: 'Rename' }).click();
  await page.getByLabel('Title').fill('Tower, second watch');
  await page.getByLabel('Title').press('Enter');
  await expect(page.getByRole('link', { name: 'Tower, second watch', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'More for Tower, second watch' }).click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await expect(page.getByRole('link', { name: 'Tower, second watch', exact: true })).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'Tower, second watch', exact: true })).toBeVisible();
});

test('a sheet goes to a JSON file and comes back; a wrong file is refused with its paths and changes nothing', async ({
  page,
}) => {
  await page.goto('/sheets');
  await page.getByRole('button', { name: 'More for Hands, then legs' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Export as JSON' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('hands-then-legs.json');
  const text = await readFile(await download.path(), 'utf8');
  const field = page.locator('input[type=file]');
  await field.setInputFiles({ name: 'back.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  await expect(page.locator('.list li')).toHaveCount(6);
  const newer = JSON.stringify({ ...(JSON.parse(text) as object), version: 9 });
  await field.setInputFiles({ name: 'newer.json', mimeType: 'application/json', buffer: Buffer.from(newer) });
  await expect(page.getByRole('alert')).toContainText('newer.json was not imported. Nothing has changed');
  await expect(page.getByRole('alert')).toContainText('version 9 is newer');
  const wrong = text.replace('"kind": "round"', '"kind": "party"');
  await field.setInputFiles({ name: 'wrong.json', mimeType: 'application/json', buffer: Buffer.from(wrong) });
  await expect(page.getByRole('alert')).toContainText(/blocks\[\d+\]\.kind/);
  await expect(page.locator('.list li')).toHaveCount(6);
});

test('dragging a block by its grip moves it, and undo moves it back', async ({ page }) => {
  await page.goto('/sheets/demo-ten-minutes');
  const names = page.locator('kt-block-view .name');
  await expect(names.first()).toHaveText('Warm-up');
  const grip = page.locator('kt-block-view .head .grip').first();
  const goal = await page.locator('kt-block-view').nth(1).locator('kt-piece-view').last().boundingBox();
  const from = await grip.boundingBox();
  if (!goal || !from) throw new Error('nothing to drag');
  await page.mouse.move(from.x + 8, from.y + 8);
  await page.mouse.down();
  await page.mouse.move(from.x + 8, from.y + 40, { steps: 5 });
  await page.mouse.move(from.x + 8, goal.y + goal.height - 4, { steps: 15 });
  await page.mouse.up();
  await expect(names.first()).toHaveText('Round 1');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(names.first()).toHaveText('Warm-up');
});

test('pieces that do not add up are a finding, and its mend mends it', async ({ page }) => {
  await page.goto('/sheets/demo-ten-minutes');
  await page.getByLabel('Length of 1 2', { exact: true }).first().click();
  await page.getByLabel('Length of 1 2', { exact: true }).first().fill('1:30');
  await page.getByLabel('Length of 1 2', { exact: true }).first().press('Enter');
  const panel = page.getByRole('complementary', { name: 'Checks' });
  await expect(panel).toContainText('the drills take 3:30, but the round is 3:00: 0:30 too long');
  await panel.getByRole('button', { name: 'Make the round 3:30' }).click();
  await expect(panel).not.toContainText('too long');
  await expect(page.locator('kt-sheet-totals')).toContainText('10:30');
});

test('bad and huge text gets a clear message at its place, and is not lost', async ({ page }) => {
  await page.goto('/sheets/demo-ten-minutes');
  const entry = page.getByLabel('Type a combination');
  for (const [typed, said] of [
    ['1 2 🥊 3', 'is not a move'],
    ['1 <img src=x onerror=alert(1)> 2', 'is not a move'],
    ['(1 2', 'never closed'],
    ['112 ', 'did you mean "1 1 2"'],
    ['((1 2)x99)x99', '19602 moves in full'],
  ] as const) {
    await entry.fill(typed);
    await entry.press('Enter');
    await expect(page.locator('#entry-fault')).toContainText(said);
    await expect(entry).toHaveValue(typed);
  }
  await page.reload();
  await expect(entry).toHaveValue('((1 2)x99)x99');
});

test('addresses that lead nowhere say so', async ({ page }) => {
  await page.goto('/no/such/place');
  await expect(page.getByRole('heading', { name: 'Page not found' })).toBeVisible();
  await page.goto('/sheets/none');
  await expect(page.getByRole('heading', { name: 'Sheet not found' })).toBeVisible();
  await page.goto('/run/none');
  await expect(page.getByRole('heading', { name: 'Sheet not found' })).toBeVisible();
});

test('files that are dropped and text that is pasted come in, whatever their ending; a picture is refused with the reason', async ({
  page,
}) => {
  await page.goto('/sheets');
  await expect(page.locator('.list li')).toHaveCount(5);
  const drop = (name: string, content: string | readonly number[]): Promise<void> =>
    page.evaluate(
      ({ name, content }) => {
        const dataTransfer = new DataTransfer();
        dataTransfer.items.add(new File([typeof content === 'string' ? content : new Uint8Array(content)], name));
        document.body.dispatchEvent(new DragEvent('dragover', { dataTransfer, bubbles: true, cancelable: true }));
        document.body.dispatchEvent(new DragEvent('drop', { dataTransfer, bubbles: true, cancelable: true }));
      },
      { name, content },
    );
  await drop('DROPPED.TXT', '# From a drop\nround 1:00\n  0:30 1 2 3b');
  await expect(page.getByRole('link', { name: 'From a drop', exact: true })).toBeVisible();
  await drop('x.json', [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 0]);
  await expect(page.getByRole('alert')).toContainText('x.json was not imported');
  await page.evaluate(() => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text/plain', '# From a paste\nround 1:00\n  0:30 1 2 3b');
    document.body.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
  });
  await expect(page.getByRole('link', { name: 'From a paste', exact: true })).toBeVisible();
  await expect(page.getByRole('alert')).toBeHidden();
});
