import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { METRIC, renderFinding } from '../../foundations/finding/index.ts';
import { oneSpring, springsOf } from '../../things/gear/index.ts';
import { indexOf, type Setup } from '../rig/index.ts';
import { club, SETUPS } from '../../samples/index.ts';
import { exactly } from '../../foundations/units/index.ts';
import {
  catchFindings,
  catchIn,
  catchRuns,
  fallOf,
  hangsStillM,
  heightsFindings,
  heightsOf,
  limitsOf,
  questionIssues,
  REMEDIES,
  scenarioOf,
  traceOf,
  usualQuestion,
  type FallQuestion,
  type Scenario,
} from './index.ts';

const of = (setup: Setup, patch: Partial<FallQuestion> = {}): Scenario => {
  const index = indexOf(setup);
  const got = scenarioOf(index, catchIn(index)!, { ...usualQuestion(index), ...patch });
  if (!got.ok) throw new Error(got.missing.join());
  return got.scenario;
};
const topRope = (patch: Partial<FallQuestion> = {}, more: Partial<Scenario> = {}): Scenario => ({
  ...of(SETUPS['belay-top-rope'], { lastPieceM: 20, firstPieceM: 20, slackM: 0.3, ...patch }),
  ...more,
});
const lead = (patch: Partial<FallQuestion> = {}, more: Partial<Scenario> = {}): Scenario => ({
  ...of(SETUPS['belay-leader'], { firstPieceM: 3, secondPieceM: 5, lastPieceM: 8, climberM: 9, slackM: 0.3, ...patch }),
  piecesM: [3, 5, 8],
  ...more,
});
/** Forty falls at each height: one of them is more than `shareStop`, so that a single bad fall counts. */
const FALLS = 40;
const said = (s: Scenario) => heightsFindings(s, heightsOf(s, FALLS))[0]!;
const highest = (s: Scenario) => Math.max(0, ...heightsOf(s, FALLS).bands.map(([, to]) => to));
const only = (rope: ReturnType<typeof oneSpring>) => ({ soft: rope, best: rope, hard: rope });

describe('a top rope, height by height', () => {
  it('near the ground on a long rope a fall reaches it; near the anchor never', () => {
    const { spots, bands } = heightsOf(topRope(), 80);
    expect(spots[0]!.share).toBe(1);
    expect(spots.at(-1)!.share).toBe(0);
    expect(bands).toHaveLength(1);
    expect(said(topRope())).toMatchObject({ code: 'catch.heights', severity: 'mind' });
    expect(renderFinding(said(topRope()), METRIC).says).toMatch(
      /^A fall can reach the ground or a ledge while the feet are up to \d\.\d.m above it\.$/,
    );
  });
  it('who would reach the ground by hanging still reaches it in every fall (statics, two springs)', () => {
    // No friction at the anchor, belayer held: nothing but the rope decides.
    const s = topRope({}, { ratio: exactly(1), belayer: 'anchored', climberKg: 84, springs: springsOf(club.longRope) });
    for (const { climberM, share } of heightsOf(s, 200).spots) {
      const downM = hangsStillM(s.springs.hard, 84, 20 - climberM, 19, 1) + (0.3 * 2) / 3;
      if (climberM - downM < 1) expect(share, `${climberM} m`).toBe(1);
    }
  });
  it('a heavier climber, a softer rope, more slack: never a lower band', () => {
    const base = highest(topRope());
    expect(highest(topRope({}, { climberKg: 110 }))).toBeGreaterThanOrEqual(base);
    expect(highest(topRope({ slackM: 1.5 }))).toBeGreaterThan(base);
    expect(highest(topRope({}, { springs: only(oneSpring(4_000)) }))).toBeGreaterThan(
      highest(topRope({}, { springs: only(oneSpring(40_000)) })),
    );
  });
  it('a rope that hardly gives, a belayer tied down, no slack: not higher than a step', () => {
    const s = topRope(
      { slackM: 0 },
      { springs: only(oneSpring(400_000)), belayer: 'anchored', slipKn: exactly(9), ratio: exactly(1.6) },
    );
    expect(said(s).severity).toBe('clear');
  });
  it('a ledge counts like the ground: what is below it is not looked at', () => {
    const { spots, bands } = heightsOf(topRope({ ledgeM: 8 }), 200);
    expect(spots[0]!.climberM).toBe(9);
    expect(bands[0]![0]).toBe(9);
  });
});

