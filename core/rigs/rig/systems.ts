import type { ElementId } from '../../foundations/finding/index.ts';
import type { Attachment } from './attachment-elements.ts';
import type { Setup } from './model.ts';
import type { TemplateId } from './template-facts.ts';
import { alongOf, connector, device, fixed, footLoop, hitch, on, onTether, slingPiece } from './templates/build.ts';
import { blankSetup, templateOf } from './templates/index.ts';
import { removablesOf, variation, without, type VariationId } from './variations/index.ts';

/**
 * One of the usual ways of building a whole rig for a job: what grips the rope, in which order, on what it hangs.
 * Common practice (`practice-ascending`, `practice-self-belay`).
 */
export interface System {
  readonly id: SystemId;
  readonly templates: readonly TemplateId[];
  readonly label: string;
  /** In one sentence, how it is used. */
  readonly says: string;
  readonly build: (setup: Setup) => Setup;
}

export const SYSTEM_IDS = [
  'clamps',
  'capture',
  'hitches',
  'squeeze',
  'grab-knots',
  'two-grabs',
  'two-ropes',
  'two-ropes-hitches',
  'rope-walk',
  'limb-walk',
  'free-hands',
] as const;
export type SystemId = (typeof SYSTEM_IDS)[number];

/** The rig as its template begins, on the first line; what carries keeps its id, so that gear chosen for it stays. */
function bare(setup: Setup): Setup {
  const plain = removablesOf(setup)
    .filter(({ id }) => setup.attachments.some((a) => a.id === id))
    .reduce((rest, { id }) => without(rest, id), setup);
  const first = blankSetup(setup.template, { id: setup.id, name: setup.name, now: setup.createdAt });
  const main = first.attachments.find((a) => a.id === 'main')!;
  return placed(plain, [main], setup);
}

/**
 * The rig with these attachments, from above; ends and pieces that it had under the same id and of the same kind stay
 * as they were.
 */
function placed(setup: Setup, attachments: readonly Attachment[], had: Setup, order?: Setup['along']): Setup {
  const before = new Map<ElementId, Attachment['end'] | Attachment['pieces'][number]>(
    had.attachments.flatMap((a) => [a.end, ...a.pieces].map((part) => [part.id, part] as const)),
  );
  const kept = <T extends { readonly id: ElementId; readonly kind: string }>(part: T): T => {
    const old = before.get(part.id);
    if (old?.kind !== part.kind) return part;
    // Where it sits on the rope, and what it is clipped to, follows from the new rig.
    return {
      ...old,
      ...('on' in part ? { on: part.on } : {}),
      ...('to' in part ? { to: part.to } : {}),
    } as unknown as T;
  };
  const whole = attachments.map((a) => ({ ...a, pieces: a.pieces.map(kept), end: kept(a.end) }));
  return { ...setup, attachments: whole, along: order ?? alongOf(setup.lines, whole) };
}

const added = (ids: readonly VariationId[]) => (setup: Setup) => {
  const grown = ids.reduce((rig, id) => variation(id).add(rig) ?? rig, bare(setup));
  return placed(grown, grown.attachments, setup, grown.along);
};

const main = [on('rope', 'main')];
const who = (setup: Setup): ElementId => templateOf(setup).parts().persons[0]!.id;

/** Two that grip the rope, each on a sling of its own, the foot loop at the lower one. */
const twoOnSlings =
  (ends: (id: ElementId) => Attachment['end'], [high, low]: readonly [string, string]) =>
  (setup: Setup) => {
    const plain = bare(setup);
    const of = who(setup);
    const upper = onTether('above', high, of, ends('above'));
    const lower: Attachment = {
      ...onTether('lower', low, of, ends('lower')),
      use: 'carries',
      // The connector of what carries keeps its name, so that the one chosen for it stays.
      pieces: [slingPiece('lower-tether'), connector('deviceConnector')],
    };
    return placed(plain, [upper, lower, footLoop(of, 'deviceConnector')], setup);
  };

/** The device on a sling of its own between it and the harness. */
function onLongTether(plain: Setup, had: Setup): Setup {
  const [main, ...rest] = plain.attachments;
  return placed(
    plain,
    [{ ...main!, pieces: [{ ...slingPiece('extension'), method: 'girth' }, ...main!.pieces] }, ...rest],
    had,
  );
}

