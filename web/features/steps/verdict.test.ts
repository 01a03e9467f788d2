import { describe, expect, it } from 'vitest';
import { lowSpanFromMemory, wallAnchor } from '@core/samples';
import { newSequence, PROCEDURE_IDS } from '@core/sequence';
import { troubles, walk } from './verdict';

describe('troubles of an order', () => {
  it('none for what is shipped', () => {
    for (const id of PROCEDURE_IDS) expect(troubles(walk(newSequence(id, 'x', '')))).toEqual([]);
    expect(troubles(walk(wallAnchor))).toEqual([]);
  });
  it('each at its step, in the order of the steps, and named once', () => {
    const found = troubles(walk(lowSpanFromMemory));
    const step = (at: number) => lowSpanFromMemory.steps[at]!.id;
    expect(found.map((t) => step(t.at))).toEqual(['lanyard-off', 'go']);
    expect(new Set(found.map((t) => t.says)).size).toBe(found.length);
  });
  it('a step that cannot be done where it stands', () => {
    const early = { ...wallAnchor, steps: [wallAnchor.steps[1]!, ...wallAnchor.steps.filter((_, i) => i !== 1)] };
    expect(troubles(walk(early))[0]).toEqual({ at: 0, says: 'It cannot be done before the lanyard is attached.' });
  });
  it('a step that this version does not know changes nothing', () => {
    const odd = { ...wallAnchor, steps: [{ kind: 'step' as const, id: 'from-a-later-version' }, ...wallAnchor.steps] };
    expect(troubles(walk(odd))).toEqual([]);
  });
});
