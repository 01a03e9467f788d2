import { describe, expect, it } from 'vitest';
import { changed, variedSetups } from '../../samples/index.ts';
import { assess } from './index.ts';

// Teeth hold wherever it happens.
// Findings about lengths of rope, slack and stretch hang on the height; where it is not said none of them may be clear.
const ON_HEIGHT =
  /^(geometry\.(rope-|base-tie|pull-strand)|solo\.|ascend\.stroke|between\.cascade|friction\.(hand-|rope-holds))/;

describe('a height that is not said (0)', () => {
  it.each(variedSetups())('$name: never clear, and nothing that hangs on the height is', ({ setup }) => {
    const flat = changed(setup, { site: { anchorHeightM: 0, stanceHeightM: 0, extraLineM: 0 } });
    const { verdict, findings } = assess(flat);
    expect(verdict).not.toBe('clear');
    expect(
      findings
        .filter((f) => f.severity === 'clear' && ON_HEIGHT.test(f.code) && !/teeth are hard|another rope/.test(f.says))
        .map((f) => f.code),
    ).toEqual([]);
    // Nor does it raise an alarm that the height does not: what is a stop with it was one before.
    const before = new Set(
      assess(setup)
        .findings.filter((f) => f.severity === 'stop')
        .map((f) => f.code),
    );
    for (const f of findings) if (f.severity === 'stop') expect([...before], f.says).toContain(f.code);
  });
});
