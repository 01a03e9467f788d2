import type { TermId } from '@core/foundations/vocabulary';
import { HANDS_AND_GEAR } from './hands-and-gear';
import { DEVICES_AND_KNOTS } from './devices-and-knots';
import { ON_THE_ROPE } from './on-the-rope';

const PICTURES: Readonly<Record<TermId, React.ReactNode>> = { ...HANDS_AND_GEAR, ...DEVICES_AND_KNOTS, ...ON_THE_ROPE };

/** What a word of the trade means, as a small drawing. */
export const TermPicture = ({ term }: { term: TermId }) => (
  <svg viewBox="0 0 160 120" className="h-24 w-32 shrink-0 rounded-md bg-sunk" aria-hidden data-term-picture={term}>
    {PICTURES[term]}
  </svg>
);
