import { createServer as createPlain } from 'node:http';
import { createServer as createSecure } from 'node:https';
import type { AddressInfo, Server } from 'node:net';
import { homedir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import express from 'express';
import { baseOf, createApp } from './app.ts';
import { inTheNetwork } from './network.ts';
import { TRUST_PATH, trustPages } from './trust-page.ts';

/*
 * Settings: HOST (this machine only when it is not set), PORT, DIST (the folder of the build), ZEVRIN_STATE (where the
 * authority for phones is kept). `--lan` serves the network.
 */
const dist = process.env.DIST ?? fileURLToPath(new URL('../dist', import.meta.url));
const lan = process.argv.includes('--lan');
const host = process.env.HOST ?? (lan ? '0.0.0.0' : '127.0.0.1');
const wanted = process.env.PORT === undefined ? 4173 : Number(process.env.PORT);
const base = baseOf(dist);
/** Every address of this computer. */
const EVERYWHERE: readonly string[] = ['0.0.0.0', '::'];

/** Listens on the port, or on one of the next ones where nobody has asked for this very one. */
const listening = (server: Server, port: number): Promise<number> =>
  new Promise((resolve, reject) => {
    let at = port;
    server.on('error', (error: NodeJS.ErrnoException) => {
      if (error.code === 'EADDRINUSE' && process.env.PORT === undefined && at < port + 20)
        server.listen((at += 1), host);
      else reject(new Error(`Cannot listen on ${host}, port ${at}: ${error.message}`));
    });
    server.once('listening', () => resolve((server.address() as AddressInfo).port));
    server.listen(at, host);
  });

async function serve() {
  if (!Number.isInteger(wanted) || wanted < 0 || wanted > 65_535)
    throw new Error(`PORT: read “${process.env.PORT}”, allowed is a whole number from 0 to 65535.`);
  const app = createApp(dist);
  if (!lan) {
    const port = await listening(createPlain(app), wanted);
    const shown = ['127.0.0.1', ...EVERYWHERE].includes(host) ? 'localhost' : host;
    const at = `http://${shown}:${port}${base}`;
    return console.log(`Zevrin runs.\n  Demo:     ${at}demo\n  Your own: ${at}mine\nCtrl+C ends it.`);
  }
  const { addresses: all, name } = inTheNetwork();
  // One address that was named is the only one that is served.
  const addresses = EVERYWHERE.includes(host) ? all : [host];
  const [first] = addresses;
  if (first === undefined) throw new Error('This computer is in no private network: there is no address for a phone.');
  const { identityFor } = await import('./authority.ts');
  const state = process.env.ZEVRIN_STATE ?? join(homedir(), '.local/state/zevrin');
  const identity = await identityFor(state, name.replace(/\.local$/, ''), [
    '127.0.0.1',
    'localhost',
    name,
    ...addresses,
  ]);
  const secure = createSecure(identity, app);
  const securePort = await listening(secure, wanted === 0 ? 0 : wanted + 1);
  const outer = express();
  outer.disable('x-powered-by');
  const plain = createPlain(outer);
  let plainPort = wanted;
  const address = (scheme: string, port: number) => (at: string) => `${scheme}://${at}:${port}${base}`;
  outer.use(
    trustPages(identity.authority, address('https', securePort), (at) => address('http', plainPort)(at)),
    app,
  );
  plainPort = await listening(plain, wanted);
  const trust = `http://${first}:${plainPort}${TRUST_PATH}`;
  const { default: qr } = await import('qrcode');
  console.log(
    [
      'Zevrin runs, for every device in this network.',
      `  A phone that is to keep it without a network: ${trust}`,
      `  As it is, with the network only:              ${address('http', plainPort)(first)}`,
      `  Once the phone trusts this computer:          ${address('https', securePort)(first)}`,
      ...(addresses.length > 1 ? [`  Other addresses of this computer: ${addresses.slice(1).join(', ')}`] : []),
      await qr.toString(trust, { type: 'terminal', small: true }),
      'Ctrl+C ends it.',
    ].join('\n'),
  );
}

serve().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : String(error));
  process.exit(1);
});
