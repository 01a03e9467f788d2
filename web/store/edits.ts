import type { Item, Person } from '@core/gear';
import type { Setup } from '@core/rig';
import type { Workspace } from '@core/files';
import { put, remove, type Change } from '../storage/changes';
import type { Step } from './workspace-slice';

const gearOf = (setup: Setup) => Object.entries(setup.gear) as [keyof Setup['gear'], Item | null][];

/** Set-ups keep snapshots; while they are plans these follow the locker. Records of checks keep theirs. */
function followingSetups(data: Workspace, item: Item | Person): Change[] {
  return data.setups.flatMap((setup) => {
    let next = setup;
    if ('kind' in item) {
      for (const [role, used] of gearOf(setup)) {
        if (used?.id === item.id) next = { ...next, gear: { ...next.gear, [role]: item } };
      }
    } else {
      for (const role of ['climber', 'partner'] as const) {
        if (setup.people[role]?.id === item.id) next = { ...next, people: { ...next.people, [role]: item } };
      }
    }
    return next === setup ? [] : [put('setups', setup, next)];
  });
}

/** Adds or replaces an item of the locker; plans that use it follow. */
export function saveItem(data: Workspace, item: Item): Step {
  const before = data.items.find((i) => i.id === item.id) ?? null;
  return {
    label: before ? `change ${item.name}` : `add ${item.name}`,
    changes: [put('items', before, item), ...followingSetups(data, item)],
    mergeKey: null,
  };
}

/** Takes an item out of the locker. Plans that use it keep their snapshot. */
export const removeItem = (item: Item): Step => ({
  label: `remove ${item.name}`,
  changes: [remove('items', item)],
  mergeKey: null,
});

export function savePerson(data: Workspace, person: Person): Step {
  const before = data.people.find((p) => p.id === person.id) ?? null;
  return {
    label: before ? `change ${person.name}` : `add ${person.name}`,
    changes: [put('people', before, person), ...followingSetups(data, person)],
    mergeKey: null,
  };
}
export const removePerson = (person: Person): Step => ({
  label: `remove ${person.name}`,
  changes: [remove('people', person)],
  mergeKey: null,
});

/** Changes a set-up. `field` names what is typed in, so that typing there is one step to undo; null makes a step of its own. */
export function changeSetup(before: Setup, after: Omit<Setup, 'updatedAt'>, now: string, field: string | null): Step {
  const next: Setup = { ...after, updatedAt: now };
  return {
    label: `change ${after.name}`,
    changes: [put('setups', before, next)],
    mergeKey: field === null ? null : `${after.id}/${field}`,
  };
}
export const addSetup = (setup: Setup): Step => ({
  label: `add ${setup.name}`,
  changes: [put('setups', null, setup)],
  mergeKey: null,
});
export const removeSetup = (setup: Setup): Step => ({
  label: `remove ${setup.name}`,
  changes: [remove('setups', setup)],
  mergeKey: null,
});
