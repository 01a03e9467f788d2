import { describe, expect, it } from 'vitest';
import { lowSpanFromMemory, wallAnchor } from '../../samples/index.ts';
import {
  breachText,
  criticalOf,
  deviate,
  explore,
  movesOf,
  newSequence,
  orderVerdict,
  PROCEDURES,
  pausesOf,
  replay,
  stepsOf,
  walk,
  withOption,
  type Deviation,
  type Procedure,
  type ProcedureId,
  type Sequence,
} from './index.ts';
import { randomFrom } from './random.test-help.ts';

const ids = Object.keys(PROCEDURES) as ProcedureId[];
const fresh = (id: ProcedureId): Sequence => newSequence(id, 'x', '2026-01-01T00:00:00.000Z');
/** The shipped order under every combination of its options. */
const every = ids.flatMap((id) => {
  const { variants }: Procedure = PROCEDURES[id];
  return variants
    .reduce<Sequence[]>(
      (list, { id: variant, options }) =>
        list.flatMap((s) => Object.keys(options).map((o) => withOption(s, variant, o))),
      [fresh(id)],
    )
    .map((s): [string, Sequence] => [`${id} ${Object.values(s.options).join(' ')}`, s]);
});
const named = (sequence: Sequence, without: readonly string[], wrongly: Readonly<Record<string, string>> = {}) => {
  const steps = stepsOf(sequence);
  const at = (id: string) => steps.findIndex((s) => s?.id === id);
  const deviations: Deviation[] = [
    ...without.map((id) => ({ kind: 'skip', at: at(id) }) as const),
    ...Object.entries(wrongly).map(
      ([id, wrong]) =>
        ({ kind: 'wrong', at: at(id), wrong: steps[at(id)]!.wrongs.findIndex((w) => w.id === wrong) }) as const,
    ),
  ];
  const moments = replay(PROCEDURES[sequence.procedure], deviate(steps, deviations));
  const place = moments.findIndex((m) => m.breaches.length > 0 || m.stuck !== '');
  const moment = moments[place];
  return moment?.breaches[0] ? `${moment.breaches[0].kind}` : moment ? `shows: ${moment.stuck}` : 'harmless';
};
/** The order with one step taken out and put in before another. */
const moved = (sequence: Sequence, id: string, before: string): Sequence => {
  const line = sequence.steps.find((l) => l.id === id)!;
  const rest = sequence.steps.filter((l) => l.id !== id);
  const at = rest.findIndex((l) => l.id === before);
  return { ...sequence, steps: [...rest.slice(0, at), line, ...rest.slice(at)] };
};
const breachesOf = (sequence: Sequence) =>
  replay(PROCEDURES[sequence.procedure], movesOf(sequence)).flatMap((m) => m.breaches.map(breachText));

describe('shipped procedures', () => {
  it.each(every)('%s replays without a breach, and every step can be done', (_, sequence) => {
    const moments = replay(PROCEDURES[sequence.procedure], movesOf(sequence));
    expect(moments.flatMap((m) => m.breaches)).toEqual([]);
    expect(moments.map((m) => m.stuck).filter(Boolean)).toEqual([]);
    expect(moments).toHaveLength(sequence.steps.length + 1);
  });
  it.each(every)('%s: every critical step has a look before the harm', (_, sequence) => {
    const procedure = PROCEDURES[sequence.procedure];
    const steps = stepsOf(sequence);
    const critical = criticalOf(procedure, steps, explore(procedure, steps));
    expect(critical.length).toBeGreaterThan(0);
    for (const c of critical) {
      expect(c.look).toMatch(/\w/);
      expect(c.seenAt).toBeLessThanOrEqual(c.breaksAt);
    }
    const pauses = pausesOf(critical);
    for (const c of critical) expect(pauses.find((p) => p.before === c.breaksAt)?.looks).toContain(c.look);
  });
  it('say what to do and what to see, and never "safe"', () => {
    for (const id of ids)
      for (const s of PROCEDURES[id].steps) {
        expect(s.does, s.id).toMatch(/^[A-Z].*\.$/);
        expect(s.see, s.id).toMatch(/^[A-Z].*\.$/);
        expect(`${s.does} ${s.see}`).not.toMatch(/\bsafe\b/i);
      }
  });
});

describe('demo', () => {
  it('teaches the shipped order on the wall', () => expect(wallAnchor.steps).toEqual(fresh('clean-anchor').steps));
  it('has one from memory with what is usually forgotten', () =>
    expect(breachesOf(lowSpanFromMemory)).toEqual(
      expect.arrayContaining([
        expect.stringMatching(/hitch was not tested/) as string,
        expect.stringMatching(/end without a knot/) as string,
      ]),
    ));
});

