import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  FAMILY_KEYS,
  JOB_KEYS,
  ROPE_CONSTRUCTIONS,
  usualUse,
  type Family,
  type Job,
  type RopeConstruction,
} from '../gear/index.ts';
import { club } from '../../samples/index.ts';
import { ropeInDevice } from './index.ts';

const judged = (
  job: Job,
  construction: RopeConstruction,
  family = club.groovedTube.family,
  strands = usualUse(job).strands,
) =>
  ropeInDevice({
    load: { ...usualUse(job), strands },
    rope: { ...club.longRope, construction },
    part: 'ropeA',
    device: { ...club.groovedTube, family },
  }).find((f) => f.code === 'fit.rope-not-for-job');

describe('kind of rope for the job', () => {
  // EN 892 tests single ropes alone, half ropes one strand at a time but for use in pairs, twin ropes two together; EN
  // 1891 ropes are not tested for a leader's fall. Common practice follows.
  it.each<[Job, RopeConstruction, string | undefined]>([
    ['belay-leader', 'single', undefined],
    ['belay-leader', 'half', 'stop'],
    ['belay-leader', 'twin', 'stop'],
    ['belay-leader', 'low-stretch', 'stop'],
    ['belay-second', 'half', undefined],
    ['belay-second', 'twin', 'stop'],
    ['belay-top-rope', 'low-stretch', undefined],
    // The usual rope there.
    ['self-belay-top-rope', 'low-stretch', undefined],
    ['rappel-single', 'half', 'mind'],
    ['rappel-double', 'twin', undefined],
    ['tree-stationary', 'low-stretch', undefined],
    ['pick-off', 'half', 'stop'],
  ])('%s on one %s rope: %s', (job, construction, severity) =>
    expect(judged(job, construction)?.severity).toBe(severity),
  );
  // EN 892:2012 tests half ropes for use in pairs, and twin ropes as two together.
  it.each<[Job, RopeConstruction, string | undefined]>([
    ['belay-leader', 'half', undefined],
    ['belay-leader', 'twin', undefined],
    ['belay-leader', 'low-stretch', 'stop'],
    // One strand each.
    ['belay-seconds', 'twin', 'stop'],
  ])('%s on two %s ropes in the device: %s', (job, construction, severity) =>
    expect(judged(job, construction, undefined, 'two')?.severity).toBe(severity),
  );
  it('a rope of unknown kind is no pass, also where no maker declares anything', () => {
    const codes = (family: Family) =>
      ropeInDevice({
        load: usualUse('belay-leader'),
        rope: { ...club.longRope, construction: 'other' },
        part: 'ropeA',
        device: { ...club.groovedTube, family },
      }).map((f) => `${f.code} ${f.severity}`);
    expect(codes('munter')).toContain('fit.rope-kind-unknown untested');
    expect(codes('tube-grooved')).toContain('fit.rope-kind-unknown untested');
  });
  it('does not depend on the device, so that a Munter hitch is no way around it', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...JOB_KEYS),
        fc.constantFrom(...(Object.keys(ROPE_CONSTRUCTIONS) as RopeConstruction[])),
        fc.constantFrom(...FAMILY_KEYS),
        (job, construction, family) => {
          expect(judged(job, construction, family)?.severity).toBe(judged(job, construction)?.severity);
        },
      ),
    ));
});
