import { describe, expect, it } from 'vitest';
import { assess } from '../assess/index.ts';
import { fillTemplate, finding, FINDING_CODES, type FindingCode } from '../../foundations/finding/index.ts';
import { notRigged, SYSTEMS, wellRigged, without, withItem, type Setup } from '../../rigs/rig/index.ts';
import { changed, club, filled, rappelDouble, SETUPS, variedSetups } from '../../samples/index.ts';
import { newSequence, PROCEDURES, stepsOf, withOption, type ProcedureId, type Sequence } from '../procedures/index.ts';
import { criticalSteps, ordersOf, sequenceOf } from './consequences.ts';
import { FINDING_ITEM, MIND_TITLE } from './check-item.ts';
import { answersInOrder, buildCheck, checkItemSchema, mayBeAccepted, type CheckItem } from './index.ts';
import { openFinding } from './open-items.ts';
import { ITEM_KINDS } from './item.ts';

const check = (setup: Setup) => buildCheck(setup, assess(setup).findings);
/**
 * Steps after the check (going, calls, pulling the rope), and the lanyard, which is not in the rig, nor is how the
 * belayer is attached.
 */
const AFTERWARDS =
  /^(lanyard-|belayer-on$|clip-|rope-out$|ends?-untie$|call-|climb$|climb-other$|wait-other$|knot$|unknot$|first-off$|second-off$|lower-off$|upper-off$|help$|end-look$|tie-off$|ascenders-off$|friction-add$|third-|haul$|stuck-off$|lanyards-off$|hand-on$|untie$|knee-|foot-|tune$|walk-|work$|second-weigh$|slack$|device-on$|break$|rebind$|chest-|weight-off$|check$|stance$|spot$|hand-down$|go$|partner-|pull)/;
const ids = (setup: Setup) => check(setup).map((i) => i.id);
const joined = changed(rappelDouble, {
  rope: { use: 'joined' },
  ropeB: { item: { ...club.longRope, id: 'b', name: 'Other' } },
  joiningKnot: { knot: 'flat-overhand' },
});
const withSecond = wellRigged(filled(variedSetups().find((v) => v.name === 'rappel-double + second-connector')!.setup));

