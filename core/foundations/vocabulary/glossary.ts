/** One term of the trade, for somebody who begins. */
export interface GlossaryTerm {
  readonly name: string;
  /** What it is, and what it is good for: two or three short sentences. */
  readonly is: string;
  /** What others call it, with where they do. */
  readonly also?: readonly string[];
  /** Other words of a text that mean it; plurals in s are found anyhow. */
  readonly forms?: readonly string[];
  /** So common that it is explained on the page of words only: underlined everywhere it would hide the others. */
  readonly common?: true;
}

type GlossaryGroup = 'Hands and rope' | 'Gear' | 'Devices' | 'Knots' | 'Belaying' | 'Rappelling' | 'Trees' | 'Rescue';

const group = <K extends string>(terms: Readonly<Record<K, GlossaryTerm>>) => terms;

const HANDS = group({
  'brake-hand': {
    name: 'brake hand',
    is: 'The hand on the rope behind the device. It decides whether you stop. It stays closed around the rope all the time.',
  },
  'guide-hand': {
    name: 'guide hand',
    is: 'The hand on the side of the load. It feeds rope and feels it. It stops nobody.',
  },
  'brake-strand': {
    name: 'brake strand',
    also: ['brake rope (US)', 'dead rope (UK)'],
    forms: ['brake rope'],
    is: 'The rope between the device and your brake hand. Pull it back and the device bites.',
  },
  'load-strand': {
    name: 'load strand',
    also: ['live rope (UK)'],
    forms: ['loaded strand'],
    is: 'The rope between the device and the person or weight on it.',
  },
  strand: {
    name: 'strand',
    common: true,
    is: 'One length of rope where it runs past you. A rope folded over a ring hangs in two strands.',
  },
  bight: {
    name: 'bight',
    is: 'A fold of rope that is pushed or pulled through something. The end stays where it is.',
  },
  'hands-off': {
    name: 'hands-off',
    is: 'The device holds with no hand on the rope. Very few do, and only rigged and loaded in the right way.',
  },
  slack: {
    name: 'slack',
    common: true,
    is: 'Rope that hangs loose. You fall as far as it is slack before anything holds.',
  },
  creep: {
    name: 'creep',
    forms: ['creeps', 'creeping'],
    is: 'To slide slowly through a device or a knot that should hold. Test it before you trust it.',
  },
});

