import { lazy, Suspense, useId, useState } from 'react';
import {
  AUX,
  auxRefusal,
  figureSpread,
  isForce,
  methodsFor,
  type AuxKey,
  type DriveFacts,
  type Reading,
} from '@loose-pulley/core/belts/measuring';
import { formatEntered, formatLength, parseLength } from '@loose-pulley/core/base/units';
import { useUnit } from '../../state/store/hooks';
import { Button } from '../../parts/ui/Button';
import { ReadingInput } from '../../parts/measuring/ReadingInput';
import { echoOf, useReading, type ReadingControl } from '../../parts/measuring/useReading';
import type { DriveRecord } from '@loose-pulley/core/record/stations';
import { Select } from '../../parts/ui/Select';
import { Input } from '../../parts/ui/Input';
import { Fold } from '../../parts/ui/Fold';

interface Props {
  readonly drive: DriveRecord;
  readonly facts: DriveFacts;
  readonly measurand: Reading['measurand'];
  readonly reading?: Reading | undefined;
  readonly slot?: string;
  readonly firstMethod?: string | undefined;
  readonly label: string;
  readonly balloon?: string;
  readonly canWrite: boolean;
  /** One of several, which can be taken out alone. */
  readonly removable?: boolean;
  /** Asks for one more reading of the same thing. */
  readonly onAgain?: (() => void) | undefined;
}

const HowMore = lazy(() => import('./HowMore'));
const OddReason = lazy(() => import('./OddReason'));

/** A tool size that the method leans on. */
function AuxField({
  control,
  auxKey,
  optional,
  disabled,
}: {
  readonly control: ReadingControl;
  readonly auxKey: AuxKey;
  readonly optional: boolean;
  readonly disabled: boolean;
}) {
  const unit = useUnit();
  const id = useId();
  const fact = AUX[auxKey];
  const value = control.aux[auxKey] ?? fact.usual;
  const isLength = fact.unit === 'mm';
  const shown = value === undefined ? '' : isLength ? formatEntered(value, unit) : String(value);
  const [refusal, setRefusal] = useState<string | null>(null);
  /** Takes what was typed; what cannot be stays in the field, and is refused in words. */
  const take = (text: string): void => {
    if (text === shown) return setRefusal(null);
    if (optional && text.trim() === '') {
      setRefusal(null);
      return control.setAux(auxKey, null);
    }
    const parsed = parseLength(text, isLength ? unit : 'mm');
    if (!parsed.ok) return setRefusal(parsed.problem);
    const { lengthMm } = parsed.value;
    if (lengthMm < fact.min || lengthMm > fact.max) return setRefusal(auxRefusal(auxKey, lengthMm));
    setRefusal(null);
    return control.setAux(auxKey, lengthMm);
  };
  return (
    <div className="flex items-center justify-between gap-2">
      <label htmlFor={id} className="text-sm">
        {optional ? 'only in a vee: its full angle' : fact.label}
        {fact.unit !== fact.label && `, ${isLength ? unit : fact.unit}`}
      </label>
      <span className="grid justify-items-end">
        <Input
          key={shown}
          id={id}
          inputMode="decimal"
          disabled={disabled}
          defaultValue={shown}
          aria-invalid={refusal !== null}
          aria-describedby={refusal ? `${id}-refusal` : undefined}
          className="w-24 text-base"
          onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
          onBlur={({ target: { value: text } }) => take(text)}
        />
        {refusal && (
          <span id={`${id}-refusal`} role="alert" className="text-sm text-live">
            {refusal}
          </span>
        )}
      </span>
    </div>
  );
}

