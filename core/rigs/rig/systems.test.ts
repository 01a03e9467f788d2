import { describe, expect, it } from 'vitest';
import { club, SETUPS } from '../../samples/index.ts';
import { blankSetup, deviceOf, rigIssues, setupSchema, SYSTEMS, systemOf, systemsFor, withItem } from './index.ts';

const NOW = '2026-01-01T00:00:00.000Z';
const blank = (template: 'ascend' | 'self-belay-top-rope') => blankSetup(template, { id: 'x', name: 'x', now: NOW });

describe('ways of building a whole rig', () => {
  it.each(SYSTEMS.map((s) => [s.id, s] as const))(
    '%s is a rig without a fault of form, is known again, and built twice stays',
    (_, s) => {
      for (const template of s.templates) {
        const built = s.build(blankSetup(template, { id: 'x', name: 'x', now: NOW }));
        expect(setupSchema.parse(built)).toEqual(built);
        expect(rigIssues(built)).toEqual([]);
        expect(systemOf(built)?.id).toBe(s.id);
        expect(s.build(built)).toEqual(built);
      }
    },
  );
  it('from every one to every other, and back: nothing is left over', () => {
    for (const template of ['ascend', 'self-belay-top-rope'] as const)
      for (const from of systemsFor({ template }))
        for (const to of systemsFor({ template })) {
          const there = to.build(from.build(blank(template)));
          expect(systemOf(there)?.id).toBe(to.id);
          expect(there).toEqual(to.build(blank(template)));
        }
  });
  it('gear that was chosen for what stays is kept', () => {
    const clamps = systemsFor({ template: 'ascend' })[0]!.build(SETUPS.ascend);
    const main = clamps.attachments.find((a) => a.id === 'main')!;
    const had = SETUPS.ascend.attachments.find((a) => a.id === 'main')!;
    expect(deviceOf(main)?.item).toEqual(deviceOf(had)?.item);
    expect(clamps.lines[0]).toEqual(SETUPS.ascend.lines[0]);
    expect(clamps.persons).toEqual(SETUPS.ascend.persons);
    // Shown by a change: a set-up with another climber keeps that one as well.
    expect(
      systemsFor({ template: 'ascend' })[2]!.build(withItem(SETUPS.ascend, 'climber', club.tomas)).persons[0]!.item,
    ).toEqual(club.tomas);
  });
  it('a rig that is built otherwise is none of them', () => {
    const plain = blank('self-belay-top-rope');
    expect(systemOf(plain)?.id).toBe('grab-knots');
    expect(systemOf({ ...plain, attachments: plain.attachments.slice(0, 1), along: { rope: ['main'] } })).toBeNull();
  });
  it('other jobs have none', () => expect(systemsFor({ template: 'rappel-double' })).toEqual([]));
});