const GEAR = group({
  carabiner: {
    name: 'carabiner',
    also: ['carabiner (US)', 'karabiner (UK)'],
    common: true,
    is: 'A metal link with a gate that opens inwards. It is strong along its back, and weak with the gate open or loaded sideways.',
  },
  gate: {
    name: 'gate',
    common: true,
    is: 'The part of a carabiner that opens. With the gate open it holds about a third of its strength.',
  },
  'screw-gate': {
    name: 'screw gate',
    also: ['screw-lock (US)', 'screwgate (UK)'],
    forms: ['screw gates', 'screwgate'],
    is: 'A gate with a sleeve that you screw shut. Running rope and vibration can open it again.',
  },
  'auto-locker': {
    name: 'auto-locker',
    also: ['auto-locking carabiner (US)', 'twist-lock (UK)'],
    forms: ['auto-locking carabiner', 'self-locking'],
    is: 'A carabiner whose gate locks when you let go of it. Check that it really closed.',
  },
  hms: {
    name: 'pear-shaped carabiner',
    also: ['HMS (on the marking)'],
    forms: ['HMS', 'pear-shaped (HMS) carabiner'],
    is: 'A carabiner with one wide end, made so that a Munter hitch can turn over in it.',
  },
  'cross-loading': {
    name: 'cross-loading',
    forms: ['cross-loaded', 'loaded across', 'tri-loading'],
    is: 'Load across a carabiner instead of along its back. It then holds about a third, and the gate can open.',
  },
  harness: {
    name: 'harness',
    common: true,
    is: 'Belt and leg loops that carry you. Which loop carries what stands in its instructions.',
  },
  'belay-loop': {
    name: 'belay loop',
    is: 'The sewn loop at the front of a harness. Your belay or rappel device is clipped to it.',
  },
  'tie-in-points': {
    name: 'tie-in points',
    forms: ['tie-in loops'],
    is: 'The two loops of a harness that the belay loop runs through. The rope is tied through both.',
  },
  'gear-loop': {
    name: 'gear loop',
    is: 'A loop on the belt to carry equipment. It holds a few kilograms, never a person.',
  },
  'leg-loop': {
    name: 'leg loop',
    is: 'The part of a harness around one thigh. A hitch clipped here can come up to the device when the knee rises.',
  },
  sling: {
    name: 'sling',
    also: ['runner (US)', 'sling (UK)'],
    common: true,
    is: 'A loop of sewn tape. It hardly stretches: a fall onto a slack sling hits hard.',
  },
  lanyard: {
    name: 'lanyard',
    also: ['tether (US)', 'cow’s tail (UK)'],
    forms: ['tether'],
    is: 'A short link from your harness to an anchor. Keep it tight: it is not made to be fallen on.',
  },
  dynamic: {
    name: 'dynamic rope',
    is: 'Rope that stretches when it catches a fall, so that the fall is softer. For leading nothing else will do.',
  },
  'low-stretch': {
    name: 'low-stretch rope',
    also: ['static rope (US)', 'semi-static rope (UK)'],
    forms: ['semi-static rope', 'low-stretch'],
    is: 'Rope that stretches little. Good to go up and down on; a fall onto it hits hard.',
  },
  'half-rope': {
    name: 'half rope',
    also: ['double ropes (UK, old)'],
    is: 'One of two thinner ropes. Each piece is clipped to one of them.',
  },
  'twin-rope': {
    name: 'twin rope',
    is: 'One of two thin ropes. Both are clipped to every piece, as if they were one.',
  },
  sheath: {
    name: 'sheath',
    is: 'The woven outside of a rope. It protects the core, and the core carries most of the load.',
  },
  'quick-link': {
    name: 'quick link',
    also: ['quick link (US)', 'maillon (UK)'],
    is: 'A steel link with a nut. It often stays at an anchor to lower or rappel from.',
  },
  kn: {
    name: 'kN',
    forms: ['kilonewton', 'kilonewtons'],
    common: true,
    is: 'Kilonewton, the unit of force on gear. 1 kN is about the weight of 100 kg hanging still.',
  },
});

const DEVICES = group({
  tube: {
    name: 'tube',
    also: ['tuber', 'plate (UK)'],
    common: true,
    is: 'A simple device with one or two slots. It brakes only as hard as your hand pulls.',
  },
  'guide-plate': {
    name: 'guide plate',
    also: ['guide-mode plate'],
    is: 'A tube with an eye. Hung from the anchor by that eye it can hold a second hands-off.',
  },
  'guide-mode': {
    name: 'guide mode',
    is: 'A plate hung from the anchor by its eye. The second’s strand lies on top and pins the brake strand.',
  },
  cam: {
    name: 'assisted cam',
    also: ['assisted-braking device'],
    forms: ['assisted cams', 'assisted-braking device'],
    is: 'A device with a cam that squeezes the rope when it runs fast. Keep the brake hand on: it can fail to bite.',
  },
  eight: {
    name: 'figure-8 descender',
    forms: ['figure-8'],
    is: 'Two rings of metal in one piece, to rappel on. It runs smoothly and twists the rope. Not the knot of the same name.',
  },
  munter: {
    name: 'Munter hitch',
    also: ['Munter hitch (US)', 'Italian hitch (UK)'],
    forms: ['Munter'],
    is: 'A belay tied with the rope alone around a pear-shaped carabiner. It turns over when you change direction.',
  },
  ascender: {
    name: 'ascender',
    is: 'A clamp with teeth that slides up the rope and bites downwards. A hard fall onto it can strip the sheath.',
  },
  'rope-grab': {
    name: 'rope grab',
    is: 'A device without sharp teeth that runs along the rope and stops on it when you load it.',
  },
  capture: {
    name: 'progress-capture device',
    common: true,
    is: 'It lets rope through one way and holds it the other, so that nothing gained is lost.',
  },
  'foot-loop': {
    name: 'foot loop',
    is: 'A loop to stand in while you go up a rope. Your legs do the work instead of your arms.',
  },
});

