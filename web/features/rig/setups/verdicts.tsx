import { assessing } from '@core/answers/assess';
import { isAbout } from '@core/records/log';
import type { Setup } from '@core/rigs/rig';
import { printDay } from '../../../ui/dates';
import { SeverityMark } from '../../../ui/SeverityMark';
import { useWorkspace } from '../../../store/hooks';
import { useIdle } from '../../../ui/useIdle';

/** Worst severity of a set-up and how often it was found, for a list. */
export function SetupVerdict({ setup }: { setup: Setup }) {
  const { checks } = useWorkspace();
  // A list of them would keep the page from being touched for half a second on a slow phone.
  const assessment = useIdle(assessing, setup);
  if (!assessment) return <span className="text-ink-2">…</span>;
  const { verdict, findings } = assessment;
  const last = checks.findLast((c) => c.setup.id === setup.id && c.outcome === 'complete');
  const count = findings.filter((f) => f.severity === verdict).length;
  return (
    <span className="inline-flex items-center gap-2">
      <SeverityMark severity={verdict} withWord />
      {verdict !== 'clear' && <span className="num text-ink-2">×{count}</span>}
      {last && (
        <span className="text-sm text-ink-2">
          {isAbout(last, setup) ? `checked ${printDay(last.endedAt!)}` : 'changed since its check'}
        </span>
      )}
    </span>
  );
}
