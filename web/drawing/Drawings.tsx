import { guides, contextOf } from '@core/rigs/elements';
import { AnchorHands } from './AnchorHands';
import type { DrawingProps } from './drawing-props';
import { Grips } from './Grips';
import { HandsDrawing } from './HandsDrawing';
import { rigView } from './rig-view';
import { SiteDrawing } from './SiteDrawing';

/**
 * Both scales side by side: the site in metres, the hands in centimetres; at an anchor the device large. Where the
 * set-up can be changed, and not on a card, with the grips that a hand must not have.
 */
export function Drawings(props: DrawingProps) {
  const view = rigView(props.setup);
  const Hands = view.wearer ? HandsDrawing : AnchorHands;
  // At an anchor the angle of the brake strand is moved in the drawing itself.
  const held =
    props.onChange && view.wearer && view.braker && view.device && !guides(view.main, contextOf(props.setup));
  return (
    <>
      <SiteDrawing {...props} />
      <Hands {...props} />
      {held && (
        <Grips
          device={view.device}
          hand={view.braker.item?.brakeHand === 'left' ? 'left' : 'right'}
          brake={props.assessment.figures.brake[view.main.id] ?? null}
        />
      )}
    </>
  );
}
