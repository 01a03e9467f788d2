import { z } from 'zod';
import {
  choice,
  FAMILY_KEYS,
  measure,
  ROPE_CONSTRUCTIONS,
  MUNTER,
  servesJob,
  traitsOf,
  typicalConnector,
  typicalCord,
  typicalDevice,
  typicalHarness,
  typicalPerson,
  typicalRope,
  typicalSling,
  type Family,
  type Item,
  type Person,
  type Rope,
} from '../gear/index.ts';
import { slotsOf } from '../parts/index.ts';
import { constant } from '../sources/index.ts';
import {
  blankSetup,
  deviceOf,
  TEMPLATE_IDS,
  TEMPLATES,
  withFields,
  withItem,
  type Setup,
  type TemplateId,
} from '../rig/index.ts';

/** All that is asked before the first answer. */
export const quickSchema = z.strictObject({
  template: z.enum(TEMPLATE_IDS),
  diameterMm: measure('diameterMm', 5, 16, 'Thickness of the rope', 'As on its label.'),
  construction: choice(ROPE_CONSTRUCTIONS, 'Kind of rope'),
  family: z.enum(FAMILY_KEYS),
  massKg: measure('massKg', 25, 200, 'You weigh', 'With clothing, gear and rucksack.'),
  brakeHand: choice({ right: 'Right', left: 'Left' }, 'Hand that brakes'),
});
export type QuickQuestion = z.infer<typeof quickSchema>;

/** Families of devices that one could take for this, the ones made for it first. */
export function familiesFor(template: TemplateId): readonly Family[] {
  const { job } = TEMPLATES[template];
  const made = (family: Family) => (traitsOf(family).made.includes(job) ? 0 : 1);
  return FAMILY_KEYS.filter((family) => servesJob(family, job)).sort((a, b) => made(a) - made(b));
}

const assumedToo = <T extends Item>(item: T, more: readonly string[]): T => ({
  ...item,
  assumed: [...item.assumed, ...more],
});

/**
 * A set-up from six answers. Everything else that a rig of this job has is something typical of its kind, marked as such, or not said: it is never clear
 * by itself. Who asks is whoever brakes; who else there is, is somebody of middle mass.
 *
 * @param own id, name and time of the set-up, and fresh ids for its gear.
 */
export function quickSetup(
  question: QuickQuestion,
  own: { readonly id: string; readonly name: string; readonly now: string; readonly newId: () => string },
): Setup {
  const { template, diameterMm, construction, family, massKg, brakeHand } = question;
  const { newId } = own;
  const blank = withFields(blankSetup(template, own), 'site', { anchorHeightM: 0 });
  const main = blank.attachments.find((a) => a.end.kind === 'device');
  const braker = (main && deviceOf(main)?.hand) ?? 'climber';
  const rope = typicalRope(newId(), diameterMm, construction, `Rope of ${diameterMm} mm`);
  const things: Readonly<Record<ReturnType<typeof slotsOf>[number]['kind'], (ref: string) => Item | Person | null>> = {
    person: (ref) => {
      // By what each does, so that sentences about them read as sentences.
      const name = `The ${blank.persons.find((p) => p.id === ref)?.role ?? 'other'}`;
      if (ref === braker) return typicalPerson(newId(), name, { massKg, brakeHand });
      const somebody = typicalPerson(newId(), name, {
        massKg: constant('typicalMassKg').best,
        brakeHand: 'right',
      });
      return { ...somebody, assumed: [...somebody.assumed, 'massKg'] };
    },
    harness: () => assumedToo(typicalHarness(newId()), ['attachment']),
    // Two ropes of a rig are two ropes.
    rope: () => ({ ...rope, id: newId() }),
    device: (ref) => (ref === main?.end.id ? (family === 'munter' ? MUNTER : typicalDevice(newId(), family)) : null),
    connector: () =>
      assumedToo(typicalConnector(newId(), 'A connector', { shape: 'hms', lock: 'screw' }), ['shape', 'lock']),
    sling: () => assumedToo(typicalSling(newId(), 600), ['loopLengthMm']),
    cord: () => assumedToo(typicalCord(newId(), constant('typicalCordMm').best), ['nominalDiameterMm', 'closure']),
  };
  return slotsOf(blank).reduce((setup, slot) => {
    const thing = slot.optional ? null : things[slot.kind](slot.ref);
    return thing ? withItem(setup, slot.ref, thing) : setup;
  }, blank);
}

const LOW_STRETCH_FIRST: ReadonlySet<TemplateId> = new Set([
  'rappel-fixed',
  'ascend',
  'tree-stationary',
  'tree-moving',
  'pick-off',
]);
/** Kinds of rope that this is done on, the usual one first. */
export const constructionsFor = (template: TemplateId): readonly Rope['construction'][] =>
  LOW_STRETCH_FIRST.has(template)
    ? ['low-stretch', 'single', 'half', 'twin', 'other']
    : ['single', 'half', 'twin', 'low-stretch', 'other'];
