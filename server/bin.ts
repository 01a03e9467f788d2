import type { AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';
import { createApp } from './app.ts';

const wanted = Number(process.env.PORT ?? 4173);
const app = createApp(fileURLToPath(new URL('../dist', import.meta.url)));

function listen(port: number): void {
  const server = app.listen(port, '127.0.0.1');
  server.once('listening', () => {
    const address = `http://localhost:${(server.address() as AddressInfo).port}`;
    console.log(`Zevrin runs.\n  Demo:     ${address}/demo\n  Your own: ${address}/mine\nCtrl+C ends it.`);
  });
  server.once('error', (error: NodeJS.ErrnoException) => {
    if (error.code === 'EADDRINUSE' && process.env.PORT === undefined && port < wanted + 20) listen(port + 1);
    else {
      console.error(`Cannot listen on port ${port}: ${error.message}`);
      process.exitCode = 1;
    }
  });
}

listen(wanted);
