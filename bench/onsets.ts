import { chromium, type Page } from '@playwright/test';
import { quantile, report } from './measure';

/** What the bench plays: clicks, which are short, and whose moments are plain. */
const text = 'round 1:00: 1 2 nonstop clicks';
/** Half a second: clicks at 120 a minute, and the count before them. */
const period = 500;
const listenMs = 20_000;

/** Remembers what the page sends to its loudspeaker: every sample, with the audio clock's reading of its block. */
function capture(): void {
  type Captured = Window & { heard?: { at: number; peak: number[] }[] };
  const connect = AudioNode.prototype.connect as (this: AudioNode, to: AudioNode) => AudioNode;
  const taps = new WeakMap<BaseAudioContext, ScriptProcessorNode>();
  (window as Captured).heard = [];
  AudioNode.prototype.connect = function (this: AudioNode, to: AudioNode, ...more: never[]) {
    if (to instanceof AudioDestinationNode && this.context instanceof AudioContext) {
      let tap = taps.get(this.context);
      if (!tap) {
        tap = this.context.createScriptProcessor(1024, 1, 1);
        tap.onaudioprocess = ({ playbackTime, inputBuffer }) => {
          const samples = inputBuffer.getChannelData(0);
          // Loudest of each millisecond.
          const step = Math.round(inputBuffer.sampleRate / 1000);
          const peak: number[] = [];
          for (let at = 0; at < samples.length; at += step)
            peak.push(samples.subarray(at, at + step).reduce((most, value) => Math.max(most, Math.abs(value)), 0));
          (window as Captured).heard?.push({ at: playbackTime, peak });
        };
        taps.set(this.context, tap);
        connect.call(tap, to);
      }
      connect.call(this, tap);
    }
    return (connect as (...all: unknown[]) => AudioNode).call(this, to, ...more);
  } as AudioNode['connect'];
}

/** Moments, in milliseconds, at which something begins to sound after silence. */
async function onsetsIn(page: Page): Promise<number[]> {
  const heard = await page.evaluate(
    () => (window as Window & { heard?: { at: number; peak: number[] }[] }).heard ?? [],
  );
  const onsets: number[] = [];
  let quiet = 100;
  for (const { at, peak } of heard)
    peak.forEach((value, ms) => {
      if (value > 0.02 && quiet >= 40) onsets.push(at * 1000 + ms);
      quiet = value > 0.005 ? 0 : quiet + 1;
    });
  return onsets;
}

/** How far what is heard lies from the plan: clicks of a run in the captured output of the audio graph. */
export async function benchOnsets(base: string): Promise<void> {
  const browser = await chromium.launch({
    executablePath: process.env['CHROME_BIN'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--autoplay-policy=no-user-gesture-required'],
  });
  const page = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
  await page.addInitScript(capture);
  // Without words, which would drown the clicks.
  await page.goto(`${base}/settings`);
  await page.getByRole('combobox', { name: 'Voice' }).click();
  await page.getByRole('option', { name: /^Nobody/ }).click();
  await page.goto(`${base}/sheets`);
  await page
    .getByLabel('Import')
    .setInputFiles({ name: 'clicks.txt', mimeType: 'text/plain', buffer: Buffer.from(text) });
  await page.getByRole('link', { name: 'Run clicks' }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.waitForTimeout(listenMs);
  const onsets = await onsetsIn(page);
  await browser.close();

  // Bells, counts and clicks all lie on half seconds of the plan; where those lie on the audio clock, most of them say.
  const phase = quantile(
    onsets.map((at) => at % period),
    0.5,
  );
  const off = onsets.map((at) => Math.abs(((at - phase + period / 2 + period) % period) - period / 2));
  report('bells and clicks found in the captured output of 20 s', String(off.length), 'told');
  report('  worst of them off its moment', `${Math.max(...off).toFixed(1)} ms`, 'at most 20 ms');
}
