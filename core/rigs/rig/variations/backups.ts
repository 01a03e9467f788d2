import type { ElementId } from '../../../foundations/finding/index.ts';
import { MUNTER } from '../../../things/gear/index.ts';
import type { Attachment } from '../attachment-elements.ts';
import type { RigPerson } from '../person-elements.ts';
import type { Setup } from '../model.ts';
import { belaysFromHarness, deviceOf, indexOf } from '../rig.ts';
import {
  anchor,
  connector,
  device,
  fixed,
  hitch,
  knotBelowAttachment,
  on,
  onAnchor,
  onHarness,
  person,
  slingPiece,
  straight,
  tiedIn,
} from '../templates/build.ts';
import { grown, has, ownDevice, strandsOn, type Variation } from './variation.ts';

/** A hitch around the strands of the device, on the given side of it. */
function hitchAt(setup: Setup, id: ElementId, label: string, side: 'above' | 'below'): Setup | null {
  const main = ownDevice(setup);
  if (!main || has(setup, id) || main.root.kind !== 'harness') return null;
  const below = side === 'below';
  const attachment: Attachment = {
    id,
    label,
    use: 'backup',
    job: null,
    root: onHarness(main.root.person, below ? 'leg-loop' : 'belay-loop'),
    pieces: below
      ? [connector(id === 'below' ? 'hitchConnector' : `${id}-connector`)]
      : [slingPiece(`${id}-tether`), connector(`${id}-connector`)],
    end: hitch(id === 'below' ? 'hitch' : `${id}-hitch`, strandsOn(main)),
  };
  return grown(setup, { attachments: [attachment], before: below ? {} : { [id]: main.id } });
}

/** A belayer of a second rope: the one there is, or one more person. */
const belayerFor = (setup: Setup): { id: ElementId; added: RigPerson[] } => {
  const there = setup.persons.find((p) => p.role === 'belayer');
  return there ? { id: there.id, added: [] } : { id: 'belayer', added: [person('belayer', 'belayer')] };
};

