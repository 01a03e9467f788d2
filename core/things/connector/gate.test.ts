import { expect, it } from 'vitest';
import { club } from '../../samples/index.ts';
import { gateFindings, type GateInput } from './index.ts';

const base: GateInput = {
  connector: club.pear,
  part: 'deviceConnector',
  gate: 'locked',
  facing: 'away',
  carries: true,
};
const lock = (kind: GateInput['connector']['lock']) => ({ connector: { ...club.pear, lock: kind } });

it.each<[string, Partial<GateInput>, string[]]>([
  ['locked and away', {}, ['connector.gate-locked clear']],
  ['no lock, person hangs on it', { ...lock('none'), gate: 'closed' }, ['connector.not-locking stop']],
  ['no lock on a backup', { ...lock('none'), gate: 'closed', carries: false }, ['connector.not-locking mind']],
  ['lock not known', lock('unknown'), ['connector.lock-unknown untested']],
  ['closed, not locked', { gate: 'closed' }, ['connector.gate-not-locked stop']],
  ['closed, not locked, backup', { gate: 'closed', carries: false }, ['connector.gate-not-locked mind']],
  ['open backup', { gate: 'open', carries: false }, ['connector.gate-not-locked stop']],
  ['gate not said', { gate: 'unknown' }, ['connector.gate-unknown untested']],
  ['facing not said', { facing: 'unknown' }, ['connector.gate-unknown untested']],
  ['rope over a screw', { facing: 'rope' }, ['connector.gate-towards-rope mind']],
  ['rock on a two-action gate', { ...lock('two-action'), facing: 'rock' }, ['connector.gate-towards-rope mind']],
  ['rock on a three-action gate', { ...lock('three-action'), facing: 'rock' }, ['connector.gate-towards-rope mind']],
  ['rock on two gates', { ...lock('twin'), facing: 'rock' }, ['connector.gate-towards-rope mind']],
  ['rope over a three-action gate', { ...lock('three-action'), facing: 'rope' }, ['connector.gate-locked clear']],
  [
    'rope over a gate without lock',
    { ...lock('none'), gate: 'closed', facing: 'rope' },
    ['connector.not-locking stop', 'connector.gate-towards-rope stop'],
  ],
])('%s', (_, change, expected) => {
  expect(gateFindings({ ...base, ...change }).map((f) => `${f.code} ${f.severity}`)).toEqual(expected);
});
