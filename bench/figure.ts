import { gzipSync } from 'node:zlib';
import { chromium } from '@playwright/test';
import { build } from 'esbuild';
import { report } from './measure';

/** Draws every frame of a combination on a canvas as large as a screen, and tells how long each took. */
const drawing = `
import { readCombination, figureOf, sceneAt, views, paperPaints, bagBeside, bagNatures } from './core/index';
import { paintScene } from './app/parts/figure/paint';
window.measure = (text, width, height) => {
  const read = readCombination(text);
  if (!read.ok) throw new Error(text);
  const figure = figureOf(read.value, 'orthodox');
  const canvas = document.createElement('canvas');
  Object.assign(canvas, { width, height });
  document.body.append(canvas);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  const beside = bagBeside(bagNatures.heavy, figure);
  const took = [];
  for (let round = 0; round < 4; round += 1)
    for (let at = 0; at < figure.motion.ms; at += 40) {
      const from = performance.now();
      context.clearRect(0, 0, width, height);
      paintScene(context, sceneAt(figure, at, views['three-quarter'], beside), paperPaints, { left: 0, top: 0, width, height });
      context.getImageData(0, 0, 1, 1);
      took.push(performance.now() - from);
    }
  return took;
};`;

/** The figure alone: how large its code and data are, and what a frame of it costs in software. */
export async function benchFigure(): Promise<void> {
  const made = await build({
    stdin: { contents: drawing, resolveDir: process.cwd(), loader: 'ts' },
    bundle: true,
    minify: true,
    write: false,
    format: 'iife',
    metafile: true,
  });
  const [file] = made.outputFiles;
  if (!file) throw new Error('nothing was built');
  const alone = await build({
    stdin: {
      contents:
        "export * from './core/figure/figure-of'; export * from './core/figure/scene'; export * from './app/parts/figure/paint';",
      resolveDir: process.cwd(),
      loader: 'ts',
    },
    bundle: true,
    minify: true,
    write: false,
    format: 'esm',
  });
  report(
    'figure: code and data, mechanics and catalogue with it',
    `${(gzipSync(alone.outputFiles[0]?.contents ?? '').length / 1000).toFixed(1)}` + ' kB gzip',
    'at most 30',
  );
  const browser = await chromium.launch({
    executablePath: process.env['CHROME_BIN'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  const page = await browser.newPage();
  await page.setContent('<body></body>');
  await page.addScriptTag({ content: file.text });
  const took = await page.evaluate(() =>
    (window as Window & { measure?: (text: string, width: number, height: number) => number[] }).measure?.(
      '1 2 3b ro 4 bk',
      1280,
      720,
    ),
  );
  await browser.close();
  const sorted = (took ?? []).sort((a, b) => a - b);
  const [median, worst] = [sorted[Math.floor(sorted.length / 2)] ?? 0, sorted.at(-1) ?? 0];
  report(
    'figure: a frame at 1280 × 720, drawn in software and read back',
    `${median.toFixed(2)} ms, worst ${worst.toFixed(1)}`,
    'median under 4 ms',
  );
}
