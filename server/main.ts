import { resolve } from 'node:path';
import { createApp } from './app';

const port = Number(process.env['PORT'] ?? 4173);
const server = createApp(resolve('dist/app/browser')).listen(port);

server.on('listening', () => {
  console.log(`Keen Tempo is at http://localhost:${port}`);
});
server.on('error', (error: NodeJS.ErrnoException) => {
  console.error(
    error.code === 'EADDRINUSE'
      ? `Port ${port} is taken: set PORT to another one, for example PORT=${port + 1} npm start`
      : error.message,
  );
  process.exitCode = 1;
});
