import type { PartId } from '../finding/index.ts';
import type { Fault } from './model.ts';

const fault = (id: string, part: PartId, says: string, causes: readonly string[], basic = true): Fault => ({
  id,
  part,
  says,
  causes,
  basic,
});

/** What can let go on a rappel, whatever backs it up (`practice-hook-up` and the other common practice named beside the findings). */
export const FAULTS = {
  anchor: fault('anchor', 'anchor', 'the anchor lets go', [
    'a point pulls out',
    'sling or cord fails',
    'a ring is worn through',
  ]),
  rope: fault('rope', 'rope', 'the rope is cut or lets go', ['a sharp edge', 'stonefall', 'a worn or burnt place']),
  joiningKnot: fault('joiningKnot', 'joiningKnot', 'the knot between the ropes fails', [
    'tails too short',
    'knot not dressed',
  ]),
  device: fault('device', 'device', 'the device lets go', ['threaded wrongly', 'a cracked or worn body']),
  deviceConnector: fault('deviceConnector', 'deviceConnector', 'the device connector opens', [
    'gate not locked',
    'rope or rock opens the gate',
    'loaded across the gate',
  ]),
  extension: fault('extension', 'extension', 'the extension fails', [
    'stitching worn',
    'cut or burnt',
    'a strand not clipped',
  ]),
  harness: fault('harness', 'harness', 'the harness lets go', [
    'a buckle not closed',
    'clipped to a gear loop',
    'worn webbing',
  ]),
  hand: fault('hand', 'brakeHand', 'the brake hand lets go', [
    'a stone hits you',
    'cold or tired hand',
    'you look away',
    'you faint',
  ]),
  pastEnd: fault('pastEnd', 'ropeEnds', 'you go down past the rope’s end', [
    'length misjudged',
    'end not seen',
    'strands of unlike length',
  ]),
  endKnot: fault('endKnot', 'ropeEnds', 'the knot in the rope’s end is gone', [
    'tied and untied again',
    'knot too small',
    'shaken loose',
  ]),
  offTheEnd: fault('offTheEnd', 'ropeEnds', 'the rope’s end runs through the device', [], false),
  hitch: fault('hitch', 'hitch', 'the hitch slips or its cord fails', [
    'wet or icy rope',
    'cord worn or melted',
    'wraps loose',
  ]),
  hitchConnector: fault('hitchConnector', 'hitchConnector', 'the hitch connector opens', [
    'gate not locked',
    'an end of the loop unclipped',
  ]),
  legLoop: fault('legLoop', 'legLoop', 'the leg loop lets go', [
    'its buckle slips',
    'clipped to a strap that carries nothing',
  ]),
  hitchHeld: fault('hitchHeld', 'hitch', 'a hand holds the hitch open', [
    'you grab it in fright',
    'the tending hand does not let go',
  ]),
  hitchReleased: fault('hitchReleased', 'hitch', 'the hitch is released by the device', [], false),
  tether: fault('tether', 'extension', 'the tether of the hitch fails', ['worn or cut', 'tied wrongly']),
  rope2: fault('rope2', 'rope', 'the second rope is cut or lets go', ['the same edge', 'stonefall']),
  anchor2: fault('anchor2', 'anchor', 'the anchor of the second rope lets go', [
    'a point pulls out',
    'hung on the same points',
  ]),
  tieIn: fault('tieIn', 'harness', 'your tie-in to the second rope fails', [
    'knot not finished',
    'tied to the wrong loop',
  ]),
  belayer: fault('belayer', 'climber', 'the belayer lets go', ['distracted', 'hit by a stone', 'did not hear you']),
  belayHitch: fault('belayHitch', 'hitch', 'the belayer’s hitch does not catch', [
    'too few wraps',
    'held open by the hand',
  ]),
  belayConnector: fault('belayConnector', 'deviceConnector', 'the belay connector opens', [
    'gate not locked',
    'running rope unscrews it',
  ]),
  belayLost: fault('belayLost', 'anchor', 'nobody and nothing holds the second rope', [], false),
  watcher: fault('watcher', 'ground', 'the partner below does not pull', [
    'does not see you',
    'looks away',
    'hit by your stones',
    'has walked off',
  ]),
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
