import { describe, expect, it } from 'vitest';
import { hanging, holdsFromRig } from '../redundancy/index.ts';
import { contextOf } from '../../rigs/elements/index.ts';
import { UNDECLARED_DEVICE, type Device, type Item, type Person } from '../../things/gear/index.ts';
import { slotsOf } from '../../rigs/elements/index.ts';
import { wellRigged, withItem, variation, type Setup } from '../../rigs/rig/index.ts';
import { changed, club, filled, SETUPS, type SampleName } from '../../samples/index.ts';
import { assess } from './index.ts';

/*
 * Each of these was "No fault found" once, or is the next thing to it: a rig that somebody could really enter, and what
 * must be said of it. Beside each: the case that must stay quiet, since a tool that cries wolf is not read.
 */

type Change = Readonly<Record<string, Readonly<Record<string, unknown>>>>;
const sample = (name: SampleName, change: Change = {}, items: Readonly<Record<string, Item | Person>> = {}): Setup =>
  Object.entries(items).reduce((s, [ref, item]) => withItem(s, ref, item), changed(filled(SETUPS[name]), change));
/** "code severity" of everything that is not clear. */
const found = (setup: Setup) =>
  assess(setup)
    .findings.filter((f) => f.severity !== 'clear')
    .map((f) => `${f.code} ${f.severity}`);
const itemAt = <T extends Item | Person>(setup: Setup, ref: string) =>
  slotsOf(setup).find((s) => s.ref === ref)!.item as T;
const device = (id: string): Device => club.otherDevices.find((d) => d.id === id)!;

describe('wet and icy rope in what grips by itself', () => {
  const weather = (now: string) => ({ site: { weather: now } });
  it.each([
    ['belay-second', 'icy', 'mind'],
    ['belay-top-rope', 'icy', 'mind'],
    ['belay-top-rope', 'wet', 'mind'],
    ['belay-leader', 'icy', 'mind'],
    ['ascend', 'icy', 'mind'],
    ['self-belay-top-rope', 'icy', 'stop'],
    ['tree-stationary', 'icy', 'stop'],
    ['tree-stationary', 'wet', 'untested'],
  ] as const)('%s, %s: %s', (name, now, severity) =>
    expect(found(sample(name, weather(now)))).toContain(`fit.wet-icy ${severity}`),
  );
  it.each(['belay-second', 'ascend', 'self-belay-top-rope', 'tree-stationary'] as const)(
    '%s, dry: nothing about it',
    (name) => expect(found(sample(name)).filter((f) => f.startsWith('fit.wet-icy'))).toEqual([]),
  );
  it('where a hand brakes the forces hold the weather, and it is not said twice', () => {
    expect(found(sample('rappel-double', weather('icy'))).filter((f) => f.startsWith('fit.wet-icy'))).toEqual([]);
    expect(found(sample('rappel-double', weather('icy')))).toContain('friction.conditions mind');
  });
});

