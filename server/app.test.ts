import { mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createApp } from './app.ts';

const dist = mkdtempSync(join(tmpdir(), 'zevrin-'));
mkdirSync(join(dist, 'assets'));
writeFileSync(join(dist, 'index.html'), '<head><meta name="csp-nonce" content="__CSP_NONCE__"></head><p>page</p>');
// As a build says it: the program, two parts of it that share a third, and one of another page.
mkdirSync(join(dist, '.vite'));
writeFileSync(
  join(dist, '.vite/manifest.json'),
  JSON.stringify({
    'index.html': { file: 'assets/index-1.js', imports: ['_react.js'] },
    '_react.js': { file: 'assets/react-1.js' },
    '_rig.js': { file: 'assets/rig-1.js', imports: ['_react.js'] },
    'app/Inside.tsx': { file: 'assets/Inside-1.js', imports: ['index.html', '_rig.js'] },
    'features/rig/setups/SetupsPage.tsx': { file: 'assets/SetupsPage-1.js', imports: ['_rig.js'] },
    'app/StartPage.tsx': { file: 'assets/StartPage-1.js' },
    'features/rig/setups/SetupPage.tsx': { file: 'assets/SetupPage-1.js' },
    'features/rig/setups/SetupView.tsx': { file: 'assets/SetupView-1.js', imports: ['_rig.js'] },
    'features/rig/setups/CardPage.tsx': { file: 'assets/CardPage-1.js' },
    'features/take/first-answer/QuickPage.tsx': { file: 'assets/QuickPage-1.js' },
  }),
);
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

  it('names the parts that a page is going to load, each once, and none that it names already', async () => {
    const links = async (path: string) =>
      [
        ...(await (await fetch(base + path)).text()).matchAll(
          /rel="modulepreload" crossorigin href="\/assets\/(\w+)-1/g,
        ),
      ].map((m) => m[1]);
    expect(await links('/')).toEqual(['StartPage']);
    for (const path of ['/mine', '/mine/setups', '/demo/setups/?x=1'])
      expect((await links(path)).sort(), path).toEqual(['Inside', 'SetupsPage', 'rig']);
    expect((await links('/mine/setups/some-id')).sort()).toEqual(['Inside', 'SetupPage', 'SetupView', 'rig']);
    expect((await links('/mine/quick')).sort()).toEqual(['Inside', 'QuickPage', 'rig']);
    // Pages that one comes to from others.
    expect((await links('/mine/setups/some-id/card')).sort()).toEqual(['Inside', 'rig']);
    expect(await links('/nowhere')).toEqual([]);
    // The build itself is nobody's business.
    expect((await fetch(`${base}/.vite/manifest.json`)).status).toBe(404);
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

  it('never gives the page as the raw file, and never lets it be kept', async () => {
    for (const path of ['/', '/index.html', '/demo/setups']) {
      const response = await fetch(`${base}${path}`);
      expect(response.status).toBe(200);
      expect(response.headers.get('cache-control')).toBe('no-store');
      const text = await response.text();
      expect(text).not.toContain('__CSP_NONCE__');
      expect(response.headers.get('content-security-policy')).toContain(/content="([^"]+)"/.exec(text)![1]!);
    }
  });

  it.each(['/none.png', '/robots.txt', '/demo/none.js', '/.env', '/assets/../server/app.ts', '/assets/none.css'])(
    'a file that is not there is not found: %s',
    async (path) => {
      const response = await fetch(`${base}${path}`);
      expect(response.status).toBe(404);
      expect(await response.text()).toBe('Not found.\n');
    },
  );

  it.each(['/%E0%A4%A', '/assets/%E0%A4%A', '/assets/%00', '/assets/%2e%2e/%2e%2e/package.json'])(
    'what cannot be read is answered without paths and stacks: %s',
    async (path) => {
      const response = await fetch(`${base}${path}`);
      expect(response.status).toBeGreaterThanOrEqual(400);
      expect(response.status).toBeLessThan(500);
      const text = await response.text();
      expect(text).toMatch(/^(Not found|This request cannot be read)\.\n$/);
      expect(text).not.toContain(dist);
    },
  );

  it('takes nothing in', async () => {
    expect((await fetch(`${base}/demo`, { method: 'POST', body: 'x' })).status).toBe(404);
  });
});

describe('what is shipped', () => {
  it('has an icon under the name that browsers ask for by themselves', () => {
    // ICO: reserved 0, type 1 (Microsoft, "Icons", 1995).
    const icon = readFileSync(new URL('../web/public/favicon.ico', import.meta.url));
    expect([...icon.subarray(0, 4)]).toEqual([0, 0, 1, 0]);
    expect(icon.length).toBeLessThan(8000);
  });
});