describe('known fatal mistakes', () => {
  const anchor = fresh('clean-anchor');
  it.each<[string, readonly string[], Readonly<Record<string, string>>, string]>([
    ['untied with the rope not clipped', ['rope-clip'], {}, 'stranded'],
    ['lanyard off before the device is weighed', ['device-weigh'], {}, 'untested'],
    ['hitch not tested', ['hitch-test'], {}, 'untested'],
    ['device connector not locked', ['device-lock'], {}, 'untested'],
    ['lanyard not locked when the belay ends', ['lanyard-lock'], {}, 'untested'],
    ['the other end open', ['partner-knot'], {}, 'fall'],
    ['the middle missed, both ends knotted', [], { middle: 'past' }, 'stranded'],
    ['the middle missed, and one end open', ['end-knot'], { middle: 'past' }, 'stranded'],
    ['not agreed that it is a rappel', ['agree'], {}, 'fall'],
    ['a knot left in when the rope is pulled', ['ends-untie'], {}, 'stranded'],
    [
      'gone without a call',
      ['call-going'],
      {},
      'shows: It cannot be done before you called that you are going, and were answered.',
    ],
    ['through one ring only', [], { thread: 'one-ring' }, 'untested'],
    [
      'only one strand in the device, and both tries left out',
      ['device-weigh', 'hitch-test'],
      { 'device-thread': 'one-strand' },
      'unattached',
    ],
    ['lanyard on a gear loop, and not weighed', ['lanyard-weigh'], { 'lanyard-clip': 'gear-loop' }, 'unattached'],
  ])('clean anchor: %s', (_, without, wrongly, outcome) => expect(named(anchor, without, wrongly)).toBe(outcome));
  it('only one strand in the device shows while the lanyard still holds; without the lanyard one falls', () => {
    expect(named(anchor, [], { 'device-thread': 'one-strand' })).toMatch(/^shows: The device does not hold/);
    const early = moved(moved(anchor, 'lanyard-off', 'device-weigh'), 'device-weigh', 'strip');
    const steps = stepsOf(early);
    const at = steps.findIndex((s) => s?.id === 'device-thread');
    const moments = replay(PROCEDURES['clean-anchor'], deviate(steps, [{ kind: 'wrong', at, wrong: 0 }]));
    expect(moments.flatMap((m) => m.breaches.map((b) => b.kind))).toContain('unattached');
  });
  it('lanyard off before the device is weighed, as an order of one’s own', () =>
    expect(breachesOf(moved(anchor, 'lanyard-off', 'device-weigh'))[0]).toMatch(/device was not tested/));

  const rappel = fresh('doubled-rappel');
  it.each<[string, readonly string[], Readonly<Record<string, string>>, string]>([
    ['ends open', ['ends-knot'], {}, 'fall'],
    ['one end open', [], { 'ends-knot': 'one' }, 'fall'],
    [
      'hitch that reaches the device',
      [],
      { 'hitch-tie': 'too-long' },
      'shows: The hitch does not hold: it shows while no harm comes of it.',
    ],
    ['knots left in when the rope is pulled', ['ends-untie'], {}, 'stranded'],
  ])('doubled rappel: %s', (_, without, wrongly, outcome) => expect(named(rappel, without, wrongly)).toBe(outcome));
  it('joined ropes with short tails', () =>
    expect(named(withOption(rappel, 'rope', 'joined'), [], { 'rope-join': 'short' })).toBe('fall'));

  it('one strand: the strand of the knot, no connector behind it, an open end, a knot left in when it is pulled', () => {
    const blocked = fresh('single-rappel');
    expect(named(blocked, [], { 'rope-block': 'wrong-side' })).toMatch(/^shows/);
    expect(named(blocked, ['device-weigh', 'hitch-test'], { 'rope-block': 'wrong-side' })).toBe('unattached');
    expect(named(blocked, ['rope-clip'])).toBe('fall');
    expect(named(blocked, ['end-knot'])).toBe('fall');
    expect(named(blocked, ['end-untie'])).toBe('stranded');
    expect(named(blocked, ['device-lock'])).toBe('untested');
    const tied = withOption(blocked, 'held', 'tied');
    expect(named(tied, ['end-knot'])).toBe('fall');
    expect(named(tied, [], { 'device-thread': 'other' })).not.toBe('harmless');
  });
  it('lowering from an anchor: brake strand beside the load, open end, no agreement, slack, lanyard off too early', () => {
    const lower = fresh('lower-anchor');
    expect(named(lower, ['brake-led'])).toMatch(/^shows: The rope does not hold/);
    expect(named(lower, ['brake-led', 'device-weigh'])).toBe('unattached');
    expect(named(lower, ['end-knot'])).toBe('fall');
    expect(named(lower, ['call-lower'])).toBe('fall');
    expect(named(lower, ['take-in'])).toBe('drop');
    expect(named(lower, ['device-weigh'])).toBe('untested');
    expect(named(lower, [], { 'tie-in': 'unfinished' })).toMatch(/^shows/);
    expect(named(lower, [], { 'device-thread': 'backwards' })).toMatch(/^shows/);
  });
  it('lowering from the ground: open end, no agreement, slack, knot or device not tried low above the ground', () => {
    const ground = fresh('lower-ground');
    expect(named(ground, ['end-knot'])).toBe('fall');
    expect(named(ground, ['call-lower'])).toBe('fall');
    expect(named(ground, [], { climb: 'slack' })).toBe('drop');
    expect(named(ground, [], { 'tie-in': 'unfinished' })).toMatch(/^shows/);
    expect(named(ground, ['device-weigh'], { 'tie-in': 'unfinished' })).not.toBe('harmless');
    expect(named(ground, ['device-lock'])).not.toBe('harmless');
  });

  it('a leader from a stance: nothing clipped above it, clipped from the wrong side, a tether too long, off belay before the call', () => {
    for (const belay of ['harness', 'anchor']) {
      const stance = withOption(fresh('leader-stance'), 'belay', belay);
      expect(named(stance, ['clip-first'])).toBe('drop');
      expect(named(stance, [], { 'clip-first': 'back' })).toBe('drop');
      expect(named(stance, [belay === 'anchor' ? 'upward-hold' : 'tether-set'])).toBe('drop');
      expect(named(stance, ['belayer-on'])).toBe('fall');
      expect(named(stance, ['call-off'])).toBe('fall');
      expect(named(stance, ['pile'])).toBe('stranded');
      expect(named(stance, [], { 'device-thread': 'backwards' })).toMatch(/^shows/);
    }
  });
  it('two seconds: what holds one is not tried for the other, ropes that cross, a plate opened for one of them', () => {
    const two = fresh('two-seconds');
    expect(named(two, ['plate-weigh-other'])).toBe('untested');
    expect(named(two, [], { 'plate-thread': 'other-below' })).toMatch(/^shows/);
    expect(named(two, ['plate-weigh-other'], { 'plate-thread': 'other-below' })).toBe('fall');
    expect(named(two, [], { 'climb-other': 'crosses' })).toBe('fall');
    expect(named(two, [], { 'clip-hitch': 'on-connector' })).toBe('fall');
    expect(named(two, ['wait-other'])).toBe('drop');
    expect(named(two, ['clip-hitch-other'])).not.toBe('harmless');
    expect(breachesOf(moved(two, 'rope-out', 'go-on-other')).join(' ')).toMatch(/opened while the other still hangs/);
  });
  it('lowering a second: the hand alone, the brake strand beside the load, an open end, the hand at the sling', () => {
    const second = fresh('lower-second');
    expect(named(second, ['hitch-tie'])).toMatch(/^fall|^shows/);
    expect(named(second, ['hitch-tie', 'hitch-lock', 'hitch-test'])).toBe('fall');
    expect(named(second, [], { 'hitch-tie': 'few' })).toMatch(/^shows: The hitch on the brake strand does not hold/);
    expect(named(second, ['brake-led', 'hand-on'])).toBe('fall');
    expect(named(second, ['end-knot'])).toBe('fall');
    expect(named(second, [], { lower: 'let-go' })).toBe('drop');
    expect(named(second, ['rope-reach'])).toBe('stranded');
    expect(named(second, ['call-lower'])).toBe('fall');
  });
  it('up on clamps: an upper tether out of reach, slack above the descender, a clamp off too early, the upper one left on', () => {
    const up = fresh('up-on-clamps');
    expect(named(up, [], { 'upper-on': 'far' })).not.toBe('harmless');
    expect(named(up, ['take-in'])).toBe('drop');
    expect(named(up, ['upper-off'])).toBe('stranded');
    expect(named(up, ['upper-hole'])).toMatch(/^shows: The upper ascender does not hold/);
    expect(named(up, ['bounce-lower'])).not.toBe('harmless');
    expect(named(up, ['fixed'])).toBe('fall');
    expect(named(up, ['end-knot'])).toBe('fall');
    expect(named(up, [], { 'device-thread': 'wrong' })).toMatch(/^shows: The descender does not hold/);
    expect(breachesOf(moved(up, 'upper-off', 'lower-off')).join(' ')).toMatch(/never loaded/);
  });
  it('down on clamps: a cam thumbed open under load, both open, the clamps on each other, one left on the rope', () => {
    const down = fresh('down-on-clamps');
    expect(named(down, [], { 'upper-open': 'loaded' })).toBe('drop');
    expect(named(down, [], { 'upper-open': 'lower' })).toBe('drop');
    expect(named(down, [], { 'lower-open': 'upper' })).toBe('drop');
    expect(named(down, [], { 'upper-down': 'touch' })).toBe('stranded');
    expect(named(down, ['upper-shut'])).toMatch(/^shows: The upper ascender does not hold/);
    expect(named(down, ['lower-shut'])).toMatch(/^shows: The lower ascender does not hold/);
    expect(named(down, ['look'])).toBe('fall');
    expect(named(down, ['upper-off'])).toBe('stranded');
  });
  it('alone on a top rope: grabs off before the own sling, the stopper knot undone too early, the weight left on the rope', () => {
    const alone = fresh('alone-top-rope');
    expect(named(alone, ['lanyard-clip'])).not.toBe('harmless');
    expect(breachesOf(moved(alone, 'second-off', 'lanyard-clip')).join(' ')).toMatch(/where 2 are promised/);
    expect(
      breachesOf(moved(moved(alone, 'second-off', 'lanyard-clip'), 'first-off', 'lanyard-clip')).join(' '),
    ).toMatch(/You fall\. The first grab gives way and nothing else holds/);
    expect(named(alone, ['knot'])).toMatch(/untested|^shows/);
    expect(named(alone, ['unknot'])).toBe('stranded');
    expect(named(alone, ['weight-off'])).toMatch(/stranded|^shows/);
    expect(named(alone, [], { 'first-on': 'upside' })).toMatch(/^shows: The first grab does not hold/);
    expect(named(alone, [], { climb: 'slack' })).toBe('drop');
    expect(named(alone, ['hitch-tie', 'hitch-lock', 'hitch-test'])).not.toBe('harmless');
    expect(named(alone, ['first-off'])).not.toBe('harmless');
    expect(named(alone, ['end-knot'])).toBe('fall');
    expect(named(alone, ['weight-hang'])).toBe('drop');
  });
  it('alone again: the way down still on the rope, the wrong strand, nothing looked at, not tried anew', () => {
    const again = fresh('alone-again');
    expect(named(again, ['old-off'])).toBe('stranded');
    expect(named(again, [], { 'rope-fix': 'other' })).toMatch(/^shows|fall/);
    expect(named(again, ['rope-fix'])).not.toBe('harmless');
    expect(named(again, ['rope-feel'])).toBe('untested');
    expect(named(again, ['grabs-look'])).toBe('untested');
    expect(named(again, ['first-try'])).toBe('untested');
    expect(named(again, ['first-try', 'second-try'])).not.toBe('harmless');
    expect(named(again, ['end-knot'])).toBe('fall');
    expect(named(again, ['second-on'])).not.toBe('harmless');
    // Without a weight the rope is lifted with the grabs, and slack gathers above them.
    expect(named(again, ['weight-hang'])).toBe('drop');
  });
  it('walking up a line: what only goes up is off before the limb and before going down; back with the line taken in; on two while working', () => {
    const walk = fresh('tree-walk');
    expect(named(walk, ['knee-off'])).toBe('stranded');
    expect(named(walk, ['foot-off'])).toBe('stranded');
    expect(breachesOf(moved(walk, 'knee-off', 'work')).join(' ')).toMatch(/out on the limb/);
    expect(named(walk, ['chest-off'])).not.toBe('harmless');
    expect(named(walk, ['lanyard-off'])).toBe('stranded');
    expect(named(walk, [], { 'walk-back': 'slack' })).toBe('drop');
    expect(named(walk, ['line-try'])).toBe('untested');
    expect(named(walk, ['end-knot'])).toBe('fall');
    expect(named(walk, ['tune'])).not.toBe('harmless');
    expect(named(walk, [], { 'device-thread': 'pin' })).not.toBe('harmless');
    expect(named(walk, ['lanyard-on', 'lanyard-lock', 'lanyard-off'])).not.toBe('harmless');
    expect(named(walk, ['lanyard-lock'])).toBe('untested');
  });
  it('walking on above the limb: the tether short again and the lanyard off before, and all off again before going down', () => {
    const walk = fresh('tree-walk');
    expect(named(walk, ['knee-down'])).toBe('stranded');
    expect(named(walk, ['foot-down'])).toBe('stranded');
    expect(named(walk, ['chest-down'])).toBe('fall');
    expect(breachesOf(moved(walk, 'tether-short', 'go')).join(' ')).toMatch(/out of reach/);
    expect(breachesOf(moved(walk, 'lanyard-off', 'knee-down')).join(' ')).toMatch(/lanyard round the wood below/);
    // Fitted before one walks back along the limb it holds one there.
    expect(named(moved(walk, 'knee-again', 'walk-back'), [])).not.toBe('harmless');
    // Who does not walk on goes down from the limb: nothing is fitted again.
    const again = ['foot-again', 'knee-again', 'chest-again', 'climb-again', 'knee-down', 'foot-down', 'chest-down'];
    expect(named(walk, again)).toBe('harmless');
    expect(named(walk, again.slice(0, 4))).not.toBe('fall');
  });
  it('pick-off: nothing opened before the link carries, never on one, no drop, everything off that grabs, friction for two', () => {
    const off = fresh('pick-off');
    expect(named(off, ['link-on', 'link-lock', 'link-tight'])).toBe('fall');
    expect(named(off, [], { 'link-on': 'loop' })).toMatch(/^shows|fall/);
    const late = ['link-on', 'link-lock', 'link-tight'].reduce((s, id) => moved(s, id, 'stuck-off'), off);
    expect(breachesOf(late).join(' ')).toMatch(/before your link can carry/);
    const spareLate = ['spare-on', 'spare-lock'].reduce((s, id) => moved(s, id, 'hand-on'), off);
    expect(breachesOf(spareLate).join(' ')).toMatch(/on one thing only/);
    expect(named(off, ['link-lock'])).toBe('untested');
    expect(named(off, ['spare-on', 'spare-lock'])).toBe('untested');
    expect(named(off, ['spare-lock'])).toBe('untested');
    expect(named(off, ['link-tight'])).toBe('drop');
    expect(named(off, ['stuck-off'])).not.toBe('harmless');
    expect(named(off, ['lanyards-off'])).toBe('stranded');
    expect(named(off, ['ascenders-off'])).toBe('stranded');
    expect(named(off, ['third-off'])).not.toBe('harmless');
    expect(named(off, ['friction-add'])).toBe('fall');
    expect(named(off, ['end-look'])).toBe('fall');
    expect(named(off, ['help'])).toBe('untested');
    expect(named(off, ['hand-on'])).not.toBe('harmless');
    // Both hands are needed for all of it: nothing is done before the device is locked off.
    for (const id of ['link-on', 'spare-on', 'third-on'])
      expect(named(moved(off, id, 'tie-off'), [])).not.toBe('harmless');
  });
  it('tied off: the slip knot alone, not tried, the hand off before it is opened, gone on in silence', () => {
    const off = fresh('tie-off');
    expect(named(off, ['back-up'])).toBe('fall');
    expect(named(off, ['slip-knot'])).not.toBe('harmless');
    expect(named(off, ['ease'])).toBe('untested');
    expect(named(off, [], { 'slip-off': 'let-go' })).toBe('fall');
    expect(named(off, ['slip-off'])).not.toBe('harmless');
    expect(named(off, ['call-go'])).toBe('drop');
  });

  it('eight: hand off before the knot, knot off before the hand is back', () => {
    const eight = fresh('eight');
    expect(named(eight, ['knot'])).toBe('drop');
    expect(named(eight, ['hand-back'])).toBe('drop');
    expect(named(eight, [], { unknot: 'let-go' })).toBe('drop');
    expect(named(eight, [], { 'thread-below-right': 'mirrored' })).toMatch(/^shows: The eight does not hold/);
  });
  it('tree: slack under the hitch, a hand that stays on it, no tether, second attachment not weighed', () => {
    const tree = fresh('tree-descent');
    expect(named(tree, ['slack'])).toBe('drop');
    expect(named(tree, [], { go: 'gripped' })).toBe('untested');
    expect(named(tree, ['tether'])).toBe('dropped');
    expect(named(tree, ['second-weigh'])).toBe('untested');
    expect(named(tree, ['rebind'])).toBe('untested');
    expect(named(tree, [], { 'device-on': 'bridge-off' })).not.toMatch(/harmless/);
  });
  it('cliff: without the hitch no slack, slack above the device drops you', () => {
    const cliff = fresh('hitch-first');
    expect(named(cliff, ['hitch-one'])).toMatch(/^shows/);
    expect(named(cliff, ['take-in'])).toBe('drop');
  });
  it('half-way: hand off without a knot, knot left in, stuck hitch left off', () => {
    const stop = fresh('stop-and-go');
    expect(named(stop, ['stop'])).toMatch(/^shows: It cannot be done before the hitch is let go and bites/);
    expect(named(stop, ['knot'])).toBe('drop');
    expect(named(stop, ['unknot'])).toBe('stranded');
    expect(named(withOption(stop, 'hitch', 'stuck'), [], { loosen: 'off' })).toBe('untested');
  });
});

