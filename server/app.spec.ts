import { mkdtempSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { createApp } from './app';

describe('the server', () => {
  let server: Server;
  let base: string;

  beforeAll(async () => {
    const folder = mkdtempSync(join(tmpdir(), 'served-'));
    writeFileSync(
      join(folder, 'index.html'),
      '<title>first page</title><kt-root></kt-root><script data-list="">0</script>',
    );
    writeFileSync(join(folder, 'main-ABCDEF12.js'), 'export {};');
    writeFileSync(join(folder, 'chunk-ABCDEF34.js'), 'as it was written');
    writeFileSync(join(folder, 'chunk-ABCDEF34.js.gz'), gzipSync('as the build compressed it'));
    server = await new Promise<Server>((done) => {
      const listening = createApp(folder).listen(0, '127.0.0.1', () => done(listening));
    });
    base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  });

  afterAll(() => server.close());

  it('answers every address inside the application with the first page', async () => {
    for (const path of ['/', '/sheets', '/run/some-id']) {
      const answer = await fetch(base + path);
      expect(answer.status).toBe(200);
      expect(await answer.text()).toContain('first page');
    }
  });

  it('does not find missing files, nor anything above its folder', async () => {
    expect((await fetch(`${base}/missing.js`)).status).toBe(404);
    expect((await fetch(`${base}/%2e%2e/%2e%2e/etc/passwd.txt`)).status).toBe(404);
  });

  it('sends what the build has compressed as it lies there, to whoever takes it so', async () => {
    const ask = (encoding: string): Promise<Response> =>
      fetch(`${base}/chunk-ABCDEF34.js`, { headers: { 'accept-encoding': encoding } });
    const [compressed, plain] = [await ask('gzip'), await ask('identity')];
    expect(await compressed.text()).toBe('as the build compressed it');
    expect(await plain.text()).toBe('as it was written');
    for (const answer of [compressed, plain]) {
      expect(answer.headers.get('cache-control')).toContain('immutable');
      expect(answer.headers.get('content-type')).toContain('text/javascript');
      expect(answer.headers.get('vary')).toContain('Accept-Encoding');
    }
  });

  it('keeps hashed files for long, the first page not at all, and lets nothing in from elsewhere', async () => {
    const script = await fetch(`${base}/main-ABCDEF12.js`);
    expect(script.headers.get('cache-control')).toContain('immutable');
    const page = await fetch(base);
    expect(page.headers.get('cache-control')).toBe('no-cache');
    expect(page.headers.get('content-security-policy')).toContain("script-src 'self'");
  });

  it('gives each first page a nonce of its own, under which its styles and its own script may be used', async () => {
    const pages = [await fetch(base), await fetch(`${base}/index.html`), await fetch(`${base}/sheets`)];
    const nonces = await Promise.all(
      pages.map(async (page) => {
        const text = await page.text();
        const inPage = /<kt-root ngCspNonce="([^"]+)">/.exec(text)?.[1] ?? '';
        const policy = page.headers.get('content-security-policy');
        expect(policy).toContain(`style-src 'self' 'nonce-${inPage}'`);
        expect(policy).toContain(`script-src 'self' 'wasm-unsafe-eval' 'nonce-${inPage}'`);
        expect(text).toContain(`<script nonce="${inPage}" data-list="">0</script>`);
        return inPage;
      }),
    );
    expect(new Set(nonces).size).toBe(3);
    expect(Buffer.from(nonces[0] ?? '', 'base64').length).toBe(16);
  });

  it('leads to its https address, to a path of its own only, and says what to do where it has none', async () => {
    const none = await fetch(`${base}/secure?to=/settings`);
    expect([none.status, await none.text()]).toEqual([404, jasmine.stringContaining('HOST=0.0.0.0 npm start')]);
    const app = createApp(mkdtempSync(join(tmpdir(), 'secure-')), { securePort: () => 4174 });
    const server = await new Promise<Server>((done) => {
      const listening = app.listen(0, '127.0.0.1', () => done(listening));
    });
    const at = `http://127.0.0.1:${(server.address() as AddressInfo).port}/secure`;
    const leads = async (to: string): Promise<string | null> =>
      (await fetch(`${at}?to=${encodeURIComponent(to)}`, { redirect: 'manual' })).headers.get('location');
    expect(await leads('/settings')).toBe('https://127.0.0.1:4174/settings');
    for (const elsewhere of ['//evil.example', '/\\evil.example', 'https://evil.example', '/a?b', '/@evil'])
      expect(await leads(elsewhere))
        .withContext(elsewhere)
        .toBe('https://127.0.0.1:4174/');
    server.close();
  });
});
