import { createPrivateKey, generateKeyPairSync, webcrypto, X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { get } from 'node:https';
import { connect as connectPlain, type AddressInfo, type Socket } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { connect } from 'node:tls';
import * as x509 from '@peculiar/x509';
import { WebSocket } from 'ws';
import { authorityIn, certificateFor, fingerprintOf, isOwn, type Certified } from './authority';
import { serverOf } from './listen';
import { openLiveChannel } from './live-channel';

const freshFolder = (): string => mkdtempSync(join(tmpdir(), 'authority-'));
const silent = (): void => undefined;

describe('the local authority', () => {
  it('is made once, and nobody but its owner reads its key', async () => {
    const folder = join(freshFolder(), 'keys');
    const made = await authorityIn(folder, silent);
    expect(statSync(join(folder, 'authority.key')).mode & 0o777).toBe(0o600);
    expect(await authorityIn(folder, silent)).toEqual(made);
    expect(made.cert).toContain('BEGIN CERTIFICATE');
  });

  it('may vouch for private addresses, names of the network and this machine alone (RFC 1918, 3927, 4193, 6762)', () => {
    const own = ['localhost', 'gym.local', '127.0.0.1', '10.1.2.3', '172.31.0.9', '192.168.1.7', '169.254.9.9'];
    expect([...own, '::1', 'fd00::7', 'fe80::1'].filter((host) => !isOwn(host))).toEqual([]);
    const others = ['gym.example', 'local.example', '8.8.8.8', '172.32.0.1', '192.0.2.7', '2001:db8::1', 'notlocal'];
    expect(others.filter(isOwn)).toEqual([]);
  });

  it('is no use for another site, whoever has its key, and makes no other authority (RFC 5280)', async () => {
    const authority = await authorityIn(freshFolder(), silent);
    const read = new X509Certificate(authority.cert);
    expect([read.ca, new Date(read.validFrom).getTime() < Date.now() - 23 * 3_600_000]).toEqual([true, true]);
    // By the words of its extensions, as OpenSSL has them in its own reading (OIDs of RFC 5280: constraints of names, and basic).
    const raw = read.raw.toString('hex');
    expect(raw).toContain('0603551d1e0101ff');
    expect(raw).toContain('0603551d130101ff040830060101ff020100');
    const own = await certificateFor(['localhost', 'gym.example', '192.168.1.7', '8.8.8.8'], authority);
    expect(new X509Certificate(own.cert).subjectAltName).toBe('DNS:localhost, IP Address:192.168.1.7');
  });

  it('is made again, and says so, where its files are damaged, foreign, or could vouch for any site', async () => {
    const said: string[] = [];
    const say = (why: string): void => void said.push(why);
    const folder = freshFolder();
    const [keyFile, certFile] = ['authority.key', 'authority.crt'].map((name) => join(folder, name)) as [
      string,
      string,
    ];
    const first = await authorityIn(folder, say);
    writeFileSync(certFile, 'nothing');
    const second = await authorityIn(folder, say);
    const other = generateKeyPairSync('ec', { namedCurve: 'P-256' }).privateKey;
    writeFileSync(keyFile, other.export({ type: 'pkcs8', format: 'pem' }));
    const third = await authorityIn(folder, say);
    const leaf = await certificateFor(['localhost'], third);
    writeFileSync(keyFile, leaf.key);
    writeFileSync(certFile, leaf.cert);
    const fourth = await authorityIn(folder, say);
    expect(new Set([first, second, third, fourth].map(({ cert }) => cert)).size).toBe(4);
    expect(said.length).toBe(3);
    expect(said[0]).toContain('its files are damaged. Devices that trusted the old one must trust the new one.');
    expect(said[1]).toContain('its key belongs to another certificate');
    expect(said[2]).toContain('not an authority’s own');
    expect(await authorityIn(folder, say)).toEqual(fourth);
    expect(readFileSync(certFile, 'utf8')).toBe(fourth.cert);
  });

  it('has a fingerprint to compare, as OpenSSL writes it', async () => {
    const authority = await authorityIn(freshFolder(), silent);
    expect(fingerprintOf(authority)).toBe(new X509Certificate(authority.cert).fingerprint256);
  });

  it('vouches for the server to whoever trusts it, to nobody else, and for the live channel, too', async () => {
    const authority = await authorityIn(freshFolder(), silent);
    const certificate = await certificateFor(['localhost', '127.0.0.1'], authority);
    const folder = mkdtempSync(join(tmpdir(), 'served-'));
    writeFileSync(join(folder, 'index.html'), '<title>first page</title>');
    const waits = { headersMs: 1500, requestMs: 2000 };
    const server = serverOf(folder, { certificate, authority: authority.cert, waits });
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
    // Who opens a line and never says a word of TLS is let go.
    const mute = Array.from({ length: 20 }, (): Socket => connectPlain(port, '127.0.0.1'));
    await Promise.all(mute.map((socket) => new Promise<void>((done) => socket.on('close', () => done()).resume())));
    expect(mute.every(({ destroyed }) => destroyed)).toBeTrue();
    channel.end();
    server.closeAllConnections();
    server.close();
  });

  it('cannot be used for a site of the internet: a client that trusts it refuses (OpenSSL)', async () => {
    const authority = await authorityIn(freshFolder(), silent);
    const openedBy = async (name: string): Promise<string> => {
      const server = serverOf(freshFolder(), { certificate: await forgedFor(name, authority) });
      await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
      const { port } = server.address() as AddressInfo;
      const said = await new Promise<string>((done) => {
        const line = connect({ host: '127.0.0.1', port, ca: authority.cert, servername: name }, () => {
          line.destroy();
          done('open');
        });
        line.on('error', (error: NodeJS.ErrnoException) => done(`${error.code}: ${error.message}`));
      });
      server.closeAllConnections();
      server.close();
      return said;
    };
    expect(await openedBy('gym.local')).toBe('open');
    expect(await openedBy('gym.example')).toContain('permitted subtree violation');
  });
});

/** What a thief of the authority's key would make: any name, signed by it. */
async function forgedFor(name: string, authority: Certified): Promise<Certified> {
  const pair = generateKeyPairSync('ec', { namedCurve: 'P-256' });
  const algorithm = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' };
  const der = createPrivateKey(authority.key).export({ type: 'pkcs8', format: 'der' });
  const made = await x509.X509CertificateGenerator.create(
    {
      subject: `CN=${name}`,
      issuer: new x509.X509Certificate(authority.cert).subject,
      publicKey: new x509.PublicKey(pair.publicKey.export({ type: 'spki', format: 'der' })),
      signingKey: await webcrypto.subtle.importKey('pkcs8', der, algorithm, false, ['sign']),
      signingAlgorithm: algorithm,
      extensions: [new x509.SubjectAlternativeNameExtension([new x509.GeneralName('dns', name)])],
    },
    webcrypto as unknown as Crypto,
  );
  return { key: pair.privateKey.export({ type: 'pkcs8', format: 'pem' }).toString(), cert: made.toString('pem') };
}
