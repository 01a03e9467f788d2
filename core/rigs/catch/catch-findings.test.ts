import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { METRIC, renderFinding } from '../../foundations/finding/index.ts';
import { indexOf, slipOf, type Setup } from '../rig/index.ts';
import { springsOf } from '../../things/gear/index.ts';
import { club, SETUPS } from '../../samples/index.ts';
import { exactly, interval } from '../../foundations/units/index.ts';
import {
  BEST,
  catchFindings,
  catchIn,
  catchRuns,
  clearanceM,
  fallOf,
  fallQuestionSchema,
  ofHundred,
  questionIssues,
  REMEDIES,
  scenarioOf,
  seeded,
  simulateCatch,
  traceOf,
  usualQuestion,
  valueAt,
  wayLeftM,
  type FallQuestion,
  type Scenario,
} from './index.ts';
import { QUESTION, SCENARIO, sureRope } from './scenario.test-help.ts';

const runsOf = (s: Scenario) => catchRuns(s, 400, 7);
const found = (s: Scenario) => Object.fromEntries(catchFindings(s, runsOf(s)).map((f) => [f.code, f.severity]));
const asking = (patch: Partial<FallQuestion>, more: Partial<Scenario> = {}): Scenario => ({
  ...SCENARIO,
  ...more,
  question: { ...QUESTION, ...patch },
});

describe('catch.first-piece', () => {
  it('a child holds a heavy leader above a low first piece: stop, and it says in how many falls', () => {
    const s = asking({}, { climberKg: 90, belayerKg: 45, slipKn: exactly(8) });
    const [first] = catchFindings(s, runsOf(s));
    expect(first).toMatchObject({ code: 'catch.first-piece', severity: 'stop' });
    expect(renderFinding(first!, METRIC).says).toMatch(
      /^In (every calculated fall|\d+ of 100 calculated falls) your device is pulled into the first piece/,
    );
  });
  it('somebody much heavier than the leader stays down', () =>
    expect(found(asking({}, { climberKg: 45, belayerKg: 95 }))['catch.first-piece']).toBe('clear'));
  it('whoever is tied down is not drawn up; that the catch is harder is said', () => {
    const s = asking({}, { belayer: 'anchored', climberKg: 90, belayerKg: 45 });
    const [first] = catchFindings(s, runsOf(s));
    expect(first).toMatchObject({ severity: 'clear' });
    expect(first!.because).toMatch(/harder/);
  });
});

describe('catch.clearance', () => {
  it('low on the route with slack in hand: the ground', () =>
    expect(found(asking({ climberM: 4.5, lastPieceM: 3, slackM: 1.5 }))['catch.clearance']).toBe('stop'));
  it('a ledge below counts like the ground', () =>
    expect(found(asking({ ledgeM: 4.5 }))['catch.clearance']).toBe('stop'));
  it('high up with little slack nothing is met', () =>
    expect(found(asking({ climberM: 21, lastPieceM: 20, slackM: 0.2 }))['catch.clearance']).toBe('clear'));
  it('low on a long top rope the stretch reaches the ground', () =>
    expect(found(asking({ climberM: 1.4, lastPieceM: 25, firstPieceM: 25 }))['catch.clearance']).toBe('stop'));
  it('before the first piece holds: from above it, without rope enough to come tight', () =>
    expect(found(asking({ climberM: 6, lastPieceM: 1.2, firstPieceM: 1.2 }))['catch.clearance']).toBe('stop'));
});

describe('catch.stance', () => {
  it('far from the wall below a low first piece: drawn to it', () => {
    const s = asking({ besideM: 3, firstPieceM: 2 }, { climberKg: 68, belayerKg: 84 });
    const f = catchFindings(s, runsOf(s)).find((x) => x.code === 'catch.stance')!;
    expect(f.severity).toBe('mind');
    expect(f.says).toMatch(/draws the belayer/);
    expect(runsOf(s).spread.towardsWallM.best).toBeGreaterThan(0.5);
  });
  it('far away is minded also where nothing pulls hard', () =>
    expect(
      found(asking({ besideM: 5, climberM: 3, lastPieceM: 20, firstPieceM: 20, slackM: 0 }, { belayerKg: 130 }))[
        'catch.stance'
      ],
    ).toBe('mind'));
  it('at the wall, or tied down: clear', () => {
    expect(found(asking({ besideM: 0.4 }))['catch.stance']).toBe('clear');
    expect(found(asking({ besideM: 3 }, { belayer: 'anchored' }))['catch.stance']).toBe('clear');
  });
});

