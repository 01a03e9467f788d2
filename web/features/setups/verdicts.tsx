import { useMemo } from 'react';
import { assess } from '@core/assess';
import type { Setup } from '@core/rig';
import { SeverityMark } from '../../ui/SeverityMark';

/** Worst severity of a set-up and how often it was found, for a list. */
export function SetupVerdict({ setup }: { setup: Setup }) {
  const { verdict, findings } = useMemo(() => assess(setup), [setup]);
  const count = findings.filter((f) => f.severity === verdict).length;
  return (
    <span className="inline-flex items-center gap-2">
      <SeverityMark severity={verdict} withWord />
      {verdict !== 'clear' && <span className="num text-ink-2">×{count}</span>}
    </span>
  );
}
