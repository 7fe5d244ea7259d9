import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { choose } from './hands';
import wavefile from 'wavefile';

test('a 30-second rest with too much to say shows the finding, and the mend fixes it', async ({ page }) => {
  await page.goto('/sheets');
  await page.getByRole('button', { name: 'New sheet' }).click();
  await page.getByRole('tab', { name: 'Text' }).click();
  const text = page.getByLabel('Sheet as text');
  await text.fill(
    'warm-up 5:00\nround 2:00: 1 2\nrest 0:30\nround 2:00 "Everything we have done today, from the top": 1 2 3b 2 5 4 ro 2 3 2 1 2 sl 2 3b 2 5 2 1 1 2 3 4 ro 3 2 1 2 3 4 5 6 1 2 3 2',
  );
  await page.keyboard.press('Control+Enter');
  await page.getByRole('tab', { name: /^Checks/ }).click();
  await expect(page.getByText(/this rest is 0:30, but .* need/)).toBeVisible();
  await page.getByRole('button', { name: /^Make the rest/ }).click();
  await expect(page.getByText(/this rest is/)).toHaveCount(0);
});

test('the script: a call is reworded, muted and said again, and the change survives a reload', async ({ page }) => {
  await page.goto('/calls/demo-first-watch');
  await page.getByRole('button', { name: /^6:15.0 Add the cross\. All together: one, two\./ }).click();
  await page.getByLabel('Words').fill('Now one, two');
  await page.getByLabel('Words').press('Enter');
  await expect(page.getByRole('button', { name: /Now one, two/ })).toBeVisible();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.reload();
  const call = page.getByRole('button', { name: /Now one, two/ });
  await expect(call).toBeVisible();
  await call.focus();
  await page.keyboard.press('m');
  await expect(call).toHaveCount(0);
  await expect(page.getByText('muted by you')).toBeVisible();
  await page.getByRole('button', { name: 'Unmute' }).click();
  await expect(page.getByRole('button', { name: /^6:15.0 Add the cross\. All together: one, two\./ })).toBeVisible();
});

test('a call is dragged, nudged, locked and put before others, by mouse and by keys', async ({ page }) => {
  await page.goto('/calls/demo-first-watch');
  const focus = page.locator('[data-call$="focus"]').first();
  await focus.click();
  const clock = (): Promise<string> => focus.locator('.figures').innerText();
  const before = await clock();
  const handle = (await page.locator('.handle').boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
  const [x, y] = [handle.x + handle.width / 2, handle.y + handle.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y + 12, { steps: 4 });
  await page.mouse.move(x, y + 30, { steps: 4 });
  await page.mouse.up();
  await expect(focus).toContainText('yours');
  // It is the coach's at once; where it stands then, the worker says.
  await expect.poll(async () => (await clock()) > before).toBe(true);
  const dragged = await clock();
  await focus.focus();
  await page.keyboard.press('Alt+ArrowDown');
  await expect(focus.locator('.figures')).not.toHaveText(dragged);
  await page.keyboard.press('l');
  await expect(focus.locator('.figures')).toHaveText(before);
  // The row has moved, and the keys still act on it.
  await page.keyboard.press('m');
  const unsaid = page.locator('[data-unsaid$="focus"]').first();
  await expect(unsaid).toBeFocused();
  await page.keyboard.press('Control+z');
  await expect(focus).toBeVisible();
});

test('what cannot be said at all is found beside the script, and mended there', async ({ page }) => {
  await page.goto('/sheets');
  await page.getByRole('button', { name: 'New sheet' }).click();
  await page.getByRole('tab', { name: 'Text' }).click();
  await page
    .getByLabel('Sheet as text')
    .fill('warm-up 5:00\nround 1:00\n  0:56: 1 2b\n  0:04: 1 2 3b 2 5 4 2 3 1 2 3b 2');
  await page.keyboard.press('Control+Enter');
  await page.getByRole('link', { name: 'Calls' }).click();
  await expect(page.getByText(/takes .* s to say, but there are only .* s/)).toBeVisible();
  await expect(page.locator('[data-unsaid]').filter({ hasText: 'One, two, three body, two' })).toHaveCount(1);
  await page.getByRole('button', { name: 'Say “As shown”' }).click();
  await expect(page.getByRole('button', { name: /As shown/ })).toBeVisible();
  await expect(page.getByText(/takes .* s to say/)).toHaveCount(0);
});

test('a stretch is listened to after a press, with a line that moves, and silenced again', async ({ page }) => {
  await page.goto('/calls/demo-first-watch');
  await page.locator('[data-call$="focus"]').first().focus();
  await expect(page.locator('.now')).toHaveCount(0);
  await page.keyboard.press('p');
  const line = page.locator('.now');
  await expect(line).toHaveCount(1);
  const first = await line.getAttribute('d');
  await expect.poll(() => line.getAttribute('d')).not.toBe(first);
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(line).toHaveCount(0);
});

test('a stance plan is chosen where the calls are, and its changes are called', async ({ page }) => {
  await page.goto('/calls/demo-one-a-round');
  await choose(page, 'The class switches stance', 'every round');
  await expect(page.getByRole('button', { name: /Switch stance/ }).first()).toBeVisible();
  await expect(page.getByText(/4 changes/)).toBeVisible();
});

test('the session comes out as sound and subtitles, made in a worker that can be cancelled', async ({ page }) => {
  await page.goto('/calls/demo-ten-minutes');
  await expect(page.locator('[data-call]').first()).toBeVisible();
  const take = async (name: RegExp) => {
    await page.getByRole('button', { name: 'Export' }).click();
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
  // Decoded by the browser: as long as the WAV but for the encoder's padding, loud at the first bell and silent before the end.
  const heard = await page.evaluate(async (base64) => {
    const bytes = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
    const decoded = await new OfflineAudioContext(1, 1, 16_000).decodeAudioData(bytes.buffer);
    const samples = decoded.getChannelData(0);
    const peak = (from: number, to: number): number =>
      samples.subarray(from * 16_000, to * 16_000).reduce((most, value) => Math.max(most, Math.abs(value)), 0);
    return { seconds: decoded.duration, first: peak(0, 1), quiet: peak(decoded.duration - 0.5, decoded.duration) };
  }, mp3.toString('base64'));
  expect(Math.abs(heard.seconds - samples.length / 16_000)).toBeLessThan(0.3);
  expect(heard.first).toBeGreaterThan(0.05);
  expect(heard.quiet).toBeLessThan(0.01);
  expect(readFileSync(await take(/WebVTT/), 'utf8').startsWith('WEBVTT')).toBe(true);
});

test('making a sound file is cancelled, and can be begun anew', async ({ page }) => {
  await page.goto('/calls/demo-first-watch');
  await expect(page.locator('[data-call]').first()).toBeVisible();
  await page.getByRole('button', { name: 'Export' }).click();
  await page.getByRole('menuitem', { name: /MP3/ }).click();
  const progress = page.getByRole('progressbar', { name: 'Sound file' });
  await expect(progress).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(progress).toHaveCount(0);
  await page.getByRole('button', { name: 'Export' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: /WAV/ }).click();
  expect((await download).suggestedFilename()).toMatch(/\.wav$/);
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
