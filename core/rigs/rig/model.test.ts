import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { club, rappelDouble, SETUPS, variedSetups } from '../../samples/index.ts';
import {
  blankSetup,
  descentOf,
  elementAt,
  indexOf,
  notRigged,
  setupSchema,
  TEMPLATE_IDS,
  TEMPLATES,
  thingsOf,
  wellRigged,
  withAll,
  withFields,
  withItem,
  withSnapshot,
  type Setup,
} from './index.ts';
import { TEMPLATE_FACTS } from './template-facts.ts';

const NOW = '2026-01-01T00:00:00.000Z';
const own = { id: 'x', name: 'New', now: NOW };
/** First thing that is wrong: its path and what is said. */
function refusal(setup: unknown): string {
  const result = setupSchema.safeParse(setup);
  if (result.success) return 'taken';
  const [issue] = result.error.issues;
  return `${issue!.path.join('.')}: ${issue!.message}`;
}
const change = (edit: (setup: Record<string, never>) => void): unknown => {
  const copy = structuredClone(rappelDouble) as never;
  edit(copy);
  return copy;
};
type Free = Record<string, Record<string, Record<string, unknown>>[]> & { along: Record<string, string[]> };

describe('templates', () => {
  it.each(TEMPLATE_IDS)('%s makes a valid rig with nothing chosen and nothing said', (id) => {
    const blank = blankSetup(id, own);
    expect(refusal(blank)).toBe('taken');
    expect(blank.job).toBe(TEMPLATES[id].job);
    expect(notRigged(blank)).toEqual(blank);
    for (const thing of thingsOf(blank)) if ('item' in thing) expect(thing.item).toBeNull();
  });
  it('the same template gives two rigs that share nothing that is changed', () => {
    const [a, b] = [blankSetup('lower', own), blankSetup('lower', own)];
    expect(a).toEqual(b);
    withFields(a, 'deviceConnector', { gate: 'locked' });
    expect(a).toEqual(b);
  });
});

describe('what is refused, with its path', () => {
  it('every sample with every variation is taken', () => {
    for (const { name, setup } of variedSetups()) expect(refusal(setup), name).toBe('taken');
  });
  it.each<[string, (s: Free) => void, RegExp]>([
    [
      'the same id twice',
      (s) => void (s.attachments![1]!.end!.id = 'device'),
      /^attachments\.1\.end\.id: the id "device" stands twice/,
    ],
    [
      'an id of the site',
      (s) => void ((s.anchors![0]! as { id: unknown }).id = 'ground'),
      /^anchors\.0\.id: the id "ground" stands twice/,
    ],
    [
      'a line on no anchor',
      (s) => void ((s.lines![0]! as { anchor: unknown }).anchor = 'nowhere'),
      /^lines\.0\.anchor: there is no anchor "nowhere"/,
    ],
    [
      'a harness of nobody',
      (s) => void (s.attachments![0]!.root!.person = 'ghost'),
      /^attachments\.0\.root\.person: there is no person "ghost"/,
    ],
    [
      'a device on no line',
      (s) => void (s.attachments![0]!.end!.on = [{ line: 'rope9', strand: 'both' }]),
      /^attachments\.0\.end\.on\.0\.line: there is no line "rope9"/,
    ],
    [
      'a strand that the line has not',
      (s) => void (s.attachments![0]!.end!.on = [{ line: 'rope', strand: 'brake' }]),
      /^attachments\.0\.end\.on\.0\.strand: this line has the strands/,
    ],
    [
      'a hand of nobody',
      (s) => void (s.attachments![0]!.end!.hand = 'ghost'),
      /^attachments\.0\.end\.hand: there is no person "ghost"/,
    ],
    [
      'a second connector beside nothing',
      (s) => void ((s.attachments![0]!.pieces as unknown as { beside: string }[])[1]!.beside = 'none'),
      /^attachments\.0\.pieces\.1\.beside: there is no connector before it "none"/,
    ],
    [
      'an attachment that hangs on itself',
      (s) => void ((s.attachments![1]! as { root: unknown }).root = { kind: 'part', part: 'hitch' }),
      /^attachments\.1\.root\.part: it hangs on itself, in a circle/,
    ],
    [
      'a place along the rope that is not said',
      (s) => void (s.along.rope = ['main']),
      /^attachments\.1\.id: its place along "rope"/,
    ],
    ['an order of a line that is not there', (s) => void (s.along.rope9 = []), /^along\.rope9: there is no line/],
    [
      'one attachment twice along a line',
      (s) => void s.along.rope!.push('main'),
      /^along\.rope\.2: there is no attachment/,
    ],
  ])('%s', (_, edit, expected) => expect(refusal(change(edit as never))).toMatch(expected));

  it('a circle over two attachments', () => {
    const setup = change((s) => {
      const free = s as unknown as Free;
      (free.attachments![0]! as { root: unknown }).root = { kind: 'part', part: 'hitchConnector' };
      (free.attachments![1]! as { root: unknown }).root = { kind: 'part', part: 'deviceConnector' };
    });
    expect(refusal(setup)).toMatch(/in a circle/);
  });
  it('an unknown key, an unknown template, a height out of range', () => {
    expect(refusal({ ...rappelDouble, wings: 2 })).toMatch(/wings/);
    expect(refusal({ ...rappelDouble, template: 'fly' })).toMatch(/^template: /);
    expect(refusal({ ...rappelDouble, site: { ...rappelDouble.site, anchorHeightM: 900 } })).toMatch(
      /^site\.anchorHeightM: /,
    );
  });
});

