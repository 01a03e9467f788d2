import type { Assessment } from '@core/assess';
import type { Setup } from '@core/rig';
import { HandsDrawing } from './HandsDrawing';
import { SiteDrawing } from './SiteDrawing';

export interface DrawingProps {
  readonly setup: Setup;
  readonly assessment: Assessment;
  /** Index of the chosen finding. */
  readonly chosen: number | null;
  readonly onChoose: (index: number) => void;
}

/** Both scales side by side: the site in metres, the hands in centimetres. */
export function Drawings(props: DrawingProps) {
  return (
    <>
      <SiteDrawing {...props} />
      <HandsDrawing {...props} />
    </>
  );
}