describe('catch.hand', () => {
  it('a tube that slips early lets much rope through the palm', () =>
    expect(
      found(asking({ climberM: 24, lastPieceM: 20 }, { slipKn: exactly(0.8), belayerKg: 120 }))['catch.hand'],
    ).toBe('stop'));
  it('nobody’s palm is asked where the device holds by itself', () =>
    expect(found(asking({}, { handN: null }))).not.toHaveProperty('catch.hand'));
  it('top rope without slack: nothing runs', () =>
    expect(
      found(asking({ climberM: 10, lastPieceM: 20, firstPieceM: 20, slackM: 0 }, { ratio: interval(1.5, 1.6, 1.7) }))[
        'catch.hand'
      ],
    ).toBe('clear'));
});

describe('from a stance', () => {
  const stance = (patch: Partial<FallQuestion> = {}, more: Partial<Scenario> = {}) =>
    asking({ from: 'stance', ledgeM: -60, ...patch }, more);
  const past = (patch: Partial<FallQuestion> = {}, more: Partial<Scenario> = {}) =>
    stance({ clipped: 'none', climberM: 6, ...patch }, more);
  it('nothing clipped: stop, however soft the catch, and the force of factor two where nothing slips', () => {
    const s = past({ slackM: 0 }, { slipPastKn: exactly(99), springs: sureRope });
    const fall = { ...fallOf(s, BEST), dampingRatio: 0 };
    expect(fall).toMatchObject({ freeFallM: 10, climberSideM: 5, belayerSideM: 0, belayer: 'fixed' });
    // Wexler 1950, f 2, k 24.1 kN, 80 kg: 9.52 kN. A step may pass the peak by a part in a thousand.
    expect(simulateCatch(fall).climberN / 9520).toBeCloseTo(1, 2);
    const [first] = catchFindings(s, runsOf(s));
    expect(first).toMatchObject({ code: 'catch.past-belay', severity: 'stop' });
    expect(renderFinding(first!, METRIC).because).toMatch(/^It is 10.m deep .*, 2× the rope that is out/);
    expect(found(past({ climberM: 1.2 }))['catch.past-belay']).toBe('stop');
  });
  it('a hand beside the load holds so little that rope runs through it until it burns', () => {
    expect(found(past({}, { slipPastKn: interval(0.2, 0.5, 0.9) }))['catch.hand']).toBe('stop');
    expect(found(past({}, { slipPastKn: exactly(0.2) }))['catch.clearance']).toBe('stop');
  });
  it('slack makes the fall longer and the factor smaller; the tether takes from what is left below', () => {
    const [tight, slack] = [fallOf(past({ slackM: 0 }), BEST), fallOf(past({ slackM: 1 }), BEST)];
    expect(slack.freeFallM).toBe(tight.freeFallM + 1);
    expect(slack.freeFallM / slack.climberSideM).toBeLessThan(tight.freeFallM / tight.climberSideM);
    expect(fallOf(past({ tetherM: 2 }), BEST).roomM).toBeCloseTo(fallOf(past({ tetherM: 0 }), BEST).roomM - 2, 9);
    expect(fallOf({ ...past({ tetherM: 2 }), deviceOn: 'anchor' }, BEST).roomM).toBeCloseTo(
      fallOf(past({ tetherM: 0 }), BEST).roomM,
      9,
    );
  });
  it('an early piece an arm above the head turns it into a fall on that piece', () => {
    const better = REMEDIES['early-piece'].apply(past({}))!;
    expect(better.question).toMatchObject({ clipped: 'pieces', firstPieceM: 2, lastPieceM: 2 });
    expect(found(better)).not.toHaveProperty('catch.past-belay');
    // One step above the stance it cannot be clipped above the climber.
    expect(REMEDIES['early-piece'].apply(past({ climberM: 1.5 }))!.question.lastPieceM).toBe(1.5);
  });
  it('with a piece clipped the belayer is drawn as far as the tether lets them, no farther', () => {
    const light = stance({ firstPieceM: 8, lastPieceM: 8, tetherM: 0.4 }, { belayerKg: 45, slipKn: exactly(8) });
    const caught = simulateCatch(fallOf(light, BEST));
    expect(caught.reachedPiece).toBe(false);
    expect(caught.liftM).toBeGreaterThan(0.35);
    // A step of 4 ms at the few m/s of a catch.
    expect(caught.liftM).toBeLessThan(0.43);
    const loose = simulateCatch(fallOf(stance({ firstPieceM: 8, lastPieceM: 8, tetherM: 3 }, { belayerKg: 45 }), BEST));
    expect(loose.liftM).toBeGreaterThan(caught.liftM);
    // On the ground no tether is asked for.
    expect(fallOf(asking({ tetherM: 0.1 }), BEST).tetherM).toBe(Infinity);
  });
});

