import { expect, it } from 'vitest';
import { trailOf } from './trail';

const names = {
  items: [{ id: 'device-x', name: 'Arch tube' }],
  people: [{ id: 'p', name: 'Ilse' }],
  setups: [{ id: 's1', name: 'Low span' }],
  sequences: [{ id: 'q', name: 'From memory' }],
};
const trail = (path: string) => trailOf(path, names).map((c) => `${c.label} ${c.to}`);

it('names every place above a page with its way back, and not the page itself', () => {
  expect(trail('/demo/setups')).toEqual([]);
  expect(trail('/demo/setups/s1')).toEqual(['Set-ups /demo/setups']);
  expect(trail('/demo/setups/s1/holds')).toEqual(['Set-ups /demo/setups', 'Low span /demo/setups/s1']);
  expect(trail('/mine/locker/device/device-x')).toEqual(['Locker /mine/locker']);
  expect(trail('/mine/locker/device/device-x/tune')).toEqual([
    'Locker /mine/locker',
    'Arch tube /mine/locker/device/device-x',
  ]);
  expect(trail('/mine/locker/person/new')).toEqual(['Locker /mine/locker']);
  expect(trail('/demo/steps/q')).toEqual(['Steps /demo/steps']);
});
it('leads nowhere from what is not there', () => {
  expect(trail('/demo/setups/gone/holds')).toEqual(['Set-ups /demo/setups']);
  expect(trail('/demo/sources')).toEqual([]);
  expect(trail('/demo/nowhere/at/all')).toEqual([]);
  expect(trail('/')).toEqual([]);
});
