import { fieldsOf, wellRigged, type Setup } from '@core/rigs/rig';
import { agedWords, isAbout } from '@core/records/log';
import { slotsOf } from '@core/rigs/elements';
import type { Workspace } from '@core/records/files';
import { named } from '../../../ui/named';

/** The work order, in the words that are used everywhere. */
export const STAGES = {
  take: 'Take',
  rig: 'Rig',
  check: 'Check',
  use: 'Use',
  log: 'Log',
} as const;
export type Stage = keyof typeof STAGES;
export const STAGE_IDS = Object.keys(STAGES) as Stage[];

/** Places of a rig where nothing is chosen yet. */
export const notTaken = (setup: Setup): number => slotsOf(setup).filter((s) => s.item === null && !s.optional).length;

/** Facts of the rig that are seen at the rope, and that nobody has said: what a plan takes as it is meant to be. */
export function countUnobserved(setup: Setup): number {
  const meant = new Map(fieldsOf(wellRigged(setup)).map((f) => [f.path, f.now]));
  return fieldsOf(setup).filter((f) => f.now === f.open && meant.get(f.path) !== f.now).length;
}

export interface WayThrough {
  /** What is behind one. */
  readonly done: ReadonlySet<Stage>;
  /** The first that is not; null when all of it is done. */
  readonly next: Stage | null;
  /** What is to do there, a sentence. */
  readonly says: string;
}

/**
 * How far somebody is with a set-up: what to take, rig it, check it, use it, log it. A check counts until the set-up is
 * changed; orders of steps that are under way say that it is in use.
 *
 * @param stops findings that are a *Stop* now: with one of them nothing is rigged as it should be.
 */
export function wayThrough(
  setup: Setup,
  { checks, uses, sequences }: Pick<Workspace, 'checks' | 'uses' | 'sequences'>,
  stops: number,
): WayThrough {
  const [missing, unsaid] = [notTaken(setup), countUnobserved(setup)];
  const complete = checks
    .filter((c) => c.setup.id === setup.id && c.outcome === 'complete')
    .sort((a, b) => (a.endedAt! < b.endedAt! ? -1 : 1));
  const checked = complete.findLast((c) => isAbout(c, setup))?.endedAt ?? undefined;
  const last = complete.at(-1);
  const logged = checked !== undefined && uses.some((u) => u.setupId === setup.id && u.at >= checked);
  const running = sequences.some((s) => s.name === named(`Steps: ${setup.name}`) && s.at !== null);
  const done = new Set<Stage>([
    ...(missing === 0 ? (['take'] as const) : []),
    // A check looked at more than the form asks.
    ...(missing === 0 && stops === 0 && (unsaid === 0 || checked !== undefined) ? (['rig'] as const) : []),
    ...(checked ? (['check'] as const) : []),
    ...(logged ? (['use', 'log'] as const) : []),
  ]);
  const next = STAGE_IDS.find((id) => !done.has(id)) ?? null;
  const aged = last && checked === undefined ? agedWords(last, setup) : '';
  const things = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;
  const says = {
    take: `${things(missing, 'place is', 'places are')} empty.`,
    rig:
      stops > 0
        ? `${things(stops, 'thing is', 'things are')} to be put right first.`
        : `${aged && `${aged} `}${things(unsaid, 'fact', 'facts')} about the rig ${unsaid === 1 ? 'is' : 'are'} not said: what is not seen at the desk is said at the rope.`,
    check: aged || 'Nobody has checked it yet.',
    use: running ? 'The steps are under way.' : 'Checked. Go step by step, or log it when you are back.',
    log: 'Write down how it went.',
  } as const;
  return { done, next, says: next ? says[next] : 'Logged. Before the next use it is checked again.' };
}