describe('orders that broke and were called clear', () => {
  const of = (sequence: Sequence) => orderVerdict(sequence, walk(sequence)).severity;
  const anchor = fresh('clean-anchor');
  const rappel = fresh('doubled-rappel');
  const stuck = withOption(fresh('stop-and-go'), 'hitch', 'stuck');
  it.each<[string, Sequence]>([
    ['strip the anchor first, the belay runs through it', moved(anchor, 'strip', 'agree')],
    ['the middle to the rings while one hangs on the device', moved(anchor, 'middle', 'lanyard-off')],
    ['the same on two strands', moved(rappel, 'rope-middle', 'lanyard-off')],
    ['knot an end that hangs far below', moved(anchor, 'end-knot', 'device-thread')],
    ['rehearse low while up in the tree', moved(fresh('tree-descent'), 'rehearse', 'second-stem')],
    ['climb after the device took over', moved(fresh('tree-descent'), 'climb', 'go')],
    ['stuck hitch: the stopper untied first', moved(stuck, 'unknot', 'loosen')],
    ['stuck hitch: the upper one not locked', moved(stuck, 'upper-lock', 'upper-off')],
    ['“rope is free” before coming down', moved(rappel, 'call-off', 'go')],
    ['“rope is free” at the very start', moved(rappel, 'call-off', 'lanyard-clip')],
    ['a knot in the end, then through the rings', moved(anchor, 'end-knot', 'thread')],
    ['thrown before anything holds it', moved(fresh('single-rappel'), 'throw', 'rope-block')],
    ['lowered while the lanyard is still on', moved(fresh('lower-anchor'), 'lanyard-off', 'untie')],
  ])('%s', (_, sequence) => expect(of(sequence)).toBe('stop'));
  it('a call for going down that is missing is a Stop', () => {
    for (const id of ['doubled-rappel', 'single-rappel', 'clean-anchor', 'eight'] as const) {
      const sequence = fresh(id);
      expect(of({ ...sequence, steps: sequence.steps.filter((l) => l.id !== 'call-going') }), id).toBe('stop');
    }
  });
  it('a rope that is left hanging is not the end of the job', () =>
    expect(of({ ...rappel, steps: rappel.steps.filter((l) => l.id !== 'pull') })).toBe('untested'));
  it('the more careful order is accepted: the bight clipped while still on belay', () =>
    expect(of(moved(anchor, 'rope-clip', 'off-belay'))).toBe('clear'));
});

