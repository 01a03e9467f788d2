import { expect, it } from 'vitest';
import type { Connector, Device } from '../gear/index.ts';
import { club } from '../../samples/index.ts';
import { pairFindings } from './index.ts';

const cam = club.otherDevices.find((d) => d.family === 'assisted-cam')!;
const said = (
  change: Partial<Parameters<typeof pairFindings>[0]>,
  a: Partial<Connector> = {},
  device: Partial<Device> = {},
) =>
  pairFindings({
    connectors: [
      { ...club.oval, ...a },
      { ...club.smallD, ...a },
    ],
    device: { ...cam, eyeMm: 22, ...device },
    opposed: true,
    reversed: true,
    ...change,
  }).map((f) => `${f.code} ${f.severity}`);

it('opposed and reversed is as it should be', () => expect(said({})).toEqual(['connector.pair-opposed clear']));
it('the same side is minded with a lock and stopped without one', () => {
  expect(said({ opposed: false })).toEqual(['connector.pair-same-side mind']);
  expect(said({ reversed: false })).toEqual(['connector.pair-same-side mind']);
  expect(said({ reversed: false }, { lock: 'none' })).toEqual(['connector.pair-same-side stop']);
});
it('both stocks must have room in the hole: 10.5 and 9.5 mm ask for 20', () => {
  expect(said({}, {}, { eyeMm: 19.9 })).toEqual(['connector.pair-no-room stop', 'connector.pair-opposed clear']);
  expect(said({}, {}, { eyeMm: 20 })).toEqual(['connector.pair-opposed clear']);
  expect(said({}, { broadStockMm: null })).toEqual(['connector.pair-no-room untested', 'connector.pair-opposed clear']);
  expect(said({}, {}, { family: 'tube-grooved', eyeMm: null })).toEqual(['connector.pair-opposed clear']);
});
