import { lazy, Suspense, useId, useState, type ComponentProps } from 'react';
import { cx } from './cx';
import type { SelectOption } from './SelectList';

const SelectList = lazy(() => import('./SelectList'));

export interface SelectProps<T extends string> extends Pick<
  ComponentProps<'button'>,
  'id' | 'disabled' | 'aria-label'
> {
  readonly value: T;
  readonly options: ReadonlyArray<SelectOption<T>>;
  readonly onChoose: (value: T) => void;
  /** Stands there while what is chosen is none of the options. */
  readonly placeholder?: string;
  /** Written above it; else it stands in a label, or is named by `aria-label`. */
  readonly label?: string;
  /** A field has its border; a line stands within a row of words. */
  readonly look?: 'field' | 'line';
  readonly className?: string;
}

const LOOKS = {
  field: 'field w-full justify-between text-ink',
  line: 'min-h-11 border-b border-ink text-ink',
} as const;
const OPENS = new Set([' ', 'Enter', 'ArrowDown', 'ArrowUp']);

/**
 * One of many. It is a button that says what is chosen until it is first opened: only then is the list, which has to find
 * its place on the page, fetched and made.
 */
export function Select<T extends string>({
  label,
  placeholder = '',
  look = 'field',
  className,
  ...rest
}: SelectProps<T>) {
  const made = useId();
  const id = rest.id ?? made;
  const [used, setUsed] = useState(false);
  const { value, options, disabled } = rest;
  const looks = cx('inline-flex min-w-0 items-center gap-2 text-left disabled:opacity-60', LOOKS[look], className);
  const closed = (
    <button
      type="button"
      role="combobox"
      id={id}
      aria-expanded={false}
      aria-controls={`${id}-list`}
      aria-haspopup="listbox"
      data-chosen={value}
      aria-label={rest['aria-label']}
      disabled={disabled}
      className={looks}
      onClick={() => setUsed(true)}
      onKeyDown={(event) => {
        if (!OPENS.has(event.key)) return;
        event.preventDefault();
        setUsed(true);
      }}
    >
      <span className="truncate">{options.find(([one]) => one === value)?.[1] ?? placeholder}</span>
      <span aria-hidden>▾</span>
    </button>
  );
  const field = used ? (
    <Suspense fallback={closed}>
      <SelectList
        {...rest}
        id={id}
        placeholder={placeholder}
        className={looks}
        onChoose={(chosen) => rest.onChoose(chosen as T)}
      />
    </Suspense>
  ) : (
    closed
  );
  if (label === undefined) return field;
  return (
    <div className="grid content-start gap-1">
      <label htmlFor={id} className="text-sm text-soft">
        {label}
      </label>
      {field}
    </div>
  );
}
