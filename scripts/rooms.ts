// Draws the map of rooms in docs/architecture.md from the imports. Run by `npm run docs`; a test holds the file against
// them.
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { basename, dirname, join, relative } from 'node:path';
import { pathToFileURL } from 'node:url';

const root = join(import.meta.dirname, '..');
const file = join(root, 'docs/architecture.md');
/** From the roof down; the samples stand on it. */
const STOREYS = ['', 'teaching', 'records', 'answers', 'rigs', 'things', 'foundations'];

/** What each room is about, from the lowest floor up. */
const ABOUT: Readonly<Record<string, string>> = {
  units: 'quantities with units, intervals, how numbers are read and printed',
  vocabulary: 'the same texts in the words of two regions',
  sources: 'constants, thresholds and where each comes from',
  finding: 'what a judge says: code, severity, sentence, reason, remedy, numbers',
  gear: 'items, people, families of devices, the row of each job',
  tuning: 'a bollard tuned to a rope',
  fit: 'a rope in a device, for a job',
  friction: 'turns, hitches, the brake hand',
  geometry: 'lengths, reach, edges, knots',
  connector: 'a connector in a device, every way round',
  rig: 'the set-up: persons, lines, attachments; templates, changes, variations',
  catch: 'falls, simulated',
  elements: 'judges of one element, and the questions that a set-up asks',
  pairs: 'judges of two elements that touch',
  redundancy: 'what still holds when something lets go',
  procedures: 'orders of steps and what goes wrong in them',
  check: 'the items of the check before use',
  log: 'records of checks and uses',
  trainer: 'the trainer of the brake hand',
  files: 'files, their versions, what is refused and where',
  assess: 'all judges over one set-up: findings and verdict',
  planning: 'combinations of gear, the six questions, what to say next',
  samples: 'invented gear, people and set-ups',
};

const isProduct = (name: string) => /\.ts$/.test(name) && !/\.test(-help)?\.ts$/.test(name);

interface Room {
  /** The folder of the storey it stands on; the samples stand on the roof. */
  readonly storey: string;
  readonly name: string;
  readonly imports: readonly string[];
}

/** The rooms of the core, each with the rooms that it imports. */
export function roomsOfCore(): Room[] {
  const core = join(root, 'core');
  const folders = (of: string) =>
    readdirSync(of, { withFileTypes: true }).flatMap((e) => (e.isDirectory() ? [join(of, e.name)] : []));
  const isRoom = (folder: string) => existsSync(join(folder, 'index.ts'));
  const all = folders(core).flatMap((folder) => (isRoom(folder) ? [folder] : folders(folder)));
  return all.map((folder) => {
    const imported = readdirSync(folder, { withFileTypes: true, recursive: true })
      .filter((e) => e.isFile() && isProduct(e.name))
      .flatMap((e) =>
        [...readFileSync(join(e.parentPath, e.name), 'utf8').matchAll(/from '(\.\.\/[^']*)\/index\.ts'/g)].map(
          ([, to]) => join(e.parentPath, to!),
        ),
      );
    return {
      storey: relative(core, dirname(folder)),
      name: basename(folder),
      imports: all.filter((room) => room !== folder && imported.includes(room)).map((room) => basename(room)),
    };
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
  const all = floors(rooms);
  const floorOf = (name: string) => all.findIndex((names) => names.includes(name));
  const storeys = STOREYS.map((storey) => rooms.filter((room) => room.storey === storey));
  if (storeys.flat().length !== rooms.length) throw new Error('scripts/rooms.ts does not know a storey');
  const rows = storeys.flatMap((its) =>
    its
      .sort((a, b) => floorOf(b.name) - floorOf(a.name))
      .map(({ name, storey, imports }) => {
        const about = ABOUT[name];
        if (about === undefined) throw new Error(`scripts/rooms.ts does not say what ${name} is about`);
        return `| ${storey} | \`${name}\` | ${floorOf(name)} | ${about} | ${imports.join(', ')} |`;
      }),
  );
  return `${before.slice(0, before.indexOf('## Rooms of the core'))}## Rooms of the core

Drawn from the imports (\`npm run docs\`). The folders of \`core/\` are its storeys; each looks down only. A room stands one floor above the highest that it imports.

| storey | room | floor | what it is about | imports |
| --- | --- | --- | --- | --- |
${rows.join('\n')}
`;
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href)
  writeFileSync(file, architectureText(readFileSync(file, 'utf8')));
