import { mkdtempSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import { connect, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { WebSocket } from 'ws';
import { serverOf } from './listen';
import { openLiveChannel, type LiveChannel } from './live-channel';

describe('the live channel', () => {
  let server: Server;
  let channel: LiveChannel;
  let port = 0;

  beforeAll(async () => {
    const folder = mkdtempSync(join(tmpdir(), 'live-'));
    writeFileSync(join(folder, 'index.html'), '<title>first page</title>');
    server = serverOf(folder);
    await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
    ({ port } = server.address() as AddressInfo);
    channel = openLiveChannel([server], { waits: { helloMs: 150, beatMs: 100 } });
  });

  afterAll(() => {
    channel.end();
    server.closeAllConnections();
    server.close();
  });

  const line = (origin: string | undefined, path = '/live'): WebSocket =>
    new WebSocket(`ws://127.0.0.1:${port}${path}`, origin === undefined ? {} : { origin });
  const own = (): string => `http://127.0.0.1:${port}`;
  const ended = (socket: WebSocket): Promise<string> =>
    new Promise((done) => {
      socket.on('error', (error) => done(error.message));
      socket.on('close', (code) => done(String(code)));
    });
  const said = (socket: WebSocket): Promise<string> =>
    new Promise((done) => socket.on('message', (data: Buffer) => done(data.toString('utf8'))));
  const isOpen = (socket: WebSocket): Promise<void> => new Promise((done) => socket.on('open', () => done()));

  it('is open to pages of this server alone', async () => {
    const strange = ['http://evil.example', 'null', undefined, `https://127.0.0.1:${port + 1}`, 'x'];
    for (const origin of strange)
      expect(await ended(line(origin)))
        .withContext(String(origin))
        .toContain('403');
    expect(await ended(line(own(), '/other'))).toContain('404');
    // A name that was led here: page and address have the same one, and it is not this server's.
    const led = new WebSocket(`ws://127.0.0.1:${port}/live`, {
      origin: `http://evil.example:${port}`,
      headers: { host: `evil.example:${port}` },
    });
    expect(await ended(led)).toContain('403');
    const socket = line(own());
    await isOpen(socket);
    socket.send(JSON.stringify({ kind: 'open', secret: 's'.repeat(24) }));
    expect(JSON.parse(await said(socket))).toEqual(jasmine.objectContaining({ kind: 'opened' }));
    socket.close();
  });

  it('lets go who says nothing, who sends bytes or too much, and who is gone without a word', async () => {
    const silent = line(own());
    expect(await ended(silent)).toBe('1006');
    const bytes = line(own());
    await isOpen(bytes);
    bytes.send(Buffer.from([1, 2, 3]));
    expect(await ended(bytes)).toMatch(/^100/);
    const huge = line(own());
    await isOpen(huge);
    huge.send('x'.repeat(2_000_001));
    expect(await ended(huge)).toMatch(/^(1009|1006)$/);
    // A line that is half open: it has said what it wants, and never answers again.
    const half = connect(port, '127.0.0.1', () =>
      half.write(
        `GET /live HTTP/1.1\r\nHost: 127.0.0.1:${port}\r\nOrigin: ${own()}\r\nConnection: Upgrade\r\nUpgrade: websocket\r\n` +
          'Sec-WebSocket-Version: 13\r\nSec-WebSocket-Key: dGhlIHNhbXBsZSBub25jZQ==\r\n\r\n',
      ),
    );
    half.resume();
    await new Promise<void>((done) => half.on('close', () => done()));
    expect(channel.rooms.count().guests).toBe(0);
  });
});