describe('a led route, clip by clip', () => {
  it('before the first piece a fall ends on the ground, whatever the rope', () => {
    const { spots } = heightsOf(lead({}, { springs: only(oneSpring(400_000)) }), 50);
    const before = spots.filter((s) => !s.clipped);
    expect(before.length).toBeGreaterThan(1);
    for (const spot of before) expect(spot.share).toBe(1);
    expect(before.at(-1)!.climberM).toBeCloseTo(3 - lead().reachM, 9);
  });
  it('each clip is looked at with the slack that is pulled up for it', () => {
    const s = lead();
    const clips = heightsOf(s, 20).spots.filter((x) => x.clippingM !== null);
    expect(clips.map((c) => c.clippingM)).toEqual([5, 8]);
    for (const c of clips) expect(c.climberM).toBeCloseTo(c.clippingM! - s.reachM, 9);
    // The second clip by hand: 1.4 m above the first, 1.2 m pulled up, slack and stretch: deeper than the feet are
    // high.
    const close = lead({}, { piecesM: [3, 5, 6, 7, 8], belayer: 'anchored' });
    expect(said(close).severity).toBe('stop');
    expect(renderFinding(said(close), METRIC).says).toMatch(/^A fall while you clip the piece at 5.m can reach/);
    // With three metres between the next two, and a belayer who is lifted, that clip is the higher one.
    expect(renderFinding(said(s), METRIC).says).toMatch(/^A fall while you clip the piece at 8.m can reach/);
  });
  it('clipped at the waist no slack is pulled up: never worse than with the arm stretched up', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.9, noNaN: true }), (reachM) => {
        const at = (r: number) =>
          Math.max(
            ...heightsOf(lead({}, { reachM: r }), 60)
              .spots.filter((x) => x.clippingM === 5)
              .map((x) => x.share),
          );
        expect(at(0)).toBeLessThanOrEqual(at(reachM));
      }),
      { numRuns: 12 },
    );
  });
  it('pieces close together above a high first one: only the way to the first is said', () => {
    const s = lead(
      { firstPieceM: 4, secondPieceM: 5, lastPieceM: 7, climberM: 7.5, slackM: 0.1 },
      { piecesM: [4, 5, 6, 7], reachM: 0.3, belayer: 'anchored' },
    );
    expect(said(s)).toMatchObject({ severity: 'mind' });
    expect(said(s).says).toMatch(/^Until the first piece is clipped/);
  });
  it('a first piece that is clipped from the ground leaves nothing to say', () => {
    const s = lead(
      { firstPieceM: 1.6, secondPieceM: 2.4, lastPieceM: 3, climberM: 3, slackM: 0.05, besideM: 0.3 },
      {
        piecesM: [1.6, 2.4, 3],
        reachM: 0.6,
        belayer: 'anchored',
        slipKn: exactly(9),
        springs: only(oneSpring(60_000)),
      },
    );
    const spots = heightsOf(s, 50).spots.filter((x) => !x.clipped);
    expect(Math.max(...spots.map((x) => x.climberM))).toBeCloseTo(1, 9);
  });
  it('past a belay nothing of it is asked: that is a stop by itself', () => {
    const s = lead({ from: 'stance', clipped: 'none' });
    expect(heightsOf(s, 10)).toEqual({ spots: [], bands: [] });
    expect(heightsFindings(s, heightsOf(s, 10))).toEqual([]);
  });
  it('the same again', () => expect(heightsOf(lead(), 60)).toEqual(heightsOf(lead(), 60)));
});

describe('what rope and wall cannot hold is refused at its field', () => {
  const index = indexOf(SETUPS['belay-leader']);
  const limits = limitsOf(index, catchIn(index)!);
  const usual = usualQuestion(index);
  const keys = (patch: Partial<FallQuestion>, more = {}) =>
    questionIssues({ ...usual, ...patch }, { ...limits, ...more }).map((i) => i.key);
  it('the usual moment of every belay is allowed', () => {
    for (const name of ['belay-leader', 'belay-top-rope'] as const) {
      const at = indexOf(SETUPS[name]);
      expect(questionIssues(usualQuestion(at), limitsOf(at, catchIn(at)!))).toEqual([]);
    }
  });
  it('a climber at 100 m on 59 m of rope', () => {
    expect(keys({ climberM: 100, lastPieceM: 99 }, { topM: null, ropeM: 59 })).toEqual(['climberM']);
    expect(
      questionIssues({ ...usual, climberM: 100, lastPieceM: 99 }, { ...limits, topM: null, ropeM: 59 })[0]!.says,
    ).toMatch(/too short for this: \d+(\.\d)? m would be out, and it is 59 m long/);
  });
  it('higher than the wall; above the anchor of a top rope', () => {
    expect(keys({ climberM: limits.topM! + 5 })).toContain('climberM');
    expect(keys({ climberM: 12, lastPieceM: 10 }, { led: false, topM: null })).toEqual(['climberM']);
    expect(keys({ climberM: 12, lastPieceM: 10 }, { led: true, topM: null, ropeM: null })).toEqual([]);
  });
  it('with rope just enough it is allowed', () => {
    const q = { ...usual, climberM: 10, lastPieceM: 8, firstPieceM: 3, besideM: 0, slackM: 0.5 };
    // 2 m to the first piece, 5 to the last, 2 above it, half a metre of slack.
    expect(questionIssues(q, { led: true, topM: null, ropeM: 9.5 })).toEqual([]);
    expect(questionIssues(q, { led: true, topM: null, ropeM: 9.4 })).toHaveLength(1);
  });
});

describe('a fall from the ground with nothing clipped', () => {
  it('ends on the ground: no rope holds it', () => {
    const s = lead({ clipped: 'none', climberM: 4 });
    const fall = fallOf(s, { rope: 0.5, slip: 0.5, ratio: 0.5, damping: 0.5, step: 0.5, slack: 0.5 });
    expect(fall).toMatchObject({ freeFallM: 3, roomM: 0 });
    const [found, ...more] = catchFindings(s, catchRuns(s, 50, 1));
    expect(found).toMatchObject({ code: 'catch.clearance', severity: 'stop' });
    expect(more).toEqual([]);
    expect(catchRuns(s, 50, 1).share.reachesGround).toBe(1);
    const { frames } = traceOf(s);
    expect(frames.at(-1)!.climberM).toBeCloseTo(1, 9);
    for (const remedy of Object.values(REMEDIES)) expect(remedy.apply(s)).toBeNull();
  });
});
