import type { ElementId } from '../foundations/finding/index.ts';
import type { Item, Person } from '../things/gear/index.ts';
import { slotsOf } from '../rigs/elements/index.ts';
import { variationsFor, wellRigged, withFields, withItem, type Setup } from '../rigs/rig/index.ts';
import * as club from './club.ts';
import { SETUPS } from './setups.ts';

const SPARE: Readonly<Record<string, readonly (Item | Person)[]>> = {
  person: [club.tomas, club.ilse, club.wren],
  harness: [club.surveyHarness],
  rope: [club.longRope, club.thickRope],
  sling: [club.sling, club.longSling],
  connector: [club.keptPear, club.smallD, club.secondPear],
  device: [club.groovedTube],
  cord: [club.shortCord, club.longCord],
};

/** The set-up with every open place filled from the club’s locker, one item twice only where there is no other. */
export function filled(setup: Setup): Setup {
  let next = setup;
  for (const slot of slotsOf(setup)) {
    if (slot.item !== null) continue;
    const used = new Set(slotsOf(next).map((s) => s.item?.id));
    const spare = SPARE[slot.kind]!;
    // A tube grips nothing by itself.
    const grab =
      slot.ref.startsWith('grab') && slot.kind === 'device'
        ? club.otherDevices.find((d) => d.family === 'rope-grab')
        : undefined;
    next = withItem(next, slot.ref, grab ?? spare.find((x) => !used.has(x.id)) ?? spare[0]!);
  }
  return next;
}

/** A set-up with fields of several elements changed, each by its id; `site` is the place. */
export const changed = (setup: Setup, fields: Readonly<Record<ElementId, Readonly<Record<string, unknown>>>>): Setup =>
  Object.entries(fields).reduce((s, [ref, more]) => withFields(s, ref, more), setup);

/**
 * Every sample, and every sample with each variation added, complete and rigged as it is meant to be: what the laws of
 * the rig are tried on.
 */
export function variedSetups(): { readonly name: string; readonly setup: Setup }[] {
  return Object.entries(SETUPS).flatMap(([name, setup]) => [
    { name, setup: filled(setup) },
    ...variationsFor(setup).map((v) => ({ name: `${name} + ${v.id}`, setup: filled(wellRigged(v.add(setup)!)) })),
  ]);
}
