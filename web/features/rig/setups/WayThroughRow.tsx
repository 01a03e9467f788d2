import { Check } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Assessment } from '@core/answers/assess';
import type { Setup } from '@core/rigs/rig';
import { usePlace } from '../../../app/place';
import { useWorkspace } from '../../../store/hooks';
import { lazyPart } from '../../../ui/part';
import { useOrders } from './useOrder';
import { STAGE_IDS, STAGES, wayThrough, type Stage } from './way-through';

const StartDialog = lazyPart('The start of the check', () =>
  import('../../check/before-use/StartDialog').then((m) => m.StartDialog),
);

interface WayProps {
  readonly setup: Setup;
  readonly assessment: Assessment;
  readonly onForm: () => void;
}

/** The work order with what is behind one and what comes next: take, rig, check, use, log. */
export function WayThroughRow({ setup, assessment, onForm }: WayProps) {
  const { name } = usePlace();
  const data = useWorkspace();
  const order = useOrders(setup)[0]?.go ?? null;
  const [asking, setAsking] = useState(false);
  const { done, next, says } = wayThrough(setup, data, assessment.findings.filter((f) => f.severity === 'stop').length);
  const running = data.checks.find((c) => c.setup.id === setup.id && c.outcome === 'running');
  const last = data.checks.filter((c) => c.setup.id === setup.id && c.outcome === 'complete').at(-1);
  const canCheck = assessment.verdict !== 'stop' && !assessment.findings.some((f) => f.code === 'rig.part-missing');
  const look = (id: Stage) =>
    `flex min-h-11 w-full items-center justify-center gap-1 border-b-4 px-1 text-center ${id === next ? 'border-act font-bold' : done.has(id) ? 'border-line-2' : 'border-line text-ink-2'}`;
  const words = (id: Stage) => (
    <>
      {done.has(id) && <Check aria-hidden className="size-4 shrink-0" />}
      {STAGES[id]}
      <span className="sr-only">{id === next ? ' (next)' : done.has(id) ? ' (done)' : ''}</span>
    </>
  );
  const stage = (id: Stage) => {
    const go =
      id === 'rig'
        ? onForm
        : id === 'use'
          ? order
          : id === 'check' && !running && canCheck
            ? () => setAsking(true)
            : null;
    const to =
      id === 'take'
        ? 'choose'
        : id === 'log'
          ? `/${name}/log/use/new?setup=${setup.id}`
          : id === 'check' && running
            ? `/${name}/check/${running.id}`
            : id === 'check' && !canCheck && last
              ? `/${name}/log/${last.id}`
              : null;
    if (go)
      return (
        <button type="button" className={look(id)} onClick={go}>
          {words(id)}
        </button>
      );
    return to ? (
      <Link className={look(id)} to={to}>
        {words(id)}
      </Link>
    ) : (
      <span className={look(id)}>{words(id)}</span>
    );
  };
  return (
    <nav aria-label="The way through" className="mt-3">
      <ol className="grid grid-cols-5 gap-1">
        {STAGE_IDS.map((id) => (
          <li key={id} aria-current={id === next ? 'step' : undefined}>
            {stage(id)}
          </li>
        ))}
      </ol>
      <p className="mt-1 text-sm text-ink-2">
        {next ? `Next: ${STAGES[next].toLowerCase()} it. ` : ''}
        {says}
      </p>
      {asking && <StartDialog setup={setup} assessment={assessment} onClose={() => setAsking(false)} />}
    </nav>
  );
}
