import { describe, expect, it } from 'vitest';
import { METRIC, renderFinding, SEVERITIES, type Severity } from '../../foundations/finding/index.ts';
import {
  itemSchema,
  personSchema,
  typicalItems,
  typicalPerson,
  typicalValues,
  type Rope,
} from '../../things/gear/index.ts';
import { wellRigged, withFields, withItem, type Setup } from '../../rigs/rig/index.ts';
import { club, SETUPS, variedSetups } from '../../samples/index.ts';
import { slotsOf } from '../../rigs/elements/index.ts';
import { assess, assessPlain, assumedInRig, labelOf } from './index.ts';
import { atOnce } from './steps.ts';
import { inTheLightOfTypical } from './typical.ts';

const rank = (s: Severity) => SEVERITIES.indexOf(s);
const rappel: Setup = SETUPS['rappel-double'];
const rope = { ...club.longRope, assumed: ['lengthM'], measuredLengthM: null, lengthM: 60 } satisfies Rope;
const withRope = (more: Partial<Rope>) => withItem(rappel, 'ropeA', { ...rope, ...more });
const severityOf = (setup: Setup, code: string) => assess(setup).findings.find((f) => f.code === code)?.severity;

describe('item.typical', () => {
  it('keeps a set-up from being clear, and says of what only typical values are known', () => {
    const { verdict, findings } = assess(withRope({ lengthM: 80 }));
    expect(verdict).not.toBe('clear');
    const f = findings.find((x) => x.code === 'item.typical')!;
    expect(f).toMatchObject({ severity: 'untested', subject: ['ropeA'] });
    expect(renderFinding(f, METRIC)).toMatchObject({
      says: 'Usnea 60, blue: some values are the usual ones for its kind, not yours.',
      because: expect.stringMatching(/ for length on the label\.$/) as unknown,
    });
  });
  it('nothing is said of what is somebody’s own', () => expect(severityOf(rappel, 'item.typical')).toBeUndefined());
});

describe('what hangs on a typical value is not known', () => {
  // 24 m down on one folded rope: 60 m reach, the 30 m that are as typical do not.
  it('a rope that reaches at its typical length, and not at the shortest usual one', () => {
    const setup = withFields(withRope({}), 'rope', { use: 'folded' });
    const own = withFields(withRope({ assumed: [] }), 'rope', { use: 'folded' });
    const reaches = assess(own).findings.filter(
      (f) => f.code.startsWith('geometry.rope') || f.code.startsWith('geometry.end'),
    );
    const hangs = assess(setup).findings.filter((f) =>
      /^This depends on typical values \(length on the label\): /.test(f.says),
    );
    expect(reaches.length).toBeGreaterThan(0);
    expect(hangs.length).toBeGreaterThan(0);
    for (const f of hangs) expect(f.severity).toBe('untested');
  });
  it('a typical value does not cry wolf: what is a stop only at one end is not known', () => {
    const setup = withFields(withRope({ lengthM: 35 }), 'rope', { use: 'folded' });
    const own = withFields(withRope({ lengthM: 35, assumed: [] }), 'rope', { use: 'folded' });
    const stops = (s: Setup) => assess(s).findings.filter((f) => f.severity === 'stop');
    expect(stops(own).length).toBeGreaterThan(stops(setup).length);
  });
  it('what is minded at one end and a stop at the other is minded at least, and not merely unknown', () => {
    const f = assess(withRope({})).findings[0]!;
    // A stand-in for the engine: worse the longer the rope, never without a fault.
    function* judge(s: Setup) {
      yield;
      const { lengthM } = slotsOf(s).find((x) => x.ref === 'ropeA')!.item as Rope;
      return [
        { ...f, code: 'rig.edge-sharp' as const, severity: lengthM > 70 ? ('stop' as const) : ('mind' as const) },
      ];
    }
    const told = (lengthM: number) => {
      const s = withRope({ lengthM });
      return atOnce(inTheLightOfTypical(s, atOnce(judge(s)), judge)).find((x) => x.code === 'rig.edge-sharp')!.severity;
    };
    expect([told(60), told(75)]).toEqual(['mind', 'mind']);
  });
  it('what is wrong at both ends is wrong', () => {
    const high = withFields(withFields(withRope({}), 'rope', { use: 'folded' }), 'site', { anchorHeightM: 120 });
    expect(assess(high).verdict).toBe('stop');
  });
});

