import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';
import { authorityIn, certificateFor } from './authority';
import { addressesOf, doorOf, errorLine, greeting, hostsOf, serverOf, type Door } from './listen';
import { openLiveChannel } from './live-channel';

// Beside this file when it is built, wherever it is started from.
const beside = (path: string): string => fileURLToPath(new URL(path, import.meta.url));
const folder = beside('../app/browser');

/** Listens; the port it has come to, or null where it cannot, which is said. */
function listen(server: Server, door: Pick<Door, 'host' | 'port'>): Promise<number | null> {
  return new Promise((done) => {
    server.once('listening', () => done((server.address() as AddressInfo).port));
    server.once('error', (error) => {
      console.error(errorLine(error, door));
      process.exitCode = 1;
      done(null);
    });
    server.listen(door.port, door.host);
  });
}

/** By plain http; and where others can reach it, by https, too, for devices that trust this machine's authority. */
async function start(door: Door): Promise<void> {
  const hosts = hostsOf(door.host);
  const authority = hosts.length > 0 ? await authorityIn(beside('../../.authority')) : null;
  /** Where https is served, once it is. */
  let securePort: number | null = null;
  const plain = serverOf(
    folder,
    undefined,
    authority ? { authority: authority.cert, securePort: () => securePort } : {},
  );
  const port = await listen(plain, door);
  if (port === null) return;
  const servers = [plain];
  let httpsPort = door.httpsPort;
  if (authority) {
    const own = await certificateFor(['localhost', '127.0.0.1', ...hosts], authority);
    const secure = serverOf(folder, undefined, { own, authority: authority.cert });
    const at = await listen(secure, { host: door.host, port: httpsPort });
    if (at === null) {
      plain.close();
      return;
    }
    httpsPort = at;
    securePort = at;
    servers.push(secure);
  }
  openLiveChannel(servers, addressesOf({ ...door, port }));
  for (const line of greeting({ host: door.host, port, httpsPort })) console.log(line);
}

const door = doorOf(process.env);
if ('wrong' in door) {
  console.error(door.wrong);
  process.exitCode = 1;
} else void start(door);
