import type { SourceId } from '../sources/index.ts';

export interface FindingCodeEntry {
  /** The finding in a few words, without numbers. */
  readonly title: string;
  readonly sources: readonly SourceId[];
  /** The test file that provokes it; a test of the register opens the file and looks for the code. */
  readonly test: string;
}

const entry = (title: string, test: string, ...sources: SourceId[]): FindingCodeEntry => ({ title, test, sources });

const FIT = 'core/fit/rope-in-device.test.ts';
const FAMILY = 'core/fit/family-rules.test.ts';
const STRANDS = 'core/fit/strands-alike.test.ts';
const HAND = 'core/friction/brake-hand.test.ts';
const HITCH = 'core/friction/hitch-findings.test.ts';
const CLEARANCE = 'core/geometry/hitch-clearance.test.ts';
const REACH = 'core/geometry/arm-reach.test.ts';
const BUDGET = 'core/geometry/rope-budget.test.ts';
const GATE = 'core/connector/gate.test.ts';
const SEAT = 'core/connector/seat.test.ts';
const WAYS = 'core/connector/ways.test.ts';
const OWN = 'core/connector/own-tests.test.ts';
const PAIR = 'core/connector/pair.test.ts';
const RIG = 'core/rig/rig-findings.test.ts';

/** Every judgement that Zevrin can make. Codes are stable: they stand in exported files and in check records. */
export const FINDING_CODES = {
  'rig.part-missing': entry('A part of the set-up is not chosen', RIG, 'entered'),
  'rig.part-twice': entry('One item is chosen for two places', RIG, 'entered'),
  'rig.anchor-textile': entry(
    'Rope runs through a textile sling at the anchor',
    RIG,
    'practice-metal-on-metal',
    'entered',
  ),
  'rig.anchor-unknown': entry('Not said what the rope runs through at the anchor', RIG, 'practice-hook-up'),
  'rig.anchor-one-point': entry('Everything hangs on one anchor point', RIG, 'practice-hook-up', 'entered'),
  'rig.anchor-as-entered': entry('Anchor as entered', RIG, 'practice-metal-on-metal', 'entered'),
  'rig.edge-sharp': entry('Rope over a sharp edge', RIG, 'practice-edge', 'entered'),
  'rig.edge-unknown': entry('Not said whether the rope runs over an edge', RIG, 'practice-edge'),
  'rig.strands-in-device': entry('Not both strands in the device', RIG, 'practice-hook-up', 'entered'),
  'rig.extension-strength': entry('Strength left in the sling of the extension', RIG, 'en-566', 'memory-knots'),
  'rig.extension-strength-unknown': entry('Strength of the sling not known', RIG, 'en-566'),
  'rig.joining-knot-unknown': entry('Not said how the two ropes are joined', RIG, 'practice-hook-up'),

  'fit.rope-in-range': entry('Rope inside the declared range of the device', FIT, 'maker-declaration'),
  'fit.outside-best-range': entry('Rope inside the declared range, outside the best one', FAMILY, 'maker-declaration'),
  'fit.rope-near-limit': entry('Rope at the limit of the declared range', FIT, 'maker-declaration', 'memory-diameter'),
  'fit.rope-too-thin': entry('Rope thinner than the device is declared for', FIT, 'maker-declaration'),
  'fit.rope-too-thick': entry('Rope thicker than the device is declared for', FIT, 'maker-declaration'),
  'fit.range-not-declared': entry('No declared range for this job', FIT, 'maker-declaration'),
  'fit.kind-not-accepted': entry('Kind of rope not accepted by the device', FIT, 'maker-declaration'),
  'fit.thin-rope-plain-tube': entry('Thin rope in a tube without grooves', FIT, 'practice-thin-rope-tube'),
  'fit.strands-unlike': entry('Two strands of unlike rope', STRANDS, 'practice-unlike-strands'),

  'fit.job-not-for-family': entry('Device is not made for this job', FAMILY, 'practice-families'),
  'fit.job-only-if-declared': entry('Device serves this job only where its maker says so', FAMILY, 'practice-families'),
  'fit.one-strand-only': entry('Device takes one strand only', FAMILY, 'practice-families'),
  'fit.one-person-only': entry('Device is made for one person', FAMILY, 'practice-families'),
  'fit.persons-not-declared': entry('Not declared for how many persons', FAMILY, 'maker-declaration'),
  'fit.attached-elsewhere': entry('Device may not hang where this job hangs it', FAMILY, 'maker-declaration'),
  'fit.tied': entry('Tied with the rope itself', FAMILY, 'practice-families'),
  'fit.down-only': entry('Device only brings down', FAMILY, 'practice-families'),
  'fit.aid-only': entry('Device helps upwards and holds nobody', FAMILY, 'practice-families'),
  'fit.guide-mode-thin': entry('Thin rope in guide mode', FAMILY, 'practice-guide-mode'),
  'fit.cam-brakes-less': entry('Assisted cam brakes less on this rope', FAMILY, 'practice-assisted-cam'),
  'fit.multi-slips': entry('Multi-ascender slips on this rope', FAMILY, 'practice-multi-ascender'),
  'fit.multi-needs-tuning': entry('Multi-ascender must be tuned to this rope', FAMILY, 'practice-multi-ascender'),
  'fit.multi-soft-sheath': entry('Sheath changes how the multi-ascender runs', FAMILY, 'practice-multi-ascender'),
  'fit.groove': entry('Which groove of the plate', FAMILY, 'practice-two-sided-plate'),
  'fit.teeth': entry('Teeth on the sheath in a fall', FAMILY, 'practice-teeth'),
  'friction.not-modelled': entry('Braking of this family is not computed', HAND, 'practice-families'),
  'friction.hand-holds': entry('Brake hand holds along the whole descent', HAND, 'euler-eytelwein', 'memory-friction'),
  'friction.hand-close': entry(
    'Brake hand may not be enough',
    HAND,
    'euler-eytelwein',
    'memory-friction',
    'practice-more-friction',
  ),
  'friction.hand-too-weak': entry(
    'Brake hand is not enough',
    HAND,
    'euler-eytelwein',
    'memory-friction',
    'practice-more-friction',
  ),
  'friction.hand-above-device': entry('Brake hand above the device', HAND, 'euler-eytelwein', 'practice-brake-hand'),
  'friction.rope-holds-back': entry(
    'The hanging rope brakes by itself',
    HAND,
    'euler-eytelwein',
    'practice-more-friction',
  ),
  'friction.conditions': entry('Conditions shift the friction', HAND, 'memory-friction'),

  'hitch.grips': entry(
    'Hitch has wraps enough to grip',
    HITCH,
    'euler-eytelwein',
    'memory-hitch-grip',
    'practice-hitch-test',
  ),
  'hitch.grip-doubtful': entry('Hitch may slip', HITCH, 'euler-eytelwein', 'memory-hitch-grip', 'practice-hitch-wraps'),
  'hitch.slips': entry('Hitch slips', HITCH, 'euler-eytelwein', 'memory-hitch-grip', 'practice-hitch-wraps'),
  'hitch.few-wraps': entry('Fewer wraps than practice asks for', HITCH, 'practice-hitch-wraps'),
  'hitch.cord-thick': entry('Cord too thick for this rope', HITCH, 'practice-hitch-cord'),
  'hitch.cord-thin': entry('Cord thin for this rope', HITCH, 'practice-hitch-cord'),
  'hitch.low-melting': entry('Low-melting fibre as a sliding hitch', HITCH, 'practice-low-melting'),
  'hitch.material-unknown': entry('Material of the cord not said', HITCH, 'practice-low-melting'),
  'hitch.strength': entry('Strength left in the hitch cord', HITCH, 'en-564', 'memory-knots'),
  'hitch.strength-unknown': entry('Strength of the hitch cord not known', HITCH, 'en-564'),
  'hitch.strands': entry('Hitch does not hold both strands', HITCH, 'practice-hitch-wraps', 'entered'),
  'hitch.eyes': entry('Not both ends of the loop clipped', HITCH, 'practice-hitch-test', 'entered'),
  'hitch.hard-to-release': entry('Hitch is hard to release under load', HITCH, 'practice-hitch-test'),
  'hitch.leg-loop-buckle': entry('Leg-loop buckle is not made to take load', HITCH, 'practice-leg-loop', 'entered'),
  'hitch.leg-loop-unknown': entry('Not said whether the leg-loop buckle takes load', HITCH, 'practice-leg-loop'),

  'geometry.hitch-clear': entry(
    'Hitch stays clear of the device',
    CLEARANCE,
    'practice-hitch-clear',
    'belt-around-two-circles',
    'memory-knots',
  ),
  'geometry.hitch-near-device': entry(
    'Hitch comes close to the device',
    CLEARANCE,
    'practice-hitch-clear',
    'belt-around-two-circles',
    'memory-knots',
  ),
  'geometry.hitch-reaches-device': entry(
    'Hitch can reach the device',
    CLEARANCE,
    'practice-hitch-clear',
    'belt-around-two-circles',
    'memory-knots',
  ),
  'geometry.cord-too-short': entry('Cord too short for these wraps', CLEARANCE, 'belt-around-two-circles'),
  'geometry.hitch-unknown': entry('Reach of the hitch cannot be computed', CLEARANCE, 'practice-hitch-clear'),
  'geometry.device-in-reach': entry('Device within arm’s reach', REACH, 'practice-extension', 'plane-geometry'),
  'geometry.device-at-arms-end': entry('Device at the end of the arm', REACH, 'practice-extension', 'plane-geometry'),
  'geometry.device-out-of-reach': entry('Device out of arm’s reach', REACH, 'practice-extension', 'plane-geometry'),
  'geometry.rope-reaches': entry('Both rope ends reach', BUDGET, 'practice-middle', 'plane-geometry', 'memory-knots'),
  'geometry.rope-barely-reaches': entry(
    'A rope end barely reaches',
    BUDGET,
    'practice-middle',
    'plane-geometry',
    'memory-knots',
  ),
  'geometry.rope-too-short': entry(
    'A rope end does not reach',
    BUDGET,
    'practice-middle',
    'plane-geometry',
    'memory-knots',
  ),
  'geometry.ends-knotted': entry('Both rope ends knotted', BUDGET, 'practice-ends-closed', 'entered'),
  'geometry.ends-open': entry('Rope end not knotted', BUDGET, 'practice-ends-closed', 'entered'),
  'geometry.ends-unknown': entry('Not said whether the rope ends are knotted', BUDGET, 'practice-ends-closed'),

  'connector.not-locking': entry('Connector without a lock', GATE, 'practice-gate'),
  'connector.lock-unknown': entry('Not said how the connector locks', GATE, 'practice-gate'),
  'connector.gate-not-locked': entry('Gate not locked', GATE, 'practice-gate', 'entered'),
  'connector.gate-unknown': entry('Not said whether the gate is locked', GATE, 'practice-gate'),
  'connector.gate-towards-rope': entry('Gate where running rope or rock can open it', GATE, 'practice-gate', 'entered'),
  'connector.gate-locked': entry('Gate locked and out of the way', GATE, 'practice-gate', 'entered'),
  'connector.narrow-end-at-rope': entry(
    'Narrow end of the connector at the rope',
    SEAT,
    'practice-broad-end',
    'entered',
  ),
  'connector.seat-unknown': entry('Not said which end of the connector the rope runs over', SEAT, 'practice-broad-end'),
  'connector.broad-end-at-rope': entry('Broad end of the connector at the rope', SEAT, 'practice-broad-end', 'entered'),
  'connector.strands-crowded': entry(
    'Two strands crowd on the connector',
    SEAT,
    'practice-broad-end',
    'memory-margins',
  ),
  'connector.does-not-pass': entry('Stock does not pass the hole', WAYS, 'plane-geometry', 'practice-ways'),
  'connector.gate-too-narrow': entry('Plate does not pass the gate', WAYS, 'plane-geometry', 'practice-ways'),
  'connector.barely-passes': entry('Stock barely passes the hole', WAYS, 'plane-geometry', 'memory-clipping'),
  'connector.entry-side': entry('Clipped from a side that the maker does not allow', WAYS, 'maker-declaration'),
  'connector.sleeve-enters': entry(
    'Sleeve can come between the plates or into the notch',
    WAYS,
    'practice-ways',
    'en-12275',
  ),
  'connector.stock-wedges': entry('Connector wedges, the device cannot turn', WAYS, 'practice-ways', 'memory-clipping'),
  'connector.settles-across': entry('Connector can settle across', WAYS, 'practice-ways', 'en-12275'),
  'connector.load-off-spine': entry('Wide part holds the load off the spine', WAYS, 'lever-statics', 'en-12275'),
  'connector.rope-unscrews': entry('Running rope can open the gate', WAYS, 'practice-gate', 'en-12275'),
  'connector.shakes-open': entry('Shaking can unscrew the sleeve', WAYS, 'practice-gate'),
  'connector.gate-unlocked': entry('Gate cannot be locked', WAYS, 'practice-gate'),
  'connector.kind-forbidden': entry('Kind of connector that the maker forbids', WAYS, 'maker-declaration'),
  'connector.kind-not-wanted': entry(
    'Another kind of connector is wanted',
    WAYS,
    'maker-declaration',
    'practice-families',
  ),
  'connector.geometry-unknown': entry('Measures of connector or device missing', WAYS, 'practice-ways'),
  'connector.way-free': entry('Connector passes and turns freely', WAYS, 'plane-geometry', 'practice-ways'),
  'connector.job-strength': entry(
    'Strength left against the load of the job',
    WAYS,
    'en-12275',
    'wexler-1950',
    'memory-fall',
  ),
  'connector.own-test-bad': entry('Your own test of this way went wrong', OWN, 'practice-ways', 'entered'),
  'connector.own-test-worked': entry('Your own test of this way worked', OWN, 'practice-ways', 'entered'),
  'connector.pair-same-side': entry('Two connectors with their gates alike', PAIR, 'practice-pair'),
  'connector.pair-no-room': entry('No room for two connectors', PAIR, 'plane-geometry', 'practice-pair'),
  'connector.pair-opposed': entry('Two connectors opposed and reversed', PAIR, 'practice-pair'),
  'connector.strength': entry('Strength left along, across and with the gate open', SEAT, 'en-12275', 'memory-margins'),
  'connector.strength-unknown': entry('Strength of the connector not known', SEAT, 'en-12275'),
} as const satisfies Record<string, FindingCodeEntry>;

export type FindingCode = keyof typeof FINDING_CODES;
