import * as Radix from '@radix-ui/react-slider';
import { cx } from './cx';

/** A figure that is dragged between two ends; arrow keys go by its step. */
export function Slider({
  label,
  value,
  min,
  max,
  step,
  valueText,
  onValue,
  className,
}: {
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  /** The figure with what it is. */
  readonly valueText: string;
  readonly onValue: (value: number) => void;
  readonly className?: string;
}) {
  return (
    <Radix.Root
      value={[value]}
      min={min}
      max={max}
      step={step}
      onValueChange={([next]) => next !== undefined && onValue(next)}
      className={cx('relative flex h-11 touch-none items-center select-none', className)}
    >
      <Radix.Track className="relative h-1 grow bg-hair">
        <Radix.Range className="absolute h-full bg-ink" />
      </Radix.Track>
      <Radix.Thumb
        aria-label={label}
        aria-valuetext={valueText}
        className="grid size-11 cursor-grab place-items-center focus-visible:outline-3 focus-visible:outline-live"
      >
        <span className="block h-7 w-3 border border-ink bg-live" />
      </Radix.Thumb>
    </Radix.Root>
  );
}
