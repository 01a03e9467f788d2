import type { Ref } from '../finding/index.ts';
import type { Fault } from './model.ts';

const fault = (id: string, part: Ref, says: string, basic = true): Fault => ({ id, part, says, basic });

/** What can let go on a rappel, whatever backs it up (`practice-hook-up` and the other common practice named beside the findings). */
export const FAULTS = {
  anchor: fault('anchor', 'anchor', 'the anchor lets go'),
  rope: fault('rope', 'rope', 'the rope is cut or lets go'),
  joiningKnot: fault('joiningKnot', 'joiningKnot', 'the knot between the ropes fails'),
  device: fault('device', 'device', 'the device lets go'),
  deviceConnector: fault('deviceConnector', 'deviceConnector', 'the device connector opens'),
  extension: fault('extension', 'extension', 'the extension fails'),
  harness: fault('harness', 'harness', 'the harness lets go'),
  hand: fault('hand', 'brakeHand', 'the brake hand lets go'),
  pastEnd: fault('pastEnd', 'ropeEnds', 'you go down past the rope’s end'),
  endKnot: fault('endKnot', 'ropeEnds', 'the knot in the rope’s end is gone'),
  offTheEnd: fault('offTheEnd', 'ropeEnds', 'the rope’s end runs through the device', false),
  hitch: fault('hitch', 'hitch', 'the hitch slips or its cord fails'),
  hitchConnector: fault('hitchConnector', 'hitchConnector', 'the hitch connector opens'),
  legLoop: fault('legLoop', 'legLoop', 'the leg loop lets go'),
  hitchHeld: fault('hitchHeld', 'hitch', 'a hand holds the hitch open'),
  hitchReleased: fault('hitchReleased', 'hitch', 'the hitch is released by the device', false),
  tether: fault('tether', 'extension', 'the tether of the hitch fails'),
  rope2: fault('rope2', 'rope', 'the second rope is cut or lets go'),
  anchor2: fault('anchor2', 'anchor', 'the anchor of the second rope lets go'),
  tieIn: fault('tieIn', 'harness', 'your tie-in to the second rope fails'),
  belayer: fault('belayer', 'climber', 'the belayer lets go'),
  belayHitch: fault('belayHitch', 'hitch', 'the belayer’s hitch does not catch'),
  belayConnector: fault('belayConnector', 'deviceConnector', 'the belay connector opens'),
  belayLost: fault('belayLost', 'anchor', 'nobody and nothing holds the second rope', false),
  watcher: fault('watcher', 'ground', 'the partner below does not pull'),
} as const satisfies Record<string, Fault>;

export type FaultId = keyof typeof FAULTS;

/** What to look at where practice accepts that everything hangs on one thing. */
export const INSPECT: Readonly<Partial<Record<FaultId, string>>> = {
  harness: 'stitching, tie-in points and belay loop; every buckle closed',
  rope: 'every metre through the hand; where it lies over the edge',
  anchor: 'every point, and the metal the rope runs through',
  device: 'rims and holes for cracks and wear; both strands in it',
  deviceConnector: 'gate locked and away from rope and rock; no play, no crack',
  extension: 'stitching, cuts, glazed places; every strand clipped',
  joiningKnot: 'shape of the knot, long tails, all four strands pulled tight',
};