describe('people', () => {
  const ofMass = (massKg: number) => found(sample('rappel-single', {}, { climber: { ...club.ilse, massKg } }));
  it.each([15, 30, 44, 121, 160])('%s kg: mind', (massKg) => expect(ofMass(massKg)).toContain('rig.person-mass mind'));
  it.each([45, 68, 120])('%s kg: nothing about it', (massKg) =>
    expect(ofMass(massKg)).not.toContain('rig.person-mass mind'),
  );
  it('a child without a measured hand has no adult’s hand', () => {
    const child: Person = { ...club.wren, massKg: 30, handForceN: null };
    expect(found(sample('lower-ground', {}, { belayer: child, climber: club.tomas }))).toContain(
      'friction.hand-close untested',
    );
    const adult: Person = { ...club.tomas, id: 'adult', handForceN: null };
    expect(found(sample('lower-ground', {}, { belayer: adult, climber: club.tomas }))).not.toContain(
      'friction.hand-close untested',
    );
  });
  const masses = (climberKg: number, belayerKg: number, name: SampleName = 'belay-leader') =>
    found(
      sample(name, {}, { climber: { ...club.ilse, massKg: climberKg }, belayer: { ...club.tomas, massKg: belayerKg } }),
    ).filter((f) => f.startsWith('belay.masses'));
  it.each([
    [70, 70, []],
    [80, 60, ['belay.masses mind']],
    // 1.8 times 60 kg over 1.2 is 90 kg.
    [89, 60, ['belay.masses mind']],
    [91, 60, ['belay.masses stop']],
    [95, 60, ['belay.masses stop']],
    [110, 48, ['belay.masses stop']],
    [50, 80, ['belay.masses mind']],
  ] as const)('a leader of %s kg and a belayer of %s kg', (climber, belayer, said) =>
    expect(masses(climber, belayer)).toEqual(said),
  );
  it('on a top rope a heavy belayer is no hard catch, a light one is lifted', () => {
    expect(masses(50, 80, 'belay-top-rope')).toEqual([]);
    expect(masses(95, 55, 'belay-top-rope')).toEqual(['belay.masses stop']);
  });
  it('a belayer far from the wall, and one of whom it is not said where', () => {
    const at = (fromWallM: number | null, stands: 'free' | 'anchored' = 'free') =>
      found(sample('belay-leader', { belayer: { fromWallM, stands } })).filter((f) => f.startsWith('belay.stance'));
    expect(at(2)).toEqual([]);
    expect(at(2.1)).toEqual(['belay.stance mind']);
    expect(at(6, 'anchored')).toEqual([]);
    expect(at(null)).toEqual(['belay.stance untested']);
    const top = sample('belay-top-rope', { belayer: { fromWallM: null } });
    expect(found(top)).toContain('belay.stance untested');
  });
  it('a belayer who is tied to an anchor is not lifted; one who is clipped to something else is', () => {
    const alone = sample(
      'belay-leader',
      {},
      { climber: { ...club.ilse, massKg: 110 }, belayer: { ...club.tomas, massKg: 60 } },
    );
    const withLanyard = filled(wellRigged(variation('lanyard').add(alone)!));
    const clipped = (to: string): Setup => ({
      ...withLanyard,
      attachments: withLanyard.attachments.map((a) =>
        a.id === 'lanyard' && a.root.kind === 'harness' && a.end.kind === 'clip'
          ? { ...a, root: { ...a.root, person: 'belayer' }, end: { ...a.end, to } }
          : a,
      ),
    });
    const of = (s: Setup) => found(s).filter((f) => f.startsWith('belay.masses'));
    expect(of(alone)).toEqual(['belay.masses stop']);
    expect(of(clipped('anchor'))).toEqual(['belay.masses mind']);
    expect(of(clipped('deviceConnector'))).toEqual(['belay.masses stop']);
  });
  it('a device for the right hand in a left one', () => {
    const cam: Device = { ...device('device-sill'), handed: 'right' };
    const left = sample('belay-top-rope', {}, { belayer: { ...club.tomas, brakeHand: 'left' }, device: cam });
    expect(found(left)).toContain('fit.handed mind');
    const undeclared: Device = { ...itemAt<Device>(left, 'device'), handed: 'unknown' };
    expect(found(withItem(left, 'device', undeclared))).toContain('fit.handed untested');
    const right = sample('belay-top-rope', {}, { belayer: { ...club.tomas, brakeHand: 'right' }, device: cam });
    expect(found(right)).not.toContain('fit.handed mind');
  });
});

