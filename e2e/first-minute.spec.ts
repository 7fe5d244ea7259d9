import { expect, test, type Locator, type Page } from '@playwright/test';

// As on a first visit: a fresh profile, with the worker that puts everything on the device.
test.use({ serviceWorkers: 'allow' });

/** Counts what somebody does: a press, a text typed in one go, a key. */
class Hands {
  actions = 0;

  constructor(private readonly page: Page) {}

  async open(path: string): Promise<void> {
    this.actions += 1;
    await this.page.goto(path);
  }

  async press(what: Locator): Promise<void> {
    this.actions += 1;
    await what.click();
  }

  async key(key: string): Promise<void> {
    this.actions += 1;
    await this.page.keyboard.press(key);
  }

  async type(text: string): Promise<void> {
    this.actions += 1;
    await this.page.keyboard.type(text);
  }
}

const typeAndGo = (page: Page): Locator => page.getByRole('combobox', { name: /^Type and go/ });
const running = (page: Page): Locator => page.getByRole('timer');

test('type and go: from opening the page to a class of one’s own in at most eight actions and a minute', async ({
  page,
}) => {
  const hands = new Hands(page);
  const began = Date.now();
  await hands.open('/');
  await hands.press(page.getByText(/^Type and go/));
  await hands.type('A: 1 2; A 3b 2; 2 3 2');
  await hands.key('Control+Enter');
  await page.getByRole('button', { name: 'Start' }).waitFor();
  await hands.key('Space');
  await expect(running(page)).toBeVisible();
  expect(hands.actions).toBeLessThanOrEqual(8);
  expect(Date.now() - began).toBeLessThan(60_000);
});

