import { describe, expect, it } from 'vitest';
import { assess } from '../../answers/assess/index.ts';
import { buildCheck } from '../../answers/check/index.ts';
import { told } from '../../foundations/finding/told.test-help.ts';
import { changed, club, filled, SETUPS } from '../../samples/index.ts';
import { withItem, type Setup } from '../rig/index.ts';
import { contextOf, guides, twoStrandsBelow } from './index.ts';

const two = filled(SETUPS['belay-seconds']);
const one = filled(SETUPS['belay-second']);
const found = (setup: Setup, code: string) => assess(setup).findings.filter((f) => f.code === code);
const severity = (setup: Setup, code: string) => found(setup, code).map((f) => f.severity);
const device = (setup: Setup, fields: Record<string, unknown>) => changed(setup, { device: fields });
const plate = club.clubItems.find((i) => i.kind === 'device' && i.family === 'guide-plate')!;
const mainOf = (setup: Setup) => setup.attachments.find((a) => a.id === 'main')!;

describe('a plate at the anchor', () => {
  it('is asked how its strands lie, other devices and places are not', () => {
    expect(guides(mainOf(two), contextOf(two))).toBe(true);
    expect(twoStrandsBelow(mainOf(two), contextOf(two))).toBe(true);
    const single = withItem(one, 'device', plate);
    expect(guides(mainOf(single), contextOf(single))).toBe(true);
    expect(twoStrandsBelow(mainOf(single), contextOf(single))).toBe(false);
    const lowering = withItem(filled(SETUPS.lower), 'device', plate);
    expect(guides(mainOf(lowering), contextOf(lowering))).toBe(false);
    const tube = withItem(two, 'device', club.groovedTube);
    expect(guides(mainOf(tube), contextOf(tube))).toBe(false);
    for (const code of ['guide.load-strand', 'guide.crossed', 'guide.arriving'])
      expect(
        found(device(tube, { loadStrand: 'below', strandsLie: 'crossed', arriving: 'on-connector' }), code),
      ).toEqual([]);
  });

  it('the loaded strand below the brake strand holds nobody', () => {
    expect(severity(two, 'guide.load-strand')).toEqual([]);
    expect(severity(device(two, { loadStrand: 'below' }), 'guide.load-strand')).toEqual(['stop']);
    expect(severity(device(two, { loadStrand: 'unknown' }), 'guide.load-strand')).toEqual(['untested']);
  });

  it('two ropes that cross: stop, unless one connector gathers them 3 to 6 m below', () => {
    const lie = (strandsLie: string, gatheredM: number | null) => [
      ...severity(device(two, { strandsLie, gatheredM }), 'guide.crossed'),
      ...severity(device(two, { strandsLie, gatheredM }), 'guide.gathered'),
    ];
    expect(lie('parallel', null)).toEqual([]);
    expect(lie('unknown', 4)).toEqual(['untested']);
    expect(lie('crossed', null)).toEqual(['stop']);
    // Worked by hand: a connector that gathers both ropes 3 to 6 m below.
    for (const [m, expected] of [
      [2.9, 'stop'],
      [3, 'mind'],
      [6, 'mind'],
      [6.1, 'stop'],
    ] as const)
      expect(lie('crossed', m), `${m} m`).toEqual([expected]);
  });

  it('nobody arrives by a hitch that is laid on the connector turn by turn', () => {
    const by = (arriving: string) => severity(device(two, { arriving }), 'guide.arriving');
    expect(by('in-the-air')).toEqual([]);
    expect(by('lanyard')).toEqual([]);
    expect(by('on-connector')).toEqual(['stop']);
    expect(by('unknown')).toEqual(['untested']);
  });

  it('says it as it was read through', () => {
    const bad = device(two, { loadStrand: 'below', strandsLie: 'crossed', gatheredM: 1, arriving: 'on-connector' });
    expect(told(assess(bad).findings.filter((f) => f.code.startsWith('guide.')))).toMatchInlineSnapshot(`
      "stop guide.load-strand (device)
        In Weir guide plate the second’s strand is under the brake strand: it will not hold.
        The plate grips because the loaded strand presses on the brake strand. The other way round the rope runs.
        Take the rope out and put it in with the second’s strand above; pull at that strand with the hand off.
      stop guide.crossed (device)
        The two ropes cross below the device: the climber on the lower rope may not be held.
        The connector that gathers them hangs 1 m below the device; between 3 m and 6 m it turns both loads into one direction.
        Lay the ropes side by side, and keep them so: through one connector 3 m to 6 m below the device. Else tie a knot behind the device before a hand leaves the rope.
        = Nearest that a connector gathers 3 m; Farthest that a connector gathers 6 m; Connector that gathers 1 m
      stop guide.arriving (device)
        While the hitch is laid on the connector, the plate is overridden: the second is not held.
        Wrapping the clove hitch directly onto the carabiner pulls the brake strand up; that can release the plate.
        Form the clove hitch in your hand and clip it in one move, or clip their own lanyard first; then take the rope out of the plate.
      clear guide.slack (device)
        Little slack above the second.
        Close by, 3 m of rope catch a fall into 0.3 m of slack: 0.1× their length. The shock load can reach 4 kN (3 to 4.2).
        = Slack 0.3 m; Rope out, close to the device 3 m; Fall factor 0.1×; Jerk 4 kN (3 to 4.2)"
    `);
  });

  it('crossed ropes take the hold away, for either second', () => {
    const crossed = assess(device(two, { strandsLie: 'crossed' }));
    expect(crossed.verdict).toBe('stop');
    expect(crossed.findings.map((f) => f.code)).toContain('hold.nothing');
  });

  it('the check asks which strand lies above, how the ropes lie, and pulls at each with the hand off', () => {
    const items = buildCheck(two, assess(two).findings);
    const of = (id: string) => items.find((i) => i.id === id)!;
    expect(of('load-strand').expected).toBe('The second’s strand');
    expect(of('strands-lie').expected).toBe('Side by side');
    expect(of('device-pull')).toMatchObject({ expected: 'Both', others: ['One', 'None'] });
    const gathered = device(two, { strandsLie: 'crossed', gatheredM: 4 });
    expect(buildCheck(gathered, assess(gathered).findings).find((i) => i.id === 'strands-lie')!.expected).toMatch(
      /through one connector/,
    );
  });
});
