import { beforeAll, describe, expect, it } from 'vitest';
import { assess, assumedInRig } from '../assess/index.ts';
import { FAMILY_KEYS, servesJob, traitsOf, type Rope } from '../../things/gear/index.ts';
import { slotsOf } from '../../rigs/elements/index.ts';
import {
  descentOf,
  deviceOf,
  fieldsOf,
  notRigged,
  setupSchema,
  TEMPLATE_IDS,
  TEMPLATES,
  valueAtPath,
  wellRigged,
  withField,
  withItem,
  type Setup,
  type TemplateId,
} from '../../rigs/rig/index.ts';
import { SETUPS, variedSetups } from '../../samples/index.ts';
import {
  constructionsFor,
  familiesFor,
  MASSES_ASKED,
  quickSchema,
  quickSetup,
  rankUnknowns,
  type QuickQuestion,
} from './index.ts';

let n = 0;
const own = { id: 'quick', name: 'Quick', now: '2026-11-26T12:00:00.000Z', newId: () => `q-${(n += 1)}` };
const quick = (template: TemplateId, more: Partial<QuickQuestion> = {}): Setup =>
  quickSetup(
    {
      template,
      diameterMm: 9.8,
      construction: constructionsFor(template)[0]!,
      family: familiesFor(template)[0]!,
      massKg: 80,
      otherMassKg: MASSES_ASKED[template][1] === null ? null : 70,
      brakeHand: 'left',
      ...more,
    },
    own,
  );

describe('a set-up from six answers', () => {
  it.each(TEMPLATE_IDS)('%s: valid, holds what was said, and is never clear, rigged well or not', (template) => {
    for (const family of familiesFor(template)) {
      const setup = quick(template, { family });
      expect(setupSchema.safeParse(setup).success).toBe(true);
      expect(assess(wellRigged(setup)).verdict, family).not.toBe('clear');
      const gear = JSON.stringify(setup);
      expect(gear).toContain('"nominalDiameterMm":9.8');
      expect(gear).toContain(`"family":"${family}"`);
      for (const p of setup.persons) {
        if (!p.item) continue;
        // Nothing that decides is assumed where somebody was asked for one like it.
        expect(p.item.assumed, `${template}, ${p.id}`).not.toContain('massKg');
        expect(p.item.massKg).toBe(p.id === 'climber' || p.id === 'second' ? 80 : 70);
      }
      const main = setup.attachments.map(deviceOf).find((d) => d !== null)!;
      const braker = setup.persons.find((p) => p.id === (main.hand ?? 'climber'))!;
      expect(braker.item!.brakeHand).toBe('left');
    }
  });
  it('a leader of 85 kg on a belayer of 52 kg is that, and is said to be too much', () => {
    const setup = quick('belay-leader', { massKg: 85, otherMassKg: 52 });
    const [climber, belayer] = ['climber', 'belayer'].map((role) => setup.persons.find((p) => p.role === role)!.item!);
    expect([climber!.massKg, belayer!.massKg]).toEqual([85, 52]);
    const said = assess(wellRigged(setup)).findings.find((f) => f.code === 'belay.masses')!;
    expect(['stop', 'mind']).toContain(said.severity);
  });
  it('the other weight is asked for where two matter, and nowhere else', () => {
    for (const template of TEMPLATE_IDS) {
      const { persons } = TEMPLATES[template].parts();
      const two = persons.some((p) => p.role === 'belayer' || p.role === 'casualty');
      expect(MASSES_ASKED[template][1] !== null, template).toBe(two);
      const parsed = quickSchema.safeParse({
        template,
        diameterMm: 10,
        construction: 'single',
        family: 'tube-grooved',
        massKg: 80,
        otherMassKg: null,
        brakeHand: 'left',
      });
      expect(parsed.error?.issues.map((i) => i.path.join()) ?? []).toEqual(two ? ['otherMassKg'] : []);
    }
  });
  it('nothing is said that was not asked: rig, condition, declarations and height are open', () => {
    for (const template of TEMPLATE_IDS) {
      const setup = quick(template);
      expect(notRigged(setup)).toEqual(setup);
      expect(descentOf(setup.site)).toBe(0);
      for (const f of fieldsOf(setup))
        if (
          /item\/(condition|wear|strength\w*|declaredStrengthKn|impactForceKn)$/.test(f.kind) &&
          !JSON.stringify(valueAtPath(setup, f.path.replace(/\/\w+$/, ''))).includes('"munter"')
        )
          expect(f.now, f.path).toBe(f.open);
    }
  });
  it('a second rope is a rope of its own, and no piece of gear stands at two places', () => {
    for (const template of TEMPLATE_IDS) {
      const ids = slotsOf(quick(template)).flatMap((s) => (s.item ? [s.item.id] : []));
      expect(new Set(ids).size, template).toBe(ids.length);
    }
  });
  it('offers what serves the job, if only where its maker says so', () => {
    for (const template of TEMPLATE_IDS) {
      const { job } = TEMPLATES[template];
      expect(new Set(familiesFor(template))).toEqual(new Set(FAMILY_KEYS.filter((f) => servesJob(f, job))));
      expect(familiesFor(template).length, template).toBeGreaterThan(0);
    }
  });
  it('what can be wrong by these six alone is found: a rope much too thin, a device for going down used to climb', () => {
    const thin = assess(wellRigged(quick('ascend', { family: 'clamp-toothed', diameterMm: 6 })));
    expect(thin.findings.filter((f) => f.severity !== 'clear').length).toBeGreaterThan(
      assess(wellRigged(quick('ascend', { family: 'clamp-toothed', diameterMm: 10 }))).findings.filter(
        (f) => f.severity !== 'clear',
      ).length - 1,
    );
    const heavy = assess(wellRigged(quick('belay-top-rope', { massKg: 190 })));
    expect(heavy.findings.some((f) => f.severity === 'mind' || f.severity === 'stop')).toBe(true);
    const down = assess(wellRigged(quick('tree-stationary', { family: 'eared-eight' })));
    expect(down.findings.map((f) => f.code)).toContain('fit.down-only');
  });
});

