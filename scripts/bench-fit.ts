import { performance } from 'node:perf_hooks';
import { fitRow } from '../core/things/fit/index.ts';
import { JOB_KEYS, type Device, type Rope } from '../core/things/gear/index.ts';
import { club } from '../core/samples/index.ts';

const BUDGET_MS = 1000;
const N = 30;
const ropes: Rope[] = Array.from({ length: N }, (_, i) => ({
  ...club.longRope,
  id: `r${i}`,
  measuredDiameterMm: 7.5 + i * 0.2,
}));
const families = club.clubItems.filter((i): i is Device => i.kind === 'device');
const devices: Device[] = Array.from({ length: N }, (_, i) => ({ ...families[i % families.length]!, id: `d${i}` }));

let findings = 0;
const start = performance.now();
for (const job of JOB_KEYS)
  for (const rope of ropes) for (const cell of fitRow(job, rope, devices)) findings += cell.findings.length;
const perJobMs = (performance.now() - start) / JOB_KEYS.length;
console.log(
  `fit map ${N} x ${N}, one job${perJobMs.toFixed(1).padStart(14)} ms   ${perJobMs <= BUDGET_MS ? 'within' : 'OVER'} ${BUDGET_MS} ms   (${findings} findings over ${JOB_KEYS.length} jobs)`,
);
process.exitCode = perJobMs <= BUDGET_MS ? 0 : 1;
