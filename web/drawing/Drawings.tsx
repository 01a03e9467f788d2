import type { DrawingProps } from './drawing-props';
import { HandsDrawing } from './HandsDrawing';
import { SiteDrawing } from './SiteDrawing';

/** Both scales side by side: the site in metres, the hands in centimetres. */
export function Drawings(props: DrawingProps) {
  return (
    <>
      <SiteDrawing {...props} />
      <HandsDrawing {...props} />
    </>
  );
}
