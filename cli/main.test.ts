import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { assess } from '../core/answers/assess/index.ts';
import { buildCheck } from '../core/answers/check/index.ts';
import { VERSION, writeSetup, writeWorkspace } from '../core/records/files/index.ts';
import { FAMILY_KEYS, JOB_KEYS } from '../core/things/gear/index.ts';
import { withItem } from '../core/rigs/rig/index.ts';
import { demoWorkspace, rappelDouble, rappelDoubleFaulty, SETUPS } from '../core/samples/index.ts';
import { run } from './main.ts';

type Json = Record<string, unknown>;

function zevrin(args: string[], files: Record<string, string | Uint8Array> = {}) {
  let out = '';
  let err = '';
  const code = run(args, {
    out: (t) => (out += t),
    err: (t) => (err += t),
    read: (path) => {
      const file = files[path];
      if (file === undefined) throw new Error('no such file');
      return typeof file === 'string' ? new TextEncoder().encode(file) : file;
    },
  });
  return { code, out, err };
}

describe('zevrin, started as it is', () => {
  const dir = mkdtempSync(join(tmpdir(), 'zevrin-'));
  const file = (name: string, data: string | Uint8Array) => {
    writeFileSync(join(dir, name), data);
    return join(dir, name);
  };
  const start = (args: string, input = '') =>
    spawnSync('sh', ['-c', `"${process.execPath}" --import tsx cli/bin.ts ${args}`], { input, encoding: 'utf8' });
  const good = writeSetup(rappelDouble);

  it('what cannot be read is said in a sentence, each, and the next file is judged', () => {
    const deep = `{"format":${'['.repeat(5_000)}${']'.repeat(5_000)}}`;
    const wrong = [
      dir,
      join(dir, 'none.json'),
      file('utf16.json', Buffer.from(`\uFEFF${good}`, 'utf16le')),
      file('deep.json', deep),
    ];
    const { status, stdout, stderr } = start(`assess ${[...wrong, file('good.json', good)].join(' ')}`);
    expect(status).toBe(2);
    expect(stdout.trimEnd().split('\n')).toHaveLength(1);
    const lines = stderr.trimEnd().split('\n');
    expect(lines).toHaveLength(wrong.length);
    wrong.forEach((path, i) => expect(lines[i]).toContain(path));
    expect(stderr).toMatch(/it is a directory.*\n.*no such file.*\n.*UTF-16.*\n.*at most 40 levels/);
    expect(stderr).not.toMatch(/^ +at /m);
  });

  it('a reader that has enough is no fault of the files: it is said, without a stack', () => {
    const path = file('much.json', good);
    const { stderr, stdout } = start(`assess ${Array.from({ length: 40 }, () => path).join(' ')} | head -c 100`);
    expect(stdout).toHaveLength(100);
    expect(stderr).not.toMatch(/^ +at |Unhandled/m);
  });
});

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

  it('knows a set-up for every job, and assesses many files at once, one line of JSON each', () => {
    const names = Object.keys(SETUPS);
    const files = Object.fromEntries(names.map((name) => [name, zevrin(['sample', name]).out]));
    const result = zevrin(['assess', ...names], files);
    expect(result).toMatchObject({ code: 0, err: '' });
    const lines = result.out
      .trimEnd()
      .split('\n')
      .map((line) => JSON.parse(line) as { id: string; verdict: string });
    expect(lines.map((l) => l.id)).toEqual(Object.values(SETUPS).map((s) => s.id));
    expect(lines.map((l) => l.verdict)).toEqual(Object.values(SETUPS).map((s) => assess(s).verdict));
    expect(new Set(Object.values(SETUPS).map((s) => s.job))).toEqual(new Set(JOB_KEYS));
  });

  it('assess reads one set-up, or one a line, on standard input; a bad line is named and the others go on', () => {
    const line = (text: string) => JSON.stringify(JSON.parse(text));
    const good = line(writeSetup(rappelDouble));
    expect(zevrin(['assess', '-'], { '-': writeSetup(rappelDouble) }).out.split('\n')).toHaveLength(2);
    const three = zevrin(['assess', '-'], { '-': [good, good.replace('"wraps":4', '"wraps":44'), good].join('\n') });
    expect(three.code).toBe(2);
    expect(three.out.trimEnd().split('\n')).toHaveLength(2);
    expect(three.err).toMatch(/^line 2: setup\.attachments\[1\]\.end\.wraps: .*Read: 44/);
  });

  it('holds prints ways of being held, what can let go, and the minimal sets up to pairs', () => {
    const read = (text: string) =>
      JSON.parse(zevrin(['holds', 's'], { s: text }).out) as {
        notChosen: string[];
        persons: { holds: { id: string }[]; faults: { id: string }[]; minimalSets: string[][] }[];
      };
    const [one] = read(writeSetup(rappelDouble)).persons;
    expect(one!.holds.map((h) => h.id)).toEqual(['main', 'below']);
    expect(one!.minimalSets).toContainEqual(['device']);
    expect(one!.minimalSets).toContainEqual(['brakeHand', 'hitch']);
    expect(Math.max(...one!.minimalSets.map((set) => set.length))).toBe(2);
    expect(one!.faults.map((f) => f.id)).toContain('ropeEnds:past');
    expect(read(writeSetup(SETUPS['belay-seconds'])).persons).toHaveLength(2);
    expect(read(writeSetup(withItem(rappelDouble, 'device', null))).notChosen).toHaveLength(1);
    expect(zevrin(['holds', 'none'])).toMatchObject({ code: 2, out: '' });
  });

  it('check prints the items of the core, with their numbers filled in', () => {
    const { looks } = JSON.parse(zevrin(['check', 's'], { s: writeSetup(SETUPS['lower-faulty']) }).out) as {
      looks: { items: { id: string; expected: string }[] }[];
    };
    const items = looks.flatMap((look) => look.items);
    const core = buildCheck(SETUPS['lower-faulty'], assess(SETUPS['lower-faulty']).findings);
    expect(items.map((i) => i.id)).toEqual(core.map((i) => i.id));
    expect(JSON.stringify(items)).not.toMatch(/\{[a-z]+~?\}/);
    expect(zevrin(['check', 's'], { s: '{"format":"zevrin"}' })).toMatchObject({ code: 2, out: '' });
  });

  it('schema prints the JSON Schema of a set-up', () => {
    const schema = JSON.parse(zevrin(['schema']).out) as Json;
    const { setup, version } = schema.properties as Record<string, Json>;
    expect(version).toMatchObject({ const: VERSION });
    const properties = setup!.properties as Json;
    expect(Object.keys(properties)).toEqual(expect.arrayContaining(Object.keys(rappelDouble)));
    expect(setup!.required).toEqual(expect.arrayContaining(['persons', 'lines', 'attachments', 'along']));
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
    expect(order).toMatchObject({ code: 2, err: expect.stringContaining('kind must be "setup"') as string });
  });

  it('exits with 2 and the path of the fault for a wrong file', () => {
    const broken = zevrin(['sample', 'rappel-double']).out.replace('"wraps": 4', '"wraps": 44');
    const result = zevrin(['assess', 's.json'], { 's.json': broken });
    expect(result).toMatchObject({ code: 2, out: '' });
    expect(result.err).toMatch(/^setup\.attachments\[1\]\.end\.wraps: .*Read: 44/);
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

  describe('check', () => {
    const sampleText = (name: string) => zevrin(['sample', name]).out;
    const files = { 't.json': sampleText('belay-top-rope'), 'p.json': sampleText('pick-off') };
    const report = (...args: string[]) => {
      const { looks, ...cost } = JSON.parse(zevrin(['check', 't.json', ...args], files).out) as {
        things: number;
        words: number;
        seconds: number;
        looks: { items: { id: string }[] }[];
      };
      return { ...cost, items: looks.flatMap((look) => look.items) };
    };
    it('says what each depth takes', () => {
      const [whole, next, glance] = [report(), report('--depth', 'next-go'), report('--depth', 'four-looks')];
      expect(whole.items.length).toBeGreaterThan(20);
      expect(next.items.map((i) => i.id)).toEqual(['tie-in', 'device-strands', 'device-connector', 'rope-ends']);
      expect(glance.items).toEqual(next.items);
      expect([whole.things, next.things]).toEqual([12, 4]);
      expect(next.words).toBeLessThan(whole.words / 3);
      expect(glance.seconds).toBeLessThan(next.seconds);
      const moved = report('--depth', 'next-go', '--since', 'next-route-changed').items.map((i) => i.id);
      expect(moved).toEqual(expect.arrayContaining(['tie-in-points', 'device-pull', 'anchor', 'this-place']));
    });
    it('refuses what is no depth, no since, and a next go of a rescue', () => {
      const says = (...args: string[]) => zevrin(['check', ...args], files);
      expect(says('t.json', '--depth', 'deep').code).toBe(2);
      expect(says('t.json', '--depth', 'deep').err).toMatch(/read "deep"; it is one of whole/);
      expect(says('t.json', '--since', 'same').code).toBe(2);
      expect(says('t.json', '--since', 'same').err).toContain('next-go');
      expect(says('t.json', '--depth', 'next-go', '--since', 'x').err).toContain('changed-over');
      expect(says('p.json', '--depth', 'next-go').err).toContain('whole every time');
      expect(zevrin(['holds', 't.json', '--depth', 'whole'], files)).toMatchObject({ code: 1 });
      expect(zevrin(['holds', 't.json', '--depth', 'whole'], files).err).toContain('--depth is for check only');
    });
  });

  describe('catch', () => {
    const lead = { 'l.json': writeSetup(SETUPS['belay-leader']) };
    it('ten thousand falls as figures, the same for the same seed', () => {
      const args = ['catch', 'l.json', '--climberM', '10', '--lastPieceM', '8', '--runs', '300', '--seed', '5'];
      const one = zevrin(args, lead);
      expect(one).toMatchObject({ code: 0, err: '' });
      expect(zevrin(args, lead).out).toBe(one.out);
      const report = JSON.parse(one.out) as {
        runs: number;
        seed: number;
        spread: Record<string, { low: number; best: number; high: number }>;
        share: Record<string, number>;
        remedies: { id: string }[];
      };
      expect(report).toMatchObject({ runs: 300, seed: 5 });
      for (const id of ['climberN', 'pieceN', 'belayerN', 'liftM', 'slipM', 'clearanceM']) {
        const { low, best, high } = report.spread[id]!;
        expect(low).toBeLessThanOrEqual(best);
        expect(best).toBeLessThanOrEqual(high);
      }
      // 5 to 6 kN is what a stiff belay gives at most here; nobody hangs with less than the own weight.
      expect(report.spread.climberN!.best).toBeGreaterThan(700);
      expect(report.spread.climberN!.best).toBeLessThan(6000);
      expect(report.remedies.map((r) => r.id)).toContain('at-the-wall');
    });
    it.each([
      [['--climberM', 'high'], /climberM: .*Read: high/],
      [['--climberM', '900'], /climberM: .*Read: 900/],
      [['--runs', '0'], /runs: a whole number from 1/],
      [['--seed', ''], /seed: a whole number/],
      [['--step', 'jumps'], /step: .*Read: jumps/],
      [['--firstPieceM', '9', '--lastPieceM', '8'], /first piece stands above the last one/],
    ])('%j: says what was read and what is allowed', (args, says) => {
      const { code, err, out } = zevrin(['catch', 'l.json', ...args], lead);
      expect(code).toBe(2);
      expect(out).toBe('');
      expect(err).toMatch(says);
    });
    it('a rappel has none, and a moment is for catch only', () => {
      const files = { 'r.json': writeSetup(rappelDouble) };
      expect(zevrin(['catch', 'r.json'], files)).toMatchObject({ code: 2, out: '' });
      expect(zevrin(['check', 'r.json', '--seed', '1'], files)).toMatchObject({ code: 1, out: '' });
    });
  });
});
