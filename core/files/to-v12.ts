/*
 * From version 11 to 12: a tree has several limbs, a bridge, a redirect and what bounced on the line; a link says whether it runs tight; a person
 * the chin and the knee. The limb that was said is the first one. Plain JSON in and out.
 */
type Json = Record<string, unknown>;
const isObject = (value: unknown): value is Json =>
  value !== null && typeof value === 'object' && !Array.isArray(value);

const isPerson = (value: Json): boolean => 'armReachMm' in value && 'kneeRaiseMm' in value;
const isTree = (value: Json): boolean => 'limbOutM' in value && 'limbBelowM' in value;
const isClip = (value: Json): boolean => value.kind === 'clip' && typeof value.to === 'string';

function tree12({ limbOutM, limbBelowM, ...tree }: Json): Json {
  return {
    triedKg: null,
    redirectDeg: null,
    deviceLies: 'unknown',
    bridge: 'unknown',
    eyes: 'unknown',
    limbs: [{ id: 'limb', outM: limbOutM, belowM: limbBelowM, riseDeg: 0 }],
    ...tree,
  };
}

/** Anything that holds people or rigs, brought up wherever it stands in it. */
export function from11To12(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(from11To12);
  if (!isObject(value)) return value;
  const next: Json = Object.fromEntries(Object.entries(value).map(([key, x]) => [key, from11To12(x)]));
  if (isTree(next)) return tree12(next);
  if (isPerson(next)) return { chinAboveTieInMm: null, kneeAboveSolesMm: null, ...next };
  return isClip(next) ? { tight: 'unknown', ...next } : next;
}
