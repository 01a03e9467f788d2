/*
 * From version 10 to 11: trials of a bollard are kept with the device, and a rig in a tree says how its tie-in point was tried and where one goes along a limb. Nothing of
 * it was known before. Plain JSON in and out.
 */
type Json = Record<string, unknown>;
const isObject = (value: unknown): value is Json =>
  value !== null && typeof value === 'object' && !Array.isArray(value);

const TREE = {
  tried: 'unknown',
  overLimb: 'unknown',
  limbOutM: null,
  limbBelowM: null,
  comingBack: 'unknown',
  second: 'unknown',
  saw: 'unknown',
};
const inTree = (template: unknown) => template === 'tree-stationary' || template === 'tree-moving';

/** Anything that holds gear or rigs, brought up wherever it stands in it. */
export function from10To11(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(from10To11);
  if (!isObject(value)) return value;
  const more: Json = value.kind === 'device' && 'family' in value ? { tunings: [], bollardSettings: null } : {};
  const next: Json = {
    ...more,
    ...Object.fromEntries(Object.entries(value).map(([key, x]) => [key, from10To11(x)])),
  };
  return isObject(next.site) && 'template' in next
    ? { ...next, site: { tree: inTree(next.template) ? TREE : null, ...next.site } }
    : next;
}
