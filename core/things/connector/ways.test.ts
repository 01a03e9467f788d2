import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SEVERITIES, type Severity } from '../../foundations/finding/index.ts';
import { JOB_KEYS, UNDECLARED_DEVICE, usualLoad, type Connector, type Device, type Job } from '../gear/index.ts';
import { club } from '../../samples/index.ts';
import {
  judgeWay,
  judgeWays,
  offSpineShare,
  playMm,
  strengthLeftKn,
  wayKey,
  wayName,
  waysOf,
  type Way,
} from './index.ts';

const connector: Connector = { ...club.keptPear, lock: 'screw', keeper: 'yes' };
const device: Device = {
  ...club.groovedTube,
  ...UNDECLARED_DEVICE,
  name: 'Two plates',
  family: 'assisted-cam',
  eyeMm: 18,
  plateMm: 3,
  gapMm: 8,
  coverMm: 10,
  notchMm: 0,
  mustTurn: 'yes',
};
const FREE: Way = { end: 'broad', from: 'left', gate: 'free' };
const judge = (c: Partial<Connector>, d: Partial<Device> = {}, job: Job = 'belay-top-rope', way = FREE) =>
  judgeWay({ load: usualLoad(job, 80), connector: { ...connector, ...c }, device: { ...device, ...d } }, way);
const codes = (...args: Parameters<typeof judge>) => judge(...args).findings.map((f) => `${f.code} ${f.severity}`);

describe('ways', () => {
  it('are eight for plates, four for an oval, and know no side where the rope is the seat', () => {
    expect(waysOf(connector, device)).toHaveLength(8);
    expect(waysOf({ ...connector, shape: 'oval' }, device)).toHaveLength(4);
    expect(waysOf(connector, club.groovedTube)).toHaveLength(4);
    expect(new Set(waysOf(connector, device).map(wayKey)).size).toBe(8);
    expect(wayName(FREE, connector, device)).toBe(
      'broad end in the device, from the left, gate away from the brake strand',
    );
  });
});

describe('passing and turning', () => {
  // Stock 12 in an end 46 wide through 14 mm of device needs 13.09 mm: 23 + 12 - sqrt(23^2 - 7^2).
  it.each<[string, Partial<Device>, string]>([
    ['free', { eyeMm: 18 }, 'connector.way-free clear'],
    ['tight', { eyeMm: 13.5 }, 'connector.stock-wedges mind'],
    ['at the uncertainty of the caliper', { eyeMm: 13.2 }, 'connector.barely-passes mind'],
    ['too small', { eyeMm: 12.8 }, 'connector.does-not-pass stop'],
    ['thicker than the end is wide', { plateMm: 47, gapMm: 0 }, 'connector.does-not-pass stop'],
    ['not measured', { eyeMm: null }, 'connector.geometry-unknown untested'],
    ['plate thicker than the gate opens', { plateMm: 22, gapMm: 0, eyeMm: 30 }, 'connector.gate-too-narrow stop'],
  ])('%s', (_, d, expected) => expect(codes({}, d)).toContain(expected));
  it('a tight hole is no fault where the device need not turn', () =>
    expect(codes({}, { eyeMm: 13.5, mustTurn: 'no' })).toContain('connector.stock-wedges clear'));
  it('says the millimetres that decide', () => {
    const { findings, playMm: play } = judge({}, { eyeMm: 12.8 });
    expect(play).toBeCloseTo(12.8 - (35 - Math.sqrt(480)), 9);
    expect(findings[0]!.numbers.map((n) => n.key)).toEqual(expect.arrayContaining(['hole', 'stock', 'need', 'play']));
  });
  it('stock of about the width of the gap wedges; where nobody tends it that is a stop', () => {
    expect(codes({ broadStockMm: 8 }, { gapMm: 8.4 })).toContain('connector.stock-wedges mind');
    expect(codes({ broadStockMm: 8 }, { gapMm: 8.4 }, 'self-belay-top-rope')).toContain('connector.stock-wedges stop');
    expect(codes({ broadStockMm: 8 }, { gapMm: 9.5 }).join()).not.toContain('wedges');
    expect(codes({ broadStockMm: 12 }, { gapMm: 8 }).join()).not.toContain('wedges');
  });
  it('stock of the other end wedges as well where the connector can turn round', () => {
    const unlike = { broadStockMm: 12, narrowStockMm: 8 } as const;
    expect(codes({ ...unlike, keeper: 'no' }, { gapMm: 8.4 })).toContain('connector.stock-wedges mind');
    expect(codes({ ...unlike, keeper: 'unknown' }, { gapMm: 8.4 })).toContain('connector.stock-wedges mind');
    expect(codes({ ...unlike, keeper: 'yes' }, { gapMm: 8.4 }).join()).not.toContain('wedges');
    expect(codes({ ...unlike, shape: 'oval', keeper: 'no' }, { gapMm: 8.4 }).join()).not.toContain('wedges');
  });
  it('the side the maker does not allow', () => {
    expect(codes({}, { entry: 'right' })).toContain('connector.entry-side stop');
    expect(codes({}, { entry: 'left' }).join()).not.toContain('entry-side');
  });
});

