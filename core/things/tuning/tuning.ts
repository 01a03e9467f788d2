import { trialVerdict, type TrialResult } from './trial.ts';

/** A setting that was tried, and how that went. */
export interface Tried extends TrialResult {
  readonly setting: number;
}

/** What to do next at the rope. */
export type Proposal =
  | { readonly kind: 'try'; readonly setting: number }
  /** One good trial may be luck: the same once more. */
  | { readonly kind: 'confirm'; readonly setting: number }
  | { readonly kind: 'tuned'; readonly setting: number }
  /** The same setting slips and drags, or every setting was tried in vain. */
  | { readonly kind: 'none'; readonly why: 'slips-and-drags' | 'all-tried' | 'too-weak' | 'too-strong' };

/** Good trials of a setting less the others, that make it the tuning. */
const CONFIRMED = 2;

/**
 * The next setting to try, by bisection: what slips asks for more, what drags for less; settings run from 1, which
 * grips least, to `settings`. Trials contradict each other now and then, since a rope is not alike all along: each
 * setting is counted by how many trials speak against it, and the middle one of those with the fewest is tried. After a
 * good trial the same setting once more; with two good ones it is the tuning. A start other than the middle (from other
 * ropes) is taken where nothing was tried yet.
 *
 * @param trials in any order, of one pair in one state. @param settings 2 to 40.
 */
export function nextTrial(trials: readonly Tried[], settings: number, start?: number): Proposal {
  const told = trials.map((t) => ({ setting: t.setting, verdict: trialVerdict(t) }));
  const at = (s: number, verdict: string) => told.filter((t) => t.setting === s && t.verdict === verdict).length;
  const all = Array.from({ length: settings }, (_, i) => i + 1);
  const bad = (s: number) => at(s, 'slips') + at(s, 'drags') + at(s, 'neither');
  const good = all.filter((s) => at(s, 'good') > bad(s));
  const best = good.sort((a, b) => at(b, 'good') - bad(b) - (at(a, 'good') - bad(a)))[0];
  if (best !== undefined)
    return at(best, 'good') - bad(best) >= CONFIRMED
      ? { kind: 'tuned', setting: best }
      : { kind: 'confirm', setting: best };
  if (all.some((s) => at(s, 'neither') > 0)) return { kind: 'none', why: 'slips-and-drags' };

  const tried = told.filter((t) => t.verdict === 'slips' || t.verdict === 'drags');
  if (tried.length === 0) {
    const first = start === undefined ? Math.ceil(settings / 2) : Math.round(start);
    return { kind: 'try', setting: Math.min(settings, Math.max(1, first)) };
  }
  const against = (s: number) => tried.filter((t) => (t.verdict === 'slips' ? s <= t.setting : s >= t.setting)).length;
  if (all.every((s) => bad(s) > 0)) return { kind: 'none', why: 'all-tried' };
  if (at(settings, 'slips') >= CONFIRMED) return { kind: 'none', why: 'too-weak' };
  if (at(1, 'drags') >= CONFIRMED) return { kind: 'none', why: 'too-strong' };
  const fewest = Math.min(...all.map(against));
  const left = all.filter((s) => against(s) === fewest);
  // Where trials contradict each other, what was not tried yet comes first.
  const fresh = left.filter((s) => bad(s) === 0);
  const from = fresh.length > 0 ? fresh : left;
  return { kind: 'try', setting: from[Math.floor((from.length - 1) / 2)]! };
}

/**
 * Trials that a tuning takes at most, with the one that confirms: the halvings of all settings, and two
 * (`practice-tuning`).
 */
export const trialsAtMost = (settings: number): number => Math.ceil(Math.log2(settings)) + 2;
