import type { Item, Person } from '@core/things/gear';
import type { ElementId } from '@core/foundations/finding';
import { withItem, withSnapshot, type Setup } from '@core/rigs/rig';
import type { Workspace } from '@core/records/files';
import { fitsShape } from '../storage/fits';
import { put, remove, type Change } from '../storage/changes';
import type { Edit } from './workspace-slice';

/** Set-ups keep snapshots; while they are plans these follow the locker. Records of checks keep theirs. */
const followingSetups = (data: Workspace, item: Item | Person): Change[] =>
  data.setups.flatMap((setup) => {
    const next = withSnapshot(setup, item);
    return next === setup ? [] : [put('setups', setup, next)];
  });

/** Adds or replaces an item of the locker; plans that use it follow. */
export function saveItem(data: Workspace, item: Item): Edit {
  const before = data.items.find((i) => i.id === item.id) ?? null;
  return {
    label: before ? `change ${item.name}` : `add ${item.name}`,
    changes: [put('items', before, item), ...followingSetups(data, item)],
    mergeKey: null,
  };
}

/** Puts what stands in a set-up alone into the locker, in one step. */
export const keepAll = (things: readonly (Item | Person)[]): Edit => ({
  label: `put ${things.length} things into the locker`,
  changes: things.map((thing) => ('kind' in thing ? put('items', null, thing) : put('people', null, thing))),
  mergeKey: null,
});

/** Takes an item out of the locker. Plans that use it keep their snapshot. */
export const removeItem = (item: Item): Edit => ({
  label: `remove ${item.name}`,
  changes: [remove('items', item)],
  mergeKey: null,
});

export function savePerson(data: Workspace, person: Person): Edit {
  const before = data.people.find((p) => p.id === person.id) ?? null;
  return {
    label: before ? `change ${person.name}` : `add ${person.name}`,
    changes: [put('people', before, person), ...followingSetups(data, person)],
    mergeKey: null,
  };
}
export const removePerson = (person: Person): Edit => ({
  label: `remove ${person.name}`,
  changes: [remove('people', person)],
  mergeKey: null,
});

/** A place of a set-up. */
export interface Into {
  readonly setupId: string;
  readonly ref: ElementId;
}
/** The same edit, with what it adds chosen there; as it was where that place is gone meanwhile. */
export function chosenInto(
  data: Workspace,
  edit: Edit,
  added: Item | Person,
  { setupId, ref }: Into,
  now: string,
): Edit {
  const setup = data.setups.find((s) => s.id === setupId);
  const next = setup && withItem(setup, ref, added);
  if (!setup || next === setup || !fitsShape('setups', next)) return edit;
  return { ...edit, changes: [...edit.changes, ...changeSetup(setup, next!, now, null).changes] };
}

/**
 * Changes a set-up. `field` names what is typed in, so that typing there is one step to undo; null makes a step of its
 * own.
 */
export function changeSetup(before: Setup, after: Omit<Setup, 'updatedAt'>, now: string, field: string | null): Edit {
  const next: Setup = { ...after, updatedAt: now };
  return {
    label: `change ${after.name}`,
    changes: [put('setups', before, next)],
    mergeKey: field === null ? null : `${after.id}/${field}`,
  };
}
export const addSetup = (setup: Setup): Edit => ({
  label: `add ${setup.name}`,
  changes: [put('setups', null, setup)],
  mergeKey: null,
});
export const removeSetup = (setup: Setup): Edit => ({
  label: `remove ${setup.name}`,
  changes: [remove('setups', setup)],
  mergeKey: null,
});
