// Draws the map of rooms in docs/architecture.md from the imports. Run by `npm run docs`; a test holds the file against them.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';

const root = join(import.meta.dirname, '..');
const file = join(root, 'docs/architecture.md');
/** What each room is about, from the lowest floor up. */
const ABOUT: Readonly<Record<string, string>> = {
  units: 'quantities with units, intervals, how numbers are read and printed',
  vocabulary: 'the same texts in the words of two regions',
  sources: 'constants, thresholds and where each comes from',
  finding: 'what a judge says: code, severity, sentence, reason, remedy, numbers',
  gear: 'items, people, families of devices, the row of each job',
  bench: 'a bollard tuned to a rope',
  fit: 'a rope in a device, for a job',
  friction: 'turns, hitches, the brake hand',
  geometry: 'lengths, reach, edges, knots',
  connector: 'a connector in a device, every way round',
  rig: 'the set-up: persons, lines, attachments; templates, changes, variations',
  catch: 'falls, simulated',
  parts: 'judges of one element, and the questions that a set-up asks',
  between: 'judges of two elements that touch',
  hold: 'what still holds when something lets go',
  sequence: 'orders of steps and what goes wrong in them',
  check: 'the items of the check before use',
  log: 'records of checks and uses',
  hands: 'the trainer of the brake hand',
  files: 'files, their versions, what is refused and where',
  assess: 'all judges over one set-up: findings and verdict',
  choose: 'combinations of gear, the six questions, what to say next',
  samples: 'invented gear, people and set-ups',
};

function sourcesIn(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((e) => e.isFile() && /\.ts$/.test(e.name) && !/\.test(-help)?\.ts$/.test(e.name))
    .map((e) => readFileSync(join(e.parentPath, e.name), 'utf8'));
}

/** The rooms of the core, each with the rooms that it imports. */
export function roomsOfCore() {
  const names = readdirSync(join(root, 'core'), { withFileTypes: true }).flatMap((e) =>
    e.isDirectory() ? [e.name] : [],
  );
  return names.map((name) => {
    const imported = sourcesIn(join(root, 'core', name)).flatMap((text) =>
      [...text.matchAll(/from '(?:\.\.\/)+([a-z]+)\/index\.ts'/g)].map(([, room]) => room!),
    );
    return { name, imports: names.filter((room) => room !== name && imported.includes(room)) };
  });
}

/** Rooms by floor: each stands one above the highest that it imports. */
export function floors(rooms: ReturnType<typeof roomsOfCore>): string[][] {
  const byName = new Map(rooms.map((room) => [room.name, room]));
  const floorOf = (name: string): number =>
    1 + Math.max(-1, ...(byName.get(name)?.imports ?? []).filter((room) => byName.has(room)).map(floorOf));
  const all: string[][] = [];
  for (const { name } of rooms) (all[floorOf(name)] ??= []).push(name);
  return all;
}

/** The whole of docs/architecture.md: what is written by hand, then the map as the imports have it now. */
export function architectureText(before: string): string {
  const rooms = roomsOfCore();
  const rows = floors(rooms).flatMap((names, floor) =>
    names.map((name) => {
      const { imports } = rooms.find((room) => room.name === name)!;
      const about = ABOUT[name];
      if (about === undefined) throw new Error(`scripts/rooms.ts does not say what core/${name} is about`);
      return `| ${floor} | \`${name}\` | ${about} | ${imports.join(', ')} |`;
    }),
  );
  return `${before.slice(0, before.indexOf('## Rooms of the core'))}## Rooms of the core

Drawn from the imports (\`npm run docs\`). A room stands one floor above the highest that it imports.

| floor | room | what it is about | imports |
| --- | --- | --- | --- |
${rows.reverse().join('\n')}
`;
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href)
  writeFileSync(file, architectureText(readFileSync(file, 'utf8')));
