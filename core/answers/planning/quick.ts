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
  JOB_FACTS,
} from '../../things/gear/index.ts';
import { slotsOf } from '../../rigs/elements/index.ts';
import { constant } from '../../foundations/sources/index.ts';
import {
  blankSetup,
  deviceOf,
  TEMPLATE_IDS,
  TEMPLATES,
  withFields,
  withItem,
  type Setup,
  type TemplateId,
} from '../../rigs/rig/index.ts';

/**
 * Whose weight is asked, in the words of what each does: of the one who hangs, and of the other one where two matter.
 */
export const MASSES_ASKED = {
  'rappel-double': ['You weigh', null],
  'rappel-single': ['You weigh', null],
  'rappel-fixed': ['You weigh', null],
  lower: ['The person you lower weighs', 'You weigh'],
  'lower-ground': ['The person you lower weighs', 'You weigh'],
  'belay-top-rope': ['The climber weighs', 'The belayer weighs'],
  'belay-leader': ['The leader weighs', 'The belayer weighs'],
  'belay-second': ['The second weighs', 'The belayer weighs'],
  'belay-seconds': ['The heavier second weighs', 'The belayer weighs'],
  ascend: ['You weigh', null],
  'self-belay-top-rope': ['You weigh', null],
  'tree-stationary': ['You weigh', null],
  'tree-moving': ['You weigh', null],
  'tree-rappel': ['You weigh', null],
  'pick-off': ['You weigh', 'The casualty weighs'],
} as const satisfies Record<TemplateId, readonly [hangs: string, other: string | null]>;

/** All that is asked before the first answer. */
const quickFields = z.strictObject({
  template: z.enum(TEMPLATE_IDS),
  diameterMm: measure('diameterMm', 5, 16, 'Thickness of the rope', 'As on its label.'),
  construction: choice(ROPE_CONSTRUCTIONS, 'Kind of rope'),
  family: z.enum(FAMILY_KEYS),
  massKg: measure('massKg', 15, 200, 'You weigh', 'With clothing, gear and rucksack.'),
  otherMassKg: measure('massKg', 15, 200, 'The other one weighs', 'With clothing, gear and rucksack.').nullable(),
  brakeHand: choice({ right: 'Right', left: 'Left' }, 'Hand that brakes'),
});
export const quickSchema = quickFields.superRefine(({ template, otherMassKg }, ctx) => {
  if (MASSES_ASKED[template][1] !== null && otherMassKg === null)
    ctx.addIssue({ code: 'custom', path: ['otherMassKg'], message: 'A value is needed here.' });
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
 * A set-up from six answers. Everything else that a rig of this job has is something typical of its kind, marked as
 * such, or not said: it is never clear by itself. Everybody whose weight decides is asked for; the hand is that of
 * whoever brakes.
 *
 * @param own id, name and time of the set-up, and fresh ids for its gear.
 */
export function quickSetup(
  question: QuickQuestion,
  own: { readonly id: string; readonly name: string; readonly now: string; readonly newId: () => string },
): Setup {
  const { template, diameterMm, construction, family, massKg, otherMassKg, brakeHand } = question;
  const { newId } = own;
  const blank = withFields(blankSetup(template, own), 'site', { anchorHeightM: 0 });
  const main = blank.attachments.find((a) => a.end.kind === 'device');
  const braker = (main && deviceOf(main)?.hand) ?? 'climber';
  const rope = typicalRope(newId(), diameterMm, construction, `Rope of ${diameterMm} mm`);
  const things: Readonly<Record<ReturnType<typeof slotsOf>[number]['kind'], (ref: string) => Item | Person | null>> = {
    person: (ref) => {
      // By what each does, so that sentences about them read as sentences.
      const name = `The ${blank.persons.find((p) => p.id === ref)?.role ?? 'other'}`;
      const hangs = ref === 'climber' || ref === 'second';
      const said = hangs ? massKg : otherMassKg;
      const hand = ref === braker ? brakeHand : 'right';
      if (said !== null) return typicalPerson(newId(), name, { massKg: said, brakeHand: hand });
      const somebody = typicalPerson(newId(), name, { massKg: constant('typicalMassKg').best, brakeHand: hand });
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

/** Kinds of rope that this is done on, the usual one first. */
export const constructionsFor = (template: TemplateId): readonly Rope['construction'][] =>
  JOB_FACTS[TEMPLATES[template].job].usualRope === 'low-stretch'
    ? ['low-stretch', 'single', 'half', 'twin', 'other']
    : ['single', 'half', 'twin', 'low-stretch', 'other'];
