import { describe, expect, it } from 'vitest';
import {
  removablesOf,
  setupSchema,
  variationsFor,
  VARIATIONS,
  wellRigged,
  withFields,
  withItem,
  without,
  type Setup,
} from '../../rigs/rig/index.ts';
import { changed, club, filled, rappelDouble, SETUPS } from '../../samples/index.ts';
import { assess } from './index.ts';

const add = (setup: Setup, id: string): Setup => {
  const made = VARIATIONS.find((v) => v.id === id)!.add(setup);
  if (!made) throw new Error(`${id} has no place`);
  return made;
};
const rigged = (setup: Setup, id: string) => filled(wellRigged(add(setup, id)));
const found = (setup: Setup) => assess(setup).findings.map((f) => `${f.code} ${f.severity}`);

describe('what is added and taken away', () => {
  it.each(Object.entries(SETUPS))(
    '%s: every variation gives a valid rig, and taking it away the rig before',
    (_, setup) => {
      for (const v of variationsFor(setup)) {
        const more = v.add(setup)!;
        expect(setupSchema.safeParse(more).error?.issues, v.id).toBeUndefined();
        // There are several limbs to go out on; of all else there is one.
        if (v.id !== 'limb') expect(VARIATIONS.find((x) => x.id === v.id)!.add(more), `${v.id} twice`).toBeNull();
        const before = new Set(removablesOf(setup).map((r) => r.id));
        const [added] = removablesOf(more).filter((r) => !before.has(r.id));
        expect(without(more, added!.id), v.id).toEqual(setup);
      }
    },
  );

  it('what was added is not chosen yet, and is never clear by that', () => {
    for (const v of variationsFor(rappelDouble)) {
      const { verdict, findings } = assess(v.add(rappelDouble)!);
      expect(verdict, v.id).toBe(v.id === 'held-below' ? 'mind' : 'untested');
      expect(findings.some((f) => f.severity !== 'clear')).toBe(true);
    }
  });

  it('taking the extension and the backup away leaves the hand alone', () => {
    const bare = without(without(rappelDouble, 'below'), 'extension');
    expect(setupSchema.safeParse(bare).success).toBe(true);
    expect(found(bare)).toContain('hold.hand-alone mind');
  });
});

describe('a hitch above the device', () => {
  const setup = rigged(without(rappelDouble, 'below'), 'hitch-above');
  const top = setup.attachments.find((a) => a.id === 'above')!;
  const tether = top.pieces.find((p) => p.kind === 'sling')!;
  const measured = (mm: number) => changed(setup, { [tether.id]: { measuredMm: mm, knots: 0 } });
  it('within the arm’s reach when it is loaded', () =>
    expect(found(measured(350))).toContain('geometry.hitch-in-reach clear'));
  it('out of reach nobody could free it', () =>
    expect(found(measured(1200))).toContain('geometry.hitch-out-of-reach stop'));
  it('on top of the device it is pushed open', () => {
    const cord = { ...club.shortCord, loopLengthMm: 260 };
    const low = changed(withItem(measured(200), top.end.id, cord), { extension: { measuredMm: 400 } });
    expect(found(low).some((f) => f === 'geometry.hitch-onto-device stop')).toBe(true);
  });
  it('a longer tether never brings it back into reach', () => {
    let seenOut = false;
    for (let mm = 200; mm <= 1400; mm += 50) {
      const out = found(measured(mm)).includes('geometry.hitch-out-of-reach stop');
      expect(seenOut && !out, `${mm} mm`).toBe(false);
      seenOut ||= out;
    }
    expect(seenOut).toBe(true);
  });
});

describe('one person in two places', () => {
  it('nobody belays themselves; a partner who is the climber is none', () => {
    const top = SETUPS['belay-top-rope'];
    const climber = top.persons[0]!.item!;
    expect(found(withItem(top, 'belayer', climber))).toContain('rig.part-twice stop');
    expect(found(withItem(rappelDouble, 'partner', rappelDouble.persons[0]!.item))).toContain('rig.part-twice mind');
  });
});

describe('other ways of backing up', () => {
  it('somebody who pulls from below: a mind, never clear, and only once chosen', () => {
    expect(found(rigged(rappelDouble, 'held-below'))).toContain('rig.held-below mind');
    const nobody = changed(rigged(rappelDouble, 'held-below'), { partner: { item: null } });
    expect(found(nobody)).toContain('rig.part-missing untested');
  });
  it('a knot below the device stops it; which knot has to be said', () => {
    expect(found(rigged(rappelDouble, 'knot-below'))).toContain('rig.knot-below clear');
    expect(found(add(rappelDouble, 'knot-below'))).toContain('rig.knot-below untested');
  });
  it('a lanyard holds until it comes off: it is no backup of a hand', () => {
    expect(found(rigged(rappelDouble, 'lanyard'))).toContain('rig.lanyard clear');
    // Nobody has to reach to its far end, however long it is.
    expect(found(rigged(rappelDouble, 'lanyard')).join()).not.toContain('reach stop');
    const tube = withFields(withItem(SETUPS.lower, 'device', club.groovedTube), 'device', {
      brakeLed: 'redirected',
      brakeSide: 'grooves',
    });
    expect(found(rigged(tube, 'lanyard'))).toContain('hold.hand-alone mind');
    // A hitch tied with the rope at the anchor is braked by the hand of who stays there: that is how it is done.
    expect(found(SETUPS.lower).join()).not.toContain('hold.hand-alone');
  });
  it('a hitch on a second rope of one’s own has to stay within reach as well', () => {
    const own = withItem(rigged(rappelDouble, 'own-hitch'), 'own-hitch', club.shortCord);
    expect(found(changed(own, { 'own-tether': { measuredMm: 300 } }))).toContain('geometry.hitch-in-reach clear');
    expect(found(changed(own, { 'own-tether': { measuredMm: 1400 } }))).toContain('geometry.hitch-out-of-reach stop');
  });
  it('a knot below the device does nothing to the hitch above it', () =>
    expect(found(rigged(rappelDouble, 'knot-below')).join()).not.toContain('rig.not-judged'));
  it('two connectors with both gates on one side', () => {
    const two = rigged(rappelDouble, 'second-connector');
    const same = changed(two, { extraConnector: { opposed: 'same' } });
    expect(found(same).join()).toContain('connector.pair-same-side');
    expect(found(changed(two, { extraConnector: { opposed: 'unknown' } }))).toContain(
      'connector.pair-same-side untested',
    );
  });
  it('a hitch on a brake strand of somebody else is not judged by lengths that are not known', () => {
    const belayed = rigged(SETUPS['lower-faulty'], 'brake-hitch');
    expect(found(belayed)).toContain('rig.not-judged untested');
  });
});
