import type { ElementId } from '../../../foundations/finding/index.ts';
import type { Attachment } from '../attachment-elements.ts';
import type { RigPerson } from '../person-elements.ts';
import type { Setup } from '../model.ts';
import { mainConnector, casualtyOf } from '../rig.ts';
import { anchor, connector, device, fixed, on, onHarness, secondLink, shortLink } from '../templates/build.ts';
import { grown, has, ownDevice, type Variation } from './variation.ts';

interface Two {
  readonly rescuer: RigPerson;
  readonly casualty: RigPerson;
  /** What both go down on. */
  readonly device: Attachment;
}

/** Rescuer and casualty with the device of the rescuer; null in other jobs. */
function two(setup: Setup): Two | null {
  const rescuer = setup.persons.find((p) => p.role === 'rescuer');
  const casualty = casualtyOf(setup);
  const main = ownDevice(setup);
  return rescuer && casualty && main ? { rescuer, casualty, device: main } : null;
}

const added =
  (id: ElementId, make: (two: Two) => Attachment | null) =>
  (setup: Setup): Setup | null => {
    const both = two(setup);
    const attachment = both && !has(setup, id) ? make(both) : null;
    return attachment && grown(setup, { attachments: [attachment] });
  };

/** What holds a casualty beside the rescuer, and what they hung in before. */
export const RESCUE: readonly Variation[] = [
  {
    id: 'casualty-link',
    label: 'a short link from your device to the casualty',
    backsUp: false,
    needs: [
      'a sling no longer than a forearm, a locking connector at each end',
      'drawn tight before anything is eased',
    ],
    defeats: ['a gear loop instead of the belay loop', 'slack: the casualty drops onto it'],
    reasons: ['the casualty hangs from your device, not from your harness'],
    against: [],
    add: added('link', ({ casualty, device: main }) => {
      const at = mainConnector(main);
      return at && shortLink(casualty.id, at.id);
    }),
  },
  {
    id: 'casualty-second-link',
    label: 'a second link to the casualty',
    backsUp: false,
    needs: ['a sling and two locking connectors of its own'],
    defeats: ['both links in one connector'],
    reasons: ['the casualty is never on one thing alone'],
    against: ['one thing more to find and to take off on the ground'],
    add: added('spare', ({ casualty, rescuer }) => secondLink(casualty.id, rescuer.harnessId)),
  },
  {
    id: 'casualty-device',
    label: 'the device that the casualty hangs in',
    backsUp: false,
    needs: ['to be unloaded by a mini haul, and off the rope before you go down'],
    defeats: ['forgotten, it grabs, and both of you hang'],
    reasons: ['shows what holds the casualty until it is opened'],
    against: ['nobody goes down while it is on'],
    add: (setup) => {
      const both = two(setup);
      if (!both || has(setup, 'stuck')) return null;
      return grown(setup, {
        anchors: [anchor('anchor5')],
        lines: [fixed('rope5', 'anchor5')],
        attachments: [
          {
            id: 'stuck',
            label: 'Casualty’s own device',
            use: 'backup',
            job: 'rappel-fixed',
            root: onHarness(both.casualty.id),
            pieces: [connector('stuck-connector')],
            end: device('stuck-device', [on('rope5', 'main')], null),
          },
        ],
      });
    },
  },
];
