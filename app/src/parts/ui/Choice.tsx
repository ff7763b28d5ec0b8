import * as ToggleGroup from '@radix-ui/react-toggle-group';
import { cx } from './cx';

interface Props<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: ReadonlyArray<readonly [value: T, label: string]>;
  readonly onChoose: (value: T) => void;
  readonly disabled?: boolean;
  readonly className?: string;
}

/** One of a few, all in sight. The chosen one is filled, and said. */
export function Choice<T extends string>({ label, value, options, onChoose, disabled, className }: Props<T>) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      disabled={disabled ?? false}
      onValueChange={(next) => next && onChoose(next as T)}
      className={cx('inline-flex flex-wrap border border-ink', className)}
    >
      {options.map(([option, text]) => (
        <ToggleGroup.Item
          key={option}
          value={option}
          className="min-h-11 grow px-3 text-[15px] data-[state=on]:bg-ink data-[state=on]:text-paper disabled:opacity-60"
        >
          {text}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
