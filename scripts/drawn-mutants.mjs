// For stryker.config.mjs, in a process of its own: draws mutants of rooms at random (how many, which kinds to leave out, rooms), where all of them would take hours. Of one seed, so that a
// score can be had again: with `--score` before the rest, what the last report says of those that were drawn. What lies inside of one is tried with it, and counts for nothing.
import { readdirSync, readFileSync } from 'node:fs';
import { Instrumenter } from '@stryker-mutator/instrumenter';

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

const score = process.argv[2] === '--score';
const [count, excluded, ...rooms] = process.argv.slice(score ? 3 : 2);
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

if (score) {
  const { files: reported } = JSON.parse(readFileSync('.mutants/report.json', 'utf8'));
  const counts = {};
  for (const { fileName, location, mutatorName, replacementCode } of drawn) {
    const { line, column } = location.start;
    const found = (reported[fileName]?.mutants ?? []).find(
      (r) =>
        r.mutatorName === mutatorName &&
        r.replacement === replacementCode &&
        r.location.start.line === line + 1 &&
        r.location.start.column === column + 1,
    );
    const status = found?.status ?? 'not in the report';
    counts[status] = (counts[status] ?? 0) + 1;
    if (status !== 'Killed' && status !== 'Timeout')
      console.log(`${fileName}:${line + 1}:${column + 1} ${status} ${mutatorName} ${replacementCode}`);
  }
  console.log(counts);
} else
  process.stdout.write(
    JSON.stringify(
      drawn.map(
        ({ fileName, location: { start, end } }) =>
          `${fileName}:${start.line + 1}:${start.column}-${end.line + 1}:${end.column}`,
      ),
    ),
  );
