import { isObject, type Json } from './json.ts';

/*
 * From version 3 to 4: the list of fields of a doubled rappel, and the choices of the other jobs, become rigs. What has
 * not the shape of version 3 is left as it is, and what version 3 did not know is kept: the schema refuses both
 * afterwards.
 */

/** What these parts hold beside the keys that are taken out of them, under their names. */
const unread = (parts: Readonly<Record<string, readonly [part: Json, keys: string]>>): Json =>
  Object.fromEntries(
    Object.entries(parts).flatMap(([name, [part, keys]]) => {
      const rest = Object.entries(part).filter(([key]) => !keys.split(' ').includes(key));
      return rest.length === 0 ? [] : [[name, Object.fromEntries(rest)]];
    }),
  );
const PEOPLE = 'climber partner';
const GEAR = 'ropeA ropeB device deviceConnector extraConnector extension hitchCord hitchConnector harness';
const RIG =
  'ropeUse middleMissM joiningKnot ends deviceStrands ropeOverEnd deviceGate deviceGateFaces extensionMethod extensionKnots ' +
  'extensionMeasuredMm hitchKind hitchWraps hitchStrands hitchEyes hitchAt hitchGate hitchGateFaces';
const QUESTION = 'job heightM weather climber belayer';
const CHOSEN = 'ropeA ropeB device connector hitchCord';

const HARNESS_OF_PARTNER = {
  harness: null,
  harnessId: 'partner-harness',
  handId: 'partner-hand',
  legLoopId: 'partner-legLoop',
};
const person = (id: string, role: string, item: unknown, harness: unknown = null): Json =>
  id === 'climber'
    ? { id, role, item, harness, harnessId: 'harness', handId: 'brakeHand', legLoopId: 'legLoop' }
    : { id, role, item, harness, harnessId: `${id}-harness`, handId: `${id}-hand`, legLoopId: `${id}-legLoop` };

const connector = (id: string, more: Json = {}): Json => ({
  id,
  kind: 'connector',
  item: null,
  planned: null,
  loadedEnd: 'unknown',
  gate: 'unknown',
  faces: 'unknown',
  beside: null,
  opposed: 'unknown',
  ...more,
});
const sling = (more: Json = {}): Json => ({
  id: 'extension',
  kind: 'sling',
  item: null,
  method: 'basket',
  knots: 0,
  measuredMm: null,
  ...more,
});
const on = (strand: string, line = 'rope') => ({ line, strand });
const device = (where: Json[], hand: string | null, more: Json = {}): Json => ({
  id: 'device',
  kind: 'device',
  item: null,
  on: where,
  strands: 'unknown',
  hand,
  brakeLed: 'unknown',
  ...more,
});
const hitch = (where: Json[], more: Json = {}): Json => ({
  id: 'hitch',
  kind: 'hitch',
  item: null,
  hitch: 'autoblock',
  wraps: 4,
  strands: 'unknown',
  eyes: 'unknown',
  on: where,
  ...more,
});
const harness = (of: string, point = 'belay-loop'): Json => ({ kind: 'harness', person: of, point });
const attachment = (id: string, label: string, use: string, root: Json, pieces: Json[], end: Json): Json => ({
  id,
  label,
  use,
  job: null,
  root,
  pieces,
  end,
});
const doubledLine = (more: Json): Json => ({
  id: 'rope',
  kind: 'doubled',
  anchor: 'anchor',
  use: 'folded',
  ropeA: { id: 'ropeA', item: null },
  ropeB: { id: 'ropeB', item: null },
  joint: { id: 'joiningKnot', knot: 'unknown' },
  middleMissM: 0.5,
  ends: { id: 'ropeEnds', state: 'unknown' },
  ...more,
});

