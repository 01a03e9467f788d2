import 'reflect-metadata';
import { createPrivateKey, X509Certificate as Read } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { isIPv4 } from 'node:net';
import { join } from 'node:path';
import {
  BasicConstraintsExtension,
  cryptoProvider,
  ExtendedKeyUsage,
  ExtendedKeyUsageExtension,
  Extension,
  KeyUsageFlags,
  KeyUsagesExtension,
  PemConverter,
  SubjectAlternativeNameExtension,
  SubjectKeyIdentifierExtension,
  X509Certificate,
  X509CertificateGenerator,
} from '@peculiar/x509';

cryptoProvider.set(globalThis.crypto);

const ALGORITHM = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' };
const DAY_MS = 24 * 3600 * 1000;
const AUTHORITY_DAYS = 3650;
/** Phones take no certificate that is valid for longer. */
const SERVER_DAYS = 390;
/** Made anew when it ends sooner than this. */
const LEAST_DAYS = 30;

/** What a page is served with, as PEM. */
export interface Identity {
  readonly key: string;
  readonly cert: string;
  /** What a phone is asked to trust. */
  readonly authority: string;
}

/** One part of a DER structure, up to 127 bytes (ITU-T X.690, 8.1). */
const der = (tag: number, ...parts: readonly (readonly number[])[]): number[] => {
  const content = parts.flat();
  return [tag, content.length, ...content];
};
const text = (value: string) => [...Buffer.from(value, 'latin1')];

/**
 * The authority vouches for addresses of private networks only (RFC 1918, link-local, this machine, `.local`): whoever
 * gets hold of its key cannot pretend to be any other place to a phone that trusts it (RFC 5280, 4.2.1.10).
 */
const PRIVATE_ONLY = new Extension(
  '2.5.29.30',
  true,
  new Uint8Array(
    der(
      0x30,
      der(
        0xa0,
        ...[
          [10, 0, 0, 0, 255, 0, 0, 0],
          [172, 16, 0, 0, 255, 240, 0, 0],
          [192, 168, 0, 0, 255, 255, 0, 0],
          [169, 254, 0, 0, 255, 255, 0, 0],
          [127, 0, 0, 0, 255, 0, 0, 0],
        ].map((range) => der(0x30, der(0x87, range))),
        ...['localhost', 'local'].map((name) => der(0x30, der(0x82, text(name)))),
      ),
    ),
  ),
);

const serial = () =>
  Buffer.from(crypto.getRandomValues(new Uint8Array(15)))
    .toString('hex')
    .replace(/^../, '01');
const keysOf = () => crypto.subtle.generateKey(ALGORITHM, true, ['sign', 'verify']);
const pemOf = async (key: CryptoKey) => PemConverter.encode(await crypto.subtle.exportKey('pkcs8', key), 'PRIVATE KEY');
const keyIn = (pem: string) =>
  crypto.subtle.importKey('pkcs8', PemConverter.decodeFirst(pem), ALGORITHM, true, ['sign']);

async function makeAuthority(host: string, now: Date): Promise<{ readonly key: string; readonly cert: string }> {
  const keys = await keysOf();
  const cert = await X509CertificateGenerator.createSelfSigned({
    serialNumber: serial(),
    name: [{ CN: [`Zevrin on ${host.replace(/[^\w .-]/g, '')}`] }],
    notBefore: new Date(now.getTime() - DAY_MS),
    notAfter: new Date(now.getTime() + AUTHORITY_DAYS * DAY_MS),
    keys,
    signingAlgorithm: ALGORITHM,
    extensions: [
      new BasicConstraintsExtension(true, 0, true),
      new KeyUsagesExtension(KeyUsageFlags.keyCertSign | KeyUsageFlags.cRLSign, true),
      await SubjectKeyIdentifierExtension.create(keys.publicKey),
      PRIVATE_ONLY,
    ],
  });
  return { key: await pemOf(keys.privateKey), cert: cert.toString('pem') };
}

/** A certificate for these addresses and names, made by the authority. */
async function makeServer(
  authority: { readonly key: string; readonly cert: string },
  addresses: readonly string[],
  now: Date,
): Promise<{ readonly key: string; readonly cert: string }> {
  const keys = await keysOf();
  const cert = await X509CertificateGenerator.create({
    serialNumber: serial(),
    subject: [{ CN: ['Zevrin'] }],
    issuer: new X509Certificate(authority.cert).subject,
    notBefore: new Date(now.getTime() - DAY_MS),
    notAfter: new Date(now.getTime() + SERVER_DAYS * DAY_MS),
    publicKey: keys.publicKey,
    signingKey: await keyIn(authority.key),
    signingAlgorithm: ALGORITHM,
    extensions: [
      new BasicConstraintsExtension(false, undefined, true),
      new KeyUsagesExtension(KeyUsageFlags.digitalSignature, true),
      new ExtendedKeyUsageExtension([ExtendedKeyUsage.serverAuth]),
      new SubjectAlternativeNameExtension(
        addresses.map((value) => ({ type: isIPv4(value) ? ('ip' as const) : ('dns' as const), value })),
      ),
    ],
  });
  return { key: await pemOf(keys.privateKey), cert: cert.toString('pem') };
}

/**
 * The identity of this computer in its network: the authority is made once and kept in `folder`, so that a phone has to
 * be told once; the certificate follows the addresses.
 *
 * @param addresses IPv4 addresses of private networks, and names that end in `.local`.
 */
export async function identityFor(
  folder: string,
  host: string,
  addresses: readonly string[],
  now = new Date(),
): Promise<Identity> {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const file = (name: string) => join(folder, name);
  const kept = (name: string) => {
    const [key, cert] = [file(`${name}.key`), file(`${name}.crt`)];
    if (!existsSync(key) || !existsSync(cert)) return null;
    const found = { key: readFileSync(key, 'utf8'), cert: readFileSync(cert, 'utf8') };
    // What was cut off, or does not belong together, is made anew.
    try {
      return new Read(found.cert).checkPrivateKey(createPrivateKey(found.key)) ? found : null;
    } catch {
      return null;
    }
  };
  const keep = (name: string, made: { readonly key: string; readonly cert: string }) => {
    writeFileSync(file(`${name}.key`), made.key, { mode: 0o600 });
    chmodSync(file(`${name}.key`), 0o600);
    writeFileSync(file(`${name}.crt`), made.cert);
    return made;
  };
  const lasts = (cert: string) => Date.parse(new Read(cert).validTo) - now.getTime() > LEAST_DAYS * DAY_MS;
  const old = kept('authority');
  const authority = old && lasts(old.cert) ? old : keep('authority', await makeAuthority(host, now));
  const before = kept('server');
  const serves = (cert: string) => {
    const read = new Read(cert);
    return (
      lasts(cert) &&
      read.checkIssued(new Read(authority.cert)) &&
      read.verify(new Read(authority.cert).publicKey) &&
      addresses.every((a) => (isIPv4(a) ? read.checkIP(a) : read.checkHost(a)) !== undefined)
    );
  };
  const server = before && serves(before.cert) ? before : keep('server', await makeServer(authority, addresses, now));
  return { ...server, authority: authority.cert };
}
