// Runs the `tempo` command straight after `npm ci`, without a build step: the first call after a change bundles the
// sources (half a second), every other one finds the bundle by the sources' sizes and times.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, renameSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const hash = createHash('sha1');
for (const folder of ['core', 'cli'])
  for (const name of readdirSync(join(root, folder), { recursive: true }).sort()) {
    if (!name.endsWith('.ts') || name.endsWith('.spec.ts')) continue;
    const { mtimeMs, size } = statSync(join(root, folder, name));
    hash.update(`${name} ${mtimeMs} ${size}\n`);
  }
const cache = join(root, 'node_modules', '.cache', 'keen-tempo');
const file = join(cache, `tempo-${hash.digest('hex')}.mjs`);
if (!existsSync(file)) {
  const { buildSync } = await import('esbuild');
  const { outputFiles } = buildSync({
    entryPoints: [join(root, 'cli/tempo.ts')],
    bundle: true,
    minify: true,
    platform: 'node',
    format: 'esm',
    write: false,
    tsconfigRaw: '{}',
  });
  mkdirSync(cache, { recursive: true });
  // Written aside and renamed, so that commands running side by side never see half a file.
  const aside = `${file}.${process.pid}`;
  writeFileSync(aside, outputFiles[0].contents);
  renameSync(aside, file);
}
await import(pathToFileURL(file).href);
