import type { ElementId } from '../../foundations/finding/index.ts';
import { inGuideMode } from '../../things/fit/index.ts';
import { brakeFigures, type BrakeFigures, type BrakeHandInput } from '../../things/friction/index.ts';
import { JOB_FACTS, type LoadCase, type UseCase } from '../../things/gear/index.ts';
import {
  extensionMm,
  hitchClearance,
  hitchReach,
  ropeBudget,
  type Clearance,
  type ClearanceInput,
  type HitchReach,
  type RopeBudget,
  type RopeBudgetInput,
} from '../../things/geometry/index.ts';
import {
  besideConnector,
  brakerOf,
  descentOf,
  deviceOf,
  hitchOf,
  indexOf,
  linesOf,
  loadOf,
  mainConnector,
  onSmoothSide,
  ropeIdsOf,
  ropesIn,
  ropesOf,
  slingOf,
  strandsIn,
  useOf,
  type Attachment,
  type RigIndex,
  type RigLine,
  type Ropes,
  type Setup,
} from '../rig/index.ts';
import { constant } from '../../foundations/sources/index.ts';
import { exactly, type Interval } from '../../foundations/units/index.ts';

/**
 * A set-up as the judges see it: its index, and the figures that several of them share, each computed once and only
 * when asked for. Every figure is null while a part it needs is not chosen.
 */
export interface Context {
  readonly setup: Setup;
  readonly index: RigIndex;
  readonly descentM: number;
  readonly attachment: (id: ElementId) => Attachment;
  readonly line: (id: ElementId) => RigLine;
  readonly use: (a: Attachment) => UseCase;
  readonly load: (a: Attachment) => LoadCase | null;
  readonly ropes: (a: Attachment) => Ropes | null;
  /** From the harness to the bar that the device hangs on, mm. */
  readonly extensionMm: (a: Attachment) => Interval | null;
  readonly reach: (hitch: Attachment) => HitchReach | null;
  /** The device above a hitch on the same line, worn by the same person. */
  readonly deviceAbove: (hitch: Attachment) => Attachment | null;
  readonly clearanceInput: (hitch: Attachment) => ClearanceInput | null;
  readonly clearance: (hitch: Attachment) => Clearance | null;
  readonly budgetInput: (line: RigLine) => RopeBudgetInput | null;
  readonly budget: (line: RigLine) => RopeBudget | null;
  readonly brakeInput: (a: Attachment) => Omit<BrakeHandInput, 'backupStands'> | null;
  readonly brake: (a: Attachment) => BrakeFigures | null;
}

/** Computes once for each key, and keeps null as an answer. */
function once<K, V>(make: (key: K) => V): (key: K) => V {
  const known = new Map<K, V>();
  return (key) => {
    if (!known.has(key)) known.set(key, make(key));
    return known.get(key)!;
  };
}

