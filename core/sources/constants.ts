import { interval, type Interval } from '../units/index.ts';
import type { SourceId } from './ids.ts';

export interface Constant {
  readonly value: Interval;
  /** Unit of `value`, '1' for a pure number. */
  readonly unit: string;
  readonly meaning: string;
  readonly source: SourceId;
}

const c = (low: number, best: number, high: number, unit: string, meaning: string, source: SourceId): Constant => ({
  value: interval(low, best, high),
  unit,
  meaning,
  source,
});
const one = (value: number, unit: string, meaning: string, source: SourceId): Constant =>
  c(value, value, value, unit, meaning, source);

/** Every number that is neither entered by a person nor plain mathematics. docs/method.md lists each one; a test keeps it so. */
export const CONSTANTS = {
  // friction
  muRopeOnMetal: c(0.2, 0.25, 0.35, '1', 'friction of a dry, used polyamide rope on light metal', 'memory-friction'),
  muFactorWet: c(0.8, 1, 1.15, '1', 'a wet rope, times the dry friction', 'memory-friction'),
  muFactorIcy: c(0.5, 0.7, 1, '1', 'an icy rope, times the dry friction', 'memory-friction'),
  muFactorNewTreated: c(0.75, 0.85, 1, '1', 'a new treated sheath, times the used one', 'memory-friction'),
  muFactorFuzzy: c(1, 1.1, 1.25, '1', 'a worn, fuzzy sheath, times the smooth one', 'memory-friction'),
  muFactorWornDevice: c(0.8, 0.92, 1, '1', 'a device worn smooth, times the new one', 'memory-friction'),
  thinRopeSlopePerMm: c(
    0.05,
    0.08,
    0.11,
    '1/mm',
    'change of the braking exponent per mm away from 10 mm',
    'memory-friction',
  ),
  grooveAngleDeg: c(75, 90, 120, 'deg', 'opening of the brake grooves of a grooved tube', 'memory-friction'),
  extraConnectorRad: c(0.2, 0.5, 0.9, 'rad', 'turn of rope gained by a second connector in a tube', 'memory-friction'),
  handForceDefaultN: c(
    150,
    230,
    330,
    'N',
    'what one hand holds on the brake strands when it was not measured',
    'memory-hand-force',
  ),
  handForceSpread: one(0.1, '1', 'relative uncertainty of a hand force that was measured once', 'memory-hand-force'),
  handForceDiameterPower: one(
    0.7,
    '1',
    'a hand holds on a rope of d mm this power of d / 10 of what it holds on 10 mm',
    'memory-hand-force',
  ),
  handFactorWet: c(0.8, 0.9, 1, '1', 'hand force on a wet rope, times the dry one', 'memory-hand-force'),
  handFactorIcy: c(0.5, 0.65, 0.8, '1', 'hand force on an icy rope, times the dry one', 'memory-hand-force'),
  handForcePerKgN: one(
    2.8,
    'N/kg',
    'most that a hand is reckoned with for each kg of its person, where it was not measured',
    'memory-hand-force',
  ),
  ropeHoldsBackN: one(10, 'N', 'hand force at the top below which the rope has to be fed', 'memory-hand-force'),
  // diameters and lengths that were not measured
  labelDiameterUncertaintyMm: one(0.3, 'mm', 'a diameter taken from the label', 'memory-diameter'),
  labelLengthFactor: c(
    0.96,
    1,
    1.02,
    '1',
    'length of a new rope that was not measured, times its label',
    'memory-rope-length',
  ),
  usedLengthFactor: c(
    0.9,
    0.97,
    1.02,
    '1',
    'length of a used rope that was not measured, times its label',
    'memory-rope-length',
  ),
  ropeLengthDoubtfulLow: one(
    0.8,
    '1',
    'measured length over label below which one of the two is taken for a mistake',
    'memory-rope-length',
  ),
  ropeLengthDoubtfulHigh: one(
    1.08,
    '1',
    'measured length over label above which one of the two is taken for a mistake',
    'memory-rope-length',
  ),
  diameterDoubtfulMm: one(
    1.2,
    'mm',
    'difference of measured and labelled diameter from which one of the two is taken for a mistake',
    'memory-diameter',
  ),
  ropeMassGPerMPerMm2: c(
    0.6,
    0.65,
    0.7,
    'g/m/mm2',
    'mass per metre of a rope over the square of its diameter',
    'memory-rope-length',
  ),
  thinRopeMm: one(9, 'mm', 'below this a rope is thin for a tube without grooves', 'practice-thin-rope-tube'),
  // families
  guideModeThinMm: one(8.7, 'mm', 'rope below which a guide mode can flip and pinch', 'practice-guide-mode'),
  camThinMm: one(9.4, 'mm', 'rope below which an assisted cam brakes noticeably less', 'practice-assisted-cam'),
  multiSlipsMm: one(9.5, 'mm', 'rope up to which a multi-ascender slips even when tuned', 'practice-multi-ascender'),
  multiTunedMm: one(11, 'mm', 'rope below which a multi-ascender works only after tuning', 'practice-multi-ascender'),
  grooveThinMm: one(8, 'mm', 'rope for the V groove of a two-sided plate', 'practice-two-sided-plate'),
  grooveThickMm: one(
    9.5,
    'mm',
    'rope from which the U groove of a two-sided plate is used',
    'practice-two-sided-plate',
  ),
  teethHurtSheathKn: c(
    4,
    5,
    6.5,
    'kN',
    'force at which teeth begin to hurt the sheath; EN 567 asks 4 kN without damage',
    'en-567',
  ),
  // hitch
  hitchRatioLow: one(0.55, '1', 'cord-to-rope ratio below which a hitch binds hard', 'practice-hitch-cord'),
  hitchRatioHigh: one(0.8, '1', 'cord-to-rope ratio above which a hitch bites poorly', 'practice-hitch-cord'),
  hitchRatioTooHigh: one(1, '1', 'cord as thick as the rope: no bite to count on', 'practice-hitch-cord'),
  muCordOnRope: c(0.17, 0.22, 0.3, '1', 'friction of polyamide cord on a dry rope', 'memory-hitch-grip'),
  hitchTensionRatio: one(
    20,
    '1',
    'ratio of cord tensions that the wraps must build up to stay put',
    'memory-hitch-grip',
  ),
  hitchBiteLossPerRatio: one(
    1.5,
    '1',
    'bite lost per unit of cord-to-rope ratio above the good range',
    'memory-hitch-grip',
  ),
  muFactorPolyester: c(0.9, 0.95, 1, '1', 'polyester cord, times polyamide', 'memory-hitch-grip'),
  muFactorAramid: c(0.85, 0.95, 1, '1', 'aramid-sheathed cord, times polyamide', 'memory-hitch-grip'),
  muFactorUhmwpe: c(0.4, 0.55, 0.7, '1', 'UHMWPE, times polyamide', 'memory-hitch-grip'),
  loadedHitchStretch: c(
    0.97,
    1,
    1.06,
    '1',
    'reach of a hitch under load, times the calculated length',
    'memory-hitch-grip',
  ),
  // knots
  doubleFishermanBodyPerDiameter: c(25, 31, 37, 'diameters', 'cord inside a double fisherman’s bend', 'memory-knots'),
  tailLengthPerDiameter: c(8, 10, 12, 'diameters', 'each tail left outside a bend in cord', 'memory-knots'),
  overhandInSlingMm: c(60, 90, 140, 'mm', 'length that one overhand knot takes out of a doubled sling', 'memory-knots'),
  girthHitchMm: c(
    50,
    70,
    90,
    'mm',
    'length that a girth hitch around the harness takes out of a sling',
    'memory-knots',
  ),
  extensionMeasuredMm: one(10, 'mm', 'uncertainty of an extension measured with a tape', 'memory-knots'),
  deviceLipBelowBarMm: c(0, 10, 25, 'mm', 'lip of the device below the bar it hangs on', 'memory-knots'),
  basketBendMm: c(15, 25, 40, 'mm', 'length lost where a doubled sling passes the harness', 'memory-knots'),
  strengthLeftInKnot: c(0.45, 0.55, 0.65, '1', 'strength left in cord or tape at a knot', 'memory-knots'),
  strengthLeftInSlickKnot: c(
    0.3,
    0.4,
    0.5,
    '1',
    'strength left in UHMWPE tape at a knot or girth hitch',
    'memory-knots',
  ),
  endKnotM: c(0.3, 0.45, 0.6, 'm', 'rope used by a stopper knot and its tail at one end', 'memory-knots'),
  joiningKnotM: c(0.4, 0.5, 0.7, 'm', 'rope used on each rope by the joining knot and its tail', 'memory-knots'),
  // margins
  hitchClearanceMarginMm: one(
    100,
    'mm',
    'clearance asked for between hitch and device while hanging: a hand’s width',
    'practice-hitch-clear',
  ),
  hitchClearanceKneeMm: one(
    30,
    'mm',
    'clearance asked for between hitch and device with the knee raised',
    'practice-hitch-clear',
  ),
  flatKnotUnlikeMm: one(
    1,
    'mm',
    'difference of diameter from which a flat overhand rolls along two ropes',
    'practice-joining-knot',
  ),
  middleUnmarkedM: one(
    0.5,
    'm',
    'least by which a middle that is not marked is missed, when it is found by flaking from both ends',
    'practice-middle',
  ),
  baseTieExtraM: one(3, 'm', 'rope beyond twice the height for a line tied at the base of a tree', 'practice-base-tie'),
  hitchLegStopMm: one(20, 'mm', 'free loop of a hitch below which it cannot be clipped', 'practice-hitch-clear'),
  hitchLegMindMm: one(40, 'mm', 'free loop of a hitch below which clipping is a fight', 'practice-hitch-clear'),
  hitchCordLeastMm: one(5, 'mm', 'least diameter of a cord whose hitch must hold a person', 'practice-hitch-cord'),
  ropeEndMarginM: one(1, 'm', 'rope asked for below the stance', 'memory-margins'),
  jerkFactor: one(2, '1', 'a jerky rappel loads the line with at most this times body weight', 'memory-margins'),
  strengthMarginMind: one(2, '1', 'strength over load below which a part is marked Mind', 'memory-margins'),
  strengthMarginStop: one(1.5, '1', 'strength over load below which a part is marked Stop', 'memory-margins'),
  ropeKeptAtAnchorM: one(
    9,
    'm',
    'rope pulled up, tied and clipped before a rope is untied at rings',
    'practice-rope-through-rings',
  ),
  strandDifferenceMm: one(
    0.3,
    'mm',
    'difference of diameter from which two strands count as unlike',
    'practice-unlike-strands',
  ),
  belaySlipKn: c(
    0.7,
    1.5,
    3,
    'kN',
    'load at which rope slips through a device that a hand brakes, where device and hand are not known',
    'memory-fall',
  ),
  assistedSlipKn: c(3, 5, 8, 'kN', 'load at which rope slips through a device that assists or holds', 'memory-fall'),
  ropeModulusKn: c(15, 24, 45, 'kN', 'modulus of a rope of which the kind is not known', 'memory-fall'),
  modulusSingleKn: c(
    18,
    24,
    45,
    'kN',
    'modulus of a single rope; 24.1 belongs to an impact force of 9.0 kN at 80 kg and factor 1.77, 45 to 12 kN',
    'en-892',
  ),
  impactForceSpread: one(
    0.1,
    '1',
    'share by which the impact force on the label may differ on this rope: it is that of a new one',
    'memory-fall',
  ),
  modulusHalfKn: c(15, 20, 29, 'kN', 'modulus of one half rope, from its impact force at 55 kg', 'en-892'),
  modulusLowStretchKn: c(
    25,
    33,
    41,
    'kN',
    'modulus of a low-stretch rope; 41 belongs to 6 kN at 100 kg and factor 0.3',
    'en-1891',
  ),
  personHeavyKg: one(
    120,
    'kg',
    'mass with gear above which devices are rarely declared or tried',
    'practice-person-mass',
  ),
  personLightKg: one(
    45,
    'kg',
    'mass with gear below which devices may let the rope run or hold back otherwise than usual',
    'practice-person-mass',
  ),
  massRatioMind: one(
    1.2,
    '1',
    'mass of the climber over the belayer’s from which the belayer is moved',
    'practice-belay-mass',
  ),
  liftRatioStop: one(
    1.2,
    '1',
    'belayer’s mass times friction of the runners, over the climber’s, below which the belayer is lifted far',
    'practice-belay-mass',
  ),
  hardCatchRatio: one(
    0.8,
    '1',
    'mass of the climber over the belayer’s below which a fall is caught hard',
    'practice-belay-mass',
  ),
  runnersRatio: c(1.5, 1.8, 2.5, '1', 'load at the last runner over what reaches the belayer', 'memory-runner'),
  caliperPlayMm: one(0.2, 'mm', 'uncertainty of a clearance from two caliper readings', 'memory-clipping'),
  freePlayMm: one(0.5, 'mm', 'play of a connector in a hole from which it turns freely', 'memory-clipping'),
  wedgeTighterMm: one(0.5, 'mm', 'a bar thicker than the gap by this can still be forced in', 'memory-clipping'),
  wedgeLooserMm: one(
    1,
    'mm',
    'a bar thinner than the gap by less than this can jam between the plates',
    'memory-clipping',
  ),
  testBarRadiusMm: one(6, 'mm', 'radius of the bars by which connectors are pulled in the test', 'en-12275'),
  eightWrapRad: c(3.8, 4.7, 5.8, 'rad', 'whole turn of rope in an eight, hand straight below', 'memory-friction'),
  eightHandRad: c(0.8, 1.5, 2.2, 'rad', 'turn lost on an eight with the hand beside the load', 'memory-friction'),
  munterWrapRad: c(5, 6, 7.5, 'rad', 'turn of rope in a Munter hitch, strands opposite', 'memory-friction'),
  munterHandRad: c(2, 3, 3.6, 'rad', 'turn gained in a Munter hitch with both strands parallel', 'memory-friction'),
  plateWrapRad: c(5, 6.5, 8, 'rad', 'turn of rope through a two-sided plate and around its body', 'memory-friction'),
  plateHandRad: c(
    0.5,
    1,
    1.6,
    'rad',
    'turn gained on a two-sided plate with the hand straight below',
    'memory-friction',
  ),
  runnerRatio: c(
    1.5,
    1.6,
    1.7,
    '1',
    'load over what is left of it behind half a turn over a connector at the anchor',
    'memory-runner',
  ),
  heatAluminiumJPerGK: one(0.9, 'J/(g K)', 'specific heat of aluminium', 'handbook-heat'),
  heatSteelJPerGK: one(0.47, 'J/(g K)', 'specific heat of steel', 'handbook-heat'),
  connectorRoomMm: one(3, 'mm', 'room asked for beside two strands on the broad end', 'memory-margins'),
} as const satisfies Record<string, Constant>;

export type ConstantId = keyof typeof CONSTANTS;

/** The interval of a constant, in the unit its name or register entry states. */
export const constant = (id: ConstantId): Interval => CONSTANTS[id].value;
/** The best value of a constant, for thresholds that have no spread. */
export const threshold = (id: ConstantId): number => CONSTANTS[id].value.best;
