import { expect, it } from 'vitest';
import { inTurns } from './in-turns';

it('begins one after the other, with a turn of the page in between, and ends when all have ended', async () => {
  const said: string[] = [];
  let endFirst = () => {};
  const first = new Promise<void>((end) => (endFirst = end));
  const all = inTurns(
    async () => {
      said.push('a begins');
      setTimeout(() => said.push('the page'), 0);
      await first;
      said.push('a ends');
    },
    () => {
      said.push('b begins');
      // It does not wait for what the first one waits for.
      endFirst();
      return Promise.resolve();
    },
  );
  await all;
  expect(said).toEqual(['a begins', 'the page', 'b begins', 'a ends']);
});

it('fails with the first that fails, also when it failed before the last had begun', async () => {
  const said: string[] = [];
  const steps = inTurns(
    () => Promise.reject(new Error('does not arrive')),
    () => Promise.resolve(said.push('next')),
  );
  await expect(steps).rejects.toThrow('does not arrive');
  expect(said).toEqual(['next']);
});
