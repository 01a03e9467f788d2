import { describe, expect, it } from 'vitest';
import { variation, wellRigged, withItem, type Setup } from '../../rigs/rig/index.ts';
import { club, filled, SETUPS } from '../../samples/index.ts';
import { thirdHand } from './index.ts';

const setup = SETUPS['pick-off'];
const { clubItems } = club;
const of = (s: Setup, items = clubItems) => thirdHand(s, items)!;
const clamp = clubItems.find((i) => i.id === 'device-burr')!;

describe('a third hand out of the locker', () => {
  it('what bites, best first: a clamp that fits the rope, cords with the fewest wraps that hold', () => {
    const { grips } = of(setup);
    expect(grips.map((g) => g.item.id)).toContain('device-burr');
    expect(grips.filter((g) => g.item.kind === 'cord').map((g) => g.wraps)).toEqual([4, 4]);
    expect(grips.every((g) => g.severity !== 'stop')).toBe(true);
    // A device that a hand must hold, one that opens under a pull from above, or a foot ascender is none.
    expect(grips.map((g) => g.item.name).join()).not.toMatch(/tube|eight|Bough|Spindle/);
  });
  it('takes nothing that is in the rig already', () => {
    const used = setup.attachments.flatMap((a) => a.pieces.flatMap((p) => p.item?.id ?? []));
    expect(used.length).toBeGreaterThan(4);
    expect(
      of(setup)
        .connectors.map((c) => c.id)
        .filter((id) => used.includes(id)),
    ).toEqual([]);
  });
  it('a clamp that does not fit the rope is not offered; one of which the range is not known is, as not tested', () => {
    const thin = withItem(setup, 'ropeA', { ...club.thickRope, measuredDiameterMm: 15, nominalDiameterMm: 15 });
    expect(of(thin).grips.map((g) => g.item.id)).not.toContain('device-burr');
    const undeclared = clubItems.map((i) => (i === clamp ? { ...clamp, declarations: [] } : i)) as typeof clubItems;
    expect(of(setup, undeclared).grips.find((g) => g.item.id === 'device-burr')!.severity).toBe('untested');
  });
  it('bites on the rope that the casualty hangs on, which can be another one', () => {
    const own = filled(wellRigged(variation('casualty-device').add(setup)!));
    const slick = withItem(own, 'rope5-rope', { ...club.thinRope, nominalDiameterMm: 15, measuredDiameterMm: 15 });
    expect(of(slick).grips.map((g) => g.item.id)).not.toContain('device-burr');
  });
  it('says what is missing, and pulls as hard as worked by hand', () => {
    const bare = of(setup, []);
    expect(bare.missing).toEqual(['a grab or a cord that bites on this rope', 'two more locking connectors']);
    const one = of(setup, [clamp, club.oval]);
    expect(one.missing).toEqual(['one more locking connector']);
    // 68 kg over 1 + 0.6 + 0.36.
    expect(bare.overConnectorsN.best).toBeCloseTo((68 * 9.80665) / 1.96, 6);
    expect(bare.overPulleysN.best).toBeLessThan(bare.overConnectorsN.best);
  });
  it('is none in other jobs, and none before rope and casualty are chosen', () => {
    expect(thirdHand(SETUPS['rappel-double'], clubItems)).toBeNull();
    expect(thirdHand(withItem(setup, 'casualty', null), clubItems)).toBeNull();
    expect(thirdHand(withItem(setup, 'ropeA', null), clubItems)).toBeNull();
  });
});
