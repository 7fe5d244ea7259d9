import { mkdtempSync, statSync, writeFileSync } from 'node:fs';
import { get } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { WebSocket } from 'ws';
import { authorityIn, certificateFor } from './authority';
import { serverOf } from './listen';
import { openLiveChannel } from './live-channel';

describe('the local authority', () => {
  it('is made once, and nobody but its owner reads its key', async () => {
    const folder = join(mkdtempSync(join(tmpdir(), 'authority-')), 'keys');
    const made = await authorityIn(folder);
    expect(statSync(join(folder, 'authority.key')).mode & 0o777).toBe(0o600);
    expect(await authorityIn(folder)).toEqual(made);
    expect(made.cert).toContain('BEGIN CERTIFICATE');
  });

  it('vouches for the server to whoever trusts it, to nobody else, and for the live channel, too', async () => {
    const authority = await authorityIn(mkdtempSync(join(tmpdir(), 'authority-')));
    const own = await certificateFor(['localhost', '127.0.0.1'], authority);
    const folder = mkdtempSync(join(tmpdir(), 'served-'));
    writeFileSync(join(folder, 'index.html'), '<title>first page</title>');
    const server = serverOf(folder, undefined, { own, authority: authority.cert });
    await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
    const channel = openLiveChannel([server]);
    const { port } = server.address() as AddressInfo;
    const ask = (path: string, ca?: string): Promise<string> =>
      new Promise((done) => {
        get({ host: '127.0.0.1', port, path, agent: false, ...(ca ? { ca } : {}) }, (answer) => {
          let body = '';
          answer.on('data', (chunk: Buffer) => (body += chunk.toString()));
          answer.on('end', () => done(body));
        }).on('error', (error: NodeJS.ErrnoException) => done(error.code ?? error.message));
      });
    expect(await ask('/', authority.cert)).toContain('first page');
    expect(await ask('/authority.crt', authority.cert)).toBe(authority.cert);
    expect(await ask('/')).toMatch(/CERT|SIGNATURE|ISSUER/);
    const line = new WebSocket(`wss://127.0.0.1:${port}/live`, {
      ca: authority.cert,
      origin: `https://127.0.0.1:${port}`,
    });
    await new Promise<void>((done) => line.on('open', () => done()));
    line.terminate();
    channel.end();
    server.closeAllConnections();
    server.close();
  });
});
