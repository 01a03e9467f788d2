import { describe, expect, it } from 'vitest';
import { assess } from '../../answers/assess/index.ts';
import { hanging, holdsFromRig } from '../../answers/redundancy/index.ts';
import { contextOf } from '../../rigs/elements/index.ts';
import { variedSetups } from '../../samples/index.ts';
import { FINDING_CODES } from './codes.ts';
import { doubtedBy } from './doubts.ts';
import { finding } from './finding.ts';

const one = (code: Parameters<typeof finding>[0]['code'], severity: Parameters<typeof finding>[0]['severity']) =>
  finding({ code, severity, subject: ['device', 'ropeA'], says: '', because: '' });

describe('doubts', () => {
  it('the first element is doubted, as long as something was found against it', () => {
    expect(doubtedBy(one('connector.strength', 'stop'))).toBe('device');
    expect(doubtedBy(one('connector.strength', 'untested'))).toBe('device');
    expect(doubtedBy(one('connector.strength', 'clear'))).toBeUndefined();
  });
  it('what was not looked over is asked once; what is damaged does not hold', () => {
    expect(doubtedBy(one('rig.condition', 'untested'))).toBeUndefined();
    expect(doubtedBy(one('rig.condition', 'mind'))).toBeUndefined();
    expect(doubtedBy(one('rig.condition', 'stop'))).toBe('device');
  });
  it('a code that doubts nothing doubts nothing, however bad', () => {
    const harmless = (Object.keys(FINDING_CODES) as (keyof typeof FINDING_CODES)[]).filter(
      (code) => FINDING_CODES[code].doubts === 'none',
    );
    expect(harmless.length).toBeGreaterThan(0);
    for (const code of harmless) expect(doubtedBy(one(code, 'stop')), code).toBeUndefined();
  });
  it('a hold with a Stop at its own part is never counted, on any rig', () => {
    for (const { name, setup } of variedSetups()) {
      const { findings } = assess(setup);
      const ctx = contextOf(setup);
      const stopped = new Set(
        findings.flatMap((f) =>
          f.severity === 'stop' && FINDING_CODES[f.code].doubts === 'holding' ? (doubtedBy(f) ?? []) : [],
        ),
      );
      for (const person of hanging(ctx))
        for (const hold of holdsFromRig(ctx, person, findings).holds)
          for (const need of hold.needs)
            expect(stopped.has(need), `${name}: ${hold.label} counts with ${need}`).toBe(false);
    }
  });
});
