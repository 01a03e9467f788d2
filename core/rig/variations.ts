import type { Ref } from '../finding/index.ts';
import { MUNTER } from '../gear/index.ts';
import type { Attachment, RigAnchor, RigLine, RigPerson } from './elements.ts';
import type { Setup } from './model.ts';
import { belaysFromHarness, besideConnector, deviceOf, indexOf, linesOf, mainConnector } from './rig.ts';
import {
  anchor,
  connector,
  device,
  fixed,
  hitch,
  knotBelow,
  on,
  onAnchor,
  onHarness,
  onTether,
  person,
  sling,
  straight,
  tiedIn,
} from './templates/build.ts';
import { templateOf } from './templates/index.ts';

/** Something that can be added to a rig as a whole: what it brings, and where it sits. */
export interface Variation {
  readonly id: VariationId;
  /** After "Add ...". */
  readonly label: string;
  /** It backs up whoever hangs on the main device, so that it stands among the ways of backing up. */
  readonly backsUp: boolean;
  readonly needs: readonly string[];
  readonly defeats: readonly string[];
  readonly reasons: readonly string[];
  readonly against: readonly string[];
  /** The rig with it; null where it has no place, or is there already. */
  readonly add: (setup: Setup) => Setup | null;
}

export const VARIATION_IDS = [
  'hitch-below',
  'hitch-above',
  'second-hitch',
  'second-rope',
  'own-hitch',
  'held-below',
  'knot-below',
  'brake-hitch',
  'foot-loop',
  'second-grab',
  'grab-second-rope',
  'lanyard',
  'second-connector',
] as const;
export type VariationId = (typeof VARIATION_IDS)[number];

interface Parts {
  readonly persons?: readonly RigPerson[];
  readonly anchors?: readonly RigAnchor[];
  readonly lines?: readonly RigLine[];
  readonly attachments: readonly Attachment[];
  /** Attachments that come directly before another one along its line. */
  readonly before?: Readonly<Record<Ref, Ref>>;
}

/** The rig with these parts; on each line what is new goes to the end, or before what it is said to come before. */
function grown(setup: Setup, { persons = [], anchors = [], lines = [], attachments, before = {} }: Parts): Setup {
  const along: Record<Ref, Ref[]> = { ...setup.along };
  for (const a of attachments) {
    if (a.end.kind === 'clip') continue;
    for (const { line } of a.end.on) {
      const order = along[line] ?? [];
      const next = before[a.id];
      const at = next ? order.indexOf(next) : -1;
      along[line] = at < 0 ? [...order, a.id] : [...order.slice(0, at), a.id, ...order.slice(at)];
    }
  }
  return {
    ...setup,
    persons: [...setup.persons, ...persons],
    anchors: [...setup.anchors, ...anchors],
    lines: [...setup.lines, ...lines],
    attachments: [...setup.attachments, ...attachments],
    along,
  };
}

const has = (setup: Setup, id: Ref) => setup.attachments.some((a) => a.id === id);
/** The device that somebody goes down on, or up by, on a line of their own; not one that belays another. */
export function ownDevice(setup: Setup): Attachment | null {
  const index = indexOf(setup);
  return (
    setup.attachments.find(
      (a) => a.end.kind === 'device' && a.root.kind === 'harness' && !belaysFromHarness(index, a),
    ) ?? null
  );
}
const strandsOf = (a: Attachment) => (a.end.kind === 'clip' ? [] : a.end.on);

/** A hitch around the strands of the device, on the given side of it. */
function hitchAt(setup: Setup, id: Ref, label: string, side: 'above' | 'below'): Setup | null {
  const main = ownDevice(setup);
  if (!main || has(setup, id) || main.root.kind !== 'harness') return null;
  const below = side === 'below';
  const attachment: Attachment = {
    id,
    label,
    use: 'backup',
    job: null,
    root: onHarness(main.root.person, below ? 'leg-loop' : 'belay-loop'),
    pieces: below
      ? [connector(id === 'below' ? 'hitchConnector' : `${id}-connector`)]
      : [sling(`${id}-tether`), connector(`${id}-connector`)],
    end: hitch(id === 'below' ? 'hitch' : `${id}-hitch`, strandsOf(main)),
  };
  return grown(setup, { attachments: [attachment], before: below ? {} : { [id]: main.id } });
}

