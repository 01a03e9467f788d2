import { spawn } from 'node:child_process';
import { ensureBuild, ensurePackages, root, withTypeScript } from './ensure.mjs';

ensurePackages();
ensureBuild();
const server = spawn(process.execPath, [...withTypeScript, 'server/bin.ts', ...process.argv.slice(2)], {
  cwd: root,
  stdio: 'inherit',
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
