import { useEffect } from 'react';
import { useLocation } from 'react-router';

/** How long a page may take to stand before its first field is given up. */
const PATIENCE_MS = 1500;

/** A ticket that was opened just now starts at the field that starts the work: the first that is empty. */
export function useStart(ready: boolean): void {
  const { state, key } = useLocation() as { state: { readonly start?: boolean } | null; key: string };
  const start = state?.start === true;
  useEffect(() => {
    if (!ready || !start) return undefined;
    const begun = performance.now();
    let frame = 0;
    const look = (): void => {
      const fields = document.querySelectorAll<HTMLInputElement>(
        'main [aria-label=Readings] input.field, main [data-start] input, main [data-start] textarea',
      );
      const first = [...fields].find((field) => field.value === '' && !field.disabled && field.offsetParent !== null);
      // Nothing is left to be typed: what is to be done has the focus.
      const lead = document.querySelector<HTMLButtonElement>('main [data-lead]:not(:disabled)');
      if (first ?? lead) (first ?? lead)?.focus();
      else if (performance.now() - begun < PATIENCE_MS) frame = requestAnimationFrame(look);
    };
    frame = requestAnimationFrame(look);
    return () => cancelAnimationFrame(frame);
  }, [ready, start, key]);
}