/** The device of somebody who climbs on what grips by itself; null in other jobs. */
function climbsAlone(setup: Setup): Attachment | null {
  const main = setup.job === 'ascend' || setup.job === 'self-belay-top-rope' ? ownDevice(setup) : null;
  return main && deviceOf(main)?.hand === null ? main : null;
}
const grab = (id: Ref, label: string, of: Ref, where: Parameters<typeof device>[1]): Attachment =>
  onTether(id, label, of, device(`${id}-device`, where, null));

/** A belayer of a second rope: the one there is, or one more person. */
const belayerFor = (setup: Setup): { id: Ref; added: RigPerson[] } => {
  const there = setup.persons.find((p) => p.role === 'belayer');
  return there ? { id: there.id, added: [] } : { id: 'belayer', added: [person('belayer', 'belayer')] };
};

export const VARIATIONS: readonly Variation[] = [
  {
    id: 'hitch-below',
    label: 'a hitch below the device',
    backsUp: true,
    needs: [
      'an extension, so that the hitch cannot reach the device',
      'a hitch that grips these strands, tested with weight',
      'an attachment that takes load',
    ],
    defeats: ['reaching the device', 'a hand that clutches it', 'wet, icy or thin rope'],
    reasons: ['holds at once where you are', 'loaded lightly, so it lets go again easily'],
    against: ['needs the device: it only holds the brake strands', 'one more thing to rig and to test'],
    add: (setup) => hitchAt(setup, 'below', 'Hitch below the device', 'below'),
  },
  {
    id: 'hitch-above',
    label: 'a hitch above the device',
    backsUp: true,
    needs: [
      'a tether of its own, short enough to reach the hitch when it is loaded',
      'a way to unload it again: foot loop or second hitch',
    ],
    defeats: ['a hand that pushes it down and does not let go', 'a tether too long: it hangs out of reach'],
    reasons: ['holds when the device or its connector fails', 'clear of the device'],
    against: [
      'takes your whole weight, so that it bites hard and is hard to release',
      'a frightened hand holds it open',
    ],
    add: (setup) => hitchAt(setup, 'above', 'Hitch above the device', 'above'),
  },
  {
    id: 'second-hitch',
    label: 'a second hitch below',
    backsUp: false,
    needs: ['room on the rope for both', 'a hand that tends both together'],
    defeats: ['whatever defeats the first one'],
    reasons: ['one that slips is caught by the other'],
    against: ['twice the drag', 'same cord, same rope, same water: both may slip'],
    add: (setup) => (has(setup, 'below') ? hitchAt(setup, 'below2', 'Second hitch', 'below') : null),
  },
  {
    id: 'second-rope',
    label: 'a second rope held from above',
    backsUp: true,
    needs: [
      'a second rope, long enough, on points of its own',
      'a Munter hitch with a hitch on its brake strand',
      'somebody at the edge who watches the slack',
    ],
    defeats: [
      'slack that nobody sees',
      'both ropes over the same edge or on the same points',
      'calls that are not heard',
    ],
    reasons: ['survives the loss of rope, device and hand', 'the beginner can be let down'],
    against: [
      'a second rope and a person who stays above',
      'ropes twist around each other',
      'the last one goes without it',
    ],
    add: (setup) => {
      const main = ownDevice(setup);
      if (!main || main.root.kind !== 'harness' || has(setup, 'belay')) return null;
      const belayer = belayerFor(setup);
      return grown(setup, {
        persons: belayer.added,
        anchors: [anchor('anchor2')],
        lines: [straight('rope2', 'anchor2')],
        attachments: [
          {
            id: 'belay',
            label: 'Belay from above',
            use: 'backup',
            job: 'belay-second',
            root: onAnchor('anchor2'),
            pieces: [connector('belay-connector')],
            end: { ...device('belay-device', [on('rope2', 'brake')], belayer.id), item: MUNTER },
          },
          {
            id: 'belay-hitch',
            label: 'Hitch on the belayer’s brake strand',
            use: 'backup',
            job: 'belay-second',
            root: onHarness(belayer.id, 'leg-loop'),
            pieces: [connector('belay-hitch-connector')],
            end: hitch('belay-hitch-cord', [on('rope2', 'brake')]),
          },
          {
            ...tiedIn(main.root.person, on('rope2', 'load'), 'tie-in2'),
            label: 'Tie-in to the second rope',
            use: 'backup',
          },
        ],
      });
    },
  },
  {
    id: 'own-hitch',
    label: 'an own hitch on a second, fixed rope',
    backsUp: true,
    needs: ['a second fixed rope on points of its own', 'pushed along: push, let go, push; never held'],
    defeats: ['a hand that stays on it', 'both ropes over the same edge'],
    reasons: ['survives the loss of rope, device and hand without a second person'],
    against: ['one hand is busy with it', 'a fall with slack runs some way before it holds'],
    add: (setup) => {
      const main = ownDevice(setup);
      if (!main || main.root.kind !== 'harness' || has(setup, 'own')) return null;
      return grown(setup, {
        anchors: [anchor('anchor3')],
        lines: [fixed('rope3', 'anchor3')],
        attachments: [
          {
            id: 'own',
            label: 'Hitch on the second rope',
            use: 'backup',
            job: 'rappel-fixed',
            root: onHarness(main.root.person),
            pieces: [sling('own-tether'), connector('own-connector')],
            end: hitch('own-hitch', [on('rope3', 'main')]),
          },
        ],
      });
    },
  },
  {
    id: 'held-below',
    label: 'a partner who pulls from below',
    backsUp: true,
    needs: ['a partner who sees you all the way and holds the rope', 'a stand out of falling rock'],
    defeats: [
      'a partner who looks away or cannot see you',
      'rockfall',
      'much rope, an edge or a bend between: the pull arrives late',
    ],
    reasons: ['nothing to rig', 'holds whatever your hand does'],
    against: [
      'somebody has to be down already',
      'hangs on the same device and rope as you',
      'useless when out of sight',
    ],
    add: (setup) => {
      const main = ownDevice(setup);
      if (!main || has(setup, 'watched')) return null;
      const partner = setup.persons.find((p) => p.role === 'partner');
      const by = partner ?? person('partner', 'partner');
      const [where] = strandsOf(main);
      return grown(setup, {
        persons: partner ? [] : [by],
        attachments: [
          {
            id: 'watched',
            label: 'Partner below pulls the rope',
            use: 'backup',
            job: null,
            root: { kind: 'part', part: main.end.id },
            pieces: [],
            end: { id: 'watched-hand', kind: 'hand', by: by.id, on: [where!] },
          },
        ],
      });
    },
  },
  {
    id: 'knot-below',
    label: 'a knot below the device',
    backsUp: true,
    needs: ['a knot that cannot enter the device, close below it', 'the next knot tied before this one is untied'],
    defeats: ['a knot too far away', 'knots forgotten when the rope is pulled'],
    reasons: ['nothing to tune', 'a knot also closes the end'],
    against: ['holds only at the next knot', 'knots must be untied or passed, and catch when the rope is pulled'],
    add: (setup) => {
      const main = ownDevice(setup);
      if (!main || has(setup, 'stop-knot')) return null;
      return grown(setup, { attachments: [knotBelow(main.end.id, strandsOf(main)[0]!)] });
    },
  },
  {
    id: 'brake-hitch',
    label: 'a hitch on the brake strand',
    backsUp: false,
    needs: ['a hitch that grips the brake strand, on the belayer or on the anchor'],
    defeats: ['a hand that holds it open', 'reaching the device'],
    reasons: ['holds when the hand lets go'],
    against: ['one more thing to tend while lowering'],
    add: (setup) => {
      const belay = setup.attachments.find(
        (a) =>
          a.end.kind === 'device' &&
          (a.root.kind === 'anchor' || belaysFromHarness(indexOf(setup), a)) &&
          a.id === 'main',
      );
      const hand = belay ? deviceOf(belay)?.hand : null;
      if (!belay || !hand || has(setup, 'brake-hitch')) return null;
      return grown(setup, {
        attachments: [
          {
            id: 'brake-hitch',
            label: 'Hitch on the brake strand',
            use: 'backup',
            job: null,
            root: onHarness(hand, 'leg-loop'),
            pieces: [connector('brake-hitch-connector')],
            end: hitch('brake-hitch-cord', strandsOf(belay)),
          },
        ],
      });
    },
  },
  {
    id: 'foot-loop',
    label: 'a foot loop at the upper grip',
    backsUp: false,
    needs: ['a sling as long as from the sole to just above the tie-in'],
    defeats: [],
    reasons: ['lets you stand up and push the other one along'],
    against: ['it is no attachment'],
    add: (setup) => {
      const main = climbsAlone(setup);
      if (!main || setup.job !== 'ascend' || main.root.kind !== 'harness' || has(setup, 'foot-loop')) return null;
      const line = linesOf(indexOf(setup), main.end)[0]!;
      const upper = indexOf(setup)
        .along(line.id)
        .find((a) => a.use !== 'aid' && mainConnector(a) !== null);
      const at = upper ? mainConnector(upper) : null;
      if (!at) return null;
      const loop = sling('foot-sling');
      return grown(setup, {
        attachments: [
          {
            id: 'foot-loop',
            label: 'Foot loop',
            use: 'aid',
            job: null,
            root: onHarness(main.root.person, 'foot'),
            pieces: [{ ...loop, method: 'girth' }],
            end: { id: 'foot-loop-end', kind: 'clip', to: at.id },
          },
        ],
      });
    },
  },
  {
    id: 'second-grab',
    label: 'a second grab above, on a tether of its own',
    backsUp: true,
    needs: [
      'a grab or clamp made for this rope and use',
      'a tether within reach when it is loaded',
      'teeth on the lower one, or a gap that the rope does not give',
    ],
    defeats: [
      'sliding onto the one below and pushing it open',
      'a hand that closes around it',
      'whatever takes the rope or the anchor',
    ],
    reasons: ['holds when the other device opens or was not closed', 'nothing to tend but the one more drag'],
    against: ['both are on one rope', 'one more thing that can catch the chin, the helmet or the other device'],
    add: (setup) => {
      const main = climbsAlone(setup);
      if (!main || main.root.kind !== 'harness' || has(setup, 'grab')) return null;
      return grown(setup, {
        attachments: [grab('grab', 'Second grab', main.root.person, strandsOf(main))],
        before: { grab: main.id },
      });
    },
  },
  {
    id: 'grab-second-rope',
    label: 'a grab on a second rope',
    backsUp: true,
    needs: ['a second fixed rope on points of its own', 'a grab made for that rope'],
    defeats: ['both ropes over the same edge'],
    reasons: ['survives the loss of rope, device and anchor points', 'neither grab can slide onto the other'],
    against: ['two ropes to hang, and two that can twist'],
    add: (setup) => {
      const main = climbsAlone(setup);
      if (!main || main.root.kind !== 'harness' || has(setup, 'grab2')) return null;
      return grown(setup, {
        anchors: [anchor('anchor4')],
        lines: [fixed('rope4', 'anchor4')],
        attachments: [grab('grab2', 'Grab on the second rope', main.root.person, [on('rope4', 'main')])],
      });
    },
  },
  {
    id: 'lanyard',
    label: 'a lanyard to the anchor',
    backsUp: false,
    needs: ['a sling and a locking connector of its own'],
    defeats: ['forgotten, it holds you up; clipped to a gear loop it holds nothing'],
    reasons: ['holds while everything else is rigged and tried'],
    against: [],
    add: (setup) => {
      const first = setup.attachments.find((a) => a.root.kind === 'harness' && a.use === 'carries');
      const at = setup.lines[0]!.anchor;
      if (first?.root.kind !== 'harness' || has(setup, 'lanyard')) return null;
      return grown(setup, {
        attachments: [
          {
            id: 'lanyard',
            label: 'Lanyard',
            use: 'tether',
            job: null,
            root: onHarness(first.root.person),
            pieces: [sling('lanyard-sling'), connector('lanyard-connector')],
            end: { id: 'lanyard-end', kind: 'clip', to: at },
          },
        ],
      });
    },
  },
  {
    id: 'second-connector',
    label: 'a second connector beside the first',
    backsUp: false,
    needs: ['room for both in the device', 'gates opposed and reversed'],
    defeats: ['both gates on one side'],
    reasons: ['adds friction', 'one push does not open both'],
    against: ['rope drags at the top, where it is heavy'],
    add: (setup) => {
      const main = setup.attachments.find((a) => a.id === 'main');
      const first = main ? mainConnector(main) : null;
      if (!main || !first || besideConnector(main)) return null;
      const pieces = [...main.pieces, connector('extraConnector', first.id)];
      return {
        ...setup,
        attachments: setup.attachments.map((a) => (a === main ? { ...a, pieces } : a)),
      };
    },
  },
];

