import type { z } from 'zod';
import type { ElementId } from '@core/foundations/finding';
import { linksOf } from '@core/rigs/pairs';
import { JOB_FACTS, traitsOf } from '@core/things/gear';
import {
  belaysFromAbove,
  CALL_WORDS,
  callsMatter,
  canComeOff,
  contextOf,
  downMatters,
  guides,
  hasGrooves,
  hasHeldCam,
  hasSmoothSide,
  slotsOf,
  standingAbove,
  twoStrandsBelow,
  type Slot,
} from '@core/rigs/elements';
import {
  anchorSchema,
  belaysFromHarness,
  besideConnector,
  CALL_IDS,
  clipEndSchema,
  callsSchema,
  connectorPieceSchema,
  deviceEndSchema,
  deviceOf,
  doubledSchema,
  fixedSchema,
  hitchEndSchema,
  indexOf,
  knotEndSchema,
  linesOf,
  mainConnector,
  rigPersonSchema,
  ROLES,
  siteSchema,
  limbSchema,
  treeSchema,
  slingOf,
  slingPieceSchema,
  strandsIn,
  type Attachment,
  type ConnectorPiece,
  type RigLine,
  type RigPerson,
  type Limb,
  type Setup,
  type Tree,
} from '@core/rigs/rig';

/** Something to be chosen from the locker, or to be said. */
export type FormField =
  | { readonly kind: 'slot'; readonly slot: Slot }
  | {
      readonly kind: 'fact';
      /** Element that it belongs to, and which of its facts. */
      readonly ref: ElementId;
      readonly key: string;
      readonly schema: z.ZodType;
      /** Where the label of the schema would stand twice on the page. */
      readonly label?: string;
    }
  | { readonly kind: 'point'; readonly attachment: ElementId };

export interface Section {
  readonly id: string;
  readonly title: string;
  /** What stands beside the title while it is folded. */
  readonly note: string;
  readonly fields: readonly FormField[];
}

const fact = (ref: ElementId, shape: Readonly<Record<string, z.ZodType>>, key: string, label?: string): FormField => ({
  kind: 'fact',
  ref,
  key,
  schema: shape[key]!,
  ...(label === undefined ? {} : { label }),
});
const facts = (ref: ElementId, shape: Readonly<Record<string, z.ZodType>>, ...keys: string[]) =>
  keys.map((key) => fact(ref, shape, key));

/**
 * The whole form of a rig, in the order in which one rigs: people, site, ropes, then each attachment. What does not
 * apply is not asked.
 */
export function formSections(setup: Setup): Section[] {
  const slots = new Map(slotsOf(setup).map((s) => [s.ref, s]));
  const slot = (ref: ElementId): FormField[] => {
    const found = slots.get(ref);
    return found ? [{ kind: 'slot', slot: found }] : [];
  };
  const nameAt = (ref: ElementId) => slots.get(ref)?.item?.name ?? 'not chosen';
  return [
    {
      id: 'people',
      title: 'People',
      note: setup.persons[0]?.item?.name ?? 'nobody chosen',
      fields: setup.persons.flatMap((p) => [...slot(p.id), ...slot(p.harnessId), ...ofPerson(setup, p)]),
    },
    {
      id: 'site',
      title: 'Site',
      note: `${setup.site.weather}, ${{ low: 'low angle', steep: 'steep', free: 'hanging free' }[setup.site.steepness]}`,
      fields: [
        ...facts('site', siteSchema.shape, 'anchorHeightM', 'stanceHeightM', 'extraLineM'),
        ...setup.anchors.flatMap((a, i) => {
          const more = i === 0 ? '' : `, second anchor${i > 1 ? ` ${i}` : ''}`;
          return [
            fact(
              a.id,
              anchorSchema.shape,
              'through',
              i === 0 ? 'At the anchor the rope runs through' : `Through${more}`,
            ),
            fact(a.id, anchorSchema.shape, 'points', i === 0 ? undefined : `Points${more}`),
            ...(a.through === 'rings' && a.points !== 'one'
              ? [fact(a.id, anchorSchema.shape, 'rings', i === 0 ? undefined : `Rings${more}`)]
              : []),
          ];
        }),
        ...facts(
          'site',
          siteSchema.shape,
          'edge',
          'steepness',
          ...(JOB_FACTS[setup.job].climbs ? ['slant'] : []),
          'weather',
        ),
      ],
    },
    ...(setup.site.tree
      ? [
          {
            id: 'tree',
            title: 'Tree',
            note: setup.site.tree.limbs.some((l) => l.outM !== 0) ? 'out along a limb' : 'at the stem',
            // How one comes back along a limb matters where somebody goes out on one.
            fields: ofTree(setup, setup.site.tree),
          },
        ]
      : []),
    ...setup.lines.map((line, i) => lineSection(setup, line, i, slot, nameAt)),
    ...setup.attachments.flatMap((a) => attachmentSections(setup, a, slot, nameAt)),
    ...(callsMatter(setup)
      ? [
          {
            id: 'calls',
            title: 'Calls',
            note: { voice: 'by voice', signs: 'by signs', tugs: 'by tugs', none: 'nothing agreed', unknown: '' }[
              setup.calls.by
            ],
            fields: [
              ...facts('calls', callsSchema.shape, 'by', ...(downMatters(setup) ? ['down'] : [])),
              ...CALL_IDS.map((id) =>
                fact('calls-words', callsSchema.shape.words.shape, id, `Own word for “${CALL_WORDS[id].word}”`),
              ),
            ],
          },
        ]
      : []),
  ];
}

