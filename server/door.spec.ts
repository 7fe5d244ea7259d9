import { mkdtempSync, writeFileSync } from 'node:fs';
import { get, type Server } from 'node:http';
import { connect, type AddressInfo, type Socket } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Hosts } from './hosts';
import { doorOf, errorLine, greeting, serverOf } from './listen';

/** Sends bytes as they are and gives back all that comes until the connection is closed. */
function raw(port: number, bytes: string): Promise<string> {
  return new Promise((done, failed) => {
    let answer = '';
    const socket = connect(port, '127.0.0.1', () => socket.write(bytes));
    socket.setEncoding('latin1');
    socket.on('data', (chunk: string) => (answer += chunk));
    socket.on('close', () => done(answer));
    socket.on('error', failed);
  });
}

const request = (line: string, more = ''): string =>
  `${line} HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n${more}\r\n`;

describe('the door', () => {
  let server: Server;
  let port = 0;
  const folder = mkdtempSync(join(tmpdir(), 'door-'));

  beforeAll(async () => {
    writeFileSync(join(folder, 'index.html'), '<title>first page</title>');
    writeFileSync(join(folder, '.hidden'), 'secret');
    server = serverOf(folder, { waits: { headersMs: 1500, requestMs: 2000 } });
    await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
    ({ port } = server.address() as AddressInfo);
  });

  afterAll(() => {
    server.closeAllConnections();
    server.close();
  });

  it('answers bad addresses without traces or paths', async () => {
    const bad = [
      '/%',
      '/%E0%A4%A',
      '/..%2f..%2fetc/passwd',
      '/%00',
      '//evil.example/%2e%2e',
      '/sheets/%ff',
      '/.hidden',
    ];
    for (const path of bad) {
      const answer = await raw(port, request(`GET ${path}`));
      expect(answer)
        .withContext(path)
        .toMatch(/^HTTP\/1\.1 (4\d\d|200) /);
      expect(answer)
        .withContext(path)
        .not.toMatch(/node_modules|\/tmp\/|at \w+ \(|secret|root:/);
    }
    expect(await raw(port, request('GET /%'))).toContain('This address cannot be read');
  });

  it('answers by its own names alone, so that no page of another name leads here (DNS rebinding)', async () => {
    const ask = (host: string) => raw(port, `GET / HTTP/1.1\r\nHost: ${host}\r\nConnection: close\r\n\r\n`);
    const own = ['localhost', `localhost:${port}`, `127.0.0.1:${port}`, 'LOCALHOST', '[::1]:80'];
    for (const host of own)
      expect(await ask(host))
        .withContext(host)
        .toMatch(/^HTTP\/1\.1 200 /);
    const others = ['evil.example', 'localhost.evil.example', '127.0.0.1.evil.example', '192.0.2.7', 'x y', ''];
    for (const host of others) {
      const answer = await ask(host);
      expect(answer)
        .withContext(host)
        .toMatch(/^HTTP\/1\.1 4\d\d /);
      expect(answer).withContext(host).not.toContain('first page');
    }
    expect(await ask('evil.example')).toContain('ALLOW_HOST=name npm start adds a name');
    expect([own.length, others.length]).toEqual([5, 6]);
    const hosts = new Hosts('192.0.2.7', 'Gym.example, fd00::7');
    const names = ['192.0.2.7:80', 'gym.example:80', '[fd00::7]', 'localhost', 'gym2.example'];
    expect(names.filter((name) => hosts.allows(name))).toEqual(names.slice(0, 4));
  });

  it('takes nothing in: other methods and bodies are turned away unread', async () => {
    expect(await raw(port, request('POST /', 'Content-Length: 1000000000\r\n'))).toMatch(/^HTTP\/1\.1 405 /);
    expect(await raw(port, request('DELETE /sheets'))).toMatch(/^HTTP\/1\.1 405 /);
    expect(await raw(port, request('GET /', 'Content-Length: 5\r\n') + 'hello')).toMatch(/^HTTP\/1\.1 413 /);
    expect(await raw(port, request('GET /', 'Transfer-Encoding: chunked\r\n') + '0\r\n\r\n')).toMatch(
      /^HTTP\/1\.1 413 /,
    );
  });

  it('bounds headers', async () => {
    expect(await raw(port, request('GET /', `X-Long: ${'x'.repeat(20_000)}\r\n`))).toMatch(/^HTTP\/1\.1 431 /);
    expect(await raw(port, request('GET /', `X-Short: ${'x'.repeat(8000)}\r\n`))).toMatch(/^HTTP\/1\.1 200 /);
    expect(await raw(port, 'nonsense\r\n\r\n')).toMatch(/^HTTP\/1\.1 400 /);
  });

  it('is not kept waiting by 250 slow callers, and closes them', async () => {
    const slow = await Promise.all(
      Array.from(
        { length: 250 },
        () =>
          new Promise<Socket>((done, failed) => {
            const socket = connect(port, '127.0.0.1', () => {
              socket.write('GET / HTTP/1.1\r\nHost: localhost\r\nX-Slow: ');
              done(socket);
            });
            socket.on('error', failed);
          }),
      ),
    );
    let closed = 0;
    const all = Promise.all(
      slow.map(
        (socket) =>
          new Promise<void>((done) => {
            socket.resume();
            socket.on('close', () => {
              closed += 1;
              done();
            });
          }),
      ),
    );
    const status = await new Promise<number>((done) => {
      get({ port, host: '127.0.0.1', path: '/', agent: false }, (answer) => {
        answer.resume();
        done(answer.statusCode ?? 0);
      });
    });
    expect([status, closed]).toEqual([200, 0]);
    await all;
    expect(closed).toBe(250);
  });

  it('sends the security headers, and none that plain http cannot keep', async () => {
    const [head = ''] = (await raw(port, request('GET /'))).split('\r\n\r\n');
    const named = (name: string): string => new RegExp(`^${name}: (.*)$`, 'im').exec(head)?.[1] ?? '';
    const policy = named('content-security-policy');
    expect(policy).toContain("default-src 'self'");
    expect(policy).toContain("script-src 'self' 'wasm-unsafe-eval'");
    expect(policy).toContain("frame-ancestors 'none'");
    expect(policy).not.toContain('upgrade-insecure-requests');
    expect(policy).toContain("form-action 'none'");
    expect(policy).not.toContain('http');
    expect(policy).not.toContain('unsafe-inline');
    expect([named('x-content-type-options'), named('referrer-policy')]).toEqual(['nosniff', 'no-referrer']);
    expect(head.toLowerCase()).not.toContain('strict-transport-security');
    expect(head.toLowerCase()).not.toContain('x-powered-by');
  });

  it('listens on this machine alone unless it is told otherwise, and then says so', () => {
    expect(doorOf({})).toEqual({ host: '127.0.0.1', port: 4173, httpsPort: 4174 });
    expect(doorOf({ PORT: '8080', HOST: '0.0.0.0' })).toEqual({ host: '0.0.0.0', port: 8080, httpsPort: 8081 });
    expect(doorOf({ HTTPS_PORT: '8443' })).toEqual({ host: '127.0.0.1', port: 4173, httpsPort: 8443 });
    expect(greeting({ host: '127.0.0.1', port: 4173 }, null)).toEqual(['Keen Tempo is at http://localhost:4173']);
    const https = { httpsPort: 81, fingerprint: '3A:9F' };
    const lines = greeting({ host: '192.168.1.7', port: 80 }, https);
    expect(lines[0]).toBe('Keen Tempo is at http://192.168.1.7:80');
    expect(lines[1]).toContain('https://192.168.1.7:81 for devices that trust this machine');
    expect(lines[3]).toBe('Compare the SHA-256 fingerprint before you trust it: 3A:9F');
    expect(lines.at(-1)).toContain('Everyone in this network');
    // Its authority may not vouch for an address of the internet.
    expect(greeting({ host: '192.0.2.7', port: 80 }, https).join()).not.toContain('https://192.0.2.7');
    expect(greeting({ host: '192.168.1.7', port: 80 }, null).join()).not.toContain('https');
  });

  it('says what is wrong with a port or a host in one line', () => {
    const other = doorOf({ HTTPS_PORT: 'x' });
    expect('wrong' in other ? other.wrong : '').toMatch(/^HTTPS_PORT is "x": set it/);
    const wrong = ['x', '-1', '65536', '4173.5', '1e3', ' '];
    for (const PORT of wrong) {
      const door = doorOf({ PORT });
      expect('wrong' in door ? door.wrong : '')
        .withContext(PORT)
        .toMatch(/^PORT is ".*": set it to a whole number[^\n]*$/);
    }
    const error = (code: string) => errorLine(Object.assign(new Error('x'), { code }), { host: 'h', port: 80 });
    const secure = errorLine(
      Object.assign(new Error('x'), { code: 'EADDRINUSE' }),
      { host: 'h', port: 81 },
      'HTTPS_PORT',
    );
    expect(secure).toContain('set HTTPS_PORT to another one');
    expect(
      [error('EADDRINUSE'), error('EACCES'), error('ENOTFOUND'), error('EOTHER')].map((line) => line.slice(0, 24)),
    ).toEqual([
      'Port 80 is in use: set P',
      'Port 80 cannot be used h',
      'HOST is "h", which is no',
      'The server cannot listen',
    ]);
  });
});
