import {
  finding,
  findingKeys,
  literal,
  worse,
  type Finding,
  type ElementId,
  type Severity,
} from '../../foundations/finding/index.ts';
import {
  assumedIn,
  fieldMeta,
  ITEM_SCHEMAS,
  personSchema,
  type Assumed,
  type Item,
  type Person,
} from '../../things/gear/index.ts';
import { slotsOf } from '../../rigs/elements/index.ts';
import { withItem, type Setup } from '../../rigs/rig/index.ts';
import type { Steps } from './steps.ts';

/** A value of something in a rig that is typical of its kind, and was not measured at it. */
export interface AssumedInRig extends Assumed {
  readonly ref: ElementId;
  readonly thing: Item | Person;
  /** As the form calls it. */
  readonly label: string;
}

/** How a form calls a field of a piece of gear or of a person. */
export function labelOf(thing: Item | Person, field: string): string {
  const shape = 'kind' in thing ? ITEM_SCHEMAS[thing.kind].shape : personSchema.shape;
  const schema = (shape as Readonly<Record<string, Parameters<typeof fieldMeta>[0]>>)[field];
  return (schema && fieldMeta(schema)?.label) ?? field;
}

/** Every such value of a set-up; where one thing stands at several places, at each of them. */
export const assumedInRig = (setup: Setup): readonly AssumedInRig[] =>
  slotsOf(setup).flatMap(({ ref, item }) =>
    item ? assumedIn(item).map((a) => ({ ...a, ref, thing: item, label: labelOf(item, a.field) })) : [],
  );

/** The set-up with one of its typical values at something else that is as typical. */
export const withAssumed = (setup: Setup, { ref, thing, field }: AssumedInRig, value: string | number): Setup =>
  withItem(setup, ref, { ...thing, [field]: value });

/** One finding for each thing of which something is only typical: never a pass, whatever follows from the values. */
function told(assumed: readonly AssumedInRig[]): Finding[] {
  return [...new Set(assumed.map((a) => a.ref))].map((ref) => {
    const fields = assumed.filter((a) => a.ref === ref);
    const { thing } = fields[0]!;
    const names = fields.map((f) => f.label.toLowerCase());
    return finding({
      code: 'item.typical',
      severity: 'untested',
      subject: [ref],
      says: `${literal(thing.name)}: some values are the usual ones for its kind, not yours.`,
      because: `Usual values were used for ${names.join(', ')}.`,
      remedy: 'Measure yours, or read it off, and enter it. What depends on it says so.',
    });
  });
}

/**
 * `least` is the mildest that it is judged with any of the values: so much is certain, and only what is no fault there
 * is not known.
 */
const hanging = (f: Finding, on: ReadonlySet<string>, least: Severity): Finding => ({
  ...f,
  severity: least === 'clear' ? 'untested' : least,
  says: `This depends on typical values (${[...on].map((x) => x.toLowerCase()).join(', ')}): ${f.says}`,
});

/**
 * What was found, seen in the light of values that are only typical: each of them is taken to both ends of its range,
 * or to what it could as well be, one at a time, and whatever is judged otherwise there is known only as far as all of
 * them agree. So a typical length neither clears anything nor cries wolf. Several at once are not tried: the finding
 * about the thing itself keeps the whole from being clear.
 *
 * @param judge what the engine finds in a set-up, without this.
 */
export function* inTheLightOfTypical(
  setup: Setup,
  found: readonly Finding[],
  judge: (s: Setup) => Steps<Finding[]>,
): Steps<Finding[]> {
  const assumed = assumedInRig(setup);
  if (assumed.length === 0) return [...found];
  const keys = findingKeys(found);
  const now = new Map<string, Severity>(keys.map((key, i) => [key, found[i]!.severity]));
  const mildest = new Map<string, Severity>(now);
  const on = new Map<string, Set<string>>();
  const elsewhere = new Map<string, Finding>();
  const hangs = (key: string, label: string) => on.set(key, (on.get(key) ?? new Set()).add(label));
  for (const a of assumed)
    for (const other of a.others) {
      const there = yield* judge(withAssumed(setup, a, other));
      const theirs = new Map(findingKeys(there).map((key, i) => [key, there[i]!]));
      for (const [key, severity] of now) {
        const other = theirs.get(key)?.severity;
        if (other === severity) continue;
        hangs(key, a.label);
        const known = mildest.get(key)!;
        mildest.set(key, other === undefined ? 'clear' : worse(known, other) === known ? other : known);
      }
      for (const [key, f] of theirs)
        if (!now.has(key) && f.severity !== 'clear') {
          hangs(key, a.label);
          if (!elsewhere.has(key)) elsewhere.set(key, f);
        }
    }
  return [
    ...found.map((f, i) => (on.has(keys[i]!) ? hanging(f, on.get(keys[i]!)!, mildest.get(keys[i]!)!) : f)),
    ...[...elsewhere].map(([key, f]) => hanging(f, on.get(key)!, 'clear')),
    ...told(assumed),
  ];
}
