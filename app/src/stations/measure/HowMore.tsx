import { useEffect, useId, useState } from 'react';
import { isForce, type Guide, type Reading } from '@loose-pulley/core/belts/measuring';
import { formatSpread, parseLength } from '@loose-pulley/core/base/units';
import type { ReadingControl } from '../../parts/measuring/useReading';
import { Input } from '../../parts/ui/Input';
import { useUnit } from '../../state/store/hooks';
import { HowDrawing } from '../../parts/measuring/HowDrawing';

/** How good one such reading is, as the screen says it: two standard uncertainties. Emptied, the method's own returns. */
function OwnUncertainty({
  control,
  reading,
  disabled,
}: {
  readonly control: ReadingControl;
  readonly reading: Reading;
  readonly disabled: boolean;
}) {
  const unit = useUnit();
  const id = useId();
  const isLength = !isForce(reading.measurand);
  const shown = 2 * (reading.ownStd ?? control.method.readingStd);
  const text = isLength ? formatSpread(shown, unit) : shown.toFixed(2);
  return (
    <div className="flex items-center justify-between gap-2">
      <label htmlFor={id}>
        One reading is good to ±, {isLength ? unit : 'N'}
        {reading.ownStd === null && <span className="text-soft"> (usual)</span>}
      </label>
      <Input
        key={text}
        id={id}
        inputMode="decimal"
        disabled={disabled}
        defaultValue={text}
        className="w-20 text-base"
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
        onBlur={(event) => {
          const { value } = event.target;
          if (value === text) return;
          if (value.trim() === '') return control.setOwnStd(null);
          const parsed = parseLength(value, isLength ? unit : 'mm');
          if (parsed.ok && parsed.value.lengthMm > 0 && parsed.value.lengthMm <= 100)
            control.setOwnStd(parsed.value.lengthMm / 2);
          else event.target.value = text;
        }}
      />
    </div>
  );
}

/** How a method is held, drawn and in words, and what goes wrong with it: fetched when it is asked for. */
export default function HowMore({
  control,
  reading,
  disabled,
}: {
  readonly control: ReadingControl;
  readonly reading: Reading | undefined;
  readonly disabled: boolean;
}) {
  const { method } = control;
  const [guide, setGuide] = useState<Guide | null>(null);
  useEffect(() => {
    let current = true;
    void method
      .guide()
      .then((fetched) => current && setGuide(fetched))
      .catch(() => undefined);
    return () => {
      current = false;
    };
  }, [method]);
  return (
    <>
      {guide && (
        <>
          <HowDrawing drawing={guide.drawing} />
          <p>{guide.how}</p>
          <p className="text-soft">What goes wrong: {guide.goesWrong}</p>
        </>
      )}
      {reading && <OwnUncertainty control={control} reading={reading} disabled={disabled} />}
    </>
  );
}
