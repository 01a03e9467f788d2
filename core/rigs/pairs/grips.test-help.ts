import type { Device } from '../../things/gear/index.ts';
import { variation, wellRigged, withItem, type Attachment, type Setup } from '../rig/index.ts';
import { club, filled, SETUPS } from '../../samples/index.ts';

const family = (wanted: Device['family']) => club.otherDevices.find((d) => d.family === wanted)!;
export const grab = family('rope-grab');
/** With teeth, and declared for the same rope and use as the other one. */
export const toothed: Device = { ...family('clamp-toothed'), declarations: grab.declarations };

export type Kind = 'toothed' | 'grab' | 'hitch';
export interface Placed {
  readonly kind: Kind;
  readonly rope: 1 | 2;
  readonly tetherMm: number;
}
/** A set-up with these, in this order from above, each on a tether of its own; nothing else holds. */
export function rigged(placed: readonly Placed[], heightM = 25): Setup {
  const two = withItem(
    wellRigged(filled(variation('grab-second-rope').add(SETUPS['self-belay-top-rope'])!)),
    'rope4-rope',
    { ...club.thickRope, id: 'rope-twin' },
  );
  const hitchOn = filled(wellRigged(variation('own-hitch').add(SETUPS['self-belay-top-rope'])!));
  const deviceSlot = two.attachments.find((a) => a.id === 'grab2')!;
  const hitchSlot = hitchOn.attachments.find((a) => a.id === 'own')!;
  const lineOf = { 1: 'rope', 2: 'rope4' } as const;
  const attachments = placed.map(({ kind, rope, tetherMm }, i): Attachment => {
    const from = kind === 'hitch' ? hitchSlot : deviceSlot;
    const on = [{ line: lineOf[rope], strand: 'main' }];
    const item = kind === 'toothed' ? toothed : grab;
    const end =
      from.end.kind === 'device'
        ? { ...from.end, id: `d${i}`, on, item, slackM: 0.1 }
        : from.end.kind === 'hitch'
          ? { ...from.end, id: `d${i}`, on, strands: 'one' as const, wraps: 6, hitch: 'prusik' as const }
          : from.end;
    return {
      ...from,
      id: `a${i}`,
      label: `Grip ${i}`,
      use: i === 0 ? 'carries' : 'backup',
      pieces: from.pieces.map((p) => ({
        ...p,
        id: `a${i}-${p.kind}`,
        ...(p.kind === 'sling' ? { measuredMm: tetherMm } : {}),
      })),
      end,
    };
  });
  return {
    ...two,
    site: { ...two.site, anchorHeightM: heightM },
    attachments,
    along: {
      rope: attachments.filter((_, i) => placed[i]!.rope === 1).map((a) => a.id),
      rope4: attachments.filter((_, i) => placed[i]!.rope === 2).map((a) => a.id),
    },
  };
}
export const KINDS: readonly Kind[] = ['toothed', 'grab', 'hitch'];
