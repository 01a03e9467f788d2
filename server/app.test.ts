import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createApp } from './app.ts';

const dist = mkdtempSync(join(tmpdir(), 'zevrin-'));
mkdirSync(join(dist, 'assets'));
writeFileSync(join(dist, 'index.html'), '<meta name="csp-nonce" content="__CSP_NONCE__"><p>page</p>');
writeFileSync(join(dist, 'assets', 'a-123.js'), `export default "${'x'.repeat(5000)}";`);

let server: ReturnType<ReturnType<typeof createApp>['listen']>;
let base = '';
beforeAll(async () => {
  server = createApp(dist).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(() => server.close());

describe('server', () => {
  it('answers a deep link with the page, its nonce in the policy and in the page, another each time', async () => {
    const nonces = [];
    for (let i = 0; i < 2; i += 1) {
      const response = await fetch(`${base}/demo/setups/some-id`);
      const nonce = /content="([^"]+)"/.exec(await response.text())![1]!;
      expect(response.headers.get('content-security-policy')).toContain(`'nonce-${nonce}'`);
      expect(response.headers.get('cache-control')).toBe('no-store');
      nonces.push(nonce);
    }
    expect(nonces[0]).not.toBe(nonces[1]);
  });

  it('allows nothing from elsewhere and nothing inline', async () => {
    const policy = (await fetch(`${base}/`)).headers.get('content-security-policy')!;
    expect(policy).toContain("default-src 'none'");
    expect(policy).not.toMatch(/unsafe|https?:|\*/);
  });

  it('compresses assets and lets them be kept for a year', async () => {
    const response = await fetch(`${base}/assets/a-123.js`, { headers: { 'accept-encoding': 'gzip' } });
    expect(response.headers.get('content-encoding')).toBe('gzip');
    expect(response.headers.get('cache-control')).toMatch(/max-age=31536000.*immutable/);
  });

  it('does not answer a missing asset with the page', async () => {
    expect((await fetch(`${base}/assets/none.js`)).status).toBe(404);
  });
});
