import { useEffect, useRef, type RefObject } from 'react';
import { joinWalk } from './walk';

/** A field that takes its place in the readings' walk with whatever it is given there. @returns for the field */
export function useWalkStop(take: (text: string) => void): RefObject<HTMLInputElement | null> {
  const ref = useRef<HTMLInputElement>(null);
  const latest = useRef(take);
  useEffect(() => {
    latest.current = take;
  });
  useEffect(() => {
    const element = ref.current;
    if (!element) return undefined;
    return joinWalk({
      element,
      take(text) {
        latest.current(text);
        return true;
      },
    });
  }, []);
  return ref;
}
