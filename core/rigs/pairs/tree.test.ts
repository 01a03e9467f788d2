import { describe, expect, it } from 'vitest';
import {
  oneSpring,
  pullN,
  sideBySide,
  springsOf,
  storedJPerM,
  type Connector,
  type TwoSprings,
} from '../../things/gear/index.ts';
import { redirectWeights } from '../../things/geometry/index.ts';
import { fillTemplate, METRIC } from '../../foundations/finding/index.ts';
import {
  BLANK_TREE,
  variation,
  VARIATIONS,
  wellRigged,
  withFields,
  withItem,
  without,
  type LineOf,
  type Setup,
  type Tree,
} from '../rig/index.ts';
import { changed, club, filled, SETUPS } from '../../samples/index.ts';
import { constant } from '../../foundations/sources/index.ts';
import { assess } from '../../answers/assess/index.ts';
import { judged } from './judged.test-help.ts';

const moving = filled(SETUPS['tree-moving']);
const stationary = filled(SETUPS['tree-stationary']);
const inTree = (setup: Setup, tree: Partial<Tree>) => changed(setup, { tree });
const find = (setup: Setup, code: string) => judged(setup).find((f) => f.code === code);
const severity = (setup: Setup, code: string) => find(setup, code)?.severity;
const value = (setup: Setup, code: string, key: string) => find(setup, code)!.numbers.find((n) => n.key === key)!.value;

describe('the tie-in point', () => {
  it.each([
    ['two', 'clear'],
    ['one', 'mind'],
    ['none', 'stop'],
    ['unknown', 'untested'],
  ] as const)('tried by %s: %s', (tried, expected) =>
    expect(severity(inTree(moving, { tried }), 'tree.fork-load')).toBe(expected),
  );
  it('100 kg on a ring, tied at the base: 1.96 kN, and 3.9 with a jerk; on bark less, tied up there one weight', () => {
    // m g = 0.981 kN; over a ring without friction the point carries it twice.
    const heavy = withItem(stationary, 'climber', { ...club.tomas, massKg: 100 });
    const over = (through: string, tiedAt: string) => changed(heavy, { anchor: { through }, fastening: { tiedAt } });
    const still = (s: Setup) => value(s, 'tree.fork-load', 'still');
    expect(still(over('saver', 'base')).high).toBeCloseTo(1.96, 2);
    expect(value(over('saver', 'base'), 'tree.fork-load', 'jerk').high).toBeCloseTo(3.92, 2);
    // mu 0.3 on bark: 1.39 weights.
    expect(still(over('wood', 'base')).best).toBeCloseTo(1.39 * 0.981, 2);
    expect(still(over('wood', 'top'))).toEqual({ low: 0.980665, best: 0.980665, high: 0.980665 });
    // Not said where it is tied: from one weight to what the base tie can come to.
    const open = still(over('saver', 'unknown'));
    expect(open.low).toBeCloseTo(0.981, 3);
    expect(open.high).toBeCloseTo(1.96, 2);
    expect(still(withItem(moving, 'climber', { ...club.tomas, massKg: 100 })).best).toBeCloseTo(0.981, 3);
  });
});

describe('a connector in a tree', () => {
  const locked = (lock: Connector['lock'], use: 'carries' | 'aid' = 'carries') => {
    const main = stationary.attachments.find((a) => a.use === 'carries')!;
    const piece = main.pieces.find((p) => p.kind === 'connector')!;
    const setup = withItem(stationary, piece.id, { ...(piece.item as Connector), lock, strengthMajorKn: 25 });
    return judged(use === 'aid' ? withFields(setup, main.id, { use }) : setup)
      .filter((f) => f.code === 'connector.tree-life' && f.subject.includes(piece.id))
      .map((f) => f.severity);
  };
  // ANSI Z133 as remembered: closes and locks by itself, and takes two actions to open. What is not known is asked by
  // the gate.
  it('locks by itself, or is Stop; what is not entered is asked elsewhere, and an aid carries nobody', () => {
    for (const lock of ['two-action', 'three-action', 'magnetic', 'unknown'] as const) expect(locked(lock)).toEqual([]);
    for (const lock of ['screw', 'none', 'twin'] as const) expect(locked(lock)).toEqual(['stop']);
    expect(locked('none', 'aid')).toEqual([]);
  });
});

