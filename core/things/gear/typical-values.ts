import { constant, type ConstantId } from '../../foundations/sources/index.ts';
import { TYPICAL, type TypicalKind } from './assumed.ts';

/**
 * What a field of this kind of thing typically is: both ends of a range, or a few words; undefined where nothing is
 * typical.
 */
export function typicalValues(kind: TypicalKind, field: string): readonly (string | number)[] | undefined {
  const all: Readonly<Record<string, ConstantId | readonly (string | number)[]>> = TYPICAL[kind];
  const values = all[field];
  if (typeof values !== 'string') return values;
  const { low, high } = constant(values);
  return [low, high];
}
