import type { ReactNode } from 'react';

export interface LongListProps<T> {
  readonly items: readonly T[];
  readonly keyOf: (item: T) => string;
  readonly row: (item: T) => ReactNode;
  /** Height of a row before it was measured, px. */
  readonly rowPx: number;
  readonly className?: string;
}