describe('a line tied at the base', () => {
  const tied = (tiedAt: string, lengthM: number, measuredLengthM: number | null = lengthM) => {
    const line = stationary.lines[0] as LineOf<'fixed'>;
    const setup = withItem(stationary, line.rope.id, { ...line.rope.item!, lengthM, measuredLengthM });
    return find(changed(setup, { fastening: { tiedAt } }), 'geometry.base-tie');
  };
  it('is long enough, may not reach or does not; tied at the top it is not asked', () => {
    const needM = tied('base', 10)!.numbers.find((n) => n.key === 'need')!.value.best;
    expect(tied('base', needM + 10)).toBeUndefined();
    expect(tied('base', needM - 10)).toMatchObject({
      severity: 'stop',
      says: expect.stringMatching(/does not reach/) as string,
    });
    // Not measured it may be that long, or not.
    expect(tied('base', needM, null)).toMatchObject({
      severity: 'mind',
      says: expect.stringMatching(/may not reach/) as string,
    });
    expect(tied('unknown', needM - 10)?.severity).toBe('untested');
    expect(tied('top', needM - 10)).toBeUndefined();
  });
});

describe('out along a limb', () => {
  const limb = (outM: number | null, belowM: number | null, more: Partial<Tree> = {}, riseDeg = 0) =>
    inTree(moving, { limbs: [{ id: 'limb', outM, belowM, riseDeg }], ...more });
  it.each([
    // angle 30 deg: out = below tan 30; drop 0.5 m.
    [1.0, 5, 'clear'],
    [2.0, 10, 'clear'],
    [3.4, 6, 'mind'],
    [2.4, 4.1, 'mind'],
    [3, 6, 'mind'],
    [3.3, 10, 'mind'],
    [4, 4.1, 'stop'],
    [5, 3, 'stop'],
    [5.6, 9, 'stop'],
    [1.05, 1, 'stop'],
  ] as const)('%s m out, %s m below: %s', (out, below, expected) =>
    expect(severity(limb(out, below), 'tree.limb-swing')).toBe(expected),
  );
  it('a limb that rises brings one nearer to the tie-in, and one that falls away farther', () => {
    // 4 m out, rising 30 deg: 2.31 m higher. 6 - 2.31 = 3.69 m below: 47 deg.
    const below = (s: Setup) => value(s, 'tree.limb-swing', 'below').best;
    expect(below(limb(4, 6, {}, 30))).toBeCloseTo(6 - 4 / Math.sqrt(3), 6);
    expect(below(limb(4, 6, {}, -30))).toBeCloseTo(6 + 4 / Math.sqrt(3), 6);
    expect([30, 0, -30].map((rise) => severity(limb(4, 6, {}, rise), 'tree.limb-swing'))).toEqual([
      'stop',
      'mind',
      'mind',
    ]);
  });
  it('as high as the tie-in, or above it, is Stop and no swing is reckoned', () => {
    // 4 m out at 45 deg: 4 m higher.
    const at = (m: number) => limb(4, m, {}, 45);
    expect(severity(at(3.9), 'tree.limb-above')).toBe('stop');
    expect(find(at(3.9), 'tree.limb-swing')).toBeUndefined();
    expect(find(at(4.1), 'tree.limb-above')).toBeUndefined();
    expect(severity(at(4.1), 'tree.limb-swing')).toBe('stop');
  });
  it('a limb that would be in the ground is a wrong number, and no swing', () => {
    // The anchor is 15 m up.
    expect(severity(limb(3, 14.9), 'tree.limb-swing')).toBe('clear');
    for (const low of [limb(3, 15.1), limb(6, 10, {}, -50)]) {
      expect(severity(low, 'tree.limb-swing')).toBe('untested');
      expect(find(low, 'tree.limb-swing')!.says).toMatch(/in the ground/);
    }
  });
  it('of several limbs each is told by its name, and the longest swing stores the slack', () => {
    const two = inTree(moving, {
      limbs: [
        { id: 'limb', outM: 1, belowM: 5, riseDeg: 0 },
        { id: 'limb2', outM: 4, belowM: 4, riseDeg: 0 },
        { id: 'limb3', outM: 0, belowM: null, riseDeg: 0 },
        { id: 'limb4', outM: 2, belowM: null, riseDeg: 0 },
      ],
      comingBack: 'slack',
    });
    const told = judged(two).filter((f) => f.code === 'tree.limb-swing');
    expect(told.map((f) => [f.severity, /first|second|fourth/.exec(f.says)?.[0]]).sort()).toEqual([
      ['clear', 'first'],
      ['stop', 'second'],
      ['untested', 'fourth'],
    ]);
    expect(value(two, 'tree.limb-slack', 'slack').best).toBeCloseTo(1.657, 3);
  });
  it('each limit from both sides: 30 and 45 degrees, 0.5 and 1.5 m', () => {
    // Short lines reach the angle first, long ones the drop.
    const out = (below: number, deg: number) => below * Math.tan((deg * Math.PI) / 180);
    expect([29.5, 30.5].map((d) => severity(limb(out(2, d), 2), 'tree.limb-swing'))).toEqual(['clear', 'mind']);
    expect([44.5, 45.5].map((d) => severity(limb(out(2, d), 2), 'tree.limb-swing'))).toEqual(['mind', 'stop']);
    const drop = (below: number, m: number) => Math.sqrt((below + m) ** 2 - below ** 2);
    expect([0.48, 0.52].map((m) => severity(limb(drop(12, m), 12), 'tree.limb-swing'))).toEqual(['clear', 'mind']);
    expect([1.48, 1.52].map((m) => severity(limb(drop(12, m), 12), 'tree.limb-swing'))).toEqual(['mind', 'stop']);
  });
  it('a second line takes the Stop away and leaves something to mind; a lanyard alone does not', () => {
    const second = variation('own-hitch').add(limb(5, 3))!;
    expect(
      severity(filled(wellRigged(changed(second, { tree: { limbOutM: 5, limbBelowM: 3 } }))), 'tree.limb-swing'),
    ).toBe('mind');
    expect(severity(limb(5, 3, { second: 'lanyard' }), 'tree.limb-swing')).toBe('stop');
  });
  it('not said is not known; nobody out says nothing', () => {
    expect(severity(limb(null, null), 'tree.limb-swing')).toBe('untested');
    expect(severity(limb(null, 6), 'tree.limb-swing')).toBe('untested');
    expect(severity(limb(3, null), 'tree.limb-swing')).toBe('untested');
    expect(find(limb(3, null), 'tree.limb-swing')!.says).toMatch(/how high above/);
    expect(find(limb(0, null), 'tree.limb-swing')).toBeUndefined();
    expect(find(limb(0, 5), 'tree.limb-slack')).toBeUndefined();
  });
  it.each([
    ['taken', 'clear'],
    ['slack', 'mind'],
    ['unknown', 'untested'],
  ] as const)('coming back, the line %s: %s', (comingBack, expected) =>
    expect(severity(limb(2, 4, { comingBack }), 'tree.limb-slack')).toBe(expected),
  );
  it('left slack is a Stop when more than 1.5 m are stored, or the fall is harder than a guided arrester may be', () => {
    expect(severity(limb(4, 4, { comingBack: 'slack' }), 'tree.limb-slack')).toBe('stop');
    const heavy = withItem(limb(2.5, 2.5, { comingBack: 'slack' }), 'climber', { ...club.tomas, massKg: 150 });
    expect(value(heavy, 'tree.limb-slack', 'slack').best).toBeLessThan(1.5);
    expect(value(heavy, 'tree.limb-slack', 'force').best).toBeGreaterThan(6);
    expect(severity(heavy, 'tree.limb-slack')).toBe('stop');
  });
  it('(4, 4), 80 kg: 1.66 m of slack on the 5.66 m of line that are out; of a moving line both legs catch, by energy', () => {
    const s = withItem(limb(4, 4, { comingBack: 'slack' }), 'climber', { ...club.tomas, massKg: 80 });
    expect(value(s, 'tree.limb-slack', 'slack').best).toBeCloseTo(1.66, 2);
    // L W(x / L) = m g (s + x), searched: not the closed form that the core uses.
    const [ropeM, fallM, weightN] = [Math.hypot(4, 4), Math.hypot(4, 4) - 4, 80 * 9.80665];
    const byEnergyKn = (rope: TwoSprings) => {
      let [low, high] = [0, 50];
      for (let i = 0; i < 200; i++) {
        const x = (low + high) / 2;
        if (ropeM * storedJPerM(rope, x / ropeM) < weightN * (fallM + x)) low = x;
        else high = x;
      }
      return pullN(rope, low / ropeM) / 1000;
    };
    const rope = s.lines.flatMap((l) => (l.kind === 'doubled' ? [] : (l.rope.item ?? [])))[0]!;
    const legs = s.job === 'tree-moving' ? 2 : 1;
    expect(value(s, 'tree.limb-slack', 'force').high).toBeCloseTo(
      byEnergyKn(sideBySide(springsOf(rope).hard, legs)),
      3,
    );
    // One spring of 41 kN: 5.2 kN on a stationary line, 7.0 on a moving one.
    expect(byEnergyKn(oneSpring(41_000))).toBeCloseTo(5.2, 1);
    expect(byEnergyKn(oneSpring(82_000))).toBeCloseTo(7.0, 1);
  });
  it.each([
    ['none', undefined],
    ['little', 'mind'],
    ['much', 'stop'],
    ['unknown', 'untested'],
  ] as const)('below its tie-in the line runs over %s: %s', (overLimb, expected) =>
    expect(severity(inTree(moving, { overLimb }), 'tree.over-limb')).toBe(expected),
  );
  it('a quarter of a turn on bark hides a factor of 1.6 to 2.2', () => {
    const hides = value(inTree(moving, { overLimb: 'much' }), 'tree.over-limb', 'hides');
    expect(hides.best).toBeCloseTo(1.6, 1);
    expect(hides.high).toBeCloseTo(2.2, 1);
    expect(constant('muLineOnBark')).toEqual({ low: 0.2, best: 0.3, high: 0.5 });
    expect(constant('muLineOnSaver')).toEqual({ low: 0, best: 0.05, high: 0.1 });
  });
});