/** A doubled rappel of version 3, or a choice among the set-ups. */
export function setup4(setup: Json): Json {
  if ('question' in setup) return choice4(setup);
  const { situation, people, gear, rig, ...kept } = setup;
  if (!isObject(situation) || !isObject(people) || !isObject(gear) || !isObject(rig)) return setup;
  const { anchorRope, anchorPoints, ...site } = situation;
  const both = [on('both')];
  const extra = gear.extraConnector;
  return {
    ...kept,
    ...unread({ people: [people, PEOPLE], gear: [gear, GEAR], rig: [rig, RIG] }),
    template: 'rappel-double',
    site,
    persons: [
      person('climber', 'climber', people.climber, gear.harness),
      { id: 'partner', role: 'partner', item: people.partner, ...HARNESS_OF_PARTNER },
    ],
    anchors: [{ id: 'anchor', through: anchorRope, points: anchorPoints }],
    lines: [
      doubledLine({
        use: rig.ropeUse,
        ropeA: { id: 'ropeA', item: gear.ropeA },
        ropeB: { id: 'ropeB', item: gear.ropeB },
        joint: { id: 'joiningKnot', knot: rig.joiningKnot },
        middleMissM: rig.middleMissM,
        ends: { id: 'ropeEnds', state: rig.ends },
      }),
    ],
    attachments: [
      attachment(
        'main',
        'Device',
        'carries',
        harness('climber'),
        [
          sling({
            item: gear.extension,
            method: rig.extensionMethod,
            knots: rig.extensionKnots,
            measuredMm: rig.extensionMeasuredMm,
          }),
          connector('deviceConnector', {
            item: gear.deviceConnector,
            loadedEnd: rig.ropeOverEnd,
            gate: rig.deviceGate,
            faces: rig.deviceGateFaces,
          }),
          ...(extra === null ? [] : [connector('extraConnector', { item: extra, beside: 'deviceConnector' })]),
        ],
        device(both, 'climber', { item: gear.device, strands: rig.deviceStrands }),
      ),
      attachment(
        'below',
        'Hitch below the device',
        'backup',
        harness('climber', String(rig.hitchAt)),
        [connector('hitchConnector', { item: gear.hitchConnector, gate: rig.hitchGate, faces: rig.hitchGateFaces })],
        hitch(both, {
          item: gear.hitchCord,
          hitch: rig.hitchKind,
          wraps: rig.hitchWraps,
          strands: rig.hitchStrands,
          eyes: rig.hitchEyes,
        }),
      ),
    ],
    along: { rope: ['main', 'below'] },
    tests: [],
    taken: null,
  };
}

/** Families behind which version 3 put a hitch on a rappel: those that let the rope run. */
const RUNS = new Set([
  'tube-grooved',
  'tube-plain',
  'guide-plate',
  'plain-eight',
  'eared-eight',
  'munter',
  'two-sided-plate',
]);
const TREES = new Set(['tree-stationary', 'tree-moving']);
const ONE_LINE = new Set([
  'rappel-single',
  'rappel-fixed',
  'ascend',
  'self-belay-top-rope',
  'tree-stationary',
  'pick-off',
]);

const simpleLine = (kind: string, rope: unknown, id = 'rope'): Json => ({
  id,
  anchor: 'anchor',
  rope: { id: id === 'rope' ? 'ropeA' : `${id}-rope`, item: rope },
  end: { id: id === 'rope' ? 'ropeEnds' : `${id}-end`, state: 'unknown' },
  kind,
  ...(kind === 'fixed'
    ? { fastening: { id: 'fastening', how: 'unknown', backup: 'unknown', strand: 'unknown' } }
    : kind === 'led'
      ? { runners: [] }
      : {}),
});
const tieIn = (of: string, where: Json): Json =>
  attachment(`${of}-tie-in`, 'Tie-in', 'carries', harness(of, 'tie-in'), [], {
    id: `${of}-tie-in-knot`,
    kind: 'knot',
    knot: 'unknown',
    on: [where],
  });

interface Layout {
  readonly persons: Json[];
  readonly lines: Json[];
  readonly main: Json[];
  readonly root: Json;
  readonly hand: string | null;
  readonly others: Json[];
  /** Before the device along the line from the anchor down? */
  readonly label: string;
}

function layoutOf(job: string, question: Json, gear: Json): Layout {
  const { ropeA, ropeB } = gear;
  const who = (role: string) => person('climber', role, question.climber);
  const partner = person('partner', 'partner', question.belayer);
  const belayer = person('belayer', 'belayer', question.belayer);
  if (ONE_LINE.has(job)) {
    const rescue = job === 'pick-off';
    return {
      persons: rescue
        ? [who('rescuer'), person('casualty', 'casualty', null), ...(question.belayer === null ? [] : [partner])]
        : [who('climber'), partner],
      lines: [simpleLine('fixed', ropeA)],
      main: [on('main')],
      root: harness('climber', TREES.has(job) ? 'bridge' : 'belay-loop'),
      hand: rescue || job.startsWith('rappel') ? 'climber' : null,
      others: [],
      label: 'Device',
    };
  }
  if (job === 'rappel-double')
    return {
      persons: [who('climber'), partner],
      lines: [
        doubledLine({
          use: ropeB === null ? 'folded' : 'joined',
          ropeA: { id: 'ropeA', item: ropeA },
          ropeB: { id: 'ropeB', item: ropeB },
        }),
      ],
      main: [on('both')],
      root: harness('climber'),
      hand: 'climber',
      others: [],
      label: 'Device',
    };
  if (job === 'tree-moving')
    return {
      persons: [who('climber'), partner],
      lines: [simpleLine('over', ropeA)],
      main: [on('b')],
      root: harness('climber', 'bridge'),
      hand: null,
      others: [tieIn('climber', on('a'))],
      label: 'Device',
    };
  if (job === 'belay-top-rope' || job === 'belay-leader') {
    const led = job === 'belay-leader';
    return {
      persons: [who('climber'), belayer],
      lines: [simpleLine(led ? 'led' : 'over', ropeA)],
      main: [on(led ? 'belayer' : 'b')],
      root: harness('belayer'),
      hand: 'belayer',
      others: [tieIn('climber', on(led ? 'climber' : 'a'))],
      label: 'Belay device',
    };
  }
  const two = job === 'belay-seconds';
  return {
    persons: [who(job === 'lower' ? 'climber' : 'second'), ...(two ? [person('second', 'second', null)] : []), belayer],
    lines: [simpleLine('straight', ropeA), ...(two ? [simpleLine('straight', ropeB, 'rope2')] : [])],
    main: [on('brake'), ...(two ? [on('brake', 'rope2')] : [])],
    root: { kind: 'anchor', anchor: 'anchor' },
    hand: 'belayer',
    others: [tieIn('climber', on('load')), ...(two ? [tieIn('second', on('load', 'rope2'))] : [])],
    label: 'Device at the anchor',
  };
}