/**
 * What no order that is called clear may have, whatever else is changed in it: the first done after the second, or not
 * at all.
 */
const NEVER_CLEAR: Partial<Record<ProcedureId, readonly (readonly [string, string])[]>> = {
  'doubled-rappel': [
    ['hitch-test', 'lanyard-off'],
    ['device-weigh', 'lanyard-off'],
    ['ends-knot', 'go'],
    ['device-lock', 'lanyard-off'],
    ['ends-knot', 'throw'],
    ['go', 'call-off'],
    ['ends-untie', 'pull'],
    ['rope-middle', 'device-thread'],
  ],
  'clean-anchor': [
    ['agree', 'off-belay'],
    ['off-belay', 'untie'],
    ['rope-clip', 'untie'],
    ['lanyard-lock', 'off-belay'],
    ['untie', 'strip'],
    ['hitch-test', 'lanyard-off'],
    ['thread', 'end-knot'],
    ['middle', 'device-thread'],
    ['call-going', 'go'],
  ],
  'single-rappel': [
    ['rope-block', 'throw'],
    ['rope-clip', 'lanyard-off'],
    ['hitch-test', 'lanyard-off'],
    ['end-knot', 'throw'],
  ],
  'lower-anchor': [
    ['lanyard-off', 'lower'],
    ['call-lower', 'lanyard-off'],
    ['brake-led', 'device-weigh'],
    ['device-lock', 'lanyard-off'],
    ['ground', 'untie'],
  ],
  'lower-ground': [
    ['device-lock', 'climb'],
    ['call-top', 'lower'],
    ['ground', 'untie'],
    ['end-knot', 'lower'],
  ],
  'second-up': [
    ['belayer-on', 'climb'],
    ['plate-lock', 'climb'],
    ['tie-in', 'climb'],
    ['take-in', 'climb'],
    ['plate-weigh', 'climb'],
    ['call-climb', 'climb'],
    ['clip-lock', 'rope-out'],
    ['clip-weigh', 'rope-out'],
    ['call-off', 'rope-out'],
    ['clip-hitch', 'rope-out'],
  ],
  'leader-ground': [
    ['tie-in', 'climb'],
    ['end-knot', 'lower'],
    ['device-thread', 'climb'],
    ['device-lock', 'climb'],
    ['device-weigh', 'climb'],
    ['check', 'start'],
    ['device-lock', 'check'],
    ['end-knot', 'check'],
    ['call-lower', 'climb'],
    ['stance', 'spot'],
    ['call-climb', 'start'],
    ['spot', 'start'],
    ['clip-first', 'climb'],
    ['hand-down', 'climb'],
    ['clip-top', 'lower'],
    ['call-top', 'lower'],
  ],
  'leader-stance': [
    ['belayer-on', 'climb'],
    ['tie-in', 'lanyard-off'],
    ['device-lock', 'check'],
    ['belayer-on', 'check'],
    ['device-weigh', 'lanyard-off'],
    ['hand-on', 'lanyard-off'],
    ['check', 'climb'],
    ['call-climb', 'climb'],
    ['clip-first', 'climb'],
    ['pile', 'climb'],
    ['tether-set', 'climb'],
    ['lanyard-lock', 'rope-out'],
    ['lanyard-weigh', 'call-off'],
    ['lanyard-lock', 'call-off'],
    ['belayer-on', 'device-weigh'],
    ['call-off', 'rope-out'],
  ],
  'two-seconds': [
    ['belayer-on', 'climb'],
    ['plate-lock', 'climb'],
    ['tie-in-other', 'climb-other'],
    ['plate-weigh', 'climb'],
    ['plate-weigh-other', 'climb-other'],
    ['take-in', 'climb'],
    ['call-climb', 'climb'],
    ['call-other', 'climb-other'],
    ['wait-other', 'clip-hitch'],
    ['clip-weigh', 'call-off'],
    ['clip-lock', 'call-off'],
    ['clip-weigh-other', 'call-off-other'],
    ['clip-hitch-other', 'rope-out'],
    ['clip-lock-other', 'rope-out'],
    ['clip-weigh-other', 'rope-out'],
    ['call-off', 'rope-out'],
    ['call-off-other', 'rope-out'],
  ],
  'lower-second': [
    ['call-lower', 'tilt'],
    ['brake-led', 'tilt'],
    ['hitch-tie', 'tilt'],
    ['hitch-lock', 'tilt'],
    ['hitch-test', 'tilt'],
    ['hand-on', 'tilt'],
    ['release-rig', 'tilt'],
    ['end-knot', 'lower'],
    ['rope-reach', 'lower'],
    ['tilt', 'lower'],
    ['hold', 'lower'],
    ['grip', 'hitch-off'],
  ],
  'up-on-clamps': [
    ['fixed', 'climb'],
    ['upper-hole', 'climb'],
    ['lower-on', 'climb'],
    ['lower-lock', 'climb'],
    ['bounce-upper', 'climb'],
    ['bounce-lower', 'climb'],
    ['device-thread', 'lower-off'],
    ['device-lock', 'lower-off'],
    ['take-in', 'lower-off'],
    ['tie-off', 'lower-off'],
    ['lower-off', 'upper-off'],
    ['hand-on', 'untie'],
    ['upper-off', 'go'],
    ['end-knot', 'go'],
  ],
  'down-on-clamps': [
    ['look', 'lower-down'],
    ['upper-shut', 'lower-open'],
    ['stand', 'lower-open'],
    ['lower-shut', 'again'],
    ['sit', 'again'],
    ['ground', 'upper-off'],
  ],
  'alone-top-rope': [
    ['rope-fix', 'climb'],
    ['end-knot', 'climb'],
    ['first-lock', 'climb'],
    ['second-lock', 'climb'],
    ['first-try', 'climb'],
    ['second-try', 'climb'],
    ['take-in', 'climb'],
    ['weight-hang', 'climb'],
    ['lanyard-lock', 'first-off'],
    ['lanyard-weigh', 'second-off'],
    ['knot', 'second-off'],
    ['knot', 'first-off'],
    ['lanyard-off', 'unknot'],
    ['device-lock', 'lanyard-off'],
    ['device-weigh', 'lanyard-off'],
    ['hitch-test', 'lanyard-off'],
    ['first-off', 'go'],
    ['unknot', 'go'],
    ['device-weigh', 'unknot'],
  ],
  'alone-again': [
    ['old-off', 'climb'],
    ['rope-fix', 'climb'],
    ['rope-feel', 'climb'],
    ['grabs-look', 'climb'],
    ['end-knot', 'climb'],
    ['first-lock', 'climb'],
    ['second-lock', 'climb'],
    ['first-try', 'climb'],
    ['second-try', 'climb'],
    ['take-in', 'climb'],
    ['weight-hang', 'climb'],
  ],
  'tree-walk': [
    ['line-try', 'climb'],
    ['end-knot', 'go'],
    ['device-lock', 'climb'],
    ['tune', 'climb'],
    ['device-weigh', 'climb'],
    ['knee-off', 'walk-out'],
    ['foot-off', 'walk-out'],
    ['lanyard-off', 'go'],
    ['lanyard-on', 'work'],
    ['lanyard-lock', 'walk-out'],
    ['tether-short', 'climb-again'],
    ['lanyard-off', 'climb-again'],
    ['knee-down', 'go'],
    ['foot-down', 'go'],
    ['chest-down', 'go'],
  ],
  'pick-off': [
    ['help', 'haul'],
    ['link-on', 'haul'],
    ['link-lock', 'haul'],
    ['link-tight', 'third-ease'],
    ['link-tight', 'third-off'],
    ['spare-on', 'third-ease'],
    ['spare-lock', 'stuck-off'],
    ['friction-add', 'go'],
    ['stuck-off', 'go'],
    ['lanyards-off', 'go'],
    ['ascenders-off', 'go'],
    ['third-off', 'go'],
    ['end-look', 'go'],
    ['hand-on', 'untie'],
  ],
  'tie-off': [
    ['call-hang', 'hand-off'],
    ['slip-knot', 'hand-off'],
    ['back-up', 'hand-off'],
    ['ease', 'hand-off'],
    ['hand-back', 'back-up-off'],
    ['slip-off', 'go'],
    ['call-go', 'go'],
    ['work', 'call-go'],
  ],
  'tree-descent': [
    ['rehearse', 'climb'],
    ['hitch-lock', 'climb'],
    ['second-lock', 'break'],
    ['slack', 'break'],
  ],
  'stop-and-go': [
    ['stop', 'knot'],
    ['knot', 'hand-off'],
  ],
  'hitch-first': [
    ['hitch-test', 'lanyard-off'],
    ['take-in', 'device-weigh'],
    ['end-knot', 'edge'],
  ],
  eight: [
    ['line-belay', 'edge'],
    ['tuck', 'eight-clip'],
    ['knot', 'hands-off'],
  ],
};

