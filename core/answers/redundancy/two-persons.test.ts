import { describe, expect, it } from 'vitest';
import { assess } from '../assess/index.ts';
import { contextOf } from '../../rigs/elements/index.ts';
import { deviceOf, variation, wellRigged, withFields, withItem, without, type Setup } from '../../rigs/rig/index.ts';
import { club, filled, SETUPS } from '../../samples/index.ts';
import { hanging, held, holdsFromRig, minimalCutSets, singlePointsOf, type HoldModel } from './index.ts';

/*
 * Rescuer and casualty in one rig, against a rig that is followed by hand: each way by which somebody hangs is written
 * down here as what must be whole, and every set of up to three faults is tried on both.
 */

const tube = { ...club.groovedTube, personsRated: 'two' as const };
/** Light enough for a strong hand on a grooved tube, so that nothing is found against the hand. */
const known = (setup: Setup): Setup =>
  withItem(
    withItem(withItem(setup, 'device', tube), 'climber', { ...club.ilse, massKg: 45, handForceN: 500 }),
    'casualty',
    { ...club.wren, massKg: 40 },
  );
const plain = () => known(SETUPS['pick-off']);
/** As one comes by rappel: device on its extension, hitch below it. */
const extended = (setup: Setup): Setup => {
  const { pieces } = SETUPS['rappel-double'].attachments.find((a) => a.id === 'main')!;
  return { ...setup, attachments: setup.attachments.map((a) => (a.id === 'main' ? { ...a, pieces } : a)) };
};
const hitched = () => {
  const rigged = filled(wellRigged(variation('hitch-below').add(extended(plain()))!));
  return withItem(withFields(rigged, 'hitch', { wraps: 5 }), 'hitch', club.shortCord);
};
const before = () => {
  const rigged = filled(wellRigged(variation('casualty-device').add(hitched())!));
  const anchored = withFields(rigged, 'anchor5', { through: 'rings', points: 'several' });
  const held = withItem(anchored, 'stuck-device', STUCK);
  return withFields(withFields(held, 'rope5-fastening', { how: 'tied' }), 'stuck-connector', { planned: OWN_WAY });
};

const modelOf = (setup: Setup, role: 'rescuer' | 'casualty'): HoldModel => {
  const ctx = contextOf(setup);
  return holdsFromRig(
    ctx,
    hanging(ctx).find((p) => p.role === role)!,
    assess(setup).findings,
  );
};

/** A grab that holds without a hand, with a range for this rope. */
const GRAB = deviceOf(SETUPS['self-belay-top-rope'].attachments.find((a) => a.id === 'main')!)!.item!;
const RANGE = {
  ...GRAB.declarations[0]!,
  job: 'rappel-fixed' as const,
  minDiameterMm: 8,
  maxDiameterMm: 13,
  constructions: ['single' as const],
};
const STUCK = { ...GRAB, declarations: [RANGE] };
const OWN_WAY = { end: 'broad', from: 'left', gate: 'free' } as const;

type Failed = ReadonlySet<string>;
/** What hangs by hand: nothing of it is taken from the code under test. */
function follow(setup: Setup, failed: Failed) {
  const whole = (...ids: string[]) => ids.every((id) => !failed.has(id));
  const has = (id: string) => setup.attachments.some((a) => a.id === id);
  const onLine = whole('anchor', 'rope', 'fastening', 'device', 'deviceConnector');
  const stays = !(failed.has('ropeEnds:past') && failed.has('ropeEnds:knot'));
  const harness = whole('harness');
  const hand = harness && whole('brakeHand') && (!has('below') || whole('extension'));
  const hitch = has('below') && harness && whole('legLoop', 'hitch', 'hitchConnector') && whole('hitch:held');
  const strand = onLine && stays && (hand || hitch);
  const low = whole('casualty-harness');
  const short = has('link') && low && whole('link-low', 'link-sling', 'link-connector');
  const hangs = harness && (!has('below') || whole('extension'));
  const second = has('spare') && low && hangs && whole('spare-low', 'spare-sling', 'spare-connector');
  const own =
    has('stuck') &&
    low &&
    whole('anchor5', 'rope5', 'rope5-fastening', 'stuck-device', 'stuck-connector') &&
    !(failed.has('rope5-end:past') && failed.has('rope5-end:knot'));
  return { rescuer: strand && hangs, casualty: (strand && (short || second)) || own };
}

