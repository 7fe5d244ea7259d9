import { expect, test } from '@playwright/test';
import { choose } from './hands';

test('a combination of the book is shown by the figure, turned, stepped through and saved, by keys alone', async ({
  page,
}) => {
  await page.goto('/combos');
  await page.getByRole('button', { name: 'New combination' }).click();
  const card = page.getByRole('region', { name: 'Combination' });
  await card.getByLabel('Combination', { exact: true }).fill('1 2 bk');
  await card.getByRole('button', { name: 'Show figure' }).focus();
  await page.keyboard.press('Enter');
  const figure = card.getByRole('group', { name: /The figure shows, orthodox: jab, cross, rear body kick/ });
  await expect(figure).toBeVisible();
  await expect(card.getByText('it is not an instructor')).toBeVisible();

  /** The figure's picture in one number, by which another one is told. */
  const seen = (): Promise<number> =>
    figure
      .locator('canvas')
      .first()
      .evaluate((canvas: HTMLCanvasElement) =>
        [...canvas.toDataURL()].reduce((sum, sign) => (sum * 31 + sign.charCodeAt(0)) % 1_000_000_007, 0),
      );
  await figure.focus();
  await page.keyboard.press('k');
  await expect(card.getByRole('button', { name: 'Play' })).toBeVisible();
  // The move that is chosen on the staff is the one that is shown.
  await card.locator('.box').nth(1).focus();
  await page.waitForTimeout(200);
  const cross = await seen();
  await card.locator('.box').first().focus();
  await expect.poll(seen).not.toBe(cross);
  await figure.focus();
  await page.keyboard.press('.');
  await expect.poll(seen).toBe(cross);
  await page.keyboard.press('ArrowRight');
  await expect.poll(seen).not.toBe(cross);
  await page.keyboard.press('ArrowLeft');
  await expect.poll(seen).toBe(cross);
  await page.keyboard.press(',');
  await expect.poll(seen).not.toBe(cross);

  await card.getByRole('radio', { name: 'southpaw' }).check();
  await expect(card.getByRole('group', { name: /The figure shows, southpaw/ })).toBeVisible();

  const [svg] = await Promise.all([
    page.waitForEvent('download'),
    card.getByRole('button', { name: 'Save as SVG' }).click(),
  ]);
  expect(svg.suggestedFilename()).toBe('1-2-bk.svg');
  const [png] = await Promise.all([
    page.waitForEvent('download'),
    card.getByRole('button', { name: 'Save as PNG' }).click(),
  ]);
  expect(png.suggestedFilename()).toBe('1-2-bk.png');
  await card.getByRole('button', { name: 'Make a video' }).click();
  const film = page.getByRole('dialog', { name: 'Video' });
  await expect(film.getByRole('combobox', { name: 'Part' })).toHaveText(/the whole session, 1:30/);
  await film.getByRole('button', { name: 'Close' }).click();
});

test('a show has its figure, and a round where it is chosen; a film of a round is made', async ({ page }) => {
  await page.addInitScript(() => Reflect.deleteProperty(window, 'showSaveFilePicker'));
  await page.goto('/sheets');
  const text = '# Shown and done\nshow 1:00: 1 2 3b 2\nround 0:04: 1 2 3b 2\n';
  await page
    .getByLabel('Import')
    .setInputFiles({ name: 'shown.txt', mimeType: 'text/plain', buffer: Buffer.from(text) });
  await page.getByRole('link', { name: 'Shown and done', exact: true }).click();
  await page.getByRole('button', { name: 'Take home' }).click();
  await page.getByRole('menuitem', { name: 'Video' }).click();
  const film = page.getByRole('dialog', { name: 'Video' });
  await choose(page, 'Part', 'Round 1, 0:04', film);
  await expect(film.getByRole('img', { name: 'The title card' })).toBeVisible();
  const [made] = await Promise.all([
    page.waitForEvent('download', { timeout: 60_000 }),
    film.getByRole('button', { name: 'Make video' }).click(),
  ]);
  expect(made.suggestedFilename()).toBe('shown-and-done.webm');
  await expect(film.getByText('Video saved.')).toBeVisible();
  await film.getByRole('button', { name: 'Close' }).click();

  await page.getByRole('link', { name: 'Run' }).click();
  await page.getByRole('button', { name: /^Start/ }).click();
  await page.keyboard.press('ArrowRight');
  await expect(
    page.getByRole('img', { name: 'The figure shows: jab, cross, lead hook to the body, cross.' }),
  ).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('img', { name: /The figure shows/ })).toHaveCount(0);
});

test('the sheet and the book print the figure’s moments, each combination once', async ({ page }) => {
  // Printing stops here, with the page as it goes to the printer.
  await page.addInitScript(() => {
    window.print = () => {
      window.dispatchEvent(new Event('beforeprint'));
      document.title = `printed ${document.querySelectorAll('.inside').length}`;
    };
  });
  await page.goto('/sheets');
  const text = '# On paper\nround 1:00\n  0:30: 1 2 3\n  0:30: 5 2\nround 1:00: 1 2 3\n';
  await page.getByLabel('Import').setInputFiles({ name: 'a.txt', mimeType: 'text/plain', buffer: Buffer.from(text) });
  await page.getByRole('link', { name: 'On paper', exact: true }).click();
  await page.getByRole('button', { name: 'Print' }).click();
  await expect(page).toHaveTitle('printed 1');
  const captions = page.locator('kt-print-sheet figcaption');
  await expect(captions).toHaveText(['1 2 3 · round 1, round 2', '5 2 · round 1']);
  const widths = await page
    .locator('kt-print-sheet img')
    .evaluateAll((images) => images.map((image) => (image as HTMLImageElement).naturalWidth));
  expect(widths).toEqual([360, 240]);
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  await expect(captions).toHaveCount(0);

  await page.goto('/combos');
  await page.getByRole('checkbox').nth(1).check();
  await page.getByRole('checkbox').nth(2).check();
  await page.getByRole('button', { name: 'Print' }).click();
  await expect(page).toHaveTitle('printed 1');
  await expect(page.locator('kt-print-book section')).toHaveCount(2);
  await expect(page.locator('kt-print-book img')).toHaveCount(2);
});
