import { ListChecks } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Assessment } from '@core/answers/assess';
import { goOn, isAbout } from '@core/records/log';
import type { Setup } from '@core/rigs/rig';
import { usePlace } from '../../../app/place';
import { useWorkspace } from '../../../store/hooks';
import { lazyPart } from '../../../ui/part';

const StartDialog = lazyPart('The start of the check', () => import('./StartDialog').then((m) => m.StartDialog));

/**
 * Leads to the check made from this set-up. A set-up with a Stop is put right first, one that lacks a part is
 * completed.
 */
export function StartCheck({ setup, assessment }: { setup: Setup; assessment: Assessment }) {
  const [asking, setAsking] = useState(false);
  const { name } = usePlace();
  const data = useWorkspace();
  // One of the set-up as it is now: what was changed since is checked anew.
  const begun = data.checks.findLast((c) => c.outcome === 'running' && c.setup.id === setup.id && isAbout(c, setup));
  if (assessment.verdict === 'stop') return <p className="font-semibold">The check begins when no Stop is left.</p>;
  const missing = assessment.findings.filter((f) => f.code === 'rig.part-missing');
  if (missing.length > 0 && missing.every((f) => f.subject.includes('ground')))
    return <p className="font-semibold">The check begins when the heights are said.</p>;
  if (missing.length > 0) {
    return (
      <div className="grid justify-items-start gap-1">
        <Link to="choose" className="btn btn-act">
          Propose from the locker
        </Link>
        <p className="text-sm">The check begins when every part is chosen.</p>
      </div>
    );
  }
  return (
    <>
      {begun && (
        <Link to={`/${name}/check/${begun.id}`} className="btn btn-act px-5">
          <ListChecks aria-hidden className="size-5" />
          Go on with the check
        </Link>
      )}
      <button
        type="button"
        className={begun ? 'btn px-5' : 'btn btn-act px-5'}
        aria-haspopup="dialog"
        onClick={() => setAsking(true)}
      >
        {!begun && <ListChecks aria-hidden className="size-5" />}
        {begun ? 'Check anew' : goOn(setup, data, new Date()).how === 'on' ? 'Check the next go' : 'Check before use'}
      </button>
      {asking && <StartDialog setup={setup} assessment={assessment} onClose={() => setAsking(false)} />}
    </>
  );
}
