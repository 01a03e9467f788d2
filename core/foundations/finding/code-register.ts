import type { SourceId } from '../sources/index.ts';
import { CODE_SOURCES, FINDING_CODE_KEYS, type FindingCode } from './codes.ts';

export interface FindingCodeEntry {
  /** The finding in a few words, without numbers. */
  readonly title: string;
  readonly sources: readonly SourceId[];
  /** The test file that provokes it; a test of the register opens the file and looks for the code. */
  readonly test: string;
}

const FIT = 'core/things/fit/rope-in-device.test.ts';
const FAMILY = 'core/things/fit/family-rules.test.ts';
const ROPE_KIND = 'core/things/fit/rope-for-job.test.ts';
const STRANDS = 'core/things/fit/strands-alike.test.ts';
const HAND = 'core/things/friction/brake-hand.test.ts';
const HITCH = 'core/things/friction/hitch-findings.test.ts';
const CLEARANCE = 'core/things/geometry/hitch-clearance.test.ts';
const REACH = 'core/things/geometry/arm-reach.test.ts';
const BUDGET = 'core/things/geometry/rope-budget.test.ts';
const GATE = 'core/things/connector/gate.test.ts';
const SEAT = 'core/things/connector/seat.test.ts';
const WAYS = 'core/things/connector/ways.test.ts';
const OWN = 'core/things/connector/own-tests.test.ts';
const PAIR = 'core/things/connector/pair.test.ts';
const HOLD = 'core/answers/redundancy/holds-from-rig.test.ts';
const ASSESS = 'core/answers/assess/assess.test.ts';
const VARIATIONS = 'core/answers/assess/variations.test.ts';
const LINES = 'core/rigs/elements/lines.test.ts';
const FALSE = 'core/answers/assess/false-assurance.test.ts';
const GUIDE = 'core/rigs/elements/guide.test.ts';
const SLACK = 'core/rigs/elements/slack.test.ts';
const CALLS = 'core/rigs/elements/calls.test.ts';
const TREE = 'core/rigs/pairs/tree.test.ts';
const TREE_LENGTHS = 'core/rigs/pairs/tree-lengths.test.ts';
const PICK = 'core/rigs/pairs/pick-off.test.ts';
const STROKE = 'core/rigs/pairs/stroke.test.ts';
const ROPE_ALONE = 'core/rigs/pairs/self-belay.test.ts';
const CATCH = 'core/rigs/catch/catch-findings.test.ts';
const RIG = 'core/rigs/elements/lines.test.ts';
const ATTACHED = 'core/rigs/elements/attached.test.ts';
const MANY = 'core/rigs/elements/many.test.ts';