export function contextOf(setup: Setup): Context {
  const index = indexOf(setup);
  const descentM = descentOf(setup.site);
  const attachment = (id: ElementId) => {
    const found = index.attachment(id);
    if (!found) throw new Error(`no attachment ${id}`);
    return found;
  };
  const line = (id: ElementId) => {
    const found = index.line(id);
    if (!found) throw new Error(`no line ${id}`);
    return found;
  };
  const load = once((a: Attachment) => loadOf(index, a));
  const extension = once((a: Attachment): Interval | null => {
    const [sling, connector] = [slingOf(a), mainConnector(a)];
    // Without a sling the device hangs on its connector, close to the harness.
    if (!sling && connector?.item && a.root.kind === 'harness') return exactly(connector.item.insideLengthMm);
    if (sling?.kind !== 'sling' || !sling.item || !connector?.item) return null;
    const { item, method, knots, measuredMm } = sling;
    return extensionMm({ sling: item, connector: connector.item, method, knots, measuredMm });
  });
  const reach = once((a: Attachment): HitchReach | null => {
    const [hitch, connector, ropes] = [hitchOf(a), mainConnector(a), ropesIn(index, a.end)];
    if (!hitch?.item || !connector?.item || !ropes) return null;
    return hitchReach({
      cord: hitch.item,
      ...ropes,
      strands: strandsIn(hitch),
      kind: hitch.hitch,
      wraps: hitch.wraps,
      connectorInsideLengthMm: connector.item.insideLengthMm,
    });
  });
  const deviceAbove = (a: Attachment): Attachment | null => {
    for (const l of linesOf(index, a.end)) {
      const order = index.along(l.id);
      const above = order.slice(0, order.indexOf(a)).findLast((other) => deviceOf(other) !== null);
      if (above) return above;
    }
    return null;
  };
  const clearanceInput = once((a: Attachment): ClearanceInput | null => {
    const above = deviceAbove(a);
    const [hitch, connector] = [hitchOf(a), mainConnector(a)];
    const length = above ? extension(above) : null;
    const wearer = a.root.kind === 'harness' ? index.person(a.root.person)?.item : null;
    if (!length || !wearer || !hitch?.item || !connector?.item || !ropesIn(index, a.end)) return null;
    const attachedTo = a.root.kind === 'harness' && a.root.point === 'leg-loop' ? 'leg-loop' : 'belay-loop';
    return { climber: wearer, attachedTo, extensionMm: length, reach: reach(a) };
  });
  const budgetInput = (l: RigLine): RopeBudgetInput | null => {
    const ropes = l.kind === 'doubled' ? ropesOf(l) : null;
    if (l.kind !== 'doubled' || !ropes || descentM <= 0) return null;
    return {
      ...ropes,
      middleMissM: l.middleMissM,
      ends: l.ends.state,
      descentM,
      endsAt: setup.site.stanceHeightM > 0 ? 'ledge' : 'ground',
    };
  };
  const brakeInput = once((a: Attachment): Omit<BrakeHandInput, 'backupStands'> | null => {
    const end = deviceOf(a);
    const braker = end ? brakerOf(index, end)?.item : null;
    const [ropes, carried] = [ropesIn(index, a.end), load(a)];
    if (!end?.item || !braker || !ropes || !carried || descentM <= 0 || !brakes(a, carried)) return null;
    const onLine = linesOf(index, end)[0]!;
    const lowers = a.root.kind === 'anchor';
    return {
      climber: braker,
      device: end.item,
      smoothSide: onSmoothSide(end),
      extraConnector: besideConnector(a) !== null,
      behindConnector: end.brakeThrough === 'connector' && a.root.kind === 'harness',
      ...ropes,
      strands: strandsIn(end),
      weather: setup.site.weather,
      descentM,
      massKg: carried.massKg * (carried.persons === 'two' ? 2 : 1),
      brakeAngleRad: carried.brakeAngleRad,
      rope: carried.ropeBelow ? 'below' : lowers ? 'load' : 'none',
      ...(onLine.kind === 'over' && !lowers ? { overAnchor: constant('runnerRatio') } : {}),
    };
  });
  const brake = once((a: Attachment): BrakeFigures | null => {
    const input = brakeInput(a);
    return input ? brakeFigures({ ...input, backupStands: false }) : null;
  });
  return {
    setup,
    index,
    descentM,
    attachment,
    line,
    use: (a) => useOf(index, a),
    load,
    ropes: (a) => ropesIn(index, a.end),
    extensionMm: extension,
    reach,
    deviceAbove,
    clearanceInput,
    clearance: (a) => {
      const input = clearanceInput(a);
      return input ? hitchClearance(input) : null;
    },
    budgetInput,
    budget: (l) => {
      const input = budgetInput(l);
      return input ? ropeBudget(input) : null;
    },
    brakeInput,
    brake,
  };
}

/**
 * Parts that the load of an attachment depends on: where somebody can fall, or slack comes in, the rope and where it
 * slips.
 */
export const loadParts = ({ index, use }: Context, a: Attachment): ElementId[] =>
  JOB_FACTS[use(a).use].fallFactor === null ? [] : [a.end.id, ...ropeIdsOf(index, a.end)];

/**
 * A hand brakes here: not a device that holds by itself, and not the catch of a fall, which is another matter than
 * holding.
 */
export function brakes(a: Attachment, use: UseCase): boolean {
  const end = deviceOf(a);
  return Boolean(end?.item && end.hand !== null && !use.fall && !inGuideMode(end.item, use.use));
}
