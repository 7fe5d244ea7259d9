// The script that runs before all others (app/first/first-line.ts). It stands in the page itself, so that it can neither be
// missing nor come later than the page; the server puts its nonce on it (server/app.ts).
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
  const text = outputFiles[0].text.trim().replaceAll('</script', '<\\/script');
  const page = join(folder, 'index.html');
  const examples = escaped(readFileSync(join(root, 'dist/first-list.json'), 'utf8'));
  const tag = `<script data-list="${listScripts.join(' ')}" data-examples="${examples}">${text}`;
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
