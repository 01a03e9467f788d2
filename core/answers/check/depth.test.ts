import { describe, expect, it } from 'vitest';
import { assess } from '../assess/index.ts';
import type { Severity } from '../../foundations/finding/index.ts';
import { fieldsOf, withField, type Setup } from '../../rigs/rig/index.ts';
import { changed, club, filled, rappelDouble, SETUPS, variedSetups } from '../../samples/index.ts';
import { withItem } from '../../rigs/rig/index.ts';
import {
  buildCheck,
  changedOver,
  checkPartOf,
  costOf,
  costOfLook,
  FOUR,
  isLeast,
  isOpen,
  itemsOfFourLooks,
  itemsOfNextGo,
  kindOf,
  looksOf,
  neverLeftOut,
  sincesFor,
  turnsRound,
  withOneInTurn,
  type CheckDepth,
  type CheckItem,
} from './index.ts';

const wholeOf = (setup: Setup): CheckItem[] => buildCheck(setup, assess(setup).findings);
const earlier = (whole: readonly CheckItem[], ...failed: string[]) => ({
  known: new Set(whole.map((i) => i.id)),
  failed: new Set(failed),
});
const samples = Object.entries(SETUPS).map(([name, setup]) => ({ name, setup: filled(setup) }));

describe('how long a check takes the slower of two', () => {
  // Longer than that, and nobody does it the fifteenth time: common practice of checks that are given up, from memory.
  const LIMITS = {
    whole: { things: 16, words: 450, seconds: 210 },
    'next-go': { things: 8, words: 160, seconds: 75 },
    'four-looks': { things: 8, words: 160, seconds: 30 },
  } as const;
  const checksOf = (whole: readonly CheckItem[], setup: Setup): [CheckDepth, readonly CheckItem[]][] => [
    ['whole', whole],
    ...sincesFor(setup).map((since): [CheckDepth, readonly CheckItem[]] => [
      'next-go',
      itemsOfNextGo(whole, setup, since, earlier(whole)),
    ]),
    ['four-looks', itemsOfFourLooks(whole, new Set())],
  ];
  it.each(samples)('$name: whole 16 things and 3.5 minutes, next go 8 and 75 s, four looks 30 s', ({ setup }) => {
    for (const [depth, items] of checksOf(wholeOf(setup), setup)) {
      const cost = costOf(items, depth, setup);
      for (const of of ['things', 'words', 'seconds'] as const)
        expect(cost[of], `${depth} ${of}`).toBeLessThanOrEqual(LIMITS[depth][of]);
    }
  });
  it('no look is more than thirty words, in any variation', () => {
    const over = variedSetups().flatMap(({ name, setup }) =>
      looksOf(wholeOf(setup).filter((i) => !isOpen(i))).flatMap((look) => {
        const { words } = costOfLook(look, 'whole');
        return words > 30 ? [`${name}: ${look[0]!.id}, ${words}`] : [];
      }),
    );
    expect(over).toEqual([]);
  });
  it('words are those that somebody reads: title, questions and answers, and what is to be done', () => {
    const [helmet] = wholeOf(filled(rappelDouble));
    // One question of seven words, answers of four, a title of two: 13 words, 3.9 s, and 1 s to tap.
    const one = { ...helmet!, title: 'Two words', question: 'One two three four five six seven?' };
    const it13 = { ...one, expected: 'It holds', others: ['It ran'], touch: '' };
    expect(costOfLook([it13], 'four-looks')).toEqual({ things: 1, words: 13, seconds: 13 / (200 / 60) + 1 });
    // Looked at together the title is read once.
    expect(costOfLook([it13, it13], 'four-looks').words).toBe(24);
  });
});

