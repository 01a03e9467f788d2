import { performance } from 'node:perf_hooks';
import { assess } from '../core/assess/index.ts';
import { buildCheck } from '../core/check/index.ts';
import { SETUPS } from '../core/samples/index.ts';

const BUDGET_MS = 2;
const RUNS = 400;
const WARM = 60;

// As it runs in use: after the first few.
for (let i = 0; i < WARM; i += 1) for (const setup of Object.values(SETUPS)) assess({ ...setup });

let over = false;
for (const setup of Object.values(SETUPS)) {
  const times: number[] = [];
  let findings = 0;
  for (let i = 0; i < RUNS; i += 1) {
    // Another height each time, so that nothing can be answered from a memory of the last run.
    const anchorHeightM = setup.site.anchorHeightM + i * 1e-4;
    const changed = { ...setup, site: { ...setup.site, anchorHeightM } };
    const start = performance.now();
    const result = assess(changed);
    times.push(performance.now() - start);
    findings += result.findings.length + buildCheck(changed, result.findings).length;
  }
  times.sort((a, b) => a - b);
  const [median, slow] = [times[RUNS / 2]!, times[Math.floor(RUNS * 0.99)]!];
  over ||= median > BUDGET_MS;
  console.log(
    `assess ${setup.id.padEnd(26)}${median.toFixed(3).padStart(9)} ms median, ${slow.toFixed(3)} ms at 99 %   ${median <= BUDGET_MS ? 'within' : 'OVER'} ${BUDGET_MS} ms   (${findings / RUNS} findings and check items each)`,
  );
}
process.exitCode = over ? 1 : 0;
