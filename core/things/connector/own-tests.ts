import { finding, overall, worstFirst, type Finding, literal } from '../../foundations/finding/index.ts';
import { gateGoneSeverity } from './way-clipping.ts';
import { testsOf, type WayTest } from './way-test.ts';
import type { WayInput } from './way-input.ts';
import { compareWays, judgeWays, type WayReport } from './ways.ts';

const BAD = {
  wedged: 'it wedged',
  'sleeve-entered': 'the sleeve entered',
  'could-not-turn': 'it could not turn',
} as const;

/**
 * A person's own results beside the computed findings. A bad one worsens the verdict, whatever came after it; a good
 * one is shown and takes nothing away.
 */
export function withOwnTests(input: WayInput, report: WayReport, tests: readonly WayTest[]): WayReport {
  const { connector, device, load } = input;
  const own = testsOf(tests, connector.id, device.id, report.way);
  const added: Finding[] = [];
  for (const result of Object.keys(BAD) as (keyof typeof BAD)[]) {
    const times = own.filter((t) => t.result === result).length;
    if (times === 0) continue;
    const severity =
      result === 'sleeve-entered' ? gateGoneSeverity(input, report.loadKn) : load.tended ? 'mind' : 'stop';
    added.push(
      finding({
        code: 'connector.own-test-bad',
        severity,
        subject: ['deviceConnector', 'device'],
        says: `When you tried ${literal(connector.name)} in ${literal(device.name)} this way, ${BAD[result]}.`,
        because: times === 1 ? 'Your own test, once.' : `Your own tests, ${times} times.`,
        remedy: 'Use another way or another connector.',
      }),
    );
  }
  if (own.some((t) => t.result === 'worked')) {
    added.push(
      finding({
        code: 'connector.own-test-worked',
        severity: 'clear',
        subject: ['deviceConnector', 'device'],
        says: `When you tried ${literal(connector.name)} in ${literal(device.name)} this way, it worked.`,
        because: 'Your own test. It takes nothing away from what was computed.',
      }),
    );
  }
  if (added.length === 0) return report;
  const findings = worstFirst([...report.findings, ...added]);
  return { ...report, findings, severity: overall(findings) };
}

/** All ways with the person's own results, best first. */
export const judgeTestedWays = (input: WayInput, tests: readonly WayTest[]): WayReport[] =>
  judgeWays(input)
    .map((report) => withOwnTests(input, report, tests))
    .sort(compareWays);
