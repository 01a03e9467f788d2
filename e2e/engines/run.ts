// The same journey in two engines beside the one of the tests: npm run engines. `--short`: what the tests take of it.
// `--pictures DIR`: six views of each.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { until, type Driver } from './driver.ts';
import { firefox, firefoxThere } from './firefox.ts';
import { JOURNEY, type Part } from './journey.ts';
import { pageOf } from './page.ts';
import { webkit, webkitThere } from './webkit.ts';

const short = process.argv.includes('--short');
const only = process.argv.find((word) => word === 'firefox' || word === 'webkit');
const pictures = process.argv.includes('--pictures') ? process.argv[process.argv.indexOf('--pictures') + 1] : undefined;
const root = fileURLToPath(new URL('../..', import.meta.url));

const VIEWS = {
  start: '/',
  setup: '/demo/setups/setup-high-span',
  holds: '/demo/setups/setup-low-span/holds',
  fall: '/demo/setups/setup-wall-lead/catch',
  connectors: '/demo/connectors?job=ascend&pair=connector-oval/device-burr',
  order: '/demo/steps/sequence-low-span',
} as const;

async function serve(port: number) {
  const server = spawn(process.execPath, ['--import', 'tsx', 'server/bin.ts'], {
    cwd: root,
    env: { ...process.env, PORT: String(port) },
    stdio: 'ignore',
  });
  const base = `http://localhost:${port}`;
  await until('the server', async () => (await fetch(base)).ok);
  const ended = new Promise<void>((done) => server.once('exit', () => done()));
  return {
    base,
    stop: async () => {
      server.kill();
      await ended;
    },
  };
}

/** One engine through the whole journey; how many parts failed. */
async function through(start: (onError: (text: string) => void) => Promise<Driver>, port: number): Promise<number> {
  const errors: string[] = [];
  const driver = await start((text) => errors.push(text));
  const server = await serve(port);
  const page = pageOf(driver);
  let failed = 0;
  const tried = async (part: Part) => {
    const began = Date.now();
    errors.length = 0;
    try {
      const not = await part.go(page, server.base, server);
      // Without a server what is asked of it fails, and the browser says so.
      const loud = errors.filter((text) => !/NetworkError|Failed to load|could not be loaded|Load failed/i.test(text));
      if (loud.length > 0) throw new Error(`errors in the console: ${loud.join(' | ')}`);
      return { failed: false, said: ` (${((Date.now() - began) / 1000).toFixed(1)} s)${not ? `: ${not}` : ''}` };
    } catch (error) {
      return { failed: true, said: `: ${error instanceof Error ? error.message : String(error)}` };
    }
  };
  try {
    for (const part of JOURNEY.filter((p) => p.short || !short)) {
      const first = await tried(part);
      if (first.failed) console.log(`  – ${driver.name}: ${part.title}: at the first try${first.said}`);
      // As in the other browser tests: on a loaded machine one can be late.
      const { failed: again, said } = first.failed ? await tried(part) : first;
      console.log(`  ${again ? '✘' : '✓'} ${driver.name}: ${part.title}${said}`);
      if (!again) continue;
      failed += 1;
      if (pictures) await driver.picture(join(pictures, `${driver.name}-failed-${failed}.png`));
    }
    if (pictures) {
      const again = await serve(port + 10);
      for (const [name, path] of Object.entries(VIEWS)) {
        await driver.go(again.base + path);
        await page.see('heading', /.+/);
        const waiting = () =>
          driver.run<string | null>(
            `() => /^((Opening|Loading|Drawing|.*Judging) …|\\d+ of \\d+ (falls|connectors))/m.exec(document.body.innerText)?.[0] ?? null`,
            [],
          );
        let quiet = 0;
        // One part of a page begins when another has come.
        await until(`${name} at rest`, async () => (quiet = (await waiting()) === null ? quiet + 1 : 0) > 10).catch(
          async () => {
            failed += 1;
            console.log(`  ✘ ${driver.name}: ${name} is still waiting: ${await waiting()}`);
          },
        );
        // What stands in the page is on the display a moment later.
        await new Promise((painted) => setTimeout(painted, 700));
        await driver.picture(join(pictures, `${driver.name}-${name}.png`));
      }
      await again.stop();
    }
  } finally {
    await driver.close();
    await server.stop();
  }
  return failed;
}

const engines = [
  { name: 'firefox', there: firefoxThere(), start: firefox, port: 4350 },
  { name: 'webkit', there: webkitThere(), start: webkit, port: 4351 },
].filter(({ name }) => only === undefined || only === name);
let failed = 0;
for (const { name, there, start, port } of engines)
  if (there) failed += await through(start, port);
  else {
    failed += 1;
    console.log(`  ✘ ${name} is not on this machine: npm run engines installs it`);
  }
console.log(failed === 0 ? 'Nothing failed.' : `${failed} failed.`);
process.exit(failed === 0 ? 0 : 1);
