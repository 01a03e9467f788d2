import { describe, expect, it } from 'vitest';
import type { Finding } from '../../foundations/finding/index.ts';
import { withFields, withItem, type Attachment, type Setup } from '../rig/index.ts';
import { changed, club, SETUPS, variedSetups } from '../../samples/index.ts';
import { atEdgeJudge, attachedJudge, contextOf, pointJudge, type Judge } from './index.ts';

/** What one judge says of a set-up, as "code severity: subjects". */
const says = (judge: Judge, setup: Setup): string[] => {
  const ctx = contextOf(setup);
  return judge
    .subjects(ctx)
    .flatMap((ref) => judge.judge(ref, ctx))
    .map((f: Finding) => `${f.code} ${f.severity}: ${f.subject.join()}`);
};
const at = (setup: Setup, id: string, patch: (a: Attachment) => Partial<Attachment>): Setup => ({
  ...setup,
  attachments: setup.attachments.map((a) => (a.id === id ? { ...a, ...patch(a) } : a)),
});
const onPoint = (setup: Setup, id: string, point: string, person?: string): Setup =>
  at(setup, id, (a) => ({
    root: a.root.kind === 'harness' ? ({ ...a.root, point, ...(person ? { person } : {}) } as typeof a.root) : a.root,
  }));
const drop = (setup: Setup, id: string): Setup => ({
  ...setup,
  attachments: setup.attachments.filter((a) => a.id !== id),
  along: Object.fromEntries(Object.entries(setup.along).map(([l, ids]) => [l, ids.filter((x) => x !== id)])),
});
const lead = SETUPS['belay-leader'];
const rappel = SETUPS['rappel-double'];
const seconds = SETUPS['belay-seconds'];

describe('everybody whom the job carries is attached', () => {
  it('every sample, and every variation of one, is', () => {
    for (const { name, setup } of variedSetups()) {
      expect(says(attachedJudge, setup), name).toEqual([]);
      expect(says(pointJudge, setup), name).toEqual([]);
    }
  });
  it('no tie-in at all; the tie-in as an aid; the tie-in at the foot', () => {
    const none = ['rig.not-attached stop: climber,harness'];
    expect(says(attachedJudge, drop(lead, 'climber-tie-in'))).toEqual(none);
    expect(
      says(
        attachedJudge,
        at(lead, 'climber-tie-in', () => ({ use: 'aid' })),
      ),
    ).toEqual(none);
    for (const point of ['foot', 'knee', 'chest', 'side', 'leg-loop'])
      expect(says(attachedJudge, onPoint(lead, 'climber-tie-in', point)), point).toEqual(none);
    for (const point of ['belay-loop', 'tie-in'])
      expect(says(attachedJudge, onPoint(lead, 'climber-tie-in', point)), point).toEqual([]);
  });
  it('a moving line of which the end is not tied to the climber', () =>
    expect(says(attachedJudge, drop(SETUPS['tree-moving'], 'climber-tie-in'))).toEqual(['rig.not-held stop: climber']));
  it('both tie-ins on one person leave the other with none', () => {
    const both = onPoint(seconds, 'second-tie-in', 'tie-in', 'climber');
    expect(says(attachedJudge, both)).toEqual(['rig.not-attached stop: second,second-harness']);
  });
  it('a casualty on no link is attached to nothing; a belayer and a partner stand', () => {
    const pick = drop(drop(SETUPS['pick-off'], 'link'), 'spare');
    expect(says(attachedJudge, pick)).toEqual(['rig.not-attached stop: casualty,casualty-harness']);
    expect(attachedJudge.subjects(contextOf(lead))).toEqual(['climber']);
    expect(attachedJudge.subjects(contextOf(rappel))).toEqual(['climber']);
  });
  it('a device that holds somebody else holds not who wears it', () => {
    // The leader ties in nowhere and wears the belay device of nobody.
    const swapped = at(drop(lead, 'climber-tie-in'), 'main', () => ({}));
    expect(says(attachedJudge, swapped)).toHaveLength(1);
  });
  it('a tie-in on a rope that no device carries holds nobody', () => {
    for (const name of ['belay-leader', 'belay-top-rope', 'belay-second', 'lower', 'lower-ground'] as const)
      for (const use of ['aid', 'backup', 'tether'] as const)
        expect(
          says(
            attachedJudge,
            at(SETUPS[name], 'main', () => ({ use })),
          ),
          `${name} ${use}`,
        ).toEqual(['rig.not-held stop: climber']);
    expect(says(attachedJudge, drop(lead, 'main'))).toEqual(['rig.not-held stop: climber']);
  });
  it('what carries is entered as that: a backup alone does not', () => {
    for (const use of ['aid', 'backup', 'tether'] as const)
      expect(
        says(
          attachedJudge,
          at(rappel, 'main', () => ({ use })),
        ),
      ).toEqual(['rig.not-attached stop: climber,harness']);
  });
  it('a device and a clamp entered as one aid hold nobody', () => {
    const solo = SETUPS['self-belay-top-rope'];
    expect(
      says(
        attachedJudge,
        at(solo, 'main', () => ({ use: 'aid' })),
      ),
    ).toEqual(['rig.not-attached stop: climber,harness']);
  });
});