describe('a second attachment in a tree', () => {
  it.each([
    ['lanyard', 'no', 'clear'],
    ['lanyard', 'yes', 'clear'],
    ['lanyard', 'unknown', 'clear'],
    ['none', 'no', 'mind'],
    ['none', 'yes', 'stop'],
    ['none', 'unknown', 'untested'],
    ['unknown', 'no', 'untested'],
    ['unknown', 'yes', 'untested'],
    ['unknown', 'unknown', 'untested'],
  ] as const)('%s, a saw: %s: %s', (second, saw, expected) =>
    expect(severity(inTree(moving, { second, saw }), 'tree.second')).toBe(expected),
  );
  it('two lines are two attachments; what is only an aid, or of somebody else, is none', () => {
    const two = filled(wellRigged(variation('own-hitch').add(moving)!));
    expect(severity(inTree(two, { second: 'none', saw: 'yes' }), 'tree.second')).toBe('clear');
    const belayed = filled(wellRigged(variation('second-rope').add(stationary)!));
    expect(severity(inTree(belayed, { second: 'none', saw: 'yes' }), 'tree.second')).toBe('clear');
    const aid = {
      ...two,
      attachments: two.attachments.map((a) => (a.id === 'own' ? { ...a, use: 'aid' as const } : a)),
    };
    expect(severity(inTree(aid, { second: 'none', saw: 'yes' }), 'tree.second')).toBe('stop');
  });
});

