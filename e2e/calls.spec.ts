import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import wavefile from 'wavefile';

test('a 30-second rest with too much to say shows the finding, and the mend fixes it', async ({ page }) => {
  await page.goto('/sheets');
  await page.getByRole('button', { name: 'New sheet' }).click();
  await page.getByRole('tab', { name: 'Text' }).click();
  const text = page.locator('kt-text-view textarea');
  await text.fill(
    'warm-up 5:00\nround 2:00: 1 2\nrest 0:30\nround 2:00 "Everything we have done today, from the top": 1 2 3b 2 5 4 ro 2 3 2 1 2 sl 2 3b 2 5 2 1 1 2 3 4 ro 3 2 1 2 3 4 5 6 1 2 3 2',
  );
  await page.keyboard.press('Control+Enter');
  await page.getByRole('tab', { name: /^Findings/ }).click();
  await expect(page.getByText(/this rest is 0:30; .* need/)).toBeVisible();
  await page.getByRole('button', { name: /^Make the rest/ }).click();
  await expect(page.getByText(/this rest is/)).toHaveCount(0);
});

test('the script: a call is reworded, muted and said again, and the change survives a reload', async ({ page }) => {
  await page.goto('/calls/demo-first-watch');
  await page.getByRole('button', { name: /^6:00.0 Add on: one, two\./ }).click();
  await page.getByLabel('Words').fill('Now one, two');
  await page.getByLabel('Words').press('Enter');
  await expect(page.getByRole('button', { name: /Now one, two/ })).toBeVisible();
  await page.reload();
  const call = page.getByRole('button', { name: /Now one, two/ });
  await expect(call).toBeVisible();
  await call.focus();
  await page.keyboard.press('m');
  await expect(call).toHaveCount(0);
  await expect(page.getByText('muted by you')).toBeVisible();
  await page.getByRole('button', { name: 'Say it again' }).click();
  await expect(page.getByRole('button', { name: /^6:00.0 Add on: one, two\./ })).toBeVisible();
});

test('a stance plan is chosen where the calls are, and its changes are called', async ({ page }) => {
  await page.goto('/calls/demo-one-a-round');
  await page.getByLabel('The class changes over').selectOption('each round');
  await expect(page.getByRole('button', { name: /Switch stance/ }).first()).toBeVisible();
  await expect(page.getByText(/4 changes/)).toBeVisible();
});

test('the session comes out as sound and subtitles, made in a worker that can be cancelled', async ({ page }) => {
  await page.goto('/calls/demo-ten-minutes');
  await expect(page.locator('[data-call]').first()).toBeVisible();
  const take = async (name: RegExp) => {
    await page.getByRole('button', { name: 'Take out' }).click();
    const download = page.waitForEvent('download');
    await page.getByRole('menuitem', { name }).click();
    return (await download).path();
  };
  const wav = new wavefile.WaveFile(new Uint8Array(readFileSync(await take(/WAV/))));
  const samples = wav.getSamples(false, Int16Array);
  expect(samples.length / 16_000).toBeGreaterThan(600);
  expect(samples.some((value) => Math.abs(value) > 3000)).toBe(true);
  const mp3 = readFileSync(await take(/MP3/));
  // An MPEG audio frame begins with eleven set bits (ISO/IEC 11172-3).
  expect(mp3[0] === 0xff && ((mp3[1] ?? 0) & 0xe0) === 0xe0).toBe(true);
  expect(readFileSync(await take(/WebVTT/), 'utf8').startsWith('WEBVTT')).toBe(true);
});

test('every clip lasts what its manifest says, and the gaps between clips are silent', async ({ page }) => {
  await page.goto('/settings');
  for (const voice of [0, 1]) {
    const wrong = await page.evaluate(async (at) => {
      interface Pack {
        rate: number;
        voices: { files: string[]; clips: Record<string, [number, number]> }[];
      }
      const pack = (await (await fetch('/voice/manifest.json')).json()) as Pack;
      const { files, clips } = pack.voices[at] ?? { files: [], clips: {} };
      const bytes = await (await fetch(`/voice/${files[0] ?? ''}`)).arrayBuffer();
      const decoded = await new OfflineAudioContext(1, 1, pack.rate).decodeAudioData(bytes);
      const samples = decoded.getChannelData(0);
      const place = (ms: number): number => Math.round((ms / 1000) * pack.rate);
      return Object.entries(clips).flatMap(([words, [from, ms]]) => {
        const around = samples.subarray(Math.max(0, place(from - 25)), place(from + ms + 25));
        const peak = around.reduce((most, value) => Math.max(most, Math.abs(value)), 0);
        const heard = (value: number): boolean => Math.abs(value) > peak / 200;
        const length = ((around.findLastIndex(heard) - around.findIndex(heard)) / pack.rate) * 1000;
        // Clips are trimmed at -40 dB of their peak; a soft last p or v comes out of the encoder a little under that.
        return peak < 0.05 || Math.abs(length - ms) > 40 ? [`${words}: ${Math.round(length)} for ${ms}`] : [];
      });
    }, voice);
    expect(wrong).toEqual([]);
  }
});

test('the call sheet prints a page for every ten minutes, on A4 and on Letter', async ({ page }) => {
  await page.goto('/calls/demo-first-watch');
  await expect(page.locator('[data-call]').first()).toBeVisible();
  for (const format of ['A4', 'Letter']) {
    const pdf = (await page.pdf({ format })).toString('latin1');
    expect(pdf.match(/\/Type\s*\/Page[^s]/g)?.length, format).toBe(3);
  }
});