test('type and go shows what it drafted, and Ctrl Enter there runs it', async ({ page }) => {
  await page.goto('/sheets');
  await typeAndGo(page).fill('1 2 3b 2');
  await typeAndGo(page).press('Enter');
  await expect(page).toHaveURL(/\/sheets\/.+/);
  await expect(page.locator('kt-block-view').first()).toBeVisible();
  await page.keyboard.press('Control+Enter');
  await expect(page).toHaveURL(/\/run\//);
});

test('the first minute with keys alone: New sheet, a combination, built up, run', async ({ page }) => {
  await page.goto('/sheets');
  await page.getByRole('button', { name: 'New sheet' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Type a combination')).toBeFocused();
  await page.keyboard.type('1 2 3b 2 5 4');
  await page.keyboard.press('Control+Enter');
  // It builds up; it never leaves for Run while something stands in the line.
  await expect(page).toHaveURL(/\/sheets\//);
  await expect(page.locator('text.moment')).toHaveCount(6);
  const line = page.getByLabel('Type a combination');
  await expect(line).toBeFocused();
  // From the empty line to the row it would add to, and to the first one; a slash leads back.
  const rows = page.locator('[data-row]');
  const onRow = page.locator('[data-row]:focus');
  await page.keyboard.press('Escape');
  await expect(onRow).toHaveCount(1);
  await page.keyboard.press('/');
  await expect(line).toBeFocused();
  await page.keyboard.press('ArrowUp');
  await expect(onRow).toHaveCount(1);
  await page.keyboard.press('/');
  await page.keyboard.press('ArrowDown');
  await expect(rows.first()).toBeFocused();
  await page.keyboard.press('/');
  // What stands in the line is taken away first.
  await page.keyboard.type('1 2');
  await page.keyboard.press('Escape');
  await expect(line).toHaveValue('');
  await expect(line).toBeFocused();
  // The line is empty: the key that built it up runs it.
  await page.keyboard.press('Control+Enter');
  await page.getByRole('button', { name: 'Start' }).waitFor();
  await page.keyboard.press('Space');
  await expect(running(page)).toBeVisible();
});

test('what is typed before the application is there is not lost or moved, and Ctrl Enter there runs it', async ({
  page,
  context,
}) => {
  // Nothing of the application comes before it is typed into.
  let typed = (): void => undefined;
  const until = new Promise<void>((done) => (typed = done));
  await context.route(/\/(main|chunk)-.*\.js$/, async (route) => {
    await until;
    await route.continue();
  });
  await page.goto('/', { waitUntil: 'commit' });
  const first = page.getByRole('textbox', { name: /^Type and go/ });
  await first.waitFor();
  // A digit that is typed anywhere goes there.
  await page.keyboard.type('1 2 3b 2; 2 3');
  await expect(first).toHaveValue('1 2 3b 2; 2 3');
  const place = await first.boundingBox();
  await page.keyboard.press('ArrowLeft');
  typed();
  await expect(typeAndGo(page)).toBeFocused();
  await expect(typeAndGo(page)).toHaveValue('1 2 3b 2; 2 3');
  const now = await typeAndGo(page).boundingBox();
  expect(Math.abs((now?.y ?? 0) + (now?.height ?? 0) / 2 - (place?.y ?? 0) - (place?.height ?? 0) / 2)).toBeLessThan(4);
  await page.keyboard.type('2 ');
  await expect(typeAndGo(page)).toHaveValue('1 2 3b 2; 2 2 3');
  await page.keyboard.press('Control+Enter');
  await expect(page).toHaveURL(/\/run\//);
});

test('Enter that is pressed before the application is there drafts as soon as it can be', async ({ page, context }) => {
  let pressed = (): void => undefined;
  const until = new Promise<void>((done) => (pressed = done));
  await context.route(/\/(main|chunk)-.*\.js$/, async (route) => {
    await until;
    await route.continue();
  });
  await page.goto('/sheets', { waitUntil: 'commit' });
  await page.getByRole('textbox', { name: /^Type and go/ }).fill('1 2 3b 2');
  await page.keyboard.press('Enter');
  pressed();
  await expect(page).toHaveURL(/\/sheets\/.+/);
  await expect(page.locator('kt-block-view').first()).toBeVisible();
});

test('the first minute with a mouse alone: New sheet, something from the library, run', async ({ page }) => {
  const hands = new Hands(page);
  await hands.open('/sheets');
  await hands.press(page.getByRole('button', { name: 'New sheet' }));
  // An empty sheet cannot be run.
  await expect(page.getByRole('button', { name: 'Run', exact: true })).toBeDisabled();
  await hands.press(page.getByRole('button', { name: 'From the library' }));
  await hands.press(page.getByRole('button', { name: /^Build from jab to four punches, / }));
  await hands.press(page.getByRole('link', { name: 'Run', exact: true }));
  await hands.press(page.getByRole('button', { name: 'Start' }));
  await expect(running(page)).toBeVisible();
  expect(hands.actions).toBeLessThanOrEqual(8);
});

test('forty minutes fit two screens: rows of one line, none higher than 64 pixels', async ({ page }) => {
  await page.goto('/sheets/demo-hands-then-legs');
  const rows = page.locator('kt-piece-view .piece');
  await rows.first().waitFor();
  const heights = await rows.evaluateAll((all) => all.map((row) => row.getBoundingClientRect().height));
  expect(heights.length).toBeGreaterThan(15);
  expect(Math.max(...heights)).toBeLessThanOrEqual(64.5);
  const tall = await page.locator('#blocks').evaluate((list) => list.getBoundingClientRect().height);
  expect(tall).toBeLessThanOrEqual(1700);
});

test('the head of a sheet is one line from 768 pixels up', async ({ page }) => {
  await page.setViewportSize({ width: 768, height: 1024 });
  await page.goto('/sheets/demo-hands-then-legs');
  const middle = async (what: Locator): Promise<number> => {
    const box = await what.boundingBox();
    return (box?.y ?? 0) + (box?.height ?? 0) / 2;
  };
  const run = await middle(page.getByRole('link', { name: 'Run', exact: true }));
  for (const other of [page.locator('kt-sheet-totals'), page.getByRole('link', { name: 'Calls' })])
    expect(Math.abs((await middle(other)) - run)).toBeLessThan(20);
});

test('something from the library is dragged to its place', async ({ page }) => {
  await page.goto('/sheets/demo-ten-minutes');
  await page.getByRole('tab', { name: 'Add' }).click();
  await page.getByLabel('Search').fill('long breaths');
  const found = page.getByRole('button', { name: /^Slow, deep breaths/ });
  // Taken where it is and put where the rows are by then: what is loaded behind the sheet may push both down.
  await page.waitForLoadState('networkidle');
  await found.hover();
  await page.mouse.down();
  const from = await found.boundingBox();
  const to = await page.locator('kt-piece-view').nth(1).boundingBox();
  if (!from || !to) throw new Error('nothing to drag');
  await page.mouse.move(from.x - 40, from.y + from.height / 2, { steps: 5 });
  await page.mouse.move(to.x + 200, to.y + to.height / 2, { steps: 12 });
  await page.mouse.up();
  await expect(page.locator('kt-block-view').first()).toContainText('Slow, deep breaths');
});

test('every key can be called up and searched', async ({ page }) => {
  await page.goto('/sheets/demo-ten-minutes');
  await page.locator('[data-row]').first().focus();
  await page.keyboard.press('Shift+?');
  const keys = page.getByRole('dialog');
  await expect(keys).toContainText('A row of the sheet');
  await keys.getByLabel('Search shortcuts').fill('duplicate');
  await expect(keys.locator('dd')).toHaveText(['Duplicate']);
  await page.keyboard.press('Escape');
  await expect(keys).toBeHidden();
});
