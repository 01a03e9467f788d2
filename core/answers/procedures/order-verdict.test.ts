import { describe, expect, it } from 'vitest';
import { lowSpanFromMemory, wallAnchor } from '../../samples/index.ts';
import {
  newSequence,
  orderVerdict,
  PROCEDURE_IDS,
  PROCEDURES,
  troubles,
  walk,
  withOption,
  type Sequence,
} from './index.ts';

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
    const lock = wallAnchor.steps.find((l) => l.id === 'lanyard-lock')!;
    const early = { ...wallAnchor, steps: [lock, ...wallAnchor.steps.filter((l) => l !== lock)] };
    expect(troubles(walk(early))[0]).toEqual({ at: 0, says: 'It cannot be done before the lanyard is attached.' });
  });
  it('a step that this version does not know changes nothing', () => {
    const odd = { ...wallAnchor, steps: [{ kind: 'step' as const, id: 'from-a-later-version' }, ...wallAnchor.steps] };
    expect(troubles(walk(odd))).toEqual([]);
  });
});

describe('verdict of an order', () => {
  const of = (sequence: Sequence) => orderVerdict(sequence, walk(sequence));
  const without = (sequence: Sequence, ...ids: string[]) => ({
    ...sequence,
    steps: sequence.steps.filter((l) => !ids.includes(l.id)),
  });
  it('what is shipped has no fault, under every option', () => {
    for (const id of PROCEDURE_IDS) {
      const shipped = newSequence(id, 'x', '');
      for (const { id: variant, options } of PROCEDURES[id].variants)
        for (const option of Object.keys(options))
          expect(of(withOption(shipped, variant, option))).toEqual({ severity: 'clear', troubles: [], missing: 0 });
    }
  });
  it('an empty order, and one that stops half-way, is not tested, never a pass', () => {
    for (const id of PROCEDURE_IDS) {
      const shipped = newSequence(id, 'x', '');
      expect(of({ ...shipped, steps: [] }).severity).toBe('untested');
      expect(of({ ...shipped, steps: shipped.steps.slice(0, 3) }).severity).not.toBe('clear');
      expect(of({ ...shipped, steps: [{ kind: 'own', id: 'o', text: 'Rest' }] }).severity).toBe('untested');
    }
    expect(of(without(wallAnchor, 'ground', 'ends-untie', 'pull')).severity).toBe('untested');
    // Clamps that stay on the rope: not what going down is for.
    expect(of(without(newSequence('down-on-clamps', 'x', ''), 'upper-off', 'lower-off')).severity).toBe('untested');
  });
  it('what changes nothing is counted and no fault; a call left out and a break are a Stop', () => {
    expect(of(without(newSequence('doubled-rappel', 'x', ''), 'call-off'))).toEqual({
      severity: 'clear',
      troubles: [],
      missing: 1,
    });
    expect(of(without(wallAnchor, 'call-going')).troubles[0]!.says).toMatch(/before you called/);
    expect(of(without(wallAnchor, 'agree')).troubles[0]!.says).toMatch(/thinks that you will be lowered/);
    expect(of(lowSpanFromMemory)).toMatchObject({ severity: 'stop', missing: 1 });
  });
});
