import { useEffect, useRef, type RefObject } from 'react';

/**
 * Keys lead on: what is to be done next has the focus as soon as it is next. It is only ever passed on from the step
 * before, or taken where nothing has it: never out of a field, or from under a hand that is elsewhere.
 *
 * @param next whether this is the next thing to do
 * @returns for the button; it carries `data-lead` too, so that a page that opens finds it
 */
export function useLead(next: boolean): RefObject<HTMLButtonElement | null> {
  const ref = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    const { activeElement } = document;
    if (!next || !(activeElement === document.body || activeElement?.matches('[data-lead]'))) return;
    ref.current?.focus({ preventScroll: true });
  }, [next]);
  return ref;
}
