import type { ReactNode } from 'react';

/** A page that is words only. */
export function Words({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <div className="max-w-2xl px-5 py-8">
      <h1 className="mb-2 text-2xl">{title}</h1>
      <p className="text-lg">{children}</p>
    </div>
  );
}