describe('where it sits on the harness, and what joins it', () => {
  it.each(['foot', 'knee', 'chest', 'side', 'leg-loop'])('a device that carries on the %s: stop', (point) =>
    expect(says(pointJudge, onPoint(rappel, 'main', point))).toEqual(['rig.point-holds-nobody stop: device,harness']),
  );
  it('a hitch below a device may hang on the leg loop, one above it may not', () => {
    expect(says(pointJudge, rappel)).toEqual([]);
    const up = SETUPS.ascend;
    expect(says(pointJudge, onPoint(up, 'above', 'leg-loop'))).toEqual([
      'rig.point-holds-nobody stop: above-hitch,harness',
    ]);
    expect(says(pointJudge, onPoint(rappel, 'below', 'chest'))).toEqual(['rig.point-holds-nobody stop: hitch,harness']);
  });
  it('a positioning lanyard sits on a side ring, a tie-in does not', () => {
    const lanyard = (use: Attachment['use']) =>
      says(
        pointJudge,
        at(onPoint(rappel, 'main', 'side'), 'main', () => ({ use })),
      );
    expect(lanyard('tether')).toEqual([]);
    expect(lanyard('carries')).toHaveLength(1);
    // What only helps may be anywhere.
    expect(lanyard('aid')).toEqual([]);
  });
  it('tied to the belay loop is minded; through the tie-in points, or clipped with a connector, is not', () => {
    expect(says(pointJudge, onPoint(lead, 'climber-tie-in', 'belay-loop'))).toEqual([
      'rig.tied-to-loop mind: climber-tie-in-knot',
    ]);
  });
  it('only a tree harness has a bridge', () => {
    expect(says(pointJudge, onPoint(rappel, 'main', 'bridge'))).toEqual([
      'rig.point-holds-nobody stop: device,harness',
    ]);
    expect(says(pointJudge, onPoint(SETUPS['tree-stationary'], 'main', 'bridge'))).toEqual([]);
  });
  it('a connector through both tie-in points is minded, a sling there is not', () => {
    expect(says(pointJudge, onPoint(lead, 'main', 'tie-in'))).toEqual(['rig.clipped-to-points mind: deviceConnector']);
    expect(says(pointJudge, onPoint(rappel, 'main', 'tie-in'))).toEqual([]);
  });
  it('a device entered for a use that its place does not allow is not tested', () => {
    const used = (setup: Setup, job: Attachment['job']) =>
      says(
        pointJudge,
        at(setup, 'main', () => ({ job })),
      );
    const elsewhere = ['rig.used-elsewhere untested: device'];
    expect([used(lead, 'lower'), used(lead, 'belay-second'), used(lead, 'ascend')]).toEqual([[], elsewhere, elsewhere]);
    expect([used(rappel, 'rappel-single'), used(rappel, 'belay-leader')]).toEqual([[], elsewhere]);
    expect([used(SETUPS.lower, 'belay-second'), used(SETUPS.lower, 'rappel-single')]).toEqual([[], elsewhere]);
  });
  it('no connector between device and harness, or hitch and harness: stop; a knot needs none', () => {
    const bare = (id: string) => at(rappel, id, (a) => ({ pieces: a.pieces.filter((p) => p.kind !== 'connector') }));
    expect(says(pointJudge, bare('main'))).toEqual(['rig.no-connector stop: device']);
    expect(says(pointJudge, bare('below'))).toEqual(['rig.no-connector stop: hitch']);
    expect(
      says(
        pointJudge,
        at(bare('main'), 'main', () => ({ use: 'aid' })),
      ),
    ).toEqual([]);
    const anchor = at(SETUPS['belay-second'], 'main', () => ({ pieces: [] }));
    expect(says(pointJudge, anchor)).toContain('rig.no-connector stop: device');
  });
});

