import { JOB_FACTS } from '../../../things/gear/index.ts';
import type { ElementId } from '../../../foundations/finding/index.ts';
import type { Attachment } from '../attachment-elements.ts';
import type { Setup } from '../model.ts';
import { deviceOf, indexOf, linesOf, mainConnector } from '../rig.ts';
import { anchor, device, fixed, footLoop, on, onTether } from '../templates/build.ts';
import { grown, has, ownDevice, strandsOn, type Variation } from './variation.ts';

/** The device of somebody who climbs on what grips by itself; null in other jobs. */
function climbsAlone(setup: Setup): Attachment | null {
  const { up } = JOB_FACTS[setup.job];
  const main = up === 'ascends' || up === 'self-belays' ? ownDevice(setup) : null;
  return main && deviceOf(main)?.hand === null ? main : null;
}
const grab = (id: ElementId, label: string, of: ElementId, where: Parameters<typeof device>[1]): Attachment =>
  onTether(id, label, of, device(`${id}-device`, where, null));

/** What somebody climbs with who goes up a rope, or climbs alone on one. */
export const ALONE: readonly Variation[] = [
  {
    id: 'foot-loop',
    label: 'a foot loop at the upper grip',
    backsUp: false,
    needs: ['a sling as long as from the sole to just above the tie-in'],
    defeats: [],
    reasons: ['lets you stand up and push the other one along'],
    against: ['it is no attachment'],
    add: (setup) => {
      const main = climbsAlone(setup);
      if (!main || JOB_FACTS[setup.job].up !== 'ascends' || main.root.kind !== 'harness' || has(setup, 'foot-loop'))
        return null;
      const line = linesOf(indexOf(setup), main.end)[0]!;
      const upper = indexOf(setup)
        .along(line.id)
        .find((a) => a.use !== 'aid' && mainConnector(a) !== null);
      const at = upper ? mainConnector(upper) : null;
      if (!at) return null;
      return grown(setup, { attachments: [footLoop(main.root.person, at.id)] });
    },
  },
  {
    id: 'second-grab',
    label: 'a second grab above, on a tether of its own',
    backsUp: true,
    needs: [
      'an ascender or rope grab made for this rope and use',
      'a tether within reach when it is loaded',
      'teeth on the lower one, or a gap that the rope does not give',
    ],
    defeats: [
      'sliding onto the one below and pushing it open',
      'a hand that closes around it',
      'whatever takes the rope or the anchor',
    ],
    reasons: ['holds when the other device opens or was not closed', 'nothing to tend but the one more drag'],
    against: ['both are on one rope', 'one more thing that can catch the chin, the helmet or the other device'],
    add: (setup) => {
      const main = climbsAlone(setup);
      if (!main || main.root.kind !== 'harness' || has(setup, 'grab')) return null;
      return grown(setup, {
        attachments: [grab('grab', 'Second grab', main.root.person, strandsOn(main))],
        before: { grab: main.id },
      });
    },
  },
  {
    id: 'grab-second-rope',
    label: 'a grab on a second rope',
    backsUp: true,
    needs: ['a second fixed rope on points of its own', 'a grab made for that rope'],
    defeats: ['both ropes over the same edge'],
    reasons: ['survives the loss of rope, device and anchor points', 'neither grab can slide onto the other'],
    against: ['two ropes to hang, and two that can twist'],
    add: (setup) => {
      const main = climbsAlone(setup);
      if (!main || main.root.kind !== 'harness' || has(setup, 'grab2')) return null;
      return grown(setup, {
        anchors: [anchor('anchor4')],
        lines: [fixed('rope4', 'anchor4')],
        attachments: [grab('grab2', 'Grab on the second rope', main.root.person, [on('rope4', 'main')])],
      });
    },
  },
];
