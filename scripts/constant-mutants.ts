// npm run mutants:constants [id ...]: changes every constant, one end at a time, by a quarter, and sees whether a test
// notices. First the tests of the rooms that use it, then those of the whole core (left out with --own). Not part of
// npm test.
import { spawnSync } from 'node:child_process';
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { CONSTANTS, type Constant } from '../core/foundations/sources/index.ts';

const root = new URL('../', import.meta.url);
const SHARE = 1.25;
type End = 'low' | 'best' | 'high';

const files = readdirSync(new URL('core/', root), { recursive: true, encoding: 'utf8' })
  .filter(
    (path) => path.endsWith('.ts') && !/\.test(-help)?\.ts$/.test(path) && !path.startsWith('foundations/sources/'),
  )
  .map((path) => ({
    room: dirname(path).split('/').slice(0, 2).join('/'),
    text: readFileSync(new URL(`core/${path}`, root), 'utf8'),
  }));
const roomsOf = (id: string) => [...new Set(files.filter((f) => f.text.includes(`'${id}'`)).map((f) => f.room))];

/**
 * The interval with one end moved outwards by a quarter, the best value towards its high end; a plain number grows by a
 * quarter.
 */
function changed({ value: { low, best, high } }: Constant, end: End) {
  if (low === high) return { low: low * SHARE, best: best * SHARE, high: high * SHARE };
  if (end === 'low') return { low: low / SHARE, best, high };
  if (end === 'high') return { low, best, high: high * SHARE };
  return { low, best: best + 0.6 * (high - best), high };
}

/** Whether a test fails with the changed constant. */
const noticed = (name: string, value: object, tests: string) =>
  spawnSync('npx', ['vitest', 'run', '--config', 'vitest.constants.config.ts', '--reporter=dot'], {
    cwd: root,
    env: { ...process.env, ZEVRIN_CONSTANT: JSON.stringify({ name, value }), ZEVRIN_TESTS: tests },
    encoding: 'utf8',
  }).status !== 0;

// A test that fails anyway would be taken for one that notices.
const nothing = CONSTANTS.personHeavyKg.value;
if (noticed('personHeavyKg', nothing, 'core/things/friction/**/*.test.ts core/rigs/catch/**/*.test.ts'))
  throw new Error('The tests fail without any change.');

const EVERYTHING = 'core/**/*.test.ts cli/**/*.test.ts';
const asked = process.argv.slice(2).filter((a) => a !== '--own');
const ownOnly = process.argv.includes('--own');
const results: { name: string; end: End; by: string | null }[] = [];
for (const [name, constant] of Object.entries<Constant>(CONSTANTS)) {
  if (asked.length > 0 && !asked.includes(name)) continue;
  const ends: End[] = constant.value.low === constant.value.high ? ['best'] : ['low', 'best', 'high'];
  for (const end of ends) {
    const value = changed(constant, end);
    // An end at zero has no quarter.
    if (value[end] === constant.value[end]) continue;
    const rooms = roomsOf(name);
    const own = rooms.map((room) => `core/${room}/**/*.test.ts`).join(' ');
    let by: string | null = null;
    if (rooms.length > 0 && noticed(name, value, own)) by = rooms.join(', ');
    else if (!ownOnly && noticed(name, value, EVERYTHING)) by = 'the whole core';
    results.push({ name, end, by });
    console.log(`${by === null ? 'NOT NOTICED' : 'noticed'} ${name} ${end}${by === null ? '' : ` (${by})`}`);
  }
}
const missed = results.filter((r) => r.by === null);
console.log(`${results.length - missed.length} of ${results.length} changes noticed`);
mkdirSync(new URL('.mutants/', root), { recursive: true });
writeFileSync(new URL('.mutants/constants.json', root), JSON.stringify(results, null, 1));
