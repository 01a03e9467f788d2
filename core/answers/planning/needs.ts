import { assess } from '../assess/index.ts';
import { seatKind } from '../../things/connector/index.ts';
import type { Finding, FindingCode, FindingNumber } from '../../foundations/finding/index.ts';
import {
  diameterOf,
  JOB_FACTS,
  JOBS,
  servesJob,
  type Device,
  type Item,
  type ItemOf,
} from '../../things/gear/index.ts';
import { slotsOf, type Slot } from '../../rigs/elements/index.ts';
import { descentOf, ropeSlots, type Setup } from '../../rigs/rig/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { exactly } from '../../foundations/units/index.ts';
import { needsTwoRopes } from './picks.ts';
import type { SearchResult } from './search.ts';
import { combined } from './take.ts';

/**
 * Something the locker lacks, named by what it must be able to do and never as a product; a template over `numbers`.
 */
export interface Need {
  readonly what: Slot['kind'];
  readonly says: string;
  readonly numbers: readonly FindingNumber[];
}

const mm = (key: string, label: string, value: number): FindingNumber => ({
  key,
  label,
  quantity: 'diameterMm',
  value: exactly(value),
});
const ofKind = <K extends Item['kind']>(items: readonly Item[], kind: K) =>
  items.filter((i): i is ItemOf<K> => i.kind === kind);
const need = (what: Need['what'], says: string, numbers: readonly FindingNumber[] = []): Need => ({
  what,
  says,
  numbers,
});

/** What is open in a set-up and not to be had from the locker, and what speaks against every combination. */
export function needs(open: Setup, items: readonly Item[], result: SearchResult): Need[] {
  const slots = slotsOf(open).filter((s) => s.item === null && !s.optional);
  const openOf = (kind: Slot['kind']) => slots.filter((s) => s.kind === kind).length;
  const lacks = (kind: Exclude<Slot['kind'], 'person'>) => openOf(kind) > 0 && ofKind(items, kind).length === 0;
  // What is chosen already is what the others must go with.
  const chosen = open.lines.flatMap((l) => ropeSlots(l).flatMap((r) => r.item ?? []));
  const ropes = chosen.length > 0 ? chosen : ofKind(items, 'rope');
  const connectors = ofKind(items, 'connector');
  const made = ofKind(items, 'device').filter((d) => servesJob(d.family, open.job));
  const worst = result.combinations.length === 0 ? stops(open, items, result) : [];
  const everywhere = (code: FindingCode) =>
    worst.length > 0 && worst.every((found) => found.some((f) => f.code === code));
  const found: Need[] = [];

  if (openOf('rope') > 0 && (ofKind(items, 'rope').length < openOf('rope') || everywhere('geometry.rope-too-short')))
    found.push(ropeNeed(open));
  if (openOf('device') > 0 && made.length === 0 && ropes.length > 0) found.push(deviceNeed(open, ropes));
  const places = new Set(slotsOf(open).flatMap((s) => (s.kind === 'connector' ? [s.ref] : [])));
  const clips = worst.some((found) => found.some((f) => places.has(f.subject[0]!)));
  if (openOf('connector') > 0 && (connectors.length === 0 || (clips && made.length > 0)))
    found.push(connectorNeed(made[0], ropes));
  else if (connectors.length < openOf('connector'))
    found.push(need('connector', 'A locking connector of its own, not the one of the device.'));
  if (lacks('sling'))
    found.push(need('sling', 'A sewn sling that holds 22 kN and leaves the device within reach of the arm.'));
  if (lacks('cord')) found.push(cordNeed(ropes));
  if (lacks('harness')) found.push(need('harness', 'A harness, and what its leg loops are made for.'));
  return found;
}

/** Every *stop* of each of the first combinations that have one. */
function stops(open: Setup, items: readonly Item[], result: SearchResult): Finding[][] {
  return result.rejected
    .slice(0, 40)
    .map((c) => assess(combined(open, c.picks, items, [])).findings.filter((f) => f.severity === 'stop'));
}

function ropeNeed(open: Setup): Need {
  const metres = JOB_FACTS[open.job].ropePerHeight * Math.max(0, descentOf(open.site)) + threshold('ropeEndMarginM');
  return need('rope', `${needsTwoRopes(open) ? 'Two ropes' : 'A rope'} at least {length} long after knots.`, [
    { key: 'length', label: 'Length, at least', quantity: 'lengthM', value: exactly(metres) },
  ]);
}

function deviceNeed({ job }: Setup, ropes: readonly ItemOf<'rope'>[]): Need {
  const mean = ropes.map((r) => diameterOf(r).diameterMm.best).sort((a, b) => a - b);
  const { strands } = JOB_FACTS[job];
  return need(
    'device',
    `A device made for this job (${JOBS[job].toLowerCase()}), declared for ${strands} ${strands === 'one' ? 'strand' : 'strands'} of {thin} to {thick}.`,
    [mm('thin', 'Thinnest rope', mean[0]!), mm('thick', 'Thickest rope', mean.at(-1)!)],
  );
}

function cordNeed(ropes: readonly ItemOf<'rope'>[]): Need {
  const rope = ropes[0] ? diameterOf(ropes[0]).diameterMm.best : 10;
  return need('cord', 'Nylon, polyester or aramid cord, {thin} to {thick}, long enough for four wraps.', [
    mm('thin', 'Cord, at least', rope * threshold('hitchRatioLow')),
    mm('thick', 'Cord, at most', rope * threshold('hitchRatioHigh')),
  ]);
}

function connectorNeed(device: Device | undefined, ropes: readonly ItemOf<'rope'>[]): Need {
  if (device && seatKind(device) === 'plates' && device.eyeMm !== null) {
    const gap = device.gapMm ?? 0;
    return need(
      'connector',
      `A locking connector, strong enough for this job, with a bar of at most {stock}${gap > 0 ? ' and a sleeve thicker than {gap}' : ''}.`,
      [
        mm('stock', 'Bar, at most', device.eyeMm - threshold('freePlayMm')),
        ...(gap > 0 ? [mm('gap', 'Gap between the plates', gap)] : []),
      ],
    );
  }
  const thickest = ropes.map((r) => diameterOf(r).diameterMm.best).sort((a, b) => b - a)[0];
  if (thickest === undefined) return need('connector', 'A locking connector with a broad end.');
  return need('connector', 'A locking connector with a broad end, inside width at least {width}.', [
    mm('width', 'Inside width, at least', 2 * thickest + threshold('connectorRoomMm')),
  ]);
}
