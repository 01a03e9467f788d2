import type { BreachKind, Condition, Lane, Procedure, State, Step, Wrong } from './procedure.ts';

/**
 * One line of an order: a step of the procedure, done right or in a known wrong way; null: a step of one's own that
 * changes nothing.
 */
export interface Move {
  readonly step: Step | null;
  readonly wrong: Wrong | null;
}

export interface Breach {
  readonly kind: BreachKind;
  /** Id of the invariant, or of the attachment concerned; '' for none. */
  readonly about: string;
  readonly says: string;
}

export interface Moment {
  readonly state: State;
  /** Attachments that hold, and those of them that are locked and tested. */
  readonly holding: readonly string[];
  readonly counting: readonly string[];
  readonly breaches: readonly Breach[];
  /** Why the step could not be done, or showed by itself that something is wrong; '' when it went through. */
  readonly stuck: string;
}

export const meets = (state: State, { v, is, not }: Condition): boolean =>
  (is === undefined || is.includes(state[v]!)) && (not === undefined || !not.includes(state[v]!));
const meetsAll = (state: State, list: readonly Condition[]): boolean => list.every((c) => meets(state, c));

export const startState = ({ variables }: Procedure): State =>
  Object.fromEntries(variables.map(({ id, start }) => [id, start]));

export const laneHolds = (state: State, { id, holds }: Lane): boolean =>
  state[`${id}.on`] === 'yes' && holds.some((list) => meetsAll(state, list));
const laneCounts = (state: State, lane: Lane): boolean =>
  laneHolds(state, lane) &&
  (!lane.locks || state[`${lane.id}.locked`] === 'yes') &&
  state[`${lane.id}.tested`] === 'yes';

/** What is wrong with a state, worst first; `promised` is the number of things that must hold. */
export function breachesIn(procedure: Procedure, state: State, promised: number): Breach[] {
  const { lanes, invariants } = procedure;
  const breaches: Breach[] = [];
  const up = state.where === 'up';
  const holding = lanes.filter((lane) => laneHolds(state, lane));
  if (up) {
    const carrying = lanes.find((l) => l.id === state.weight);
    if (carrying && !holding.includes(carrying)) {
      breaches.push(
        holding.length > 0
          ? {
              kind: 'drop',
              about: carrying.id,
              says: `The ${name(carrying)} gives way; you drop onto the ${name(holding[0]!)}.`,
            }
          : { kind: 'fall', about: carrying.id, says: `The ${name(carrying)} gives way and nothing else holds.` },
      );
    } else if (holding.length === 0) {
      breaches.push({ kind: 'unattached', about: '', says: 'You stand there with nothing that holds you.' });
    } else {
      const counting = lanes.filter((lane) => laneCounts(state, lane));
      if (counting.length < promised) {
        const doubtful = lanes.filter((l) => state[`${l.id}.on`] === 'yes' && !counting.includes(l));
        breaches.push({ kind: 'untested', about: '', says: tooFew(state, promised, counting, doubtful, holding) });
      }
    }
  }
  for (const { id, kind, says, when } of invariants) {
    if (meetsAll(state, when)) breaches.push({ kind, about: id, says });
  }
  return breaches.sort((a, b) => KINDS.indexOf(a.kind) - KINDS.indexOf(b.kind));
}
const KINDS: readonly BreachKind[] = ['fall', 'unattached', 'untested', 'drop', 'stranded', 'dropped'];
const name = ({ label }: Lane) => label.toLowerCase();

function tooFew(
  state: State,
  promised: number,
  counting: readonly Lane[],
  doubtful: readonly Lane[],
  holding: readonly Lane[],
): string {
  const why = doubtful.map((l) =>
    !holding.includes(l)
      ? `the ${name(l)} would not hold`
      : l.locks && state[`${l.id}.locked`] !== 'yes'
        ? `the ${name(l)} is not locked`
        : `the ${name(l)} was not tested`,
  );
  const have =
    counting.length === 0 ? 'Nothing that counts holds you' : `Only the ${counting.map(name).join(' and the ')} counts`;
  return `${have}${promised > 1 ? `, where ${promised} are promised` : ''}${why.length > 0 ? `: ${why.join('; ')}` : ''}.`;
}

const momentOf = (procedure: Procedure, state: State, promised: number, stuck: string): Moment => ({
  state,
  holding: procedure.lanes.filter((l) => laneHolds(state, l)).map((l) => l.id),
  counting: procedure.lanes.filter((l) => laneCounts(state, l)).map((l) => l.id),
  breaches: breachesIn(procedure, state, promised),
  stuck,
});

/** Does one move in one state. A step that tests shows a bad attachment as long as something else that counts holds. */
function doMove(procedure: Procedure, state: State, { step, wrong }: Move): { state: State; stuck: string } {
  if (!step) return { state, stuck: '' };
  const missing = step.can.find((c) => !meets(state, c));
  if (missing) return { state, stuck: whyNot(procedure, missing) };
  const effects = wrong ? wrong.sets : step.sets;
  const next: Record<string, string> = { ...state };
  for (const { v, to, when } of effects) if (meetsAll(state, when)) next[v] = to;
  if (step.tests !== null && !wrong) {
    const lane = procedure.lanes.find((l) => l.id === step.tests)!;
    const caught = next.where !== 'up' || procedure.lanes.some((l) => l.id !== lane.id && laneCounts(next, l));
    if (!laneHolds(next, lane) && caught)
      return { state, stuck: `The ${name(lane)} does not hold: it shows while no harm comes of it.` };
    if (laneHolds(next, lane)) next[`${lane.id}.tested`] = 'yes';
    next.weight = step.carries ?? lane.id;
  }
  return { state: next, stuck: '' };
}

const whyNot = ({ variables }: Procedure, { v, is, not }: Condition): string => {
  const sight = variables.find((x) => x.id === v)?.sight ?? {};
  const wanted = is?.map((value) => sight[value]).find(Boolean);
  const unwanted = not?.map((value) => sight[value]).find(Boolean);
  if (wanted) return `It cannot be done before ${wanted}.`;
  return unwanted ? `It cannot be done while ${unwanted}.` : 'It cannot be done here.';
};

/**
 * Walks an order of moves from the start. The first moment is the start, then one for each move. After a step that
 * could not be done the world stays as it was. The promise of Stops rises with the steps that promise more, and only
 * while they were done.
 */
export function replay(procedure: Procedure, moves: readonly Move[]): Moment[] {
  let state = startState(procedure);
  let promised = procedure.mustHold;
  const moments = [momentOf(procedure, state, promised, '')];
  for (const move of moves) {
    const done = doMove(procedure, state, move);
    state = done.state;
    if (move.step && !done.stuck) promised = move.step.mustHold ?? promised;
    moments.push(momentOf(procedure, state, promised, done.stuck));
  }
  return moments;
}
