import { useId } from 'react';
import { cx } from './cx';

interface Props<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: ReadonlyArray<readonly [value: T, label: string]>;
  readonly onChoose: (value: T) => void;
  readonly disabled?: boolean;
  readonly className?: string;
}

/** One of a few, all in sight: the platform's own radio buttons. The chosen one is filled, and said. */
export function Choice<T extends string>({ label, value, options, onChoose, disabled = false, className }: Props<T>) {
  const name = useId();
  return (
    <div role="radiogroup" aria-label={label} className={cx('inline-flex flex-wrap border border-ink', className)}>
      {options.map(([option, text]) => (
        <label
          key={option}
          className={cx(
            'relative flex min-h-11 grow items-center justify-center px-3 text-[15px] has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-live',
            option === value && 'bg-ink text-paper',
            disabled ? 'opacity-60' : 'cursor-pointer',
          )}
        >
          <input
            type="radio"
            name={name}
            value={option}
            checked={option === value}
            disabled={disabled}
            onChange={() => onChoose(option)}
            className="absolute inset-0 m-0 size-full cursor-[inherit] appearance-none opacity-0"
          />
          {text}
        </label>
      ))}
    </div>
  );
}
