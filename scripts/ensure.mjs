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
  const hash = createHash('sha256');
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

/** Installs the packages of package-lock.json. Its output goes to stderr, so that a command's own output stays clean. */
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

/** Debian's Chromium, for the tests in a browser. Installs it as root, otherwise says how; takes the one with windows where only that is there. */
export function ensureChromium() {
  if (existsSync(SHELL)) return;
  const command = 'apt-get update && apt-get install -y --no-install-recommends chromium-headless-shell';
  const root = process.getuid?.() === 0;
  if (root) {
    console.error('Installing Chromium ...');
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
    spawnSync('sh', ['-c', command], { stdio: ['ignore', 2, 2], env });
  }
  if (existsSync(browserPath())) return;
  console.error(
    root
      ? `Chromium could not be installed with: ${command}`
      : `The browser tests need Debian's Chromium. Run as root:\n  ${command}`,
  );
  process.exit(1);
}

/** Node, loading TypeScript as it is. */
export const withTypeScript = ['--import', 'tsx'];
