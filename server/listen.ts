import { createServer, type Server } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import { networkInterfaces } from 'node:os';
import { createApp } from './app';
import type { Certified } from './authority';

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

/** The server of a folder with limits on what a caller may keep it waiting for; it does not listen yet. */
export function serverOf(
  folder: string,
  waits: { readonly headersMs: number; readonly requestMs: number } = limits,
  https: { readonly own?: Certified; readonly authority?: string; readonly securePort?: () => number | null } = {},
): Server {
  const { own, authority, securePort } = https;
  const bounds = {
    maxHeaderSize: limits.headerBytes,
    headersTimeout: waits.headersMs,
    requestTimeout: waits.requestMs,
    keepAliveTimeout: limits.idleMs,
    connectionsCheckingInterval: limits.lookEveryMs,
  };
  const app = createApp(folder, authority, securePort);
  const server = own ? createSecureServer({ ...own, ...bounds }, app) : createServer(bounds, app);
  server.maxHeadersCount = 100;
  return server;
}

const isEverywhere = (host: string): boolean => host === '0.0.0.0' || host === '::';

/** Addresses at which others in the network reach the server; none where it listens to its own machine alone. */
export function addressesOf({ host, port }: Pick<Door, 'host' | 'port'>): string[] {
  return hostsOf(host).map((address) => `http://${address.includes(':') ? `[${address}]` : address}:${port}`);
}

/** Addresses of this machine at which others reach it; none where it listens to itself alone. */
export function hostsOf(host: string): string[] {
  if (isLocal(host)) return [];
  const all = Object.values(networkInterfaces()).flatMap((each) => each ?? []);
  const reachable = isEverywhere(host) ? all.filter(({ internal }) => !internal) : [{ address: host }];
  return reachable.map(({ address }) => address);
}

const isLocal = (host: string): boolean => host === 'localhost' || host === '::1' || host.startsWith('127.');

/**
 * What is printed once the server listens: its addresses, and a warning where others can reach it.
 * @example greeting({ host: '127.0.0.1', port: 4173 })[0] // "Keen Tempo is at http://localhost:4173"
 */
export function greeting(door: Door): string[] {
  const here = `Keen Tempo is at http://localhost:${door.port}`;
  if (isLocal(door.host)) return [here];
  return [
    ...(isEverywhere(door.host) ? [here] : []),
    ...addressesOf(door).map((address) => `Keen Tempo is at ${address}`),
    ...addressesOf({ host: door.host, port: door.httpsPort }).map(
      (address) => `and at ${address.replace('http:', 'https:')} for devices that trust this machine`,
    ),
    `To trust it, open ${addressesOf(door)[0] ?? here}/authority.crt on the device and follow README, “On other devices”.`,
    'Everybody in this network can open it there. It has no passwords: let it listen so only where you trust the network.',
  ];
}

/** What an error of listening means, in one line. `errorLine({ code: 'EADDRINUSE' }, door)` */
export function errorLine(error: NodeJS.ErrnoException, { host, port }: Pick<Door, 'host' | 'port'>): string {
  switch (error.code) {
    case 'EADDRINUSE':
      return `Port ${port} is taken: set PORT to another one, for example PORT=${port + 1} npm start`;
    case 'EACCES':
      return `Port ${port} may not be used here: set PORT to one from 1024 on, for example PORT=${usualPort} npm start`;
    case 'EADDRNOTAVAIL':
    case 'ENOTFOUND':
      return `HOST is "${host}", which is no address of this machine: leave HOST out, or set it to 0.0.0.0 for all of them`;
    default:
      return `The server cannot listen at ${host}, port ${port}: ${error.message}`;
  }
}
