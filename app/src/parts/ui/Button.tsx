import type { ButtonHTMLAttributes } from 'react';
import { cx } from './cx';
import { KeyCap } from './KeyCap';

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  /** The one thing to do here is `strong`; others are `plain`; those in running text are `quiet`. */
  readonly look?: 'strong' | 'plain' | 'quiet';
  readonly keyCap?: string | undefined;
}

const LOOKS = {
  strong: 'bg-ink text-paper border border-ink px-4 font-semibold',
  plain: 'bg-sheet border border-ink px-4 font-semibold',
  quiet: 'underline decoration-hair decoration-2 underline-offset-4 px-1',
};

export function Button({ look = 'plain', keyCap, className, children, type = 'button', ...rest }: Props) {
  return (
    <button
      type={type}
      className={cx(
        'inline-flex min-h-11 items-center justify-between gap-3 text-left hover:decoration-live disabled:cursor-not-allowed disabled:opacity-50',
        LOOKS[look],
        className,
      )}
      {...rest}
    >
      <span>{children}</span>
      {keyCap && <KeyCap>{keyCap}</KeyCap>}
    </button>
  );
}

/**
 * A button that commits a try or a hand-back. Enter does nothing on it, because a typing caliper ends each number with
 * Enter; a click, a touch, Space or its own key does it.
 */
export function CommitButton(props: Props) {
  return (
    <Button
      {...props}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.preventDefault();
        props.onKeyDown?.(event);
      }}
    />
  );
}
