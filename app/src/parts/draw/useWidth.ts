import { useLayoutEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';

/** The width that an element has on the screen, kept up to date. */
export function useWidth<T extends HTMLElement>(initialPx: number) {
  const ref = useRef<T>(null);
  const [widthPx, setWidthPx] = useState(initialPx);
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return undefined;
    // The observer speaks once at the start, before anything is painted: asking here would lay the page out twice.
    const observer = new ResizeObserver(() =>
      flushSync(() => setWidthPx(Math.max(280, Math.round(element.clientWidth)))),
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, widthPx] as const;
}
