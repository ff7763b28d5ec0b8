import { useId, type ReactNode } from 'react';
import * as Radix from '@radix-ui/react-checkbox';
import { cx } from './cx';

/** Yes or no, with its words beside it. */
export function Check({
  checked,
  onCheck,
  disabled = false,
  className,
  'aria-label': label,
  children,
}: {
  readonly checked: boolean;
  readonly onCheck: (checked: boolean) => void;
  readonly disabled?: boolean;
  readonly className?: string;
  readonly 'aria-label'?: string;
  readonly children?: ReactNode;
}) {
  const id = useId();
  return (
    <span className={cx('flex min-h-11 items-center gap-3', className)}>
      <Radix.Root
        id={id}
        checked={checked}
        disabled={disabled}
        aria-label={label}
        onCheckedChange={(next) => onCheck(next === true)}
        className="-m-2.5 grid size-11 shrink-0 place-items-center disabled:opacity-60"
      >
        <span className="grid size-6 place-items-center border border-ink bg-sheet">
          <Radix.Indicator className="text-lg leading-none">✓</Radix.Indicator>
        </span>
      </Radix.Root>
      {children !== undefined && (
        <label htmlFor={id} className={cx('min-w-0 grow', !disabled && 'cursor-pointer')}>
          {children}
        </label>
      )}
    </span>
  );
}
