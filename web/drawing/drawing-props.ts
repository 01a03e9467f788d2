import type { Assessment } from '@core/answers/assess';
import type { Setup } from '@core/rigs/rig';

export interface DrawingProps {
  readonly setup: Setup;
  readonly assessment: Assessment;
  /** Index of the chosen finding. */
  readonly chosen: number | null;
  readonly onChoose: (index: number) => void;
  /**
   * What is moved in the drawing changes the set-up; left out where a drawing only shows. `field` names what is moved.
   */
  readonly onChange?: (next: Setup, field: string) => void;
}
