import { BREACHES, type Procedure, type Step } from './procedure.ts';
import { deviate, type Deviation, type Explored } from './explore.ts';
import { replay, type Breach } from './replay.ts';

/** A deviation that ends in a breach by itself. */
export interface Critical {
  readonly deviation: Deviation;
  /** Place in the order of the step that it concerns. */
  readonly at: number;
  readonly says: string;
  readonly breach: Breach;
  /** Place, in the order, of the step at which the breach comes. */
  readonly breaksAt: number;
  /** Place, in the order, of the first step before which a look shows that something is wrong. */
  readonly seenAt: number;
  /** What that look shows when all is well. */
  readonly look: string;
}

/** A stop-and-look before a step: what must be seen before it is done. */
export interface Pause {
  readonly before: number;
  readonly looks: readonly string[];
}

/** A deviation in words. */
export function deviationText(steps: readonly (Step | null)[], d: Deviation): string {
  const does = (at: number) => lower(steps[at]!.does);
  if (d.kind === 'skip') return `Left out: ${does(d.at)}`;
  if (d.kind === 'swap') return `Swapped: ${does(d.at + 1)} before ${does(d.at)}`;
  return `Done wrong: ${lower(steps[d.at]!.wrongs[d.wrong]!.says)}`;
}
const lower = (text: string) => text.replace(/^./, (c) => c.toLowerCase()).replace(/\.$/, '');

/** Every critical deviation, with the earliest step at which it could be noticed and what one would look at. */
export function criticalOf(procedure: Procedure, steps: readonly (Step | null)[], explored: Explored): Critical[] {
  const right = replay(
    procedure,
    steps.map((step) => ({ step, wrong: null })),
  );
  const sightOf = new Map(procedure.variables.map(({ id, sight }) => [id, sight]));
  const placeOf = new Map(steps.map((step, i) => [step, i]));
  return explored.deviations.flatMap((deviation, index): Critical[] => {
    const outcome = explored.singles[index]!;
    if (outcome.kind !== 'breach') return [];
    const moves = deviate(steps, [deviation]);
    const moments = replay(procedure, moves.slice(0, outcome.at + 1));
    const breach = moments[outcome.at + 1]!.breaches[0]!;
    const place = (k: number) => placeOf.get(moves[k]!.step) ?? k;
    let seen: { at: number; look: string } | null = null;
    for (let k = deviation.at; k <= outcome.at && seen === null; k += 1) {
      const good = right[place(k)]!.state;
      const bad = moments[k]!.state;
      for (const [v, sight] of sightOf) {
        const look = sight[good[v]!];
        if (look !== undefined && good[v] !== bad[v]) {
          seen = { at: place(k), look };
          break;
        }
      }
    }
    const own = steps[deviation.at]!;
    return [
      {
        deviation,
        at: deviation.at,
        says: deviationText(steps, deviation),
        breach,
        breaksAt: place(outcome.at),
        seenAt: seen?.at ?? place(outcome.at),
        look: seen?.look ?? lower(own.see),
      },
    ];
  });
}

/** Where to stop and look, and at what, so that every critical deviation is noticed before it does harm. */
export function pausesOf(critical: readonly Critical[]): Pause[] {
  const looks = new Map<number, Set<string>>();
  for (const { breaksAt, look } of critical) looks.set(breaksAt, (looks.get(breaksAt) ?? new Set()).add(look));
  return [...looks].sort(([a], [b]) => a - b).map(([before, set]) => ({ before, looks: [...set] }));
}

export const breachText = ({ kind, says }: Breach): string => `${BREACHES[kind]}. ${says}`;
