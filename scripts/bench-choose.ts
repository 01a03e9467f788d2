import { performance } from 'node:perf_hooks';
import { choose, NOT_RIGGED, plan } from '../core/choose/index.ts';
import { JOB_KEYS } from '../core/gear/index.ts';
import { club, rappelDouble } from '../core/samples/index.ts';
import { items, N } from './bench-locker.ts';

const BUDGET_MS = 1000;
const open = {
  ropeA: null,
  device: null,
  deviceConnector: null,
  extension: null,
  hitchCord: null,
  hitchConnector: null,
};

let over = false;
for (const [name, base] of [
  ['everything open', { ...rappelDouble, gear: { ...rappelDouble.gear, ...open } }],
  [
    'icy, heavy: nothing fits well',
    {
      ...rappelDouble,
      people: { climber: { ...club.tomas, massKg: 115 }, partner: null },
      situation: { ...rappelDouble.situation, weather: 'icy' as const },
      gear: { ...rappelDouble.gear, ...open },
    },
  ],
] as const) {
  const setup = { ...base, rig: { ...base.rig, ...NOT_RIGGED } };
  choose(setup, items);
  const start = performance.now();
  const { looks, outcome, combinations } = choose(setup, items);
  const ms = performance.now() - start;
  over ||= ms > BUDGET_MS;
  console.log(
    `choose ${N} x ${N} x ${N}, ${name.padEnd(30)}${ms.toFixed(0).padStart(6)} ms   ${ms <= BUDGET_MS ? 'within' : 'OVER'} ${BUDGET_MS} ms   (${looks} looks, ${outcome}, ${combinations.length} combinations)`,
  );
}
// Plans: every rope (and pair of ropes), device, connector and way.
for (const job of JOB_KEYS) {
  const question = { job, heightM: 20, weather: 'dry' as const, climber: club.tomas, belayer: null };
  plan(question, items, []);
  const start = performance.now();
  const { combinations, pairs } = plan(question, items, []);
  const ms = performance.now() - start;
  over ||= ms > BUDGET_MS;
  console.log(
    `plan ${N} x ${N} x ${N} x all ways, ${job.padEnd(20)}${ms.toFixed(0).padStart(6)} ms   ${ms <= BUDGET_MS ? 'within' : 'OVER'} ${BUDGET_MS} ms   (${pairs} sets of ropes with a device, ${combinations.length} combinations)`,
  );
}
process.exitCode = over ? 1 : 0;