describe('sleeve between the plates', () => {
  const enters = { sleeveMm: 15, sleeveFromBroadMm: 6 };
  const wide = { gapMm: 15.5, eyeMm: 24 };
  it('loads the gate like a lever: mind on a tended top rope, stop for a leader and in self-belay', () => {
    expect(codes(enters, wide)).toContain('connector.sleeve-enters mind');
    expect(codes(enters, wide, 'belay-leader')).toContain('connector.sleeve-enters stop');
    expect(codes(enters, wide, 'self-belay-top-rope')).toContain('connector.sleeve-enters stop');
  });
  it('not when it is too thick, or begins beyond the plates', () => {
    expect(codes({ ...enters, sleeveMm: 16 }, wide).join()).not.toContain('sleeve');
    expect(codes({ ...enters, sleeveFromBroadMm: 10 }, wide).join()).not.toContain('sleeve');
  });
  it('only where the gap is open on the side to which the gate looks; not known is on both', () => {
    const way = (gapOpens: Device['gapOpens'], gate: Way['gate']) =>
      codes(enters, { ...wide, gapOpens }, 'belay-top-rope', { ...FREE, gate }).filter((c) => c.includes('sleeve'));
    for (const gate of ['free', 'brake'] as const) {
      for (const sides of ['both', 'unknown'] as const)
        expect(way(sides, gate)).toEqual(['connector.sleeve-enters mind']);
      expect(way(gate, gate)).toEqual(['connector.sleeve-enters mind']);
      expect(way(gate === 'free' ? 'brake' : 'free', gate)).toEqual([]);
    }
  });
  it('a notch takes it too', () =>
    expect(codes(enters, { gapMm: 0, plateMm: 8, notchMm: 15 })).toContain('connector.sleeve-enters mind'));
  it('what is not measured is not tested, unless a known measure decides', () => {
    expect(codes({ sleeveMm: null }, wide)).toContain('connector.geometry-unknown untested');
    expect(codes({ ...enters, sleeveFromBroadMm: null }, wide)).toContain('connector.geometry-unknown untested');
    expect(codes({ sleeveMm: 16, sleeveFromBroadMm: null }, wide).join()).not.toContain('unknown');
    expect(codes({ sleeveMm: null }, { gapMm: 0, plateMm: 8 }).join()).not.toContain('unknown');
  });
  it('a leader with unknown gate-open strength is a stop', () =>
    expect(codes({ ...enters, strengthOpenKn: null }, wide, 'belay-leader')).toContain('connector.sleeve-enters stop'));
});

