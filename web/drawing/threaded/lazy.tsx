import { useState, type ComponentProps } from 'react';
import { part } from '../../ui/part';

/** Not needed before somebody wants to see how the rope runs. */
export const Threadings = part('The drawing of the rope in the device', () =>
  import('./Threadings').then((m) => m.Threadings),
);

interface FoldProps extends ComponentProps<typeof Threadings> {
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
      {seen && <Threadings key={props.family} {...props} />}
    </details>
  );
}
