import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { request } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { inTheNetwork } from './network.ts';

const dist = mkdtempSync(join(tmpdir(), 'zevrin-lan-'));
mkdirSync(join(dist, 'assets'));
writeFileSync(
  join(dist, 'index.html'),
  '<head><meta content="__CSP_NONCE__"><script src="/walls/zevrin/assets/index-1.js"></script></head><p>page</p>',
);
const state = mkdtempSync(join(tmpdir(), 'zevrin-state-'));
const bin = new URL('bin.ts', import.meta.url).pathname;
const { addresses } = inTheNetwork();

/** Starts the server as a command, and gives what it says once it runs or has ended. */
async function start(env: Record<string, string>, ...args: string[]) {
  const child = spawn(process.execPath, ['--import', 'tsx', bin, ...args], {
    env: { ...process.env, DIST: dist, ZEVRIN_STATE: state, ...env },
  });
  let said = '';
  await new Promise<void>((done) => {
    const hear = (data: Buffer) => {
      said += data.toString();
      if (said.includes('Ctrl+C')) done();
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.once('exit', () => done());
  });
  return { said, stop: () => child.kill() };
}

it('listens on this machine only, unless another place is named', async () => {
  const { said, stop } = await start({ PORT: '0' });
  const port = /localhost:(\d+)\/walls\/zevrin\/demo/.exec(said)![1]!;
  expect((await fetch(`http://127.0.0.1:${port}/walls/zevrin/`)).status).toBe(200);
  for (const address of addresses) await expect(fetch(`http://${address}:${port}/`)).rejects.toThrow();
  stop();
  const named = await start({ PORT: '0', HOST: '127.0.0.2' });
  expect(named.said).toContain('http://127.0.0.2:');
  named.stop();
});
it.each([
  [{ PORT: 'many' }, 'PORT: read “many”, allowed is a whole number from 0 to 65535.'],
  [{ PORT: '0', HOST: '203.0.113.9' }, 'Cannot listen on 203.0.113.9'],
])('a setting that cannot be is said, and ends it: %j', async (env, says) => {
  expect((await start(env)).said).toContain(says);
});

describe('for the network', () => {
  let said = '';
  let stop = (): unknown => undefined;
  beforeAll(async () => ({ said, stop } = await start({ PORT: '0', HOST: '127.0.0.1' }, '--lan')));
  afterAll(() => void stop());

  it('the terminal says the addresses, and draws a code', () => {
    expect(said).toMatch(/http:\/\/127\.0\.0\.1:\d+\/trust/);
    expect(said).toMatch(/https:\/\/.*\/walls\/zevrin\//);
    expect(said).toMatch(/[▀▄█]/);
  });
  it('a phone gets the certificate from a page, and the app by it', async () => {
    const trust = /http:\S+\/trust/.exec(said)![0];
    const response = await fetch(trust);
    const html = await response.text();
    expect(response.headers.get('content-security-policy')).toContain("default-src 'none'");
    const secure = /href="(https:[^"]+)"/.exec(html)![1]!;
    const cert = await (await fetch(new URL('/trust/zevrin-authority.crt', trust))).text();
    expect(cert).toBe(readFileSync(join(state, 'authority.crt'), 'utf8'));
    const body = await new Promise<string>((resolve, reject) => {
      request(secure, { ca: cert }, (r) => r.setEncoding('utf8').on('data', resolve))
        .on('error', reject)
        .end();
    });
    expect(body).toContain('page');
    // And without it, as it is.
    const plain = /href="(http:[^"]+)"/.exec(html)![1]!;
    expect(await (await fetch(plain)).text()).toContain('page');
  });
  it('gives no key away, and puts nothing into its page that somebody sends', async () => {
    const trust = /http:\S+\/trust/.exec(said)![0];
    for (const path of ['/trust/authority.key', '/trust/..%2fauthority.key', '/trust/server.key'])
      expect((await fetch(new URL(path, trust))).status).toBe(404);
  });
});
