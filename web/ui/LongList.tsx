import type { ComponentType } from 'react';
import type { LongListProps } from './long-list-props';
import { lazyPart } from './part';

/** Up to this many rows are simply there: they print, and the browser finds text in them. */
const PLAIN = 60;
const PRINTED = 'divide-y divide-line border-y border-line';

// Most lists are short.
const Windowed = lazyPart('The list', () =>
  import('./Windowed').then((m) => m.Windowed as ComponentType<LongListProps<unknown>>),
);

/** A list of rows of which, when there are many, only those near the screen are made. */
export function LongList<T>(props: LongListProps<T>) {
  const { items, keyOf, row, className = '' } = props;
  if (items.length > PLAIN) return <Windowed {...(props as LongListProps<unknown>)} />;
  return (
    <ul className={`${PRINTED} ${className}`}>
      {items.map((item) => (
        <li key={keyOf(item)}>{row(item)}</li>
      ))}
    </ul>
  );
}
