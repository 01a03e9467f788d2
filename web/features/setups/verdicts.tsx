import { useMemo } from 'react';
import { assess } from '@core/assess';
import { assessChoice } from '@core/assess-choice';
import type { Finding, Severity } from '@core/finding';
import type { Choice, Setup } from '@core/rig';
import { SeverityMark } from '../../ui/SeverityMark';

interface Judged {
  readonly verdict: Severity;
  readonly findings: readonly Finding[];
}

function Verdict({ verdict, findings }: Judged) {
  const count = findings.filter((f) => f.severity === verdict).length;
  return (
    <>
      <SeverityMark severity={verdict} withWord />
      {verdict !== 'clear' && <span className="num ml-2 text-ink-2">×{count}</span>}
    </>
  );
}

/** Worst severity of a set-up and how often it was found, for a list. */
export function SetupVerdict({ setup }: { setup: Setup }) {
  return <Verdict {...useMemo(() => assess(setup), [setup])} />;
}
export function ChoiceVerdict({ choice }: { choice: Choice }) {
  return <Verdict {...useMemo(() => assessChoice(choice), [choice])} />;
}
