import { Suspense, useState, type ReactNode } from 'react';

/** Something folded away, made only once it is opened: what is never looked at is never fetched. */
export function Fold({
  title,
  open = false,
  className = '',
  children,
}: {
  readonly title: ReactNode;
  /** Unfolded from the outset. */
  readonly open?: boolean;
  readonly className?: string;
  readonly children: ReactNode;
}) {
  const [opened, setOpened] = useState(open);
  return (
    <details
      open={open}
      className={className}
      onToggle={(event) => {
        if (event.currentTarget.open) setOpened(true);
      }}
    >
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold">{title}</summary>
      {(opened || open) && <Suspense fallback={null}>{children}</Suspense>}
    </details>
  );
}