describe('ropes', () => {
  const rope = (change: object, name: SampleName = 'rappel-double') =>
    found(sample(name, {}, { ropeA: { ...club.longRope, ...change } as Item }));
  it('a rope of 60 m that measures 95 m, or of 9.9 mm that measures 8 mm, is a mistake somewhere', () => {
    expect(rope({ lengthM: 60, measuredLengthM: 95 })).toContain('rig.label-contradicts untested');
    expect(rope({ lengthM: 60, measuredLengthM: 45 })).toContain('rig.label-contradicts untested');
    expect(rope({ nominalDiameterMm: 9.9, measuredDiameterMm: 8 })).toContain('rig.label-contradicts untested');
    expect(rope({ lengthM: 60, measuredLengthM: 58 })).not.toContain('rig.label-contradicts untested');
  });
  it('a cord of 5 mm that is called a single rope is a Stop, one of 7 mm is not known', () => {
    expect(rope({ nominalDiameterMm: 5, measuredDiameterMm: null })).toContain('rig.rope-size stop');
    expect(rope({ nominalDiameterMm: 7, measuredDiameterMm: null })).toContain('rig.rope-size untested');
    expect(rope({ nominalDiameterMm: 9.8, measuredDiameterMm: null }).join()).not.toContain('rig.rope-size');
  });
  it('a cord of 6 mm that measures 4 mm as well', () =>
    expect(found(sample('rappel-double', {}, { hitch: { ...club.shortCord, measuredDiameterMm: 4 } }))).toEqual(
      expect.arrayContaining(['rig.label-contradicts untested', 'hitch.cord-small stop']),
    ));
  it('a middle that is not marked is not found to the centimetre', () => {
    const missed = (middle: string, middleMissM: number) =>
      found(sample('rappel-double', { rope: { middleMissM } }, { ropeA: { ...club.longRope, middle } as Item })).filter(
        (f) => f.startsWith('geometry.middle'),
      );
    expect(missed('none', 0)).toEqual(['geometry.middle-unmarked mind']);
    expect(missed('unknown', 0.2)).toEqual(['geometry.middle-unmarked untested']);
    expect(missed('marked', 0)).toEqual([]);
    expect(missed('none', 0.5)).toEqual([]);
  });
  const joined = (knot: string, a: object = {}, b: object = {}) =>
    found(
      sample(
        'rappel-double',
        { rope: { use: 'joined' }, joiningKnot: { knot } },
        { ropeA: { ...club.longRope, ...a } as Item, ropeB: { ...club.longRope, id: 'other', ...b } as Item },
      ),
    );
  it('the knot that joins two ropes: one jams, the other rolls where they are unlike', () => {
    expect(joined('double-fisherman')).toContain('rig.joining-knot mind');
    expect(joined('flat-overhand', { measuredDiameterMm: 9.9 }, { measuredDiameterMm: 8.8 })).toContain(
      'rig.joining-knot mind',
    );
    expect(joined('flat-overhand')).not.toContain('rig.joining-knot mind');
  });
  it('two sheaths of which nothing is known are not alike', () => {
    expect(joined('flat-overhand', { sheath: 'unknown' }, { sheath: 'unknown' })).toContain(
      'fit.strands-unlike untested',
    );
    expect(joined('flat-overhand', { sheath: 'unknown' })).toContain('fit.strands-unlike mind');
  });
  it('a line that is too short for a tie at the base of the tree', () => {
    const tree = (lengthM: number) =>
      found(
        sample(
          'tree-stationary',
          { fastening: { tiedAt: 'unknown' } },
          { ropeA: { ...club.thickRope, lengthM, measuredLengthM: lengthM } as Item },
        ),
      ).filter((f) => f.startsWith('geometry.base-tie'));
    expect(tree(38)).toEqual(['geometry.base-tie untested']);
    expect(tree(39)).toEqual([]);
  });
});

describe('hitches', () => {
  const hitch = (change: Change, cord: object = {}) =>
    found(sample('rappel-single', change, { hitch: { ...club.shortCord, ...cord } as Item }));
  it('a loop that leaves little to clip', () => {
    expect(hitch({ hitch: { wraps: 6 } }, { loopLengthMm: 400 })).toContain('geometry.cord-too-short stop');
    expect(hitch({})).not.toContain('geometry.cord-too-short stop');
  });
  it('three wraps around one strand', () => expect(hitch({ hitch: { wraps: 3 } })).toContain('hitch.few-wraps mind'));
  it('a cord of which no strength is entered, as a sling', () => {
    expect(hitch({}, { declaredStrengthKn: null })).toContain('hitch.strength-unknown untested');
    expect(found(sample('rappel-single', {}, { extension: { ...club.sling, strengthKn: null } }))).toContain(
      'rig.extension-strength-unknown untested',
    );
  });
  it('a hitch that may touch the device is not counted on', () => {
    const near = sample('rappel-double', {}, { hitch: { ...club.shortCord, loopLengthMm: 740 } as Item });
    expect(found(near)).toContain('geometry.hitch-may-reach untested');
    expect(assess(near).verdict).not.toBe('clear');
  });
});

