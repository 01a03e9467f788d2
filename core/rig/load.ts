import { JOB_FACTS, usualUse, type Job, type LoadCase, type UseCase } from '../gear/index.ts';
import type { Attachment } from './elements.ts';
import { hangingBy, heaviest, strandsIn, type RigIndex } from './rig.ts';

/** What the device or hitch of an attachment is used for. */
export const jobOf = ({ setup }: RigIndex, a: Attachment): Job => a.job ?? setup.job;

/** What fit asks about the place of a device in this rig. */
export function useOf(index: RigIndex, a: Attachment): UseCase {
  const job = jobOf(index, a);
  const strands = a.end.kind === 'device' || a.end.kind === 'hitch' ? strandsIn(a.end) : 'one';
  return { ...usualUse(job), strands, hangsOn: a.root.kind === 'anchor' ? 'anchor' : 'harness' };
}

/** How far the brake strand is bent away from the loaded strand, rad. On a harness the hand pulls down, the load up. */
export const brakeAngleOf = (a: Attachment): number =>
  a.root.kind === 'anchor' && a.end.kind === 'device' && a.end.brakeLed !== 'redirected' ? 0 : Math.PI;

/**
 * What an attachment must carry and how it is pulled, from the rig itself; null while nobody who could hang on it is chosen. A brake strand
 * at an anchor of which nothing is said is reckoned as led straight down, the weaker way.
 */
export function loadOf(index: RigIndex, a: Attachment): LoadCase | null {
  const person = heaviest(hangingBy(index, a));
  if (!person) return null;
  const job = jobOf(index, a);
  return {
    ...useOf(index, a),
    massKg: person.massKg,
    fallFactor: JOB_FACTS[job].fallFactor,
    brakeAngleRad: brakeAngleOf(a),
    ropeBelow: JOB_FACTS[job].ropeBelow,
  };
}
