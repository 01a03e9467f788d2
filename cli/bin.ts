import { nodeIo, run } from './main.ts';

process.exitCode = run(process.argv.slice(2), nodeIo);
