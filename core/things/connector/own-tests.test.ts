import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SEVERITIES } from '../../foundations/finding/index.ts';
import { JOB_KEYS, usualLoad } from '../gear/index.ts';
import { club } from '../../samples/index.ts';
import {
  judgeTestedWays,
  judgeWays,
  nextTests,
  WAY_RESULTS,
  wayKey,
  wayRow,
  waysOf,
  wayTestSchema,
  type WayTest,
} from './index.ts';

const cam = club.otherDevices.find((d) => d.family === 'assisted-cam')!;
const input = { load: usualLoad('belay-top-rope', 80), connector: club.keptPear, device: cam } as const;
const way = waysOf(club.keptPear, cam)[0]!;
const test = (result: WayTest['result'], change: Partial<WayTest> = {}): WayTest => ({
  id: 't',
  connectorId: club.keptPear.id,
  deviceId: cam.id,
  way,
  result,
  at: '2026-01-01T00:00:00.000Z',
  note: '',
  ...change,
});
const at = (tests: readonly WayTest[], job: (typeof JOB_KEYS)[number] = 'belay-top-rope') =>
  judgeTestedWays({ ...input, load: usualLoad(job, 80) }, tests).find((w) => wayKey(w.way) === wayKey(way))!;

describe('own tests', () => {
  it.each<[WayTest['result'], string, string]>([
    ['wedged', 'connector.own-test-bad mind', 'connector.own-test-bad stop'],
    ['could-not-turn', 'connector.own-test-bad mind', 'connector.own-test-bad stop'],
    ['sleeve-entered', 'connector.own-test-bad mind', 'connector.own-test-bad stop'],
  ])('%s worsens the verdict, by what the job can load', (result, tended, untended) => {
    const said = (job: (typeof JOB_KEYS)[number]) =>
      at([test(result)], job).findings.map((f) => `${f.code} ${f.severity}`);
    expect(said('belay-top-rope')).toContain(tended);
    expect(said('self-belay-top-rope')).toContain(untended);
  });
  it('what worked is shown and takes nothing away; a later success does not wipe out a failure', () => {
    expect(at([test('worked')]).findings.map((f) => f.code)).toContain('connector.own-test-worked');
    const both = [test('wedged'), test('worked', { id: 'u', at: '2026-02-01T00:00:00.000Z' })];
    expect(at(both).severity).toBe('mind');
  });
  it('a test counts for its own pair and way only', () => {
    const other = [
      test('wedged', { deviceId: 'x' }),
      test('wedged', { connectorId: 'x' }),
      test('wedged', { way: { ...way, from: 'right' } }),
    ];
    expect(at(other)).toEqual(judgeWays(input).find((w) => wayKey(w.way) === wayKey(way)));
  });
  it('never improves a computed verdict, whatever was seen', () => {
    const anyTest = fc.record({
      result: fc.constantFrom(...(Object.keys(WAY_RESULTS) as WayTest['result'][])),
      way: fc.constantFrom(...waysOf(club.pear, cam)),
    });
    fc.assert(
      fc.property(fc.array(anyTest, { maxLength: 6 }), fc.constantFrom(...JOB_KEYS), (seen, job) => {
        const pair = { ...input, load: usualLoad(job, 80), connector: club.pear };
        const tests = seen.map((s, i) => test(s.result, { id: `t${i}`, way: s.way, connectorId: club.pear.id }));
        const computed = new Map(judgeWays(pair).map((w) => [wayKey(w.way), w.severity]));
        for (const w of judgeTestedWays(pair, tests))
          expect(SEVERITIES.indexOf(w.severity)).toBeLessThanOrEqual(SEVERITIES.indexOf(computed.get(wayKey(w.way))!));
      }),
    );
  });
  it('a record has a way and one of four results; not tried is no record', () => {
    expect(wayTestSchema.safeParse(test('worked')).success).toBe(true);
    expect(wayTestSchema.safeParse({ ...test('worked'), result: 'not tried' }).success).toBe(false);
  });
});

describe('next tests', () => {
  const devices = club.clubItems.filter((i) => i.kind === 'device');
  const connectors = club.clubItems.filter((i) => i.kind === 'connector');
  const cells = (tests: readonly WayTest[]) =>
    connectors.flatMap((c) => wayRow('self-belay-top-rope', 80, c, devices, tests));
  it('go from unknown to doubtful to good, by falling risk, and leave out what stops already', () => {
    const next = nextTests(cells([]), devices, []);
    expect(next.length).toBeGreaterThan(3);
    expect(next.some((n) => n.severity === 'stop')).toBe(false);
    const order = next.map((n) => ['untested', 'mind', 'clear'].indexOf(n.severity));
    expect(order).toEqual([...order].sort((a, b) => a - b));
    const risks = next.filter((n) => n.severity === next[0]!.severity).map((n) => n.risk);
    expect(risks).toEqual([...risks].sort((a, b) => (a === b ? 0 : b - a)));
  });
  it('what was tried is not proposed again', () => {
    const [first] = nextTests(cells([]), devices, []);
    const done = [test('worked', { ...first!, id: 'x', at: '2026-01-01T00:00:00.000Z' })];
    const again = nextTests(cells(done), devices, done);
    expect(again.map((n) => `${n.connectorId}${n.deviceId}${wayKey(n.way)}`)).not.toContain(
      `${first!.connectorId}${first!.deviceId}${wayKey(first!.way)}`,
    );
  });
});
