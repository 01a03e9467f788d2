import { performance } from 'node:perf_hooks';
import { openSetup, search } from '../core/answers/planning/index.ts';
import type { Person } from '../core/things/gear/index.ts';
import { TEMPLATE_IDS, TEMPLATES, withFields, type TemplateId } from '../core/rigs/rig/index.ts';
import { club } from '../core/samples/index.ts';
import { items, N } from './bench-locker.ts';

const BUDGET_MS = 1000;
const RUNS = 4;
const OWN = { id: 'bench', name: 'bench', now: '2026-01-01T00:00:00.000Z' };

/** Every part open, everybody there. */
function question(template: TemplateId, first: Person) {
  const people = TEMPLATES[template]
    .parts()
    .persons.map((p, i): [string, Person] => [p.id, i === 0 ? first : club.wren]);
  return openSetup({ template, site: { anchorHeightM: 20 }, people: Object.fromEntries(people) }, OWN);
}

let over = false;
for (const [name, open] of [
  ...TEMPLATE_IDS.map((id) => [id, question(id, club.tomas)] as const),
  [
    'rappel-double, icy and heavy',
    withFields(question('rappel-double', { ...club.tomas, massKg: 115 }), 'site', { weather: 'icy' }),
  ],
] as const) {
  // The fastest of several: what else the machine does only ever adds.
  let ms = Infinity;
  let { combinations, pairs, outcome } = search(open, items, []);
  for (let i = 0; i < RUNS; i++) {
    const start = performance.now();
    ({ combinations, pairs, outcome } = search(open, items, []));
    ms = Math.min(ms, performance.now() - start);
  }
  over ||= ms > BUDGET_MS;
  console.log(
    `plan ${N} x ${N} x ${N}, ${name.padEnd(30)}${ms.toFixed(0).padStart(6)} ms   ${ms <= BUDGET_MS ? 'within' : 'OVER'} ${BUDGET_MS} ms   (${pairs} sets of ropes with a device, ${outcome}, ${combinations.length} combinations)`,
  );
}
process.exitCode = over ? 1 : 0;
