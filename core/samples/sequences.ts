import { newSequence, type Sequence } from '../sequence/index.ts';

const DAY = '2026-09-20T17:00:00.000Z';

/** The club’s way down from the training wall, as it is taught. */
export const wallAnchor: Sequence = {
  ...newSequence('clean-anchor', 'sequence-wall', DAY),
  name: 'Training wall, route 3',
};

const lowSpan = newSequence('doubled-rappel', 'sequence-low-span', DAY);
const line = (id: string) => lowSpan.steps.find((l) => l.id === id)!;

/** The low span as somebody wrote it down from memory: the lanyard comes off before the hitch was tried, and the ends are not mentioned. */
export const lowSpanFromMemory: Sequence = {
  ...lowSpan,
  name: 'Low span, from memory',
  steps: [
    ...lowSpan.steps
      .filter((l) => l.id !== 'ends-knot' && l.id !== 'lanyard-off')
      .flatMap((l) => (l.id === 'hitch-test' ? [line('lanyard-off'), l] : [l])),
  ],
  note: 'Compare with the sheet before Saturday.',
};

export const demoSequences: readonly Sequence[] = [wallAnchor, lowSpanFromMemory];
