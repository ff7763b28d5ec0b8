import { useEffect, useRef, type Ref } from 'react';
import { joinWalk, walkOn } from '../keys/walk';
import { cx } from '../ui/cx';
import type { ReadingControl } from './useReading';
import { Input } from '../ui/Input';

interface Props {
  readonly control: ReadingControl;
  readonly label: string;
  readonly id?: string;
  readonly describedBy?: string | undefined;
  readonly disabled: boolean;
  /** Whether a caliper's walk stops here; the drawing's copies of a field do not. */
  readonly walks: boolean;
  readonly className?: string;
  readonly placeholder?: string;
  readonly inputRef?: Ref<HTMLInputElement>;
}

/** The field itself: Enter takes the reading and goes to the next, Escape gives the old one back. */
export function ReadingInput({ control, label, id, describedBy, disabled, walks, className, placeholder }: Props) {
  const ref = useRef<HTMLInputElement>(null);
  const latest = useRef(control);
  const justFocused = useRef(false);
  useEffect(() => {
    latest.current = control;
  });
  useEffect(() => {
    const element = ref.current;
    if (!element || !walks || disabled) return undefined;
    return joinWalk({ element, take: (text) => latest.current.commit(text) });
  }, [walks, disabled]);

  return (
    <Input
      ref={ref}
      id={id}
      inputMode="decimal"
      autoComplete="off"
      spellCheck={false}
      aria-label={id ? undefined : label}
      aria-invalid={control.refusal !== null}
      aria-describedby={describedBy}
      disabled={disabled}
      placeholder={placeholder}
      value={control.text}
      onChange={(event) => control.type(event.target.value)}
      onFocus={(event) => {
        event.target.select();
        justFocused.current = true;
      }}
      onMouseUp={(event) => {
        // The click that focuses must not undo the selection: the next number typed replaces the old.
        if (justFocused.current) event.preventDefault();
        justFocused.current = false;
      }}
      onBlur={() => control.dirty && control.refusal === null && control.commit()}
      onKeyDown={(event) => {
        if (event.key === 'Enter') {
          event.preventDefault();
          if (control.commit()) walkOn(event.currentTarget);
          else event.currentTarget.select();
        } else if (event.key === 'Escape') control.forget();
      }}
      className={cx('field text-xl font-semibold', control.refusal !== null && 'border-live', className)}
    />
  );
}
