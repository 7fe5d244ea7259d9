import { expect, test, type Page } from '@playwright/test';
import { choose } from './hands';

async function newSheet(page: Page, title: string): Promise<void> {
  await page.goto('/sheets');
  await page.getByRole('button', { name: 'New sheet' }).first().click();
  await page.getByLabel('Title of the sheet').fill(title);
}

test('the main job: type, build, rests, run at rehearsal speed, log, reload, still there', async ({ page }) => {
  await newSheet(page, 'Hose tower');
  const entry = page.getByLabel('Type a combination');
  await entry.fill('1 2 3b 2 5 4');
  await expect(page.getByText('6 punches · 6 moves')).toBeVisible();
  await entry.press('Control+Enter');
  // Six stages of 30 s stand on one staff, each with the moment at which it comes in, and unfold; they make three minutes.
  await expect(page.locator('text.moment')).toHaveText(['0:00', '0:30', '1:00', '1:30', '2:00', '2:30']);
  // As slowly as a hand presses: the row is selected by the press, and the button stays under it.
  await page.getByRole('button', { name: /^Expand/ }).click({ delay: 150 });
  await expect(page.locator('.stage')).toHaveCount(6);
  await expect(page.locator('.stage .ring')).toHaveCount(6);
  await expect(page.getByLabel('Length of Round 1')).toHaveText('3:00');
  await page.getByRole('button', { name: 'Rest', exact: true }).click();
  await page.getByRole('button', { name: 'Round', exact: true }).click();
  await page.getByRole('button', { name: 'Warm-up', exact: true }).click();
  await page.locator('[data-row]').last().focus();
  for (let step = 0; step < 3; step += 1) await page.keyboard.press('Alt+ArrowUp');
  await expect(page.locator('kt-block-view').first()).toContainText('Warm-up');
  await expect(page.locator('kt-sheet-totals')).toContainText('12:00');
  await expect(page.getByRole('status').first()).toHaveText('Saved');
  await page.reload();
  await expect(page.locator('text.moment')).toHaveCount(6);

  await page.getByRole('link', { name: 'Run', exact: true }).click();
  await choose(page, 'Rehearsal speed', 'rehearsal × 60');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/Get ready|Warm-up|Round/);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Round 1 of 2', { timeout: 15_000 });
  await expect(page.locator('.said')).toContainText('one', { ignoreCase: true });
  await expect(page.getByRole('heading', { name: 'Finished: Hose tower' })).toBeVisible({ timeout: 30_000 });
  await page.getByRole('radio', { name: '7', exact: true }).click();
  await page.getByLabel('Punches counted').fill('150');
  await page.getByLabel('Note for next time').fill('Keep the rear hand up');
  await page.getByRole('link', { name: 'Go to Log' }).click();
  await expect(page.getByRole('heading', { name: 'Log', exact: true })).toBeVisible();
  await page.reload();
  const line = page.getByRole('row', { name: /Hose tower/ });
  await expect(line).toContainText('12:00 of 12:00');
  await expect(line).toContainText('2 of 2');
  await expect(line).toContainText('150 counted');
  await expect(line).toContainText('effort 7');
  await expect(line).toContainText('Keep the rear hand up');
  await expect(line).toContainText('rehearsal');
});

test('by keyboard alone: build a sheet, run it, stop it, say how hard it was', async ({ page }) => {
  await page.goto('/sheets');
  await page.getByRole('button', { name: 'New sheet' }).first().focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('This sheet is empty.')).toBeVisible();
  await page.keyboard.press('/');
  await page.keyboard.type('1 2 sl 6');
  await page.keyboard.press('Control+Enter');
  await page.keyboard.type('2 3 2');
  await page.keyboard.press('Enter');
  await expect(page.locator('kt-piece-view')).toHaveCount(2);
  await page.locator('[data-row]').last().focus();
  await page.keyboard.press('Control+d');
  await expect(page.locator('kt-piece-view')).toHaveCount(3);
  await page.keyboard.press('Delete');
  await expect(page.locator('kt-piece-view')).toHaveCount(2);
  await page.keyboard.press('Control+z');
  await expect(page.locator('kt-piece-view')).toHaveCount(3);
  await page.keyboard.press('Control+y');
  await expect(page.locator('kt-piece-view')).toHaveCount(2);
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  const entry = page.getByLabel('Edit the combination');
  await expect(entry).toBeFocused();
  await entry.press('Control+a');
  await page.keyboard.type('1 2 4');
  await expect(page.locator('.facts')).toContainText('the rear side has not reloaded');
  await page.keyboard.press('Alt+r');
  await expect(entry).toHaveValue('1 2 sl 4');
  await page.keyboard.press('Enter');
  await expect(page.locator('kt-piece-view').last()).toContainText('sl');
  await page.keyboard.press('Control+Enter');
  await expect(page).toHaveURL(/\/run\//);
  await page.locator('#ready').waitFor();
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(page.locator('.detail')).toContainText('stage 2 of 3');
  await page.keyboard.press('r');
  await page.keyboard.press('ArrowLeft');
  await expect(page.locator('.detail')).toContainText('stage 1 of 3');
  await page.keyboard.press('Space');
  await expect(page.locator('.said')).toContainText('Paused');
  await page.keyboard.press('Space');
  await page.keyboard.press('s');
  await expect(page.getByText('Stopped').first()).toBeVisible();
  await page.keyboard.press('x');
  await expect(page.getByRole('heading', { name: /^Ended early/ })).toBeVisible();
  await page.getByRole('radio').first().focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Alt+2');
  // Leaving by the address bar gives storage no time of its own.
  await page.waitForTimeout(600);
  await page.goto('/log');
  await expect(page.getByRole('row', { name: /New sheet/ })).toContainText('effort 1');
  await expect(page.getByRole('row', { name: /New sheet/ })).toContainText('ended early');
});

