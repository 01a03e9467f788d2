import { useMemo } from 'react';
import { assess } from '@core/answers/assess';
import { combined, itemOf, type Combination } from '@core/answers/planning';
import { wayName } from '@core/things/connector';
import { renderFinding } from '@core/foundations/finding';
import { modesOf } from '@core/things/fit';
import { HITCHES } from '@core/things/friction';
import { deviceOf, hitchOf, mainConnector, ropeSlots, slingOf, type Setup } from '@core/rigs/rig';
import { usePreferences } from '../../../app/preferences';
import { useWorkspace } from '../../../store/hooks';
import { SeverityMark } from '../../../ui/SeverityMark';
import { CombinationPicture } from '../../../drawing/CombinationPicture';
import { FirstFacts } from './FirstFacts';
import { marginsOf } from './margins';

/** "Usnea 60 in Stile eight", or both ropes; what was there already is not named again. */
export function combinationName(setup: Setup): string {
  const ropes = setup.lines.flatMap((line) => ropeSlots(line).flatMap((r) => r.item?.name ?? []));
  const device = setup.attachments.flatMap((a) => deviceOf(a)?.item?.name ?? [])[0];
  return `${ropes.join(' and ') || 'No rope'} in ${device ?? 'no device'}`;
}

/** How it is put together, one sentence for each attachment. */
function howItGoes(setup: Setup): string[] {
  return setup.attachments.flatMap((a): string[] => {
    const hitch = hitchOf(a);
    const connector = mainConnector(a);
    const sling = slingOf(a);
    const parts = [
      sling?.kind === 'sling' && sling.item
        ? `${sling.item.name}, ${sling.method === 'girth' ? 'girth-hitched' : 'as a basket'}${sling.knots > 0 ? ', one knot' : ''}`
        : '',
      hitch?.item ? `${HITCHES[hitch.hitch]} of ${hitch.item.name}, ${hitch.wraps} wraps` : '',
      connector?.item && a.end.kind !== 'device' ? connector.item.name : '',
    ].filter(Boolean);
    return parts.length > 0 ? [`${a.label}: ${parts.join('; ')}.`] : [];
  });
}

/** What is open about the place, and what stands alone in every combination, tells none from another. */
const SAME_FOR_ALL = /^(rig\.|hold\.single-)/;

interface CombinationRowProps {
  readonly open: Setup;
  readonly combination: Combination;
  readonly onTake: () => void;
  /** Puts it beside others, or takes it away again; undefined where nothing is compared. */
  readonly onCompare?: () => void;
  readonly compared?: boolean;
  /** No more can stand beside each other. */
  readonly full?: boolean;
}

/**
 * One combination at a glance: its device, verdict, the one thing to mind and two bars; how it goes together is folded.
 */
export function CombinationRow({
  open,
  combination,
  onTake,
  onCompare,
  compared = false,
  full = false,
}: CombinationRowProps) {
  const { items, wayTests } = useWorkspace();
  const reader = usePreferences();
  const { system } = reader;
  const setup = useMemo(() => combined(open, combination.picks, items, wayTests), [open, combination, items, wayTests]);
  const assessment = useMemo(() => assess(setup), [setup]);
  const { verdict, findings, figures } = assessment;
  // What is open about the site is the same for all; what tells one from another is about its parts.
  const worst = findings.find((f) => f.severity === verdict && !SAME_FOR_ALL.test(f.code));
  const title = combinationName(setup);
  const clipped = setup.attachments.flatMap((a) => {
    const [connector, device] = [mainConnector(a)?.item, deviceOf(a)?.item];
    const pick = combination.picks.find((p) => p.ref === mainConnector(a)?.id);
    return connector && device ? [{ connector, device, way: pick?.way ?? mainConnector(a)?.planned ?? null }] : [];
  })[0];
  const rope = setup.lines.flatMap((l) => ropeSlots(l).flatMap((r) => r.item ?? []))[0];
  const device = clipped?.device ?? setup.attachments.flatMap((a) => deviceOf(a)?.item ?? [])[0];
  const modes = rope && device && itemOf([...items, device], device.id) ? modesOf(device, setup.job) : [];
  const how = howItGoes(setup);
  const details = clipped !== undefined || modes.length > 0 || how.length > 0;
  return (
    <li className="grid gap-x-5 gap-y-2 py-4 sm:grid-cols-[5rem_minmax(0,1fr)_auto]" data-combination>
      <div className="hidden sm:block">
        <CombinationPicture setup={setup} />
      </div>
      <div className="grid gap-2">
        <div className="flex items-center gap-2">
          <span className="sm:hidden">
            <CombinationPicture setup={setup} height={88} />
          </span>
          <p className="text-lg font-semibold">{title}</p>
        </div>
        <p className="flex items-start gap-2">
          <SeverityMark severity={verdict} withWord size={16} />
          {verdict !== 'clear' && (
            <span>
              {worst
                ? renderFinding(worst, reader).says
                : 'Open as in all of them: the place, how it is rigged, what has no rule yet.'}
            </span>
          )}
        </p>
        <FirstFacts assessment={assessment} />
        {details && (
          <details>
            <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">How it goes together</summary>
            {clipped && (
              <p>
                {clipped.connector.name}
                {clipped.way && (
                  <>
                    : <span className="text-ink-2">{wayName(clipped.way, clipped.connector, clipped.device)}.</span>
                  </>
                )}
              </p>
            )}
            {(modes.length > 0 || how.length > 0) && (
              <p className="text-ink-2">
                {modes.length > 0 ? `${modes.join('; ').replace(/^./, (c) => c.toUpperCase())}. ` : ''}
                {how.join(' ')}
              </p>
            )}
            <dl className="mt-1 flex flex-wrap gap-x-6">
              {marginsOf(figures, system).map(([label, text]) => (
                <div key={label} className="flex gap-2">
                  <dt className="text-ink-2">{label}</dt>
                  <dd className="num">{text}</dd>
                </div>
              ))}
            </dl>
          </details>
        )}
      </div>
      <div className="flex flex-wrap content-start gap-2 self-start sm:flex-col sm:items-end">
        <button type="button" className="btn btn-act" aria-label={`Take this: ${title}`} onClick={onTake}>
          Take this
        </button>
        {onCompare && (
          <label className="flex min-h-11 cursor-pointer items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-act"
              checked={compared}
              disabled={!compared && full}
              aria-label={`Compare: ${title}`}
              onChange={onCompare}
            />
            Compare
          </label>
        )}
      </div>
    </li>
  );
}
