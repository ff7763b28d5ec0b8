import * as Radix from '@radix-ui/react-collapsible';
import { useState, type ReactNode } from 'react';
import { isUnfolded, keepUnfolded } from '../../state/persistence/unfolded';
import { cx } from './cx';

/**
 * A section that a first look does without: its name stands, what is in it is one press away, and stays open once a hand
 * has opened it.
 */
export function Folded({
  name,
  title,
  open = false,
  className,
  children,
}: {
  /** Which fold it is, for all tickets. */
  readonly name: string;
  /** Its heading, and what the section is called. */
  readonly title: string;
  /** There is something in it that has to be seen. */
  readonly open?: boolean;
  readonly className?: string;
  readonly children: ReactNode;
}) {
  const [state, setState] = useState({ shown: open || isUnfolded(name), asked: open });
  // What has to be seen is shown when it comes; what the hand did since counts until then.
  if (state.asked !== open) setState({ shown: open || state.shown, asked: open });
  const { shown } = state;
  return (
    <Radix.Root
      open={shown}
      onOpenChange={(next) => {
        keepUnfolded(name, next);
        setState({ shown: next, asked: open });
      }}
      asChild
    >
      <section aria-label={title}>
        <h3 className="border-b border-ink text-lg">
          <Radix.Trigger className="flex min-h-11 w-full cursor-pointer items-center gap-2 text-left">
            <span className="min-w-0">{title}</span>
            <span aria-hidden className="text-soft">
              {shown ? '−' : '+'}
            </span>
          </Radix.Trigger>
        </h3>
        <Radix.Content className={cx('grid content-start gap-3 pt-3', className)}>{children}</Radix.Content>
      </section>
    </Radix.Root>
  );
}
