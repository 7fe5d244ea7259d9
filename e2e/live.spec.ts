import { expect, test, type Page } from '@playwright/test';

const seconds = async (page: Page): Promise<number> => {
  const [minutes = '0', rest = '0'] = ((await page.getByRole('timer').textContent()) ?? '').trim().split(':');
  return Number(minutes) * 60 + Number(rest);
};

test('a session is changed while it runs: one press each, beside the clock, taken back, and in the log', async ({
  page,
}) => {
  await page.goto('/run/demo-hands-then-legs');
  await page.getByRole('button', { name: 'Start' }).click();
  await page.locator('kt-stage').waitFor();
  await page.keyboard.press('ArrowRight');
  await page.getByRole('button', { name: 'Adjust' }).click();
  const panel = page.getByRole('dialog', { name: 'Change the session' });
  // The panel stands beside the clock, not over it.
  const [clock, side] = [await page.getByRole('timer').boundingBox(), await panel.boundingBox()];
  expect((clock?.x ?? 0) + (clock?.width ?? 0)).toBeLessThanOrEqual(side?.x ?? 0);

  await panel.getByRole('button', { name: 'Hold the class' }).click();
  await expect(page.getByText('On hold', { exact: true })).toBeVisible();
  const held = await seconds(page);
  await panel.getByRole('button', { name: '+ 30 s' }).click();
  await expect.poll(() => seconds(page)).toBe(held + 30);
  await panel.getByRole('button', { name: /^Undo: 30 s added/ }).click();
  await expect.poll(() => seconds(page)).toBe(held);

  await panel.getByRole('button', { name: 'Slower' }).click();
  await expect(panel.getByText('90%', { exact: true })).toBeVisible();
  // The piece is one piece on the clock, whatever its pace.
  await expect.poll(() => seconds(page)).toBe(held);
  await panel.getByLabel('Finish in (minutes)').fill('12');
  await panel.getByLabel('Finish in (minutes)').press('Enter');
  await panel.getByRole('button', { name: 'Set' }).click();
  await expect(panel.getByRole('status')).toContainText('Dropped: round');

  // Escape closes it, and the space bar means what it meant.
  await page.keyboard.press('Escape');
  await expect(panel).toBeHidden();
  await page.keyboard.press('Space');
  await expect(page.getByText('On hold', { exact: true })).toBeHidden();
  await page.keyboard.press('t');
  await page.keyboard.press('c');
  await expect(panel.getByRole('button', { name: /^Undo: 30 s added/ })).toBeVisible();
  await page.getByRole('button', { name: 'Stop now' }).click();
  await page.getByRole('button', { name: 'End session' }).click();
  await page.locator('#over').waitFor();
  const changes = await page.evaluate(
    () =>
      new Promise<string[]>((done) => {
        const open = indexedDB.open('keen-tempo');
        open.onsuccess = () => {
          const all = open.result.transaction('log').objectStore('log').getAll();
          all.onsuccess = () => {
            const rows = all.result as { entry: { changes?: { kind: string }[] } }[];
            done(rows.flatMap(({ entry }) => (entry.changes ?? []).map(({ kind }) => kind)));
          };
        };
      }),
  );
  expect(changes).toEqual(['longer', 'undo', 'pace', 'end in', 'longer']);
});

test('a run that was changed is taken up after a reload as it was changed', async ({ page }) => {
  await page.goto('/run/demo-ten-minutes');
  await page.getByRole('button', { name: 'Start' }).click();
  await page.locator('kt-stage').waitFor();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('h');
  const before = await seconds(page);
  await page.keyboard.press('t');
  await expect.poll(() => seconds(page)).toBe(before + 30);
  await page.waitForTimeout(500);
  await page.reload();
  await page.getByRole('button', { name: 'Resume' }).click();
  await expect.poll(() => seconds(page)).toBe(before + 30);
});
