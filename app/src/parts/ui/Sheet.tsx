import type { ReactNode } from 'react';
import * as Dialog from '@radix-ui/react-dialog';
import { cx } from './cx';

/** A sheet laid over the page; Escape or a press beside it closes it, and the focus goes back to where it was. */
export function Sheet({
  title,
  quiet = false,
  className,
  onClose,
  children,
}: {
  /** Read out when it opens; written at its top unless the content does that. */
  readonly title: string;
  /** The title is small, for a sheet whose field says what it is. */
  readonly quiet?: boolean;
  readonly className: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
}) {
  return (
    <Dialog.Root open onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-10 bg-ink/25" />
        <Dialog.Content
          aria-describedby={undefined}
          className={cx('fixed z-20 overflow-y-auto border border-ink bg-paper', className)}
        >
          <Dialog.Title className={quiet ? 'text-sm text-soft' : 'text-xl font-bold'}>{title}</Dialog.Title>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