/** A reading with everything said about it: how it was measured, what the number is, what it comes to. */
export function ReadingField({
  drive,
  facts,
  measurand,
  reading,
  slot,
  firstMethod,
  label,
  balloon,
  canWrite,
  removable = measurand === 'oldBelt',
  onAgain,
}: Props) {
  const unit = useUnit();
  const id = useId();
  const [how, setHow] = useState(false);
  const control = useReading(drive, facts, measurand, reading, slot ?? reading?.id, firstMethod);
  const { method } = control;
  const methods = methodsFor(measurand);
  const result = facts.results.find((one) => one.reading.id === reading?.id);
  const echo = echoOf(control, unit);
  const unitName = isForce(measurand) ? 'N' : unit;
  const optional = method.optionalAux ?? [];
  const auxKeys = [...method.aux.filter((key) => key !== 'sectionMm'), ...optional];
  const write = (mm: number) => formatLength(mm, unit);
  return (
    <div className="grid gap-1 border-b border-hair py-2">
      <div className="flex items-center gap-2">
        {balloon && (
          <span
            aria-hidden
            className="inline-flex h-6 w-6 items-center justify-center rounded-full border border-ink text-sm font-semibold"
          >
            {balloon}
          </span>
        )}
        <label htmlFor={id} className="font-semibold">
          {label}
        </label>
        {methods.length > 1 && (
          <Select
            aria-label={`${label}, how it is measured`}
            value={method.id}
            disabled={!canWrite}
            onChoose={(chosen) => control.chooseMethod(chosen)}
            look="line"
            className="ml-auto max-w-[58%] text-right text-[15px] text-soft"
            options={methods.map((one) => [one.id, one.label] as const)}
          />
        )}
      </div>
      <div className="flex items-center gap-2">
        <ReadingInput
          control={control}
          id={id}
          label={label}
          disabled={!canWrite}
          walks
          describedBy={`${id}-is`}
          className="w-full min-w-0"
        />
        <span className="w-7 text-soft">{unitName}</span>
        {onAgain && canWrite && (
          <Button
            look="quiet"
            onClick={onAgain}
            aria-label={`Read the ${label.replace(/, \d+$/, '').toLowerCase()} once more`}
          >
            again
          </Button>
        )}
        {reading && removable && (
          <Button
            look="quiet"
            disabled={!canWrite}
            onClick={control.remove}
            aria-label={`Remove ${method.label} ${control.text}`}
          >
            out
          </Button>
        )}
      </div>
      {auxKeys.map((key) => (
        <AuxField key={key} control={control} auxKey={key} optional={optional.includes(key)} disabled={!canWrite} />
      ))}
      <div id={`${id}-is`} className="grid gap-1 text-sm">
        <Fold
          title={
            <>
              {method.numberIs}
              {echo && <span className="text-ink"> · understood {echo}</span>} ·{' '}
              <span className="underline decoration-hair underline-offset-4">how</span>
            </>
          }
          titleClass="py-0.5"
          className="text-soft"
          onOpen={setHow}
        >
          <div className="grid gap-1 border-l-2 border-hair py-1 pl-2 text-ink">
            {how && (
              <Suspense fallback={null}>
                <HowMore control={control} reading={reading} disabled={!canWrite} />
              </Suspense>
            )}
          </div>
        </Fold>
        {control.refusal && (
          <p role="alert" className="text-live">
            {control.refusal}{' '}
            {control.mayKeep && (
              <Button look="quiet" className="text-ink" onClick={() => control.commit(undefined, true)}>
                Keep it anyway
              </Button>
            )}
          </p>
        )}
        {measurand === 'centreDistance' && facts.driveProblem && !control.refusal && (
          <p role="alert" className="text-live">
            {facts.driveProblem}
          </p>
        )}
        {result?.problem && <p className="text-live">{result.problem}</p>}
        {result?.read &&
          (measurand === 'oldBelt' ||
            measurand === 'stringPath' ||
            result.read.perReading !== 1 ||
            result.read.lowerBound ||
            auxKeys.length > 0) && (
            <p>
              {result.read.arithmetic(write)}{' '}
              <span className="text-soft">± {figureSpread(measurand, 2 * result.read.std, unit)}</span>
            </p>
          )}
        {reading?.from && <p className="text-soft">Carried over from {reading.from}: taken on another machine.</p>}
        {result?.odd && (
          <p className="text-live">
            Lies more than two standard uncertainties from the others.{' '}
            <Suspense fallback={null}>
              <OddReason odd={result} facts={facts} />
            </Suspense>
          </p>
        )}
      </div>
    </div>
  );
}
