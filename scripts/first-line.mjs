// The script that runs before all others (app/first/first-line.ts), by a name with a hash of it.
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './steps.mjs';

const escaped = (text) => text.replaceAll('&', '&amp;').replaceAll('"', '&quot;');

/** Bundles it into the folder of a built application; it is told which scripts the list of sheets needs, and its examples. */
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
  const examples = escaped(readFileSync(join(root, 'dist/first-list.json'), 'utf8'));
  const tag = `<script src="${name}" data-list="${listScripts.join(' ')}" data-examples="${examples}">`;
  // The first frame is laid out once, in its own font.
  const font = readdirSync(join(folder, 'media')).find((each) =>
    /^archivo-latin-standard-normal-.+\.woff2$/.test(each),
  );
  const fontLink = `<link rel="preload" href="media/${font}" as="font" type="font/woff2" crossorigin></head>`;
  writeFileSync(
    page,
    readFileSync(page, 'utf8')
      .replace('</head>', fontLink)
      .replace('<script src="first-line.js">', () => tag),
  );
}
