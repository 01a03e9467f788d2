import type { Assessment } from '@core/assess';
import type { Setup } from '@core/rig';

export interface DrawingProps {
  readonly setup: Setup;
  readonly assessment: Assessment;
  /** Index of the chosen finding. */
  readonly chosen: number | null;
  readonly onChoose: (index: number) => void;
}