describe('what many falls give', () => {
  it('the same for the same seed, another for another', () => {
    expect(catchRuns(SCENARIO, 100, 3)).toEqual(catchRuns(SCENARIO, 100, 3));
    expect(catchRuns(SCENARIO, 100, 4).spread).not.toEqual(catchRuns(SCENARIO, 100, 3).spread);
  });
  it('bars hold every run', () => {
    const { bars, runs } = runsOf(SCENARIO);
    for (const list of Object.values(bars)) expect(list.reduce((sum, b) => sum + b.runs, 0)).toBe(runs);
  });
  it('what is known for sure has no spread but that of slack and damping', () => {
    const sure = asking(
      { slackM: 0 },
      { springs: sureRope, slipKn: exactly(8), ratio: exactly(1.8), belayer: 'anchored' },
    );
    const { climberN } = runsOf(sure).spread;
    // Damping of 8 to 25 % takes between a tenth and a third off the undamped force, no more.
    expect(climberN.high / climberN.low).toBeLessThan(1.35);
  });
  it('nine tenths lie within the spread', () => {
    const n = 2000;
    const { spread } = catchRuns(SCENARIO, n, 5);
    const again = catchRuns(SCENARIO, n, 6);
    // Two samples of 2,000: quantiles of 5 % stand within a few parts in a hundred of each other.
    for (const id of ['climberN', 'belayerN', 'clearanceM'] as const)
      expect(Math.abs(spread[id].best / again.spread[id].best - 1)).toBeLessThan(0.03);
  });
  it('progress is told', () => {
    const told: number[] = [];
    catchRuns(SCENARIO, 600, 1, (done) => told.push(done));
    expect(told).toEqual([200, 400, 600]);
  });
  it.each([
    [0, 'In none of the calculated falls'],
    [0.0001, 'In fewer than 1 of 100 calculated falls'],
    [0.07, 'In 7 of 100 calculated falls'],
    [0.994, 'In 99 of 100 calculated falls'],
    [1, 'In every calculated fall'],
  ])('%s: %s', (share, text) => expect(ofHundred(share)).toBe(text));
});

