import { expect, test } from '@playwright/test';
import { written } from './hands';

test('alone: a combination from the book is looped slowly, one more when it sits, and the log keeps where it broke', async ({
  page,
}) => {
  await page.goto('/combos');
  await page.getByRole('row', { name: /Ladder truck/ }).hover();
  await page.getByRole('complementary', { name: 'Preview' }).getByRole('link', { name: 'Practise alone' }).click();
  await expect(page.getByRole('heading', { name: 'Solo: Ladder truck' })).toBeVisible();
  await page.getByRole('radio', { name: 'Right foot leads' }).click();
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText('Rung 1 of')).toContainText('1 at 60 %');
  await expect(page.getByText('Rung 1 of')).toContainText('right jab');
  await page.keyboard.press('o');
  await expect(page.getByText('Rung 2 of')).toContainText('1 2 at 60 %');
  await page.getByRole('button', { name: 'It sits: one more' }).click();
  await expect(page.getByText('Rung 3 of')).toContainText('right jab · left cross');
  const whole = Number(/of (\d+)/.exec((await page.getByText('Rung 3 of').textContent()) ?? '')?.[1]);
  expect(whole).toBe(6 + 8);
  for (let rung = 3; rung < 7; rung += 1) await page.keyboard.press('o');
  await expect(page.getByText('Rung 7 of')).toContainText('at 70 %');

  await page.keyboard.press('b');
  const stopped = page.getByRole('region', { name: 'Stopped' });
  await stopped.getByRole('radio', { name: /^3 ·/ }).click();
  await expect(stopped.getByLabel('Note for next time')).toHaveValue(
    /^Sat: .* at 60 %\. Broke: .* at 70 %, at move 3 \(/,
  );
  await stopped.getByRole('button', { name: 'Go on with one less' }).click();
  await expect(page.getByText('Rung 6 of')).toContainText('at 60 %');
  await page.keyboard.press('s');
  await page.keyboard.press('x');
  await page.getByRole('link', { name: 'To the log' }).click();
  await expect(page.getByText('Solo: Ladder truck').first()).toBeVisible();
  await expect(page.getByText(/Broke: .* at move 3/).first()).toBeVisible();
});

test('a reload takes a solo up on its rung, from its own page and from the list of sheets', async ({ page }) => {
  await page.goto('/solo?text=1%202%203b%202&name=Ladder%20truck');
  await page.getByRole('radio', { name: 'Right foot leads' }).click();
  await page.getByRole('button', { name: 'Start' }).click();
  for (let rung = 1; rung < 3; rung += 1) await page.keyboard.press('o');
  await expect(page.getByText('Rung 3 of')).toContainText('1 2 3b at 60 %');
  await expect.poll(() => written(page, 'choices', 'southpaw')).toBe(1);
  await expect.poll(() => written(page, 'runs', '1 2 3b"')).toBe(1);
  await page.reload();
  await page.getByRole('button', { name: 'Resume there' }).click();
  await expect(page.getByText('Rung 3 of')).toContainText('1 2 3b at 60 %');
  await expect(page.getByText('Rung 3 of')).toContainText('right jab');
  await page.keyboard.press('o');
  await expect(page.getByText('Rung 4 of')).toContainText('1 2 3b 2 at 60 %');
  await expect.poll(() => written(page, 'runs', '"swap","text":"1 2 3b 2"')).toBe(1);
  await page.goto('/sheets');
  await page.getByRole('link', { name: 'Take it up' }).click();
  await page.getByRole('button', { name: 'Resume there' }).click();
  await expect(page.getByText('Rung 4 of')).toContainText('1 2 3b 2 at 60 %');
});
