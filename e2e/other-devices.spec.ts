import { spawn, type ChildProcess } from 'node:child_process';
import { createHash, X509Certificate } from 'node:crypto';
import { cpSync, mkdirSync, rmSync } from 'node:fs';
import { networkInterfaces } from 'node:os';
import { join } from 'node:path';
import { connect } from 'node:tls';
import { chromium, expect, test } from '@playwright/test';

// A server of its own, for the whole network.
const [port, securePort] = [4394, 4395];
const address = Object.values(networkInterfaces())
  .flatMap((each) => each ?? [])
  .find(({ internal, family }) => !internal && family === 'IPv4')?.address;

async function serve(): Promise<ChildProcess> {
  const folder = 'test-results/network/dist';
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  cpSync('dist', folder, { recursive: true });
  const server = spawn(process.execPath, [join(folder, 'server/main.mjs')], {
    env: { ...process.env, HOST: '0.0.0.0', PORT: String(port), HTTPS_PORT: String(securePort) },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise((ready) => server.stdout.once('data', ready));
  return server;
}

/** What a browser is told of the key that it may trust, as a device is that has taken the authority in. */
const keyOf = (host: string): Promise<string> =>
  new Promise((done, failed) => {
    const line = connect({ host, port: securePort, rejectUnauthorized: false }, () => {
      const { raw } = line.getPeerCertificate();
      line.destroy();
      const key = new X509Certificate(raw).publicKey.export({ type: 'spki', format: 'der' });
      done(createHash('sha256').update(key).digest('base64'));
    }).once('error', failed);
  });

test('other devices: by https, once trusted, everything is put on them; by http they are told what they lack', async ({
  launchOptions,
}) => {
  test.skip(address === undefined, 'this machine has no address in a network');
  const host = address ?? '';
  const server = await serve();
  try {
    const browser = await chromium.launch({
      ...launchOptions,
      args: [...(launchOptions.args ?? []), `--ignore-certificate-errors-spki-list=${await keyOf(host)}`],
    });
    const page = await browser.newPage({ serviceWorkers: 'allow' });
    await page.goto(`http://${host}:${port}/settings`);
    await expect(page.getByText('This address is not secure (http)')).toBeVisible();
    const offered = await page.evaluate(async () => (await fetch('/authority.crt')).text());
    expect(new X509Certificate(offered).ca).toBe(true);
    await page.goto(`https://${host}:${securePort}/settings`);
    expect(await page.evaluate(() => isSecureContext && 'wakeLock' in navigator)).toBe(true);
    await expect(page.getByText(/Everything is on this device, including both voices \(\d/)).toBeVisible({
      timeout: 30_000,
    });
    await browser.close();
  } finally {
    server.kill();
  }
});
