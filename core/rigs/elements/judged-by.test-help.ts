import type { Finding } from '../../foundations/finding/index.ts';
import type { Setup } from '../rig/index.ts';
import { variedSetups } from '../../samples/index.ts';
import { contextOf, type Judge } from './index.ts';

const isJudge = (x: unknown): x is Judge => typeof x === 'object' && x !== null && 'judge' in x && 'subjects' in x;

/** What the judges of one room say of a set-up, and no other: a fraction of the work of all of them. */
export function judgedBy(room: object): (setup: Setup) => Finding[] {
  const judges = Object.values(room).filter(isJudge);
  return (setup) => {
    const ctx = contextOf(setup);
    return judges.flatMap((judge) => judge.subjects(ctx).flatMap((ref) => judge.judge(ref, ctx)));
  };
}

const three = (x: number): string => (Number.isFinite(x) ? String(Number(x.toPrecision(3))) : '-');

/** What is said of a set-up, a line each, with the numbers behind it. */
const toldOf = (findings: readonly Finding[]): string[] =>
  findings.map(
    (f) =>
      `${f.severity} ${f.code} ${f.subject.join()}: ${f.numbers.map((n) => `${n.key} ${three(n.value.low)} ${three(n.value.best)} ${three(n.value.high)}`).join('; ')}`,
  );

/**
 * Of each sample all its lines; of each variation those that its sample does not have and, with a minus, those that it
 * has and the variation has not. Where a variation does the same to several samples it stands once, with all their
 * names.
 */
export function byVariation(linesOf: (setup: Setup) => readonly string[]): [names: string, lines: string][] {
  const samples = new Map<string, readonly string[]>();
  const alike = new Map<string, { lines: string; variation: string; of: string[] }>();
  for (const { name, setup } of variedSetups()) {
    const [of, variation = ''] = name.split(' + ') as [string, string?];
    const all = linesOf(setup);
    if (!variation) samples.set(of, all);
    const before = variation ? samples.get(of)! : [];
    const gone = before.filter((line) => !all.includes(line)).map((line) => `- ${line.split(':')[0]!}`);
    const lines = [...all.filter((line) => !before.includes(line)), ...gone].join('\n');
    const key = `${variation}\n${lines}`;
    const there = alike.get(key);
    if (there) there.of.push(of);
    else alike.set(key, { lines, variation, of: [of] });
  }
  return [...alike.values()].map(({ lines, variation, of }) => [
    `${of.join(', ')}${variation && ` + ${variation}`}`,
    lines,
  ]);
}

/** What the judges of one room tell of every sample and of every variation. */
export const toldBy = (room: object): [name: string, lines: string][] => {
  const judged = judgedBy(room);
  return byVariation((setup) => toldOf(judged(setup)));
};
