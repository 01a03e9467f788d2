import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, open, saved, test, verdict } from './helpers.ts';

/*
 * Built for a folder of a site, and opened there: by our server, and as files on a host that knows nothing of it but
 * what docs/hosting.md asks.
 */
const BASE = '/climbing/zevrin/';
const folder = mkdtempSync(join(tmpdir(), 'zevrin-base-'));
const dist = join(folder, 'dist');
let ours: ChildProcess;
let ourPort = '';
let files: Server;

test.use({ serviceWorkers: 'allow' });
test.describe.configure({ mode: 'serial' });
test.beforeAll(async () => {
  test.setTimeout(180_000);
  const built = spawnSync(process.execPath, ['node_modules/vite/bin/vite.js', 'build', '--logLevel=error'], {
    env: { ...process.env, BASE_PATH: BASE, DIST: dist },
    encoding: 'utf8',
  });
  expect(built.stderr + built.stdout, 'the build').not.toMatch(/error/i);
  ours = spawn(process.execPath, ['--import', 'tsx', 'server/bin.ts'], {
    env: { ...process.env, DIST: dist, PORT: '0', HOST: '127.0.0.1' },
  });
  ourPort = await new Promise<string>((resolve) => {
    ours.stdout!.on('data', (said: Buffer) => {
      const port = /:(\d+)\/climbing/.exec(said.toString())?.[1];
      if (port) resolve(port);
    });
  });
  // A host of files, with what it has to do and no more.
  const policy = /Content-Security-Policy: (.*)/.exec(readFileSync('docs/hosting.md', 'utf8'))![1]!;
  const types: Readonly<Record<string, string>> = {
    js: 'text/javascript',
    css: 'text/css',
    svg: 'image/svg+xml',
    html: 'text/html',
    webmanifest: 'application/manifest+json',
  };
  files = createServer((request, response) => {
    const path = new URL(request.url!, 'http://host').pathname;
    const inside = path.startsWith(BASE) ? path.slice(BASE.length) : null;
    if (inside === null) return void response.writeHead(404).end();
    const name = inside === '' || !inside.split('/').at(-1)!.includes('.') ? 'index.html' : inside;
    try {
      const body = readFileSync(join(dist, name));
      response.setHeader('Content-Security-Policy', policy.replace('NONCE', '__CSP_NONCE__'));
      response.setHeader('Content-Type', types[name.split('.').at(-1)!] ?? 'application/octet-stream');
      response.end(body);
    } catch {
      response.writeHead(404).end();
    }
  }).listen(0, '127.0.0.1');
});
test.afterAll(() => {
  ours.kill();
  files.close();
  rmSync(folder, { recursive: true, force: true });
});

for (const host of ['our server', 'a host of files'] as const)
  test(`in a folder of a site, ${host}: pages, a reload, a link that carries a set-up, and without a network`, async ({
    page,
    context,
  }) => {
    test.setTimeout(120_000);
    const port = host === 'our server' ? ourPort : (files.address() as AddressInfo).port;
    const at = `http://localhost:${port}${BASE}`;
    await open(page, at);
    await page.getByRole('link', { name: 'Look at the demo first' }).click();
    await expect(page).toHaveURL(`${at}demo/setups`);
    await page
      .getByRole('main')
      .getByRole('link', { name: /Low span/ })
      .click();
    await expect(verdict(page)).toBeVisible();
    await saved(page);
    await page.reload();
    await expect(verdict(page)).toBeVisible();
    // Work beside the page comes from the folder too.
    await open(page, `${at}demo/setups/setup-wall-lead/catch`);
    await expect(page.getByText('Force on the climber, of 100 falls').first()).toBeVisible();
    await open(page, `${at}demo/setups/setup-high-span/share`);
    await expect(page.getByLabel('The link')).toHaveValue(new RegExp(`^${at}demo/open#`));
    const link = await page.getByLabel('The link').inputValue();
    await page.goto(link);
    await page.getByRole('button', { name: 'Take it as a copy' }).click();
    await expect(page.getByLabel('Name of the set-up')).toHaveValue(/\(shared\)$/);
    await expect
      .poll(() => page.evaluate(async () => (await navigator.serviceWorker.ready).active?.state), { timeout: 30_000 })
      .toBe('activated');
    await context.setOffline(true);
    await page.reload();
    await expect(page.getByLabel('Name of the set-up')).toHaveValue(/\(shared\)$/);
    // A page that was never opened.
    await page.goto(`${at}demo/setups/setup-wall-down/holds`);
    await expect(page.getByRole('heading', { name: 'What still holds' })).toBeVisible();
  });
