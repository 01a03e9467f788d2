import { readFileSync } from 'node:fs';
import { assess } from '../core/assess.ts';
import { assessChoice } from '../core/assess-choice.ts';
import { readDocument, type Document, type FileIssue } from '../core/files/index.ts';
import { FINDING_CODES, renderFinding } from '../core/finding/index.ts';
import { DEVICE_FAMILIES, JOBS } from '../core/gear/index.ts';
import { SAMPLES } from '../core/samples/index.ts';

const USAGE = `zevrin assess FILE   findings of the set-up or choice in FILE as JSON (- reads standard input)
zevrin sample NAME   a demo set-up or choice to start from
zevrin list          samples, jobs, device families and finding codes
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

function assessFile(io: Io, path: string): number {
  let text: string;
  try {
    text = io.read(path);
  } catch (error) {
    io.err(`${path}: cannot be read: ${(error as Error).message}\n`);
    return 2;
  }
  const result = readDocument(text);
  if (!result.ok) return refuse(io, result.issues);
  if (result.value.kind === 'workspace') {
    return refuse(io, [
      {
        path: 'kind',
        read: JSON.stringify(result.value.kind),
        message: 'A file with one set-up or one choice is needed: kind must be "setup" or "choice".',
      },
    ]);
  }
  const { verdict, findings, ...more } = judged(result.value);
  const rendered = findings.map((finding) => ({ ...finding, ...sentences(finding) }));
  io.out(`${JSON.stringify({ verdict, ...more, findings: rendered }, null, 2)}\n`);
  return 0;
}

/** Verdict and findings of a set-up; of a choice also what was not assessed for its job. */
function judged(document: Exclude<Document, { kind: 'workspace' }>) {
  if (document.kind === 'choice') {
    const { verdict, findings, notAssessed } = assessChoice(document.choice);
    return { verdict, findings, notAssessed };
  }
  const { verdict, findings } = assess(document.setup);
  return { verdict, findings };
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
