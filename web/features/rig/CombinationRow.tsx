import { useMemo } from 'react';
import { assess } from '@core/assess';
import { combined, itemOf, type Combination } from '@core/choose';
import { wayName } from '@core/connector';
import { renderFinding } from '@core/finding';
import { modesOf } from '@core/fit';
import { HITCHES } from '@core/friction';
import { deviceOf, hitchOf, mainConnector, ropeSlots, slingOf, type Setup } from '@core/rig';
import { usePreferences } from '../../app/preferences';
import { useWorkspace } from '../../store/hooks';
import { SeverityMark } from '../../ui/SeverityMark';
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
}

/** One combination: the worst finding first, then how it is put together and what it has to spare. */
export function CombinationRow({ open, combination, onTake }: CombinationRowProps) {
  const { items, wayTests } = useWorkspace();
  const reader = usePreferences();
  const { system } = reader;
  const setup = useMemo(() => combined(open, combination.picks, items, wayTests), [open, combination, items, wayTests]);
  const { verdict, findings, figures } = useMemo(() => assess(setup), [setup]);
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
  const modes = rope && device && itemOf([...items, device], device.id) ? modesOf(device, setup.job, rope) : [];
  const how = howItGoes(setup);
  return (
    <li className="grid gap-x-5 gap-y-2 py-4 sm:grid-cols-[1fr_auto]" data-combination>
      <div>
        <p className="text-lg font-semibold">{title}</p>
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
        {clipped && (
          <p className="mt-1">
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
      </div>
      <button type="button" className="btn btn-act self-start" aria-label={`Take this: ${title}`} onClick={onTake}>
        Take this
      </button>
    </li>
  );
}
