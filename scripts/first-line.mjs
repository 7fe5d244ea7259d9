// The script that runs before all others (app/first/first-line.ts), by a name with a hash of it.
import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './steps.mjs';

/** Bundles it into the folder of a built application; it is told which scripts the list of sheets needs. */
export async function buildFirstLine(folder, listScripts) {
  const { build: bundle } = await import('esbuild');
  const { outputFiles } = await bundle({
    entryPoints: [join(root, 'app/first/first-line.ts')],
    bundle: true,
    minify: true,
    write: false,
    format: 'iife',
    target: 'es2022',
    logLevel: 'warning',
  });
  const { text } = outputFiles[0];
  const name = `first-line-${createHash('sha256').update(text).digest('hex').slice(0, 8).toUpperCase()}.js`;
  writeFileSync(join(folder, name), text);
  const page = join(folder, 'index.html');
  const tag = `<script src="${name}" data-list="${listScripts.join(' ')}">`;
  writeFileSync(page, readFileSync(page, 'utf8').replace('<script src="first-line.js">', tag));
}
