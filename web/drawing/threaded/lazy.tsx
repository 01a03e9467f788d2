import { useState, type ComponentProps } from 'react';
import { lazyPart } from '../../ui/part';

/** Not needed before somebody wants to see how the rope runs. */
export const LazyThreadings = lazyPart('The drawing of the rope in the device', () =>
  import('./Threadings').then((m) => m.Threadings),
);

interface FoldProps extends ComponentProps<typeof LazyThreadings> {
  readonly summary: string;
  readonly className: string;
  readonly summaryClass: string;
}

/** The same, folded: loaded and drawn once it is opened. */
export function FoldedThreadings({ summary, className, summaryClass, ...props }: FoldProps) {
  const [seen, setSeen] = useState(false);
  return (
    <details className={className} onToggle={(event) => event.currentTarget.open && setSeen(true)}>
      <summary className={`min-h-11 cursor-pointer ${summaryClass}`}>{summary}</summary>
      {seen && <LazyThreadings key={props.family} {...props} />}
    </details>
  );
}
