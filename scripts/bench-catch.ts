// Ten thousand falls, drawn as the page draws them: under a second, and within three times of the same kernel in C at
// -O2 on this machine.
import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import {
  catchIn,
  catchRuns,
  drawOf,
  fallOf,
  RUNS,
  scenarioOf,
  seeded,
  simulateCatch,
  usualQuestion,
  type Fall,
} from '../core/rigs/catch/index.ts';
import { indexOf } from '../core/rigs/rig/index.ts';
import { SETUPS } from '../core/samples/index.ts';
import { threshold } from '../core/foundations/sources/index.ts';

const BUDGET_MS = 1000;
const TIMES_C = 3;
const ROUNDS = 5;

const index = indexOf(SETUPS['belay-leader']);
const found = scenarioOf(index, catchIn(index)!, usualQuestion(index));
if (!found.ok) throw new Error(`the sample lacks ${found.missing.join()}`);
const { scenario } = found;

function fastest(work: () => void): number {
  let best = Infinity;
  for (let i = 0; i < ROUNDS; i += 1) {
    const start = performance.now();
    work();
    best = Math.min(best, performance.now() - start);
  }
  return best;
}

const wholeMs = fastest(() => catchRuns(scenario, RUNS, 1));
const whole = wholeMs <= BUDGET_MS;
console.log(
  `catch, ${RUNS} falls with their figures ${wholeMs.toFixed(0)} ms   ${whole ? 'within' : 'OVER'} ${BUDGET_MS} ms`,
);

const random = seeded(1);
const falls: Fall[] = Array.from({ length: RUNS }, () => fallOf(scenario, drawOf(random)));
const sums = { climberN: 0, liftM: 0, slipM: 0, piece: 0 };
const kernelMs = fastest(() => {
  sums.climberN = sums.liftM = sums.slipM = sums.piece = 0;
  for (const fall of falls) {
    const caught = simulateCatch(fall);
    sums.climberN += caught.climberN;
    sums.liftM += caught.liftM;
    sums.slipM += caught.slipM;
    sums.piece += caught.reachedPiece ? 1 : 0;
  }
});

let slow = false;
if (spawnSync('cc', ['--version']).status !== 0) console.log('catch against C: there is no C compiler here');
else {
  const folder = mkdtempSync(join(tmpdir(), 'zevrin-catch-'));
  try {
    const rows = new Float64Array(
      falls.flatMap((f) => [
        f.climberKg,
        f.belayerKg,
        f.climberSideM,
        f.belayerSideM,
        f.freeFallM,
        f.ratio,
        f.rope.firstN,
        f.rope.secondN,
        f.rope.kneeN,
        f.dampingRatio,
        f.slipN,
        f.belayer === 'fixed' ? 1 : 0,
        f.stepUpMPerS,
        f.besideM,
        f.firstPieceM - f.deviceM,
        f.roomM,
      ]),
    );
    const [program, data] = [join(folder, 'catch'), join(folder, 'falls')];
    writeFileSync(data, rows);
    execFileSync('cc', ['-O2', '-o', program, join(import.meta.dirname, 'bench-catch/catch.c'), '-lm']);
    const constants = [threshold('deviceAndArmM'), threshold('atTheWallM'), threshold('shoeGrip')].map(String);
    const [cMs, climberN, liftM, slipM, piece] = execFileSync(program, [data, ...constants], { encoding: 'utf8' })
      .trim()
      .split(' ')
      .map(Number) as [number, number, number, number, number];
    const same =
      [
        [climberN, sums.climberN],
        [liftM, sums.liftM],
        [slipM, sums.slipM],
      ].every(([c, js]) => Math.abs(c! - js!) <= 1e-6 * Math.max(1, Math.abs(js!))) && piece === sums.piece;
    const times = kernelMs / cMs;
    slow = times > TIMES_C || !same;
    console.log(
      `catch, kernel ${kernelMs.toFixed(0)} ms, in C at -O2 ${cMs.toFixed(0)} ms: ${times.toFixed(2)} times   ${times <= TIMES_C ? 'within' : 'OVER'} ${TIMES_C}; ${same ? 'the same sums' : 'OTHER SUMS'}`,
    );
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
process.exitCode = whole && !slow ? 0 : 1;
