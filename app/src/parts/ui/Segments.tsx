import * as Radix from '@radix-ui/react-radio-group';
import { cx } from './cx';

interface Props<T extends string> {
  readonly label: string;
  readonly value: T | '';
  readonly options: ReadonlyArray<readonly [value: T, label: string]>;
  readonly onChoose: (value: T) => void;
  readonly disabled?: boolean;
  readonly className?: string;
}

/** One of a few, all in sight: segments, of which the chosen one is filled, and said. Arrow keys go between them. */
export function Segments<T extends string>({ label, value, options, onChoose, disabled = false, className }: Props<T>) {
  return (
    <Radix.Root
      aria-label={label}
      value={value}
      disabled={disabled}
      onValueChange={(chosen) => onChoose(chosen as T)}
      className={cx('inline-flex flex-wrap border border-ink', className)}
    >
      {options.map(([option, text]) => (
        <Radix.Item
          key={option}
          value={option}
          className={cx(
            'flex min-h-11 grow items-center justify-center px-3 text-[15px] focus-visible:outline-3 focus-visible:outline-offset-2 focus-visible:outline-live',
            option === value && 'bg-ink text-paper',
            disabled ? 'opacity-60' : 'cursor-pointer',
          )}
        >
          {text}
        </Radix.Item>
      ))}
    </Radix.Root>
  );
}
