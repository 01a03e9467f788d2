import { describe, expect, it } from 'vitest';
import { assess } from '../core/assess.ts';
import { FAMILY_KEYS, JOB_KEYS } from '../core/gear/index.ts';
import { writeWorkspace } from '../core/files/index.ts';
import { demoWorkspace, rappelDoubleFaulty } from '../core/samples/index.ts';
import { run } from './main.ts';

function zevrin(args: string[], files: Record<string, string> = {}) {
  let out = '';
  let err = '';
  const code = run(args, {
    out: (t) => (out += t),
    err: (t) => (err += t),
    read: (path) => {
      if (files[path] === undefined) throw new Error('no such file');
      return files[path];
    },
  });
  return { code, out, err };
}

describe('zevrin', () => {
  it('sample, then assess: the findings of the core', () => {
    const sample = zevrin(['sample', 'rappel-double-faulty']);
    expect(sample.code).toBe(0);
    const result = zevrin(['assess', 's.json'], { 's.json': sample.out });
    expect(result.code).toBe(0);
    const { verdict, findings } = JSON.parse(result.out) as {
      verdict: string;
      findings: { code: string; says: string }[];
    };
    const core = assess(rappelDoubleFaulty);
    expect(verdict).toBe(core.verdict);
    expect(findings.map((f) => f.code)).toEqual(core.findings.map((f) => f.code));
    expect(findings.some((f) => /[{}]/.test(f.says))).toBe(false);
  });

  it('assesses fit and connector for every job', () => {
    for (const job of JOB_KEYS) {
      const result = zevrin(['assess', 'c'], { c: zevrin(['sample', `choice-${job}`]).out });
      expect(result.code, job).toBe(0);
      const { findings, notAssessed } = JSON.parse(result.out) as {
        findings: { code: string }[];
        notAssessed: string[];
      };
      expect(
        findings.some((f) => f.code.startsWith('fit.')),
        job,
      ).toBe(true);
      expect(
        findings.some((f) => f.code.startsWith('connector.')),
        job,
      ).toBe(true);
      expect(notAssessed.length, job).toBeGreaterThan(0);
    }
  });

  it('exits with 2 and the path of the fault for a wrong file', () => {
    const broken = zevrin(['sample', 'rappel-double']).out.replace('"hitchWraps": 4', '"hitchWraps": 44');
    const result = zevrin(['assess', 's.json'], { 's.json': broken });
    expect(result).toMatchObject({ code: 2, out: '' });
    expect(result.err).toMatch(/^setup\.rig\.hitchWraps: .*Read: 44/);
    expect(zevrin(['assess', 'none.json']).code).toBe(2);
    expect(zevrin(['assess', 'w'], { w: writeWorkspace(demoWorkspace()) }).err).toMatch(/^kind: /);
  });

  it('lists what there is, and explains itself otherwise', () => {
    const list = JSON.parse(zevrin(['list']).out) as {
      samples: string[];
      deviceFamilies: object;
      findingCodes: Record<string, string>;
    };
    expect(list.samples).toContain('rappel-double');
    expect(Object.keys(list.deviceFamilies)).toHaveLength(FAMILY_KEYS.length);
    expect(Object.keys(list.findingCodes)).toContain('fit.rope-too-thin');
    expect(zevrin(['sample', 'toString']).code).toBe(1);
    expect(zevrin([])).toMatchObject({ code: 1 });
  });
});
