import { describe, expect, it } from 'vitest';
import { assess } from '../assess/index.ts';
import { elementAt, notRigged, setupSchema, withFields, type Setup } from '../../rigs/rig/index.ts';
import { filled, SETUPS, variedSetups } from '../../samples/index.ts';
import { buildCheck, factsSeen, withFacts, type SeenFact } from './index.ts';

const whole = (setup: Setup) => buildCheck(setup, assess(setup).findings);
// A set-up with a Stop is put right before a check begins.
const samples = Object.entries(SETUPS)
  .map(([name, setup]) => ({ name, setup: filled(setup) }))
  .filter(({ setup }) => assess(notRigged(setup)).verdict !== 'stop');
const places = (facts: readonly SeenFact[]) => facts.map((f) => `${f.ref}/${f.field}`);

describe('what a check saw goes back into the set-up', () => {
  it('and what comes out is a set-up, of every rig that can be built', () => {
    for (const { name, setup } of variedSetups()) {
      const open = notRigged(setup);
      const seen = withFacts(open, factsSeen(open, whole(open)));
      const read = setupSchema.safeParse(seen);
      expect(read.success, `${name}: ${JSON.stringify(read.error?.issues[0])}`).toBe(true);
    }
  });
  it.each(samples)('$name: what was not said is said by it, and nothing gets worse', ({ setup }) => {
    const open = notRigged(setup);
    const facts = factsSeen(open, whole(open));
    const seen = withFacts(open, facts);
    expect(facts.length).toBeGreaterThan(3);
    expect(new Set(places(facts)).size).toBe(facts.length);
    const [before, after] = [assess(open), assess(seen)];
    const stops = (a: typeof before) => a.findings.filter((f) => f.severity === 'stop').map((f) => f.code);
    expect([stops(before), stops(after)]).toEqual([[], []]);
    const untested = (a: typeof before) => a.findings.filter((f) => f.severity === 'untested').length;
    expect(untested(after)).toBeLessThan(untested(before));
    // What is seen is what the set-up was meant to be, or what its other facts made the check ask for.
    expect(factsSeen(seen, whole(seen))).toEqual([]);
  });
  it('what somebody entered stays, also where the check would say otherwise', () => {
    const setup = filled(SETUPS['rappel-double']);
    expect(factsSeen(setup, whole(setup))).toEqual([]);
    const open = withFields(setup, 'deviceConnector', { gate: 'closed', faces: 'unknown' });
    const facts = factsSeen(open, whole(setup));
    expect(places(facts)).toEqual(['deviceConnector/faces']);
    expect(elementAt(withFacts(open, facts), 'deviceConnector')).toMatchObject({ gate: 'closed', faces: 'away' });
  });
  it('an item says what it asked for: one point, a bowline, an end that somebody is tied into', () => {
    const setup = filled(SETUPS['belay-top-rope']);
    const items = whole(setup);
    const asked = (kind: string, expected: string) =>
      items.filter((i) => i.id === kind).map((i) => ({ ...i, expected }));
    const said = (kind: string, expected: string) =>
      factsSeen(notRigged(setup), asked(kind, expected)).map((f) => f.value);
    expect(said('tie-in', 'Five')).toEqual(['figure-eight']);
    expect(said('tie-in', 'A bowline with its lock')).toEqual(['bowline']);
    expect(said('rope-ends', 'Somebody tied into it')).toEqual(['tied']);
    expect(said('rope-ends', 'A stopper knot, long tail')).toEqual(['knotted']);
    // What the rope runs through is only known where that was asked.
    const through = { ...items.find((i) => i.id === 'anchor')!, expected: 'The master point' };
    const open = withFields(setup, through.part, { through: 'unknown' });
    expect(factsSeen(open, [through])).toEqual([]);
    expect(factsSeen(open, [{ ...through, expected: 'Metal only' }]).map((f) => f.value)).toEqual(['rings']);
  });
});