describe('slings', () => {
  const knotted = (material: string, knots = 1) =>
    found(sample('rappel-single', { extension: { knots } }, { extension: { ...club.longSling, material } as Item }));
  it('a knot in slick tape, or in tape of which nobody knows the fibre', () => {
    expect(knotted('uhmwpe')).toContain('rig.sling-knot mind');
    expect(knotted('unknown')).toContain('rig.sling-knot untested');
    expect(knotted('polyamide').filter((f) => f.startsWith('rig.sling-knot'))).toEqual([]);
    expect(knotted('uhmwpe', 0).filter((f) => f.startsWith('rig.sling-knot'))).toEqual([]);
  });
  it('less is left at it than in polyamide', () => {
    const left = (material: string) =>
      assess(
        sample('rappel-single', { extension: { knots: 1 } }, { extension: { ...club.longSling, material } as Item }),
      )
        .findings.find((f) => f.code === 'rig.extension-strength')!
        .numbers.find((n) => n.key === 'left')!.value;
    // 22 kN on the label, 0.30 to 0.50 of it at a knot in UHMWPE.
    expect(left('uhmwpe').low).toBeCloseTo(6.6, 9);
    expect(left('uhmwpe').high).toBeCloseTo(11, 9);
    expect(left('unknown').low).toBeLessThanOrEqual(left('uhmwpe').low);
    expect(left('unknown').high).toBeGreaterThanOrEqual(left('polyamide').high);
  });
});

describe('connectors', () => {
  it('a gate that nothing opens is still levered over rock', () => {
    const rock = (lock: string) =>
      found(
        sample(
          'rappel-double',
          { hitchConnector: { faces: 'rock' } },
          { hitchConnector: { ...club.smallD, lock } as Item },
        ),
      );
    expect(rock('three-action')).toContain('connector.gate-towards-rope mind');
    expect(rock('magnetic')).toContain('connector.gate-towards-rope mind');
  });
  it('across on a lead the upper end of the load decides, whoever looks', () => {
    const cam = { device: { ...device('device-sill') }, deviceConnector: { ...club.keptPear, keeper: 'no' } as Item };
    expect(found(sample('belay-leader', {}, cam))).toContain('connector.settles-across stop');
    expect(found(sample('belay-leader'))).not.toContain('connector.settles-across stop');
  });
  it('a screw gate, or 20 kN, is not what a person works on in a tree', () => {
    const tree = (change: object) =>
      found(sample('tree-moving', {}, { deviceConnector: { ...club.keptPear, ...change } as Item }));
    expect(tree({ lock: 'screw' })).toContain('connector.tree-life stop');
    expect(tree({ strengthMajorKn: 20 })).toContain('connector.tree-life stop');
    // Both reasons at once: whoever mends one must not be told of the other afterwards.
    const both = sample(
      'tree-moving',
      {},
      { deviceConnector: { ...club.keptPear, lock: 'screw', strengthMajorKn: 20 } },
    );
    const { because } = assess(both).findings.find((f) => f.code === 'connector.tree-life')!;
    expect(because).toMatch(/\{major\}.*two actions/);
    expect(tree({})).not.toContain('connector.tree-life stop');
  });
  it('a second connector without a lock', () => {
    const two = filled(wellRigged(variation('second-connector').add(SETUPS['rappel-double'])!));
    const second = two.attachments.flatMap((a) => a.pieces).find((p) => p.kind === 'connector' && p.beside !== null)!;
    expect(found(withItem(two, second.id, { ...club.keptPear, id: 'plain', lock: 'none' }))).toContain(
      'connector.not-locking stop',
    );
  });
  it('what the maker of a device that holds by itself says about its connector', () => {
    const undeclared = (name: SampleName) => {
      const setup = sample(name);
      return found(withItem(setup, 'device', { ...itemAt<Device>(setup, 'device'), connectorForbidden: 'unknown' }));
    };
    expect(undeclared('self-belay-top-rope')).toContain('connector.not-declared untested');
    expect(undeclared('ascend')).toContain('connector.not-declared untested');
    // A tube hangs on the rope: its connector is looked at, and no maker is asked.
    expect(undeclared('rappel-double')).not.toContain('connector.not-declared untested');
  });
  it('a harness without a belay loop', () =>
    expect(
      found(sample('belay-top-rope', {}, { 'belayer-harness': { ...club.lightHarness, attachment: 'two-points' } })),
    ).toContain('rig.no-belay-loop stop'));
  it('room for two strands on an end that was not measured', () =>
    expect(
      found(sample('rappel-double', {}, { deviceConnector: { ...club.pear, broadInsideWidthMm: null } })),
    ).toContain('connector.geometry-unknown untested'));
});