/** What is asked in a tree; of several limbs each one is named. */
function ofTree(setup: Setup, { limbs }: Tree): FormField[] {
  const goes = limbs.some((limb) => limb.outM !== 0);
  const asked = Object.keys(treeSchema.shape).filter(
    (key) =>
      key !== 'limbs' &&
      (key !== 'comingBack' || goes) &&
      (key !== 'eyes' || JOB_FACTS[setup.job].up === 'moving-line'),
  );
  const ofLimb = (limb: Limb, i: number): FormField[] => {
    const of = (text: string) => (limbs.length === 1 ? undefined : `${text}, limb ${i + 1}`);
    const { shape } = limbSchema;
    return [
      fact(limb.id, shape, 'outM', of('Out along the limb')),
      ...(limb.outM === 0
        ? []
        : [
            fact(limb.id, shape, 'belowM', of('Tie-in above the limb')),
            fact(limb.id, shape, 'riseDeg', of('The limb rises by')),
          ]),
    ];
  };
  return [...limbs.flatMap(ofLimb), ...asked.map((key) => fact('tree', treeSchema.shape, key))];
}

/** What is seen of a person; of somebody who is not chosen nothing is asked. */
function ofPerson(setup: Setup, p: RigPerson): FormField[] {
  if (!p.item) return [];
  const index = indexOf(setup);
  const belays = setup.attachments.some(
    (a) => a.root.kind === 'harness' && a.root.person === p.id && belaysFromHarness(index, a),
  );
  const of = ROLES[p.role].toLowerCase();
  return [
    fact(p.id, rigPersonSchema.shape, 'helmet', `Helmet of the ${of}`),
    ...(standingAbove(contextOf(setup)).some((above) => above.id === p.id)
      ? [fact(p.id, rigPersonSchema.shape, 'atEdge', `The ${of} at the edge`)]
      : []),
    ...(belays
      ? [
          fact(p.id, rigPersonSchema.shape, 'stands', `The ${of} stands`),
          fact(p.id, rigPersonSchema.shape, 'fromWallM', `The ${of} from the wall`),
        ]
      : []),
  ];
}

