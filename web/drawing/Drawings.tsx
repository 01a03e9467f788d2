import { AnchorHands } from './AnchorHands';
import type { DrawingProps } from './drawing-props';
import { HandsDrawing } from './HandsDrawing';
import { rigView } from './rig-view';
import { SiteDrawing } from './SiteDrawing';

/** Both scales side by side: the site in metres, the hands in centimetres; at an anchor the device large. */
export function Drawings(props: DrawingProps) {
  const Hands = rigView(props.setup).wearer ? HandsDrawing : AnchorHands;
  return (
    <>
      <SiteDrawing {...props} />
      <Hands {...props} />
    </>
  );
}
