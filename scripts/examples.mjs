// The demo, ready for storage: worked out by the build, so that no browser has to. An asset of the application.
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { root } from './steps.mjs';

/** Writes dist/examples/examples.json, and the list that a first visit sees (dist/first-list.json). */
export async function buildExamples() {
  const { build: bundle } = await import('esbuild');
  const folder = join(root, 'dist/examples');
  mkdirSync(folder, { recursive: true });
  const outfile = join(root, 'dist/examples-rows.mjs');
  await bundle({
    entryPoints: [join(root, 'demo/rows.ts')],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    packages: 'external',
    logLevel: 'warning',
  });
  // By a name that changes: a module is loaded once in the life of a process.
  const { demoFile, demoFirstList } = await import(`${pathToFileURL(outfile).href}?${Date.now()}`);
  writeFileSync(join(folder, 'examples.json'), JSON.stringify(demoFile()));
  writeFileSync(join(root, 'dist/first-list.json'), JSON.stringify(demoFirstList()));
}
