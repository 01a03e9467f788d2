import { finding, type Finding } from '../../foundations/finding/index.ts';
import { diameterOf } from '../../things/gear/index.ts';
import { deviceOf, thingsOf } from '../rig/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import type { Context } from './context.ts';
import type { Judge } from './judge.ts';

/**
 * Small things, each of which is ordinary and lets a set-up pass; as short words. What is minded by itself is not among
 * them.
 */
function smallThings({ setup, index }: Context): string[] {
  const { site, persons, attachments } = setup;
  const ropes = thingsOf(setup).flatMap((t) => (t.kind === 'rope' && t.item ? [t.item] : []));
  const items = attachments.flatMap((a) => deviceOf(a)?.item ?? []);
  const carriedKg = Math.max(
    0,
    ...persons.flatMap((p) => (p.role === 'belayer' || p.role === 'partner' ? [] : (p.item?.massKg ?? []))),
  );
  const brakers = attachments.flatMap((a) => {
    const hand = deviceOf(a)?.hand;
    return hand ? (index.person(hand)?.item ?? []) : [];
  });
  const small: readonly (readonly [boolean, string])[] = [
    [site.weather === 'wet', 'wet rope'],
    [ropes.some((r) => r.sheath === 'new-treated'), 'a new, treated sheath'],
    [ropes.some((r) => r.sheath === 'fuzzy'), 'a fuzzy sheath'],
    [ropes.some((r) => r.stiffness === 'stiff'), 'a stiff rope'],
    [ropes.some((r) => diameterOf(r).diameterMm.best < threshold('thinRopeMm')), 'a thin rope'],
    [items.some((d) => d.wear === 'worn'), 'a worn device'],
    [carriedKg > threshold('ratherHeavyKg'), 'a heavy person'],
    [carriedKg > 0 && carriedKg < threshold('ratherLightKg'), 'a light person'],
    [brakers.some((p) => p.handForceN !== null && p.handForceN < threshold('weakHandN')), 'a weak hand'],
    [site.edge === 'rounded' || site.edge === 'padded', 'an edge'],
    [site.slant === 'slanting', 'a slanting rope'],
    [site.extraLineM > 0, 'a line that is not straight down'],
    [site.steepness === 'free', 'hanging free'],
  ];
  return small.flatMap(([is, words]) => (is ? [words] : []));
}

/**
 * Each of them is ordinary; many at once are a day that is none. What adds up in one quantity is judged there as well,
 * by its bad end.
 */
export const manyJudge: Judge = {
  id: 'many',
  subjects: () => ['ground'],
  claims: () => [],
  judge: (_, ctx): Finding[] => {
    const small = smallThings(ctx);
    if (small.length < threshold('manySmall')) return [];
    return [
      finding({
        code: 'rig.many-small',
        severity: 'mind',
        subject: ['ground'],
        says: `Many small things come together: ${small.join(', ')}.`,
        because: 'Each of them alone is ordinary. Together they leave less than any one of them tells.',
        remedy: 'Change the ones you can, and test everything low with a backup before you trust it.',
      }),
    ];
  },
  // Everything that can be chosen can add to it.
  reads: (_, { setup }) =>
    thingsOf(setup).flatMap((t) => (t.kind === 'rope' || t.kind === 'device' || t.kind === 'person' ? [t.id] : [])),
};