describe('draws', () => {
  it('a share of a half is the best value, the ends are the ends, and it rises', () => {
    const any = fc
      .tuple(
        fc.double({ min: 0, max: 10, noNaN: true }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        fc.double({ min: 0, max: 10, noNaN: true }),
      )
      .map((three) => three.sort((a, b) => a - b))
      .map(([low, best, high]) => interval(low, best, high));
    fc.assert(
      fc.property(
        any,
        fc.double({ min: 0, max: 0.499, noNaN: true }),
        fc.double({ min: 0, max: 0.499, noNaN: true }),
        (i, p, q) => {
          expect(valueAt(i, 0.5)).toBe(i.best);
          expect(valueAt(i, 0)).toBeCloseTo(i.low, 9);
          expect(valueAt(i, 1)).toBeCloseTo(i.high, 9);
          const [a, b] = [Math.min(p, q), Math.max(p, q)];
          expect(valueAt(i, a)).toBeLessThanOrEqual(valueAt(i, b) + 1e-9);
          expect(valueAt(i, b)).toBeLessThanOrEqual(i.high + 1e-9);
        },
      ),
    );
  });
  it('mean of many draws of a triangle is the third of its corners', () => {
    const random = seeded(11);
    const i = interval(1, 2, 6);
    const n = 20_000;
    let sum = 0;
    for (let j = 0; j < n; j += 1) sum += valueAt(i, random());
    // Standard deviation of the triangle 1.08, of the mean of 20,000 0.0076: four of them.
    expect(Math.abs(sum / n - (1 + 2 + 6) / 3)).toBeLessThan(0.031);
  });
});

describe('a moment that cannot be', () => {
  it.each<[Partial<FallQuestion>, string[]]>([
    [{}, []],
    [{ secondPieceM: null }, []],
    [{ firstPieceM: 8 }, ['The second piece stands below the first one.']],
    [{ firstPieceM: 8.1, secondPieceM: null }, ['The first piece stands above the last one.']],
    [{ ledgeM: 10 }, ['The climber’s feet would be below ground or ledge. Read: tie-in at 10 m; at least 11 m.']],
    [{ ledgeM: -3 }, ['Ground or ledge lies below the ground the belayer stands on.']],
    [{ ledgeM: -3, from: 'stance' }, []],
    // Pieces that are not clipped stand nowhere.
    [{ firstPieceM: 9, from: 'stance', clipped: 'none' }, []],
    [
      { climberM: 0.9, ledgeM: -3, from: 'stance', clipped: 'none' },
      ['The climber is below the belay: nobody leads there.'],
    ],
  ])('%j', (patch, says) =>
    expect(
      questionIssues({ ...QUESTION, ...patch }, { led: true, ropeM: null, topM: null }).map((i) => i.says),
    ).toEqual(says),
  );
});

describe('geometry', () => {
  it('a leader falls twice the way to the last piece and the slack; on a top rope the slack alone', () => {
    expect(fallOf(SCENARIO, BEST).freeFallM).toBe(4.5);
    expect(fallOf(asking({ climberM: 6 }), BEST).freeFallM).toBe(0.5);
  });
  // From memory, with their intervals: damping 0.08 / 0.15 / 0.25 of the critical one, stepping up at 0.8 / 1.5 / 2.2
  // m/s.
  it.each([
    [0, 0.08, 0.8],
    [0.5, 0.15, 1.5],
    [1, 0.25, 2.2],
  ])('a draw of %s takes a damping of %s and a step of %s m/s', (share, damping, step) => {
    const fall = fallOf(asking({ step: 'steps-up' }), { ...BEST, damping: share, step: share });
    expect(fall.dampingRatio).toBeCloseTo(damping, 12);
    expect(fall.stepUpMPerS).toBeCloseTo(step, 12);
  });
  it('clearance worked by hand: h_r - (a + s + stretch + lift + slip) - 1 m', () => {
    const fall = fallOf(SCENARIO, BEST);
    const caught = simulateCatch(fall);
    expect(clearanceM(fall, caught)).toBeCloseTo(8 - (2 + 0.5 + caught.downM) - 1, 9);
  });
  it('way to the first piece: x 1, h1 3, hb 1: 1.74 m', () => expect(wayLeftM(SCENARIO)).toBeCloseTo(1.74, 2));
});

describe('the fall as it is drawn', () => {
  it('begins where the climber lets go, never goes up in time backwards, and holds the peak', () => {
    const { frames, tightS } = traceOf(SCENARIO);
    expect(frames[0]).toMatchObject({ timeS: 0, climberM: 10, climberN: 0 });
    for (const [i, f] of frames.entries()) if (i > 0) expect(f.timeS).toBeGreaterThan(frames[i - 1]!.timeS);
    expect(frames.length).toBeLessThan(300);
    const best = runsOf(SCENARIO).best;
    expect(Math.max(...frames.map((f) => f.climberN))).toBeCloseTo(best.climberN, 6);
    // 4.5 m of free fall take sqrt(2 h / g).
    expect(tightS).toBeCloseTo(Math.sqrt((2 * 4.5) / 9.80665), 9);
    // Frames are thinned: the lowest one stands within a centimetre of the lowest point.
    expect(Math.abs(Math.min(...frames.map((f) => f.climberM)) - (10 - 4.5 - best.downM))).toBeLessThan(0.01);
  });
  it('ends with the feet on the ground, before the rope is tight or after', () => {
    for (const q of [
      { climberM: 6, lastPieceM: 1.2, firstPieceM: 1.2 },
      { climberM: 4.5, lastPieceM: 3, slackM: 1.5 },
      { climberM: 7, lastPieceM: 5, slackM: 0.5, ledgeM: 0.5 },
    ]) {
      const s = asking(q);
      const { frames } = traceOf(s);
      if (runsOf(s).best.reachedGround) expect(frames.at(-1)!.climberM).toBeCloseTo(1 + s.question.ledgeM, 6);
      for (const f of frames) expect(f.climberM).toBeGreaterThanOrEqual(1 + s.question.ledgeM - 1e-9);
    }
  });
});

describe('whatever is asked and not refused', () => {
  const m = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  const question = fc.record({
    from: fc.constantFrom('ground' as const, 'stance' as const),
    clipped: fc.constantFrom('pieces' as const, 'none' as const),
    climberM: m(0.5, 12),
    lastPieceM: m(0.5, 12),
    firstPieceM: m(0.5, 6),
    secondPieceM: fc.option(m(0.5, 8)),
    slackM: m(0, 10),
    besideM: m(0, 20),
    tetherM: m(0, 5),
    ledgeM: fc.oneof(m(-20, 12), fc.constantFrom(0, 4, 4.2)),
    step: fc.constantFrom('stands' as const, 'steps-up' as const),
  });
  const finite = (value: unknown): boolean =>
    typeof value === 'number'
      ? Number.isFinite(value)
      : value === null || typeof value !== 'object' || Object.values(value).every(finite);
  it('has a drawing and figures without a hole in them', () =>
    fc.assert(
      fc.property(question, fc.boolean(), (q, led) => {
        fc.pre(questionIssues(q, { led, ropeM: 60, topM: null }).length === 0);
        const scenario: Scenario = { ...SCENARIO, led, question: q };
        const trace = traceOf(scenario);
        expect(trace.frames.length).toBeGreaterThan(0);
        expect(finite(trace)).toBe(true);
        for (const f of catchFindings(scenario, catchRuns(scenario, 5, 1))) {
          expect(finite(f.numbers)).toBe(true);
          expect(`${f.says} ${f.because}`).not.toMatch(/NaN|Infinity|undefined|null/);
        }
      }),
      { numRuns: 300 },
    ));
});

describe('remedies', () => {
  const best = (s: Scenario) => catchRuns(s, 300, 2);
  const lead = asking({}, { climberKg: 85, belayerKg: 52, slipKn: exactly(8) });
  it('the second piece, ballast and a tie-in keep the device away more often than doing nothing', () => {
    const before = best(lead).share.reachesPiece;
    expect(before).toBeGreaterThan(0.3);
    for (const id of ['second-piece', 'ballast', 'anchored', 'resistor'] as const)
      expect(best(REMEDIES[id].apply(lead)!).share.reachesPiece, id).toBeLessThan(before);
    // A shorter fall at least does no harm.
    expect(best(REMEDIES['less-slack'].apply(lead)!).share.reachesPiece).toBeLessThanOrEqual(before);
  });
  // From memory: a heavy rucksack is 15 kg, a connector that adds friction 1.3 / 1.6 / 2.
  it('ballast and added friction are as much as they are said to be', () => {
    const plain = asking({}, { belayerKg: 50, ratio: interval(1, 2, 3) });
    expect(REMEDIES.ballast.apply(plain)!.belayerKg).toBe(65);
    const { low, best: middle, high } = REMEDIES.resistor.apply(plain)!.ratio;
    expect([low, middle, high]).toEqual([1.3, 3.2, 6]);
  });
  it('more than one fall in a hundred that ends badly is a stop, fewer are minded', () => {
    const runs = best(lead);
    const severity = (reachesPiece: number) =>
      catchFindings(lead, { ...runs, share: { ...runs.share, reachesPiece, reachesGround: 0 } }).find(
        (f) => f.code === 'catch.first-piece',
      )!.severity;
    expect([0, 0.009, 0.011].map(severity)).toEqual(['clear', 'mind', 'stop']);
  });
  it('a metre below the feet is asked for, and half a metre towards the wall', () => {
    const runs = best(lead);
    const severity = (code: string, spread: Partial<typeof runs.spread>) =>
      catchFindings(asking({ besideM: 1 }), {
        ...runs,
        share: { ...runs.share, reachesGround: 0 },
        spread: { ...runs.spread, ...spread },
      }).find((f) => f.code === code)!.severity;
    const left = (low: number) => severity('catch.clearance', { clearanceM: interval(low, low + 1, low + 2) });
    expect([0.99, 1.01].map(left)).toEqual(['mind', 'clear']);
    const drawn = (high: number) => severity('catch.stance', { towardsWallM: interval(0, 0.1, high) });
    expect([0.49, 0.51].map(drawn)).toEqual(['clear', 'mind']);
  });
  it('stepping up softens and lifts; what it costs is told as well', () => {
    const calm = asking({ firstPieceM: 6, lastPieceM: 12, climberM: 13, secondPieceM: null }, { belayerKg: 85 });
    const up = REMEDIES['step-up'].apply(calm)!;
    expect(best(up).spread.climberN.best).toBeLessThan(best(calm).spread.climberN.best);
    expect(best(up).spread.liftM.best).toBeGreaterThan(best(calm).spread.liftM.best);
  });
  it('what is so already, or cannot be, is not offered', () => {
    expect(REMEDIES['second-piece'].apply(asking({ secondPieceM: null }))).toBeNull();
    expect(REMEDIES['second-piece'].apply(asking({ secondPieceM: 9 }))).toBeNull();
    expect(REMEDIES['at-the-wall'].apply(asking({ besideM: 0.4 }))).toBeNull();
    expect(REMEDIES['step-up'].apply(asking({ step: 'steps-up' }))).toBeNull();
    expect(REMEDIES['less-slack'].apply(asking({ slackM: 0.1 }))).toBeNull();
    expect(REMEDIES.anchored.apply(asking({}, { belayer: 'anchored' }))).toBeNull();
    expect(REMEDIES.ballast.apply(asking({}, { belayer: 'anchored' }))).toBeNull();
    expect(REMEDIES.direct.apply(asking({}, { belayer: 'anchored' }))).toBeNull();
    expect(REMEDIES.direct.apply(asking({}, { deviceOn: 'anchor' }))).toBeNull();
    expect(REMEDIES['early-piece'].apply(asking({}))).toBeNull();
    // Below the belay no piece is early, and a fall past it runs over no friction and draws nobody to a wall.
    const past = asking({ from: 'stance', clipped: 'none' });
    for (const id of ['second-piece', 'at-the-wall', 'step-up', 'ballast', 'resistor', 'anchored'] as const)
      expect(REMEDIES[id].apply(past), id).toBeNull();
    expect(REMEDIES['early-piece'].apply(asking({ from: 'stance', clipped: 'none', climberM: 0.9 }))).toBeNull();
  });
  it('a direct belay moves nowhere, and the catch is harder for it', () => {
    const direct = REMEDIES.direct.apply(lead)!;
    expect(best(direct).share.reachesPiece).toBe(0);
    expect(best(direct).spread.liftM.high).toBe(0);
    expect(best(direct).spread.climberN.best).toBeGreaterThan(best(lead).spread.climberN.best);
    const [first] = catchFindings(direct, best(direct));
    expect(first).toMatchObject({ code: 'catch.first-piece', severity: 'clear' });
    expect(first!.says).toMatch(/hangs on the anchor/);
  });
});

describe('from the rig', () => {
  const sample = (name: keyof typeof SETUPS): Setup => SETUPS[name];
  it('takes people, rope, device and friction from a lead and from a top rope', () => {
    for (const name of ['belay-leader', 'belay-top-rope'] as const) {
      const index = indexOf(sample(name));
      const a = catchIn(index)!;
      const question = usualQuestion(index);
      expect(fallQuestionSchema.parse(question)).toEqual(question);
      const got = scenarioOf(index, a, question);
      expect(got).toMatchObject({ ok: true });
      if (!got.ok) return;
      const people = sample(name).persons;
      expect(got.scenario.climberKg).toBe(people.find((p) => p.id === 'climber')!.item!.massKg);
      expect(got.scenario.belayerKg).toBe(people.find((p) => p.id === 'belayer')!.item!.massKg);
      expect(got.scenario.springs).toEqual(springsOf(club.longRope));
    }
  });
  it('past the belay the strands hang side by side: 2.19 of the turn of a tube instead of 6.66, worked by hand', () => {
    const index = indexOf(sample('belay-leader'));
    const got = scenarioOf(index, catchIn(index)!, usualQuestion(index));
    if (!got.ok) throw new Error('not chosen');
    const { slipKn, slipPastKn } = got.scenario;
    expect(slipPastKn.best).toBeLessThan(slipKn.best);
    expect(slipKn.best / slipPastKn.best).toBeGreaterThan(2);
    // The same as the device would hold at an anchor with load and hand straight down.
    expect(slipPastKn).toEqual(slipOf(index, catchIn(index)!, 0));
  });
  it('says what is missing', () => {
    const setup = structuredClone(sample('belay-leader'));
    const index = indexOf({ ...setup, persons: setup.persons.map((p) => ({ ...p, item: null })) });
    const got = scenarioOf(index, catchIn(index)!, usualQuestion(index));
    expect(got).toMatchObject({ ok: false });
    if (!got.ok) expect(got.missing).toEqual(expect.arrayContaining(['the climber', 'the belayer']));
  });
  it('a rappel has no catch', () => expect(catchIn(indexOf(sample('rappel-double')))).toBeUndefined());
});
