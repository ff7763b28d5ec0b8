import { startTransition, useEffect, useState, type ReactNode } from 'react';

/** What lies below the first screen: made once that is on it, so that the first field can be typed into sooner. */
export function Later({ children }: { readonly children: ReactNode }) {
  const [shown, setShown] = useState(false);
  useEffect(() => {
    // The frame after the one that shows the rest.
    const frame = requestAnimationFrame(() => startTransition(() => setShown(true)));
    return () => cancelAnimationFrame(frame);
  }, []);
  return shown ? children : null;
}
