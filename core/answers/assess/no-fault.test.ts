import { describe, expect, it } from 'vitest';
import { JOB_KEYS, type Device, type Item, type Job, type Person } from '../../things/gear/index.ts';
import { variation, wellRigged, withItem, type Setup, type VariationId } from '../../rigs/rig/index.ts';
import { changed, club, filled, SETUPS, type SampleName } from '../../samples/index.ts';
import { assess } from './index.ts';

/*
 * Whoever knows everything, and has rigged it well, gets no line to act on. A job that can never come out so teaches
 * people not to read.
 */

interface Good {
  readonly sample: SampleName;
  readonly variations?: readonly VariationId[];
  readonly items?: Readonly<Record<string, Item | Person>>;
  readonly fields?: Readonly<Record<string, Readonly<Record<string, unknown>>>>;
}
const device = (id: string): Device => club.otherDevices.find((d) => d.id === id)!;
const named = <T extends Item>(item: T, name: string): T => ({ ...item, id: name, name });
const anchored = { through: 'rings', points: 'several', rings: 'all' } as const;

/** A dynamic rope of the thickness that the grab is made for. */
const grabRope = { ...club.longRope, nominalDiameterMm: 10.5, measuredDiameterMm: 10.4 };

const GOOD: Readonly<Record<string, Good>> = {
  'rappel-double': { sample: 'rappel-double' },
  'rappel-single': { sample: 'rappel-single' },
  'rappel-fixed': { sample: 'rappel-fixed' },
  lower: { sample: 'lower' },
  'lower from the ground': { sample: 'lower-ground' },
  'tree-moving': { sample: 'tree-moving' },
  // A connector that locks by itself, and lengths that fit together.
  ascend: { sample: 'ascend', variations: ['foot-loop'], items: { deviceConnector: club.keptOval } },
  // Two grabs, each on a rope and an anchor of its own, both ropes weighted, no slack.
  'self-belay-top-rope': {
    sample: 'self-belay-top-rope',
    variations: ['grab-second-rope'],
    items: {
      ropeA: named(grabRope, 'One rope'),
      'rope4-rope': named(grabRope, 'Other rope'),
      'grab2-device': named(device('device-cutwater'), 'Other grab'),
      'grab2-connector': named(club.keptOval, 'Other oval'),
    },
    fields: {
      anchor4: anchored,
      'rope4-fastening': { how: 'tied' },
      rope: { endWeightKg: 3 },
      rope4: { endWeightKg: 3 },
      device: { slackM: 0 },
      'grab2-device': { slackM: 0 },
    },
  },
  // The sheath is firm and the bollard was tuned to it; the work is at the stem.
  'tree-stationary': {
    sample: 'tree-stationary',
    items: { ropeA: { ...club.thickRope, sheath: 'smooth' }, device: { ...device('device-bough'), tunings: [] } },
    fields: { limb: { outM: 0 } },
  },
  // A hitch that lets go under load, far enough from the device.
  'rappel from a tree': {
    sample: 'tree-rappel',
    fields: { 'above-hitch': { hitch: 'autoblock', wraps: 5 }, extension: { measuredMm: 150 } },
  },
  // Friction enough for two, a strong hand that was measured, and a hitch that stays clear of the device.
  'pick-off': {
    sample: 'pick-off',
    variations: ['hitch-below'],
    items: {
      device: device('device-stile'),
      ropeA: club.thickRope,
      hitch: { ...club.shortCord, loopLengthMm: 380, cutLengthM: 1.2 },
      hitchConnector: named(club.smallD, 'Other D'),
      climber: { ...club.wren, handForceN: 500, kneeRaiseMm: 120, legLoopDropMm: 220 },
    },
    fields: { device: { brakeThrough: 'connector' } },
  },
};

function built({ sample, variations = [], items = {}, fields = {} }: Good): Setup {
  const varied = variations.reduce<Setup>((s, id) => wellRigged(variation(id).add(s)!), SETUPS[sample]);
  return changed(
    Object.entries(items).reduce((s, [ref, item]) => withItem(s, ref, item), filled(varied)),
    fields,
  );
}

describe('a set-up in which all is known and well', () => {
  it.each(Object.keys(GOOD))('%s: no fault found', (name) => {
    const { verdict, findings } = assess(built(GOOD[name]!));
    expect(findings.filter((f) => f.severity !== 'clear').map((f) => `${f.code} ${f.subject.join()}`)).toEqual([]);
    expect(verdict).toBe('clear');
  });
  it('is there for every job but those that hold a fall of somebody else', () => {
    const shown = new Set<Job>(Object.values(GOOD).map((g) => SETUPS[g.sample].job));
    expect(JOB_KEYS.filter((job) => !shown.has(job))).toEqual([
      'belay-top-rope',
      'belay-leader',
      'belay-second',
      'belay-seconds',
    ]);
  });
});
