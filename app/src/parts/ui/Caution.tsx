import type { ReactNode } from 'react';

/** A caution where the work can hurt. Short, and always second to local rules. */
export function Caution({ children }: { readonly children: ReactNode }) {
  return (
    <p role="note" className="flex gap-2 border-l-4 border-live pl-3 text-[15px]">
      <span>
        <strong>Caution:</strong> {children}{' '}
        <span className="text-soft">Local rules and licensed practice come first.</span>
      </span>
    </p>
  );
}
