import type { Migration } from './migrate.ts';
import { from4To5 } from './to-v5.ts';
import { from5To6 } from './to-v6.ts';
import { document6To7, from6To7 } from './to-v7.ts';
import { from7To8 } from './to-v8.ts';
import { from8To9 } from './to-v9.ts';
import { from9To10 } from './to-v10.ts';
import { from10To11 } from './to-v11.ts';
import { from11To12 } from './to-v12.ts';
import { from12To13 } from './to-v13.ts';
import { choice4, setup4, setupsWithChoices } from './to-v4.ts';

/*
 * Migrations see plain JSON of an old version and know nothing of today's schemas: what they add is written out here, and stays as it is
 * when the schemas move on. Anything that has not the expected shape is left alone; the schema refuses it afterwards, with its path.
 */
type Json = Record<string, unknown>;
const isObject = (value: unknown): value is Json =>
  value !== null && typeof value === 'object' && !Array.isArray(value);
const list = (value: unknown, change: (entry: Json) => Json): unknown =>
  Array.isArray(value) ? value.map((entry: unknown) => (isObject(entry) ? change(entry) : entry)) : value;

const CONNECTOR_2 = {
  narrowInsideWidthMm: null,
  broadStockMm: null,
  narrowStockMm: null,
  sleeveMm: null,
  sleeveFromBroadMm: null,
  sleeveFromNarrowMm: null,
  gateOpeningMm: null,
};
const DEVICE_2 = {
  eyeMm: null,
  plateMm: null,
  gapMm: null,
  coverMm: null,
  notchMm: null,
  mustTurn: 'unknown',
  entry: 'unknown',
  handed: 'unknown',
  personsRated: 'unknown',
  attachTo: 'unknown',
  connectorWanted: 'unknown',
  connectorForbidden: 'unknown',
  looseParts: '',
  massG: null,
  metal: 'unknown',
  priceClass: 'unknown',
};

function item2(item: Json): Json {
  if (item.kind === 'connector') return { ...CONNECTOR_2, ...item };
  if (item.kind !== 'device') return item;
  return {
    ...DEVICE_2,
    ...item,
    declarations: list(item.declarations, (d) => ({ bestMinDiameterMm: null, bestMaxDiameterMm: null, ...d })),
  };
}
const setup2 = (setup: Json): Json =>
  isObject(setup.gear)
    ? {
        ...setup,
        gear: Object.fromEntries(
          Object.entries(setup.gear).map(([role, item]) => [role, isObject(item) ? item2(item) : item]),
        ),
      }
    : setup;
const check2 = (check: Json): Json => (isObject(check.setup) ? { ...check, setup: setup2(check.setup) } : check);

/** One stored entry of a collection, from version 1 to 2; the database keeps entries one by one. */
export function entryFrom1To2(collection: string, entry: unknown): unknown {
  if (!isObject(entry)) return entry;
  if (collection === 'items') return item2(entry);
  if (collection === 'setups') return setup2(entry);
  return collection === 'checks' ? check2(entry) : entry;
}

export const MIGRATIONS: readonly Migration[] = [
  {
    from: 1,
    name: 'measures of connectors and devices, choices, own tests of ways to clip',
    up: (document) => ({
      ...document,
      ...(isObject(document.setup) ? { setup: setup2(document.setup) } : {}),
      ...(isObject(document.workspace)
        ? {
            workspace: {
              ...document.workspace,
              items: list(document.workspace.items, item2),
              setups: list(document.workspace.setups, setup2),
              checks: list(document.workspace.checks, check2),
              choices: [],
              wayTests: [],
            },
          }
        : {}),
    }),
  },
  {
    from: 2,
    name: 'orders of steps',
    up: (document) => ({
      ...document,
      ...(isObject(document.workspace) ? { workspace: { ...document.workspace, sequences: [] } } : {}),
    }),
  },
  {
    from: 3,
    name: 'one rig for every job: the doubled rappel and the choices become rigs',
    up: (document) => {
      const { choice, ...rest } = document;
      if (document.kind === 'choice')
        return { ...rest, kind: 'setup', setup: isObject(choice) ? choice4(choice) : choice };
      if (isObject(document.setup)) return { ...document, setup: setup4(document.setup) };
      if (!isObject(document.workspace)) return document;
      const { choices, ...workspace } = document.workspace;
      const setups = Array.isArray(workspace.setups) ? workspace.setups : [];
      const all = setupsWithChoices(setups, Array.isArray(choices) ? choices : []);
      return {
        ...document,
        workspace: {
          ...workspace,
          checks: list(workspace.checks, check4),
          ...(Array.isArray(workspace.setups)
            ? {
                setups: [
                  ...(list(all.slice(0, setups.length), setup4) as unknown[]),
                  ...(list(all.slice(setups.length), choice4) as unknown[]),
                ],
              }
            : {}),
        },
      };
    },
  },
  {
    from: 4,
    name: 'condition of gear, helmets, how a device is threaded and tuned',
    up: (document) => from4To5(document) as Json,
  },
  {
    from: 5,
    name: 'how the strands lie at a device at the anchor, and how whoever arrives is clipped in',
    up: (document) => from5To6(document) as Json,
  },
  {
    from: 6,
    name: 'condition of connectors, side of the gap, slant, slack, calls, practice of the hands',
    up: (document) => document6To7(document),
  },
  {
    from: 7,
    name: 'tie-in above the soles, where the belayer stands, weight on the end of a line',
    up: (document) => from7To8(document) as Json,
  },
  {
    from: 8,
    name: 'own tries of two grips near the ground',
    up: (document) => from8To9(document) as Json,
  },
  {
    from: 9,
    name: 'values that are typical of their kind',
    up: (document) => from9To10(document) as Json,
  },
  {
    from: 10,
    name: 'trials of a bollard, what is particular to a tree',
    up: (document) => from10To11(document) as Json,
  },
  {
    from: 11,
    name: 'several limbs, what else is particular to a tree, a link that runs tight, chin and knee',
    up: (document) => from11To12(document) as Json,
  },
  {
    from: 12,
    name: 'static stretch of a rope, groove, rings, brake strand, cam, a belayer at an edge',
    up: (document) => from12To13(document) as Json,
  },
];

const check4 = (check: Json): Json => (isObject(check.setup) ? { ...check, setup: setup4(check.setup) } : check);

/** One stored entry of a collection: from version 4 to 5, from 5 to 6, from 6 to 7, from 7 to 8, from 8 to 9, from 9 to 10, from 10 to 11, from 11 to 12, from 12 to 13. */
export const entryFrom4To5 = (entry: unknown): unknown => from4To5(entry);
export const entryFrom5To6 = (entry: unknown): unknown => from5To6(entry);
export const entryFrom6To7 = (entry: unknown): unknown => from6To7(entry);
export const entryFrom7To8 = (entry: unknown): unknown => from7To8(entry);
export const entryFrom8To9 = (entry: unknown): unknown => from8To9(entry);
export const entryFrom9To10 = (entry: unknown): unknown => from9To10(entry);
export const entryFrom10To11 = (entry: unknown): unknown => from10To11(entry);
export const entryFrom11To12 = (entry: unknown): unknown => from11To12(entry);
export const entryFrom12To13 = (entry: unknown): unknown => from12To13(entry);

/** One stored entry of a collection, from version 3 to 4. Choices become set-ups: the database moves them. */
export function entryFrom3To4(collection: string, entry: unknown): unknown {
  if (!isObject(entry)) return entry;
  if (collection === 'setups') return setup4(entry);
  if (collection === 'choices') return choice4(entry);
  return collection === 'checks' ? check4(entry) : entry;
}
