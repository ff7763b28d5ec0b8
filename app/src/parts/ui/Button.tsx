import type { ButtonHTMLAttributes, Ref } from 'react';
import { cx } from './cx';
import { KeyCap } from './KeyCap';
import { LOOKS, type Look } from './looks';

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  readonly look?: Look;
  readonly keyCap?: string | undefined;
  readonly ref?: Ref<HTMLButtonElement> | undefined;
}

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
