import type { RequestHandler } from 'express';
import { hostsOf, inAddress } from './addresses';

/** The name in a `Host` header, without its port; null where it cannot be read. */
const nameIn = (header: string): string | null => {
  const url = `http://${header}`;
  return URL.canParse(url) ? new URL(url).hostname : null;
};
const local = ['localhost', '127.0.0.1', '[::1]'];

/**
 * The names under which this server may be asked for. A page of another name that leads here (DNS rebinding) would otherwise be
 * taken for a page of this server.
 * @example new Hosts('0.0.0.0', 'gym.example').allows('gym.example:4173') // true
 */
export class Hosts {
  /** Names that were given in `ALLOW_HOST`, separated by commas. */
  readonly given: readonly string[];
  private known: ReadonlySet<string>;

  constructor(
    private readonly listensAt = '127.0.0.1',
    allowed = '',
  ) {
    this.given = allowed
      .split(',')
      .map((name) => inAddress(name.trim()))
      .filter((name) => name !== '');
    this.known = this.names();
  }

  allows(header: string | undefined): boolean {
    const name = header === undefined ? null : nameIn(header);
    if (name === null) return false;
    if (this.known.has(name)) return true;
    // A machine that joins another network has another address.
    this.known = this.names();
    return this.known.has(name);
  }

  private names(): ReadonlySet<string> {
    return new Set([...local, ...hostsOf(this.listensAt).map(inAddress), ...this.given]);
  }
}

/** Turns away whoever asks for this server by a name that it does not have. */
export const onlyFor =
  (hosts: Hosts): RequestHandler =>
  ({ headers }, response, next) => {
    if (hosts.allows(headers.host)) next();
    else
      response
        .status(421)
        .set('Connection', 'close')
        .type('text')
        .send('This server has other addresses: it prints them when it starts. ALLOW_HOST=name npm start adds a name.');
  };
