import type { Finding, FindingCode, Severity } from '@core/foundations/finding';
import { printQuantity, type Interval } from '@core/foundations/units';
import { usePreferences } from '../app/preferences';
import type { HandsFrame } from './hands-frame';
import type { HandsLayout } from './hands-layout';
import { Dimension } from './parts';
import type { RigView } from './rig-view';
import { vec } from './vector';

/** Below it a gap is drawn as one to mind, mm. */
const NARROW_GAP_MM = 30;
/** Found of a device that hangs on an extension. */
const DEVICE_REACH: ReadonlySet<FindingCode> = new Set([
  'geometry.device-in-reach',
  'geometry.device-at-arms-end',
  'geometry.device-out-of-reach',
]);

function toneOf(findings: readonly Finding[], codes: ReadonlySet<FindingCode>): Severity | 'plain' {
  const found = findings.find((f) => codes.has(f.code));
  return !found || found.severity === 'clear' ? 'plain' : found.severity;
}

/** How long the extension is, how far the hitch reaches, and what is left between it and the device. */
export function HandsDimensions({
  view,
  layout,
  frame: { px },
  findings,
  extension,
  reach,
  clear,
}: {
  view: RigView;
  layout: HandsLayout;
  frame: HandsFrame;
  findings: readonly Finding[];
  extension: Interval | undefined;
  reach: Interval | undefined;
  clear: Interval | undefined;
}) {
  const { system } = usePreferences();
  const mm = (value: number) => printQuantity(value, 'lengthMm', system);
  const { side, lip, coilHigh } = layout;
  const [left, right] = side > 0 ? (['start', 'end'] as const) : (['end', 'start'] as const);
  const overlaps = layout.overlapMm > 0;
  return (
    <>
      {extension && view.extension && (
        <Dimension
          from={px(vec(0, 0))}
          to={px(vec(0, layout.extensionMm))}
          offset={-side * 46}
          label={['extension', mm(extension.best)]}
          anchor={right}
          tone={toneOf(findings, DEVICE_REACH)}
        />
      )}
      {reach && (
        <Dimension
          from={px(layout.attach)}
          to={px(coilHigh)}
          offset={side * 36}
          label={['hitch reach', mm(reach.best)]}
          anchor={left}
        />
      )}
      {clear && (
        <Dimension
          from={px(overlaps ? lip : coilHigh)}
          to={px(overlaps ? coilHigh : lip)}
          offset={side * 36}
          label={clear.best <= 0 ? ['touches', `${mm(-clear.best)} over`] : ['gap', mm(clear.best)]}
          tone={clear.best <= 0 ? 'stop' : clear.low < NARROW_GAP_MM ? 'mind' : 'plain'}
          anchor={left}
          shift={-10}
        />
      )}
    </>
  );
}
