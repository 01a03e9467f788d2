import type { LockerKind } from './kinds';

/** What hangs on a field, as the end of "Tells ...". A field of which nothing hangs says that. */
const FOR_YOU = 'nothing: nothing hangs on it';

const WHY: Readonly<Record<LockerKind, Readonly<Record<string, string>>>> = {
  rope: {
    construction: 'whether the device is declared for it, and how hard a fall is',
    nominalDiameterMm: 'fit and friction, as long as nothing was measured',
    measuredDiameterMm: 'fit and friction: a used rope is thicker than its label',
    measuringUncertaintyMm: 'how near to a limit still counts as inside',
    lengthM: 'whether it reaches the ground',
    measuredLengthM: 'whether it reaches the ground: a rope shrinks, and ends are cut off',
    linearDensityGPerM: 'the rope’s own weight, which brakes at the top',
    sheath: 'how well hand, device and hitch grip',
    middle: 'how far the middle may be missed on two strands',
    condition: 'whether anybody may hang on it',
    stiffness: 'how it feeds, and how a cam grips it',
    impactForceKn: 'how hard a fall is caught',
    staticStretchPercent: 'how far the rope gives under you, and where a fall reaches the ground',
    stretchTest: 'what the stretch on the label means',
  },
  device: {
    family: 'everything: how it brakes, what defeats it, which jobs it is for',
    wear: 'its friction',
    eyeMm: 'whether the connector passes and turns',
    plateMm: 'whether the connector passes and turns',
    gapMm: 'whether the connector can get in from the side',
    gapOpens: 'whether the gap can close on the connector',
    coverMm: 'how the connector lies in it',
    notchMm: 'how the connector lies in it',
    mustTurn: 'whether the connector must be free to turn',
    entry: 'from which side the connector goes in',
    handed: 'whether it suits the hand that brakes',
    personsRated: 'whether two may hang in it',
    attachTo: 'where it hangs',
    connectorWanted: 'which connectors go with it',
    connectorForbidden: 'which connectors do not go with it',
    looseParts: 'what can be lost or left open',
    bollardSettings: 'how many settings there are to try in tuning it',
    massG: 'the weight of what you take',
    metal: 'how it wears, and how hot it gets',
    priceClass: 'what a plan costs',
  },
  connector: {
    shape: 'how it settles in the device',
    lock: 'whether its gate can come open',
    insideLengthMm: 'the length of the extension',
    broadInsideWidthMm: 'whether rope and device have room in it',
    strengthMajorKn: 'what is left of it under the load',
    strengthMinorKn: 'what is left when it lies across',
    strengthOpenKn: 'what is left when the gate is open',
    condition: 'whether anybody may hang on it',
    keeper: 'whether it can turn across',
    narrowInsideWidthMm: 'whether it passes the device with this end',
    broadStockMm: 'whether it passes the hole of the device',
    narrowStockMm: 'whether it passes the hole of the device',
    sleeveMm: 'whether the sleeve passes and turns',
    sleeveFromBroadMm: 'where the sleeve comes to lie',
    sleeveFromNarrowMm: 'where the sleeve comes to lie',
    gateOpeningMm: 'whether it can be clipped at all',
  },
  sling: {
    material: 'what a knot leaves of it, and whether it melts',
    widthMm: 'which one it is, by its look',
    loopLengthMm: 'the length of extension, tether or foot loop',
    strengthKn: 'what is left of it under the load',
    condition: 'whether anybody may hang on it',
  },
  cord: {
    material: 'how it grips, and whether it melts',
    nominalDiameterMm: 'how it grips this rope',
    measuredDiameterMm: 'how it grips this rope: used cord is thicker',
    closure: 'the length of the loop, and what its knot leaves',
    cutLengthM: 'the length of the loop',
    loopLengthMm: 'how far the hitch reaches: it beats the cut length',
    declaredStrengthKn: 'what is left of it under the load',
    condition: 'whether anybody may hang on it',
  },
  harness: {
    attachment: 'what the device hangs on',
    legBuckleTakesLoad: 'whether a hitch may hang on the leg loop',
    condition: 'whether anybody may hang in it',
  },
  person: {
    massKg: 'every force',
    brakeHand: 'on which side everything hangs',
    handForceN: 'whether the hand is strong enough',
    armReachMm: 'whether the hand reaches what hangs above',
    legLoopDropMm: 'whether the hitch stays clear of the device',
    legLoopSideMm: 'whether the hitch stays clear of the device',
    kneeRaiseMm: 'whether the hitch stays clear with a knee raised',
    tieInHeightMm: 'strokes on a rope, and the length of the foot loop',
    chinAboveTieInMm: 'the length of a tether in a tree',
    kneeAboveSolesMm: 'where a knee ascender belongs',
  },
};

/** Names and notes explain themselves. */
const PLAIN = new Set(['name', 'maker', 'note']);

/** Why a field is asked; undefined where it explains itself. */
export const whyAsked = (kind: LockerKind, field: string): string | undefined =>
  PLAIN.has(field) ? undefined : (WHY[kind][field] ?? FOR_YOU);
export const fieldsWithReason = (kind: LockerKind): readonly string[] => Object.keys(WHY[kind]);