const KNOTS = group({
  'figure-eight': {
    name: 'figure eight',
    also: ['figure 8 follow-through (US)', 'rethreaded figure of eight (UK)'],
    forms: ['figure-eight knot'],
    is: 'The usual knot to tie in with. You should see five pairs of strands lying side by side.',
  },
  'friction-hitch': {
    name: 'friction hitch',
    also: ['Prusik (often said for all of them)'],
    forms: ['friction hitches', 'Prusik'],
    is: 'A cord wrapped around the rope. It slides when you hold it and bites when it is loaded.',
  },
  backup: {
    name: 'backup',
    also: ['third hand (US, for the hitch below a rappel device)'],
    is: 'Something second that holds when the first lets go. It counts only if it does not fail together with the first.',
  },
  'stopper-knot': {
    name: 'stopper knot',
    is: 'A knot in the end of the rope that cannot slip through the device. It stops you from going off the end.',
  },
  'flat-overhand': {
    name: 'flat overhand',
    also: ['offset overhand'],
    is: 'The usual knot to join two ropes for a rappel. Leave long tails and pull it tight strand by strand.',
  },
  'clove-hitch': {
    name: 'clove hitch',
    is: 'Two turns around a carabiner. You can make it longer or shorter without taking it off.',
  },
  'mule-knot': {
    name: 'mule knot',
    forms: ['slip knot'],
    is: 'A slip knot that ties off a loaded device, and can be pulled open under load.',
  },
  tail: {
    name: 'tail',
    common: true,
    is: 'The rope left over behind a knot. Too short, and the knot can work loose.',
  },
});

const BELAYING = group({
  belay: {
    name: 'belay',
    common: true,
    is: 'To hold a climber’s rope, so that a fall is short.',
  },
  lead: {
    name: 'lead',
    common: true,
    is: 'To climb first, with the rope from below. You clip it to pieces as you go, and fall below the last one.',
  },
  'top-rope': {
    name: 'top rope',
    is: 'The rope runs from the climber up to an anchor and down to the belayer. Falls are short if there is no slack.',
  },
  second: {
    name: 'second',
    also: ['follower (US)'],
    common: true,
    is: 'The person who climbs after the leader, on a rope from above.',
  },
  piece: {
    name: 'piece',
    also: ['protection (US)', 'runner (UK)'],
    common: true,
    is: 'What the leader clips the rope to on the way: a bolt, a nut, a sling on a tree.',
  },
  anchor: {
    name: 'anchor',
    also: ['belay (UK)'],
    common: true,
    is: 'What everything hangs on. Usually two points joined, so that one may fail.',
  },
  'fall-factor': {
    name: 'fall factor',
    is: 'How far you fall, divided by how much rope is out to catch you. The higher, the harder it hits; 2 is the worst.',
  },
  'impact-force': {
    name: 'impact force',
    is: 'The hardest pull on the climber while a fall is caught. The number on a rope comes from a very hard test fall.',
  },
  'shock-load': {
    name: 'shock load',
    is: 'A sudden pull, as when slack comes tight. It can be many times your weight.',
  },
  'rope-drag': {
    name: 'rope drag',
    is: 'Friction where the rope bends over rock and through pieces. It makes the rope heavy and the catch harder.',
  },
  'back-clip': {
    name: 'back-clipped',
    common: true,
    is: 'The rope runs through a quickdraw towards the wall. In a fall it can unclip itself.',
  },
  edge: {
    name: 'edge',
    common: true,
    is: 'Where the rope bends over rock. A loaded rope that saws over a sharp edge can be cut in one swing.',
  },
});

