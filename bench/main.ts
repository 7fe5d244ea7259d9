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

benchCore();
benchMatching();
benchComposing();
await benchCalls();
benchClock();
await benchFigure();
const server = spawn(process.execPath, ['dist/server/main.mjs'], {
  env: { ...process.env, PORT: String(port) },
  stdio: ['ignore', 'pipe', 'inherit'],
});
try {
  await new Promise((ready) => server.stdout.once('data', ready));
  // The server's own memory, in pages, as Linux tells it.
  await benchWalls(port, () => Number(readFileSync(`/proc/${server.pid}/statm`, 'utf8').split(' ')[1]));
  await benchKeystroke(`http://localhost:${port}`);
  await benchEditing(`http://localhost:${port}`);
  await benchOnsets(`http://localhost:${port}`);
  await benchFirstView(`http://localhost:${port}`);
  await benchFilm(`http://localhost:${port}`);
} finally {
  server.kill();
}
await benchPages();
await benchProgress();
