import { besideConnector, mainConnector } from '../rig.ts';
import { clip, connector, onHarness, slingPiece } from '../templates/build.ts';
import { grown, has, type Variation } from './variation.ts';

/** What is clipped beside. */
export const ATTACHED: readonly Variation[] = [
  {
    id: 'lanyard',
    label: 'a lanyard to the anchor',
    backsUp: false,
    needs: ['a sling and a locking connector of its own'],
    defeats: ['if you forget it you are stuck; on a gear loop it holds nothing'],
    reasons: ['holds while everything else is rigged and tried'],
    against: [],
    add: (setup) => {
      const first = setup.attachments.find((a) => a.root.kind === 'harness' && a.use === 'carries');
      const at = setup.lines[0]!.anchor;
      if (first?.root.kind !== 'harness' || has(setup, 'lanyard')) return null;
      return grown(setup, {
        attachments: [
          {
            id: 'lanyard',
            label: 'Lanyard',
            use: 'tether',
            job: null,
            root: onHarness(first.root.person),
            pieces: [slingPiece('lanyard-sling'), connector('lanyard-connector')],
            end: clip('lanyard-end', at),
          },
        ],
      });
    },
  },
  {
    id: 'second-connector',
    label: 'a second connector beside the first',
    backsUp: false,
    needs: ['room for both in the device', 'gates opposed and reversed'],
    defeats: ['both gates on one side'],
    reasons: ['adds friction', 'one push does not open both'],
    against: ['rope drags at the top, where it is heavy'],
    add: (setup) => {
      const main = setup.attachments.find((a) => a.id === 'main');
      const first = main ? mainConnector(main) : null;
      if (!main || !first || besideConnector(main)) return null;
      const pieces = [...main.pieces, connector('extraConnector', first.id)];
      return {
        ...setup,
        attachments: setup.attachments.map((a) => (a === main ? { ...a, pieces } : a)),
      };
    },
  },
];
