import { useMemo } from 'react';
import { captureAt, captureChoices, type CaptureChoice } from '@core/answers/planning';
import { renderSentence } from '@core/foundations/finding';
import type { Device } from '@core/things/gear';
import { withItem, type Attachment, type Setup } from '@core/rigs/rig';
import { printNumber, printQuantity, type Interval } from '@core/foundations/units';
import { usePreferences } from '../../../app/preferences';
import { DeviceGlyph } from '../../../drawing/glyphs';
import { glyphOf } from '../../../drawing/rig-view';
import { vec } from '../../../drawing/vector';
import { useWorkspace } from '../../../store/hooks';
import { SeverityMark } from '../../../ui/SeverityMark';

interface CapturesProps {
  readonly setup: Setup;
  readonly loop: Attachment;
  readonly onChange: (next: Setup) => void;
}

/** Two figures of an interval are enough for what is an estimate. */
const about = ({ low, best, high }: Interval): string =>
  `about ${Math.round(best)} (${Math.round(low)} to ${Math.round(high)})`;

/** Which device keeps the height, with this person's stroke, weight and rope: each one of the locker in its place. */
export function Captures({ setup, loop, onChange }: CapturesProps) {
  const { items } = useWorkspace();
  const devices = useMemo(() => items.filter((item): item is Device => item.kind === 'device'), [items]);
  const choices = useMemo(() => captureChoices(setup, loop, devices), [setup, loop, devices]);
  const at = captureAt(setup, loop);
  if (!at || choices.length === 0) return null;
  return (
    <section aria-labelledby="captures" className="mt-4 rounded-xl border border-line bg-surface p-3">
      <h3 id="captures" className="font-bold">
        What keeps the height
      </h3>
      <p className="max-w-prose text-sm text-ink-2">
        Each device of your locker in the place of this one. Pull, what it gives back and the time of a stroke are
        estimates; a try close to the ground beats them.
      </p>
      <ul className="mt-2 divide-y divide-line">
        {choices.map((choice) => (
          <Row
            key={choice.device.id}
            choice={choice}
            take={() => onChange(withItem(setup, at.end.id, choice.device))}
          />
        ))}
      </ul>
    </section>
  );
}

function Row({
  choice: { device, now, verdict, worst, ascent, goesDown, teeth },
  take,
}: {
  choice: CaptureChoice;
  take: () => void;
}) {
  const reader = usePreferences();
  const { system } = reader;
  return (
    <li className="grid grid-cols-[3rem_minmax(0,1fr)] gap-x-3 py-3" data-capture={device.id}>
      <svg viewBox="0 0 60 60" className="size-12" aria-hidden>
        <DeviceGlyph at={vec(30, 30)} scale={0.55} side={1} {...glyphOf(device)} />
      </svg>
      <div>
        <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
          <span className="font-bold">{device.name}</span>
          <SeverityMark severity={verdict} withWord />
          {now ? (
            <span className="text-sm text-ink-2">in this set-up</span>
          ) : (
            <button type="button" className="btn ml-auto" onClick={take}>
              Take this one
            </button>
          )}
        </div>
        {worst !== null && <p className="text-sm">{renderSentence(worst, reader)}</p>}
        {ascent ? (
          <dl className="mt-1 flex flex-wrap gap-x-5 gap-y-1 text-sm">
            <Figure term="kept of a stroke">{printQuantity(ascent.netMm.best, 'lengthMm', system)}</Figure>
            <Figure term="strokes">{about(ascent.strokes)}</Figure>
            <Figure term="work">{`${printNumber(ascent.strokeJ.best, 'energyJ', system)} J a stroke, ${about(ascent.totalKj)} kJ`}</Figure>
            <Figure term="time">{`${about(ascent.minutes)} min`}</Figure>
          </dl>
        ) : (
          <p className="text-sm text-ink-2">How it draws is not known.</p>
        )}
        <p className="text-sm text-ink-2">
          {goesDown ? 'Goes down as it is.' : 'Going down needs another device.'}
          {teeth ? ' Teeth: a fall into slack hurts the sheath.' : ''}
        </p>
      </div>
    </li>
  );
}

const Figure = ({ term, children }: { term: string; children: string }) => (
  <div>
    <dt className="inline text-ink-2">{term} </dt>
    <dd className="num inline">{children}</dd>
  </div>
);
