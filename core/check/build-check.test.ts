import { describe, expect, it } from 'vitest';
import { assess } from '../assess.ts';
import { fillTemplate } from '../finding/index.ts';
import type { Setup } from '../rig/index.ts';
import { club, rappelDouble } from '../samples/index.ts';
import { newSequence, stepsOf, withOption } from '../sequence/index.ts';
import { criticalRappel, STEPS_OF_ITEM } from './consequences.ts';
import { answersInOrder, buildCheck, checkItemSchema } from './index.ts';

const check = (setup: Setup) => buildCheck(setup, assess(setup).findings);
const ids = (setup: Setup) => check(setup).map((i) => i.id);
const withRig = (rig: Partial<Setup['rig']>, gear: Partial<Setup['gear']> = {}): Setup => ({
  ...rappelDouble,
  rig: { ...rappelDouble.rig, ...rig },
  gear: { ...rappelDouble.gear, ...gear },
});

describe('buildCheck', () => {
  it('begins with what goes wrong most and ends with the function tests', () => {
    expect(ids(rappelDouble)).toEqual([
      'harness',
      'loose-things',
      'anchor',
      'middle',
      'rope-ends',
      'device-strands',
      'device-connector',
      'extension',
      'hitch-wraps',
      'hitch-connector',
      'weigh-device',
      'hitch-bites',
      'hitch-clear',
    ]);
  });

  it('says what follows when an item is nodded through, from the procedure and from what holds', () => {
    const why = (id: string, setup = rappelDouble) => check(setup).find((i) => i.id === id)!.why;
    expect(why('rope-ends')).toContain('Nodded through: you fall.');
    expect(why('middle')).toContain('Nodded through: you fall.');
    expect(why('device-connector')).toContain('Nodded through: you trust what was not locked and tested.');
    expect(why('device-connector')).toContain('Nothing else holds when it lets go.');
    expect(why('hitch-connector')).not.toContain('Nothing else holds');
    expect(why('hitch-bites')).toContain('Nodded through');
  });

  it('looks back at every critical step of the procedure but those of the lanyard and of pulling the rope', () => {
    for (const ropeUse of ['folded', 'joined'] as const) {
      const looked = new Set(Object.values(STEPS_OF_ITEM).flat());
      const steps = stepsOf(withOption(newSequence('doubled-rappel', 'x', ''), 'rope', ropeUse));
      const critical = new Set(criticalRappel(ropeUse).map((c) => steps[c.at]!.id));
      const left = [...critical].filter((id) => !looked.has(id) && !id.startsWith('lanyard-') && id !== 'ends-untie');
      expect(left).toEqual([]);
    }
  });

  it('is made from this set-up', () => {
    const wraps = check(withRig({ hitchWraps: 3 })).find((i) => i.id === 'hitch-wraps')!;
    expect(wraps.expected).toBe('3 around both strands');
    expect(check(rappelDouble).find((i) => i.id === 'hitch-connector')!.expected).toContain('right');
    const left = { ...rappelDouble, people: { climber: club.tomas, partner: null } };
    expect(check(left).find((i) => i.id === 'hitch-connector')!.expected).toContain('left');
  });

  it('asks about parts only where they are there', () => {
    const joined = withRig(
      { ropeUse: 'joined', joiningKnot: 'flat-overhand' },
      { ropeB: { ...club.longRope, id: 'b', name: 'Other' } },
    );
    expect(ids(joined)).toContain('joining-knot');
    expect(ids(joined)).not.toContain('middle');
    expect(ids(withRig({}, { extraConnector: club.secondPear }))).toContain('extra-connector');
    expect(ids(withRig({}, { hitchCord: null }))).not.toContain('hitch-bites');
  });

  it('carries on what the assessment left open, once', () => {
    const textile = { ...rappelDouble, situation: { ...rappelDouble.situation, anchorRope: 'textile' as const } };
    expect(ids(textile)).toContain('finding:rig.anchor-textile:anchor');
    const unsaid = withRig({ ends: 'unknown' });
    expect(ids(unsaid).filter((id) => id.includes('ends'))).toEqual(['rope-ends']);
  });

  it('every item is valid, has distinct answers, an id of its own, and fills its numbers', () => {
    const setup = withRig(
      { hitchWraps: 1, ropeUse: 'joined' },
      { ropeB: club.thinRope, extraConnector: club.secondPear },
    );
    const items = check(setup);
    expect(new Set(items.map((i) => i.id)).size).toBe(items.length);
    for (const item of items) {
      expect(checkItemSchema.safeParse(item).success).toBe(true);
      expect(new Set([item.expected, ...item.others]).size).toBe(1 + item.others.length);
      for (const text of [item.look, item.touch, item.question, item.expected, ...item.others, item.why]) {
        expect(fillTemplate(text, item.numbers, 'imperial')).not.toMatch(/[{}]/);
      }
      expect(item.sources.length).toBeGreaterThan(0);
    }
  });
});

describe('answersInOrder', () => {
  const items = check(rappelDouble);
  it('keeps every answer and the same order for the same seed', () => {
    for (const item of items) {
      expect([...answersInOrder(item, 'a')].sort()).toEqual([item.expected, ...item.others].sort());
      expect(answersInOrder(item, 'a')).toEqual(answersInOrder(item, 'a'));
    }
  });
  it('does not put the expected answer in one place', () => {
    const places = Array.from({ length: 60 }, (_, i) =>
      answersInOrder(items[0]!, `record${i}`).indexOf(items[0]!.expected),
    );
    // Three places, 60 records: a fair order leaves one of them empty with a chance below 1e-10.
    expect(new Set(places).size).toBe(3);
  });
});
