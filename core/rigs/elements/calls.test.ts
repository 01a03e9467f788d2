import { describe, expect, it } from 'vitest';
import { assess } from '../../answers/assess/index.ts';
import { changed, filled, SETUPS } from '../../samples/index.ts';
import type { Setup } from '../rig/index.ts';

const leader = filled(SETUPS['belay-leader']);
const found = (setup: Setup) =>
  assess(setup).findings.flatMap((f) => (f.code.startsWith('crew.') ? [`${f.code} ${f.severity}`] : []));
const calls = (setup: Setup, fields: Record<string, unknown>) => changed(setup, { calls: fields });

describe('what who climbs and who belays tell each other', () => {
  it.each([
    ['voice', []],
    ['signs', []],
    ['tugs', ['crew.calls mind']],
    ['none', ['crew.calls mind']],
    ['unknown', ['crew.calls untested']],
  ] as const)('%s', (by, expected) => expect(found(calls(leader, { by }))).toEqual(expected));

  it('lower or rappel is agreed, whatever it is', () => {
    for (const down of ['lower', 'rappel', 'stays']) expect(found(calls(leader, { down }))).toEqual([]);
    expect(found(calls(leader, { down: 'unknown' }))).toEqual(['crew.down untested']);
    expect(found(calls(filled(SETUPS['belay-top-rope']), { down: 'unknown' }))).toEqual(['crew.down untested']);
  });

  it('is asked where one holds the other; coming down only where one climbs up first', () => {
    for (const name of ['lower', 'belay-second', 'belay-seconds'] as const)
      expect(found(calls(filled(SETUPS[name]), { by: 'unknown', down: 'unknown' })), name).toEqual([
        'crew.calls untested',
      ]);
    for (const name of ['rappel-double', 'ascend', 'self-belay-top-rope', 'tree-moving'] as const)
      expect(found(calls(filled(SETUPS[name]), { by: 'unknown', down: 'unknown' })), name).toEqual([]);
  });
});
