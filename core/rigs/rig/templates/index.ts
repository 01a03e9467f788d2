import type { ElementId } from '../../../foundations/finding/index.ts';
import type { Job } from '../../../things/gear/index.ts';
import { CALL_IDS } from '../call-ids.ts';
import { type Attachment } from '../attachment-elements.ts';
import { type RigAnchor, type RigLine } from '../line-elements.ts';
import { type Calls, type RigPerson } from '../person-elements.ts';
import { type Site } from '../site-elements.ts';
import { type Tree } from '../tree-elements.ts';
import type { Setup } from '../model.ts';
import type { TemplateId } from '../template-facts.ts';
import {
  alongOf,
  anchor,
  deviceOn,
  deviceOnExtension,
  doubled,
  fixed,
  hitchAbove,
  hitchBelowAttachment,
  knotBelowAttachment,
  led,
  on,
  onAnchor,
  onHarness,
  over,
  person,
  secondLink,
  shortLink,
  straight,
  tiedIn,
} from './build.ts';

/** How a rig is drawn. */
export type Scene = 'hanging' | 'from-below' | 'device-above' | 'tree';

export interface Template {
  readonly id: TemplateId;
  readonly job: Job;
  /** As an answer to "What are you going to do?". */
  readonly label: string;
  readonly scene: Scene;
  /** What a person does in it, where the role alone does not tell. */
  readonly who: Readonly<Record<ElementId, string>>;
  readonly site: Partial<Site>;
  readonly parts: () => {
    readonly persons: RigPerson[];
    readonly anchors?: RigAnchor[];
    readonly lines: RigLine[];
    readonly attachments: Attachment[];
  };
}

const both = [on('rope', 'both')];
const main = [on('rope', 'main')];
const climberAnd = (other: ElementId, role: RigPerson['role']) => [person('climber', 'climber'), person(other, role)];
const rappel = { climber: 'Who goes down', partner: 'Partner' } as const;

/** A top rope, and lowering over it from the ground: the same rig, another job. */
const overTheTop = (): ReturnType<Template['parts']> => ({
  persons: climberAnd('belayer', 'belayer'),
  lines: [over()],
  attachments: [
    tiedIn('climber', on('rope', 'a')),
    deviceOn(onHarness('belayer'), [on('rope', 'b')], 'belayer', 'Belay device'),
  ],
});
const fromAbove = (role: RigPerson['role']): ReturnType<Template['parts']> => ({
  persons: [person('climber', role), person('belayer', 'belayer')],
  lines: [straight()],
  attachments: [
    deviceOn(onAnchor(), [on('rope', 'brake')], 'belayer', 'Device at the anchor'),
    tiedIn('climber', on('rope', 'load')),
  ],
});
const upOneLine = (root = onHarness('climber')): ReturnType<Template['parts']> => ({
  persons: climberAnd('partner', 'partner'),
  lines: [fixed()],
  attachments: [deviceOn(root, main, null)],
});

