// Every sample, one thing changed at a time: every field to every other value and to "not said", every number to the
// ends of its range, every part taken away. What stays as quiet as before is printed by groups; a group without a
// reason in docs/mutations-of-setups.md fails the run. `--write` puts the groups that have none into that file, to be
// read and given one.
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { assessPlain } from '../core/answers/assess/index.ts';
import type { Finding } from '../core/foundations/finding/index.ts';
import {
  fieldsOf,
  removablesOf,
  setupSchema,
  withField,
  without,
  type Field,
  type Setup,
} from '../core/rigs/rig/index.ts';
import { filled, SETUPS } from '../core/samples/index.ts';

const file = new URL('../docs/mutations-of-setups.md', import.meta.url);

const openOf = (findings: readonly Finding[]): Set<string> =>
  new Set(findings.filter((f) => f.severity !== 'clear').map((f) => `${f.severity} ${f.code} ${f.subject.join()}`));

interface Change {
  /** What it is called in the list: the field without its place, and the value or where it lies to the one before. */
  readonly group: string;
  readonly make: (setup: Setup) => Setup;
}

/** A field by what it is of: a rope is a rope in every kind of line. */
const shortKind = (kind: string): string =>
  kind
    .replace(/^lines\/\w+\/rope[AB]?\/item\//, 'rope/')
    .replace(/^attachments\/end\/device\/item\//, 'device/')
    .replace(/^attachments\/end\/device\//, 'in the device/')
    .replace(/^attachments\/end\/hitch\/item\//, 'cord/')
    .replace(/^attachments\/end\//, '')
    .replace(/^attachments\/pieces\/(connector|sling)\/item\//, '$1/')
    .replace(/^attachments\/pieces\/(connector|sling)\//, '$1, as rigged/')
    .replace(/^persons\/item\//, 'person/')
    .replace(/^persons\//, 'person, here/');

function valueName({ now }: Field, value: unknown): string {
  if (value === null || value === 'unknown') return 'not said';
  if (typeof value !== 'number') return typeof value === 'string' ? value : JSON.stringify(value);
  if (typeof now !== 'number') return 'a number';
  return value < now ? 'less' : 'more';
}

function changesOf(setup: Setup): Change[] {
  return [
    ...fieldsOf(setup).flatMap((field): Change[] => {
      const values = [...field.others, ...(field.open === undefined || field.open === field.now ? [] : [field.open])];
      return values
        .filter((value) => value !== field.now)
        .map((value) => ({
          group: `${shortKind(field.kind)}: ${valueName(field, value)}`,
          make: (s) => withField(s, field.path, value),
        }));
    }),
    ...removablesOf(setup).map((part): Change => ({
      group: `taken away: ${part.label}`,
      make: (s) => without(s, part.id),
    })),
  ];
}

const silent = new Map<string, { readonly samples: Set<string>; changes: number }>();
let tried = 0;
let refused = 0;
for (const [name, sample] of Object.entries(SETUPS)) {
  const setup = filled(sample);
  const whole = assessPlain(setup);
  const [before, text] = [openOf(whole), JSON.stringify(whole)];
  for (const { group: field, make } of changesOf(setup)) {
    const next = make(setup);
    // What the schema refuses never reaches a judge: it is refused with its path.
    if (!setupSchema.safeParse(next).success) {
      refused += 1;
      continue;
    }
    tried += 1;
    const findings = assessPlain(next);
    if ([...openOf(findings)].some((f) => !before.has(f))) continue;
    const group = JSON.stringify(findings) === text ? `${field.split(':')[0]!}: not read here` : field;
    const found = silent.get(group) ?? { samples: new Set<string>(), changes: 0 };
    found.samples.add(name);
    found.changes += 1;
    silent.set(group, found);
  }
}

/** Rows of the list: `| group | reason |`, a group with a * stands for all that begin so. */
const reasons = existsSync(file)
  ? [...readFileSync(file, 'utf8').matchAll(/^\| `([^`]+)` +\| (.*?) *\|$/gm)].map(([, group, reason]) => ({
      group: group!,
      reason: reason!,
    }))
  : [];
const reasonFor = (group: string): string | undefined =>
  reasons.find((r) => r.group === group || (r.group.endsWith('*') && group.startsWith(r.group.slice(0, -1))))?.reason;

const groups = [...silent].sort(([a], [b]) => (a < b ? -1 : 1));
const open = groups.filter(([group]) => !reasonFor(group));
const quiet = groups.reduce((sum, [, g]) => sum + g.changes, 0);
for (const [group, { samples, changes }] of groups)
  console.log(`${reasonFor(group) ? ' ' : '?'} ${group}   ${changes} in ${[...samples].join(', ')}`);
const unused = reasons.filter(
  ({ group }) => !groups.some(([g]) => g === group || (group.endsWith('*') && g.startsWith(group.slice(0, -1)))),
);
for (const { group } of unused) console.log(`! ${group}   has a reason, and is not silent any more`);
console.log(
  `${refused} changes refused by the schema. ${tried} changes of ${Object.keys(SETUPS).length} samples; ${quiet} stay as they were, in ${groups.length} groups; ${open.length} groups without a reason, ${unused.length} reasons without a group`,
);
if (process.argv.includes('--write') && open.length > 0)
  writeFileSync(
    file,
    `${existsSync(file) ? readFileSync(file, 'utf8').trimEnd() : '| changed | why it may stay quiet |\n| --- | --- |'}\n${open.map(([group]) => `| \`${group}\` |  |`).join('\n')}\n`,
  );
process.exitCode = open.length + unused.length > 0 ? 1 : 0;
