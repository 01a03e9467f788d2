import type { ThreadingMode } from '@core/things/fit';
import type { Device } from '@core/things/gear';
import type { ProcedureId } from '@core/answers/procedures';

interface Threaded {
  readonly family: Device['family'];
  readonly mode: ThreadingMode;
  readonly hand: 'right' | 'left';
}

/** The device that each procedure is written for. */
const FAMILY: Partial<Record<ProcedureId, readonly [Device['family'], ThreadingMode]>> = {
  'doubled-rappel': ['tube-grooved', 'brakes'],
  'hitch-first': ['tube-grooved', 'brakes'],
  'single-rappel': ['tube-grooved', 'brakes'],
  'lower-ground': ['tube-grooved', 'brakes'],
  'leader-ground': ['tube-grooved', 'brakes'],
  'second-up': ['guide-plate', 'guides'],
  'two-seconds': ['guide-plate', 'guides'],
  'leader-stance': ['tube-grooved', 'brakes'],
  eight: ['plain-eight', 'brakes'],
  'tree-walk': ['multi-ascender', 'brakes'],
};
const THREADS = /^(device-thread$|thread-|plate-thread$)/;

/** What is drawn beside a step in which a rope is put into a device; null: no such step. */
export function threadedIn(procedure: ProcedureId, stepId: string): Threaded | null {
  const known = FAMILY[procedure];
  if (!known || !THREADS.test(stepId)) return null;
  return { family: known[0], mode: known[1], hand: stepId.endsWith('-left') ? 'left' : 'right' };
}
