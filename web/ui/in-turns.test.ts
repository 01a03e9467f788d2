import { expect, it } from 'vitest';
import { inTurns } from './in-turns';

it('one after the other, with a turn of the page after each', async () => {
  const said: string[] = [];
  const step = (name: string) => async () => {
    said.push(`${name} begins`);
    // What the page has to do meanwhile.
    setTimeout(() => said.push(`page after ${name}`), 0);
    await Promise.resolve();
    said.push(`${name} ends`);
  };
  await inTurns(step('a'), step('b'));
  expect(said).toEqual(['a begins', 'a ends', 'page after a', 'b begins', 'b ends', 'page after b']);
});

it('fails with the first that fails, and does not begin the next', async () => {
  const said: string[] = [];
  const steps = inTurns(
    () => Promise.reject(new Error('does not arrive')),
    () => Promise.resolve(said.push('next')),
  );
  await expect(steps).rejects.toThrow('does not arrive');
  expect(said).toEqual([]);
});