const subsets = (ids: readonly string[]): string[][] => [
  [],
  ...ids.map((a) => [a]),
  ...ids.flatMap((a, i) => ids.slice(i + 1).map((b) => [a, b])),
  ...ids.flatMap((a, i) => ids.slice(i + 1).flatMap((b, k) => ids.slice(i + k + 2).map((c) => [a, b, c]))),
];

describe('two persons in one rig, against the rig followed by hand', () => {
  const rigs: readonly (readonly [string, () => Setup])[] = [
    ['both links', plain],
    ['a hitch on the brake strand', hitched],
    ['the casualty’s own device still on', before],
    ['without the second link', () => without(hitched(), 'spare')],
    ['without the short link', () => without(hitched(), 'link')],
    ['linked to nothing, hanging in their own', () => without(without(before(), 'link'), 'spare')],
  ];
  it.each(rigs)('%s: every single fault, pair and three at once', (_, rig) => {
    const setup = rig();
    for (const role of ['rescuer', 'casualty'] as const) {
      const model = modelOf(setup, role);
      expect(model.holds.length, role).toBeGreaterThan(0);
      const ids = model.faults.filter((f) => f.basic).map((f) => f.id);
      for (const set of subsets(ids))
        expect(held(model, set), `${role}: ${set.join()}`).toBe(follow(setup, new Set(set))[role]);
      // And what is told to be enough is the smallest of it.
      for (const cut of minimalCutSets(model, 2)) expect(follow(setup, new Set(cut))[role], cut.join()).toBe(false);
    }
  });
  it('nothing that only the other one hangs on is a fault for the rescuer', () => {
    const ids = modelOf(before(), 'rescuer').faults.map((f) => f.id);
    expect(ids.filter((id) => /link|spare|stuck|casualty/.test(id))).toEqual([]);
  });
  it('the rescuer’s harness holds the second link and the brake, not the short link on a hand that stays', () => {
    const model = modelOf(hitched(), 'casualty');
    const short = model.holds.filter((h) => h.id.startsWith('link:'));
    expect(short.map((h) => [h.id, h.needs.includes('harness')])).toEqual([
      ['link:main', true],
      ['link:below', true],
    ]);
    const second = model.holds.filter((h) => h.id.startsWith('spare:'));
    for (const h of second) expect(h.needs).toEqual(expect.arrayContaining(['harness', 'deviceConnector']));
  });
  it('a link that holds nobody by itself does not count where its gate is not known', () => {
    const open = withFields(plain(), 'link-connector', { gate: 'unknown' });
    const model = modelOf(open, 'casualty');
    expect(model.holds.map((h) => h.id)).toEqual(['spare:main']);
    expect(model.noHolds.map((n) => n.id)).toContain('link:main');
  });
  it('with both links no part of one of them is a single point; with one of them each is', () => {
    const names = (setup: Setup) => {
      const ctx = contextOf(setup);
      return singlePointsOf(ctx, modelOf(setup, 'casualty'), assess(setup).findings).map((s) => s.fault.id);
    };
    expect(names(hitched()).filter((id) => /link|spare/.test(id))).toEqual([]);
    expect(names(without(hitched(), 'spare')).filter((id) => /link|spare/.test(id))).toEqual([
      'link-connector',
      'link-low',
      'link-sling',
    ]);
  });
  it('two who are linked to each other and to nothing else are held by nothing, and it ends', () => {
    const setup = without(without(plain(), 'link'), 'spare');
    const casualty = setup.persons.find((p) => p.role === 'casualty')!;
    expect(hanging(contextOf(setup)).map((p) => p.role)).toEqual(['rescuer']);
    const linked = (from: string, to: string, id: string) => ({
      ...SETUPS['pick-off'].attachments.find((a) => a.id === 'spare')!,
      id,
      pieces: [],
      root: { kind: 'harness' as const, person: from, point: 'belay-loop' as const },
      end: { id: `${id}-end`, kind: 'clip' as const, to, tight: 'tight' as const },
    });
    const each: Setup = {
      ...setup,
      lines: setup.lines,
      attachments: [linked('climber', casualty.harnessId, 'x'), linked(casualty.id, setup.persons[0]!.harnessId, 'y')],
      along: { rope: [] },
    };
    const ctx = contextOf(each);
    for (const p of hanging(ctx)) expect(holdsFromRig(ctx, p, []).holds).toEqual([]);
  });
});
