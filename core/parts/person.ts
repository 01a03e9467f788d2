import { finding, literal } from '../finding/index.ts';
import { threshold } from '../sources/index.ts';
import { exactly } from '../units/index.ts';
import { about, type Judge } from './judge.ts';

/** Rockfall and dropped gear hit whoever climbs, and whoever stands below. */
export const helmetJudge: Judge = {
  id: 'helmet',
  subjects: ({ setup }) => setup.persons.map((p) => p.id),
  claims: (ref) => [about(ref, 'helmet')],
  judge: (ref, { index }) => {
    const { item, helmet } = index.person(ref)!;
    if (!item || helmet === 'worn') return [];
    const none = helmet === 'none';
    return [
      finding({
        code: 'rig.helmet',
        severity: none ? 'mind' : 'untested',
        subject: [ref],
        says: none
          ? `${literal(item.name)} wears no helmet.`
          : `It is not said whether ${literal(item.name)} wears a helmet.`,
        because: 'Rockfall, dropped gear and a swing against the wall hit the head of climber and belayer alike.',
        remedy: 'Put it on and close the buckle, also on the ground below.',
      }),
    ];
  },
  reads: () => [],
};

/** Somebody far heavier or lighter than those whom devices are tried and declared for. */
export const massJudge: Judge = {
  id: 'mass',
  subjects: ({ setup }) => setup.persons.map((p) => p.id),
  claims: (ref) => [about(ref, 'mass')],
  judge: (ref, { index }) => {
    const item = index.person(ref)!.item;
    const [light, heavy] = [threshold('personLightKg'), threshold('personHeavyKg')];
    if (!item || (item.massKg >= light && item.massKg <= heavy)) return [];
    const isHeavy = item.massKg > heavy;
    return [
      finding({
        code: 'rig.person-mass',
        severity: 'mind',
        subject: [ref],
        says: `With {mass} ${literal(item.name)} is ${isHeavy ? 'heavier' : 'lighter'} than those whom most devices are made for.`,
        because: isHeavy
          ? 'Devices are rarely tried or declared above {limit}: they brake less, and slip earlier.'
          : 'Below {limit} a device may hold back too much, or not begin to hold; a small hand holds less.',
        remedy: isHeavy
          ? 'Look up the greatest mass in the instructions of each device, take thicker rope, and add friction.'
          : 'Look up the least mass in the instructions of each device, and try it low above the ground with a second person at the rope.',
        numbers: [
          { key: 'mass', label: 'Mass with gear', quantity: 'massKg', value: exactly(item.massKg) },
          {
            key: 'limit',
            label: isHeavy ? 'Usual up to' : 'Usual from',
            quantity: 'massKg',
            value: exactly(isHeavy ? heavy : light),
          },
        ],
      }),
    ];
  },
  reads: () => [],
};
