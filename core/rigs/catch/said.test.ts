import { expect, it } from 'vitest';
import type { Finding } from '../../foundations/finding/index.ts';
import { springsOf } from '../../things/gear/index.ts';
import { club } from '../../samples/index.ts';
import { interval } from '../../foundations/units/index.ts';
import { catchFindings, catchRuns, heightsFindings, heightsOf, type FallQuestion, type Scenario } from './index.ts';
import { QUESTION, SCENARIO } from './scenario.test-help.ts';

const MOMENTS: readonly Partial<FallQuestion>[] = [
  {},
  { climberM: 14, lastPieceM: 13.5, slackM: 0.2 },
  { climberM: 5, lastPieceM: 3, secondPieceM: null, slackM: 1.5 },
  { climberM: 8, lastPieceM: 5, slackM: 1 },
  { besideM: 6, firstPieceM: 2 },
  { firstPieceM: 1.5, secondPieceM: 3 },
  { clipped: 'none', climberM: 4 },
  { from: 'stance', ledgeM: -12 },
  { from: 'stance', clipped: 'none', climberM: 3, ledgeM: -12 },
  { from: 'stance', clipped: 'none', climberM: 5, ledgeM: -2 },
  { step: 'steps-up', ledgeM: 2 },
];
const RIGS: readonly Partial<Scenario>[] = [
  {},
  { belayerKg: 48, climberKg: 95 },
  { belayerKg: 110, climberKg: 45, belayer: 'anchored' },
  { handN: null, slipKn: interval(2, 3, 5), deviceOn: 'anchor' },
  { slipKn: interval(0.3, 0.4, 0.6), slipPastKn: interval(0.1, 0.2, 0.3) },
  { led: false, ratio: interval(1.5, 1.6, 1.7), belayerKg: 60 },
  { led: false, ratio: interval(1.5, 1.6, 1.7), belayerKg: 90, springs: springsOf(club.thickRope) },
];

const words = ({ code, severity, says, because, remedy, numbers }: Finding): string =>
  `${code} ${severity}: ${says.replace(/\d+ of 100/, 'N of 100')} | ${because} | ${remedy} | ${numbers.map((n) => n.key).join()}`;

// Read when it changes: every sentence of the page of the fall, with the severity it comes with and the numbers it
// brings.
it('says these things, and no others', () => {
  const said = new Set<string>();
  for (const rig of RIGS)
    for (const moment of MOMENTS) {
      const question = { ...QUESTION, ...moment, ...(rig.led === false ? { lastPieceM: 15, firstPieceM: 15 } : {}) };
      const scenario: Scenario = { ...SCENARIO, ...rig, question };
      for (const f of catchFindings(scenario, catchRuns(scenario, 60, 3))) said.add(words(f));
      for (const f of heightsFindings(scenario, heightsOf(scenario, 12))) said.add(words(f));
    }
  expect([...said].sort().join('\n')).toMatchSnapshot();
});
