// For stryker.config.mjs, in a process of its own: draws mutants of rooms at random (how many, which kinds to leave
// out, rooms), where all of them would take hours. Of one seed, so that a score can be had again.
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { Instrumenter } from '@stryker-mutator/instrumenter';
import { DRAWN, keyOf } from './drawn-checker.mjs';

const quiet = new Proxy({}, { get: () => () => false });

/** A number of 0 to 1, the next of its row (mulberry32). */
function random(seed) {
  let a = seed;
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const [count, excluded, ...rooms] = process.argv.slice(2);
const files = rooms.flatMap((room) =>
  readdirSync(room, { recursive: true })
    .filter((name) => name.endsWith('.ts') && !/\.test(-help)?\.ts$/.test(name))
    .sort()
    .map((name) => ({ name: `${room}/${name}`, mutate: true, content: readFileSync(`${room}/${name}`, 'utf8') })),
);
const { mutants } = await new Instrumenter(quiet).instrument(files, {
  plugins: null,
  excludedMutations: excluded.split(','),
  ignorers: [],
});
const next = random(29);
const drawn = mutants
  .filter((m) => !m.ignoreReason && !excluded.split(',').includes(m.mutatorName))
  .map((m) => ({ m, at: next() }))
  .sort((x, y) => x.at - y.at)
  .slice(0, Number(count))
  .map(({ m }) => m);

mkdirSync('.mutants', { recursive: true });
writeFileSync(DRAWN, JSON.stringify(drawn.map(keyOf)));
// What lies inside of a range is found with it; the checker leaves it out again.
process.stdout.write(
  JSON.stringify(
    drawn.map(
      ({ fileName, location: { start, end } }) =>
        `${fileName}:${start.line + 1}:${start.column}-${end.line + 1}:${end.column}`,
    ),
  ),
);
