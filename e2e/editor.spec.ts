import { expect, test } from '@playwright/test';
import { choose } from './hands';

const total = '.tools ~ * .figures, header .figures';

test.describe('a sheet a coach can live in', () => {
  test('draft, fit to 30:00, edit, text view, reload, undo', async ({ page }) => {
    await page.goto('/sheets');
    const form = page.getByRole('form', { name: 'Quick session' });
    await form.getByLabel('Minutes').fill('25');
    await choose(page, 'Level', 'intermediate', form);
    await form.getByLabel('Type and go').fill('1 2 3b 2; nonsense');
    await form.getByRole('button', { name: 'Draft' }).click();
    await expect(form).toContainText('“nonsense”');
    await form.getByLabel('Type and go').fill('1 2 3b 2');
    await form.getByRole('button', { name: 'Draft' }).click();
    await expect(page.locator(total).first()).toHaveText('25:00');
    await expect(page.locator('.findings .error, li.error')).toHaveCount(0);

    await page.getByRole('tab', { name: 'Fit and versions' }).click();
    await page.getByLabel('Minutes').fill('30');
    await page.getByRole('button', { name: 'Fit', exact: true }).click();
    await expect(page.getByRole('region', { name: 'Proposed changes' })).toContainText('Fit to 30:00');
    await page.getByRole('button', { name: 'Change this sheet' }).click();
    await expect(page.locator(total).first()).toHaveText('30:00');

    await page.getByRole('tab', { name: 'Text' }).click();
    const text = page.getByLabel('Sheet as text');
    await expect(text).toContainText('cool-down');
    await text.click();
    await page.keyboard.press('Control+End');
    // Completion is closed by Escape, so that Enter begins a line.
    for (const line of ['', 'rest 1:00', 'round 2:00 "Typed"']) {
      await page.keyboard.type(line);
      await page.keyboard.press('Escape');
      await page.keyboard.press('Enter');
    }
    await page.keyboard.type('  build pyramid every 0:40: 1 2');
    await page.keyboard.press('Escape');
    await expect(page.locator(total).first()).toHaveText('33:00');
    await expect(page.locator('kt-block-view').last()).toContainText('Typed');
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();

    await page.reload();
    await expect(page.locator(total).first()).toHaveText('33:00');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.locator(total).first()).toHaveText('30:00');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.locator(total).first()).toHaveText('25:00');
    await page.getByRole('button', { name: 'Redo' }).click();
    await page.getByRole('button', { name: 'Redo' }).click();
    await expect(page.locator(total).first()).toHaveText('33:00');
  });

  test('builds by typing, re-opened and changed later; mends by one key', async ({ page }) => {
    await page.goto('/sheets');
    await page.getByRole('button', { name: 'New sheet' }).click();
    const entry = page.getByLabel('Type a combination');
    await entry.fill('build kick-close every 0:30: 1 2 3');
    await entry.press('Enter');
    await expect(page.locator('kt-piece-view')).toContainText('5 stages');
    await expect(page.locator(total).first()).toHaveText('2:30');
    await page.locator('kt-piece-view .piece').focus();
    await page.keyboard.press('o');
    const options = page.getByRole('group', { name: 'Build options' });
    await choose(page, 'Kind', 'ladder', options);
    await expect(page.locator('text.moment')).toHaveCount(3);
    await expect(options.getByRole('status')).toContainText('3 stages need 1:30; the block has 2:30');
    await options.getByRole('button', { name: 'Make the round 1:30' }).click();
    await expect(page.locator(total).first()).toHaveText('1:30');
    await options.getByLabel('Every').fill('0:40');
    await options.getByLabel('Every').press('Enter');
    await options.getByLabel('Every').blur();
    await expect(page.locator('li.error')).toContainText('3 stages take 2:00, but the round is 1:30');
    await page.keyboard.press('Alt+m');
    await expect(page.locator('li.error')).toHaveCount(0);
  });

  test('marks many rows by keys and mouse, and changes them together', async ({ page }) => {
    await page.goto('/sheets');
    await page.getByRole('button', { name: 'Use a template' }).click();
    await page.getByRole('button', { name: /High and low/ }).click();
    await page.locator('kt-block-view .head').first().focus();
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Shift+ArrowDown');
    await page.keyboard.press('Shift+ArrowDown');
    const bar = page.getByRole('toolbar', { name: 'Selected rows' });
    await expect(bar).toContainText('3 selected');
    await bar.getByRole('button', { name: 'Effort' }).click();
    await page.getByRole('menuitem', { name: 'easy', exact: true }).click();
    await expect(page.locator('kt-piece-view .effort').nth(1)).toHaveText('easy');
    await bar.getByRole('button', { name: '+5 s' }).click();
    await expect(
      page
        .locator('kt-piece-view')
        .first()
        .getByLabel(/^Length of/),
    ).toHaveText('2:05');
    await bar.getByRole('button', { name: 'Delete' }).click();
    await expect(page.locator('kt-block-view').first().locator('kt-piece-view')).toHaveCount(1);
    await page.getByRole('button', { name: 'Undo' }).first().click();
    await expect(page.locator('kt-block-view').first().locator('kt-piece-view')).toHaveCount(4);
    await page.locator('kt-block-view .name').nth(1).click();
    await page
      .locator('kt-block-view .name')
      .nth(3)
      .click({ modifiers: ['Shift'] });
    await expect(bar).toContainText(/\d+ selected/);
    await page.keyboard.press('Escape');
    await page.keyboard.press('f');
    await page.getByLabel('Find on this sheet').fill('one at a time');
    await expect(page.getByText('1 found')).toBeVisible();
  });

  test('a clock format by a press, an exercise by keys, from one panel; text comes in as a file', async ({ page }) => {
    await page.goto('/sheets');
    await page.getByLabel('Import').setInputFiles({
      name: 'note.tempo.txt',
      mimeType: 'text/plain',
      buffer: Buffer.from('# Jotted down\nround 2:00: 1 2 jabb\ncool-down 1:00\n'),
    });
    await expect(page.getByRole('alert')).toContainText('line 2, column 17');
    await page.getByRole('link', { name: 'Jotted down', exact: true }).click();
    await expect(page.locator(total).first()).toHaveText('3:00');
    await page.locator('kt-block-view .head').last().focus();
    await page.getByRole('button', { name: 'From the library' }).click();
    await page.getByLabel('Search').fill('four pairs');
    await page.getByRole('button', { name: /^Hard and easy intervals, four pairs/ }).click();
    await expect(page.locator(total).first()).toHaveText('9:00');
    await page.locator('kt-block-view .head').nth(1).focus();
    await page.getByLabel('Search').fill('breaths');
    await page.keyboard.press('Tab');
    await page.getByRole('button', { name: /^Slow, deep breaths/ }).focus();
    await page.keyboard.press('Enter');
    await expect(page.locator('kt-piece-view').getByLabel('Description')).toHaveValue('Slow, deep breaths');
    await page.locator('mat-snack-bar-container').getByRole('button', { name: 'Undo' }).click();
    await expect(page.locator('kt-piece-view').filter({ hasText: 'Slow, deep breaths' })).toHaveCount(0);
  });

  test('on a phone what is put in is picked over the sheet, from below', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto('/sheets');
    await page.getByRole('button', { name: 'New sheet' }).first().click();
    const tools = page.getByRole('toolbar', { name: 'Sheet tools' });
    await tools.getByRole('button', { name: 'Add', exact: true }).click();
    await page.getByRole('menuitem', { name: /From the library/ }).click();
    const drawer = page.getByRole('dialog', { name: 'From the library' });
    await drawer.getByLabel('Search').fill('four pairs');
    await drawer.getByRole('button', { name: /^Hard and easy intervals, four pairs/ }).click();
    await expect(drawer).toBeHidden();
    await expect(page.locator('kt-block-view')).toHaveCount(1);
    await page.locator('mat-snack-bar-container').getByRole('button', { name: 'Undo' }).click();
    await expect(page.locator('kt-block-view')).toHaveCount(0);
    await page.keyboard.press('Alt+c');
    const composing = page.getByRole('dialog', { name: 'Compose' });
    await composing.getByRole('button', { name: 'Add' }).first().click();
    await expect(page.locator('kt-block-view')).toHaveCount(1);
    await page.keyboard.press('Escape');
    await expect(composing).toBeHidden();
  });

  test('tells a screen reader what a key did that no field shows', async ({ page }) => {
    await page.goto('/sheets/demo-hands-then-legs');
    const told = page.locator('.cdk-live-announcer-element');
    await page.locator('kt-block-view').nth(1).locator('.head').first().focus();
    await page.keyboard.press('Alt+ArrowDown');
    await expect(told).toHaveText(/^Moved to 3 of \d+$/);
    await page.keyboard.press('Control+z');
    await expect(told).toHaveText(/^Demo .*moved, now 2 of \d+$/);
  });

  test('prints an hour on one page', async ({ page }) => {
    await page.goto('/sheets');
    await page.getByRole('button', { name: 'Use a template' }).click();
    await page.getByRole('button', { name: /One hour/ }).click();
    await expect(page.locator(total).first()).toHaveText('1:00:00');
    for (const format of ['A4', 'Letter']) {
      const pdf = (
        await page.pdf({ format, margin: { top: '10mm', bottom: '10mm', left: '10mm', right: '10mm' } })
      ).toString('latin1');
      expect(pdf.match(/\/Type\s*\/Page[^s]/g)?.length, format).toBe(1);
    }
  });
});
