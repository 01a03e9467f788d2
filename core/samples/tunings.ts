import type { RopeState, TuningEntry, TuningTrial } from '../things/gear/index.ts';

/*
 * How the club tuned its bollard: made up, for the demo.
 */

const trial = (n: number, ropeId: string, rope: RopeState, part: Partial<TuningTrial>): TuningTrial => ({
  kind: 'trial',
  id: `tuning-${n}`,
  ropeId,
  rope,
  setting: 4,
  weather: 'dry',
  massKg: 92,
  creepMm: 0,
  bounceMm: 30,
  handForceN: 80,
  dragN: 25,
  releases: 'yes',
  at: `2026-08-${String(10 + n).padStart(2, '0')}T16:00:00.000Z`,
  note: '',
  ...part,
});

const parmelia: RopeState = { diameterMm: 10.5, sheath: 'fuzzy', stiffness: 'usual' };
const slipped = { handForceN: null, dragN: null, releases: 'unknown' } as const;

export const boughTunings: readonly TuningEntry[] = [
  trial(1, 'rope-parmelia', parmelia, { setting: 4, creepMm: 15, bounceMm: null, ...slipped }),
  trial(2, 'rope-parmelia', parmelia, { setting: 6, handForceN: 150, dragN: null, releases: 'unknown' }),
  trial(3, 'rope-parmelia', parmelia, { setting: 5 }),
  {
    kind: 'event',
    id: 'tuning-washed',
    ropeId: 'rope-parmelia',
    what: 'washed',
    at: '2026-08-15T09:00:00.000Z',
    note: '',
  },
  trial(8, 'rope-parmelia', parmelia, { setting: 4, creepMm: 3, bounceMm: 50, ...slipped }),
  trial(9, 'rope-parmelia', parmelia, { setting: 5, creepMm: 3 }),
  trial(10, 'rope-parmelia', parmelia, { setting: 5 }),
];
