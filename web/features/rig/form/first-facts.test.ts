import { describe, expect, it } from 'vitest';
import { assess } from '@core/answers/assess';
import { changed, SETUPS } from '@core/samples';
import { withItem, type Setup } from '@core/rigs/rig';
import { slotsOf } from '@core/rigs/elements';
import type { Device, Person, Rope } from '@core/things/gear';
import { handBar, rangeBar } from './FirstFacts';

const setup: Setup = SETUPS['belay-top-rope'];
const at = (kind: string, s: Setup = setup) => slotsOf(s).find((x) => x.kind === kind)!;
const range = (minDiameterMm: number, maxDiameterMm: number) => {
  const { ref, item } = at('device');
  const device = item as Device;
  return withItem(setup, ref, {
    ...device,
    declarations: device.declarations.map((d) => ({
      ...d,
      minDiameterMm,
      maxDiameterMm,
      bestMinDiameterMm: null,
      bestMaxDiameterMm: null,
    })),
  });
};
const { ref: ropeRef, item } = at('rope');
const rope = item as Rope;
const thick = rope.measuredDiameterMm ?? rope.nominalDiameterMm;

describe('room to the limit', () => {
  it.each([
    [thick - 1, thick + 1, 'well inside'],
    [thick - 0.1, thick + 2, 'near the thin end: brakes less'],
    [thick - 2, thick + 0.1, 'near the thick end: feeds hard'],
    [thick + 1, thick + 2, 'thinner than declared'],
    [thick - 2, thick - 1, 'thicker than declared'],
  ])('from %s to %s: %s', (from, to, words) => {
    const bar = rangeBar(assess(range(from, to)), 'metric');
    expect(bar.words).toBe(words);
    const [low, high] = bar.filled!;
    expect(low).toBeGreaterThanOrEqual(0);
    expect(high).toBeGreaterThan(low);
  });
  it('without a declared range nothing is drawn', () => {
    const { ref, item: device } = at('device');
    const bare = withItem(setup, ref, { ...(device as Device), declarations: [] });
    expect(rangeBar(assess(bare), 'metric')).toMatchObject({
      filled: null,
      words: 'no range is declared, or not for this',
    });
    expect(rangeBar(assess(withItem(setup, ropeRef, null)), 'metric').filled).toBeNull();
  });
});

describe('the hand against what is needed', () => {
  const hand = (handForceN: number) => {
    const rappel = SETUPS['rappel-double'];
    const { ref, item: person } = at('person', rappel);
    return handBar(assess(withItem(rappel, ref, { ...(person as Person), handForceN })), 'metric');
  };
  it('a stronger hand has more to spare; one that is too weak is told so', () => {
    expect(hand(600).filled![1]).toBeLessThan(hand(200).filled![1]);
    expect(hand(600).words).toMatch(/^your hand holds .* what is needed$/);
    expect(hand(30)).toMatchObject({ words: 'your hand is too weak', filled: [0, 1] });
  });
  it('what is not computed is not drawn', () =>
    expect(
      handBar(assess(changed(SETUPS['rappel-double'], { site: { anchorHeightM: 0 } })), 'metric').filled,
    ).toBeNull());
});
