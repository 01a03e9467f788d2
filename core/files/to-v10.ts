/*
 * From version 9 to 10: values that are typical of their kind are marked as such. What was entered before was entered as one's own. Plain JSON
 * in and out.
 */
type Json = Record<string, unknown>;
const isObject = (value: unknown): value is Json =>
  value !== null && typeof value === 'object' && !Array.isArray(value);

const GEAR: Readonly<Record<string, string>> = {
  rope: 'construction',
  cord: 'closure',
  sling: 'loopLengthMm',
  connector: 'insideLengthMm',
  device: 'family',
  harness: 'legBuckleTakesLoad',
};
/** A piece of a rig is called a sling or a connector as well: only gear has what it is told by. */
const isGear = ({ kind, ...value }: Json): boolean => typeof kind === 'string' && kind in GEAR && GEAR[kind]! in value;
const isPerson = (value: Json): boolean => 'armReachMm' in value && 'kneeRaiseMm' in value;

/** Anything that holds gear or people, brought up wherever it stands in it. */
export function from9To10(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(from9To10);
  if (!isObject(value)) return value;
  const added = isGear(value) || isPerson(value) ? { assumed: [] } : {};
  return { ...added, ...Object.fromEntries(Object.entries(value).map(([key, x]) => [key, from9To10(x)])) };
}
