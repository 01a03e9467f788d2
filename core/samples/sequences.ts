import type { Line, ProcedureId, Sequence } from '../answers/procedures/index.ts';

const DAY = '2026-09-20T17:00:00.000Z';

const order = (
  procedure: ProcedureId,
  options: Sequence['options'],
  ids: string,
): Omit<Sequence, 'id' | 'name' | 'note'> => ({
  procedure,
  options,
  steps: ids.split(' ').map((id): Line => ({ kind: 'step', id })),
  at: null,
  createdAt: DAY,
  updatedAt: DAY,
});

/** The club’s way down from the training wall, as it is taught: the shipped order. */
export const wallAnchor: Sequence = {
  ...order(
    'clean-anchor',
    { end: 'partner' },
    'agree lanyard-clip lanyard-lock lanyard-weigh off-belay rope-clip untie thread end-knot unclip-bight middle throw partner-knot device-thread device-lock hitch-tie hitch-lock device-weigh hitch-test lanyard-off strip call-going go ground ends-untie pull',
  ),
  id: 'sequence-wall',
  name: 'Training wall, route 3',
  note: '',
};

/**
 * The low span as somebody wrote it down from memory: the lanyard comes off before the hitch was tried, and the ends
 * are not mentioned.
 */
export const lowSpanFromMemory: Sequence = {
  ...order(
    'doubled-rappel',
    { rope: 'folded' },
    'lanyard-clip lanyard-lock lanyard-weigh edge rope-thread rope-middle throw device-thread device-lock hitch-tie hitch-lock device-weigh lanyard-off hitch-test call-going go ground call-off ends-untie pull',
  ),
  id: 'sequence-low-span',
  name: 'Low span, from memory',
  note: 'Compare with the sheet before Saturday.',
};

export const demoSequences: readonly Sequence[] = [wallAnchor, lowSpanFromMemory];
