import { useRef, type InputHTMLAttributes, type Ref, type TextareaHTMLAttributes } from 'react';
import { BURST_GAP_MS } from '../keys/burst';
import { asTyped } from './asTyped';
import { cx } from './cx';

interface Props extends InputHTMLAttributes<HTMLInputElement> {
  readonly ref?: Ref<HTMLInputElement> | undefined;
  /** What Enter does in it: it enters the line that a hand has written. The Enter that ends a caliper's burst does not. */
  readonly onEnter?: (() => void) | undefined;
}

/** The field of this app, on one line: Enter enters it, Escape leaves it. */
export function Input({ onEnter, onKeyDown, onChange, className, ...rest }: Props) {
  const lastKeyMs = useRef(-Infinity);
  return (
    <input
      {...rest}
      className={cx('field', className)}
      onChange={(event) => onChange?.(asTyped(event))}
      onKeyDown={(event) => {
        onKeyDown?.(event);
        const sinceMs = event.timeStamp - lastKeyMs.current;
        lastKeyMs.current = event.timeStamp;
        if (event.defaultPrevented) return;
        if (event.key === 'Enter' && onEnter) {
          event.preventDefault();
          if (sinceMs > BURST_GAP_MS) onEnter();
        }
        if (event.key === 'Escape') event.currentTarget.blur();
      }}
    />
  );
}

/** The same for several lines, where Enter is a line of its own. */
export const Area = ({ className, onChange, ...rest }: TextareaHTMLAttributes<HTMLTextAreaElement>) => (
  <textarea {...rest} className={cx('field', className)} onChange={(event) => onChange?.(asTyped(event))} />
);
