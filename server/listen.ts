import { createServer, type Server } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import { addressesOf, hostsOf, inAddress, isEverywhere, isLocal } from './addresses';
import { createApp, type AppOptions } from './app';
import { isOwn, type Certified } from './authority';

/** Where the server listens, as the environment says it. */
export interface Door {
  readonly host: string;
  readonly port: number;
  /** Where it listens by https, too; only where others can reach it. */
  readonly httpsPort: number;
}

const usualPort = 4173;
/** This machine only, unless somebody says otherwise. */
const usualHost = '127.0.0.1';

/**
 * Reads `PORT` and `HOST`; what cannot be a port is one clear line.
 * @example doorOf({ PORT: '8080' }) // { host: '127.0.0.1', port: 8080 }
 */
export function doorOf(environment: Readonly<Record<string, string | undefined>>): Door | { readonly wrong: string } {
  const { PORT, HTTPS_PORT, HOST } = environment;
  const port = portOf(PORT, usualPort);
  if (port === null) return { wrong: wrongPort('PORT', PORT, usualPort) };
  const httpsPort = portOf(HTTPS_PORT, port === 0 ? 0 : port + 1);
  if (httpsPort === null) return { wrong: wrongPort('HTTPS_PORT', HTTPS_PORT, usualPort + 1) };
  return { host: HOST === undefined || HOST === '' ? usualHost : HOST, port, httpsPort };
}

function portOf(said: string | undefined, usual: number): number | null {
  const port = said === undefined || said === '' ? usual : Number(said);
  return Number.isInteger(port) && port >= 0 && port <= 65_535 && /^\d*$/.test(said ?? '') ? port : null;
}

const wrongPort = (name: string, said: string | undefined, usual: number): string =>
  `${name} is "${said ?? ''}": set it to a whole number from 0 to 65535, for example ${name}=${usual} npm start`;

/** Longest wait for a request's first line and headers, for the whole request, and between two on one connection. */
const limits = { headersMs: 8000, requestMs: 10_000, idleMs: 5000, lookEveryMs: 1000, headerBytes: 16_384 } as const;

/** The server of a folder with limits on what a caller may keep it waiting for; it does not listen yet. By https with a certificate. */
export function serverOf(
  folder: string,
  options: AppOptions & {
    readonly certificate?: Certified;
    readonly waits?: { readonly headersMs: number; readonly requestMs: number };
  } = {},
): Server {
  const { certificate, waits = limits } = options;
  const bounds = {
    maxHeaderSize: limits.headerBytes,
    headersTimeout: waits.headersMs,
    requestTimeout: waits.requestMs,
    keepAliveTimeout: limits.idleMs,
    connectionsCheckingInterval: limits.lookEveryMs,
  };
  const app = createApp(folder, options);
  const server = certificate
    ? createSecureServer({ ...certificate, ...bounds, handshakeTimeout: waits.headersMs }, app)
    : createServer(bounds, app);
  server.maxHeadersCount = 100;
  return server;
}

/**
 * What is printed once the server listens: its addresses, and a warning where others can reach it. `https` is where it is
 * served to devices that trust its authority.
 * @example greeting({ host: '127.0.0.1', port: 4173 }, null)[0] // "Keen Tempo is at http://localhost:4173"
 */
export function greeting(
  door: Pick<Door, 'host' | 'port'>,
  https: { readonly httpsPort: number; readonly fingerprint: string } | null,
): string[] {
  const here = `Keen Tempo is at http://localhost:${door.port}`;
  if (isLocal(door.host)) return [here];
  const secure = https ? hostsOf(door.host).filter(isOwn) : [];
  return [
    ...(isEverywhere(door.host) ? [here] : []),
    ...addressesOf(door).map((address) => `Keen Tempo is at ${address}`),
    ...secure.map(
      (host) => `and at https://${inAddress(host)}:${https?.httpsPort} for devices that trust this machine`,
    ),
    ...(https
      ? [
          `To trust it, open ${addressesOf(door)[0] ?? here}/authority.crt on the device and follow “On other devices” in the README.`,
          `Compare the SHA-256 fingerprint before you trust it: ${https.fingerprint}`,
        ]
      : []),
    'Everyone in this network can open it, and it has no passwords: let it listen there only if you trust the network.',
  ];
}

/** What an error of listening means, in one line that names the setting to change. `errorLine({ code: 'EADDRINUSE' }, door)` */
export function errorLine(
  error: NodeJS.ErrnoException,
  { host, port }: Pick<Door, 'host' | 'port'>,
  setting: 'PORT' | 'HTTPS_PORT' = 'PORT',
): string {
  switch (error.code) {
    case 'EADDRINUSE':
      return `Port ${port} is in use: set ${setting} to another one, for example ${setting}=${port + 1} npm start`;
    case 'EACCES':
      return `Port ${port} cannot be used here: set ${setting} to 1024 or higher, for example ${setting}=${usualPort} npm start`;
    case 'EADDRNOTAVAIL':
    case 'ENOTFOUND':
      return `HOST is "${host}", which is not an address of this machine: leave HOST unset, or set it to 0.0.0.0 for all addresses`;
    default:
      return `The server cannot listen at ${host}, port ${port}: ${error.message}`;
  }
}