describe('a next go', () => {
  it('never leaves out knot, device, gate and closed system, whatever is said', () => {
    for (const { name, setup } of variedSetups()) {
      const whole = wholeOf(setup);
      const least = neverLeftOut(setup).filter(isLeast);
      expect(least.length, name).toBeGreaterThan(1);
      for (const since of sincesFor(setup)) {
        const ids = new Set(itemsOfNextGo(whole, setup, since, earlier(whole)).map((i) => i.id));
        expect(
          least.filter((i) => !ids.has(i.id)).map((i) => i.id),
          `${name}, ${since}`,
        ).toEqual([]);
      }
      const glance = new Set(itemsOfFourLooks(whole, new Set()).map((i) => i.id));
      expect(
        least.filter((i) => !glance.has(i.id)).map((i) => i.id),
        name,
      ).toEqual([]);
    }
  });
  it('asks again whatever failed before, and what it asks for the first time', () => {
    for (const { name, setup } of samples) {
      const whole = wholeOf(setup);
      for (const since of sincesFor(setup))
        for (const { id } of whole) {
          const failed = itemsOfNextGo(whole, setup, since, earlier(whole, id));
          expect(
            failed.some((i) => i.id === id),
            `${name}, ${since}: ${id} failed`,
          ).toBe(true);
          const known = new Set(whole.map((i) => i.id).filter((other) => other !== id));
          const fresh = itemsOfNextGo(whole, setup, since, { known, failed: new Set() });
          expect(
            fresh.some((i) => i.id === id),
            `${name}, ${since}: ${id} is new`,
          ).toBe(true);
        }
    }
  });
  it('changed over, what failed on one of them is looked at on that person still', () => {
    const turned = changedOver(filled(SETUPS['belay-top-rope']))!;
    const whole = wholeOf(turned);
    const ids = itemsOfNextGo(whole, turned, 'changed-over', earlier(whole, 'helmet')).map((i) => i.id);
    expect(ids).toEqual(expect.arrayContaining(['helmet', 'helmet:belayer']));
  });
  it('keeps the order of the whole check', () => {
    for (const { setup } of samples) {
      const whole = wholeOf(setup);
      const order = (items: readonly CheckItem[]) =>
        items.map((i) => whole.findIndex(({ id }) => id === i.id)).filter((i) => i >= 0);
      for (const since of sincesFor(setup)) {
        const at = order(itemsOfNextGo(whole, setup, since, earlier(whole)));
        expect(at).toEqual([...at].sort((a, b) => a - b));
      }
    }
  });

  /*
   * Every change of what is seen at the rope that the engine calls a Stop, with the kinds of items that find it. A
   * fault that can arise when somebody ties in anew, threads anew or moves on must be found by the next go after it.
   */
  const FOUND_BY: Readonly<Record<string, readonly string[]>> = {
    threaded: ['device-strands', 'device-pull'],
    brakeSide: ['device-strands', 'device-pull'],
    gate: ['device-connector', 'link-gates'],
    state: ['rope-ends'],
    strands: ['device-strands', 'device-around', 'hitch-bites'],
    wraps: ['hitch-bites'],
    eyes: ['hitch-bites'],
    loadStrand: ['load-strand'],
    through: ['anchor'],
    how: ['fastening', 'block-strand'],
    strand: ['block-strand'],
    middleMissM: ['middle'],
    anchorHeightM: ['this-place'],
    edge: ['this-place'],
    strandsLie: ['strands-lie'],
  };
  const rank: Readonly<Record<Severity, number>> = { stop: 0, mind: 1, untested: 2, clear: 3 };
  it('finds each fault that can arise by what was opened', () => {
    const tried = new Set<string>();
    for (const { name, setup } of samples) {
      if (assess(setup).verdict === 'stop') continue;
      const whole = wholeOf(setup);
      const moved = sincesFor(setup).includes('next-route');
      for (const field of fieldsOf(setup)) {
        const key = field.path.split('/').at(-1)!;
        const kinds = FOUND_BY[key];
        if (!kinds || field.path.includes('/item/')) continue;
        const place = ['through', 'how', 'strand', 'middleMissM', 'anchorHeightM', 'edge'].includes(key);
        if (place && !moved) continue;
        for (const value of field.others) {
          const worse = assess(withField(setup, field.path, value)).findings.filter((f) => rank[f.severity] === 0);
          if (worse.length === 0) continue;
          const items = itemsOfNextGo(whole, setup, place ? 'next-route' : 'same', earlier(whole));
          const finds = items.some((i) => kinds.includes(kindOf(i)!));
          expect(finds, `${name}: ${field.path} ${String(value)} (${worse.map((f) => f.code).join()})`).toBe(true);
          tried.add(key);
        }
      }
    }
    expect(Object.keys(FOUND_BY).filter((key) => !tried.has(key))).toEqual(['brakeSide', 'state', 'how']);
  });
});

