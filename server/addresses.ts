import { networkInterfaces } from 'node:os';

/** Whether a server that listens there is reached at every address of this machine. */
export const isEverywhere = (host: string): boolean => host === '0.0.0.0' || host === '::';

/** Addresses at which others in the network reach the server; none where it listens to its own machine alone. */
export function addressesOf({ host, port }: { readonly host: string; readonly port: number }): string[] {
  return hostsOf(host).map((address) => `http://${inAddress(address)}:${port}`);
}

/** Addresses of this machine at which others reach it; none where it listens to itself alone. */
export function hostsOf(host: string): string[] {
  if (isLocal(host)) return [];
  const all = Object.values(networkInterfaces()).flatMap((each) => each ?? []);
  const reachable = isEverywhere(host) ? all.filter(({ internal }) => !internal) : [{ address: host }];
  return reachable.map(({ address }) => address);
}

/** Whether a server that listens there is reached from its own machine only. */
export const isLocal = (host: string): boolean => host === 'localhost' || host === '::1' || host.startsWith('127.');

/** A host as an address has it. `inAddress('fe80::1')` → `"[fe80::1]"` */
export const inAddress = (host: string): string => (host.includes(':') ? `[${host}]` : host).toLowerCase();
