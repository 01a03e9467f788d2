import { describe, expect, it } from 'vitest';
import { club, rappelDouble } from '../samples/index.ts';
import { blankSetup, descentM, extensionStrength, rigFindings, rigGraph, setupSchema, type Setup } from './index.ts';

const found = (change: {
  situation?: Partial<Setup['situation']>;
  rig?: Partial<Setup['rig']>;
  gear?: Partial<Setup['gear']>;
  people?: Partial<Setup['people']>;
}) =>
  rigFindings({
    ...rappelDouble,
    situation: { ...rappelDouble.situation, ...change.situation },
    rig: { ...rappelDouble.rig, ...change.rig },
    gear: { ...rappelDouble.gear, ...change.gear },
    people: { ...rappelDouble.people, ...change.people },
  }).map((f) => `${f.code} ${f.severity}`);

describe('rigFindings', () => {
  it('finds nothing against the demo', () => expect(found({})).toEqual(['rig.anchor-as-entered clear']));
  it.each<[string, Parameters<typeof found>[0], string]>([
    ['no device', { gear: { device: null } }, 'rig.part-missing untested'],
    ['nobody', { people: { climber: null } }, 'rig.part-missing untested'],
    ['two ropes planned, one chosen', { rig: { ropeUse: 'joined' } }, 'rig.part-missing untested'],
    ['stance above the anchor', { situation: { stanceHeightM: 40 } }, 'rig.part-missing untested'],
    ['one connector for two places', { gear: { hitchConnector: club.pear } }, 'rig.part-twice mind'],
    [
      'one rope for both strands of two',
      { rig: { ropeUse: 'joined' }, gear: { ropeB: club.longRope } },
      'rig.part-twice mind',
    ],
    ['textile', { situation: { anchorRope: 'textile' } }, 'rig.anchor-textile mind'],
    ['anchor not said', { situation: { anchorPoints: 'unknown' } }, 'rig.anchor-unknown untested'],
    ['one point', { situation: { anchorPoints: 'one' } }, 'rig.anchor-one-point mind'],
    ['sharp edge', { situation: { edge: 'sharp' } }, 'rig.edge-sharp stop'],
    ['padded edge', { situation: { edge: 'padded' } }, 'rig.edge-sharp mind'],
    ['edge not said', { situation: { edge: 'unknown' } }, 'rig.edge-unknown untested'],
    ['one strand', { rig: { deviceStrands: 'one' } }, 'rig.strands-in-device stop'],
    ['strands not said', { rig: { deviceStrands: 'unknown' } }, 'rig.strands-in-device untested'],
    [
      'joint not said',
      { rig: { ropeUse: 'joined' }, gear: { ropeB: club.longRope } },
      'rig.joining-knot-unknown untested',
    ],
  ])('%s', (_, change, expected) => expect(found(change)).toContain(expected));
});

describe('extensionStrength', () => {
  const strength = (strengthKn: number | null, extensionKnots = 0) => {
    const f = extensionStrength({ ...club.sling, strengthKn }, { extensionMethod: 'basket', extensionKnots }, 80);
    return `${f.code} ${f.severity}`;
  };
  it.each([
    [22, 1, 'rig.extension-strength clear'],
    [6, 1, 'rig.extension-strength mind'],
    [5, 1, 'rig.extension-strength stop'],
    [null, 0, 'rig.extension-strength-unknown untested'],
  ] as const)('%s kN with %s knots: %s', (kn, knots, expected) => expect(strength(kn, knots)).toBe(expected));
});

describe('set-up', () => {
  it('counts extra rope only when there is a descent', () => {
    expect(descentM({ ...rappelDouble.situation, extraLineM: 3 })).toBe(27);
    expect(descentM({ ...rappelDouble.situation, stanceHeightM: 30, extraLineM: 50 })).toBeLessThan(0);
  });
  it('a blank one is valid', () =>
    expect(setupSchema.safeParse(blankSetup('x', 'New', '2026-01-01T00:00:00.000Z')).success).toBe(true));
  it('refuses unknown keys with their place', () => {
    const result = setupSchema.safeParse({ ...rappelDouble, rig: { ...rappelDouble.rig, wings: 2 } });
    expect(result.error!.issues[0]!.path).toEqual(['rig']);
  });
});

describe('rigGraph', () => {
  it('hangs together: every edge joins two parts that are there', () => {
    const { nodes, edges } = rigGraph(rappelDouble);
    const parts = new Set(nodes.map((n) => n.part));
    for (const edge of edges) expect(parts.has(edge.from) && parts.has(edge.to)).toBe(true);
    const reached = new Set(['climber']);
    for (let grown = true; grown;) {
      grown = false;
      for (const { from, to } of edges) {
        if (reached.has(from) !== reached.has(to)) {
          reached.add(from).add(to);
          grown = true;
        }
      }
    }
    expect([...parts].filter((p) => !reached.has(p))).toEqual([]);
  });
  it('leaves out what is not chosen', () => {
    const { nodes, edges } = rigGraph({ ...rappelDouble, gear: { ...rappelDouble.gear, device: null } });
    expect(nodes.some((n) => n.part === 'device')).toBe(false);
    expect(edges.some((e) => e.from === 'device' || e.to === 'device')).toBe(false);
  });
});