const TITLES: Readonly<Record<FindingCode, readonly [title: string, test: string]>> = {
  'rig.part-missing': ['A part of the set-up is not chosen', RIG],
  'rig.part-twice': ['One item is chosen for two places', RIG],
  'rig.anchor-textile': ['Rope runs through a textile sling at the anchor', RIG],
  'rig.anchor-unknown': ['Not said what the rope runs through at the anchor', RIG],
  'rig.anchor-one-point': ['Everything hangs on one anchor point', RIG],
  'rig.anchor-as-entered': ['Anchor as entered', RIG],
  'rig.edge-sharp': ['Rope over a sharp edge', RIG],
  'rig.edge-unknown': ['Not said whether the rope runs over an edge', RIG],
  'rig.strands-in-device': ['Not both strands in the device', RIG],
  'rig.extension-strength': ['Strength left in the sling of the extension', RIG],
  'rig.sling-knot': ['Knot in slick tape', FALSE],
  'rig.extension-strength-unknown': ['Strength of the sling not known', RIG],
  'rig.joining-knot-unknown': ['Not said how the two ropes are joined', RIG],
  'rig.not-judged': ['Nothing has looked at it', ASSESS],
  'rig.fastening': ['How the rope is held at the anchor', LINES],
  'rig.block-strand': ['Strand of a blocked rope that holds nobody', LINES],
  'rig.block-backup': ['Knot at the rings without a connector', LINES],
  'rig.tie-in': ['Knot by which somebody is tied in', LINES],
  'rig.held-below': ['Somebody holds the rope from below', VARIATIONS],
  'rig.lanyard': ['Lanyard clipped to the anchor', VARIATIONS],
  'rig.knot-below': ['A knot in the rope below the device', VARIATIONS],
  'rig.no-belay-loop': ['Harness has no belay loop', LINES],
  'rig.person-mass': ['Very heavy or very light person', FALSE],
  'rig.helmet': ['Helmet', FALSE],
  'rig.condition': ['Condition of ropes, cords, slings and harnesses', FALSE],
  'rig.rope-size': ['Diameter that no rope of this kind has', FALSE],
  'rig.label-contradicts': ['Label and measurement contradict each other', FALSE],
  'rig.not-attached': ['Nobody’s attachment of full strength', ATTACHED],
  'rig.point-holds-nobody': ['Hangs on a point of the harness that holds nobody', ATTACHED],
  'rig.tied-to-loop': ['Rope tied to the belay loop', ATTACHED],
  'rig.no-connector': ['No connector between device and harness', ATTACHED],
  'rig.no-hand': ['No hand at a device that lets the rope run', ATTACHED],
  'rig.hand-elsewhere': ['The hand named cannot reach the brake strand', ATTACHED],
  'rig.not-held': ['Nothing holds the rope somebody is tied into', ATTACHED],
  'rig.used-elsewhere': ['Device entered for another use than its place allows', ATTACHED],
  'rig.clipped-to-points': ['Connector through both tie-in points', ATTACHED],
  'rig.at-edge': ['Belayer at an edge', ATTACHED],
  'rig.worn': ['Device worn where the rope runs', MANY],
  'rig.below-class': ['Life gear below its standard', MANY],
  'rig.anchor-wood': ['Loaded rope over bare wood', MANY],
  'rig.anchor-rings': ['Not all rings of the anchor threaded', MANY],
  'rig.two-masses': ['Two heavy people on one device', MANY],
  'rig.many-small': ['Many small things at once', MANY],
  'fit.cam-held': ['A hand around the cam', MANY],
  'fit.groove-used': ['Groove of a two-sided plate', MANY],
  'rig.joining-knot': ['Joining knot rolls or catches', FALSE],
  'item.typical': ['Values that are only typical', 'core/answers/assess/typical.test.ts'],
  'catch.first-piece': ['The device is drawn to the first piece', CATCH],
  'catch.past-belay': ['A fall past the belay', CATCH],
  'catch.clearance': ['Room below the feet in a fall', CATCH],
  'catch.heights': ['Heights from which a fall reaches the ground', 'core/rigs/catch/heights.test.ts'],
  'catch.stance': ['Belayer and the wall', CATCH],
  'catch.hand': ['Rope runs through the hand in a fall', CATCH],
  'between.bench': ['Own try of one grip above another', 'core/rigs/pairs/bench.test.ts'],
  'between.cascade': ['One grab slides onto another', ROPE_ALONE],
  'ascend.stroke': ['Stroke up a rope, by the lengths', STROKE],
  'ascend.drop': ['Fall onto the lower grip through a slack tether', STROKE],
  'tree.fork-load': ['Tie-in point in a tree, its load and its trial', TREE],
  'tree.second': ['Second attachment in a tree', TREE],
  'tree.plain-hitch': ['Hitch alone on a stationary line', TREE],
  'tree.pressed-open': ['Foot loop above a bollard', TREE],
  'tree.limb-swing': ['Swing off a limb', TREE],
  'tree.limb-above': ['Out on a limb above the tie-in', TREE],
  'tree.redirect': ['Redirect of the line in a tree', TREE],
  'tree.bridge': ['Bridge of a tree harness', TREE],
  'tree.eyes': ['End of a moving line and device on one connector', TREE],
  'tree.side-load': ['Device that lies over a limb', TREE],
  'tree.lengths': ['Lengths for walking a rope, a limb and for free hands', TREE_LENGTHS],
  'pick.anchor-load': ['Anchor with two on it', PICK],
  'pick.link': ['Link to the casualty', PICK],
  'pick.one-link': ['Casualty on one link only', PICK],
  'pick.own-device': ['Casualty’s own device still on a rope', PICK],
  'tree.limb-slack': ['Slack stored coming back along a limb', TREE],
  'tree.over-limb': ['Line over a limb below its tie-in', TREE],
  'pick.haul': ['Third hand with three parts of rope', PICK],
  'pick.hand': ['Hand with two on the rope', PICK],
  'solo.fall': ['Fall into slack, alone on a rope', ROPE_ALONE],
  'solo.ground': ['Where a fall ends on the ground', ROPE_ALONE],
  'solo.feed': ['Where the rope runs by itself', ROPE_ALONE],
  'belay.stance': ['Where the belayer stands', FALSE],
  'belay.masses': ['Masses of climber and belayer', FALSE],
  'hold.nothing': ['Nothing is known to hold', HOLD],
  'hold.hand-alone': ['Only the brake hand holds', HOLD],
  'hold.one-attachment': ['One clamp or grab holds alone', HOLD],
  'hold.single-point': ['Nothing holds when one thing lets go that is in doubt', HOLD],
  'hold.single-accepted': ['Single points that practice accepts', HOLD],
  'fit.rope-in-range': ['Rope inside the declared range of the device', FIT],
  'fit.outside-best-range': ['Rope inside the declared range, outside the best one', FAMILY],
  'fit.rope-near-limit': ['Rope at the limit of the declared range', FIT],
  'fit.rope-too-thin': ['Rope thinner than the device is declared for', FIT],
  'fit.rope-too-thick': ['Rope thicker than the device is declared for', FIT],
  'fit.range-not-declared': ['No declared range for this job', FIT],
  'fit.kind-not-accepted': ['Kind of rope not accepted by the device', FIT],
  'fit.rope-kind-unknown': ['Kind of rope not known', ROPE_KIND],
  'fit.rope-not-for-job': ['Kind of rope not for this job', ROPE_KIND],
  'fit.thin-rope-plain-tube': ['Thin rope in a tube without grooves', FIT],
  'fit.strands-unlike': ['Two strands of unlike rope', STRANDS],
  'fit.job-not-for-family': ['Device is not made for this job', FAMILY],
  'fit.job-only-if-declared': ['Device serves this job only where its maker says so', FAMILY],
  'fit.one-strand-only': ['Device takes one strand only', FAMILY],
  'fit.one-person-only': ['Device is made for one person', FAMILY],
  'fit.persons-not-declared': ['Not declared for how many persons', FAMILY],
  'fit.attached-elsewhere': ['Device may not hang where this job hangs it', FAMILY],
  'fit.tied': ['Tied with the rope itself', FAMILY],
  'fit.down-only': ['Device only brings down', FAMILY],
  'fit.up-only': ['Device only holds on the way up', FAMILY],
  'fit.aid-only': ['Device helps upwards and holds nobody', FAMILY],
  'fit.guide-mode-thin': ['Thin rope in guide mode', FAMILY],
  'fit.cam-brakes-less': ['Assisted cam brakes less on this rope', FAMILY],
  'fit.multi-needs-tuning': ['Multi-ascender must be tuned to this rope', FAMILY],
  'fit.multi-soft-sheath': ['Sheath changes how the multi-ascender runs', FAMILY],
  'fit.groove': ['Which groove of the plate', FAMILY],
  'fit.teeth': ['Teeth on the sheath in a fall', FAMILY],
  'fit.handed': ['Device made for the other hand', FALSE],
  'fit.threaded': ['How the rope runs through the device', FALSE],
  'fit.brake-side': ['Brake strand over grooves or smooth side', FALSE],
  'guide.load-strand': ['Which strand lies above in a guide plate', GUIDE],
  'guide.crossed': ['Two ropes that cross below the device', GUIDE],
  'guide.gathered': ['Two ropes that cross, gathered by a connector', GUIDE],
  'guide.arriving': ['How whoever arrives is clipped in', GUIDE],
  'guide.slack': ['Slack above who follows', SLACK],
  'guide.pull': ['Pull that takes the rope in', SLACK],
  'crew.calls': ['What two persons tell each other by', CALLS],
  'crew.down': ['Lower or rappel, agreed', CALLS],
  'fit.not-tuned': ['Bollard tuned on this rope', FALSE],
  'fit.tuned': ['Bollard tuned on this rope, by its record', 'core/answers/assess/tuned.test.ts'],
  'fit.upper-hole': ['Upper hole of a clamp on an icy or slanting rope', FALSE],
  'fit.wet-icy': ['Wet or icy rope in a device that grips by itself', FALSE],
  'friction.not-modelled': ['Braking of this family is not computed', HAND],
  'friction.hand-holds': ['Brake hand holds along the whole descent', HAND],
  'friction.hand-close': ['Brake hand may not be enough', HAND],
  'friction.hand-too-weak': ['Brake hand is not enough', HAND],
  'friction.hand-above-device': ['Brake hand above the device', HAND],
  'friction.rope-holds-back': ['The hanging rope brakes by itself', HAND],
  'friction.conditions': ['Conditions shift the friction', HAND],
  'friction.brake-led-unknown': ['Not said how the brake strand is led at the anchor', LINES],
  'hitch.grips': ['Hitch has wraps enough to grip', HITCH],
  'hitch.grip-doubtful': ['Hitch may slip', HITCH],
  'hitch.slips': ['Hitch slips', HITCH],
  'hitch.few-wraps': ['Fewer wraps than practice asks for', HITCH],
  'hitch.cord-thick': ['Cord too thick for this rope', HITCH],
  'hitch.cord-thin': ['Cord thin for this rope', HITCH],
  'hitch.low-melting': ['Low-melting fibre as a sliding hitch', HITCH],
  'hitch.material-unknown': ['Material of the cord not said', HITCH],
  'hitch.cord-small': ['Cord too thin to hold a person', FALSE],
  'hitch.strength': ['Strength left in the hitch cord', HITCH],
  'hitch.strength-unknown': ['Strength of the hitch cord not known', HITCH],
  'hitch.strands': ['Hitch does not hold both strands', HITCH],
  'hitch.eyes': ['Not both ends of the loop clipped', HITCH],
  'hitch.hard-to-release': ['Hitch is hard to release under load', HITCH],
  'hitch.leg-loop-buckle': ['Leg-loop buckle is not made to take load', HITCH],
  'hitch.leg-loop-unknown': ['Not said whether the leg-loop buckle takes load', HITCH],
  'geometry.hitch-clear': ['Hitch stays clear of the device', CLEARANCE],
  'geometry.hitch-near-device': ['Hitch comes close to the device', CLEARANCE],
  'geometry.hitch-reaches-device': ['Hitch can reach the device', CLEARANCE],
  'geometry.hitch-may-reach': ['Hitch may reach the device', FALSE],
  'geometry.cord-too-short': ['Cord too short for these wraps', CLEARANCE],
  'geometry.hitch-unknown': ['Reach of the hitch cannot be computed', CLEARANCE],
  'geometry.hitch-in-reach': ['Hitch above within arm’s reach', VARIATIONS],
  'geometry.hitch-out-of-reach': ['Hitch above out of arm’s reach', VARIATIONS],
  'geometry.hitch-onto-device': ['Hitch above can be pushed onto the device', VARIATIONS],
  'geometry.device-in-reach': ['Device within arm’s reach', REACH],
  'geometry.device-at-arms-end': ['Device at the end of the arm', REACH],
  'geometry.device-out-of-reach': ['Device out of arm’s reach', REACH],
  'geometry.rope-reaches': ['Both rope ends reach', BUDGET],
  'geometry.rope-barely-reaches': ['A rope end barely reaches', BUDGET],
  'geometry.rope-too-short': ['A rope end does not reach', BUDGET],
  'geometry.pull-strand-short': ['Strand to pull the rope down does not reach', LINES],
  'geometry.middle-unmarked': ['Middle of the rope not marked', FALSE],
  'geometry.base-tie': ['Line too short to be tied at the base', FALSE],
  'geometry.ends-knotted': ['Both rope ends knotted', BUDGET],
  'geometry.ends-open': ['Rope end not knotted', BUDGET],
  'geometry.ends-unknown': ['Not said whether the rope ends are knotted', BUDGET],
  'connector.not-locking': ['Connector without a lock', GATE],
  'connector.lock-unknown': ['Not said how the connector locks', GATE],
  'connector.gate-not-locked': ['Gate not locked', GATE],
  'connector.gate-unknown': ['Not said whether the gate is locked', GATE],
  'connector.gate-towards-rope': ['Gate where running rope or rock can open it', GATE],
  'connector.gate-locked': ['Gate locked and out of the way', GATE],
  'connector.narrow-end-at-rope': ['Narrow end of the connector at the rope', SEAT],
  'connector.seat-unknown': ['Not said which end of the connector the rope runs over', SEAT],
  'connector.broad-end-at-rope': ['Broad end of the connector at the rope', SEAT],
  'connector.strands-crowded': ['Two strands crowd on the connector', SEAT],
  'connector.does-not-pass': ['Bar does not pass the hole', WAYS],
  'connector.gate-too-narrow': ['Plate does not pass the gate', WAYS],
  'connector.barely-passes': ['Bar barely passes the hole', WAYS],
  'connector.entry-side': ['Clipped from a side that the maker does not allow', WAYS],
  'connector.sleeve-enters': ['Sleeve can come between the plates or into the notch', WAYS],
  'connector.stock-wedges': ['Connector wedges, the device cannot turn', WAYS],
  'connector.settles-across': ['Connector can settle across', WAYS],
  'connector.load-off-spine': ['Wide part holds the load off the spine', WAYS],
  'connector.rope-unscrews': ['Running rope can open the gate', WAYS],
  'connector.shakes-open': ['Shaking can unscrew the sleeve', WAYS],
  'connector.gate-unlocked': ['Gate cannot be locked', WAYS],
  'connector.kind-forbidden': ['Kind of connector that the maker forbids', WAYS],
  'connector.kind-not-wanted': ['Another kind of connector is wanted', WAYS],
  'connector.not-declared': ['What the maker says about the connector is not entered', FALSE],
  'connector.tree-life': ['Connector for work in a tree', FALSE],
  'connector.geometry-unknown': ['Measures of connector or device missing', WAYS],
  'connector.way-free': ['Connector passes and turns freely', WAYS],
  'connector.job-strength': ['Strength left against the load of the job', WAYS],
  'connector.own-test-bad': ['Your own test of this way went wrong', OWN],
  'connector.own-test-worked': ['Your own test of this way worked', OWN],
  'connector.way-unsaid': ['Not said from which side the connector goes in', LINES],
  'connector.pair-same-side': ['Two connectors with their gates alike', PAIR],
  'connector.pair-no-room': ['No room for two connectors', PAIR],
  'connector.pair-opposed': ['Two connectors opposed and reversed', PAIR],
  'connector.strength': ['Strength left along, across and with the gate open', SEAT],
  'connector.strength-unknown': ['Strength of the connector not known', SEAT],
};

/** Every code with its title, sources and test. */
export const FINDING_CODES = Object.fromEntries(
  FINDING_CODE_KEYS.map((code): [FindingCode, FindingCodeEntry] => {
    const [title, test] = TITLES[code];
    return [code, { title, test, sources: CODE_SOURCES[code] }];
  }),
) as Readonly<Record<FindingCode, FindingCodeEntry>>;