describe('random orders', () => {
  it.each(Object.entries(NEVER_CLEAR) as [ProcedureId, readonly (readonly [string, string])[]][])(
    '%s: none that is called clear has one of the fatal deviations',
    (id, rules) => {
      const sequence = fresh(id);
      const shipped = sequence.steps.map((l) => l.id);
      for (const rule of rules) for (const step of rule) expect(shipped, step).toContain(step);
      const random = randomFrom(7);
      let clear = 0;
      for (let n = 0; n < 3000; n += 1) {
        const steps = [...shipped];
        for (let c = 1 + random(3); c > 0; c -= 1) {
          const [step] = steps.splice(random(steps.length), 1);
          if (random(3) > 0) steps.splice(random(steps.length + 1), 0, step!);
        }
        const own: Sequence = { ...sequence, steps: steps.map((step) => ({ kind: 'step', id: step })) };
        if (orderVerdict(own, walk(own)).severity !== 'clear') continue;
        clear += 1;
        for (const [first, then] of rules) {
          const [x, y] = [steps.indexOf(first), steps.indexOf(then)];
          expect(y < 0 || (x >= 0 && x < y), `${steps.join(' ')}: ${then} before ${first}`).toBe(true);
        }
      }
      // Else nothing was looked at.
      expect(clear).toBeGreaterThan(5);
    },
  );
});

describe('other orders', () => {
  const anchor = fresh('clean-anchor');
  it('one that is as good is accepted', () => {
    for (const other of [
      moved(anchor, 'hitch-tie', 'device-lock'),
      moved(anchor, 'rope-clip', 'off-belay'),
      moved(anchor, 'call-going', 'lanyard-off'),
    ])
      expect(breachesOf(other)).toEqual([]);
  });
  it('a fatal one says at which step and why', () => {
    const fatal = moved(anchor, 'untie', 'rope-clip');
    const moments = replay(PROCEDURES['clean-anchor'], movesOf(fatal));
    const at = moments.findIndex((m) => m.breaches.length > 0);
    expect(fatal.steps[at - 1]!.id).toBe('untie');
    expect(breachText(moments[at]!.breaches[0]!)).toBe(
      'You are stranded. The rope is neither tied nor clipped to you: dropped, it is gone.',
    );
  });
});