export const variation = (id: VariationId): Variation => VARIATIONS.find((v) => v.id === id)!;
/** What can be added to this rig. */
export const variationsFor = (setup: Setup): Variation[] => VARIATIONS.filter((v) => v.add(setup) !== null);

/** Something that can be taken away, by its id. */
export interface Removable {
  readonly id: Ref;
  readonly label: string;
}

/** What this rig can do without: backups, tethers, a second connector, the extension. */
export function removablesOf(setup: Setup): Removable[] {
  return setup.attachments.flatMap((a): Removable[] => [
    ...(a.use === 'backup' || a.use === 'tether' || a.use === 'aid' ? [{ id: a.id, label: a.label }] : []),
    ...a.pieces.flatMap((p): Removable[] => {
      if (p.kind === 'connector' && p.beside !== null) return [{ id: p.id, label: 'Second connector' }];
      return p.kind === 'sling' && a.use === 'carries'
        ? [{ id: p.id, label: a.id === 'main' ? 'Extension' : `Sling of the ${a.label.toLowerCase()}` }]
        : [];
    }),
  ]);
}

/**
 * The rig without one attachment or piece, and without what was there for it alone: what hangs on it, its line, the anchor of that line, and
 * whoever the job does not need and nothing else uses.
 */
export function without(setup: Setup, id: Ref): Setup {
  const whole = setup.attachments.find((a) => a.id === id);
  if (!whole) {
    const attachments = setup.attachments.map((a) =>
      a.pieces.some((p) => p.id === id) ? { ...a, pieces: a.pieces.filter((p) => p.id !== id) } : a,
    );
    return { ...setup, attachments };
  }
  const index = indexOf(setup);
  const added = linesOf(index, whole.end).filter((l) => l !== setup.lines[0] && isAdded(setup, l));
  const gone = new Set<Ref>([
    id,
    ...added.flatMap((l) => index.along(l.id).map((a) => a.id)),
    ...setup.attachments.flatMap((a) =>
      a.root.kind === 'part' &&
      (whole.end.id === a.root.part || whole.pieces.some((p) => a.root.kind === 'part' && p.id === a.root.part))
        ? [a.id]
        : [],
    ),
    // What is clipped to it goes as well.
    ...setup.attachments.flatMap((a) => {
      const { end } = a;
      return end.kind === 'clip' && (end.to === whole.end.id || whole.pieces.some((p) => p.id === end.to))
        ? [a.id]
        : [];
    }),
  ]);
  const attachments = setup.attachments.filter((a) => !gone.has(a.id));
  const lines = setup.lines.filter((l) => !added.includes(l));
  const anchors = setup.anchors.filter((x) => lines.some((l) => l.anchor === x.id));
  const ofJob = new Set(
    templateOf(setup)
      .parts()
      .persons.map((p) => p.id),
  );
  const used = (p: RigPerson) =>
    ofJob.has(p.id) ||
    attachments.some(
      (a) =>
        (a.root.kind === 'harness' && a.root.person === p.id) ||
        (a.end.kind === 'device' && a.end.hand === p.id) ||
        (a.end.kind === 'hand' && a.end.by === p.id),
    );
  return {
    ...setup,
    attachments,
    lines,
    anchors,
    persons: setup.persons.filter(used),
    along: Object.fromEntries(
      Object.entries(setup.along)
        .filter(([line]) => lines.some((l) => l.id === line))
        .map(([line, order]) => [line, order.filter((a) => !gone.has(a))]),
    ),
  };
}

/** A line that came with a variation: nothing on it carries by itself. */
const isAdded = (setup: Setup, line: RigLine): boolean =>
  indexOf(setup)
    .along(line.id)
    .every((a) => a.use !== 'carries');
