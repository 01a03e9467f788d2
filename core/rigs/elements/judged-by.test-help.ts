import type { Finding } from '../../foundations/finding/index.ts';
import type { Setup } from '../rig/index.ts';
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
export const toldOf = (findings: readonly Finding[]): string =>
  findings
    .map(
      (f) =>
        `${f.severity} ${f.code} ${f.subject.join()}: ${f.numbers.map((n) => `${n.key} ${three(n.value.low)} ${three(n.value.best)} ${three(n.value.high)}`).join('; ')}`,
    )
    .join('\n');