describe('editing', () => {
  it('changes one element and leaves the rest the very same', () => {
    const next = withFields(rappelDouble, 'hitch', { wraps: 5 });
    expect(elementAt(next, 'hitch')).toEqual({ ...elementAt(rappelDouble, 'hitch'), wraps: 5 });
    expect(next.attachments[0]).toBe(rappelDouble.attachments[0]);
    expect(next.lines).toBe(rappelDouble.lines);
    expect(elementAt(rappelDouble, 'hitch')).toMatchObject({ wraps: 4 });
  });
  it('an id that is not there changes nothing', () => {
    expect(withFields(rappelDouble, 'nothing', { wraps: 5 })).toBe(rappelDouble);
    expect(elementAt(rappelDouble, 'nothing')).toBeUndefined();
  });
  it('finds every element of every rig, and no item inside one', () => {
    for (const { name, setup } of variedSetups())
      for (const thing of thingsOf(setup)) {
        if (thing.kind === 'site' || thing.kind === 'edge' || thing.kind === 'harness') continue;
        expect(elementAt(setup, thing.id), `${name}: ${thing.id}`).toMatchObject({ id: thing.id });
      }
    expect(elementAt(rappelDouble, club.longRope.id)).toBeUndefined();
  });
  it('several at once are the same as one after the other, in any rig', () => {
    const rigs = variedSetups().map((v) => v.setup);
    fc.assert(
      fc.property(fc.constantFrom(...rigs), fc.infiniteStream(fc.boolean()), (setup, coin) => {
        const refs = setup.attachments.map((a) => a.end.id).filter(() => coin.next().value as boolean);
        const fields = { item: null };
        const one = refs.reduce((s, ref) => withFields(s, ref, fields), setup);
        expect(
          withAll(
            setup,
            refs.map((ref) => [ref, fields] as const),
          ),
        ).toEqual(one);
      }),
    );
  });
  it('a harness is put onto its person, an item into its place', () => {
    const next = withItem(rappelDouble, 'harness', club.lightHarness);
    expect(next.persons[0]!.harness).toEqual(club.lightHarness);
    expect(withItem(next, 'harness', null).persons[0]!.harness).toBeNull();
    expect(elementAt(withItem(rappelDouble, 'device', null), 'device')).toMatchObject({ item: null });
  });
  it('a snapshot follows its item wherever it stands, and only it', () => {
    const renamed = { ...club.longRope, name: 'Renamed' };
    const next = withSnapshot(rappelDouble, renamed);
    expect(JSON.stringify(next)).toContain('Renamed');
    expect(next.attachments).toBe(rappelDouble.attachments);
    expect(withSnapshot(rappelDouble, { ...club.thickRope, name: 'Elsewhere' })).toBe(rappelDouble);
    // A person and an item may have the same id: they are told apart.
    expect(withSnapshot(rappelDouble, { ...club.ilse, id: club.longRope.id })).toBe(rappelDouble);
  });
});

