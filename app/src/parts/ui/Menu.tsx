import * as Radix from '@radix-ui/react-dropdown-menu';
import { cx } from './cx';

/** A button with several things to do behind it. */
export default function Menu({
  label,
  items,
  className,
}: {
  readonly label: string;
  readonly items: ReadonlyArray<readonly [words: string, run: () => void]>;
  readonly className?: string;
}) {
  return (
    <Radix.Root modal={false}>
      <Radix.Trigger className={cx('inline-flex min-h-11 items-center gap-2 border border-ink px-4', className)}>
        {label} <span aria-hidden>▾</span>
      </Radix.Trigger>
      <Radix.Portal>
        <Radix.Content
          align="start"
          sideOffset={4}
          className="z-30 max-h-(--radix-dropdown-menu-content-available-height) max-w-[calc(100vw-16px)] overflow-y-auto border border-ink bg-sheet"
        >
          {items.map(([words, run]) => (
            <Radix.Item
              key={words}
              onSelect={run}
              className="flex min-h-11 cursor-pointer items-center px-4 outline-none data-highlighted:bg-ink data-highlighted:text-paper"
            >
              {words}
            </Radix.Item>
          ))}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
