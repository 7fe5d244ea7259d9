import { expect, test, type BrowserContext, type Page } from '@playwright/test';

/** Holds the application back in a page that is opened next; the returned function lets it come. */
async function holdBack(page: Page): Promise<() => void> {
  let come = (): void => undefined;
  const until = new Promise<void>((done) => (come = done));
  await page.route(/\/(main|chunk)-.*\.js$/, async (route) => {
    await until;
    await route.continue();
  });
  return come;
}

const firstRows = '#first-list li';

/** A page that has been here before: its list is known. */
async function beenHere(context: BrowserContext): Promise<void> {
  const page = await context.newPage();
  await page.goto('/sheets');
  await page.waitForFunction(() => localStorage.getItem('keen-tempo first list') !== null);
  await page.close();
}

test('a first visit shows the examples before the application is there, and a row that is pressed opens', async ({
  page,
}) => {
  const come = await holdBack(page);
  await page.goto('/', { waitUntil: 'commit' });
  await expect(page.locator(firstRows)).toHaveCount(5);
  await expect(page.locator(firstRows).first()).toContainText('Tower, first watch');
  await page.getByRole('link', { name: 'Run Ten minutes before the shift' }).click();
  come();
  await expect(page).toHaveURL(/\/run\/demo-ten-minutes$/);
  await expect(page.getByRole('button', { name: 'Start' })).toBeVisible();
});

test('New sheet that is pressed before the application is there takes keys at once, and none is lost', async ({
  page,
}) => {
  const come = await holdBack(page);
  await page.goto('/', { waitUntil: 'commit' });
  await page.getByRole('button', { name: 'New sheet' }).click();
  await expect(page.getByLabel('Type a combination')).toBeFocused();
  await page.keyboard.type('1 2 3b');
  come();
  await expect(page).toHaveURL(/\/sheets\/.+/);
  await expect(page.locator('#entry')).toBeFocused();
  await page.keyboard.type(' 2');
  await expect(page.locator('#entry')).toHaveValue('1 2 3b 2');
  await page.keyboard.press('Enter');
  await expect(page.locator('kt-piece-view')).toHaveCount(1);
});

test('keys typed right after New sheet are not lost, Enter among them, and two presses make one sheet', async ({
  page,
}) => {
  await page.goto('/sheets');
  await page.locator('.list li').nth(4).waitFor();
  await page.evaluate(() => {
    const button = document.querySelector<HTMLElement>('button[data-leads-to]');
    button?.click();
    button?.click();
    document.execCommand('insertText', false, '1 2 3');
  });
  await page.keyboard.press('Control+Enter');
  await expect(page.locator('kt-piece-view')).toHaveCount(1);
  await expect(page.locator('text.moment')).toHaveCount(3);
  await page.getByRole('link', { name: 'Sheets', exact: true }).click();
  await expect(page.locator('.list li')).toHaveCount(6);
});

test('the next visit shows the list as it was, whatever stands in its titles', async ({ context }) => {
  await beenHere(context);
  const page = await context.newPage();
  await page.addInitScript(() => {
    const list = JSON.parse(localStorage.getItem('keen-tempo first list') ?? 'null');
    list.rows[0].title = '<img src=x onerror="document.title = 1">';
    localStorage.setItem('keen-tempo first list', JSON.stringify(list));
  });
  await holdBack(page);
  await page.goto('/sheets', { waitUntil: 'commit' });
  await expect(page.locator(firstRows)).toHaveCount(5);
  await expect(page.locator(`${firstRows} h2`).first()).toHaveText('<img src=x onerror="document.title = 1">');
  await expect(page.locator(`${firstRows} img`)).toHaveCount(0);
});

test('a remembered list that cannot be read is not drawn, and the real one comes', async ({ context }) => {
  await beenHere(context);
  const page = await context.newPage();
  await page.addInitScript(() => localStorage.setItem('keen-tempo first list', '{"rows":[{"id":1}],"hint":true}'));
  await page.goto('/sheets');
  await expect(page.locator('.list li')).toHaveCount(5);
  await expect(page.locator('#first-frame')).toHaveCount(0);
});

test('where a script is missing or cut, the page says so and mends it without touching what is stored', async ({
  page,
}) => {
  for (const broken of [
    { status: 404, body: 'Not found' },
    { status: 200, contentType: 'text/javascript', body: 'const' },
  ]) {
    await page.route(/\/main-.*\.js$/, (route) => route.fulfill(broken));
    await page.goto('/sheets');
    await expect(page.getByRole('alert').filter({ hasText: 'could not be loaded' })).toBeVisible();
    await page.unroute(/\/main-.*\.js$/);
    await page.evaluate(() => localStorage.setItem('kept', 'yes'));
    await page.getByRole('link', { name: 'Reload Keen Tempo' }).click();
    await expect(page.locator('.list li')).toHaveCount(5);
    await expect(page.getByRole('alert')).toBeHidden();
    expect(await page.evaluate(() => localStorage.getItem('kept'))).toBe('yes');
  }
});
