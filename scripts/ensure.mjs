// What the commands of package.json need before they can run. Each step looks first and does nothing twice.
import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { browserPath, SHELL } from './browser-path.mjs';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));

function* filesUnder(path) {
  if (!statSync(path).isDirectory()) return yield path;
  for (const name of readdirSync(path).sort()) yield* filesUnder(join(path, name));
}

function digest(paths) {
  const hash = createHash('sha256').update(process.env.BASE_PATH ?? '/');
  for (const path of paths)
    for (const file of filesUnder(join(root, path))) hash.update(file).update(readFileSync(file));
  return hash.digest('hex');
}

/** Runs `make` unless the stamp says that it was done for the same inputs. */
function once(stamp, paths, make) {
  const now = digest(paths);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return;
  make();
  mkdirSync(dirname(stamp), { recursive: true });
  writeFileSync(stamp, now);
}

/**
 * Installs the packages of package-lock.json. Its output goes to stderr, so that a command's own output stays clean.
 */
export function ensurePackages() {
  once(join(root, 'node_modules/.zevrin-installed'), ['package-lock.json'], () => {
    console.error('Installing packages ...');
    execFileSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { cwd: root, stdio: ['ignore', 2, 2] });
  });
}

/** Builds the app into dist/. */
export function ensureBuild() {
  once(
    join(root, 'dist/.zevrin-built'),
    ['package-lock.json', 'vite.config.ts', 'scripts/parts.ts', 'core', 'web'],
    () => {
      console.error('Building ...');
      execFileSync(process.execPath, [join(root, 'node_modules/vite/bin/vite.js'), 'build', '--logLevel=warn'], {
        cwd: root,
        stdio: ['ignore', 2, 2],
      });
    },
  );
}

/**
 * Installs Debian's packages as root unless what they bring is `there`. Otherwise, or when it fails, says how, and ends
 * where there is not `enough` to go on.
 */
function ensureDebian(what, packages, there, enough = there) {
  if (there()) return;
  const command = `apt-get update && apt-get install -y --no-install-recommends ${packages.join(' ')}`;
  const root = process.getuid?.() === 0;
  if (root) {
    console.error(`Installing ${what} ...`);
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
    spawnSync('sh', ['-c', command], { stdio: ['ignore', 2, 2], env });
  }
  if (enough()) return;
  console.error(
    root ? `${what} could not be installed with: ${command}` : `This needs ${what}. Run as root:\n  ${command}`,
  );
  process.exit(1);
}

/** Debian's Chromium, for the tests in a browser; takes the one with windows where only that is there. */
export const ensureChromium = () =>
  ensureDebian(
    'Debian’s Chromium',
    ['chromium-headless-shell'],
    () => existsSync(SHELL),
    () => existsSync(browserPath()),
  );

/** Two more engines, with what drives them, by the programs that have to be there. */
const ENGINES = [
  ['Firefox', ['firefox-esr'], ['firefox-esr']],
  ['WebKit', ['webkit2gtk-driver', 'xvfb', 'imagemagick'], ['WebKitWebDriver', 'Xvfb', 'import']],
];
const programsThere = (programs) => programs.every((name) => existsSync(`/usr/bin/${name}`));
export const enginesThere = () => ENGINES.filter(([, , programs]) => programsThere(programs)).map(([name]) => name);
export function ensureEngines() {
  for (const [name, packages, programs] of ENGINES) ensureDebian(name, packages, () => programsThere(programs));
}

/** Node, loading TypeScript as it is. */
export const withTypeScript = ['--import', 'tsx'];
