import type { Setup } from '../rig/index.ts';
import { groovedTube, ilse, longCord, longRope, pear, shortCord, sling, smallD, surveyHarness, tomas } from './club.ts';

/** A doubled-rope rappel from the low spans of the viaduct, against which nothing is found. */
export const rappelDouble: Setup = {
  id: 'setup-low-span',
  name: 'Low span, lichen plots 1 to 6',
  job: 'rappel-double',
  createdAt: '2026-09-12T08:00:00.000Z',
  updatedAt: '2026-09-12T08:00:00.000Z',
  situation: {
    anchorHeightM: 24,
    stanceHeightM: 0,
    extraLineM: 0,
    anchorRope: 'rings',
    anchorPoints: 'several',
    edge: 'rounded',
    steepness: 'steep',
    weather: 'dry',
  },
  people: { climber: ilse, partner: tomas },
  gear: {
    ropeA: longRope,
    ropeB: null,
    device: groovedTube,
    deviceConnector: pear,
    extraConnector: null,
    extension: sling,
    hitchCord: shortCord,
    hitchConnector: smallD,
    harness: surveyHarness,
  },
  rig: {
    ropeUse: 'folded',
    middleMissM: 0.2,
    joiningKnot: 'unknown',
    ends: 'both-knotted',
    deviceStrands: 'both',
    ropeOverEnd: 'broad',
    deviceGate: 'locked',
    deviceGateFaces: 'away',
    extensionMethod: 'basket',
    extensionKnots: 0,
    extensionMeasuredMm: null,
    hitchKind: 'autoblock',
    hitchWraps: 4,
    hitchStrands: 'both',
    hitchEyes: 'both',
    hitchAt: 'leg-loop',
    hitchGate: 'locked',
    hitchGateFaces: 'away',
  },
  note: '',
};

/**
 * The high span, planned in a hurry, with four things wrong: the rope is too short, it runs over a bare sharp edge, the long cord lets
 * the hitch reach the device, and the brake strands run over the gate of the device connector.
 */
export const rappelDoubleFaulty: Setup = {
  ...rappelDouble,
  id: 'setup-high-span',
  name: 'High span, lichen plots 7 to 9',
  createdAt: '2026-09-19T07:30:00.000Z',
  updatedAt: '2026-09-19T07:30:00.000Z',
  situation: { ...rappelDouble.situation, anchorHeightM: 31, edge: 'sharp' },
  gear: { ...rappelDouble.gear, hitchCord: longCord },
  rig: { ...rappelDouble.rig, deviceGateFaces: 'rope' },
  note: 'Find what is wrong before Saturday.',
};

export const FAULTY_CODES = [
  'rig.edge-sharp',
  'geometry.rope-too-short',
  'geometry.hitch-reaches-device',
  'connector.gate-towards-rope',
  // Follows from the gate: everything hangs on that connector.
  'hold.single-point',
] as const;
