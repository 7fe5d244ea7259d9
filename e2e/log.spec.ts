import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { choose } from './hands';

const csvFile = (text: string) => ({ name: 'old.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });

async function saved(page: Page, press: () => Promise<void>): Promise<string> {
  const [download] = await Promise.all([page.waitForEvent('download'), press()]);
  return readFile((await download.path()) ?? '', 'utf8');
}

test('run, finish in three taps, and see it in log, progress and programme', async ({ page }) => {
  await page.goto('/sheets');
  const text = '# Short one\nlevel: beginner\nbag: heavy\nround 0:30: 1 2 3b\n';
  await page.getByLabel('Import').setInputFiles({ name: 'a.txt', mimeType: 'text/plain', buffer: Buffer.from(text) });
  await page.getByRole('link', { name: 'Short one', exact: true }).click();
  await page.getByRole('link', { name: 'Run', exact: true }).click();
  await page.getByRole('button', { name: /^Start/ }).click();
  // Past the getting ready, and then a little of the round.
  await page.locator('kt-stage').waitFor();
  await page.keyboard.press('ArrowRight');
  await expect(page.locator('.clock')).toHaveText(/0:2\d/);
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('Saved to the log')).toBeVisible();
  await page.getByRole('radio', { name: '7', exact: true }).click();
  await page.getByLabel('Punches counted, if anyone did').fill('30');
  await page.getByRole('option', { name: 'Wrist bends on impact' }).click();
  await page.getByRole('button', { name: /^More: people/ }).click();
  await page.getByLabel('Class', { exact: true }).fill('Night watch');
  await page.getByLabel('Names, separated by commas').fill('Wren, Ada');
  await page.getByLabel('Names, separated by commas').blur();
  await page.getByLabel('Effort for round 1').fill('8');
  await page.getByLabel('Effort for round 1').blur();

  await page.getByRole('link', { name: 'Go to Log' }).click();
  const row = page.getByRole('row', { name: /Short one/ });
  await expect(row).toContainText('30 counted');
  await expect(row).toContainText('effort 7');
  await expect(row).toContainText('Night watch');

  // Said anew, it keeps what it was; a person is taken out everywhere.
  await row.getByRole('button', { name: /^Edit the entry/ }).click();
  await page.getByRole('radio', { name: '5', exact: true }).click();
  await expect(row).toContainText('effort 5');
  await page.getByRole('button', { name: /^More: people/ }).click();
  await expect(page.getByText(/: effort 7$/)).toBeVisible();
  await page.getByRole('button', { name: 'More options' }).click();
  await page.getByRole('menuitem', { name: 'Remove a person' }).click();
  await choose(page, 'Person', 'Wren', page.getByRole('region', { name: 'Remove a person' }));
  await page.getByRole('button', { name: 'Remove Wren' }).click();
  await expect(page.getByText('Wren removed from 1 entry')).toBeVisible();
  const rows = await saved(page, () => page.getByRole('button', { name: 'Export CSV' }).click());
  expect(rows).toMatch(/Short one.*,Night watch,,Ada,/);

  await page.goto('/progress');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Progress');
  await choose(page, 'Class', 'Night watch');
  await expect(page.getByText(/“Wrist bends on impact” was seen once/)).toBeVisible();
  await page.goto('/programme');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Programme');
  await expect(page.getByRole('table', { name: 'The programme by week' })).toBeVisible();
});

test('the log is searched, put together, compared; a session by hand and tables come in', async ({ page }) => {
  await page.goto('/log');
  await expect(page.getByText('34 entries')).toBeVisible();
  await page.getByLabel('Find').fill('alarm');
  await expect(page.getByText('1 entry', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Show all' }).click();
  await choose(page, 'Fault', 'Wrist bends on impact');
  await expect(page.getByText('4 entries')).toBeVisible();
  await page.getByRole('button', { name: 'Show all' }).click();
  await page.getByRole('radio', { name: 'By week' }).click();
  await expect(page.getByText(/^\d sessions?, load \d+$/).first()).toBeVisible();
  await expect(page.locator('.head b').first()).toContainText('Week of');

  await page.getByRole('checkbox', { name: 'Compare the entry for Tower, first watch' }).nth(0).check();
  await page.getByRole('checkbox', { name: 'Compare the entry for Tower, first watch' }).nth(1).check();
  await page.getByRole('button', { name: 'Compare' }).click();
  const both = page.getByRole('table', { name: 'Two sessions compared' });
  await expect(both.getByRole('row', { name: /^Round 1/ })).toContainText('planned');
  await expect(both.getByRole('row', { name: /^Effort/ })).toContainText('7');

  await page.getByRole('button', { name: 'Add entry' }).click();
  const hand = page.getByRole('form', { name: 'A session by hand' });
  await hand.getByLabel('Title').fill('In the yard');
  await hand.getByLabel('Minutes').fill('45');
  await hand.getByLabel('Start time').fill('late');
  await hand.getByRole('button', { name: 'Add' }).click();
  await expect(hand.getByText('enter a time such as 18:30')).toBeVisible();
  await hand.getByLabel('Start time').fill('6:30');
  await hand.getByLabel('Effort').fill('6');
  await hand.getByRole('button', { name: 'Add' }).click();
  await expect(page.getByRole('row', { name: /In the yard/ })).toContainText('45:00');
  await expect(page.getByRole('row', { name: /In the yard/ })).toContainText('by hand');

  // A table of other origin: its columns are guessed, what is wrong is said, and all of it can be undone.
  await page.getByLabel('Import CSV').setInputFiles(csvFile('Day;Duration;RPE\n01.02.2026;30:00;5\nsoon;20;3\n'));
  await expect(page.getByText('1 can be imported, 1 cannot:')).toBeVisible();
  await expect(page.getByText('Line 3: “soon” is not a date')).toBeVisible();
  await page.getByRole('button', { name: 'Import 1' }).click();
  await expect(page.getByText('36 entries')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('35 entries')).toBeVisible();
  await page.getByLabel('Import CSV').setInputFiles(csvFile('nothing'));
  await expect(page.getByRole('alert')).toContainText('this is not a table');

  // Our own file comes back: changed entries are said anew, unchanged ones left alone.
  const out = await saved(page, () => page.getByRole('button', { name: 'Export CSV' }).click());
  await page.getByLabel('Import CSV').setInputFiles(csvFile(out.replace(/(In the yard.*?),6,/, '$1,9,')));
  await expect(page.getByText('0 added, 1 changed')).toBeVisible();
  await expect(page.getByRole('row', { name: /In the yard/ })).toContainText('effort 9');
});

test('every chart has a sentence, a table, and goes out as PNG and CSV; a suggestion becomes a sheet', async ({
  page,
}) => {
  await page.goto('/progress');
  const cards = page.locator('kt-chart-card');
  await expect(cards).toHaveCount(6);
  for (const card of await cards.all()) {
    await expect(card.locator('svg')).toBeVisible();
    expect((await card.locator('p').first().textContent())?.length).toBeGreaterThan(20);
    await card.getByRole('button', { name: 'Table' }).click();
    await expect.poll(() => card.getByRole('row').count()).toBeGreaterThan(2);
  }
  const table = await saved(page, () =>
    page.getByRole('button', { name: 'Save as CSV: Training load by week' }).click(),
  );
  expect(table.split('\r\n')[0]).toBe('Week of,Sessions,Load,Monotony,Strain,Change from previous weeks,Note');
  const [png] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as PNG: Training load by week' }).click(),
  ]);
  expect((await readFile((await png.path()) ?? '')).subarray(1, 4).toString()).toBe('PNG');
  // A coach's own wish changes what is said to be neglected.
  await page.getByLabel('Minimum, to the body').fill('60');
  await page.getByLabel('Minimum, to the body').blur();
  await expect(page.getByText(/the target is 60%/).first()).toBeVisible();
  await page.getByLabel('Weight (optional)').fill('70');
  await page.getByLabel('Weight (optional)').blur();
  await expect(page.getByText(/\d+ kcal/)).toBeVisible();
  await page
    .getByRole('button', { name: /^New sheet with/ })
    .first()
    .click();
  await expect(page).toHaveURL(/\/sheets\//);
  await expect(page.locator('kt-block-view')).toHaveCount(5);
});

test('a programme is planned, moved by keys, its sheet opened, and goes to the calendar and back', async ({ page }) => {
  await page.goto('/programme');
  await expect(page.locator('.session').first()).toBeVisible();
  await page.keyboard.press('n');
  const form = page.getByRole('form', { name: 'A programme' });
  await form.getByLabel('Target combination').fill('1 2 nonsense');
  await form.getByRole('button', { name: 'Create plan' }).click();
  await expect(form.getByText(/is not a move/)).toBeVisible();
  await form.getByLabel('Target combination').fill('6 5 6 3');
  await form.getByLabel('Weeks', { exact: true }).fill('2');
  await form.getByRole('combobox', { name: 'Bag' }).click();
  await page.getByRole('option', { name: 'double-end' }).click();
  await page.keyboard.press('Escape');
  await form.getByRole('button', { name: 'Create plan' }).click();
  const sessions = page.locator('.session');
  await expect(sessions).toHaveCount(6);
  await expect(sessions.first()).toContainText('6');
  // Session by session from bag to bag.
  const bags = await sessions.evaluateAll((all) =>
    all.map((each) => each.getAttribute('aria-label')?.match(/on the ([a-z -]+)$/)?.[1]),
  );
  expect(new Set(bags.slice(0, 2)).size).toBe(2);
  expect(bags[2]).toBe(bags[0]);
  const first = await sessions.first().getAttribute('aria-label');
  await sessions.first().focus();
  await page.keyboard.press('Alt+ArrowRight');
  await expect(sessions.first()).not.toHaveAttribute('aria-label', first ?? '');
  await expect(sessions.first()).toBeFocused();
  const calendar = await saved(page, () => page.getByRole('button', { name: 'Export calendar' }).click());
  expect(calendar.match(/BEGIN:VEVENT/g)?.length).toBe(6);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(sessions.first()).toHaveAttribute('aria-label', first ?? '');
  await page
    .getByLabel('Import calendar')
    .setInputFiles({ name: 'a.ics', mimeType: 'text/calendar', buffer: Buffer.from(calendar) });
  await expect(page.getByText('1 session moved to match the calendar')).toBeVisible();

  await page.keyboard.press('t');
  await expect(page).toHaveURL(/\/sheets\//);
  await expect(page.getByLabel('Title of the sheet')).toHaveValue(/: 6$/);
  await page.goBack();
  await page.reload();
  await expect(sessions).toHaveCount(6);
});

for (const timezoneId of ['Europe/Berlin', 'America/Los_Angeles', 'Pacific/Auckland'])
  test(`a class at six is at six in the calendar file, and read back nothing has moved, in ${timezoneId}`, async ({
    browser,
    baseURL,
  }) => {
    const context = await browser.newContext({ timezoneId, serviceWorkers: 'block', ...(baseURL ? { baseURL } : {}) });
    const page = await context.newPage();
    await page.goto('/programme');
    await expect(page.locator('.session').first()).toBeVisible();
    const calendar = await saved(page, () => page.getByRole('button', { name: 'Export calendar' }).click());
    const starts = [...calendar.matchAll(/^DTSTART[^:\r\n]*:(\S+)/gm)].map(([, at]) => at ?? '');
    expect(starts.length).toBeGreaterThan(5);
    // RFC 5545, 3.3.5: local time without a zone, the same wherever it is read.
    expect(starts.filter((at) => !/^\d{8}T180000$/.test(at))).toEqual([]);
    await page
      .getByLabel('Import calendar')
      .setInputFiles({ name: 'a.ics', mimeType: 'text/calendar', buffer: Buffer.from(calendar) });
    await expect(page.getByText('The calendar matches')).toBeVisible();
    await context.close();
  });

// In the evening of a day on which clocks change there (IANA tz database).
const lateEvenings = [
  ['Europe/Berlin', '2026-03-29', '2026-03-29T23:30:00+02:00'],
  ['America/Los_Angeles', '2026-03-08', '2026-03-08T23:30:00-07:00'],
  ['Pacific/Auckland', '2026-04-05', '2026-04-05T23:30:00+12:00'],
] as const;
for (const [timezoneId, day, moment] of lateEvenings)
  test(`a session late in the evening is in the log and in its CSV under its own day, in ${timezoneId}`, async ({
    browser,
    baseURL,
  }) => {
    const context = await browser.newContext({ timezoneId, serviceWorkers: 'block', ...(baseURL ? { baseURL } : {}) });
    const page = await context.newPage();
    await page.clock.install({ time: new Date(moment) });
    await page.goto('/log');
    await page.getByRole('button', { name: 'Add entry' }).click();
    const hand = page.getByRole('form', { name: 'A session by hand' });
    await hand.getByLabel('Title').fill('Late shift');
    await hand.getByLabel('Minutes').fill('20');
    await hand.getByLabel('Start time').fill('23:30');
    await hand.getByRole('button', { name: 'Add' }).click();
    await expect(page.getByRole('row', { name: /Late shift/ })).toBeVisible();
    const rows = await saved(page, () => page.getByRole('button', { name: 'Export CSV' }).click());
    expect(rows).toMatch(new RegExp(`,${day},23:30,Late shift,20,`));
    await context.close();
  });