describe('what hangs on a stationary line', () => {
  it('a hitch alone carries nobody', () => {
    const main = stationary.attachments.find((a) => a.id === 'main')!;
    const hitched: Setup = {
      ...stationary,
      attachments: stationary.attachments.map((a) =>
        a === main && a.end.kind === 'device'
          ? {
              ...a,
              end: {
                id: a.end.id,
                kind: 'hitch',
                item: club.longCord,
                hitch: 'prusik',
                wraps: 4,
                strands: 'one',
                eyes: 'both',
                on: a.end.on,
              },
            }
          : a,
      ),
    };
    expect(severity(hitched, 'tree.plain-hitch')).toBe('stop');
    expect(find(stationary, 'tree.plain-hitch')).toBeUndefined();
  });
  it('nothing that a foot stands in is above a bollard; below it, it may be', () => {
    const above = filled(wellRigged(variation('hitch-above').add(stationary)!));
    expect(find(above, 'tree.pressed-open')).toBeUndefined();
    const loop = {
      id: 'foot-loop',
      label: 'Foot loop',
      use: 'aid' as const,
      job: null,
      root: { kind: 'harness' as const, person: 'climber', point: 'foot' as const },
      pieces: [],
      end: { id: 'foot-loop-end', kind: 'clip' as const, to: 'above-connector', tight: 'unknown' as const },
    };
    const footed: Setup = { ...above, attachments: [...above.attachments, loop] };
    expect(severity(footed, 'tree.pressed-open')).toBe('stop');
    expect(find(footed, 'tree.pressed-open')!.subject).toEqual(['device', 'above-hitch']);
    const below: Setup = { ...footed, along: { rope: [...footed.along.rope!].reverse() } };
    expect(find(below, 'tree.pressed-open')).toBeUndefined();
    // With something to go up on, the lengths are asked for.
    const asked = assess(footed).findings.filter((f) => f.code === 'rig.not-judged' || f.code === 'ascend.stroke');
    expect(asked.length).toBeGreaterThan(0);
  });
});

