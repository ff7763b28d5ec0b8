import { useEffect, useState, type RefObject } from 'react';

/** A drawing up to this high is made whole. */
const WHOLE_PX = 3000;
/** What is made above and below the screen, and how far it is scrolled before more is made. */
const AROUND_PX = 1200;
const STEP_PX = 600;

/** From where to where, in px of its own height, a high drawing is seen or nearly so; all of it where it is not high. */
export function useSeen(ref: RefObject<HTMLElement | null>, heightPx: number): readonly [fromPx: number, toPx: number] {
  const [topPx, setTopPx] = useState(0);
  const whole = heightPx <= WHOLE_PX;
  useEffect(() => {
    if (whole) return undefined;
    const look = (): void => {
      const above = -(ref.current?.getBoundingClientRect().top ?? 0);
      setTopPx(Math.round(above / STEP_PX) * STEP_PX);
    };
    addEventListener('scroll', look, { passive: true });
    return () => removeEventListener('scroll', look);
  }, [ref, whole]);
  return whole ? [-Infinity, Infinity] : [topPx - AROUND_PX, topPx + innerHeight + AROUND_PX];
}