/** How the rope lies in a device, as far as this device has it. */
function threading(setup: Setup, a: Attachment, of: (text: string) => string | undefined): FormField[] {
  const item = deviceOf(a)?.item;
  if (!item) return [];
  const { tied, tuned } = traitsOf(item.family);
  const { shape } = deviceEndSchema;
  return [
    ...(tied ? [] : [fact(a.end.id, shape, 'threaded', of('The rope runs through it'))]),
    ...(hasSmoothSide(a, contextOf(setup)) ? [fact(a.end.id, shape, 'brakeSide', of('The brake strand runs'))] : []),
    ...(guides(a, contextOf(setup)) ? facts(a.end.id, shape, 'loadStrand', 'arriving') : []),
    ...(twoStrandsBelow(a, contextOf(setup)) ? facts(a.end.id, shape, 'strandsLie', 'gatheredM') : []),
    ...(belaysFromAbove(a, contextOf(setup)) ? facts(a.end.id, shape, 'slackM') : []),
    ...(JOB_FACTS[setup.job].up === 'self-belays' && a.end.kind === 'device' && a.end.hand === null
      ? [fact(a.end.id, shape, 'slackM', of('Slack above you, at most') ?? 'Slack above you, at most')]
      : []),
    ...(hasHeldCam(a) ? [fact(a.end.id, shape, 'cam', of('The cam is'))] : []),
    ...(hasGrooves(a) ? [fact(a.end.id, shape, 'groove', of('The rope lies in'))] : []),
    ...(a.root.kind === 'harness' &&
    a.end.kind === 'device' &&
    a.end.hand !== null &&
    traitsOf(item.family).brake !== null
      ? [fact(a.end.id, shape, 'brakeThrough', of('Behind the device the brake strand runs'))]
      : []),
    ...(tuned ? [fact(a.end.id, shape, 'tuned', of('The bollard was tuned'))] : []),
    ...(a.end.kind === 'device' && canComeOff(a.end, contextOf(setup))
      ? [fact(a.end.id, shape, 'upperHole', of('In its upper hole is'))]
      : []),
  ];
}

type SlotOf = (ref: ElementId) => FormField[];

function lineSection(
  setup: Setup,
  line: RigLine,
  i: number,
  slot: SlotOf,
  nameAt: (ref: ElementId) => string,
): Section {
  const title = i === 0 ? 'Rope' : i === 1 ? 'Second rope' : `Rope ${i + 1}`;
  if (line.kind === 'doubled') {
    const joined = line.use === 'joined';
    return {
      id: line.id,
      title,
      note: nameAt(line.ropeA.id),
      fields: [
        fact(line.id, doubledSchema.shape, 'use'),
        ...slot(line.ropeA.id),
        ...(joined
          ? [...slot(line.ropeB.id), fact(line.joint.id, doubledSchema.shape.joint.shape, 'knot')]
          : [fact(line.id, doubledSchema.shape, 'middleMissM')]),
        fact(line.ends.id, doubledSchema.shape.ends.shape, 'state'),
      ],
    };
  }
  const { fastening } = fixedSchema.shape;
  return {
    id: line.id,
    title,
    note: nameAt(line.rope.id),
    fields: [
      ...slot(line.rope.id),
      ...(line.kind === 'fixed'
        ? [
            ...facts(line.fastening.id, fastening.shape, 'how'),
            ...(setup.site.tree ? facts(line.fastening.id, fastening.shape, 'tiedAt') : []),
            ...(JOB_FACTS[setup.job].up === 'self-belays' ? facts(line.id, fixedSchema.shape, 'endWeightKg') : []),
            ...(line.fastening.how === 'blocked' ? facts(line.fastening.id, fastening.shape, 'strand', 'backup') : []),
          ]
        : []),
      fact(
        line.end.id,
        fixedSchema.shape.end.shape,
        'state',
        i === 0 ? undefined : `Free end of the ${title.toLowerCase()}`,
      ),
    ],
  };
}

function gate(piece: ConnectorPiece, name: string): FormField[] {
  return [
    fact(piece.id, connectorPieceSchema.shape, 'gate', `Gate of the ${name}`),
    fact(piece.id, connectorPieceSchema.shape, 'faces', `The gate of the ${name} faces`),
  ];
}