const onBothRopes = (setup: Setup): Setup => {
  const grown = added(['grab-second-rope'])(setup);
  const of = who(setup);
  const tended = (id: ElementId, label: string, line: ElementId): Attachment =>
    onTether(id, label, of, hitch(`${id}-hitch`, [on(line, 'main')]));
  const second = grown.lines.find((l) => l.id !== 'rope')?.id ?? fixed('rope4').id;
  return placed(
    grown,
    [
      ...grown.attachments,
      tended('hitch1', 'Hitch below the first grab', 'rope'),
      tended('hitch2', 'Hitch below the second grab', second),
    ],
    setup,
  );
};

export const SYSTEMS: readonly System[] = [
  {
    id: 'clamps',
    templates: ['ascend'],
    label: 'Two ascenders',
    says: 'Upper one on a tether with the foot loop, lower one at the belay loop: stand up, the lower one follows, sit.',
    build: added(['second-grab', 'foot-loop']),
  },
  {
    id: 'capture',
    templates: ['ascend'],
    label: 'A device that captures, foot loop and hitch',
    says: 'Guide plate, assisted cam or toothed pulley at the belay loop; a hitch on a tether above it carries the foot loop. Knots below can be added.',
    build: added(['hitch-above', 'foot-loop']),
  },
  {
    id: 'hitches',
    templates: ['ascend'],
    label: 'Hitches only',
    says: 'Two hitches, each on a tether of its own; the foot stands in the lower one.',
    build: twoOnSlings((id) => hitch(`${id}-hitch`, main), ['Upper hitch', 'Lower hitch']),
  },
  {
    id: 'squeeze',
    templates: ['ascend'],
    label: 'Two rope grabs that squeeze the rope, on two slings',
    says: 'Each rope grab is on its own sling, and a connector presses the rope in it. The foot stands in the lower one.',
    build: twoOnSlings(
      (id) => device(id === 'lower' ? 'device' : `${id}-device`, main, null),
      ['Upper rope grab', 'Lower rope grab'],
    ),
  },
  {
    id: 'grab-knots',
    templates: ['self-belay-top-rope'],
    label: 'One grab, knots below',
    says: 'One device that runs along, and a knot in the rope below you every few metres.',
    build: added(['knot-below']),
  },
  {
    id: 'two-grabs',
    templates: ['self-belay-top-rope'],
    label: 'Two grabs on one rope',
    says: 'Both run along, each on a tether of its own: one with teeth below, or a gap that the rope does not give.',
    build: added(['second-grab']),
  },
  {
    id: 'two-ropes',
    templates: ['self-belay-top-rope'],
    label: 'A grab on each of two ropes',
    says: 'The second rope on points of its own: neither grab can slide onto the other.',
    build: added(['grab-second-rope']),
  },
  {
    id: 'two-ropes-hitches',
    templates: ['self-belay-top-rope'],
    label: 'Grab and hitch on each of two ropes',
    says: 'Four that grip; the hitches below the grabs stay on for the way down.',
    build: onBothRopes,
  },
  {
    id: 'rope-walk',
    templates: ['tree-stationary'],
    label: 'Walk up the rope',
    says: 'Device high on the chest, taken along by a chest tether; a knee ascender and a foot ascender below it.',
    build: added(['chest-tether', 'knee-ascender', 'foot-ascender']),
  },
  {
    id: 'limb-walk',
    templates: ['tree-stationary'],
    label: 'Out on a limb',
    says: 'Device on a tether as long as one hand reaches; nothing on the line that only goes up.',
    build: (setup) => onLongTether(bare(setup), setup),
  },
  {
    id: 'free-hands',
    templates: ['tree-stationary'],
    label: 'With free hands',
    says: 'Device at the saddle, and a short foot loop in its connector to stand up in.',
    build: (setup) => placed(bare(setup), [...bare(setup).attachments, footLoop(who(setup), 'deviceConnector')], setup),
  },
];

/** Ways of building that there are for this rig. */
export const systemsFor = ({ template }: Pick<Setup, 'template'>): readonly System[] =>
  SYSTEMS.filter((s) => s.templates.includes(template));

/** Which of them this rig is built as, by what is on it and where; null where it is none of them. */
export function systemOf(setup: Setup): System | null {
  const shape = (s: Setup) =>
    JSON.stringify([
      s.attachments.map((a) => [
        a.end.kind,
        a.root,
        a.pieces.map((p) => p.kind),
        a.end.kind === 'clip' ? a.end.to : a.end.on,
      ]),
      s.along,
    ]);
  const now = shape(setup);
  return systemsFor(setup).find((s) => shape(s.build(setup)) === now) ?? null;
}
