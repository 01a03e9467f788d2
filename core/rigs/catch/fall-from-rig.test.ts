import { describe, expect, it } from 'vitest';
import { indexOf, withFields, withItem, type LineOf, type Setup } from '../rig/index.ts';
import { changed, club, filled, SETUPS } from '../../samples/index.ts';
import { catchIn, limitsOf, scenarioOf, usualQuestion, type FallQuestion } from './index.ts';
import { ropeOutM } from './question.ts';

const lead = filled(SETUPS['belay-leader']);
const topRope = filled(SETUPS['belay-top-rope']);
const line = lead.lines[0] as LineOf<'led'>;
const withPieces = (...heights: number[]): Setup =>
  withFields(lead, line.id, {
    runners: heights.map((heightM, i) => ({ ...line.runners[0]!, id: `runner${i}`, heightM })),
  });
const asked = (setup: Setup) => usualQuestion(indexOf(setup));
const scenario = (setup: Setup, question = asked(setup)) =>
  scenarioOf(indexOf(setup), catchIn(indexOf(setup))!, question);

describe('the moment that is asked about at first', () => {
  const pieces = ({ climberM, firstPieceM, secondPieceM, lastPieceM }: FallQuestion) => [
    climberM,
    firstPieceM,
    secondPieceM,
    lastPieceM,
  ];
  // Two metres above the last piece; the second one only where it stands between first and last.
  it.each([
    [
      [3, 5, 7, 9],
      [11, 3, 5, 9],
    ],
    [
      [9, 3, 7, 5],
      [11, 3, 5, 9],
    ],
    [
      [2.5, 6],
      [8, 2.5, null, 6],
    ],
    [[4], [6, 4, null, 4]],
    [[], [10, 3, 5, 8]],
  ])('a route with pieces at %j', (heights, expected) =>
    expect(pieces(asked(withPieces(...heights)))).toEqual(expected),
  );
  it('half way up a top rope, at two metres at least; where no height is entered, one of a hall', () => {
    const at = (anchorHeightM: number) => pieces(asked(changed(topRope, { site: { anchorHeightM } })));
    expect(at(18)).toEqual([9, 18, null, 18]);
    expect(at(3)).toEqual([2, 3, null, 3]);
    expect(at(0)).toEqual([6, 12, null, 12]);
  });
  it('the belayer stands where it is entered, else a metre away', () => {
    const from = (fromWallM: number | null) => asked(changed(lead, { belayer: { fromWallM } })).besideM;
    expect([from(0.4), from(3), from(null)]).toEqual([0.4, 3, 1]);
  });
});

describe('what is taken from the rig', () => {
  it('who leads or hangs on a top rope, on which rope, how high', () => {
    const limits = (setup: Setup) => limitsOf(indexOf(setup), catchIn(indexOf(setup))!);
    const longRope = withItem(lead, line.rope.id, { ...line.rope.item!, lengthM: 70, measuredLengthM: 69 });
    expect(limits(changed(longRope, { site: { anchorHeightM: 21 } }))).toEqual({ led: true, ropeM: 69, topM: 21 });
    expect(limits(changed(topRope, { site: { anchorHeightM: 0 } }))).toMatchObject({ led: false, topM: null });
    expect(limits(withItem(lead, line.rope.id, null)).ropeM).toBeNull();
  });
  it('what is not chosen is named, each alone and all together', () => {
    const device = catchIn(indexOf(lead))!.end.id;
    const places = [
      ['climber', 'the climber'],
      ['belayer', 'the belayer'],
      [device, 'the device'],
      [line.rope.id, 'the rope'],
    ] as const;
    for (const [ref, words] of places)
      expect(scenario(withItem(lead, ref, null))).toEqual({ ok: false, missing: [words] });
    const none = places.reduce((setup, [ref]) => withItem(setup, ref, null), lead);
    expect(scenario(none)).toEqual({ ok: false, missing: places.map(([, words]) => words) });
  });
  it('runners of a route, none of a top rope; masses, reach and how the belayer stands', () => {
    const of = (setup: Setup) => {
      const got = scenario(setup);
      if (!got.ok) throw new Error(got.missing.join());
      return got.scenario;
    };
    expect(of(withPieces(3, 5))).toMatchObject({ led: true, piecesM: [3, 5], belayer: 'free', deviceOn: 'harness' });
    expect(of(topRope)).toMatchObject({ led: false, piecesM: [] });
    const heavy = withItem(lead, 'climber', { ...club.ilse, massKg: 97, armReachMm: 710 });
    expect(of(heavy)).toMatchObject({ climberKg: 97, reachM: 0.71 });
    expect(of(changed(lead, { belayer: { stands: 'anchored' } })).belayer).toBe('anchored');
  });
});

describe('rope that is out', () => {
  const q: FallQuestion = {
    ...asked(lead),
    besideM: 3,
    firstPieceM: 5,
    lastPieceM: 9,
    climberM: 11,
    slackM: 0.5,
  };
  // The device 1 m above the ground: 3-4-5; then up to the last piece, on to the climber, and what hangs.
  it('to the first piece, along the pieces, to the climber, and the slack', () => {
    expect(ropeOutM(q)).toBeCloseTo(5 + 4 + 2 + 0.5, 12);
    expect(ropeOutM({ ...q, climberM: 7 })).toBeCloseTo(5 + 4 + 2 + 0.5, 12);
    expect(ropeOutM({ ...q, clipped: 'none', climberM: 5 })).toBeCloseTo(5 + 0.5, 12);
    expect(ropeOutM({ ...q, clipped: 'none', climberM: 0.8 })).toBeCloseTo(3 + 0.5, 12);
  });
});
