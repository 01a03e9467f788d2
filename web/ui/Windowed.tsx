import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useRef, useState } from 'react';
import type { LongListProps } from './long-list-props';

/** The long form of a list: as high as all its rows, with those near the screen in it. */
export function Windowed<T>({ items, keyOf, row, rowPx, className = '' }: LongListProps<T>) {
  const list = useRef<HTMLUListElement>(null);
  const [top, setTop] = useState(0);
  // Where the list begins on the page; what stands above it may change its height.
  useLayoutEffect(() => {
    const at = () => setTop((list.current?.getBoundingClientRect().top ?? 0) + window.scrollY);
    at();
    const watch = new ResizeObserver(at);
    watch.observe(document.body);
    return () => watch.disconnect();
  }, []);

  const rows = useWindowVirtualizer({
    count: items.length,
    estimateSize: () => rowPx,
    overscan: 3,
    scrollMargin: top,
    getItemKey: (i) => keyOf(items[i]!),
  });
  return (
    <ul ref={list} className={`relative border-y border-line ${className}`} style={{ height: rows.getTotalSize() }}>
      {rows.getVirtualItems().map(({ key, index, start }) => (
        <li
          key={key}
          ref={rows.measureElement}
          data-index={index}
          aria-setsize={items.length}
          aria-posinset={index + 1}
          className="absolute inset-x-0 top-0 border-b border-line"
          style={{ transform: `translateY(${start - top}px)` }}
        >
          {row(items[index]!)}
        </li>
      ))}
    </ul>
  );
}
