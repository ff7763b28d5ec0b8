import { useEffect, useState } from 'react';
import type { describeEvent as describe } from '../state/history';

type Describe = typeof describe;

/** What undo would take back is told once the page stands: until then the button says only what it does. */
const LATER_MS = 900;

/** How an event is said, as soon as that is fetched. */
export function useDescribe(): Describe | null {
  const [describe, setDescribe] = useState<Describe | null>(null);
  useEffect(() => {
    const timer = setTimeout(
      () =>
        void import('../state/history')
          .then(({ describeEvent }) => setDescribe(() => describeEvent))
          .catch(() => undefined),
      LATER_MS,
    );
    return () => clearTimeout(timer);
  }, []);
  return describe;
}
