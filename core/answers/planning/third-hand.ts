import {
  sentence,
  SEVERITIES,
  worse,
  type Finding,
  type Sentence,
  type Severity,
} from '../../foundations/finding/index.ts';
import { ropeInDevice } from '../../things/fit/index.ts';
import { hitchOnRope } from '../../things/friction/index.ts';
import {
  servesJob,
  traitsOf,
  usualUse,
  type Connector,
  type Cord,
  type Device,
  type Item,
  type Rope,
} from '../../things/gear/index.ts';
import { haulThreeN } from '../../things/geometry/index.ts';
import { slotsOf } from '../../rigs/elements/index.ts';
import { indexOf, ropesIn, type Setup, casualtyOf } from '../../rigs/rig/index.ts';
import { constant } from '../../foundations/sources/index.ts';
import type { Interval } from '../../foundations/units/index.ts';

/** What can bite on the casualty’s rope, above their device. */
export interface ThirdHandGrip {
  readonly item: Cord | Device;
  /** Of a hitch; null of a device. */
  readonly wraps: number | null;
  readonly severity: Severity;
  /** What is worst about it; null where nothing is. */
  readonly worst: Sentence | null;
}

/** A mini haul out of a locker: what bites, what the hauling strand turns in, and how hard it is pulled. */
export interface ThirdHandForces {
  /** The best first. */
  readonly grips: readonly ThirdHandGrip[];
  /** Locking connectors that are not in the rig: the strand turns in two of them. */
  readonly connectors: readonly Connector[];
  /** What is not there, as the end of "Not in the locker: ...". */
  readonly missing: readonly string[];
  readonly overConnectorsN: Interval;
  readonly overPulleysN: Interval;
}

/** The strand turns once at what bites and once at the casualty. */
const TURNS = 2;
const PRUSIK_WRAPS = [3, 4, 5, 6] as const;

const worstOf = (found: readonly Finding[]): Pick<ThirdHandGrip, 'severity' | 'worst'> => {
  const severity = found.reduce<Severity>((s, f) => worse(s, f.severity), 'clear');
  const worst = found.find((f) => f.severity === severity && severity !== 'clear');
  return { severity, worst: worst ? sentence(worst.says, worst.numbers) : null };
};
const rank = ({ severity }: ThirdHandGrip) => SEVERITIES.indexOf(severity);

/**
 * What of these items makes a mini haul for the casualty of a pick-off: a grab or clamp that fits their rope, or a
 * cord that bites on it, judged for what they weigh; two locking connectors; the strand is the end of the rescuer’s own
 * rope or a cord. null while rope or casualty is not chosen, and in other jobs.
 */
export function thirdHand(setup: Setup, items: readonly Item[]): ThirdHandForces | null {
  const casualty = casualtyOf(setup)?.item;
  const rope = ropeOfCasualty(setup);
  if (!casualty || !rope) return null;
  const used = new Set(slotsOf(setup).flatMap((s) => (s.item ? [s.item.id] : [])));
  const free = items.filter((item) => !used.has(item.id));
  const grips = free
    .flatMap((item): ThirdHandGrip[] => {
      if (item.kind === 'device') return grabs(item) ? [ofDevice(item, rope)] : [];
      return item.kind === 'cord' ? [ofCord(item, rope, setup)] : [];
    })
    .filter((g) => g.severity !== 'stop')
    .sort((a, b) => rank(b) - rank(a));
  const connectors = free.filter(
    (i): i is Connector => i.kind === 'connector' && i.lock !== 'none' && i.lock !== 'unknown',
  );
  const lack = TURNS - connectors.length;
  return {
    grips,
    connectors,
    missing: [
      ...(grips.length === 0 ? ['a grab or a cord that bites on this rope'] : []),
      ...(lack > 0 ? [lack === 1 ? 'one more locking connector' : 'two more locking connectors'] : []),
    ],
    overConnectorsN: haulThreeN(casualty.massKg, constant('connectorEfficiency')),
    overPulleysN: haulThreeN(casualty.massKg, constant('pulleyEfficiency')),
  };

  function ofCord(cord: Cord, ropeA: Rope, { site }: Setup): ThirdHandGrip {
    const tried = PRUSIK_WRAPS.map((wraps) => ({
      item: cord,
      wraps,
      ...worstOf(
        // That it is hard to release does not matter: it is weighed by the casualty for a minute.
        hitchOnRope({
          cord,
          ropeA,
          ropeB: null,
          climber: casualty!,
          weather: site.weather,
          kind: 'prusik',
          wraps,
          around: 'one',
        }).filter((f) => f.code !== 'hitch.hard-to-release'),
      ),
    }));
    return [...tried].sort((a, b) => rank(b) - rank(a) || a.wraps - b.wraps)[0]!;
  }
}

const grabs = ({ family }: Device): boolean => {
  const { handOff, aidOnly, goesDown } = traitsOf(family);
  return handOff === 'holds' && !aidOnly && !goesDown && servesJob(family, 'ascend');
};
const ofDevice = (device: Device, rope: Rope): ThirdHandGrip => ({
  item: device,
  wraps: null,
  ...worstOf(ropeInDevice({ load: usualUse('ascend'), rope, part: 'rope', device })),
});

/** Their own where it is in the rig, else the one rope that both hang on. */
function ropeOfCasualty(setup: Setup): Rope | null {
  const index = indexOf(setup);
  const casualty = setup.persons.find((p) => p.role === 'casualty');
  const own = setup.attachments.find(
    (a) => a.root.kind === 'harness' && a.root.person === casualty?.id && a.end.kind !== 'clip',
  );
  const on = own ?? setup.attachments.find((a) => a.id === 'main');
  return on ? (ropesIn(index, on.end)?.ropeA ?? null) : null;
}