describe('the trial of the tie-in point, in figures', () => {
  const tried = (triedKg: number | null, setup: Setup = moving) =>
    inTree(withItem(setup, 'climber', { ...club.tomas, massKg: 100 }), { tried: 'two', triedKg });
  it('one and a half times the climber from both sides, and less than the climber is no trial', () => {
    expect([99, 101, 149, 151].map((kg) => severity(tried(kg), 'tree.fork-load'))).toEqual([
      'stop',
      'mind',
      'mind',
      'clear',
    ]);
    expect(value(tried(150), 'tree.fork-load', 'times').best).toBeCloseTo(1.5);
  });
  it('what was not entered is what climber and partner weigh; without a partner it is not known', () => {
    const ilse = withItem(moving, 'partner', { ...club.ilse, massKg: 60 });
    expect(value(tried(null, ilse), 'tree.fork-load', 'bounced').best).toBe(160);
    expect(severity(tried(null, withItem(moving, 'partner', { ...club.wren, massKg: 40 })), 'tree.fork-load')).toBe(
      'mind',
    );
    expect(severity(tried(null, withItem(moving, 'partner', null)), 'tree.fork-load')).toBe('untested');
  });
  it('one person who tried it is minded, however heavy', () =>
    expect(severity(inTree(moving, { tried: 'one', triedKg: 400 }), 'tree.fork-load')).toBe('mind'));
});

describe('what a redirect carries', () => {
  // Closed form 2 sin(bend / 2), a vector sum of two equal pulls.
  it.each([
    [60, 1],
    [90, Math.SQRT2],
    [120, Math.sqrt(3)],
    [180, 2],
  ])('bent by %s degrees: %s of the load', (bend, weights) => {
    expect(redirectWeights(bend)).toBeCloseTo(weights, 9);
    const [x, y] = [Math.sin((bend * Math.PI) / 180), 1 - Math.cos((bend * Math.PI) / 180)];
    expect(redirectWeights(bend)).toBeCloseTo(Math.hypot(x, y), 9);
  });
  it('is minded from one weight, clear below, asked where it is not said, and nothing where the line runs free', () => {
    const bent = (redirectDeg: number | null) => inTree(moving, { redirectDeg });
    expect([59, 61].map((deg) => severity(bent(deg), 'tree.redirect'))).toEqual(['clear', 'mind']);
    expect(severity(bent(null), 'tree.redirect')).toBe('untested');
    expect(find(bent(0), 'tree.redirect')).toBeUndefined();
  });
});