export const TEMPLATES = {
  'rappel-double': {
    id: 'rappel-double',
    job: 'rappel-double',
    label: 'Rappel on two strands',
    scene: 'hanging',
    who: rappel,
    site: {},
    parts: () => ({
      persons: climberAnd('partner', 'partner'),
      lines: [doubled()],
      attachments: [deviceOnExtension(both), hitchBelowAttachment(both)],
    }),
  },
  'rappel-single': {
    id: 'rappel-single',
    job: 'rappel-single',
    label: 'Rappel on one strand',
    scene: 'hanging',
    who: rappel,
    site: {},
    parts: () => ({
      persons: climberAnd('partner', 'partner'),
      lines: [fixed()],
      attachments: [deviceOnExtension(main), hitchBelowAttachment(main)],
    }),
  },
  'rappel-fixed': {
    id: 'rappel-fixed',
    job: 'rappel-fixed',
    label: 'Rappel on a fixed line',
    scene: 'hanging',
    who: rappel,
    site: {},
    parts: () => ({
      persons: climberAnd('partner', 'partner'),
      lines: [fixed()],
      attachments: [deviceOnExtension(main), hitchBelowAttachment(main)],
    }),
  },
  lower: {
    id: 'lower',
    job: 'lower',
    label: 'Lower a person from an anchor',
    scene: 'device-above',
    who: { climber: 'Who is lowered', belayer: 'Who lowers' },
    site: {},
    parts: () => fromAbove('climber'),
  },
  'lower-ground': {
    id: 'lower-ground',
    job: 'lower',
    label: 'Lower a climber from the ground',
    scene: 'from-below',
    who: { climber: 'Who is lowered', belayer: 'Who lowers' },
    site: { edge: 'none' },
    parts: overTheTop,
  },
  'belay-top-rope': {
    id: 'belay-top-rope',
    job: 'belay-top-rope',
    label: 'Belay on a top rope',
    scene: 'from-below',
    who: { climber: 'Who climbs', belayer: 'Who belays' },
    site: { edge: 'none' },
    parts: overTheTop,
  },
  'belay-leader': {
    id: 'belay-leader',
    job: 'belay-leader',
    label: 'Belay a leader',
    scene: 'from-below',
    who: { climber: 'Who leads', belayer: 'Who belays' },
    site: {},
    parts: () => ({
      persons: climberAnd('belayer', 'belayer'),
      lines: [led()],
      attachments: [
        tiedIn('climber', on('rope', 'climber')),
        deviceOn(onHarness('belayer'), [on('rope', 'belayer')], 'belayer', 'Belay device'),
      ],
    }),
  },
  'belay-second': {
    id: 'belay-second',
    job: 'belay-second',
    label: 'Belay a second from above',
    scene: 'device-above',
    who: { climber: 'Who follows', belayer: 'Who belays' },
    site: {},
    parts: () => fromAbove('second'),
  },
  'belay-seconds': {
    id: 'belay-seconds',
    job: 'belay-seconds',
    label: 'Belay two seconds from above',
    scene: 'device-above',
    who: { climber: 'Who follows', second: 'Who follows as well', belayer: 'Who belays' },
    site: {},
    parts: () => ({
      persons: [person('climber', 'second'), person('second', 'second'), person('belayer', 'belayer')],
      lines: [straight(), straight('rope2')],
      attachments: [
        deviceOn(onAnchor(), [on('rope', 'brake'), on('rope2', 'brake')], 'belayer', 'Device at the anchor'),
        tiedIn('climber', on('rope', 'load')),
        tiedIn('second', on('rope2', 'load')),
      ],
    }),
  },
  ascend: {
    id: 'ascend',
    job: 'ascend',
    label: 'Ascend a rope',
    scene: 'hanging',
    who: { climber: 'Who goes up', partner: 'Partner' },
    site: {},
    parts: () => {
      const one = upOneLine();
      return { ...one, attachments: [hitchAbove(main), ...one.attachments] };
    },
  },
  'self-belay-top-rope': {
    id: 'self-belay-top-rope',
    job: 'self-belay-top-rope',
    label: 'Self-belay on a top rope',
    scene: 'hanging',
    who: { climber: 'Who climbs', partner: 'Partner' },
    site: {},
    parts: () => {
      const one = upOneLine();
      return { ...one, attachments: [...one.attachments, knotBelowAttachment('device', main[0]!)] };
    },
  },
  'tree-stationary': {
    id: 'tree-stationary',
    job: 'tree-stationary',
    label: 'Climb a stationary line in a tree',
    scene: 'tree',
    who: { climber: 'Who climbs', partner: 'Partner' },
    site: { edge: 'none', steepness: 'free' },
    parts: () => upOneLine(onHarness('climber', 'bridge')),
  },
  'tree-moving': {
    id: 'tree-moving',
    job: 'tree-moving',
    label: 'Climb a moving, doubled line in a tree',
    scene: 'tree',
    who: { climber: 'Who climbs', partner: 'Partner' },
    site: { edge: 'none', steepness: 'free' },
    parts: () => ({
      persons: climberAnd('partner', 'partner'),
      lines: [over()],
      attachments: [
        tiedIn('climber', on('rope', 'a')),
        deviceOn(onHarness('climber', 'bridge'), [on('rope', 'b')], null),
      ],
    }),
  },
  'tree-rappel': {
    id: 'tree-rappel',
    job: 'rappel-fixed',
    label: 'Rappel from a tree on the stationary line',
    scene: 'tree',
    who: rappel,
    site: { edge: 'none', steepness: 'free' },
    parts: () => ({
      persons: climberAnd('partner', 'partner'),
      lines: [fixed()],
      // The climbing hitch stays on above the device; each hangs on a bridge.
      attachments: [
        { ...hitchAbove(main), root: onHarness('climber', 'bridge') },
        { ...deviceOnExtension(main), root: onHarness('climber', 'bridge') },
      ],
    }),
  },
  'pick-off': {
    id: 'pick-off',
    job: 'pick-off',
    label: 'Pick off a casualty',
    scene: 'hanging',
    who: { climber: 'Who rescues', casualty: 'Who is brought down' },
    site: {},
    parts: () => ({
      persons: [person('climber', 'rescuer'), person('casualty', 'casualty')],
      lines: [fixed()],
      attachments: [
        deviceOn(onHarness('climber'), main, 'climber'),
        shortLink('casualty', 'deviceConnector'),
        secondLink('casualty', 'harness'),
      ],
    }),
  },
} as const satisfies Record<TemplateId, Template>;

export const templateOf = ({ template }: Pick<Setup, 'template'>): Template => TEMPLATES[template];
/** The template that a job begins with, where nothing else is said. */
export const templateFor = (job: Job): Template => TEMPLATES[job];

export const BLANK_SITE: Site = {
  anchorHeightM: 25,
  stanceHeightM: 0,
  extraLineM: 0,
  edge: 'unknown',
  slant: 'unknown',
  steepness: 'steep',
  weather: 'dry',
  tree: null,
};

/** A tree of which nothing is said yet. */
export const BLANK_TREE: Tree = {
  tried: 'unknown',
  triedKg: null,
  overLimb: 'unknown',
  redirectDeg: null,
  deviceLies: 'unknown',
  limbs: [{ id: 'limb', outM: null, belowM: null, riseDeg: 0 }],
  comingBack: 'unknown',
  second: 'unknown',
  saw: 'unknown',
  bridge: 'unknown',
  eyes: 'unknown',
};

/** Nothing agreed yet; every call has its usual word. */
export const BLANK_CALLS: Calls = {
  by: 'unknown',
  down: 'unknown',
  words: Object.fromEntries(CALL_IDS.map((id) => [id, ''])) as Calls['words'],
};

/** A new set-up in which nothing is chosen or said yet, so that its verdict is *not tested*. */
export function blankSetup(id: TemplateId, own: { id: string; name: string; now: string }): Setup {
  const template: Template = TEMPLATES[id];
  const { persons, anchors = [anchor()], lines, attachments } = template.parts();
  return {
    id: own.id,
    name: own.name,
    job: template.job,
    template: id,
    createdAt: own.now,
    updatedAt: own.now,
    site: { ...BLANK_SITE, ...template.site, tree: template.scene === 'tree' ? BLANK_TREE : null },
    calls: BLANK_CALLS,
    persons,
    anchors,
    lines,
    attachments,
    along: alongOf(lines, attachments),
    tests: [],
    taken: null,
    note: '',
  };
}
