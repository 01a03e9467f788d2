import { finding, literal } from '../../foundations/finding/index.ts';
import { JOB_FACTS } from '../../things/gear/index.ts';
import { deviceOf, hangingBy } from '../rig/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { exactly } from '../../foundations/units/index.ts';
import { claimOf, type Judge } from './judge.ts';

/** Rockfall and dropped gear hit whoever climbs, and whoever stands below. */
export const helmetJudge: Judge = {
  id: 'helmet',
  subjects: ({ setup }) => setup.persons.map((p) => p.id),
  claims: (ref) => [claimOf(ref, 'helmet')],
  judge: (ref, { index }) => {
    const { item, helmet } = index.person(ref)!;
    if (!item || helmet === 'worn') return [];
    const none = helmet === 'none';
    return [
      finding(
        {
          code: 'rig.helmet',
          subject: [ref],
          because: 'Rockfall, dropped gear and a swing against the wall hit the head of climber and belayer alike.',
          remedy: 'Put it on and close the buckle, also on the ground below.',
        },
        none
          ? { severity: 'mind', says: `${literal(item.name)} wears no helmet.` }
          : { severity: 'untested', says: `${literal(item.name)}: helmet not entered yet.` },
      ),
    ];
  },
  reads: () => [],
};

/** Somebody far heavier or lighter than those whom devices are tried and declared for. */
export const massJudge: Judge = {
  id: 'mass',
  subjects: ({ setup }) => setup.persons.map((p) => p.id),
  claims: (ref) => [claimOf(ref, 'mass')],
  judge: (ref, { index }) => {
    const item = index.person(ref)!.item;
    const [light, heavy] = [threshold('personLightKg'), threshold('personHeavyKg')];
    if (!item || (item.massKg >= light && item.massKg <= heavy)) return [];
    const isHeavy = item.massKg > heavy;
    return [
      finding(
        {
          code: 'rig.person-mass',
          severity: 'mind',
          subject: [ref],
          says: `With {mass} ${literal(item.name)} is ${isHeavy ? 'heavier' : 'lighter'} than those whom most devices are made for.`,
          numbers: [
            { key: 'mass', label: 'Mass with gear', quantity: 'massKg', value: exactly(item.massKg) },
            {
              key: 'limit',
              label: isHeavy ? 'Usual up to' : 'Usual from',
              quantity: 'massKg',
              value: exactly(isHeavy ? heavy : light),
            },
          ],
        },
        isHeavy
          ? {
              because: 'Devices are rarely tried or declared above {limit}: they brake less, and slip earlier.',
              remedy:
                'Look up the greatest mass in the instructions of each device, take thicker rope, and add friction.',
            }
          : {
              because:
                'Very light people may not slide at all, or may not trigger an assisted device; small hands grip less.',
              remedy:
                'Look up the least mass in each device’s instructions. Test it close to the ground, with a second person holding the rope.',
            },
      ),
    ];
  },
  reads: () => [],
};

/** Two on one device that are heavy together, though neither is alone. */
export const twoMassJudge: Judge = {
  id: 'two-masses',
  subjects: ({ setup }) =>
    setup.attachments.filter((a) => JOB_FACTS[a.job ?? setup.job].persons === 'two' && deviceOf(a)).map((a) => a.id),
  claims: () => [],
  judge: (ref, ctx) => {
    const a = ctx.attachment(ref);
    if (ctx.use(a).persons !== 'two') return [];
    const on = a.root.kind === 'harness' ? ctx.setup.persons : hangingBy(ctx.index, a);
    const masses = on.flatMap((p) => (p.role === 'belayer' || p.role === 'partner' ? [] : (p.item?.massKg ?? [])));
    const sumKg = masses.reduce((sum, kg) => sum + kg, 0);
    if (masses.length < 2 || sumKg <= threshold('twoHeavyKg')) return [];
    return [
      finding({
        code: 'rig.two-masses',
        severity: 'mind',
        subject: [a.end.id],
        says: 'Two people of {sum} together hang on one device.',
        because: 'Few devices are tried or declared above {limit} for two: they brake less, and slip earlier.',
        remedy:
          'Look up the greatest mass for two in the instructions of the device, and add friction before both hang on it.',
        numbers: [
          { key: 'sum', label: 'Both together', quantity: 'massKg', value: exactly(sumKg) },
          { key: 'limit', label: 'Usual up to', quantity: 'massKg', value: exactly(threshold('twoHeavyKg')) },
        ],
      }),
    ];
  },
  reads: (ref, ctx) => [ctx.attachment(ref).end.id],
};
