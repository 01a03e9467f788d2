import { assessChoice } from '../assess-choice.ts';
import type { WayTest } from '../connector/index.ts';
import { MUNTER, type Item, type ItemOf } from '../gear/index.ts';
import { blankSetup, type Choice, type Question, type Setup } from '../rig/index.ts';
import type { Combination } from './plan.ts';

export interface TakeInput {
  readonly question: Question;
  readonly combination: Combination;
  readonly items: readonly Item[];
  readonly tests: readonly WayTest[];
  readonly id: string;
  readonly name: string;
  /** ISO 8601. */
  readonly now: string;
}

function find<K extends Item['kind']>(
  items: readonly Item[],
  kind: K,
  id: string | null | undefined,
): ItemOf<K> | null {
  return items.find((i): i is ItemOf<K> => i.kind === kind && i.id === id) ?? null;
}

/** A combination with snapshots of its parts and the findings of this moment. */
export function takeChoice({ question, combination, items, tests, id, name, now }: TakeInput): Choice {
  const { ropeAId, ropeBId, deviceId, connectorId, way, hitch } = combination;
  const choice: Omit<Choice, 'findings'> = {
    id,
    name,
    createdAt: now,
    updatedAt: now,
    question,
    gear: {
      ropeA: find(items, 'rope', ropeAId),
      ropeB: find(items, 'rope', ropeBId),
      device: deviceId === MUNTER.id ? MUNTER : find(items, 'device', deviceId),
      connector: find(items, 'connector', connectorId),
      hitchCord: find(items, 'cord', hitch?.cordId),
    },
    way,
    hitchKind: hitch?.kind ?? 'autoblock',
    hitchWraps: hitch?.wraps ?? 4,
    tests: tests.filter((t) => t.connectorId === connectorId && t.deviceId === deviceId),
    note: '',
  };
  return { ...choice, findings: structuredClone(assessChoice(choice).findings) as Choice['findings'] };
}

/** A doubled rappel becomes a set-up: its parts are chosen, what has to be seen at the rope stays open. */
export function takeSetup(input: TakeInput): Setup {
  const { question, gear, hitchKind, hitchWraps } = takeChoice(input);
  const blank = blankSetup(input.id, input.name, input.now);
  const middle = gear.ropeA?.middle;
  return {
    ...blank,
    situation: { ...blank.situation, anchorHeightM: question.heightM, weather: question.weather },
    people: { ...blank.people, climber: question.climber },
    gear: {
      ...blank.gear,
      ropeA: gear.ropeA,
      ropeB: gear.ropeB,
      device: gear.device,
      deviceConnector: gear.connector,
      hitchCord: gear.hitchCord,
    },
    rig: {
      ...blank.rig,
      ropeUse: gear.ropeB ? 'joined' : 'folded',
      middleMissM: middle === 'marked' || middle === 'bicolour' ? 0.2 : blank.rig.middleMissM,
      hitchKind,
      hitchWraps,
    },
  };
}