describe('buildCheck', () => {
  it('begins with what goes wrong most and ends with the function tests', () => {
    expect(ids(rappelDouble)).toEqual([
      'helmet',
      'harness',
      'harness-belt',
      'helmet:partner',
      'brake-hand',
      'loose-things',
      'anchor',
      'anchor-points',
      'middle',
      'rope-ends',
      'device-strands',
      'device-around',
      'device-pull',
      'brake-side',
      'device-connector',
      'connector-faces',
      'connector-end',
      'extension',
      'hitch-wraps',
      'hitch-strands',
      'hitch-connector',
      'hitch-ends',
      'hitch-place',
      'weigh-device',
      'lanyard-on',
      'hitch-bites',
      'hitch-lets-go',
      'hitch-clear',
      'hitch-clear-knee',
    ]);
  });

  // Common practice: knots below a single device every 3 to 5 m, so that the first one is 5 m away at most.
  it('asks for the first knot below a single device within 5 m', () => {
    const asked = [...Object.values(SETUPS), ...variedSetups().map((v) => v.setup)]
      .flatMap((s) => check(wellRigged(filled(s))))
      .filter((i) => i.question.includes('the first knot'));
    expect(asked.length).toBeGreaterThan(0);
    for (const { numbers } of asked)
      expect(numbers.find((n) => n.key === 'within')!.value).toEqual({ low: 5, best: 5, high: 5 });
  });

  it('says what follows when an item is passed over, from the procedure and from what holds', () => {
    const why = (id: string, setup = rappelDouble) => check(setup).find((i) => i.id === id)!.why;
    expect(why('rope-ends')).toContain('If this is wrong: you fall.');
    // With both ends knotted a short strand stops one; it does not drop one.
    expect(why('middle')).toContain('If this is wrong: you are stranded.');
    expect(why('device-connector')).toContain('If this is wrong: you rely on something not locked or tested.');
    expect(why('device-connector')).toContain('Nothing else holds when it lets go.');
    expect(why('hitch-connector')).not.toContain('Nothing else holds');
    expect(why('hitch-bites')).toContain('If this is wrong');
  });

  const procedures: [string, Sequence][] = (Object.keys(PROCEDURES) as ProcedureId[]).flatMap((id) => {
    const fresh = newSequence(id, 'x', '2026-01-01T00:00:00.000Z');
    const variants: readonly { readonly id: string; readonly options: object }[] = PROCEDURES[id].variants;
    return variants
      .reduce<Sequence[]>(
        (list, v) => list.flatMap((s) => Object.keys(v.options).map((o) => withOption(s, v.id, o))),
        [fresh],
      )
      .map((s): [string, Sequence] => [`${id} ${Object.values(s.options).join(' ')}`, s]);
  });
  /** Procedures that make a set-up of some job; the others are about an anchor or a relay. */
  const clamp = club.otherDevices.find((d) => d.family === 'clamp-toothed')!;
  const onClamps = withItem(
    withItem(SYSTEMS.find((s) => s.id === 'clamps')!.build(SETUPS.ascend), 'device', clamp),
    'grab-device',
    { ...clamp, id: 'other' },
  );
  const made = () => new Set([...Object.values(SETUPS), onClamps].flatMap((s) => sequenceOf(s)?.procedure ?? []));

  it('two clamps have the order up and the one down, alone on a rope that of setting it up again; one clamp has none', () => {
    const of = (s: Setup) => ordersOf(s).map((o) => o.procedure);
    expect(of(onClamps)).toEqual(['up-on-clamps', 'down-on-clamps']);
    expect(of(SETUPS['self-belay-top-rope'])).toEqual(['alone-top-rope', 'alone-again']);
    expect(of(withItem(SETUPS.ascend, 'device', clamp))).toEqual([]);
    expect(
      of(
        withItem(
          onClamps,
          'grab-device',
          club.otherDevices.find((d) => d.family === 'assisted-cam')!,
        ),
      ),
    ).toEqual([]);
    expect(of(SETUPS.lower)).toEqual(['lower-anchor']);
  });

  it('looks back at every critical step but those of the lanyard, and of what comes after the check', () => {
    const of = made();
    expect([...of].sort()).toEqual([
      'alone-top-rope',
      'doubled-rappel',
      'leader-ground',
      'lower-anchor',
      'lower-ground',
      'pick-off',
      'second-up',
      'single-rappel',
      'tree-descent',
      'tree-walk',
      'two-seconds',
      'up-on-clamps',
    ]);
    for (const [name, sequence] of procedures.filter(([, s]) => of.has(s.procedure))) {
      const looked = new Set<string>(Object.values(ITEM_KINDS).flat());
      const critical = new Set(criticalSteps(sequence).map((c) => c.stepId));
      expect(critical.size, name).toBeGreaterThan(3);
      expect(
        [...critical].filter((id) => !looked.has(id) && !AFTERWARDS.test(id)),
        name,
      ).toEqual([]);
    }
  });

  it('every step that an item looks back at is one of a shipped procedure', () => {
    const known = new Set(procedures.flatMap(([, s]) => stepsOf(s).map((step) => step!.id)));
    for (const steps of Object.values(ITEM_KINDS)) for (const id of steps) expect(known).toContain(id);
  });

  it('is made from this set-up', () => {
    const wraps = check(changed(rappelDouble, { hitch: { wraps: 3 } })).find((i) => i.id === 'hitch-wraps')!;
    expect(wraps.expected).toBe('3');
    expect(check(rappelDouble).find((i) => i.id === 'hitch-place')!.expected).toContain('right');
    const left = withItem(rappelDouble, 'climber', { ...club.tomas, brakeHand: 'left' });
    expect(check(left).find((i) => i.id === 'hitch-place')!.expected).toContain('left');
  });

  it('asks about parts only where they are there', () => {
    expect(ids(joined)).toContain('joining-knot');
    expect(ids(joined)).not.toContain('middle');
    expect(ids(withSecond)).toContain('extra-connector');
    expect(ids(withItem(rappelDouble, 'hitch', null))).not.toContain('hitch-bites');
    expect(ids(without(rappelDouble, 'below')).filter((id) => id.startsWith('hitch'))).toEqual([]);
  });

  it('asks a belayer for tie-in, device and hold, and nothing about rope ends that hang nowhere', () => {
    const items = ids(SETUPS['belay-top-rope']);
    expect(items).toEqual(expect.arrayContaining(['tie-in', 'device-strands', 'device-connector', 'hold-person']));
    expect(items).not.toContain('weigh-device');
    expect(ids(SETUPS['lower-faulty'])).toContain('brake-led');
    expect(ids(SETUPS['rappel-single'])).toEqual(expect.arrayContaining(['fastening', 'block-strand']));
  });

  it('carries on what the assessment left open, once', () => {
    const textile = changed(rappelDouble, { anchor: { through: 'textile' } });
    expect(ids(textile)).toContain('finding:rig.anchor-textile:anchor');
    const unsaid = changed(rappelDouble, { ropeEnds: { state: 'unknown' } });
    expect(ids(unsaid).filter((id) => id.includes('ends') && !id.startsWith('hitch'))).toEqual(['rope-ends']);
  });

  it('two open findings about two ropes are two items: answering one does not close the other', () => {
    // A device that declares no range says so of each rope.
    const two = changed(joined, { device: { item: { ...club.groovedTube, declarations: [] } } });
    const open = ids(two).filter((id) => id.startsWith('finding:fit.range-not-declared'));
    expect(open).toHaveLength(2);
    expect(new Set(open).size).toBe(2);
    for (const rope of ['ropeA', 'ropeB']) expect(open.some((id) => id.includes(rope))).toBe(true);
  });

  it('one fact for each answer: nobody confirms two things with one tap', () => {
    for (const { name, setup } of variedSetups())
      for (const { id, kind, expected, question } of check(setup)) {
        if (kind === 'open-finding') continue;
        expect(expected, `${name}: ${id}`).not.toMatch(/;/);
        expect(question, `${name}: ${id}`).not.toMatch(/, and (what|how|which|where)/);
      }
  });

  it('what the assessment leaves to a regular item is asked by it', () => {
    const asked = (fields: Parameters<typeof changed>[1], id: string) =>
      check(changed(rappelDouble, fields)).some((i) => i.id === id);
    expect(asked({ deviceConnector: { loadedEnd: 'unknown' } }, 'connector-end')).toBe(true);
    expect(asked({ hitchConnector: { gate: 'unknown' } }, 'hitch-connector')).toBe(true);
    expect(asked({ hitch: { eyes: 'unknown' } }, 'hitch-ends')).toBe(true);
    expect(asked({ anchor: { points: 'unknown' } }, 'anchor-points')).toBe(true);
    expect(asked({ climber: { helmet: 'unknown' } }, 'helmet')).toBe(true);
    expect(asked({ device: { threaded: 'unknown' } }, 'device-pull')).toBe(true);
  });

  it('on every rig: each item is valid, has distinct answers, an id of its own, and fills its numbers', () => {
    for (const { name, setup } of variedSetups()) {
      const items = check(setup);
      const rig = JSON.stringify(setup);
      expect(new Set(items.map((i) => i.id)).size, name).toBe(items.length);
      for (const item of items) {
        const at = `${name}: ${item.id}`;
        expect(checkItemSchema.safeParse(item).success, at).toBe(true);
        expect(rig.includes(`"${item.part}"`) || ['ground', 'edge'].includes(item.part), at).toBe(true);
        expect(new Set([item.expected, ...item.others]).size, at).toBe(1 + item.others.length);
        for (const text of [item.look, item.touch, item.question, item.expected, ...item.others, item.why])
          expect(fillTemplate(text, item.numbers, { system: 'imperial', words: 'rappel' }), at).not.toMatch(
            /[{}]|undefined|\bsafe/i,
          );
        expect(item.sources.length, at).toBeGreaterThan(0);
      }
    }
  });
});

