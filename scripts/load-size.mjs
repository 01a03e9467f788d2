// JavaScript that is loaded before the first useful screens, gzip, against the budget.
import { ensureBuild, ensurePackages, root } from './ensure.mjs';
import { BUDGET_KB, firstLoads } from './first-load.mjs';

ensurePackages();
ensureBuild();
for (const { name, kb } of firstLoads(root)) {
  console.log(
    `${name.padEnd(34)}${kb.toFixed(1).padStart(8)} kB gzip   ${kb <= BUDGET_KB ? 'within' : 'OVER'} ${BUDGET_KB} kB`,
  );
  if (kb > BUDGET_KB) process.exitCode = 1;
}
