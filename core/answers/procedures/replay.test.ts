import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fact, flag, is, lane, never, not, procedure, step, to, wrong } from './build.ts';
import {
  newSequence,
  movesOf,
  PROCEDURE_IDS,
  PROCEDURES,
  replay,
  stepsOf,
  type Move,
  type Procedure,
} from './index.ts';
import { breachesIn, laneHolds, meets, startState } from './replay.ts';

/** Two attachments on a wall: a lanyard with a gate, and a rope that somebody holds. */
const wall = procedure({
  id: 'wall',
  title: 'Wall',
  purpose: '',
  lanes: [lane('lanyard', 'Lanyard', [[is('clipped', 'anchor')]]), lane('rope', 'Rope', [[is('held')]], false)],
  variants: [],
  variables: [
    fact('clipped', ['nowhere', 'anchor', 'gear'], { anchor: 'it is clipped to the anchor' }),
    flag('held', 'the belayer holds'),
    flag('pocket'),
  ],
  invariants: [never('loose', 'dropped', 'The knife falls out.', is('pocket'), is('where', 'up'))],
  start: { where: 'up', 'rope.on': 'yes', 'rope.tested': 'yes', held: 'yes' },
  steps: [
    step('clip', 'Clip.', 'Clipped.', {
      sets: [to('lanyard.on', 'yes'), to('clipped', 'anchor')],
      wrongs: [wrong('gear', 'to the gear loop', to('lanyard.on', 'yes'), to('clipped', 'gear'))],
    }),
    step('lock', 'Lock.', 'Locked.', { can: [is('lanyard.on')], sets: [to('lanyard.locked', 'yes')] }),
    step('weigh', 'Weigh.', 'Carries.', { can: [is('lanyard.on')], tests: 'lanyard' }),
    step('let-go', 'Let go.', 'Gone.', { sets: [to('held', 'no')] }),
    step('both', 'Both.', 'Both.', { mustHold: 2 }),
    step('knife', 'Take the knife.', 'There.', { sets: [to('pocket', 'yes')] }),
    step('down', 'Down.', 'Down.', { sets: [to('where', 'ground'), to('weight', 'feet')] }),
    step('maybe', 'Maybe.', 'Maybe.', { sets: [to('pocket', 'yes', is('held')), to('pocket', 'no', not('held'))] }),
  ],
});
const moves = (...ids: string[]): Move[] =>
  ids.map((id) => {
    const [name, w] = id.split('/');
    const found = wall.steps.find((s) => s.id === name)!;
    return { step: found, wrong: w ? found.wrongs.find((x) => x.id === w)! : null };
  });
const after = (...ids: string[]) => replay(wall, moves(...ids)).at(-1)!;
const kinds = (...ids: string[]) => after(...ids).breaches.map((b) => b.kind);

describe('conditions', () => {
  const state = startState(wall);
  it('is one of, is none of', () => {
    expect(meets(state, is('where', 'up', 'low'))).toBe(true);
    expect(meets(state, not('where', 'up'))).toBe(false);
    expect(meets(state, is('clipped', 'anchor'))).toBe(false);
  });
  it('an attachment holds when it is on and where it should be', () => {
    const [lanyard] = wall.lanes;
    expect(laneHolds({ ...state, clipped: 'anchor' }, lanyard!)).toBe(false);
    expect(laneHolds({ ...state, clipped: 'anchor', 'lanyard.on': 'yes' }, lanyard!)).toBe(true);
    expect(laneHolds({ ...state, clipped: 'gear', 'lanyard.on': 'yes' }, lanyard!)).toBe(false);
  });
  it('effects see the world as it was before the step', () => expect(after('maybe').state.pocket).toBe('yes'));
});

