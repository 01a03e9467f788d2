import { defineConfig } from 'vitest/config';
import viteConfig from './vite.config.ts';

export default defineConfig({
  resolve: { alias: viteConfig.resolve!.alias! },
  test: { include: ['{core,web,server,cli}/**/*.test.{ts,tsx}'], environment: 'node', testTimeout: 30_000 },
});
