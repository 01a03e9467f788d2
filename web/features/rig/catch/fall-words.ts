import type { Setup } from '@core/rigs/rig';

/** What is asked on the page of a fall: on a top rope nobody leads. */
export const fallWords = ({ lines }: Pick<Setup, 'lines'>): string =>
  lines.some((l) => l.kind === 'led') ? 'If the leader falls' : 'If the climber falls';