describe('by whose hand', () => {
  const hand = (setup: Setup, who: string | null) => withFields(setup, 'device', { hand: who });
  it('nobody’s hand at what lets the rope run: stop; at what holds by itself and is tended: mind; at a grab: nothing', () => {
    expect(says(pointJudge, hand(rappel, null))).toEqual(['rig.no-hand stop: device']);
    expect(says(pointJudge, hand(SETUPS['belay-second'], null))).toEqual(['rig.no-hand mind: device']);
    expect(says(pointJudge, hand(withItem(rappel, 'device', null), null))).toEqual([]);
    expect(says(pointJudge, hand(SETUPS['self-belay-top-rope'], null))).toEqual([]);
  });
  it('the hand of somebody who cannot reach it: stop', () => {
    expect(says(pointJudge, hand(rappel, 'partner'))).toEqual(['rig.hand-elsewhere stop: device,partner-hand']);
    expect(says(pointJudge, hand(lead, 'climber'))).toEqual(['rig.hand-elsewhere stop: device,brakeHand']);
    // At an anchor whoever hangs on the rope does not brake it; anybody else may.
    expect(says(pointJudge, hand(SETUPS.lower, 'climber'))).toEqual(['rig.hand-elsewhere stop: device,brakeHand']);
    expect(says(pointJudge, hand(SETUPS.lower, 'belayer'))).toEqual([]);
  });
});

describe('a belayer at an edge', () => {
  const edge = (setup: Setup, atEdge: string) => says(atEdgeJudge, changed(setup, { belayer: { atEdge } }));
  it.each(['belay-second', 'belay-seconds', 'lower'] as const)('%s: loose stop, not said not tested', (name) => {
    expect(edge(SETUPS[name], 'loose')).toEqual(['rig.at-edge stop: belayer']);
    expect(edge(SETUPS[name], 'unknown')).toEqual(['rig.at-edge untested: belayer']);
    expect([edge(SETUPS[name], 'tied'), edge(SETUPS[name], 'away')]).toEqual([[], []]);
  });
  it('is not asked of somebody on the ground below, nor while nobody is chosen', () => {
    expect(edge(lead, 'loose')).toEqual([]);
    expect(edge(SETUPS['lower-ground'], 'loose')).toEqual([]);
    expect(
      says(atEdgeJudge, withItem(changed(SETUPS.lower, { belayer: { atEdge: 'loose' } }), 'belayer', null)),
    ).toEqual([]);
  });
  it('names who', () => {
    const setup = changed(SETUPS.lower, { belayer: { atEdge: 'loose' } });
    const [f] = atEdgeJudge.judge('belayer', contextOf(setup));
    expect(f!.says).toContain(setup.persons.find((p) => p.id === 'belayer')!.item!.name);
    expect(f!.remedy).toMatch(/^Attach/);
    expect(club.ilse.name).toBeTruthy();
  });
});
