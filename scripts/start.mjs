// `npm start`: installs what is missing, builds what is stale, serves.
import { spawn } from 'node:child_process';
import { build, installPackages, root } from './steps.mjs';

const [major, minor] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minor < 19)) {
  console.error(`Node ${process.versions.node} is too old: install Node 20.19 or newer.`);
  process.exit(1);
}
installPackages();
await build();
const server = spawn(process.execPath, ['dist/server/main.mjs'], { cwd: root, stdio: 'inherit' });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('close', (code) => process.exit(code ?? 0));