describe('breaches', () => {
  it('none while the rope is held', () => expect(kinds()).toEqual([]));
  it('unattached: standing there with nothing', () => expect(kinds('let-go')).toEqual(['unattached']));
  it('untested: clipped and not locked, locked and not weighed', () => {
    expect(after('clip', 'let-go').breaches[0]).toMatchObject({
      kind: 'untested',
      says: 'Nothing that counts holds you: the lanyard is not locked; the rope would not hold.',
    });
    expect(after('clip', 'lock', 'let-go').breaches[0]!.says).toContain('the lanyard was not tested');
    expect(kinds('clip', 'lock', 'weigh', 'let-go')).toEqual([]);
  });
  it('untested: fewer than were promised', () => {
    expect(after('both').breaches[0]!.says).toBe('Only the rope counts, where 2 are promised.');
    expect(kinds('clip', 'lock', 'weigh', 'both')).toEqual([]);
  });
  it('a bad lanyard shows while the rope still holds, and the world stays as it was', () => {
    const moment = after('clip/gear', 'lock', 'weigh');
    expect(moment.stuck).toMatch(/^The lanyard does not hold/);
    expect(moment.state).toMatchObject({ weight: 'feet', 'lanyard.tested': 'no' });
    expect(moment.breaches).toEqual([]);
  });
  it('without the rope it does not show: one falls', () => {
    expect(replay(wall, moves('clip/gear', 'lock', 'let-go', 'weigh')).at(-1)!.breaches[0]).toMatchObject({
      kind: 'fall',
      about: 'lanyard',
    });
  });
  it('drop: what carries gives way and another one holds', () => {
    const state = { ...startState(wall), weight: 'lanyard' };
    expect(breachesIn(wall, state, 1)).toEqual([
      { kind: 'drop', about: 'lanyard', says: 'The lanyard gives way; you drop onto the rope.' },
    ]);
  });
  it('what the procedure forbids, worst first', () => {
    expect(kinds('knife')).toEqual(['dropped']);
    expect(kinds('knife', 'let-go')).toEqual(['unattached', 'dropped']);
    expect(kinds('knife', 'down')).toEqual([]);
  });
  it('a step that cannot be done says before what', () =>
    expect(after('lock').stuck).toBe('It cannot be done before the lanyard is attached.'));
  it('nothing is asked of a person on the ground', () => expect(kinds('down', 'let-go')).toEqual([]));
});

describe('laws, on all shipped procedures', () => {
  const anyOrder = fc
    .constantFrom(...PROCEDURE_IDS)
    .chain((id) =>
      fc.tuple(
        fc.constant<Procedure>(PROCEDURES[id]),
        fc.shuffledSubarray([...PROCEDURES[id].steps], { maxLength: 9 }),
      ),
    )
    .map(([p, steps]) => ({ p, order: steps.map((s): Move => ({ step: s, wrong: null })) }));

  it('the first moments do not depend on what comes later', () =>
    fc.assert(
      fc.property(anyOrder, fc.nat(9), ({ p, order }, n) => {
        const whole = replay(p, order);
        expect(replay(p, order.slice(0, n))).toEqual(whole.slice(0, Math.min(n, order.length) + 1));
      }),
    ));
  it('a step of one’s own changes nothing, wherever it stands', () =>
    fc.assert(
      fc.property(anyOrder, fc.nat(9), ({ p, order }, n) => {
        const at = Math.min(n, order.length);
        const own: Move = { step: null, wrong: null };
        const moments = replay(p, [...order.slice(0, at), own, ...order.slice(at)]);
        moments.splice(at + 1, 1);
        expect(moments.map((m) => m.state)).toEqual(replay(p, order).map((m) => m.state));
      }),
    ));
  it('every fact keeps to its words, and what counts also holds', () =>
    fc.assert(
      fc.property(anyOrder, ({ p, order }) => {
        for (const { state, holding, counting } of replay(p, order)) {
          for (const v of p.variables) expect(v.values).toContain(state[v.id]);
          for (const id of counting) expect(holding).toContain(id);
        }
      }),
    ));
  it('promising more never mends an order', () =>
    fc.assert(
      fc.property(anyOrder, ({ p, order }) => {
        const stricter = { ...p, stops: p.mustHold + 1 };
        replay(p, order).forEach((m, i) => {
          if (m.breaches.length > 0)
            expect(replay(stricter, order)[i]!.breaches.length).toBeGreaterThanOrEqual(m.breaches.length);
        });
      }),
      { numRuns: 50 },
    ));
  it('a step that could not be done leaves the world as it was', () =>
    fc.assert(
      fc.property(anyOrder, ({ p, order }) => {
        const moments = replay(p, order);
        moments.forEach((m, i) => {
          if (i > 0 && m.stuck) expect(m.state).toEqual(moments[i - 1]!.state);
        });
      }),
    ));
  it('moves of an order are its steps', () => {
    for (const id of PROCEDURE_IDS) {
      const sequence = newSequence(id, 'x', '');
      expect(movesOf(sequence).map((m) => m.step)).toEqual(stepsOf(sequence));
      expect(stepsOf({ ...sequence, steps: [{ kind: 'own', id: 'o', text: 'Rest' }] })).toEqual([null]);
    }
  });
});