describe('strength', () => {
  // EN 12275 classes, from memory: type H 20/7/6, B 20/7/7, X 18/7/5.
  it.each([
    [20, 7, 6],
    [20, 7, 7],
    [18, 7, 5],
  ])('class %s/%s/%s: enough for a top rope, too little across wherever somebody falls', (major, minor, open) => {
    const c = { strengthMajorKn: major, strengthMinorKn: minor, strengthOpenKn: open, keeper: 'no' as const };
    expect(codes(c)).toContain('connector.settles-across clear');
    // The upper end decides, and nobody's eye helps: 8 kN before an assisted cam slips, 9 kN of a fall of factor 1.
    expect(codes(c, {}, 'belay-leader')).toContain('connector.settles-across stop');
    expect(codes(c, {}, 'self-belay-top-rope')).toContain('connector.settles-across stop');
    expect(codes({ ...c, strengthMinorKn: 3 }, {}, 'self-belay-top-rope')).toContain('connector.settles-across stop');
    expect(codes({ ...c, strengthMinorKn: 3 }, {}, 'belay-top-rope')).toContain('connector.settles-across mind');
  });
  it('a keeper keeps it from settling across', () =>
    expect(codes({ keeper: 'yes' }, {}, 'self-belay-top-rope').join()).not.toContain('across'));
  it('missing marks are not tested', () => {
    expect(codes({ strengthMajorKn: null })).toContain('connector.strength-unknown untested');
    expect(codes({ strengthMinorKn: null, keeper: 'no' })).toContain('connector.settles-across untested');
  });
  it('a wide device holds the load off the spine: between gate-open and full strength by the lever', () => {
    // Half of 26 mm is 13, the test bar 6: 7 of (40 - 6) mm of lever.
    const c = { ...connector, broadInsideWidthMm: 40 };
    const d = { ...device, plateMm: 8, gapMm: 10 };
    expect(offSpineShare(c, d, 'broad')).toBeCloseTo(7 / 34, 12);
    expect(strengthLeftKn(c, d, 'broad', false)!.best).toBeCloseTo(23 - (7 / 34) * (23 - 7), 12);
    expect(codes({ broadInsideWidthMm: 40 }, { plateMm: 8, gapMm: 10, eyeMm: 30 })).toContain(
      'connector.load-off-spine clear',
    );
    expect(codes({ broadInsideWidthMm: 40, strengthOpenKn: null }, { plateMm: 8, gapMm: 10, eyeMm: 30 })).toContain(
      'connector.load-off-spine untested',
    );
  });
  it('a weak connector does not hold the job', () => {
    expect(codes({ strengthMajorKn: 2 })).toContain('connector.job-strength stop');
    // Slack on a top rope, at the upper end more than 5 kN: one and a half times that is more than 7.
    expect(codes({ strengthMajorKn: 7 })).toContain('connector.job-strength mind');
    expect(codes({})).toContain('connector.job-strength clear');
  });
});

describe('gate', () => {
  const brake: Way = { ...FREE, gate: 'brake' };
  it.each<[Connector['lock'], Job, Way, string]>([
    ['screw', 'belay-top-rope', brake, 'connector.rope-unscrews mind'],
    ['screw', 'belay-leader', brake, 'connector.rope-unscrews stop'],
    ['two-action', 'belay-top-rope', brake, 'connector.rope-unscrews mind'],
    ['screw', 'ascend', FREE, 'connector.shakes-open mind'],
    ['none', 'belay-top-rope', FREE, 'connector.gate-unlocked stop'],
    ['unknown', 'belay-top-rope', FREE, 'connector.lock-unknown untested'],
  ])('%s, %s', (lock, job, way, expected) => expect(codes({ lock }, {}, job, way)).toContain(expected));
  it.each<Connector['lock']>(['three-action', 'magnetic', 'twin'])('%s is not opened by running rope', (lock) =>
    expect(codes({ lock }, {}, 'belay-leader', brake).join()).not.toMatch(/unscrews|shakes|unlocked/),
  );
});

describe('kinds', () => {
  it('forbidden and wanted shapes', () => {
    expect(codes({}, { connectorForbidden: 'hms' })).toContain('connector.kind-forbidden stop');
    expect(codes({}, { connectorWanted: 'oval' })).toContain('connector.kind-not-wanted mind');
    expect(codes({}, { connectorWanted: 'any', connectorForbidden: 'none' }).join()).not.toContain('kind');
    expect(codes({ shape: 'd' }, { family: 'munter' })).toContain('connector.kind-not-wanted mind');
  });
  it('the narrow end at the rope is minded in a tube and in a Munter hitch', () => {
    const narrow: Way = { ...FREE, end: 'narrow' };
    for (const family of ['tube-grooved', 'munter'] as const)
      expect(codes({}, { family }, 'belay-top-rope', narrow)).toContain('connector.narrow-end-at-rope mind');
  });
});

