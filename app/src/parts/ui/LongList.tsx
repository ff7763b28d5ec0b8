import { defaultRangeExtractor, useWindowVirtualizer, windowScroll, type Range } from '@tanstack/react-virtual';
import { useImperativeHandle, useLayoutEffect, useRef, useState, type ReactNode, type Ref } from 'react';
import { useMedia } from './useMedia';

/** Lists up to this long are made whole: the browser's own search finds everything in them. */
const WHOLE = 80;

export interface LongListHandle {
  /** Brings an item into the middle of the screen. */
  reveal(key: string): void;
}

interface Props<T> {
  readonly items: readonly T[];
  readonly keyOf: (item: T) => string;
  readonly children: (item: T, index: number) => ReactNode;
  /** How high an item usually is. */
  readonly usualPx: number;
  readonly label?: string;
  readonly className?: string;
  readonly as?: 'ol' | 'ul';
  readonly ref?: Ref<LongListHandle> | undefined;
}

/** A list of which only what is seen is made, once it is long; on paper all of it. Each child is what stands in an `li`. */
export function LongList<T>(props: Props<T>) {
  const printing = useMedia('print');
  return props.items.length <= WHOLE || printing ? <WholeList {...props} /> : <SeenList {...props} />;
}

function WholeList<T>({ items, keyOf, children, label, className, as: List = 'ol', ref }: Props<T>) {
  const list = useRef<HTMLOListElement & HTMLUListElement>(null);
  useImperativeHandle(ref, () => ({
    reveal(key) {
      const index = items.findIndex((item) => keyOf(item) === key);
      list.current?.children[index]?.scrollIntoView({ block: 'center' });
    },
  }));
  return (
    <List ref={list} aria-label={label} className={className}>
      {items.map((item, index) => (
        <li key={keyOf(item)}>{children(item, index)}</li>
      ))}
    </List>
  );
}

function SeenList<T>({ items, keyOf, children, usualPx, label, className, as: List = 'ol', ref }: Props<T>) {
  const list = useRef<HTMLOListElement & HTMLUListElement>(null);
  const [marginPx, setMarginPx] = useState(0);
  const moved = useRef(false);
  // Whatever stands above it may grow and shrink.
  useLayoutEffect(() => {
    const place = (): void => {
      const top = list.current?.getBoundingClientRect().top ?? 0;
      setMarginPx(Math.round(top + window.scrollY));
    };
    const observer = new ResizeObserver(place);
    observer.observe(document.body);
    return () => observer.disconnect();
  }, []);
  const virtual = useWindowVirtualizer({
    count: items.length,
    estimateSize: () => usualPx,
    getItemKey: (index) => keyOf(items[index] as T),
    scrollMargin: marginPx,
    overscan: 6,
    // Heights are heard from the observer, and the place it starts at is the browser's: asking would lay the page out twice.
    measureElement: (element, entry, { measurementsCache }) =>
      entry?.borderBoxSize[0]?.blockSize ??
      measurementsCache[Number(element.getAttribute('data-index'))]?.size ??
      usualPx,
    scrollToFn: (offset, options, instance) => {
      if (moved.current || offset !== 0) windowScroll(offset, options, instance);
      moved.current = true;
    },
    // What holds the focus stays, however far it is scrolled away.
    rangeExtractor: (range: Range) => {
      const focused = document.activeElement?.closest<HTMLElement>('[data-index]');
      const seen = defaultRangeExtractor(range);
      const index = focused && list.current?.contains(focused) ? Number(focused.dataset.index) : -1;
      return index < 0 || seen.includes(index) ? seen : [...seen, index].sort((a, b) => a - b);
    },
  });
  useImperativeHandle(ref, () => ({
    reveal(key) {
      const index = items.findIndex((item) => keyOf(item) === key);
      if (index >= 0) virtual.scrollToIndex(index, { align: 'center' });
    },
  }));
  return (
    <List
      ref={list}
      aria-label={label}
      className={className}
      style={{ position: 'relative', height: virtual.getTotalSize() }}
    >
      {virtual.getVirtualItems().map(({ index, key, start }) => (
        <li
          key={String(key)}
          ref={virtual.measureElement}
          data-index={index}
          aria-posinset={index + 1}
          aria-setsize={items.length}
          style={{ position: 'absolute', insetInline: 0, top: 0, transform: `translateY(${start - marginPx}px)` }}
        >
          {children(items[index] as T, index)}
        </li>
      ))}
    </List>
  );
}