/**
 * A choice of version 3 becomes a set-up of its job: `way` is what was planned, `findings` what was found when it was
 * taken.
 */
function choice4(choice: Json): Json {
  const { question, gear, way, hitchKind, hitchWraps, findings, tests, ...kept } = choice;
  if (!isObject(question) || !isObject(gear) || typeof question.job !== 'string') return choice;
  const { job } = question;
  const { persons, lines, main, root, hand, others, label } = layoutOf(job, question, gear);
  const rappel = job.startsWith('rappel');
  const family = isObject(gear.device) ? gear.device.family : null;
  const hitched =
    gear.hitchCord !== null || (rappel && (family === null || (typeof family === 'string' && RUNS.has(family))));
  const attachments = [
    attachment(
      'main',
      label,
      'carries',
      root,
      [...(rappel ? [sling()] : []), connector('deviceConnector', { item: gear.connector, planned: way })],
      device(main, hand, { item: gear.device }),
    ),
    ...others,
    ...(hitched
      ? [
          attachment(
            'below',
            'Hitch below the device',
            'backup',
            harness(hand === 'belayer' ? 'belayer' : 'climber', 'leg-loop'),
            [connector('hitchConnector')],
            hitch(main, { item: gear.hitchCord, hitch: hitchKind, wraps: hitchWraps }),
          ),
        ]
      : []),
  ];
  const onLine = (line: unknown, a: Json) =>
    isObject(a.end) && Array.isArray(a.end.on) && a.end.on.some((o: unknown) => isObject(o) && o.line === line);
  const isPlaced = (item: unknown) =>
    item === null || lines.some((l) => JSON.stringify(l).includes(JSON.stringify(item)));
  return {
    ...kept,
    ...unread({ question: [question, QUESTION], gear: [gear, CHOSEN] }),
    ...(isPlaced(gear.ropeB) ? {} : { note: withSecondRope(kept.note, gear.ropeB) }),
    job,
    template: job,
    site: {
      anchorHeightM: question.heightM,
      stanceHeightM: 0,
      extraLineM: 0,
      edge: 'unknown',
      steepness: TREES.has(job) ? 'free' : 'steep',
      weather: question.weather,
    },
    persons,
    anchors: [{ id: 'anchor', through: 'unknown', points: 'unknown' }],
    lines,
    attachments,
    along: Object.fromEntries(lines.map((l) => [l.id, attachments.filter((a) => onLine(l.id, a)).map((a) => a.id)])),
    tests,
    taken: { at: choice.createdAt, findings },
  };
}

/**
 * A second rope that the rig of the job has no place for is kept by its name; at most 2000 characters fit in a note.
 */
const withSecondRope = (note: unknown, rope: unknown): string =>
  `${typeof note === 'string' && note !== '' ? `${note.slice(0, 1850)}\n` : ''}Second rope: ${isObject(rope) ? String(rope.name) : ''}`;

/**
 * The lists of a workspace with its choices behind its set-ups; a choice whose id a set-up has already gets another
 * one.
 */
export function choicesAmongSetups(lists: Json): Json {
  const { choices, ...others } = lists;
  if (!Array.isArray(lists.setups) || !Array.isArray(choices)) return lists;
  const ids = new Set(lists.setups.map((s) => (isObject(s) ? s.id : undefined)));
  const moved = choices.map((c: unknown) =>
    isObject(c) && ids.has(c.id) ? { ...c, id: `${String(c.id).slice(0, 57)}-choice` } : c,
  );
  return { ...others, setups: [...(lists.setups as unknown[]), ...moved] };
}
