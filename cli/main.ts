import { parseArgs } from 'node:util';
import { assess } from '../core/answers/assess/index.ts';
import {
  decodeText,
  readDocument,
  refusedAt,
  setupJsonSchema,
  type Document,
  type Refused,
} from '../core/records/files/index.ts';
import {
  FINDING_CODES,
  METRIC,
  renderFinding,
  renderSentence,
  type Finding,
  type Sentence,
} from '../core/foundations/finding/index.ts';
import { DEVICE_FAMILIES, JOBS } from '../core/things/gear/index.ts';
import { hanging, holdsFromRig, minimalCutSets, singlePointsOf } from '../core/answers/redundancy/index.ts';
import { contextOf } from '../core/rigs/elements/index.ts';
import { TEMPLATES, VARIATIONS } from '../core/rigs/rig/index.ts';
import { SAMPLES } from '../core/samples/index.ts';
import { PROCEDURES } from '../core/answers/procedures/index.ts';
import { CATCH_OPTIONS, catchReport } from './catch-report.ts';
import { CHECK_OPTIONS, checkReport } from './check-report.ts';
import { sequenceReport } from './sequence-report.ts';

const USAGE = `zevrin assess FILE...  findings of each set-up, one JSON object a line (- reads standard input: one set-up, or one a line)
zevrin holds FILE      ways of being held, what can let go, and the minimal sets up to pairs after which nothing holds
zevrin check FILE      the items of the check before use, with its words and seconds; --depth whole, next-go or four-looks; --since same, changed-over, next-route ...
zevrin catch FILE      ten thousand falls: forces in N, lengths in m, shares; --climberM 10 --lastPieceM 8 --firstPieceM 3 --slackM 0.5 ...
zevrin sequence FILE   breaches and critical steps of an order of steps
zevrin sample NAME     a demo set-up or order of steps to start from
zevrin schema          the JSON Schema of a set-up
zevrin list            samples, jobs, templates, variations, device families, procedures and finding codes
`;

export interface Io {
  readonly out: (text: string) => void;
  readonly err: (text: string) => void;
  /** The bytes of a file, as many as a Zevrin file may have and one more. Throws with a sentence. */
  readonly read: (path: string) => Uint8Array;
}

/** Says what is wrong in a file, with its path; with several files, which one. */
function refuse(io: Io, { issues, more }: Refused, of = ''): null {
  for (const { path, read, message } of issues) io.err(`${of}${path || '(file)'}: ${message} Read: ${read}\n`);
  if (more > 0) io.err(`${of}and ${more} more.\n`);
  return null;
}

function textOf(io: Io, path: string): string | null {
  try {
    const text = decodeText(io.read(path));
    return text.ok ? text.value : refuse(io, text, `${path}: `);
  } catch (error) {
    io.err(`${path}: cannot be read: ${(error as Error).message}\n`);
    return null;
  }
}

/** The document in a text when it is of the wanted kind; otherwise says what is wrong. */
function documentIn<K extends Document['kind']>(
  io: Io,
  text: string,
  wanted: K,
  of = '',
): Extract<Document, { kind: K }> | null {
  const result = readDocument(text);
  if (!result.ok) return refuse(io, result, of);
  if (result.value.kind !== wanted) {
    const message = `Another kind of file is needed: kind must be "${wanted}".`;
    return refuse(io, refusedAt('kind', JSON.stringify(result.value.kind), message), of);
  }
  return result.value as Extract<Document, { kind: K }>;
}
const fileOf = <K extends Document['kind']>(io: Io, path: string, wanted: K) => {
  const text = textOf(io, path);
  return text === null ? null : documentIn(io, text, wanted);
};

const json = (io: Io, value: unknown, indent = 2) => io.out(`${JSON.stringify(value, null, indent)}\n`);

/** Sentences with their numbers filled in, metric; the numbers themselves stay in the units their quantity names. */
function rendered(finding: Finding) {
  const { says, because, remedy } = renderFinding(finding, METRIC);
  return { ...finding, says, because, remedy };
}

/** One line of JSON for each set-up; what is wrong is said and the others go on. */
function assessFiles(io: Io, paths: readonly string[]): number {
  let code = 0;
  for (const path of paths) {
    const text = textOf(io, path);
    const several = paths.length > 1 ? `${path}: ` : '';
    const documents = text === null ? [] : path === '-' ? linesOf(text) : [text];
    if (text === null) code = 2;
    documents.forEach((one, i) => {
      const of = documents.length > 1 ? `${several}line ${i + 1}: ` : several;
      const document = documentIn(io, one, 'setup', of);
      if (!document) code = 2;
      else {
        const { verdict, findings } = assess(document.setup);
        const { id, name } = document.setup;
        json(io, { id, name, verdict, findings: findings.map(rendered) }, 0);
      }
    });
  }
  return code;
}

/** Standard input is one document, or one on each line. */
function linesOf(text: string): string[] {
  try {
    JSON.parse(text);
    return [text];
  } catch {
    const lines = text.split('\n').filter((line) => line.trim() !== '');
    return lines.length > 1 && lines.every((line) => line.trimStart().startsWith('{') && line.trimEnd().endsWith('}'))
      ? lines
      : [text];
  }
}

/** With its reason as a sentence in metres and newtons. */
const spoken = <T extends { readonly because: Sentence }>(entry: T) => ({
  ...entry,
  because: renderSentence(entry.because, METRIC),
});