describe('one look more, in turn', () => {
  const LIMIT = { things: 8, words: 160, seconds: 75 };
  it('comes at every second go, never makes it longer than a next go may be, and keeps the order', () => {
    for (const { name, setup } of samples) {
      const whole = wholeOf(setup);
      const [since] = sincesFor(setup);
      if (!since) continue;
      const items = itemsOfNextGo(whole, setup, since, earlier(whole));
      for (let goes = 1; goes <= 30; goes++) {
        const go = withOneInTurn(whole, items, setup, goes);
        expect(go.items.length > items.length, name).toBe(go.inTurn);
        if (goes % 2 === 1) expect(go.inTurn).toBe(false);
        const cost = costOf(go.items, 'next-go', setup);
        for (const of of ['things', 'words', 'seconds'] as const)
          expect(cost[of], `${name} ${of}`).toBeLessThanOrEqual(LIMIT[of]);
        const at = go.items.map((i) => whole.indexOf(i));
        expect(at).toEqual([...at].sort((a, b) => a - b));
      }
    }
  });
  it('over an evening of thirty goes all of harness, knot, device and closed system is seen again, where there is room', () => {
    const topRope = filled(SETUPS['belay-top-rope']);
    const whole = wholeOf(topRope);
    const items = itemsOfNextGo(whole, topRope, 'same', earlier(whole));
    const seen = new Set(
      Array.from({ length: 30 }, (_, goes) =>
        withOneInTurn(whole, items, topRope, goes + 1).items.map((i) => i.id),
      ).flat(),
    );
    const missed = whole.filter((i) => FOUR.includes(checkPartOf(i)) && !seen.has(i.id)).map((i) => i.id);
    expect(missed).toEqual([]);
  });
});

describe('changing over', () => {
  const topRope = filled(SETUPS['belay-top-rope']);
  it('puts the two in each other’s place with what they wear, and twice is as before', () => {
    const turned = changedOver(topRope)!;
    const names = (s: Setup) => s.persons.map((p) => [p.role, p.item?.name, p.harness?.name]);
    const [climber, belayer] = names(topRope);
    expect(names(turned)).toEqual([
      ['climber', ...belayer!.slice(1)],
      ['belayer', ...climber!.slice(1)],
    ]);
    expect(changedOver(turned)).toEqual(topRope);
  });
  it('is not offered where the two do not take turns', () => {
    for (const { setup } of samples) {
      const offered = sincesFor(setup).some(turnsRound);
      expect(offered).toBe(changedOver(setup) !== null);
      expect(offered).toBe(['belay-top-rope', 'belay-leader', 'lower-ground'].includes(setup.template));
    }
  });
  it('is assessed anew: whoever is held by a heavy belayer may be too heavy for a light climber’s belay', () => {
    const light = { ...club.ilse, massKg: 45 };
    const heavy = { ...club.tomas, massKg: 105 };
    const fine = withItem(withItem(filled(SETUPS['belay-leader']), 'climber', light), 'belayer', heavy);
    const masses = (s: Setup) => assess(s).findings.find((f) => f.code === 'belay.masses')!.severity;
    expect(masses(fine)).not.toBe('stop');
    expect(masses(changedOver(fine)!)).toBe('stop');
  });
});

it('a set-up in a tree does not move on to the next route, and a rescue is checked whole every time', () => {
  for (const template of ['tree-moving', 'tree-stationary'] as const)
    expect(sincesFor(filled(SETUPS[template]))).toEqual(['same', 'took-off']);
  expect(sincesFor(filled(SETUPS['pick-off']))).toEqual([]);
  expect(sincesFor(changed(rappelDouble, {}))).toEqual(['same', 'next-route', 'took-off']);
});
