import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';
import { addressesOf, hostsOf } from './addresses';
import { authorityIn, certificateFor, fingerprintOf, type Certified } from './authority';
import { Hosts } from './hosts';
import { doorOf, errorLine, greeting, serverOf, type Door } from './listen';
import { openLiveChannel } from './live-channel';
import { Passes, roomKeyIn } from './passes';

// Beside this file when it is built, wherever it is started from.
const beside = (path: string): string => fileURLToPath(new URL(path, import.meta.url));
const folder = beside('../app/browser');
const keys = beside('../../.authority');

/** Listens; the port it has come to, or null where it cannot, which is said. */
function listen(
  server: Server,
  door: Pick<Door, 'host' | 'port'>,
  setting: 'PORT' | 'HTTPS_PORT' = 'PORT',
): Promise<number | null> {
  return new Promise((done) => {
    server.once('listening', () => done((server.address() as AddressInfo).port));
    server.once('error', (error) => {
      console.error(errorLine(error, door, setting));
      process.exitCode = 1;
      done(null);
    });
    server.listen(door.port, door.host);
  });
}

/** By plain http; and where others can reach it, by https, too, for devices that trust this machine's authority. */
async function start(door: Door): Promise<void> {
  const hosts = new Hosts(door.host, process.env['ALLOW_HOST']);
  const names = hostsOf(door.host);
  const authority = names.length > 0 ? await authorityOrNull() : null;
  /** Where https is served, once it is. */
  let securePort: number | null = null;
  const offered = authority ? { authority: authority.cert, securePort: () => securePort } : {};
  const plain = serverOf(folder, { hosts, ...offered });
  const port = await listen(plain, door);
  if (port === null) return;
  const servers = [plain];
  if (authority) {
    const certificate = await certificateFor(['localhost', '127.0.0.1', ...names, ...hosts.given], authority);
    const secure = serverOf(folder, { hosts, certificate, authority: authority.cert });
    securePort = await listen(secure, { host: door.host, port: door.httpsPort }, 'HTTPS_PORT');
    // Without it plain http goes on: what is wrong has been said.
    if (securePort !== null) servers.push(secure);
  }
  const passes = new Passes(roomKeyIn(keys));
  openLiveChannel(servers, { addresses: addressesOf({ ...door, port }), hosts, passes });
  const trusted =
    authority && securePort !== null ? { httpsPort: securePort, fingerprint: fingerprintOf(authority) } : null;
  for (const line of greeting({ host: door.host, port }, trusted)) console.log(line);
}

/** Plain http starts in any case: without an authority there is no https, which is said. */
async function authorityOrNull(): Promise<Certified | null> {
  try {
    return await authorityIn(keys, (why) => console.error(why));
  } catch (error) {
    console.error(`No https: the certificates in ${keys} cannot be made (${String(error)}).`);
    return null;
  }
}

const door = doorOf(process.env);
if ('wrong' in door) {
  console.error(door.wrong);
  process.exitCode = 1;
} else void start(door);
