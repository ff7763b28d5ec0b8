import { useLayoutEffect, useState, useSyncExternalStore, type ReactNode } from 'react';

/** The cautions on the page, the one that stands longest first: it alone says what all of them come second to. */
const standing: symbol[] = [];
const told = new Set<() => void>();
const listen = (tell: () => void): (() => void) => {
  told.add(tell);
  return () => told.delete(tell);
};

function useIsFirst(): boolean {
  const [me] = useState(() => Symbol('caution'));
  useLayoutEffect(() => {
    standing.push(me);
    told.forEach((tell) => tell());
    return () => {
      standing.splice(standing.indexOf(me), 1);
      told.forEach((tell) => tell());
    };
  }, [me]);
  return useSyncExternalStore(listen, () => standing[0] === me);
}

/** A caution where the work can hurt: what can happen and what to do, in ten to twenty words; second to local rules, said once a page. */
export function Caution({ children }: { readonly children: ReactNode }) {
  const first = useIsFirst();
  return (
    <p role="note" className="flex gap-2 border-l-4 border-live pl-3 text-[15px]">
      <span>
        <strong>Caution:</strong> {children}
        {first && <span className="text-soft"> Local rules and licensed practice come first.</span>}
      </span>
    </p>
  );
}
