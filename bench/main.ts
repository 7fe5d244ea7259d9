import { spawn } from 'node:child_process';
import { benchCalls } from './calls';
import { benchClock } from './clock';
import { benchCore } from './core';
import { benchMatching } from './matching';
import { benchFirstView } from './first-view';
import { benchPages } from './pages';
import { benchEditing } from './editing';
import { benchKeystroke } from './keystroke';

const port = 4398;

benchCore();
benchMatching();
await benchCalls();
benchClock();
const server = spawn(process.execPath, ['dist/server/main.mjs'], {
  env: { ...process.env, PORT: String(port) },
  stdio: ['ignore', 'pipe', 'inherit'],
});
try {
  await new Promise((ready) => server.stdout.once('data', ready));
  await benchKeystroke(`http://localhost:${port}`);
  await benchEditing(`http://localhost:${port}`);
  await benchFirstView(`http://localhost:${port}`);
} finally {
  server.kill();
}
await benchPages();
