import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { benchCalls } from './calls';
import { benchComposing } from './composing';
import { benchClock } from './clock';
import { benchCore } from './core';
import { benchMatching } from './matching';
import { benchFigure } from './figure';
import { benchFilm } from './film';
import { benchFirstView } from './first-view';
import { benchPages } from './pages';
import { benchProgress } from './progress';
import { benchEditing } from './editing';
import { benchKeystroke } from './keystroke';
import { benchOnsets } from './onsets';
import { benchWalls } from './walls';

const port = 4398;
const base = `http://localhost:${port}`;

/** Runs something while the built product is served; it is given the server's own memory, in pages, as Linux tells it. */
async function served(run: (memory: () => number) => Promise<void>): Promise<void> {
  const server = spawn(process.execPath, ['dist/server/main.mjs'], {
    env: { ...process.env, PORT: String(port) },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  try {
    await new Promise((ready) => server.stdout.once('data', ready));
    await run(() => Number(readFileSync(`/proc/${server.pid}/statm`, 'utf8').split(' ')[1]));
  } finally {
    server.kill();
  }
}

const parts: Readonly<Record<string, () => void | Promise<void>>> = {
  core: benchCore,
  matching: benchMatching,
  composing: benchComposing,
  calls: benchCalls,
  clock: benchClock,
  figure: benchFigure,
  walls: () => served((memory) => benchWalls(port, memory)),
  keystroke: () => served(() => benchKeystroke(base)),
  editing: () => served(() => benchEditing(base)),
  onsets: () => served(() => benchOnsets(base)),
  'first-view': () => served(() => benchFirstView(base)),
  film: () => served(() => benchFilm(base)),
  pages: benchPages,
  progress: benchProgress,
};

// `npm run bench -- first-view` runs one part alone.
const [only] = process.argv.slice(2);
if (only !== undefined && !(only in parts))
  console.error(`No such part: ${only}. There are ${Object.keys(parts).join(', ')}`);
for (const [name, run] of Object.entries(parts)) if (only === undefined || only === name) await run();
