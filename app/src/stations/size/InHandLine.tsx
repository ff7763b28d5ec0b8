import { useTaken, TakenNote } from '../../parts/measuring/useTaken';
import { useId } from 'react';
import { inHand, takeInHand, otherThanLabelled, type DriveFacts } from '@loose-pulley/core/belts/measuring';
import type { Try } from '@loose-pulley/core/record/stations';
import { formatLength, type LengthUnit } from '@loose-pulley/core/base/units';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useUnsaved } from '../../parts/ui/useUnsaved';
import { Input } from '../../parts/ui/Input';

/** The new belt in the hand, before it is stretched on: what it should read, what it does, and whether it is another one. */
export function InHandLine({
  driveId,
  tried,
  facts,
  unit,
  canWrite,
}: {
  readonly driveId: string;
  readonly tried: Try;
  readonly facts: DriveFacts;
  readonly unit: LengthUnit;
  readonly canWrite: boolean;
}) {
  const id = useId();
  const dispatch = useAppDispatch();
  const way = inHand(facts.results, tried);
  const {
    text: typed,
    setText: setTyped,
    taken,
    read,
    keep,
  } = useTaken((text, kept) => takeInHand(way, text, tried, facts.results, unit, kept));
  const { measuredMm } = tried;
  const other = measuredMm === null ? undefined : otherThanLabelled(tried.innerLengthMm, measuredMm, unit);
  useUnsaved('enter', typed.trim() !== '');
  const take = (): void => {
    if (!read) return;
    const done = dispatch(
      recordEvent({ type: 'tryLabelled', driveId, tryId: tried.id, changes: { measuredMm: read.value } }),
    );
    if (done) setTyped('');
  };
  return (
    <div className="grid gap-1 pt-1">
      <label htmlFor={id} className="text-sm">
        In the hand, {way.label}
        {way.asTheOld ? ', as the old one was' : ''}: it should read{' '}
        <strong>{formatLength(way.shouldReadMm, unit)}</strong>
      </label>
      <span className="flex items-center gap-2">
        <Input
          id={id}
          inputMode="decimal"
          autoComplete="off"
          className="w-28"
          placeholder="it reads"
          disabled={!canWrite}
          value={typed}
          aria-invalid={taken !== undefined && !read}
          onChange={(event) => setTyped(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && take()}
          onBlur={take}
        />
        <span className="text-sm text-soft">{unit}</span>
        {measuredMm !== null && (
          <span className="text-sm">
            measured: {formatLength(measuredMm, unit)} {unit} inner length
          </span>
        )}
      </span>
      <TakenNote taken={taken} onKeep={keep} />
      {other && (
        <p role="alert" className="text-live">
          {other}
        </p>
      )}
    </div>
  );
}