describe('as it is meant to be rigged, and as nobody has said yet', () => {
  it('each is the end: done twice it is the same', () => {
    for (const { setup } of variedSetups()) {
      expect(wellRigged(wellRigged(setup))).toEqual(wellRigged(setup));
      expect(notRigged(notRigged(setup))).toEqual(notRigged(setup));
      expect(wellRigged(notRigged(setup))).toEqual(wellRigged(setup));
      expect(refusal(notRigged(setup))).toBe('taken');
    }
  });
  it('what was chosen stays: parts, planned way, wraps, how the rope is tied at the anchor', () => {
    const single = SETUPS['rappel-single'];
    const bare = notRigged(single);
    expect(elementAt(bare, 'fastening')).toEqual(elementAt(single, 'fastening'));
    expect(elementAt(bare, 'hitch')).toMatchObject({ wraps: 5, strands: 'unknown', eyes: 'unknown' });
    expect(elementAt(bare, 'deviceConnector')).toMatchObject({ gate: 'unknown', faces: 'unknown' });
    expect(bare.persons.map((p) => p.helmet)).toEqual(single.persons.map(() => 'unknown'));
    expect(bare.persons.map((p) => p.item)).toEqual(single.persons.map((p) => p.item));
  });
});

describe('index', () => {
  it('knows the owner of every part, and the order along every line', () => {
    for (const { name, setup } of variedSetups()) {
      const index = indexOf(setup);
      for (const a of setup.attachments) {
        for (const ref of [a.id, a.end.id, ...a.pieces.map((p) => p.id)]) expect(index.ownerOf(ref), name).toBe(a);
        expect(index.attachment(a.id)).toBe(a);
      }
      for (const line of setup.lines) expect(index.along(line.id).map((a) => a.id)).toEqual(setup.along[line.id]);
      expect(index.line('none')).toBeUndefined();
    }
  });
  it('the descent is from the anchor to the stance, and what the line goes aside', () => {
    const site = { ...rappelDouble.site, anchorHeightM: 30, stanceHeightM: 12, extraLineM: 2 };
    expect(descentOf(site)).toBe(20);
  });
});

describe('who is in the rig of a job', () => {
  it('the roles of each template are those of its parts', () => {
    for (const id of TEMPLATE_IDS)
      expect(
        TEMPLATES[id].parts().persons.map((p) => [p.id, p.role]),
        id,
      ).toEqual(TEMPLATE_FACTS[id].roles.map((r) => [...r]));
  });
  it('another role, or nobody in it, is refused with its path; a partner may be missing', () => {
    const lead = SETUPS['belay-leader'];
    const issues = (setup: Setup) => setupSchema.safeParse(setup).error?.issues.map((i) => i.path.join('/')) ?? [];
    const roles = (setup: Setup, role: (typeof setup)['persons'][number]['role']) => ({
      ...setup,
      persons: setup.persons.map((p) => (p.id === 'climber' ? { ...p, role } : p)),
    });
    expect(issues(roles(lead, 'partner'))).toEqual(['persons/0/role']);
    expect(issues(roles(SETUPS['pick-off'], 'climber'))).toEqual(['persons/0/role']);
    const nobody = { ...lead, persons: lead.persons.filter((p) => p.id !== 'climber') };
    expect(issues(nobody)).toContain('persons');
    const rappel = SETUPS['rappel-double'];
    expect(issues({ ...rappel, persons: rappel.persons.filter((p) => p.role !== 'partner') })).toEqual([]);
  });
});
