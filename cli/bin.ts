import { run } from './main.ts';
import { nodeIo } from './node-io.ts';

// Whoever reads may have enough before everything is written.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error;
  process.stderr.write('The output was closed before everything was written.\n');
  process.exit(2);
});

process.exitCode = run(process.argv.slice(2), nodeIo);
