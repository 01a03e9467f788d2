import { X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { createServer, request } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { identityFor } from './authority.ts';

const HOST = 'walls-desk';
const folder = () => mkdtempSync(join(tmpdir(), 'zevrin-authority-'));
const day = (n: number) => new Date(Date.UTC(2026, 11, 1) + n * 24 * 3600 * 1000);

/** Asks a server with this identity, trusting its authority and nothing else; what the TLS of Node (OpenSSL) says. */
async function ask(identity: Awaited<ReturnType<typeof identityFor>>, servername = '127.0.0.1'): Promise<string> {
  const server = createServer(identity, (_, response) => response.end('here')).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const { port } = server.address() as AddressInfo;
  try {
    return await new Promise<string>((resolve) => {
      const asked = request(
        { host: '127.0.0.1', port, ca: identity.authority, servername: servername === '127.0.0.1' ? '' : servername },
        (response) => response.setEncoding('utf8').on('data', resolve),
      );
      asked.on('error', (error: NodeJS.ErrnoException) => resolve(`${error.code}: ${error.message}`)).end();
    });
  } finally {
    server.close();
  }
}

describe('the authority of this computer', () => {
  it('makes a certificate that is taken by whoever trusts it, and by nobody else', async () => {
    const identity = await identityFor(folder(), HOST, ['127.0.0.1', '192.168.1.7', `${HOST}.local`]);
    expect(await ask(identity)).toBe('here');
    const other = await identityFor(folder(), HOST, ['127.0.0.1']);
    expect(await ask({ ...identity, authority: other.authority })).toMatch(/SELF_SIGNED|UNABLE_TO|CERT/);
    const read = new X509Certificate(identity.cert);
    expect(read.checkIP('192.168.1.7')).toBe('192.168.1.7');
    expect(read.checkHost(`${HOST}.local`)).toBeDefined();
    expect(read.checkIP('192.168.1.8')).toBeUndefined();
    // Phones refuse what is valid for longer than 398 days.
    expect((Date.parse(read.validTo) - Date.parse(read.validFrom)) / (24 * 3600 * 1000)).toBeLessThanOrEqual(398);
  });

  it.each(['8.8.8.8', '11.0.0.1', '172.32.0.1', 'example.org'])(
    'is believed for private networks only: what it signs for %s is refused (OpenSSL; RFC 5280, 4.2.1.10)',
    async (address) => {
      const at = folder();
      const within = await identityFor(at, HOST, ['127.0.0.1', '10.1.2.3', '172.31.0.9', `${HOST}.local`, 'localhost']);
      expect(await ask(within)).toBe('here');
      expect(await ask(await identityFor(at, HOST, ['127.0.0.1', address]))).toMatch(/permitted.?subtree|PERMITTED/i);
    },
  );

  it('is kept, so that a phone is told once; the certificate follows the addresses and is made anew in time', async () => {
    const at = folder();
    const first = await identityFor(at, HOST, ['10.0.0.1'], day(0));
    expect(await identityFor(at, HOST, ['10.0.0.1'], day(1))).toEqual(first);
    const moved = await identityFor(at, HOST, ['10.0.0.1', '10.0.0.2'], day(2));
    expect(moved.authority).toBe(first.authority);
    expect(moved.cert).not.toBe(first.cert);
    const later = await identityFor(at, HOST, ['10.0.0.2'], day(370));
    expect(later.authority).toBe(first.authority);
    expect(later.cert).not.toBe(moved.cert);
    const years = await identityFor(at, HOST, ['10.0.0.2'], day(3640));
    expect(years.authority).not.toBe(first.authority);
  });

  it('keeps its keys from everybody else on this computer, and mends what is only half there', async () => {
    const at = folder();
    await identityFor(at, HOST, ['10.0.0.1']);
    for (const name of ['authority.key', 'server.key']) expect(statSync(join(at, name)).mode & 0o077).toBe(0);
    expect(readFileSync(join(at, 'authority.crt'), 'utf8')).not.toContain('PRIVATE');
    // A certificate of another authority.
    const other = folder();
    await identityFor(other, HOST, ['127.0.0.1']);
    for (const name of ['server.key', 'server.crt']) writeFileSync(join(at, name), readFileSync(join(other, name)));
    expect(await ask(await identityFor(at, HOST, ['127.0.0.1']))).toBe('here');
    for (const name of ['server.crt', 'authority.key']) {
      writeFileSync(join(at, name), 'cut off');
      expect(await ask(await identityFor(at, HOST, ['127.0.0.1']))).toBe('here');
    }
  });
});
