import { Suspense, useState, type ReactNode } from 'react';
import * as Radix from '@radix-ui/react-collapsible';
import { isUnfoldedByHand, keepUnfolded } from '../../state/persistence/unfolded';
import { cx } from './cx';

/** Something folded away, made only once it is opened: what is never looked at is never fetched. */
export function Fold({
  name,
  title,
  open = false,
  className = '',
  titleClass = 'font-semibold',
  onOpen,
  children,
}: {
  /** Which fold it is: one that has a name stays open once a hand has opened it. */
  readonly name?: string;
  readonly title: ReactNode;
  /** Unfolded from the outset, and again where that becomes so. */
  readonly open?: boolean;
  readonly className?: string;
  readonly titleClass?: string;
  readonly onOpen?: (open: boolean) => void;
  readonly children: ReactNode;
}) {
  const [state, setState] = useState({ shown: open || (name !== undefined && isUnfoldedByHand(name)), asked: open });
  // What is asked for anew counts; what the hand did since counts until then.
  if (state.asked !== open) setState({ shown: open, asked: open });
  const { shown } = state;
  return (
    <Radix.Root
      open={shown}
      className={className}
      onOpenChange={(next) => {
        setState({ shown: next, asked: open });
        if (name !== undefined) keepUnfolded(name, next);
        onOpen?.(next);
      }}
    >
      <Radix.Trigger className={cx('flex min-h-11 w-full cursor-pointer items-center gap-2 text-left', titleClass)}>
        <span className="min-w-0">{title}</span>
        <span aria-hidden className="text-soft">
          {shown ? '−' : '+'}
        </span>
      </Radix.Trigger>
      <Radix.Content>
        <Suspense fallback={null}>{children}</Suspense>
      </Radix.Content>
    </Radix.Root>
  );
}
