import * as Radix from '@radix-ui/react-select';
import { nonce } from '../../state/boot';

export type SelectOption<T extends string = string> = readonly [value: T, label: string | number];

/** The list wants a word for each of its lines; nothing chosen has one of its own. */
const NOTHING = '\u0000';

/** A select once it was opened: Radix's list, placed where there is room. */
export default function SelectList({
  id,
  value,
  options,
  disabled,
  placeholder,
  className,
  onChoose,
  'aria-label': label,
}: {
  readonly id: string;
  readonly value: string;
  readonly options: ReadonlyArray<SelectOption>;
  readonly disabled?: boolean | undefined;
  readonly placeholder: string;
  readonly className: string;
  readonly onChoose: (value: string) => void;
  readonly 'aria-label'?: string | undefined;
}) {
  return (
    <Radix.Root
      defaultOpen
      value={value === '' ? NOTHING : value}
      disabled={disabled === true}
      onValueChange={(chosen) => onChoose(chosen === NOTHING ? '' : chosen)}
    >
      <Radix.Trigger id={id} aria-label={label} data-chosen={value} className={className}>
        <span className="truncate">
          <Radix.Value>{options.find(([one]) => one === value)?.[1] ?? placeholder}</Radix.Value>
        </span>
        <span aria-hidden>▾</span>
      </Radix.Trigger>
      <Radix.Portal>
        <Radix.Content
          position="popper"
          sideOffset={4}
          className="z-30 max-h-[min(60vh,var(--radix-select-content-available-height))] max-w-[calc(100vw-16px)] min-w-(--radix-select-trigger-width) overflow-y-auto border border-ink bg-sheet"
        >
          <Radix.Viewport nonce={nonce}>
            {options.map(([one, words]) => (
              <Radix.Item
                key={one}
                value={one === '' ? NOTHING : one}
                data-chosen-by={one}
                className="flex min-h-11 cursor-pointer items-center gap-2 px-3 outline-none data-highlighted:bg-ink data-highlighted:text-paper"
              >
                <span className="w-4 shrink-0">
                  <Radix.ItemIndicator>✓</Radix.ItemIndicator>
                </span>
                <Radix.ItemText>{words}</Radix.ItemText>
              </Radix.Item>
            ))}
          </Radix.Viewport>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