const RAPPELLING = group({
  rappel: {
    name: 'rappel',
    also: ['rappel (US)', 'abseil (UK)'],
    common: true,
    is: 'To go down a rope by letting it run through a device on your harness.',
  },
  extension: {
    name: 'extension',
    is: 'A sling that moves the rappel device away from your harness. It leaves room for a hitch below it.',
  },
  fireman: {
    name: 'fireman’s belay',
    forms: ["fireman's belay"],
    also: ['bottom belay'],
    is: 'A person below holds the rope ends. Pulling them stops the one who rappels.',
  },
  'middle-mark': {
    name: 'middle mark',
    is: 'A mark at half the length of the rope. On two strands it has to lie at the ring, or one end is short.',
  },
  'knot-block': {
    name: 'knot block',
    also: ['carabiner block'],
    forms: ['knot-blocked'],
    is: 'A knot that jams at the ring and holds one strand. You go down that one and pull the other.',
  },
  landing: {
    name: 'landing',
    is: 'Where the rappel ends: the next ledge or the ground.',
  },
});

const TREES = group({
  'tie-in-point': {
    name: 'tie-in point',
    also: ['TIP'],
    is: 'The fork or limb that your climbing line hangs on. Nobody can calculate what it holds: have it inspected.',
  },
  'stationary-line': {
    name: 'stationary line',
    also: ['SRS', 'SRT'],
    is: 'The line hangs still, and you climb along it.',
  },
  'moving-line': {
    name: 'moving line',
    also: ['MRS', 'DdRT'],
    is: 'The line runs over the tie-in point and moves as you climb. Each strand carries about half of you.',
  },
  redirect: {
    name: 'redirect',
    is: 'A second point that the line runs through on its way. If it fails you swing and drop by its slack.',
  },
  'base-tie': {
    name: 'base tie',
    also: ['basal anchor'],
    forms: ['tied at the base'],
    is: 'The line runs over the limb and is tied at the foot of the trunk. The limb then carries up to twice your weight.',
  },
  bridge: {
    name: 'bridge',
    common: true,
    is: 'The cord or strap across the front of a tree harness. Your climbing device slides along it all day and wears it.',
  },
  bollard: {
    name: 'multi-ascender',
    is: 'A tree device that goes up and down one line. It has to be tuned to the rope before you trust it.',
  },
});

const RESCUE = group({
  'pick-off': {
    name: 'pick-off',
    common: true,
    is: 'To reach a person who hangs helpless on a rope, and bring them down with you.',
  },
  'mini-haul': {
    name: 'mini haul',
    is: 'A small 3:1 pulley system. It lifts a casualty just enough to take their device off.',
  },
  tackle: {
    name: 'third-hand tackle',
    common: true,
    is: 'A small tackle that pushes a casualty’s device open in a tree. Not the hitch below a rappel device.',
  },
});

export const GLOSSARY = {
  ...HANDS,
  ...GEAR,
  ...DEVICES,
  ...KNOTS,
  ...BELAYING,
  ...RAPPELLING,
  ...TREES,
  ...RESCUE,
} as const satisfies Readonly<Record<string, GlossaryTerm>>;
export type TermId = keyof typeof GLOSSARY;

const ids = <K extends string>(terms: Readonly<Record<K, GlossaryTerm>>) => Object.keys(terms) as K[];
export const GLOSSARY_GROUPS: Readonly<Record<GlossaryGroup, readonly TermId[]>> = {
  'Hands and rope': ids(HANDS),
  Gear: ids(GEAR),
  Devices: ids(DEVICES),
  Knots: ids(KNOTS),
  Belaying: ids(BELAYING),
  Rappelling: ids(RAPPELLING),
  Trees: ids(TREES),
  Rescue: ids(RESCUE),
};
