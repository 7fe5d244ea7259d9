import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';

/** Markup, quotes, ends of scripts, comments and CDATA, and marks that turn text round. */
const hostile = `</title><script>window.struck = 1</script><img src=x onerror="window.struck = 2">'"&]]>--><svg onload=struck=3>`;
/** Tempo text has it in quotes, where a quote of its own ends. */
const quotable = hostile.replaceAll('"', "'");

const session = `# ${hostile}
notes: ${hostile}
class: 8 people
round 0:30:
  1 2 3
  say "${quotable}" at 0:10
rest 0:30
round 0:30: 2 3
`;

async function openHostile(page: Page): Promise<void> {
  await page.addInitScript(() => Object.assign(window, { struck: 0 }));
  await page.goto('/sheets');
  await page
    .getByLabel('Import')
    .setInputFiles({ name: 'hostile.txt', mimeType: 'text/plain', buffer: Buffer.from(session) });
  await page.locator('.list li').filter({ hasText: 'window.struck' }).getByRole('link').first().click();
  await expect(page.getByLabel('Title of the sheet')).toHaveValue(/window\.struck/);
}

const struck = (page: Page): Promise<unknown> => page.evaluate(() => Reflect.get(window, 'struck') as unknown);

test('text that looks like a program is text in print, on the wall card, and in the list of the next visit', async ({
  page,
  context,
}, info) => {
  await openHostile(page);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByText('window.struck = 2').filter({ visible: true }).first()).toBeVisible();
  expect((await page.pdf()).length).toBeGreaterThan(1000);
  await page.emulateMedia({ media: 'screen' });
  await page.getByRole('button', { name: 'Take home' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Wall card (to print)' }).click(),
  ]);
  expect(download.suggestedFilename()).not.toMatch(/[<>"/\\:]/);
  const path = info.outputPath('card.html');
  await download.saveAs(path);
  expect(await readFile(path, 'utf8')).not.toContain('<script>window.struck');
  const card = await context.newPage();
  await card.addInitScript(() => Object.assign(window, { struck: 0 }));
  await card.goto(`file://${path}`);
  await expect(card.getByText('window.struck = 2').first()).toBeVisible();
  expect(await card.locator('img[src=x], svg[onload]').count()).toBe(0);
  expect([await struck(page), await struck(card)]).toEqual([0, 0]);
  await page.goto('/sheets');
  await expect(page.getByText('window.struck = 2').first()).toBeVisible();
  expect(await struck(page)).toBe(0);
});
