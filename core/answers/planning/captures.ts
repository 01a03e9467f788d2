import { assess } from '../assess/index.ts';
import { strokeFigures } from '../../rigs/pairs/index.ts';
import { sentence, type ElementId, type Sentence, type Severity } from '../../foundations/finding/index.ts';
import { inGuideMode } from '../../things/fit/index.ts';
import { servesJob, staticStretch, traitsOf, type Device } from '../../things/gear/index.ts';
import { ascentOf, type Ascent } from '../../things/geometry/index.ts';
import { contextOf } from '../../rigs/elements/index.ts';
import { deviceOf, ropesIn, withItem, type Attachment, type Setup } from '../../rigs/rig/index.ts';
import { constant, type ConstantId } from '../../foundations/sources/index.ts';

/** One device in the place of what keeps the height that each stroke gains. */
export interface CaptureChoice {
  readonly device: Device;
  /** It is in the set-up now. */
  readonly now: boolean;
  /** Of the whole set-up with this device in it, and what is worst there. */
  readonly verdict: Severity;
  readonly worst: Sentence | null;
  /** What this person's strokes cost with it; null where nothing is known of how it draws. */
  readonly ascent: Ascent | null;
  readonly goesDown: boolean;
  readonly teeth: boolean;
}

const PULL: Readonly<Record<'easy' | 'little' | 'hard', ConstantId>> = {
  easy: 'capturePullEasyN',
  little: 'capturePullLittleN',
  hard: 'capturePullHardN',
};

/**
 * The device that keeps what is gained: on this person's harness, on the rope, and not the one that the foot loop hangs
 * on.
 */
export const captureAt = (setup: Setup, loop: Attachment): Attachment | undefined =>
  setup.attachments.find(
    (a) =>
      deviceOf(a) !== null &&
      a.root.kind === 'harness' &&
      loop.root.kind === 'harness' &&
      a.root.person === loop.root.person &&
      !(loop.end.kind === 'clip' && loop.end.to === a.end.id),
  );

/**
 * Every device that serves for going up, in the place of the one that captures: judged in the whole set-up, and with
 * what it asks of this person. In the order of the verdict, then of the work. Empty where a length is not known.
 */
export function captureChoices(setup: Setup, loop: Attachment, devices: readonly Device[]): CaptureChoice[] {
  const at = captureAt(setup, loop);
  const ctx = contextOf(setup);
  const figures = strokeFigures(loop, ctx);
  if (!at || !figures) return [];
  const ref: ElementId = at.end.id;
  const current = deviceOf(at)!.item;
  const rope = ropesIn(ctx.index, at.end)?.ropeA;
  return devices
    .filter((d) => servesJob(d.family, 'ascend') && !traitsOf(d.family).aidOnly)
    .map((device): CaptureChoice => {
      const { verdict, findings } = assess(withItem(setup, ref, device));
      const worst = findings.find((f) => f.severity === verdict && f.severity !== 'clear');
      const { pullThrough, teeth, goesDown } = traitsOf(device.family);
      return {
        device,
        now: current?.id === device.id,
        verdict,
        worst: worst ? sentence(worst.says, worst.numbers) : null,
        ascent:
          pullThrough === null || !rope
            ? null
            : ascentOf({
                strokeMm: figures.strokeMm,
                setbackMm: constant(teeth ? 'captureSetbackTeethMm' : 'captureSetbackMm'),
                pullN: constant(PULL[pullThrough]),
                massKg: figures.person.massKg,
                heightM: figures.heightM,
                stretch: staticStretch(rope, figures.person.massKg),
                strokeS: constant('strokeTimeS'),
              }),
        // A plate that grips by itself has to be rigged anew before it lowers.
        goesDown: goesDown && !inGuideMode(device, 'ascend'),
        teeth,
      };
    })
    .sort((a, b) => RANK[b.verdict] - RANK[a.verdict] || work(a) - work(b));
}
const RANK: Readonly<Record<Severity, number>> = { stop: 0, mind: 1, untested: 2, clear: 3 };
const work = ({ ascent }: CaptureChoice) => ascent?.totalKj.best ?? Infinity;