/**
 * For everybody who hangs: ways of being held, what does not count, what can let go, and what together leaves nothing.
 */
function holdsFile(io: Io, path: string): number {
  const document = fileOf(io, path, 'setup');
  if (!document) return 2;
  const { findings } = assess(document.setup);
  const missing = findings.filter((f) => f.code === 'rig.part-missing');
  const ctx = contextOf(document.setup);
  json(io, {
    notChosen: missing.map((f) => renderFinding(f, METRIC).says),
    persons: hanging(ctx).map((person) => {
      const model = holdsFromRig(ctx, person, findings);
      return {
        person: person.item?.name ?? person.role,
        holds: model.holds,
        doNotCount: model.noHolds.map(spoken),
        faults: model.faults.map(({ id, part, says, basic }) => ({ id, part, says, basic })),
        consequences: model.consequences.map(spoken),
        commonCauses: model.causes,
        minimalSets: minimalCutSets(model, 2),
        singlePoints: singlePointsOf(ctx, model, findings).map(({ fault, accepted, inspect }) => ({
          fault: fault.id,
          accepted,
          inspect,
        })),
      };
    }),
  });
  return 0;
}

function checkFile(io: Io, path: string, given: Readonly<Record<string, string>>): number {
  const document = fileOf(io, path, 'setup');
  if (!document) return 2;
  const result = checkReport(document.setup, given);
  if (result.ok) json(io, result.report);
  else io.err(`${result.says}\n`);
  return result.ok ? 0 : 2;
}

function catchFile(io: Io, path: string, given: Readonly<Record<string, string>>): number {
  const document = fileOf(io, path, 'setup');
  if (!document) return 2;
  const result = catchReport(document.setup, given);
  if (result.ok) json(io, result.report);
  else for (const line of result.says) io.err(`${line}\n`);
  return result.ok ? 0 : 2;
}

function sequenceFile(io: Io, path: string): number {
  const document = fileOf(io, path, 'sequence');
  if (!document) return 2;
  json(io, sequenceReport(document.sequence));
  return 0;
}

function sample(io: Io, name: string): number {
  const write = Object.hasOwn(SAMPLES, name) ? SAMPLES[name] : undefined;
  if (!write) {
    io.err(`no sample "${name}"; there are: ${Object.keys(SAMPLES).join(', ')}\n`);
    return 1;
  }
  io.out(write());
  return 0;
}

function list(io: Io): number {
  const named = <T>(record: Readonly<Record<string, T>>, of: (value: T) => string) =>
    Object.fromEntries(Object.entries(record).map(([key, value]) => [key, of(value)]));
  json(io, {
    samples: Object.keys(SAMPLES),
    jobs: JOBS,
    templates: named(TEMPLATES, (t) => t.label),
    variations: Object.fromEntries(VARIATIONS.map((v) => [v.id, v.label])),
    deviceFamilies: DEVICE_FAMILIES,
    procedures: named(PROCEDURES, (p) => p.title),
    findingCodes: named(FINDING_CODES, (c) => c.title),
  });
  return 0;
}

/** Commands by how many files or names they take. */
const ONE: Readonly<Record<string, (io: Io, operand: string) => number>> = {
  holds: holdsFile,
  sequence: sequenceFile,
  sample,
};
const NONE: Readonly<Record<string, (io: Io) => number>> = {
  schema: (io) => {
    json(io, setupJsonSchema());
    return 0;
  },
  list,
};

/** Options of the commands that take some. */
const OPTIONS: Readonly<Record<string, readonly string[]>> = { catch: CATCH_OPTIONS, check: CHECK_OPTIONS };

/** Runs one command. @returns the exit code: 0 done, 1 wrong usage, 2 a file that is wrong. */
export function run(args: readonly string[], io: Io): number {
  const usage = (why = '') => {
    io.err(`${why}${USAGE}`);
    return 1;
  };
  let positionals: string[];
  let given: Readonly<Record<string, string>>;
  try {
    const parsed = parseArgs({
      args: [...args],
      allowPositionals: true,
      options: {
        help: { type: 'boolean', short: 'h' },
        ...Object.fromEntries([...CATCH_OPTIONS, ...CHECK_OPTIONS].map((name) => [name, { type: 'string' }] as const)),
      },
    });
    if (parsed.values.help) {
      io.out(USAGE);
      return 0;
    }
    positionals = parsed.positionals;
    given = Object.fromEntries(
      Object.entries(parsed.values).flatMap(([key, value]) => (typeof value === 'string' ? [[key, value]] : [])),
    );
  } catch (error) {
    return usage(`${(error as Error).message}\n`);
  }
  const [command = '', ...operands] = positionals;
  const astray = Object.keys(given).find((name) => !OPTIONS[command]?.includes(name));
  if (astray)
    return usage(`--${astray} is for ${Object.keys(OPTIONS).find((of) => OPTIONS[of]!.includes(astray))!} only.\n`);
  if (command === 'catch' && operands.length === 1) return catchFile(io, operands[0]!, given);
  if (command === 'check' && operands.length === 1) return checkFile(io, operands[0]!, given);
  if (command === 'assess' && operands.length > 0) return assessFiles(io, operands);
  if (Object.hasOwn(ONE, command) && operands.length === 1) return ONE[command]!(io, operands[0]!);
  if (Object.hasOwn(NONE, command) && operands.length === 0) return NONE[command]!(io);
  return usage();
}
