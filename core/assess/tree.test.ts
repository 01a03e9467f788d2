import { describe, expect, it } from 'vitest';
import { fillTemplate, METRIC } from '../finding/index.ts';
import { BLANK_TREE, variation, VARIATIONS, wellRigged, withItem, type Setup, type Tree } from '../rig/index.ts';
import { changed, club, filled, SETUPS } from '../samples/index.ts';
import { constant } from '../sources/index.ts';
import { assess } from './index.ts';

const moving = filled(SETUPS['tree-moving']);
const stationary = filled(SETUPS['tree-stationary']);
const inTree = (setup: Setup, tree: Partial<Tree>) => changed(setup, { tree });
const find = (setup: Setup, code: string) => assess(setup).findings.find((f) => f.code === code);
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

describe('out along a limb', () => {
  const limb = (limbOutM: number | null, limbBelowM: number | null, more: Partial<Tree> = {}) =>
    inTree(moving, { limbOutM, limbBelowM, ...more });
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
  it('(4, 4), 80 kg, low-stretch of 41 kN: 1.66 m of slack, 5.2 kN on the 5.66 m of line that are out, by energy', () => {
    const s = withItem(limb(4, 4, { comingBack: 'slack' }), 'climber', { ...club.tomas, massKg: 80 });
    expect(value(s, 'tree.limb-slack', 'slack').best).toBeCloseTo(1.66, 2);
    // Half k x x / L = m g (s + x), searched: not the closed form that the core uses.
    const [k, ropeM, fallM, weight] = [41, Math.hypot(4, 4), Math.hypot(4, 4) - 4, 0.0980665 * 8];
    let [low, high] = [0, 50];
    for (let i = 0; i < 200; i++) {
      const x = (low + high) / 2;
      if ((k * x * x) / (2 * ropeM) < weight * (fallM + x)) low = x;
      else high = x;
    }
    expect(value(s, 'tree.limb-slack', 'force').high).toBeCloseTo((k * low) / ropeM, 3);
    expect((k * low) / ropeM).toBeCloseTo(5.2, 1);
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
      end: { id: 'foot-loop-end', kind: 'clip' as const, to: 'above-connector' },
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

describe('a tree of which nothing is said', () => {
  it('is never clear, and every part of it is asked', () => {
    const blank = inTree(moving, BLANK_TREE);
    const open = assess(blank)
      .findings.filter((f) => f.severity === 'untested')
      .map((f) => f.code);
    for (const code of ['tree.fork-load', 'tree.second', 'tree.limb-swing', 'tree.over-limb'])
      expect(open).toContain(code);
  });
  it('every sentence reads, with nothing left open in it', () => {
    for (const s of [
      moving,
      stationary,
      inTree(moving, { limbOutM: 4, limbBelowM: 4, comingBack: 'slack', overLimb: 'much', tried: 'one' }),
    ])
      for (const f of assess(s).findings.filter((x) => x.code.startsWith('tree.')))
        expect(fillTemplate(f.because, f.numbers, METRIC)).not.toMatch(/[{}]|NaN|Infinity|undefined/);
  });
  it('every way of adding to a rig in a tree keeps its tree', () => {
    for (const v of VARIATIONS) expect(v.add(moving)?.site.tree ?? moving.site.tree).toEqual(moving.site.tree);
  });
});
