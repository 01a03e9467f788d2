// Writes the tables of constants, families and sources into docs/method.md from the registers. Run after changing one;
// a test holds the file against them.
import { readFileSync, writeFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { FAMILIES, JOBS, type FamilyTraits } from '../core/things/gear/index.ts';
import { CONSTANTS, SOURCES, type Constant, type Source } from '../core/foundations/sources/index.ts';

const file = new URL('../docs/method.md', import.meta.url);
const list = <T>(record: Readonly<Record<string, T>>): [string, T][] => Object.entries(record);
const row = (...cells: string[]) => `| ${cells.map((c) => c.replaceAll('|', '/')).join(' | ')} |`;
const table = (head: string[], rows: string[]) => [row(...head), row(...head.map(() => '---')), ...rows].join('\n');

const constants = list<Constant>(CONSTANTS).map(([id, { value, unit, meaning, source }]) =>
  row(
    `\`${id}\``,
    value.low === value.high ? `${value.best}` : `${value.low} … **${value.best}** … ${value.high}`,
    unit,
    meaning,
    `\`${source}\``,
  ),
);
const families = list<FamilyTraits>(FAMILIES).map(([, { label, made, declaredOnly, strands, handOff }]) =>
  row(
    label,
    made.map((j) => JOBS[j]).join('; '),
    declaredOnly.map((j) => JOBS[j]).join('; '),
    strands,
    handOff ?? 'not declared',
  ),
);
const sources = list<Source>(SOURCES).map(([id, { kind, title, note }]) => row(`\`${id}\``, kind, title, note));

/** The whole of docs/method.md: what is written by hand, then the tables as the registers have them now. */
export function methodText(before: string): string {
  return `${before.slice(0, before.indexOf('## Constants'))}## Constants

${table(['constant', 'low … best … high', 'unit', 'meaning', 'source'], constants)}

## Families of devices

Common practice (\`practice-families\`); what the maker of a model declares comes first.

${table(['family', 'made for', 'only where declared', 'strands', 'hand lets go'], families)}

## Sources

${table(['id', 'kind', 'source', 'note'], sources)}
`;
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href)
  writeFileSync(file, methodText(readFileSync(file, 'utf8')));