it('instructions are the answer only to what a maker knows', () => {
  const byMaker = [...variedSetups().map((v) => v.setup), ...Object.values(SETUPS).map(notRigged)].flatMap((setup) =>
    check(setup).flatMap((i) => (i.expected.includes('in its instructions') ? [i.id.split(':')[1]!] : [])),
  );
  expect([...new Set(byMaker)]).toEqual(['fit.range-not-declared']);
});

describe('answersInOrder', () => {
  const items = () => check(rappelDouble);
  it('keeps every answer and the same order for the same seed', () => {
    for (const item of items()) {
      expect([...answersInOrder(item, 'a')].sort()).toEqual([item.expected, ...item.others].sort());
      expect(answersInOrder(item, 'a')).toEqual(answersInOrder(item, 'a'));
    }
  });
  it('does not put the expected answer in one place', () => {
    const [first] = items();
    const places = Array.from({ length: 60 }, (_, i) => answersInOrder(first!, `record${i}`).indexOf(first!.expected));
    // Three places, 60 records: a fair order leaves one of them empty with a chance below 1e-10.
    expect(new Set(places).size).toBe(3);
  });
});

describe('a risk that may be accepted', () => {
  const open = (code: string, title = MIND_TITLE, kind: CheckItem['kind'] = 'open-finding') =>
    mayBeAccepted({ id: `${FINDING_ITEM}${code}:device`, kind, title });
  it('is one that is known; not what was not tested, not a regular item, not that the hand is alone', () => {
    expect(open('geometry.rope-barely-reaches')).toBe(true);
    expect(open('geometry.rope-barely-reaches', 'Not tested')).toBe(false);
    expect(open('geometry.rope-barely-reaches', MIND_TITLE, 'look')).toBe(false);
    expect(open('hold.hand-alone')).toBe(false);
    expect(mayBeAccepted({ id: 'x-finding:hold.hand-alone', kind: 'open-finding', title: MIND_TITLE })).toBe(true);
  });
});

describe('what an open finding asks', () => {
  const of = (code: FindingCode, severity: 'mind' | 'untested', metal = false) =>
    openFinding(
      finding({ code, severity, subject: ['device'], says: 'It is so.', because: 'As it is.', remedy: 'Look.' }),
      'k',
      metal,
    );
  it('what can be seen or tried about it, else where it was found out, or what was changed', () => {
    const seen = (Object.keys(FINDING_CODES) as FindingCode[])
      .map((code) => [code, of(code, 'mind').question] as const)
      .filter(([, question]) => question !== 'What is different here now?');
    expect(
      seen.map(([code]) => {
        const { question, expected, others } = of(code, 'mind');
        return `${code}: ${question} ${expected} / ${others.join(' / ')}`;
      }),
    ).toMatchSnapshot();
    expect(of('rig.anchor-textile', 'untested').question).toBe('Where did you find it out, and what?');
    expect(of('rig.condition', 'untested').question).toContain('hands from end to end');
    expect(of('rig.condition', 'untested', true).question).toContain('gate snapped shut');
    expect(of('fit.wet-icy', 'mind', true).question).toBe(of('fit.wet-icy', 'mind').question);
  });
});
