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

  it('sequence prints breaches and critical steps', () => {
    const read = (name: string) =>
      JSON.parse(zevrin(['sequence', 's'], { s: zevrin(['sample', name]).out }).out) as {
        verdict: string;
        missing: number;
        breaches: { place: number; step: string; kind: string }[];
        cannot: unknown[];
        critical: { step: string; kind: string; look: string }[];
        pauses: { looks: string[] }[];
      };
    const good = read('sequence-clean-anchor');
    expect(good).toMatchObject({ verdict: 'clear', missing: 0 });
    expect(good.breaches).toEqual([]);
    expect(good.cannot).toEqual([]);
    expect(good.critical.map((c) => `${c.step} ${c.kind}`)).toEqual(
      expect.arrayContaining(['rope-clip stranded', 'device-lock untested', 'partner-knot fall']),
    );
    expect(good.pauses.length).toBeGreaterThan(0);
    const bad = read('sequence-from-memory');
    expect(bad).toMatchObject({ verdict: 'stop', missing: 1 });
    expect(bad.breaches.map((b) => `${b.step} ${b.kind}`)).toEqual(
      expect.arrayContaining(['lanyard-off untested', 'go fall']),
    );
  });

  it('sequence refuses a set-up, and assess an order, each naming the kinds it takes', () => {
    const setup = zevrin(['sequence', 's'], { s: zevrin(['sample', 'rappel-double']).out });
    expect(setup).toMatchObject({ code: 2, err: expect.stringContaining('kind must be "sequence"') as string });
    const order = zevrin(['assess', 's'], { s: zevrin(['sample', 'sequence-eight']).out });
    expect(order).toMatchObject({ code: 2, err: expect.stringContaining('"setup" or "choice"') as string });
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