describe('what would sharpen it most', () => {
  const setup = wellRigged(quick('rappel-double'));
  let facts: ReturnType<typeof rankUnknowns> = [];
  beforeAll(() => {
    facts = rankUnknowns(setup);
  });
  const pathOf = (f: (typeof facts)[number]) => (f.at.kind === 'field' ? f.at.path : f.at.ref);
  it('most first, nothing on which nothing hangs, each fact once', () => {
    expect(facts.length).toBeGreaterThan(10);
    for (const [i, f] of facts.entries()) {
      expect(f.swing).toBeGreaterThan(0);
      expect(f.decides).toBeGreaterThan(0);
      expect(f.answers).toBeLessThanOrEqual(f.decides);
      if (i > 0) expect(f.swing).toBeLessThanOrEqual(facts[i - 1]!.swing);
    }
    expect(new Set(facts.map(pathOf)).size).toBe(facts.length);
  });
  it('the height comes before the thickness of a sleeve', () => {
    const at = (end: string) => facts.findIndex((f) => pathOf(f).endsWith(end));
    expect(at('anchorHeightM')).toBeGreaterThanOrEqual(0);
    expect(at('anchorHeightM')).toBeLessThan(3);
    const sleeve = at('sleeveMm');
    expect(sleeve === -1 || sleeve > at('anchorHeightM')).toBe(true);
  });
  it('only what is open, or only typical, is named', () => {
    const fields = new Map(fieldsOf(setup).map((f) => [f.path, f]));
    for (const f of facts) {
      if (f.at.kind === 'slot' || f.at.path.endsWith('/declarations') || f.at.path === 'site/anchorHeightM') continue;
      const field = fields.get(f.at.path)!;
      expect(field.typical || field.now === field.open, f.at.path).toBe(true);
    }
  });
  it('what its maker declares is asked for, and answers what it is said to answer', () => {
    const declared = facts.find((f) => pathOf(f).endsWith('/declarations'))!;
    expect(declared).toMatchObject({ canStop: true });
    const path = pathOf(declared);
    const said = withField(setup, path, [
      {
        job: 'rappel-double',
        strands: 'two',
        constructions: ['single'],
        minDiameterMm: 8.5,
        maxDiameterMm: 10.5,
        bestMinDiameterMm: null,
        bestMaxDiameterMm: null,
      },
    ]);
    const untested = (s: Setup) => assess(s).findings.filter((f) => f.severity === 'untested').length;
    expect(untested(said)).toBeLessThan(untested(setup));
    expect(rankUnknowns(said).map(pathOf)).not.toContain(path);
  });
  it('a place where nothing is chosen is one of them', () => {
    const empty = withItem(SETUPS['rappel-double'], 'device', null);
    expect(rankUnknowns(empty).map((f) => f.at)).toContainEqual({ kind: 'slot', ref: 'device' });
  });
  it('once a fact is said it is not asked for again', () => {
    const at = facts.find((f) => pathOf(f).endsWith('/condition'))!;
    expect(rankUnknowns(withField(setup, pathOf(at), 'sound')).map(pathOf)).not.toContain(pathOf(at));
    const rope = slotsOf(setup).find((s) => s.ref === 'ropeA')!.item as Rope;
    const length = withItem(setup, 'ropeA', { ...rope, assumed: [] });
    expect(
      rankUnknowns(length)
        .map(pathOf)
        .some((p) => p.includes('ropeA/item/lengthM')),
    ).toBe(false);
  });
  it('tells how far it is, and a set-up of which everything is said has little left to ask', () => {
    const told: [number, number][] = [];
    rankUnknowns(setup, (done, of) => told.push([done, of]));
    expect(told.at(-1)![0]).toBe(told.at(-1)![1]);
    const known = rankUnknowns(SETUPS['rappel-double']);
    expect(known.length).toBeLessThan(facts.length);
    expect(assumedInRig(SETUPS['rappel-double'])).toEqual([]);
  });
  it('a complete rig of every kind is gone through without a failure', () => {
    for (const { name, setup: s } of variedSetups().filter((_, i) => i % 16 === 0))
      for (const f of rankUnknowns(s)) expect(Number.isFinite(f.swing), name).toBe(true);
  });
});

describe('devices that one is asked about first', () => {
  it('are those made for the job, before those that some makers allow', () => {
    for (const template of TEMPLATE_IDS) {
      const { job } = TEMPLATES[template];
      const made = familiesFor(template).map((f) => traitsOf(f).made.includes(job));
      expect(made, template).toEqual([...made].sort((a, b) => Number(b) - Number(a)));
      expect(made.length).toBeGreaterThan(0);
    }
    expect(familiesFor('tree-stationary').at(-1)).not.toBe('multi-ascender');
    expect(familiesFor('tree-stationary').indexOf('multi-ascender')).toBeLessThan(
      familiesFor('tree-stationary').indexOf('eared-eight'),
    );
  });
});
