import {
  TUNING_EVENTS,
  type Device,
  type Rope,
  type RopeState,
  type TuningEntry,
  type TuningTrial,
} from '../gear/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { nextTrial, type Proposal } from './tuning.ts';
import type { TunedRope } from './transfer.ts';

/** A rope as it is now, in the words of a trial. */
export const ropeStateOf = ({ measuredDiameterMm, nominalDiameterMm, sheath, stiffness }: Rope): RopeState => ({
  diameterMm: measuredDiameterMm ?? nominalDiameterMm,
  sheath,
  stiffness,
});

export const sameState = (a: RopeState, b: RopeState): boolean =>
  a.sheath === b.sheath &&
  a.stiffness === b.stiffness &&
  Math.abs(a.diameterMm - b.diameterMm) <= threshold('sameRopeMm') + 1e-9;

/** Whether the record of a device says that it is tuned to a rope, as that is now. */
export type TuningState =
  | { readonly kind: 'none' }
  /** No trial of this rope, and something is written down that would have taken a tuning away. */
  | { readonly kind: 'changed'; readonly why: string }
  /** Trials of this rope, and no setting found yet. */
  | { readonly kind: 'begun'; readonly next: Proposal }
  | {
      readonly kind: 'tuned';
      readonly setting: number;
      readonly at: string;
      readonly massKg: number;
      readonly weather: TuningTrial['weather'];
    }
  | { readonly kind: 'stale'; readonly setting: number; readonly why: string };

const byTime = (a: TuningEntry, b: TuningEntry) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0);

/**
 * What takes a tuning to a rope away: something that happened to it or to the bollard, and a trial of another rope, for
 * which the bollard was set anew.
 */
const breaks = (entry: TuningEntry, ropeId: string): boolean =>
  entry.kind === 'event' ? entry.ropeId === null || entry.ropeId === ropeId : entry.ropeId !== ropeId;

/** Trials of this rope since anything took its tuning away, in the state of the newest one, oldest first. */
export function trialsNow({ tunings }: Pick<Device, 'tunings'>, ropeId: string): TuningTrial[] {
  const all = [...tunings].sort(byTime);
  const since = all.slice(all.findLastIndex((t) => breaks(t, ropeId)) + 1);
  const trials = since.flatMap((t) => (t.kind === 'trial' && t.ropeId === ropeId ? [t] : []));
  const last = trials.at(-1);
  return last ? trials.filter((t) => sameState(t.rope, last.rope) && t.weather === last.weather) : [];
}

const settingsOf = ({ bollardSettings, tunings }: Pick<Device, 'tunings' | 'bollardSettings'>): number =>
  bollardSettings ?? Math.max(2, ...tunings.map((t) => (t.kind === 'trial' ? t.setting : 0)));

/**
 * Whether this device is tuned to this rope. Found in trials of this rope, since nothing happened to either of them,
 * and since nothing else was tried: who tunes the bollard to another rope has taken the first tuning away.
 */
export function tuningState(device: Pick<Device, 'tunings' | 'bollardSettings'>, rope: Rope): TuningState {
  const settings = settingsOf(device);
  const trials = trialsNow(device, rope.id);
  const last = trials.at(-1);
  const before = lastTuned(device, rope.id, settings);
  if (!last) {
    const cause = [...device.tunings].sort(byTime).findLast((t) => breaks(t, rope.id));
    if (!cause) return { kind: 'none' };
    const why =
      cause.kind === 'event'
        ? `${TUNING_EVENTS[cause.what].toLowerCase()} since`
        : 'the bollard has since been set for another rope';
    return before === null ? { kind: 'changed', why } : { kind: 'stale', setting: before, why };
  }
  const next = nextTrial(trials, settings);
  if (next.kind !== 'tuned')
    return before === null
      ? { kind: 'begun', next }
      : { kind: 'stale', setting: before, why: 'it is being tuned anew' };
  const { setting } = next;
  if (!sameState(last.rope, ropeStateOf(rope)))
    return { kind: 'stale', setting, why: 'the rope’s diameter, sheath or stiffness was different then' };
  if (last.setting !== setting) return { kind: 'stale', setting, why: 'another setting was tried since' };
  const good = trials.filter((t) => t.setting === setting);
  return { kind: 'tuned', setting, at: last.at, massKg: Math.min(...good.map((t) => t.massKg)), weather: last.weather };
}

/**
 * What to do next at this rope as it is now; a setting that was found and left is tried once more before it counts
 * again.
 */
export function nextAt(
  device: Pick<Device, 'tunings' | 'bollardSettings'>,
  rope: Rope,
  start?: number,
): { readonly next: Proposal; readonly trials: readonly TuningTrial[] } {
  const trials = trialsNow(device, rope.id).filter((t) => sameState(t.rope, ropeStateOf(rope)));
  const next = nextTrial(trials, settingsOf(device), start);
  if (next.kind !== 'tuned' || tuningState(device, rope).kind === 'tuned') return { next, trials };
  return { next: { kind: 'confirm', setting: next.setting }, trials };
}

/** The last setting that was found for a rope, whatever happened since; null where none ever was. */
function lastTuned({ tunings }: Pick<Device, 'tunings'>, ropeId: string, settings: number): number | null {
  let run: TuningTrial[] = [];
  let found: number | null = null;
  for (const entry of [...tunings].sort(byTime)) {
    if (breaks(entry, ropeId)) run = [];
    if (entry.kind === 'event' || entry.ropeId !== ropeId) continue;
    const last = run.at(-1);
    run = last && (!sameState(last.rope, entry.rope) || last.weather !== entry.weather) ? [entry] : [...run, entry];
    const next = nextTrial(run, settings);
    if (next.kind === 'tuned') found = next.setting;
  }
  return found;
}

/** Every rope that this device was tuned to, as it was then, for the setting of another one. */
export function tunedRopes(device: Pick<Device, 'tunings' | 'bollardSettings'>): TunedRope[] {
  const trials = [...device.tunings].sort(byTime).flatMap((t) => (t.kind === 'trial' ? [t] : []));
  const settings = settingsOf(device);
  const runs = new Map<string, TuningTrial[]>();
  for (const t of trials) {
    if (t.weather !== 'dry') continue;
    const key = [t.ropeId, t.rope.sheath, t.rope.stiffness, t.rope.diameterMm].join(' ');
    runs.set(key, [...(runs.get(key) ?? []), t]);
  }
  return [...runs.values()].flatMap((run) => {
    const next = nextTrial(run, settings);
    return next.kind === 'tuned' ? [{ rope: run[0]!.rope, setting: next.setting }] : [];
  });
}
