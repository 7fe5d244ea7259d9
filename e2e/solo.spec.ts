import { expect, test } from '@playwright/test';
import { written } from './hands';

test('alone: a combination from the book is looped slowly, one more when it sits, and the log keeps where it broke', async ({
  page,
}) => {
  await page.goto('/combos');
  await page.getByRole('row', { name: /Ladder truck/ }).hover();
  await page.getByRole('complementary', { name: 'Preview' }).getByRole('link', { name: 'Practise solo' }).click();
  await expect(page.getByRole('heading', { name: 'Solo: Ladder truck' })).toBeVisible();
  await page.getByRole('radio', { name: 'Right foot leads' }).click();
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText('Step 1 of')).toContainText('1 at 60%');
  await expect(page.getByText('Step 1 of')).toContainText('right jab');
  await page.keyboard.press('o');
  await expect(page.getByText('Step 2 of')).toContainText('1 2 at 60%');
  await page.getByRole('button', { name: 'Got it: add one' }).click();
  await expect(page.getByText('Step 3 of')).toContainText('right jab · left cross');
  const whole = Number(/of (\d+)/.exec((await page.getByText('Step 3 of').textContent()) ?? '')?.[1]);
  expect(whole).toBe(6 + 8);
  for (let rung = 3; rung < 7; rung += 1) await page.keyboard.press('o');
  await expect(page.getByText('Step 7 of')).toContainText('at 70%');

  await page.keyboard.press('b');
  const stopped = page.getByRole('region', { name: 'Stopped' });
  await stopped.getByRole('radio', { name: /^3 ·/ }).click();
  await expect(stopped.getByLabel('Note for next time')).toHaveValue(
    /^Mastered: .* at 60%\. Lost it: .* at 70%, at move 3 \(/,
  );
  await stopped.getByRole('button', { name: 'Carry on one step back' }).click();
  await expect(page.getByText('Step 6 of')).toContainText('at 60%');
  await page.keyboard.press('s');
  await page.keyboard.press('x');
  await page.getByRole('link', { name: 'Go to Log' }).click();
  await expect(page.getByText('Solo: Ladder truck').first()).toBeVisible();
  await expect(page.getByText(/Lost it: .* at move 3/).first()).toBeVisible();
});

test('a reload takes a solo up on its rung, from its own page and from the list of sheets', async ({ page }) => {
  await page.goto('/solo?text=1%202%203b%202&name=Ladder%20truck');
  await page.getByRole('radio', { name: 'Right foot leads' }).click();
  await page.getByRole('button', { name: 'Start' }).click();
  for (let rung = 1; rung < 3; rung += 1) await page.keyboard.press('o');
  await expect(page.getByText('Step 3 of')).toContainText('1 2 3b at 60%');
  await expect.poll(() => written(page, 'choices', 'southpaw')).toBe(1);
  await expect.poll(() => written(page, 'runs', '1 2 3b"')).toBe(1);
  await page.reload();
  await page.getByRole('button', { name: 'Resume' }).click();
  await expect(page.getByText('Step 3 of')).toContainText('1 2 3b at 60%');
  await expect(page.getByText('Step 3 of')).toContainText('right jab');
  await page.keyboard.press('o');
  await expect(page.getByText('Step 4 of')).toContainText('1 2 3b 2 at 60%');
  await expect.poll(() => written(page, 'runs', '"swap","text":"1 2 3b 2"')).toBe(1);
  await page.goto('/sheets');
  await page.getByRole('link', { name: 'Resume' }).click();
  await page.getByRole('button', { name: 'Resume' }).click();
  await expect(page.getByText('Step 4 of')).toContainText('1 2 3b 2 at 60%');
});