describe('bridge, eyes, and a device over a limb', () => {
  it('one bridge is what is looked at, two are two, and what is not said is not tested', () => {
    expect(
      (['one', 'two', 'unknown'] as const).map((b) => severity(inTree(moving, { bridge: b }), 'tree.bridge')),
    ).toEqual(['clear', 'clear', 'untested']);
    const single = (bridge: Tree['bridge']) =>
      assess(inTree(moving, { bridge }))
        .findings.flatMap((f) => (f.code.startsWith('hold.single') ? [f.because, f.says] : []))
        .join();
    expect(single('one')).toMatch(/bridge/i);
    expect(single('two')).not.toMatch(/bridge/i);
  });
  it('end and device on one connector are minded; it is asked on a moving line only', () => {
    expect(
      (['separate', 'one', 'unknown'] as const).map((e) => severity(inTree(moving, { eyes: e }), 'tree.eyes')),
    ).toEqual(['clear', 'mind', 'untested']);
    expect(find(stationary, 'tree.eyes')).toBeUndefined();
  });
  it('a long device over a limb is Stop, a short one is minded', () => {
    const lies = (setup: Setup, deviceLies: Tree['deviceLies']) =>
      severity(inTree(setup, { deviceLies }), 'tree.side-load');
    expect((['free', 'over', 'unknown'] as const).map((l) => lies(stationary, l))).toEqual([
      'clear',
      'stop',
      'untested',
    ]);
    expect(lies(moving, 'over')).toBe('mind');
  });
});

describe('a tree of which nothing is said', () => {
  it('is never clear, and every part of it is asked', () => {
    const blank = inTree(moving, BLANK_TREE);
    const open = assess(blank)
      .findings.filter((f) => f.severity === 'untested')
      .map((f) => f.code);
    for (const code of [
      'tree.fork-load',
      'tree.second',
      'tree.limb-swing',
      'tree.over-limb',
      'tree.redirect',
      'tree.bridge',
      'tree.eyes',
      'tree.side-load',
    ])
      expect(open).toContain(code);
  });
  it('every sentence reads, with nothing left open in it', () => {
    for (const s of [
      moving,
      stationary,
      inTree(moving, {
        limbs: [{ id: 'limb', outM: 4, belowM: 4, riseDeg: 0 }],
        comingBack: 'slack',
        overLimb: 'much',
        tried: 'one',
        redirectDeg: 90,
        deviceLies: 'over',
        eyes: 'one',
      }),
    ])
      for (const f of judged(s).filter((x) => x.code.startsWith('tree.')))
        expect(fillTemplate(f.because, f.numbers, METRIC)).not.toMatch(/[{}]|NaN|Infinity|undefined/);
  });
  it('every way of adding to a rig in a tree keeps its tree', () => {
    for (const v of VARIATIONS.filter((x) => x.id !== 'limb'))
      expect(v.add(moving)?.site.tree ?? moving.site.tree).toEqual(moving.site.tree);
  });
  it('a limb more, up to five, of which nothing is said yet; taken away again the tree is as before', () => {
    const limb = variation('limb');
    const two = limb.add(moving)!;
    expect(two.site.tree!.limbs.map((l) => l.id)).toEqual(['limb', 'limb2']);
    expect(find(two, 'tree.limb-swing')!.says).toMatch(/the second limb/);
    expect(without(two, 'limb2').site).toEqual(moving.site);
    const five = limb.add(limb.add(limb.add(two)!)!)!;
    expect(limb.add(five)).toBeNull();
    expect(limb.add(without(five, 'limb3'))!.site.tree!.limbs.map((l) => l.id)).toEqual([
      'limb',
      'limb2',
      'limb4',
      'limb5',
      'limb3',
    ]);
    // The last one stays.
    expect(without(moving, 'limb')).toBe(moving);
  });
});
