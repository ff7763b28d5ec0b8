import { useEffect, useRef, type KeyboardEvent } from 'react';
import { Button } from './Button';

/** A reading of a typed line, as it would be echoed. */
interface Reading {
  readonly echo: string;
}

/**
 * A typed line that may mean several things: the question, and a key for each reading. Escape goes back to the line.
 *
 * @example <InDoubt asks="Which pulley?" readings={ways} asking disabled={false} onChoose={say} onNotYet={back} />
 */
export function InDoubt<T extends Reading>({
  asks,
  readings,
  asking,
  disabled,
  onChoose,
  onNotYet,
}: {
  readonly asks: string;
  /** Nine at most: a key each. */
  readonly readings: readonly T[];
  /** The line was entered: the first reading has the focus, and one key says it. */
  readonly asking: boolean;
  readonly disabled: boolean;
  readonly onChoose: (reading: T) => void;
  readonly onNotYet: () => void;
}) {
  const first = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    if (asking) first.current?.focus();
  }, [asking]);
  const onKey = (event: KeyboardEvent): void => {
    const chosen = /^[1-9]$/.test(event.key) ? readings[Number(event.key) - 1] : undefined;
    if (event.key === 'Escape') onNotYet();
    if (!chosen || disabled) return;
    event.preventDefault();
    event.stopPropagation();
    onChoose(chosen);
  };
  return (
    <div role="group" aria-label={asks} className="grid gap-1.5 border-l-4 border-live pl-3">
      <p className="font-semibold">
        {asks} <span className="font-normal text-soft">{asking ? 'One key says it.' : 'Enter, then one key.'}</span>
      </p>
      {readings.map((one, index) => (
        <Button
          key={one.echo}
          ref={index === 0 ? first : undefined}
          keyCap={String(index + 1)}
          disabled={disabled}
          onKeyDown={onKey}
          onClick={() => onChoose(one)}
        >
          {one.echo}
        </Button>
      ))}
    </div>
  );
}