describe('devices at an anchor', () => {
  it('one that holds by itself, of which nobody said that it may hang there', () => {
    const cam: Device = { ...device('device-sill'), attachTo: 'unknown' };
    expect(found(sample('belay-second', {}, { device: cam }))).toContain('fit.attached-elsewhere untested');
    const tube: Device = { ...UNDECLARED_DEVICE, ...device('device-arch'), attachTo: 'unknown' };
    expect(found(sample('lower', {}, { device: tube }))).not.toContain('fit.attached-elsewhere untested');
  });
  it('two on a device made for one', () =>
    expect(found(sample('pick-off', {}, { device: { ...device('device-gantry'), personsRated: 'one' } }))).toContain(
      'fit.one-person-only stop',
    ));
});

describe('condition and helmet', () => {
  const worn = (condition: string) => (ref: string) => {
    const setup = sample('rappel-double');
    return found(withItem(setup, ref, { ...itemAt<Item>(setup, ref), condition } as Item));
  };
  it.each(['ropeA', 'extension', 'hitch', 'harness', 'deviceConnector', 'hitchConnector'])(
    '%s: damaged is Stop, worn Mind, not looked over Not tested',
    (ref) => {
      expect(worn('damaged')(ref)).toContain('rig.condition stop');
      expect(worn('worn')(ref)).toContain('rig.condition mind');
      expect(worn('unknown')(ref)).toContain('rig.condition untested');
      expect(worn('sound')(ref)).toEqual([]);
    },
  );
  it('a backup of damaged cord is not counted as holding', () => {
    const setup = sample('rappel-double');
    const damaged = withItem(setup, 'hitch', { ...itemAt<Item>(setup, 'hitch'), condition: 'damaged' } as Item);
    const holds = (s: Setup) => {
      const ctx = contextOf(s);
      return holdsFromRig(ctx, hanging(ctx)[0]!, assess(s).findings).holds.map((h) => h.id);
    };
    expect(holds(setup)).toContain('below');
    expect(holds(damaged)).not.toContain('below');
  });
  it.each(['climber', 'partner'])('helmet of the %s', (ref) => {
    const with_ = (helmet: string) => found(sample('rappel-double', { [ref]: { helmet } }));
    expect(with_('none')).toContain('rig.helmet mind');
    expect(with_('unknown')).toContain('rig.helmet untested');
    expect(with_('worn')).toEqual([]);
  });
});

