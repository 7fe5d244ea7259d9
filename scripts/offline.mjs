// The offline worker: bundled with the list of what it puts on a device. The last step of a build.
import { createHash } from 'node:crypto';
import { copyFileSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { root } from './steps.mjs';

/** Files whose names hold a hash of what is in them; `server/app.ts` lets browsers keep them. */
const hashed = /-[A-Z0-9]{8}\.[a-z0-9]+$/;
const recording = /^voice\/.+\.(ogg|m4a)$/;
/** Of the guide: they come after code and voices. */
const picture = /^guide\/.+\.png$/;
/** What is fetched only by who wants it, what the server alone reads, the worker before this one, and what mends all these. */
const leftOut = /^3rdpartylicenses\.txt$|^mend\.(html|js)$|^words\/|\.gz$|^ngsw-worker\.js$|^offline-worker\.js$/;

/** Every file of the build with its revision and size, sorted: the same build makes the same worker. */
function listed(folder) {
  const names = readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath, entry.name).slice(folder.length + 1));
  const files = names
    .filter((name) => !leftOut.test(name))
    .sort()
    .map((name) => {
      const content = readFileSync(join(folder, name));
      const revision = hashed.test(name) ? null : createHash('sha256').update(content).digest('hex');
      return { name, url: `/${name}`, revision, bytes: content.length };
    });
  const without = (all) => all.map(({ url, revision, bytes }) => ({ url, revision, bytes }));
  return {
    code: without(files.filter(({ name }) => !recording.test(name) && !picture.test(name))),
    recordings: without(files.filter(({ name }) => recording.test(name))),
    pictures: without(files.filter(({ name }) => picture.test(name))),
  };
}

/** Bundles the worker into a folder of a built application, with the list of its files as they are now. */
export async function buildOfflineWorker(folder) {
  const { build: bundle } = await import('esbuild');
  await bundle({
    entryPoints: [join(root, 'app/offline/offline.worker.ts')],
    outfile: join(folder, 'offline-worker.js'),
    bundle: true,
    minify: true,
    format: 'iife',
    target: 'es2022',
    legalComments: 'none',
    logLevel: 'warning',
    define: { listedFiles: JSON.stringify(listed(folder)), 'process.env.NODE_ENV': '"production"' },
  });
  // Whoever still has the worker of an older version gets one that ends it and deletes its caches.
  copyFileSync(join(root, 'node_modules/@angular/service-worker/safety-worker.js'), join(folder, 'ngsw-worker.js'));
}

// For a build that was changed by hand: node scripts/offline.mjs dist/app/browser
if (process.argv[1] === fileURLToPath(import.meta.url)) await buildOfflineWorker(process.argv[2]);
