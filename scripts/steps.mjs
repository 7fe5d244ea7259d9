// What `npm start` and `npm test` share. Node's own modules only: nothing is installed yet when this runs.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { gzipSync } from 'node:zlib';

export const root = fileURLToPath(new URL('..', import.meta.url));

/** Runs a command, its output shown; ends the script where it fails. */
export function must(command, args, what) {
  const { status } = spawnSync(command, args, { cwd: root, stdio: 'inherit', env: process.env });
  if (status !== 0) {
    console.error(`${what} failed`);
    process.exit(status ?? 1);
  }
}

/** Runs a command, its output shown and kept. */
export function watchOutput(command, args, { quiet = false } = {}) {
  return new Promise((done) => {
    const child = spawn(command, args, {
      cwd: root,
      env: { ...process.env, FORCE_COLOR: '0' },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let output = '';
    const take = (chunk) => {
      output += chunk;
      if (!quiet) process.stdout.write(chunk);
    };
    child.stdout.on('data', take);
    child.stderr.on('data', take);
    child.on('close', (code) => done({ code: code ?? 1, output }));
  });
}

export const ng = [join(root, 'node_modules/@angular/cli/bin/ng.js')];

/** Installs the packages where they are missing or older than the lockfile. */
export function installPackages() {
  const installed = join(root, 'node_modules/.package-lock.json');
  const fresh =
    existsSync(installed) && statSync(installed).mtimeMs >= statSync(join(root, 'package-lock.json')).mtimeMs - 1000;
  if (!fresh) must('npm', ['ci', '--no-audit', '--no-fund'], 'Installing the packages');
}

function newest(path) {
  const stat = statSync(path);
  if (!stat.isDirectory()) return stat.mtimeMs;
  return Math.max(0, ...readdirSync(path).map((name) => newest(join(path, name))));
}

const browserFolder = join(root, 'dist/app/browser');

/** Compresses once for all what is only written by the build: the server sends it as it lies there. */
function compress() {
  for (const name of readdirSync(browserFolder).filter((each) =>
    /-[A-Z0-9]{8}\.(js|css|svg)$|^examples\.json$/.test(each),
  ))
    writeFileSync(join(browserFolder, `${name}.gz`), gzipSync(readFileSync(join(browserFolder, name)), { level: 9 }));
}

/** Licences of everything that is bundled, served with it; the encoder's package names its wrapper's own alone. */
function serveLicences() {
  const lame = readFileSync(join(root, 'scripts/lame-licence.txt'), 'utf8');
  const bundled = readFileSync(join(root, 'dist/app/3rdpartylicenses.txt'), 'utf8');
  writeFileSync(join(browserFolder, '3rdpartylicenses.txt'), `${bundled.trimEnd()}\n\n${lame}`);
}

/** The first script and what it loads before anything is shown, compressed as the server sends it; more is refused. */
const mostInitial = 150_000;
function checkInitial() {
  const page = readFileSync(join(browserFolder, 'index.html'), 'utf8');
  const files = new Set([...page.matchAll(/src="(main-[^"]+\.js)"/g)].map(([, file]) => file));
  for (const file of files) {
    const text = readFileSync(join(browserFolder, file), 'utf8');
    for (const [, name] of text.matchAll(/(?:from|import)\s?"\.\/([^"]+\.js)"/g)) files.add(name);
  }
  const bytes = [...files].reduce((sum, file) => sum + statSync(join(browserFolder, `${file}.gz`)).size, 0);
  console.log(`Initial JavaScript: ${(bytes / 1000).toFixed(0)} kB compressed, at most ${mostInitial / 1000}`);
  if (files.size === 0 || bytes > mostInitial) {
    console.error('Too much is loaded before anything is shown: load it where it is used');
    process.exit(1);
  }
}

/**
 * The script and style of the file that plays anywhere, with the hashes by which it may run them: built before the
 * application, which hands them on as an asset.
 */
export async function buildPlayer() {
  // Imported here: esbuild is there only once the packages are installed.
  const { build: bundle } = await import('esbuild');
  const made = async (entry) => {
    const { outputFiles } = await bundle({
      entryPoints: [join(root, entry)],
      bundle: true,
      minify: true,
      write: false,
      format: 'iife',
      target: 'es2022',
      charset: 'ascii',
      legalComments: 'none',
      logLevel: 'warning',
    });
    // In a page nothing may end the element that it stands in, and a hash is of the text exactly as it stands there.
    return outputFiles[0].text.trim().replaceAll('</', '<\\/');
  };
  const hash = (text) => `sha256-${createHash('sha256').update(text).digest('base64')}`;
  const [script, style] = [await made('app/take-home/player.ts'), await made('app/take-home/player.css')];
  mkdirSync(join(root, 'dist/take-home'), { recursive: true });
  const parts = { script, style, scriptHash: hash(script), styleHash: hash(style) };
  writeFileSync(join(root, 'dist/take-home/parts.json'), JSON.stringify(parts));
}

/** Builds the application and the server where their sources are newer than what is built. */
export async function build() {
  const sources = [
    'app',
    'core',
    'demo',
    'docs/guide',
    'docs/screenshots',
    'server',
    'angular.json',
    'scripts/chunks.mjs',
    'scripts/examples.mjs',
    'scripts/first-line.mjs',
    'scripts/guide.mjs',
    'scripts/lame-licence.txt',
    'scripts/offline.mjs',
    'scripts/steps.mjs',
    'package-lock.json',
    'tsconfig.json',
    'tsconfig.app.json',
  ].map((name) => join(root, name));
  const stamp = join(root, 'dist/server/main.mjs');
  if (
    existsSync(stamp) &&
    existsSync(join(root, 'dist/app/browser/index.html')) &&
    statSync(stamp).mtimeMs > Math.max(...sources.map(newest))
  )
    return;
  const { buildExamples } = await import('./examples.mjs');
  const { buildGuide } = await import('./guide.mjs');
  await Promise.all([buildPlayer(), buildExamples(), buildGuide()]);
  must(process.execPath, [...ng, 'build', '--stats-json'], 'Building the application');
  const { joinChunks } = await import('./chunks.mjs');
  await joinChunks(browserFolder, join(root, 'dist/app/stats.json'));
  compress();
  serveLicences();
  checkInitial();
  const { buildOfflineWorker } = await import('./offline.mjs');
  await buildOfflineWorker(browserFolder);
  // Imported here: esbuild is there only once the packages are installed.
  const { build: bundle } = await import('esbuild');
  await bundle({
    entryPoints: [join(root, 'server/main.ts')],
    outfile: stamp,
    bundle: true,
    platform: 'node',
    format: 'esm',
    packages: 'external',
    logLevel: 'warning',
  });
}

/** A command whose output is shown once it has ended, so that it does not run into another's; whether it held. */
async function quietly(command, args) {
  const { code, output } = await watchOutput(command, args, { quiet: true });
  console.log(`\n== ${command} ${args.join(' ')}\n${output}`);
  return code === 0;
}

/**
 * Chromium for Karma and Playwright: found, or installed through apt where this is Debian and we may, while other things go
 * on. Ends the script where there is none.
 */
export async function ensureChromium() {
  const candidates = [
    process.env.CHROME_BIN,
    '/usr/bin/chromium',
    '/usr/bin/chromium-browser',
    '/usr/bin/google-chrome',
  ];
  let found = candidates.find((path) => path && existsSync(path));
  if (!found && existsSync('/etc/debian_version') && process.getuid?.() === 0) {
    const packages = ['chromium', 'fonts-liberation'];
    const installed =
      (await quietly('apt-get', ['update'])) &&
      (await quietly('apt-get', ['install', '-y', '--no-install-recommends', ...packages]));
    if (installed) found = '/usr/bin/chromium';
  }
  if (!found) {
    console.error(
      'The browser tests need Chromium: install it (Debian or Ubuntu: sudo apt-get install chromium fonts-liberation), or set CHROME_BIN to its path, and run this again.',
    );
    process.exit(1);
  }
  process.env.CHROME_BIN = found;
}
