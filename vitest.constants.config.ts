import { defineConfig } from 'vitest/config';
import whole from './vitest.config.ts';

/**
 * For `npm run mutants:constants`: one end of one constant is changed as the register is read. Left out are the tests
 * that hold stored texts and the register against itself: they notice every change and say nothing about what is right.
 */
const { ZEVRIN_CONSTANT, ZEVRIN_TESTS = 'core/**/*.test.ts cli/**/*.test.ts' } = process.env;
export default defineConfig({
  resolve: { alias: whole.resolve!.alias! },
  plugins: [
    {
      name: 'changed-constant',
      transform(code, id) {
        if (ZEVRIN_CONSTANT === undefined || !id.endsWith('/core/foundations/sources/constants.ts')) return null;
        const { name, value } = JSON.parse(ZEVRIN_CONSTANT) as { name: string; value: object };
        return `${code}\n;CONSTANTS[${JSON.stringify(name)}].value = ${JSON.stringify(value)};`;
      },
    },
  ],
  test: {
    environment: 'node',
    testTimeout: 30_000,
    maxWorkers: '100%',
    isolate: false,
    bail: 1,
    include: ZEVRIN_TESTS.split(' '),
    exclude: ['**/told.test.ts', 'core/foundations/sources/register.test.ts', '**/node_modules/**'],
  },
});
