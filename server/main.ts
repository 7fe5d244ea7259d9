import { fileURLToPath } from 'node:url';
import type { AddressInfo } from 'node:net';
import { addressesOf, doorOf, errorLine, greeting, serverOf } from './listen';
import { openLiveChannel } from './live-channel';

const door = doorOf(process.env);
if ('wrong' in door) {
  console.error(door.wrong);
  process.exitCode = 1;
} else {
  // Beside this file when it is built, wherever it is started from.
  const server = serverOf(fileURLToPath(new URL('../app/browser', import.meta.url)));
  server.on('listening', () => {
    const { port } = server.address() as AddressInfo;
    for (const line of greeting({ ...door, port })) console.log(line);
    openLiveChannel([server], addressesOf({ ...door, port }));
  });
  server.on('error', (error) => {
    console.error(errorLine(error, door));
    process.exitCode = 1;
  });
  server.listen(door.port, door.host);
}
