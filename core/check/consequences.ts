import type { Finding } from '../finding/index.ts';
import { FAULTS, rappelHolds, singlePoints, type FaultId } from '../hold/index.ts';
import type { Setup } from '../rig/index.ts';
import {
  BREACHES,
  criticalOf,
  explore,
  newSequence,
  PROCEDURES,
  stepsOf,
  withOption,
  type Critical,
} from '../sequence/index.ts';
import type { CheckItem } from './check-item.ts';

/** The steps of the doubled rappel that each item of the check looks back at. */
export const STEPS_OF_ITEM: Readonly<Record<string, readonly string[]>> = {
  anchor: ['rope-thread'],
  'joining-knot': ['rope-join', 'rope-knot'],
  middle: ['rope-middle'],
  'rope-ends': ['ends-knot'],
  'device-connector': ['device-lock'],
  'hitch-connector': ['hitch-lock'],
  'weigh-device': ['device-weigh'],
  'hitch-bites': ['hitch-test'],
};

const known = new Map<string, readonly Critical[]>();

/** Critical departures from the shipped doubled rappel with this rope; worked out once. */
export function criticalRappel(rope: 'folded' | 'joined'): readonly Critical[] {
  const there = known.get(rope);
  if (there) return there;
  const steps = stepsOf(withOption(newSequence('doubled-rappel', rope, ''), 'rope', rope));
  const procedure = PROCEDURES['doubled-rappel'];
  const critical = criticalOf(procedure, steps, explore(procedure, steps));
  known.set(rope, critical);
  return critical;
}

/**
 * Adds to the reason of each item what follows when it is nodded through: from the procedure, what the departure ends in; from what holds,
 * that nothing else does.
 */
export function withConsequences(items: readonly CheckItem[], setup: Setup, findings: readonly Finding[]): CheckItem[] {
  const critical = criticalRappel(setup.rig.ropeUse);
  const steps = stepsOf(withOption(newSequence('doubled-rappel', 'x', ''), 'rope', setup.rig.ropeUse));
  const complete = !findings.some((f) => f.code === 'rig.part-missing');
  const alone = new Set(
    complete ? (singlePoints(rappelHolds(setup, findings)) as FaultId[]).map((id) => FAULTS[id].part) : [],
  );
  return items.map((item) => {
    if (item.kind === 'open-finding') return item;
    const looksAt = STEPS_OF_ITEM[item.id] ?? [];
    const follows = critical.find((c) => looksAt.includes(steps[c.at]?.id ?? ''));
    const more = [
      ...(follows ? [`Nodded through: ${BREACHES[follows.breach.kind].toLowerCase()}.`] : []),
      ...(alone.has(item.part) && item.kind === 'look' ? ['Nothing else holds when it lets go.'] : []),
    ];
    return more.length > 0 ? { ...item, why: [item.why, ...more].join(' ') } : item;
  });
}
