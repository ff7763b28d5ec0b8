import { useLayoutEffect, useRef, useState } from 'react';

/** The width that an element has on the screen, kept up to date. */
export function useWidth<T extends HTMLElement>(initialPx: number) {
  const ref = useRef<T>(null);
  const [widthPx, setWidthPx] = useState(initialPx);
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return undefined;
    const measure = (): void => setWidthPx(Math.max(280, Math.round(element.clientWidth)));
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, widthPx] as const;
}