const worstOf = (severity: Severity) => SEVERITIES.indexOf(severity);
const maybe = (min: number, max: number) => fc.option(fc.double({ min, max, noNaN: true }), { nil: null });
const anyConnector = fc.record({
  shape: fc.constantFrom('hms', 'd', 'oval'),
  lock: fc.constantFrom('screw', 'three-action', 'none', 'unknown'),
  keeper: fc.constantFrom('yes', 'no', 'unknown'),
  broadInsideWidthMm: maybe(15, 60),
  broadStockMm: maybe(7, 15),
  sleeveMm: maybe(10, 20),
  sleeveFromBroadMm: maybe(0, 30),
  strengthMajorKn: maybe(5, 25),
  strengthMinorKn: maybe(2, 10),
  strengthOpenKn: maybe(2, 10),
}) as fc.Arbitrary<Partial<Connector>>;
const anyDevice = fc.record({
  eyeMm: maybe(10, 30),
  plateMm: maybe(2, 12),
  gapMm: maybe(0, 20),
  coverMm: maybe(0, 20),
  notchMm: maybe(0, 20),
  mustTurn: fc.constantFrom('yes', 'no', 'unknown'),
  entry: fc.constantFrom('either', 'left', 'right', 'unknown'),
}) as fc.Arbitrary<Partial<Device>>;
const anyJob = fc.constantFrom(...JOB_KEYS);

describe('laws', () => {
  it('mirroring the device swaps left and right and nothing else', () => {
    const mirror = { left: 'right', right: 'left' } as const;
    fc.assert(
      fc.property(
        anyConnector,
        anyDevice,
        anyJob,
        fc.constantFrom<'left' | 'right'>('left', 'right'),
        (c, d, job, from) => {
          const mirrored = { ...d, entry: d.entry === 'left' || d.entry === 'right' ? mirror[d.entry] : d.entry! };
          const [a, b] = [
            judge(c, d, job, { ...FREE, from }),
            judge(c, mirrored, job, { ...FREE, from: mirror[from] }),
          ];
          expect(b.findings.map((f) => [f.code, f.severity])).toEqual(a.findings.map((f) => [f.code, f.severity]));
          expect(b.playMm).toEqual(a.playMm);
          expect(b.strengthLeftKn).toEqual(a.strengthLeftKn);
        },
      ),
    );
  });
  it('forgetting a measure never turns a way to clear, a heavier person never improves it', () => {
    fc.assert(
      fc.property(anyConnector, anyDevice, anyJob, fc.constantFrom('eyeMm', 'gapMm', 'plateMm'), (c, d, job, key) => {
        if (judge(c, d, job).severity !== 'clear')
          expect(judge(c, { ...d, [key]: null }, job).severity).not.toBe('clear');
        const at = (massKg: number) =>
          worstOf(
            judgeWay(
              { load: usualLoad(job, massKg), connector: { ...connector, ...c }, device: { ...device, ...d } },
              FREE,
            ).severity,
          );
        expect(at(120)).toBeLessThanOrEqual(at(60));
      }),
    );
  });
  it('the best way comes first, play falls with the stock', () => {
    fc.assert(
      fc.property(anyConnector, anyDevice, anyJob, (c, d, job) => {
        const input = { load: usualLoad(job, 80), connector: { ...connector, ...c }, device: { ...device, ...d } };
        const stops = judgeWays(input).map((w) => w.findings.filter((f) => f.severity === 'stop').length);
        expect(stops).toEqual([...stops].sort((a, b) => a - b));
        const play = playMm(input.connector, input.device, 'broad');
        if (play !== null && Number.isFinite(play))
          expect(playMm({ ...input.connector, broadStockMm: c.broadStockMm! + 1 }, input.device, 'broad')!).toBeCloseTo(
            play - 1,
            9,
          );
      }),
    );
  });
});

describe('limits of fit, from both sides', () => {
  // Stock 12 in an end 46 wide through 14 mm of device: a hole of 13.0918 mm is needed.
  const needed = 23 + 12 - Math.sqrt(23 ** 2 - 7 ** 2);
  it.each([
    [-0.21, 'connector.does-not-pass stop'],
    [-0.19, 'connector.barely-passes mind'],
    [0.19, 'connector.barely-passes mind'],
    [0.21, 'connector.stock-wedges mind'],
    [0.49, 'connector.stock-wedges mind'],
    [0.51, 'connector.way-free clear'],
  ])('%s mm of play: %s', (playMmOfHole, expected) =>
    expect(codes({}, { eyeMm: needed + playMmOfHole })).toContain(expected),
  );
  it.each([
    [1.01, false],
    [0.99, true],
    [-0.49, true],
    [-0.51, false],
  ])('a gap %s mm wider than the bar wedges it: %s', (looserMm, expected) =>
    expect(codes({}, { gapMm: 12 + looserMm, eyeMm: 30 }).some((c) => c.startsWith('connector.stock-wedges'))).toBe(
      expected,
    ),
  );
});