test('a run that a reload breaks off is taken up at its second', async ({ page }) => {
  await page.goto('/run/demo-first-watch');
  await page.getByRole('button', { name: 'Start' }).click();
  for (let step = 0; step < 6; step += 1) await page.keyboard.press('ArrowRight');
  await expect(page.locator('.detail')).toContainText('stage 2 of 6');
  await expect(page.locator('.clock')).toHaveText('0:27', { timeout: 8000 });
  await page.reload();
  // 6:15 is the stage's beginning; it had shown 27 s left.
  await expect(page.locator('.take-up')).toContainText(/6:1[78]/);
  await page.getByRole('button', { name: 'Resume' }).click();
  await expect(page.locator('.detail')).toContainText('stage 2 of 6');
  await expect(page.locator('.clock')).toHaveText(/0:2[678]/);
  await expect(page.locator('.said')).toContainText('Paused');
  await page.keyboard.press('Space');
  await expect(page.locator('.clock')).toHaveText('0:25', { timeout: 8000 });
});

test('whoever comes back another day is offered the run that was broken off, and may let it go', async ({ page }) => {
  await page.goto('/run/demo-first-watch');
  await page.getByRole('button', { name: 'Start' }).click();
  await page.locator('kt-stage').waitFor();
  for (let step = 0; step < 4; step += 1) await page.keyboard.press('ArrowRight');
  await expect(page.locator('.clock')).toHaveText(/0:4\d/);
  await page.goto('/sheets');
  const note = page.getByRole('note').filter({ hasText: 'was interrupted at' });
  await expect(note).toContainText('“Tower, first watch” was interrupted at 5:0');
  await note.getByRole('link', { name: 'Resume' }).click();
  await page.getByRole('button', { name: 'Resume' }).click();
  await expect(page.locator('.said')).toContainText('Paused');
  await page.goto('/sheets');
  await note.getByRole('button', { name: 'Discard' }).click();
  await expect(note).toBeHidden();
  await page.reload();
  await expect(page.locator('.list li')).toHaveCount(5);
  await expect(note).toBeHidden();
});

test('a sheet without combinations is a good plain round timer', async ({ page }) => {
  await newSheet(page, 'Plain rounds');
  await page.getByRole('button', { name: 'Round', exact: true }).click();
  await page.getByLabel('Repeats of Round 1').fill('3');
  await page.getByLabel('Repeats of Round 1').press('Enter');
  await page.getByLabel('Length of Rounds 1–3').click();
  await page.getByLabel('Length of Rounds 1–3').fill('2:00');
  await page.getByLabel('Length of Rounds 1–3').press('Enter');
  await expect(page.locator('kt-sheet-totals')).toContainText('8:00');
  await page.getByRole('link', { name: 'Run', exact: true }).click();
  await page.getByRole('button', { name: 'Start' }).click();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Round 1 of 3');
  await expect(page.locator('.clock')).toHaveText(/1:5\d/);
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Rest');
});

test('an open break waits for a key', async ({ page }) => {
  await page.goto('/run/demo-first-watch');
  await page.getByRole('button', { name: 'Start' }).click();
  await page.locator('kt-stage').waitFor();
  // Three warm-up pieces, a show, 6 + 4 + 6 pieces of rounds and two rests lie before the break.
  for (let step = 0; step < 23; step += 1) await page.keyboard.press('ArrowRight');
  await expect(page.getByText('Press space to continue')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Core');
});