describe('laws, over every sample and every thing in it', () => {
  // One thing after another as if it were only typical, all of its fields at once.
  const THINGS = ['climber', 'ropeA', 'deviceConnector', 'extension', 'hitch'] as const;
  const marked = (ref: (typeof THINGS)[number]) =>
    variedSetups().flatMap(({ name, setup }) => {
      const thing = [...assumable(setup)].find((x) => x.ref === ref)?.thing;
      return thing ? [{ name: `${name}: ${ref}`, setup, typical: withItem(setup, ref, thing) }] : [];
    });
  function* assumable(setup: Setup) {
    for (const p of setup.persons)
      if (p.item) yield { ref: p.id, thing: { ...p.item, assumed: ['armReachMm', 'legLoopDropMm'] } };
    for (const l of setup.lines)
      if (l.kind === 'doubled' && l.ropeA.item)
        yield { ref: 'ropeA', thing: { ...l.ropeA.item, assumed: ['lengthM'] } };
    for (const a of setup.attachments) {
      for (const p of a.pieces)
        if (p.kind === 'connector' && p.item)
          yield { ref: p.id, thing: { ...p.item, assumed: ['insideLengthMm', 'shape', 'lock'] } };
        else if (p.kind === 'sling' && p.item) yield { ref: p.id, thing: { ...p.item, assumed: ['loopLengthMm'] } };
      if (a.end.kind === 'hitch' && a.end.item)
        yield { ref: a.end.id, thing: { ...a.end.item, assumed: ['cutLengthM', 'closure'] } };
    }
  }
  it('there are many', () => expect(THINGS.flatMap(marked).length).toBeGreaterThan(60));
  it.each(THINGS)('never clear, and never a stop that the same values as one’s own would not give: %s', (ref) => {
    for (const { name, setup, typical } of marked(ref)) {
      const [own, now] = [assess(setup), assess(typical)];
      expect(now.verdict, name).not.toBe('clear');
      const stops = (a: typeof own) => a.findings.filter((f) => f.severity === 'stop').length;
      expect(stops(now), name).toBeLessThanOrEqual(stops(own));
      // Of what does not hang on it, every word stays as it was.
      for (const f of now.findings) {
        if (f.severity === 'untested') continue;
        const same = own.findings.filter((o) => o.code === f.code && o.subject.join() === f.subject.join());
        // What hangs on it is told as mildly as any of the values gives it.
        if (f.says.startsWith('It hangs on')) {
          expect(Math.min(...same.map((o) => rank(o.severity))), `${name}: ${f.code}`).toBeLessThanOrEqual(
            rank(f.severity),
          );
          continue;
        }
        expect(
          same.map((o) => rank(o.severity)),
          `${name}: ${f.code}`,
        ).toContain(rank(f.severity));
      }
    }
  });
});

describe('the catalogue', () => {
  let n = 0;
  const items = typicalItems(() => `t-${(n += 1)}`);
  it('is valid, and no name, id or kind is there twice', () => {
    for (const item of items) expect(itemSchema.safeParse(item).success, item.name).toBe(true);
    expect(new Set(items.map((i) => i.id)).size).toBe(items.length);
    expect(new Set(items.map((i) => i.name)).size).toBe(items.length);
    expect(new Set(items.map((i) => i.kind)).size).toBe(6);
  });
  it('declares nothing that is for a maker to declare', () => {
    for (const item of items) {
      const strengths = Object.entries(item).filter(([key]) => /strength|impactForce/i.test(key));
      for (const [key, value] of strengths) expect(value, `${item.name}: ${key}`).toBeNull();
      if (item.kind === 'device') expect(item.declarations).toEqual([]);
      if ('condition' in item) expect(item.condition).toBe('unknown');
    }
  });
  it('what it holds lies within what is typical', () => {
    const person = typicalPerson('p', 'Somebody', { massKg: 70, brakeHand: 'left' });
    expect(personSchema.safeParse(person).success).toBe(true);
    for (const thing of [...items, person])
      for (const field of thing.assumed) {
        const kind = 'kind' in thing ? thing.kind : 'person';
        const [low, high] = typicalValues(kind, field) as [number, number];
        const value = (thing as unknown as Record<string, number>)[field]!;
        expect(value, `${thing.name}: ${field}`).toBeGreaterThanOrEqual(low);
        expect(value).toBeLessThanOrEqual(high);
      }
  });
  it('nothing may be called typical that is not', () => {
    expect(itemSchema.safeParse({ ...items[0], assumed: ['impactForceKn'] }).success).toBe(false);
    expect(itemSchema.safeParse({ ...items[0], assumed: ['lengthM', 'lengthM'] }).success).toBe(false);
    expect(labelOf(items[0]!, 'lengthM')).toBe('Length on the label');
  });
  // From memory: what people and gear of middle size measure, low, best, high.
  it.each([
    ['person', 'massKg', 50, 100],
    ['person', 'armReachMm', 550, 750],
    ['person', 'legLoopDropMm', 120, 220],
    ['person', 'legLoopSideMm', 90, 170],
    ['person', 'kneeRaiseMm', 120, 240],
    ['rope', 'lengthM', 30, 80],
    ['connector', 'insideLengthMm', 70, 105],
    ['sling', 'widthMm', 8, 22],
    ['sling', 'loopLengthMm', 600, 1200],
    ['cord', 'nominalDiameterMm', 5, 7],
    ['cord', 'cutLengthM', 1, 1.8],
  ] as const)('%s %s: %s to %s', (kind, field, low, high) => expect(typicalValues(kind, field)).toEqual([low, high]));
  it('middle values', () => {
    const { armReachMm, legLoopDropMm, legLoopSideMm, kneeRaiseMm } = typicalPerson('p', 'x', {
      massKg: 70,
      brakeHand: 'left',
    });
    expect([armReachMm, legLoopDropMm, legLoopSideMm, kneeRaiseMm]).toEqual([650, 170, 130, 180]);
    const one = (kind: string) => items.find((i) => i.kind === kind) as unknown as Record<string, number>;
    expect([
      one('rope').lengthM,
      one('connector').insideLengthMm,
      one('sling').widthMm,
      one('cord').cutLengthM,
    ]).toEqual([60, 90, 12, 1.4]);
  });
});

it('a set-up without typical values is judged as before', () => {
  for (const { setup } of variedSetups().slice(0, 20)) {
    expect(assumedInRig(setup)).toEqual([]);
    const keys = (list: readonly { code: string; severity: string }[]) =>
      list.map((f) => `${f.code} ${f.severity}`).sort();
    expect(keys(assess(wellRigged(setup)).findings)).toEqual(keys(assessPlain(wellRigged(setup))));
  }
});
