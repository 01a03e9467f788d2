import { wantsHitch } from '../assess-choice.ts';
import { seatKind } from '../connector/index.ts';
import type { FindingNumber } from '../finding/index.ts';
import { diameterOf, JOB_FACTS, JOBS, servesJob, type Device, type Item, type ItemOf } from '../gear/index.ts';
import type { Question } from '../rig/index.ts';
import { threshold } from '../sources/index.ts';
import { exactly } from '../units/index.ts';
import type { PlanResult } from './plan.ts';

/** Something the locker lacks for a plan, named by what it must be able to do and never as a product; a template over `numbers`. */
export interface PlanNeed {
  readonly what: 'rope' | 'device' | 'connector' | 'cord';
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

/** What is missing: kinds of item that are not there at all, and what speaks against every combination. */
export function planNeeds(question: Question, items: readonly Item[], result: PlanResult): PlanNeed[] {
  const { job, heightM } = question;
  const facts = JOB_FACTS[job];
  const needs: PlanNeed[] = [];
  const ropes = ofKind(items, 'rope');
  const devices = ofKind(items, 'device');
  const connectors = ofKind(items, 'connector');
  const stopped = result.combinations.length === 0;
  const everywhere = (codes: readonly string[]) =>
    stopped && result.rejected.length > 0 && result.rejected.every((c) => c.worst && codes.includes(c.worst.code));

  const two = facts.persons === 'two' && facts.strands === 'two';
  if (ropes.length < (two ? 2 : 1) || everywhere(['geometry.rope-too-short'])) {
    needs.push({
      what: 'rope',
      says: `${two ? 'Two ropes' : 'A rope'} of at least {length}, knots taken off.`,
      numbers: [
        {
          key: 'length',
          label: 'Length, at least',
          quantity: 'lengthM',
          value: exactly(facts.ropePerHeight * heightM + threshold('ropeEndMarginM')),
        },
      ],
    });
  }
  const made = devices.filter((d) => servesJob(d.family, job));
  if (made.length === 0 && ropes.length > 0) {
    const mean = [...ropes].map((r) => diameterOf(r).diameterMm.best).sort((a, b) => a - b);
    needs.push({
      what: 'device',
      says: `A device made for this job (${JOBS[job].toLowerCase()}), declared for ${facts.strands} ${facts.strands === 'one' ? 'strand' : 'strands'} of {thin} to {thick}.`,
      numbers: [mm('thin', 'Thinnest rope', mean[0]!), mm('thick', 'Thickest rope', mean.at(-1)!)],
    });
  }
  if (connectors.length === 0 || (stopped && made.length > 0 && connectorStops(result))) {
    needs.push(connectorNeed(made[0], ropes));
  }
  const hitched = made.filter((d) => wantsHitch(job, d));
  if (hitched.length > 0) {
    if (ofKind(items, 'cord').length === 0) {
      const rope = ropes[0] ? diameterOf(ropes[0]).diameterMm.best : 10;
      needs.push({
        what: 'cord',
        says: 'A cord of {thin} to {thick} that does not melt easily, for the hitch.',
        numbers: [
          mm('thin', 'Cord, at least', rope * threshold('hitchRatioLow')),
          mm('thick', 'Cord, at most', rope * threshold('hitchRatioHigh')),
        ],
      });
    }
    if (connectors.length === 1) {
      needs.push({ what: 'connector', says: 'A locking connector of its own for the hitch.', numbers: [] });
    }
  }
  return needs;
}

const connectorStops = ({ rejected }: PlanResult) =>
  rejected.some((c) => c.worst?.code.startsWith('connector.') && c.cost[0] > 0);

function connectorNeed(device: Device | undefined, ropes: readonly ItemOf<'rope'>[]): PlanNeed {
  if (device && seatKind(device) === 'plates' && device.eyeMm !== null) {
    const gap = device.gapMm ?? 0;
    return {
      what: 'connector',
      says: `A locking connector, strong enough for this job, with stock of at most {stock}${gap > 0 ? ' and a sleeve thicker than {gap}' : ''}.`,
      numbers: [
        mm('stock', 'Stock, at most', device.eyeMm - threshold('freePlayMm')),
        ...(gap > 0 ? [mm('gap', 'Gap between the plates', gap)] : []),
      ],
    };
  }
  const thickest = ropes.map((r) => diameterOf(r).diameterMm.best).sort((a, b) => b - a)[0];
  if (thickest === undefined) return { what: 'connector', says: 'A locking connector with a broad end.', numbers: [] };
  return {
    what: 'connector',
    says: 'A locking connector with a broad end, inside width at least {width}.',
    numbers: [mm('width', 'Inside width, at least', 2 * thickest + threshold('connectorRoomMm'))],
  };
}
