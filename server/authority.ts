import {
  createHash,
  createPrivateKey,
  generateKeyPairSync,
  randomBytes,
  webcrypto,
  X509Certificate,
} from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { BlockList, isIP, isIPv6 } from 'node:net';
import { join } from 'node:path';
import { AsnConvert } from '@peculiar/asn1-schema';
import {
  GeneralName as AsnName,
  GeneralSubtree,
  GeneralSubtrees,
  id_ce_nameConstraints,
  NameConstraints,
} from '@peculiar/asn1-x509';
import * as x509 from '@peculiar/x509';

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
const algorithm = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' } as const;

/** Names that the authority may vouch for: `.local` is the network's own (RFC 6762). */
const ownNames = ['localhost', 'local'] as const;
/** Addresses that it may vouch for: of this machine, private and link-local (RFC 1122, 1918, 3927, 4193, 4291). */
const ownNetworks = [
  ['127.0.0.0', 8],
  ['10.0.0.0', 8],
  ['172.16.0.0', 12],
  ['192.168.0.0', 16],
  ['169.254.0.0', 16],
  ['::1', 128],
  ['fc00::', 7],
  ['fe80::', 10],
] as const;
const ownAddresses = new BlockList();
for (const [network, bits] of ownNetworks) ownAddresses.addSubnet(network, bits, isIPv6(network) ? 'ipv6' : 'ipv4');

/**
 * Whether the authority may vouch for a name or an address.
 * @example isOwn('192.168.1.7') // true
 */
export function isOwn(host: string): boolean {
  if (isIP(host)) return ownAddresses.check(host, isIPv6(host) ? 'ipv6' : 'ipv4');
  return ownNames.some((name) => host === name || host.endsWith(`.${name}`));
}

/** To that network alone, and never another authority (RFC 5280, 4.2.1.9 and 4.2.1.10). */
function authorityLimits(): x509.Extension[] {
  const bases = [
    ...ownNames.map((dNSName) => new AsnName({ dNSName })),
    ...ownNetworks.map(([network, bits]) => new AsnName({ iPAddress: `${network}/${bits}` })),
  ];
  const permittedSubtrees = new GeneralSubtrees(bases.map((base) => new GeneralSubtree({ base })));
  return [
    new x509.BasicConstraintsExtension(true, 0, true),
    new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign | x509.KeyUsageFlags.cRLSign, true),
    new x509.Extension(id_ce_nameConstraints, true, AsnConvert.serialize(new NameConstraints({ permittedSubtrees }))),
  ];
}

interface Wanted {
  readonly name: string;
  readonly days: number;
  readonly extensions: readonly x509.Extension[];
  /** Signed by its own key where there is none. */
  readonly by: Certified | null;
}

const signingKey = (pem: string): Promise<webcrypto.CryptoKey> =>
  webcrypto.subtle.importKey(
    'pkcs8',
    createPrivateKey(pem).export({ type: 'pkcs8', format: 'der' }),
    algorithm,
    false,
    ['sign'],
  );

/** Valid from a day before: clocks of two devices differ. */
async function certify({ name, days, extensions, by }: Wanted): Promise<Certified> {
  const pair = generateKeyPairSync('ec', { namedCurve: algorithm.namedCurve });
  const key = pair.privateKey.export({ type: 'pkcs8', format: 'pem' }).toString();
  const publicKey = pair.publicKey.export({ type: 'spki', format: 'der' });
  const made = await x509.X509CertificateGenerator.create(
    {
      serialNumber: `01${randomBytes(15).toString('hex')}`,
      subject: `CN=${name}`,
      issuer: by ? new x509.X509Certificate(by.cert).subject : `CN=${name}`,
      notBefore: new Date(Date.now() - dayMs),
      notAfter: new Date(Date.now() + days * dayMs),
      publicKey: new x509.PublicKey(publicKey),
      signingKey: await signingKey(by?.key ?? key),
      signingAlgorithm: algorithm,
      extensions: [...extensions],
    },
    webcrypto as unknown as Crypto,
  );
  return { key, cert: made.toString('pem') };
}

/** What is wrong with an authority that was read from its files; null where nothing is. */
function faultOf({ key, cert }: Certified): string | null {
  try {
    const read = new X509Certificate(cert);
    if (!read.ca || !read.verify(read.publicKey)) return 'its certificate is not an authority’s own';
    if (!read.checkPrivateKey(createPrivateKey(key))) return 'its key belongs to another certificate';
    if (new Date(read.validTo).getTime() < Date.now()) return 'it has expired';
    const limits = new x509.X509Certificate(cert).getExtension(id_ce_nameConstraints);
    return limits ? null : 'it could vouch for any site';
  } catch {
    return 'its files are damaged';
  }
}

function readFrom(keyFile: string, certFile: string): Certified | null {
  if (!existsSync(keyFile) || !existsSync(certFile)) return null;
  return { key: readFileSync(keyFile, 'utf8'), cert: readFileSync(certFile, 'utf8') };
}

/**
 * The local authority of this installation: made at the first start, its key in a file that its owner alone reads. Devices that
 * trust it open the server by https, and can keep the product for times without a network. One that cannot be used is made
 * again, which `say` is told. Throws where the folder cannot be written.
 * @example await authorityIn('/…/.authority', console.error)
 */
export async function authorityIn(folder: string, say: (why: string) => void): Promise<Certified> {
  const [keyFile, certFile] = [join(folder, names.key), join(folder, names.cert)];
  const known = readFrom(keyFile, certFile);
  const fault = known ? faultOf(known) : null;
  if (known && fault === null) return known;
  if (fault !== null)
    say(`The authority in ${folder} is made again: ${fault}. Devices that trusted the old one must trust the new one.`);
  const wanted = { name: 'Keen Tempo on this machine', days: authorityDays, extensions: authorityLimits(), by: null };
  const made = await certify(wanted);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  writeFileSync(keyFile, made.key, { mode: 0o600 });
  writeFileSync(certFile, made.cert, { mode: 0o644 });
  return made;
}

/**
 * A certificate for names and addresses of this machine, signed by its authority; those that it may not vouch for are left out.
 * @example await certificateFor(['192.168.1.7'], authority)
 */
export function certificateFor(hosts: readonly string[], authority: Certified): Promise<Certified> {
  const alternatives = hosts.filter(isOwn).map((host) => new x509.GeneralName(isIP(host) ? 'ip' : 'dns', host));
  return certify({
    name: 'Keen Tempo',
    days: serverDays,
    by: authority,
    extensions: [
      new x509.BasicConstraintsExtension(false),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      new x509.SubjectAlternativeNameExtension(alternatives),
    ],
  });
}

/** SHA-256 of a certificate, as devices show it, for comparing. `fingerprintOf(authority)` → `"3A:9F:…"` */
export const fingerprintOf = ({ cert }: Certified): string =>
  createHash('sha256')
    .update(new X509Certificate(cert).raw)
    .digest('hex')
    .toUpperCase()
    .replace(/..(?=.)/g, '$&:');
