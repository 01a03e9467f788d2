import { readFileSync } from 'node:fs';
import { assess } from '../core/assess.ts';
import { assessChoice } from '../core/assess-choice.ts';
import { readDocument, type Document, type FileIssue } from '../core/files/index.ts';
import { FINDING_CODES, renderFinding } from '../core/finding/index.ts';
import { DEVICE_FAMILIES, JOBS } from '../core/gear/index.ts';
import {
  criticalOf,
  deviationText,
  explore,
  orderVerdict,
  pausesOf,
  PROCEDURES,
  stepsOf,
  walk,
} from '../core/sequence/index.ts';
import { SAMPLES } from '../core/samples/index.ts';

const USAGE = `zevrin assess FILE   findings of the set-up or choice in FILE as JSON (- reads standard input)
zevrin sequence FILE breaches and critical steps of the order of steps in FILE as JSON
zevrin sample NAME   a demo set-up, choice or order of steps to start from
zevrin list          samples, jobs, device families, procedures and finding codes
`;

interface Io {
  readonly out: (text: string) => void;
  readonly err: (text: string) => void;
  readonly read: (path: string) => string;
}

function refuse(io: Io, issues: readonly FileIssue[]): number {
  for (const { path, read, message } of issues) io.err(`${path || '(file)'}: ${message} Read: ${read}\n`);
  return 2;
}

/** The document in a file when it is of a wanted kind; otherwise says what is wrong. */
function fileOf<K extends Document['kind']>(
  io: Io,
  path: string,
  wanted: readonly K[],
): Extract<Document, { kind: K }> | null {
  let text: string;
  try {
    text = io.read(path);
  } catch (error) {
    io.err(`${path}: cannot be read: ${(error as Error).message}\n`);
    return null;
  }
  const result = readDocument(text);
  if (!result.ok) {
    refuse(io, result.issues);
    return null;
  }
  if (!wanted.some((kind) => kind === result.value.kind)) {
    refuse(io, [
      {
        path: 'kind',
        read: JSON.stringify(result.value.kind),
        message: `Another kind of file is needed: kind must be ${wanted.map((k) => `"${k}"`).join(' or ')}.`,
      },
    ]);
    return null;
  }
  return result.value as Extract<Document, { kind: K }>;
}

function assessFile(io: Io, path: string): number {
  const document = fileOf(io, path, ['setup', 'choice']);
  if (!document) return 2;
  const { verdict, findings, ...more } = judged(document);
  const rendered = findings.map((finding) => ({ ...finding, ...sentences(finding) }));
  io.out(`${JSON.stringify({ verdict, ...more, findings: rendered }, null, 2)}\n`);
  return 0;
}

/** Verdict and findings of a set-up; of a choice also what was not assessed for its job. */
function judged(document: Extract<Document, { kind: 'setup' | 'choice' }>) {
  if (document.kind === 'choice') {
    const { verdict, findings, notAssessed } = assessChoice(document.choice);
    return { verdict, findings, notAssessed };
  }
  const { verdict, findings } = assess(document.setup);
  return { verdict, findings };
}

/** Breaches of an order as it stands, and which single departures from it end in one. */
function sequenceFile(io: Io, path: string): number {
  const document = fileOf(io, path, ['sequence']);
  if (!document) return 2;
  const { sequence } = document;
  const shipped = PROCEDURES[sequence.procedure];
  const steps = stepsOf(sequence);
  const named = (at: number) => ({ place: at + 1, step: sequence.steps[at]!.id });
  const moments = walk(sequence);
  const { severity: verdict, missing } = orderVerdict(sequence, moments);
  const breaches = moments
    .slice(1)
    .flatMap(({ breaches: found }, i) => found.map(({ kind, says }) => ({ ...named(i), kind, says })));
  const cannot = moments.slice(1).flatMap(({ stuck }, i) => (stuck ? [{ ...named(i), says: stuck }] : []));
  const explored = explore(shipped, steps);
  const critical = criticalOf(shipped, steps, explored);
  io.out(
    `${JSON.stringify(
      {
        procedure: sequence.procedure,
        verdict,
        missing,
        breaches,
        cannot,
        critical: critical.map(({ at, says, breach, breaksAt, seenAt, look }) => ({
          ...named(at),
          departure: says,
          kind: breach.kind,
          follows: breach.says,
          breaksAt: named(breaksAt),
          seenBefore: named(seenAt),
          look,
        })),
        worsePairs: explored.pairs.map(({ first, second, outcome }) => ({
          departures: [explored.deviations[first]!, explored.deviations[second]!].map((d) => deviationText(steps, d)),
          outcome,
        })),
        pauses: pausesOf(critical).map(({ before, looks }) => ({ before: named(before), looks })),
      },
      null,
      2,
    )}\n`,
  );
  return 0;
}

/** Sentences with their numbers filled in, metric; the numbers themselves stay in the units their quantity names. */
function sentences(finding: Parameters<typeof renderFinding>[0]) {
  const { says, because, remedy } = renderFinding(finding, 'metric');
  return { says, because, remedy };
}

/** Runs one command. @returns the exit code: 0 done, 1 wrong usage, 2 a file that is wrong. */
export function run(args: readonly string[], io: Io): number {
  const [command, operand, ...rest] = args;
  if (rest.length > 0) {
    io.err(USAGE);
    return 1;
  }
  if (command === 'assess' && operand) return assessFile(io, operand);
  if (command === 'sequence' && operand) return sequenceFile(io, operand);
  if (command === 'sample' && operand) {
    const sample = Object.hasOwn(SAMPLES, operand) ? SAMPLES[operand] : undefined;
    if (!sample) {
      io.err(`no sample "${operand}"; there are: ${Object.keys(SAMPLES).join(', ')}\n`);
      return 1;
    }
    io.out(sample());
    return 0;
  }
  if (command === 'list' && !operand) {
    io.out(
      `${JSON.stringify(
        {
          samples: Object.keys(SAMPLES),
          jobs: JOBS,
          deviceFamilies: DEVICE_FAMILIES,
          procedures: Object.fromEntries(Object.entries(PROCEDURES).map(([id, { title }]) => [id, title])),
          findingCodes: Object.fromEntries(Object.entries(FINDING_CODES).map(([code, { title }]) => [code, title])),
        },
        null,
        2,
      )}\n`,
    );
    return 0;
  }
  io.err(USAGE);
  return 1;
}

export const nodeIo: Io = {
  out: (text) => process.stdout.write(text),
  err: (text) => process.stderr.write(text),
  read: (path) => readFileSync(path === '-' ? 0 : path, 'utf8'),
};
