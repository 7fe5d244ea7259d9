// Builds that a test changes, and servers of its own for them.
import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { cpSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** Serves a copy of the build; settles when it listens. */
export async function serve(folder: string, port: number): Promise<ChildProcess> {
  const server = spawn(process.execPath, [join(folder, 'server/main.mjs')], {
    env: { ...process.env, PORT: String(port) },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise((ready) => server.stdout.once('data', ready));
  return server;
}

export const end = (server: ChildProcess): Promise<unknown> =>
  new Promise((done) => {
    server.once('exit', done);
    server.kill();
  });

/** A copy of the build in a folder of its own. */
export function copyOfBuild(folder: string): string {
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  cpSync('dist', folder, { recursive: true });
  return folder;
}

/** Where the files lie that are served. */
export const browserOf = (folder: string): string => join(folder, 'app/browser');

/** Lists the files of a changed build anew, as the build does. */
export const listAnew = (folder: string): void => {
  execFileSync(process.execPath, ['scripts/offline.mjs', browserOf(folder)]);
};

/** Makes a newer version of a build: another first page. */
export function makeNewer(folder: string): void {
  const index = join(browserOf(folder), 'index.html');
  writeFileSync(
    index,
    readFileSync(index, 'utf8').replace('<title>Keen Tempo</title>', '<title>Keen Tempo, newer</title>'),
  );
  listAnew(folder);
}

const scriptsOf = (folder: string): string[] =>
  readdirSync(folder).filter((name) => /^(main|chunk)-.*\.js$/.test(name));

/** Gives a script another name, wherever it is named; what was compressed of it goes. */
function rename(folder: string, from: string, to: string): void {
  renameSync(join(folder, from), join(folder, to));
  rmSync(join(folder, `${from}.gz`), { force: true });
  for (const name of [...scriptsOf(folder), 'index.html']) {
    const path = join(folder, name);
    const text = readFileSync(path, 'utf8');
    if (!text.includes(from)) continue;
    writeFileSync(path, text.replaceAll(from, to));
    rmSync(`${path}.gz`, { force: true });
  }
}

/** Makes a newer version of which every script has another name, as after a change that all of them feel. */
export function renameScripts(folder: string): void {
  const browser = browserOf(folder);
  for (const [at, name] of scriptsOf(browser).entries())
    rename(browser, name, name.replace(/-[A-Z0-9]{8}/, `-NEW${String(at).padStart(5, '0')}`));
  listAnew(folder);
}
