import { finding, literal, type Finding, type Severity } from '../../foundations/finding/index.ts';
import { handOffIn } from '../../things/fit/index.ts';
import { traitsOf, type Device, type UseCase } from '../../things/gear/index.ts';
import { deviceOf } from '../rig/index.ts';
import { brakes, type Context } from './context.ts';
import { devices } from './device.ts';
import { claimOf, type Judge } from './judge.ts';

/**
 * What water and ice do to a device whose braking is not computed: one that holds or helps by itself, and the catch of
 * a leader. Where a hand brakes, the forces include the weather.
 */
export const weatherJudge: Judge = {
  id: 'weather',
  subjects: devices,
  claims: (ref, ctx) => [claimOf(ctx.attachment(ref).end.id, 'weather')],
  judge: (ref, ctx) => weather(ref, ctx),
  reads: (ref, ctx) => [ctx.attachment(ref).end.id],
};

function weather(ref: string, ctx: Context): Finding[] {
  const a = ctx.attachment(ref);
  const item = deviceOf(a)?.item;
  const { weather: now } = ctx.setup.site;
  const use = ctx.use(a);
  if (!item || now === 'dry' || traitsOf(item.family).aidOnly) return [];
  if (traitsOf(item.family).brake !== null && brakes(a, use)) return [];
  const { severity, because, remedy } = now === 'icy' ? onIce(item, use) : inWater(item, use);
  return [
    finding({
      code: 'fit.wet-icy',
      severity,
      subject: [a.end.id],
      says: `On ${now === 'icy' ? 'icy' : 'wet'} rope ${literal(item.name)} ${severity === 'clear' ? 'should still hold: test it low' : now === 'icy' ? 'may not hold' : 'holds less'}.`,
      because,
      remedy,
    }),
  ];
}

interface Judged {
  readonly severity: Severity;
  readonly because: string;
  readonly remedy: string;
}

function onIce(device: Device, use: UseCase): Judged {
  const traits = traitsOf(device.family);
  if (handOffIn(device, use.use) === 'runs')
    return {
      severity: 'mind',
      because: 'Ice takes friction from device and hand, and a fall runs longer through both.',
      remedy: 'Knock the ice off, add friction, and do not risk long falls on it.',
    };
  if (traits.teeth)
    return {
      severity: 'mind',
      because: 'Ice or mud fills the teeth; a cam that cannot close slips without warning.',
      remedy:
        'Clip a connector through its upper hole around the rope, clean the teeth, and load it before each stroke.',
    };
  return {
    severity: use.tended ? 'mind' : 'stop',
    because: use.tended
      ? 'What grips rope hands-off grips icy rope late or not at all; a hand must be ready to hold.'
      : 'What grips rope hands-off grips icy rope late or not at all, and no hand is on it.',
    remedy: 'Knock the ice off, try it low above the ground, and back it up with what bites on ice.',
  };
}

function inWater(device: Device, use: UseCase): Judged {
  const traits = traitsOf(device.family);
  if (traits.tuned)
    return {
      severity: 'untested',
      because: 'It was tuned to dry rope; wet rope is thicker and runs otherwise.',
      remedy: 'Try it low above the ground on the wet rope, with your whole weight.',
    };
  const assists = handOffIn(device, use.use) === 'assists';
  return {
    severity: assists ? 'mind' : 'clear',
    because: assists
      ? 'Water takes friction: the cam grips thin rope less.'
      : 'Wet rope: expect less friction. Test it low before you trust it.',
    remedy: assists
      ? 'Both hands on the brake strand, and more friction before lowering.'
      : 'Try it low above the ground.',
  };
}
