import { describe, expect, it } from 'vitest';
import { assess } from '../assess/index.ts';
import { filled, SETUPS, variedSetups } from '../../samples/index.ts';
import { wellRigged, type Setup } from '../../rigs/rig/index.ts';
import { againAfter, buildCheck, FOUR, partnersCheck, CHECK_PARTS, checkPartOf } from './index.ts';

const check = (setup: Setup) => buildCheck(setup, assess(setup).findings);
const topRope = wellRigged(filled(SETUPS['belay-top-rope']));
const items = check(topRope);
const again = (id: string, setup = topRope, of = check(setup)) =>
  againAfter(
    of.find((i) => i.id === id)!,
    { items: of, setup },
  ).map((i) => i.id);

describe('four systems', () => {
  it('where one belays another they are gone through one after the other, in every set-up', () => {
    const order = Object.keys(CHECK_PARTS);
    let with2 = 0;
    for (const { name, setup } of variedSetups()) {
      if (!partnersCheck(setup)) continue;
      with2 += 1;
      const places = check(setup).map((i) => order.indexOf(checkPartOf(i)));
      expect(places, name).toEqual([...places].sort((a, b) => a - b));
      for (const system of FOUR)
        expect(
          check(setup).some((i) => checkPartOf(i) === system),
          `${name} ${system}`,
        ).toBe(true);
    }
    expect(with2).toBeGreaterThan(10);
  });
  it('nobody belays: the order stays as it was, from what goes wrong most', () => {
    expect(partnersCheck(SETUPS['rappel-double'])).toBe(false);
    const of = check(SETUPS['rappel-double']).map((i) => i.id);
    expect(of.indexOf('anchor')).toBeLessThan(of.indexOf('device-strands'));
  });
  it('both persons are asked about in harness and knot', () => {
    const parts = items.filter((i) => checkPartOf(i) === 'harness').map((i) => i.part);
    expect(parts).toEqual(expect.arrayContaining(['harness', 'belayer-harness']));
    expect(items.filter((i) => checkPartOf(i) === 'knot')).not.toHaveLength(0);
  });
});

describe('what is looked at again when something was put right', () => {
  it('a buckle: the harness of that person, and nothing of the other', () => {
    expect(again('harness')).toEqual(expect.arrayContaining(['harness-belt']));
    const parts = againAfter(
      items.find((i) => i.id === 'harness')!,
      { items, setup: topRope },
    ).map((i) => i.part);
    for (const part of parts) expect(part).not.toMatch(/^belayer/);
  });
  it('a knot: all of the knot, and what was tried with weight on it', () =>
    expect(again('tie-in').sort()).toEqual(['hold-person', 'tie-in-points', 'tie-in-tail']));
  it('the device: all of it, and what was tried; not the harness and not the anchor', () => {
    const of = again('device-connector');
    expect(of).toEqual(expect.arrayContaining(['device-strands', 'device-pull', 'hold-person']));
    for (const id of of) expect(['device', 'tried']).toContain(checkPartOf({ id }));
  });
  it('a try that failed sends both back to the device', () =>
    expect(again('hold-person')).toEqual(expect.arrayContaining(['device-strands', 'device-connector'])));
  it('what the plan left open stands by itself', () => {
    const wet = SETUPS['tree-stationary'];
    const of = check(wet);
    const open = of.find((i) => i.kind === 'open-finding')!;
    expect(againAfter(open, { items: of, setup: wet })).toEqual([]);
  });
  it('never the thing itself', () => {
    for (const item of items) expect(again(item.id)).not.toContain(item.id);
  });
});
