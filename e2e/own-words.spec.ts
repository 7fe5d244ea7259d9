import { expect, test } from '@playwright/test';

test('own words are fetched once, spoken in the same voice, kept, and used with no voice of the device', async ({
  page,
}) => {
  const asked: string[] = [];
  page.on('request', (request) => asked.push(new URL(request.url()).pathname));
  await page.goto('/settings');
  await page.getByRole('button', { name: 'Download and turn on' }).click();
  await page.getByRole('button', { name: 'Add a pronunciation' }).click({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Listen to Tarrowby' }).click();

  const clips = (): Promise<{ key: string; ms: number }[]> =>
    page.evaluate(
      () =>
        new Promise((done, failed) => {
          const open = indexedDB.open('keen-tempo');
          open.onerror = () => failed(open.error);
          open.onsuccess = () => {
            const all = open.result.transaction('clips').objectStore('clips').getAll();
            all.onsuccess = () => {
              open.result.close();
              done(
                (all.result as { key: string; samples: Int16Array }[]).map(({ key, samples }) => ({
                  key,
                  ms: samples.length / 16,
                })),
              );
            };
          };
        }),
    );
  await expect.poll(clips).toEqual([expect.objectContaining({ key: 'rms tarrow bee' })]);

  // A sheet full of words of one's own: each wording is rendered once, when it is written.
  await page.goto('/sheets');
  const text =
    'round 2:00 "Hydrant hurry":\n  1:00 "Tarrowby rush": 1 2\n  1:00 "brass nozzle": 2 3\n' +
    'rest 1:00\nround 1:00 "Hydrant hurry":\n  1:00 "brass nozzle": 2 3\n    say "gauntlets up" at 0:30\n';
  await page
    .getByLabel('Import')
    .setInputFiles({ name: 'evening.txt', mimeType: 'text/plain', buffer: Buffer.from(text) });
  await page.getByRole('link', { name: 'evening', exact: true }).click();
  await page.getByRole('link', { name: 'Calls' }).click();
  await expect(page.getByText(/tarrowby rush/i).first()).toBeVisible();
  await expect.poll(async () => (await clips()).map(({ key }) => key)).toContain('rms gauntlets up');
  await expect(page.getByText(/No clip|no clip/)).toHaveCount(0);
  const kept = await clips();
  const keys = kept.map(({ key }) => key);
  expect(keys).toEqual(expect.arrayContaining(['rms brass nozzle', 'rms tarrow bee rush']));
  expect(new Set(keys).size).toBe(keys.length);
  expect(kept.every(({ ms }) => ms > 200 && ms < 4000)).toBe(true);

  // A reload renders nothing anew and fetches nothing.
  await page.reload();
  await expect(page.getByText(/tarrowby rush/i).first()).toBeVisible();
  await expect(page.getByText(/No clip|no clip/)).toHaveCount(0);
  expect((await clips()).length).toBe(keys.length);
  expect(asked.filter((path) => path === '/words/flite.wasm').length).toBe(1);
});