describe('how the rope lies in the device', () => {
  const said = (name: SampleName, fields: object) => found(sample(name, { device: { ...fields } }));
  it.each([
    ['ascend', 'backwards', 'stop'],
    ['belay-second', 'backwards', 'stop'],
    ['self-belay-top-rope', 'connector-only', 'stop'],
    ['rappel-double', 'connector-only', 'stop'],
    ['rappel-double', 'backwards', 'mind'],
    ['belay-leader', 'unknown', 'untested'],
  ] as const)('%s, %s: %s', (name, threaded, severity) =>
    expect(said(name, { threaded })).toContain(`fit.threaded ${severity}`),
  );
  it('a Munter hitch is tied, not threaded', () =>
    expect(said('lower', { threaded: 'unknown' }).filter((f) => f.startsWith('fit.threaded'))).toEqual([]));
  it('over the smooth side of a tube with grooves the hand must pull as at a tube without', () => {
    const need = (brakeSide: string) =>
      assess(sample('rappel-double', { device: { brakeSide } })).figures.brake.main!.bottomN.best;
    expect(said('rappel-double', { brakeSide: 'smooth' })).toContain('fit.brake-side mind');
    expect(said('rappel-double', { brakeSide: 'unknown' })).toContain('fit.brake-side untested');
    expect(need('smooth')).toBeGreaterThan(1.3 * need('grooves'));
    expect(need('unknown')).toBe(need('smooth'));
    const plain = withItem(sample('rappel-double'), 'device', { ...club.groovedTube, family: 'tube-plain' });
    expect(need('smooth')).toBeCloseTo(assess(plain).figures.brake.main!.bottomN.best, 9);
  });
  it('a plate that holds by itself is not asked for its grooves', () =>
    expect(said('belay-second', { brakeSide: 'unknown' }).filter((f) => f.startsWith('fit.brake-side'))).toEqual([]));
  it.each([
    ['no', 'stop'],
    ['other-rope', 'untested'],
    ['unknown', 'untested'],
  ] as const)('a bollard tuned: %s', (tuned, severity) =>
    // What is said counts where no trials were written down; with them see core/answers/assess/tuned.test.ts.
    expect(
      found(
        sample(
          'tree-stationary',
          { device: { tuned } },
          { device: { ...device('device-bough'), bollardSettings: null, tunings: [] } },
        ),
      ),
    ).toContain(`fit.not-tuned ${severity}`),
  );
  it('nothing else is asked for its tuning', () =>
    expect(said('ascend', { tuned: 'no' }).filter((f) => f.startsWith('fit.not-tuned'))).toEqual([]));
  it.each([
    ['open', 'stop'],
    ['unknown', 'untested'],
  ] as const)('a toothed clamp on icy rope, upper hole %s', (upperHole, severity) => {
    const icy = { site: { weather: 'icy' } };
    expect(found(sample('ascend', { ...icy, device: { upperHole } }))).toContain(`fit.upper-hole ${severity}`);
    expect(found(sample('ascend', { device: { upperHole } })).filter((f) => f.startsWith('fit.upper-hole'))).toEqual(
      [],
    );
    expect(found(sample('ascend', icy)).filter((f) => f.startsWith('fit.upper-hole'))).toEqual([]);
  });
  // Worked by hand: on a rope that slants more than 20 degrees, too, a clamp is kept on it by a connector through its
  // upper hole.
  it.each([
    ['slanting', 'open', ['fit.upper-hole stop']],
    ['slanting', 'unknown', ['fit.upper-hole untested']],
    ['slanting', 'clipped', []],
    ['unknown', 'open', ['fit.upper-hole untested']],
    ['unknown', 'clipped', []],
    ['plumb', 'open', []],
  ] as const)('a toothed clamp on a rope that hangs %s, upper hole %s', (slant, upperHole, expected) =>
    expect(
      found(sample('ascend', { site: { slant }, device: { upperHole } })).filter((f) => f.startsWith('fit.upper-hole')),
    ).toEqual(expected),
  );
});

describe('ropes that brake or catch otherwise', () => {
  const light: Person = { ...club.wren, massKg: 46 };
  const rope = (change: object) => {
    const setup = sample('rappel-double', { site: { anchorHeightM: 28 } }, { climber: light });
    return found(
      withItem(setup, 'ropeA', {
        ...itemAt<Item>(setup, 'ropeA'),
        nominalDiameterMm: 11,
        measuredDiameterMm: 11,
        ...change,
      } as Item),
    );
  };
  it('a light person on stiff thick rope does not run; not known is not clear', () => {
    expect(rope({ stiffness: 'stiff' })).toContain('friction.rope-holds-back mind');
    expect(rope({ stiffness: 'unknown' }).some((f) => f.startsWith('friction.rope-holds-back'))).toBe(true);
  });
  it('a belayer who is tied low and in line is not lifted', () => {
    const child: Person = { ...club.wren, massKg: 40 };
    const stands = (how: string) =>
      found(sample('belay-top-rope', { belayer: { stands: how } }, { belayer: child, climber: club.tomas }));
    expect(stands('free')).toContain('belay.masses stop');
    expect(stands('anchored')).not.toContain('belay.masses stop');
  });
});

describe('a line tied at the base of the tree', () => {
  const tied = (tiedAt: string, lengthM: number) => {
    const setup = sample('tree-stationary', { fastening: { tiedAt } });
    const rope = { ...itemAt<Item>(setup, 'ropeA'), lengthM, measuredLengthM: lengthM } as Item;
    return found(withItem(setup, 'ropeA', rope)).filter((f) => f.startsWith('geometry.base-tie'));
  };
  it('needs twice the height: too short is Stop, not said Not tested, tied above nothing', () => {
    expect(tied('base', 30)).toEqual(['geometry.base-tie stop']);
    expect(tied('unknown', 30)).toEqual(['geometry.base-tie untested']);
    expect(tied('top', 30)).toEqual([]);
    expect(tied('base', 120)).toEqual([]);
  });
});