function attachmentSections(setup: Setup, a: Attachment, slot: SlotOf, nameAt: (ref: ElementId) => string): Section[] {
  const index = indexOf(setup);
  const connector = mainConnector(a);
  const sling = slingOf(a);
  // The sling of a rappel is its extension; whatever else hangs on a sling has it as its own.
  const extended = a.id === 'main';
  const label = a.label.toLowerCase();
  const slingFields: FormField[] =
    sling?.kind === 'sling'
      ? [
          ...slot(sling.id),
          ...(extended
            ? facts(sling.id, slingPieceSchema.shape, 'method', 'knots', 'measuredMm')
            : [
                fact(sling.id, slingPieceSchema.shape, 'method', `The sling of the ${label} is attached`),
                fact(sling.id, slingPieceSchema.shape, 'knots', `Overhand knots in the sling of the ${label}`),
                fact(sling.id, slingPieceSchema.shape, 'measuredMm', `Measured length of the ${label}`),
              ]),
        ]
      : [];
  if (a.end.kind === 'device') {
    const doubled = linesOf(index, a.end).some((l) => l.kind === 'doubled');
    const beside = besideConnector(a);
    const name = a.id === 'main' ? 'device connector' : `connector of the ${label}`;
    return [
      {
        id: a.id,
        title: a.label,
        note: nameAt(a.end.id),
        fields: [
          ...slot(a.end.id),
          ...(doubled ? [fact(a.end.id, deviceEndSchema.shape, 'strands')] : []),
          ...threading(setup, a, (text) => (a.id === 'main' ? undefined : `${text}, ${label}`)),
          ...(a.root.kind === 'anchor' && a.end.hand !== null
            ? facts(a.end.id, deviceEndSchema.shape, 'brakeLed', 'brakeAngleDeg')
            : []),
          ...(connector
            ? [
                ...slot(connector.id),
                fact(
                  connector.id,
                  connectorPieceSchema.shape,
                  'loadedEnd',
                  a.id === 'main' ? undefined : `End of the ${name}`,
                ),
                ...gate(connector, name),
              ]
            : []),
          ...(beside
            ? [
                ...slot(beside.id),
                ...gate(beside, 'second connector'),
                fact(beside.id, connectorPieceSchema.shape, 'opposed'),
              ]
            : []),
          ...(extended ? [] : slingFields),
        ],
      },
      ...(extended && sling
        ? [{ id: `${a.id}-extension`, title: 'Extension', note: nameAt(sling.id), fields: slingFields }]
        : []),
    ];
  }
  if (a.end.kind === 'hitch') {
    const plain = a.id === 'below';
    const of = (text: string) => (plain ? undefined : `${text}, ${label}`);
    const { shape } = hitchEndSchema;
    return [
      {
        id: a.id,
        title: a.label,
        note: nameAt(a.end.id),
        fields: [
          ...slot(a.end.id),
          fact(a.end.id, shape, 'hitch', of('Hitch')),
          fact(a.end.id, shape, 'wraps', of('Wraps')),
          ...(strandsIn(a.end) === 'two' ? [fact(a.end.id, shape, 'strands', of('Strands in the hitch'))] : []),
          fact(a.end.id, shape, 'eyes', of('Of the loop are clipped')),
          ...(a.root.kind === 'harness' ? [{ kind: 'point', attachment: a.id } as const] : []),
          ...slingFields,
          ...(connector
            ? [...slot(connector.id), ...gate(connector, plain ? 'hitch connector' : `connector of the ${label}`)]
            : []),
        ],
      },
    ];
  }
  if (a.end.kind === 'knot') {
    const person = a.root.kind === 'harness' ? index.person(a.root.person) : undefined;
    return [
      {
        id: a.id,
        title: person && setup.persons.length > 1 && a.use === 'carries' ? `${a.label}: ${person.role}` : a.label,
        note: '',
        fields: [
          fact(a.end.id, knotEndSchema.shape, 'knot', `Knot of the ${label}${person ? ` (${person.role})` : ''}`),
        ],
      },
    ];
  }
  const low = a.pieces.find((p): p is ConnectorPiece => p.kind === 'connector' && p !== connector);
  const links = a.root.kind === 'harness' && linksOf(contextOf(setup), a.root.person).some((l) => l.attachment === a);
  const rest = [
    ...(low ? [...slot(low.id), ...gate(low, `connector at the harness, ${label}`)] : []),
    // The sling of a link runs from connector to connector.
    ...(links ? slingFields.filter((f) => f.kind !== 'fact' || f.key === 'measuredMm') : slingFields),
    ...(links ? [fact(a.end.id, clipEndSchema.shape, 'tight', `The ${label} runs`)] : []),
    ...(connector ? [...slot(connector.id), ...gate(connector, `connector of the ${label}`)] : []),
  ];
  return rest.length > 0
    ? [{ id: a.id, title: a.label, note: connector ? nameAt(connector.id) : '', fields: rest }]
    : [];
}
