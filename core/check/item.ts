import type { CheckItem } from './check-item.ts';

type Draft = Omit<CheckItem, 'numbers' | 'kind' | 'touch' | 'look'> &
  Partial<Pick<CheckItem, 'numbers' | 'kind' | 'touch' | 'look'>>;

/** An item with what most of them share filled in. */
export const item = (draft: Draft): CheckItem => ({ kind: 'look', numbers: [], touch: '', look: '', ...draft });
