import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { join } from 'node:path';
import { generate } from 'selfsigned';

/** A certificate and its key, as PEM. */
export interface Certified {
  readonly key: string;
  readonly cert: string;
}

const names = { key: 'authority.key', cert: 'authority.crt' } as const;
const dayMs = 24 * 3_600_000;
const authorityDays = 3650;
/** The longest that every browser takes (CA/Browser Forum: 398 days; from memory). */
const serverDays = 397;

const until = (days: number): Date => new Date(Date.now() + days * dayMs);
const common = { keyType: 'ec', curve: 'P-256', algorithm: 'sha256' } as const;

/**
 * The local authority of this installation: made at the first start, its key in a file that its owner alone reads. Devices that
 * trust it open the server by https, and can keep the product for times without a network.
 * @example await authorityIn('/…/.authority')
 */
export async function authorityIn(folder: string): Promise<Certified> {
  const [keyFile, certFile] = [join(folder, names.key), join(folder, names.cert)];
  if (existsSync(keyFile) && existsSync(certFile))
    return { key: readFileSync(keyFile, 'utf8'), cert: readFileSync(certFile, 'utf8') };
  const made = await generate([{ name: 'commonName', value: 'Keen Tempo on this machine' }], {
    ...common,
    notAfterDate: until(authorityDays),
    extensions: [
      { name: 'basicConstraints', cA: true, critical: true },
      { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
    ],
  });
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  writeFileSync(keyFile, made.private, { mode: 0o600 });
  writeFileSync(certFile, made.cert, { mode: 0o644 });
  return { key: made.private, cert: made.cert };
}

/** A certificate for names and addresses of this machine, signed by its authority. `await certificateFor(['192.0.2.7'], authority)` */
export async function certificateFor(hosts: readonly string[], authority: Certified): Promise<Certified> {
  const made = await generate([{ name: 'commonName', value: 'Keen Tempo' }], {
    ...common,
    notAfterDate: until(serverDays),
    ca: { key: authority.key, cert: authority.cert },
    extensions: [
      { name: 'basicConstraints', cA: false },
      { name: 'keyUsage', digitalSignature: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: hosts.map((host) =>
          isIP(host) ? { type: 7 as const, ip: host } : { type: 2 as const, value: host },
        ),
      },
    ],
  });
  return { key: made.private, cert: made.cert };
}
