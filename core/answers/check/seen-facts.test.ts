import { describe, expect, it } from 'vitest';
import { assess } from '../assess/index.ts';
import {
  elementAt,
  fieldsOf,
  notRigged,
  setupSchema,
  withField,
  withFields,
  type Setup,
} from '../../rigs/rig/index.ts';
import { filled, SETUPS, variedSetups } from '../../samples/index.ts';
import { buildCheck, factsSeen, withFacts, type SeenFact } from './index.ts';

const whole = (setup: Setup) => buildCheck(setup, assess(setup).findings);
// A set-up with a Stop is put right before a check begins.
const samples = Object.entries(SETUPS)
  .map(([name, setup]) => ({ name, setup: filled(setup) }))
  .filter(({ setup }) => assess(notRigged(setup)).verdict !== 'stop');
const places = (facts: readonly SeenFact[]) => facts.map((f) => `${f.ref}/${f.field}`);

describe('the whole check', () => {
  // How a point in a tree was tried is asked in any case; a bollard whose record says that it was tuned is weighed.
  const BY_ITEM: Readonly<Record<string, string>> = { tried: 'tree-tried', tuned: 'weigh-device' };
  it('has an item for everything to be seen at a rig that can be a Stop: by a fact that it sees, or by what it asks once that is not known', () => {
    const asked = (setup: Setup) => new Set(whole(setup).map((i) => i.id));
    let stops = 0;
    for (const { name, setup } of Object.entries(SETUPS).map(([key, s]) => ({ name: key, setup: filled(s) }))) {
      const before = assess(setup);
      if (before.verdict === 'stop') continue;
      const usual = asked(setup);
      for (const { path, open, others } of fieldsOf(setup)) {
        if (open !== 'unknown' || /\/(item|harness)\//.test(path)) continue;
        const fatal = others.find((value) => assess(withField(setup, path, value)).verdict === 'stop');
        if (fatal === undefined) continue;
        stops += 1;
        const unknown = withField(setup, path, 'unknown');
        const field = path.split('/').at(-1)!;
        const seen = factsSeen(unknown, whole(unknown)).some((f) => f.field === field);
        const more = [...asked(unknown)].some((id) => !usual.has(id));
        const asks = BY_ITEM[field];
        const byItem = asks !== undefined && [...asked(unknown)].some((id) => id.startsWith(asks));
        expect(seen || more || byItem, `${name}: ${path} ${JSON.stringify(fatal)}`).toBe(true);
      }
    }
    expect(stops).toBeGreaterThan(50);
  });
});

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