/** What backs up who hangs on a device, or who is lowered. */
export const BACKUPS: readonly Variation[] = [
  {
    id: 'hitch-below',
    label: 'a hitch below the device',
    backsUp: true,
    needs: [
      'an extension, so that the hitch cannot reach the device',
      'a hitch that grips these strands, tested with weight',
      'an attachment that takes load',
    ],
    defeats: ['reaching the device', 'a hand that clutches it', 'wet, icy or thin rope'],
    reasons: ['grips at once', 'lightly loaded, so it releases easily'],
    against: ['needs the device: it only holds the brake strands', 'one more thing to rig and to test'],
    add: (setup) => hitchAt(setup, 'below', 'Hitch below the device', 'below'),
  },
  {
    id: 'hitch-above',
    label: 'a hitch above the device',
    backsUp: true,
    needs: [
      'a tether of its own, short enough to reach the hitch when it is loaded',
      'a way to unload it again: foot loop or second hitch',
    ],
    defeats: ['a hand that pushes it down and does not let go', 'a tether too long: it hangs out of reach'],
    reasons: ['holds when the device or its connector fails', 'clear of the device'],
    against: [
      'takes your whole weight, so that it bites hard and is hard to release',
      'a frightened hand holds it open',
    ],
    add: (setup) => hitchAt(setup, 'above', 'Hitch above the device', 'above'),
  },
  {
    id: 'second-hitch',
    label: 'a second hitch below',
    backsUp: false,
    needs: ['room on the rope for both', 'a hand that tends both together'],
    defeats: ['whatever defeats the first one'],
    reasons: ['one that slips is caught by the other'],
    against: ['twice the drag', 'same cord, same rope, same water: both may slip'],
    add: (setup) => (has(setup, 'below') ? hitchAt(setup, 'below2', 'Second hitch', 'below') : null),
  },
  {
    id: 'second-rope',
    label: 'a second rope held from above',
    backsUp: true,
    needs: [
      'a second rope, long enough, on points of its own',
      'a Munter hitch with a hitch on its brake strand',
      'somebody at the edge who watches the slack',
    ],
    defeats: [
      'slack that nobody sees',
      'both ropes over the same edge or on the same points',
      'calls that are not heard',
    ],
    reasons: ['survives the loss of rope, device and hand', 'the beginner can be let down'],
    against: [
      'a second rope and a person who stays above',
      'ropes twist around each other',
      'the last one goes without it',
    ],
    add: (setup) => {
      const main = ownDevice(setup);
      if (!main || main.root.kind !== 'harness' || has(setup, 'belay')) return null;
      const belayer = belayerFor(setup);
      return grown(setup, {
        persons: belayer.added,
        anchors: [anchor('anchor2')],
        lines: [straight('rope2', 'anchor2')],
        attachments: [
          {
            id: 'belay',
            label: 'Belay from above',
            use: 'backup',
            job: 'belay-second',
            root: onAnchor('anchor2'),
            pieces: [connector('belay-connector')],
            end: { ...device('belay-device', [on('rope2', 'brake')], belayer.id), item: MUNTER },
          },
          {
            id: 'belay-hitch',
            label: 'Hitch on the belayer’s brake strand',
            use: 'backup',
            job: 'belay-second',
            root: onHarness(belayer.id, 'leg-loop'),
            pieces: [connector('belay-hitch-connector')],
            end: hitch('belay-hitch-cord', [on('rope2', 'brake')]),
          },
          {
            ...tiedIn(main.root.person, on('rope2', 'load'), 'tie-in2'),
            label: 'Tie-in to the second rope',
            use: 'backup',
          },
        ],
      });
    },
  },
  {
    id: 'own-hitch',
    label: 'a hitch of its own on a second, fixed rope',
    backsUp: true,
    needs: ['a second fixed rope on points of its own', 'slide it: push, let go, push – never hold it'],
    defeats: ['a hand that stays on it', 'both ropes over the same edge'],
    reasons: ['survives the loss of rope, device and hand without a second person'],
    against: ['one hand is busy with it', 'a fall with slack runs some way before it holds'],
    add: (setup) => {
      const main = ownDevice(setup);
      if (!main || main.root.kind !== 'harness' || has(setup, 'own')) return null;
      return grown(setup, {
        anchors: [anchor('anchor3')],
        lines: [fixed('rope3', 'anchor3')],
        attachments: [
          {
            id: 'own',
            label: 'Hitch on the second rope',
            use: 'backup',
            job: 'rappel-fixed',
            root: onHarness(main.root.person),
            pieces: [slingPiece('own-tether'), connector('own-connector')],
            end: hitch('own-hitch', [on('rope3', 'main')]),
          },
        ],
      });
    },
  },
  {
    id: 'held-below',
    label: 'a partner who pulls from below',
    backsUp: true,
    needs: ['a partner who sees you all the way and holds the rope', 'a stand out of falling rock'],
    defeats: [
      'a partner who looks away or cannot see you',
      'rockfall',
      'much rope, an edge or a bend between: the pull arrives late',
    ],
    reasons: ['nothing to rig', 'holds whatever your hand does'],
    against: [
      'somebody has to be down already',
      'hangs on the same device and rope as you',
      'useless when out of sight',
    ],
    add: (setup) => {
      const main = ownDevice(setup);
      if (!main || has(setup, 'watched')) return null;
      const partner = setup.persons.find((p) => p.role === 'partner');
      const by = partner ?? person('partner', 'partner');
      const [where] = strandsOn(main);
      return grown(setup, {
        persons: partner ? [] : [by],
        attachments: [
          {
            id: 'watched',
            label: 'Partner below pulls the rope',
            use: 'backup',
            job: null,
            root: { kind: 'part', part: main.end.id },
            pieces: [],
            end: { id: 'watched-hand', kind: 'hand', by: by.id, on: [where!] },
          },
        ],
      });
    },
  },
  {
    id: 'knot-below',
    label: 'a knot below the device',
    backsUp: true,
    needs: ['a knot that cannot enter the device, close below it', 'the next knot tied before this one is untied'],
    defeats: ['a knot too far away', 'knots forgotten when the rope is pulled'],
    reasons: ['nothing to tune', 'a knot also closes the end'],
    against: ['holds only at the next knot', 'knots must be untied or passed, and catch when the rope is pulled'],
    add: (setup) => {
      const main = ownDevice(setup);
      if (!main || has(setup, 'stop-knot')) return null;
      return grown(setup, { attachments: [knotBelowAttachment(main.end.id, strandsOn(main)[0]!)] });
    },
  },
  {
    id: 'brake-hitch',
    label: 'a hitch on the brake strand',
    backsUp: false,
    needs: ['a hitch that grips the brake strand, on the belayer or on the anchor'],
    defeats: ['a hand that holds it open', 'reaching the device'],
    reasons: ['holds when the hand lets go'],
    against: ['one more thing to tend while lowering'],
    add: (setup) => {
      const belay = setup.attachments.find(
        (a) =>
          a.end.kind === 'device' &&
          (a.root.kind === 'anchor' || belaysFromHarness(indexOf(setup), a)) &&
          a.id === 'main',
      );
      const hand = belay ? deviceOf(belay)?.hand : null;
      if (!belay || !hand || has(setup, 'brake-hitch')) return null;
      return grown(setup, {
        attachments: [
          {
            id: 'brake-hitch',
            label: 'Hitch on the brake strand',
            use: 'backup',
            job: null,
            root: onHarness(hand, 'leg-loop'),
            pieces: [connector('brake-hitch-connector')],
            end: hitch('brake-hitch-cord', strandsOn(belay)),
          },
        ],
      });
    },
  },
];
