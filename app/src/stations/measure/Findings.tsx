import { seatedRadiusMm } from '@loose-pulley/core/physics/drive';
import { oldBeltFinding } from '@loose-pulley/core/belts/sizing';
import { type PathConflict } from '@loose-pulley/core/belts/measuring';
import {
  formatInchFraction,
  formatLength,
  formatNewton,
  type LengthUnit,
  formatSpread,
} from '@loose-pulley/core/base/units';
import { lazy, Suspense } from 'react';
import { useDriveView } from '../../parts/ticket/useDriveView';
import { useUnit } from '../../state/store/hooks';
import { readingName } from '@loose-pulley/core/record/stations';

const Conflicts = lazy(() => import('../../parts/measuring/Conflicts'));

/** What the readings come to, each with its arithmetic, and what old belt and path say beside each other. */
export function Findings() {
  const view = useDriveView();
  const { facts, mechanism } = view;
  const unit = useUnit();
  const write = (mm: number) => formatLength(mm, unit);
  const finding = oldBeltFinding(facts);
  const seats = facts.drive
    ? [
        { name: 'motor pulley', pulley: facts.drive.motorPulley },
        { name: 'driven pulley', pulley: facts.drive.drivenPulley },
      ].filter(({ pulley }) => pulley.groove.form === 'vee')
    : [];
  const lengths = facts.results.filter(
    ({ reading, read }) => read && (reading.measurand === 'oldBelt' || reading.measurand === 'stringPath'),
  );
  return (
    <div className="grid gap-3">
      <Suspense fallback={null}>
        <Conflicts view={view} />
      </Suspense>
      {facts.driveProblem && <p className="text-lg text-live">{facts.driveProblem}</p>}
      <dl className="grid grid-cols-2 gap-x-6 gap-y-3 sm:grid-cols-3">
        <Figure
          name="Path, inner length"
          value={facts.path}
          either={facts.pathConflict?.alone ? undefined : facts.pathConflict}
          write={write}
          unit={unit}
          empty="needs both pulleys and their distance, or a string"
        />
        <Figure
          name="Old belt, inner length"
          value={facts.oldBelt}
          write={write}
          unit={unit}
          empty={
            facts.oldBeltAtLeastMm
              ? `at least ${write(facts.oldBeltAtLeastMm)} ${unit}`
              : 'needs any way of measuring it'
          }
        />
        <Figure name="Section" value={facts.section} write={write} unit={unit} empty="needs calipers across the bend" />
      </dl>
      {!facts.path && mechanism.path && (
        <p>
          Machines with this mechanism have a path of <strong>{write(mechanism.path.value)}</strong> ±{' '}
          {formatSpread(2 * mechanism.path.std, unit)} {unit}
          {mechanism.trayPullN && `, and pull ${formatNewton(mechanism.trayPullN.value)}`}. Size answers by that until
          this one is measured.
        </p>
      )}
      {seats.length > 0 && facts.section && (
        <p className="text-soft">
          In the vee of the {seats.map(({ name }) => name).join(' and the ')} the section’s middle sits{' '}
          {seats
            .map(({ pulley }) => write(seatedRadiusMm(pulley, facts.section?.value ?? 0) - pulley.bottomDiameterMm / 2))
            .join(' and ')}{' '}
          {unit} above the bottom: see that it does not stand above the rim.
        </p>
      )}
      {finding && (
        <p className="text-lg">
          {finding.excessMm > 0
            ? `The old belt is ${formatSpread(finding.excessMm, unit)} ${unit} longer than its path: it hangs.`
            : finding.slack
              ? `The old belt is only ${formatSpread(-finding.excessMm, unit)} ${unit} shorter than its path: it hardly grips.`
              : `The old belt is ${formatSpread(-finding.excessMm, unit)} ${unit} shorter than its path and still stretched.`}
          {!finding.sure && <span className="text-soft"> The two lie within their uncertainties of each other.</span>}
        </p>
      )}
      {lengths.length > 0 && (
        <table className="w-full border-collapse text-[15px]">
          <caption className="sr-only">Lengths, with their arithmetic</caption>
          <thead>
            <tr className="border-b border-ink text-left">
              <th className="py-1 font-semibold">Measured</th>
              <th className="font-semibold">Arithmetic</th>
              <th className="hidden text-right font-semibold sm:table-cell">Uncorrected</th>
            </tr>
          </thead>
          <tbody>
            {lengths.map(({ reading, read, odd }) => (
              <tr key={reading.id} className="border-b border-hair align-top">
                <td className="py-1.5 pr-3">
                  {readingName(reading)}
                  {odd && <span className="text-live"> · odd one out</span>}
                </td>
                <td className="py-1.5 pr-3">
                  {read?.arithmetic(write)}{' '}
                  <span className="whitespace-nowrap text-soft">± {formatSpread(2 * (read?.std ?? 0), unit)}</span>
                </td>
                <td className="hidden py-1.5 text-right sm:table-cell">
                  {read?.uncorrected === undefined ? (
                    <span className="text-soft">the same</span>
                  ) : (
                    `${write(read.uncorrected)}, ${read.uncorrected > read.value ? '+' : '−'}${formatSpread(Math.abs(read.uncorrected - read.value), unit)}`
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p className="text-sm text-soft">
        ± is two standard uncertainties, 19 in 20. “Uncorrected” is what common practice would have read as the inner
        length.
      </p>
    </div>
  );
}

function Figure({
  name,
  value,
  either,
  write,
  unit,
  empty,
}: {
  readonly name: string;
  readonly value: { value: number; std: number } | undefined;
  /** Two that cannot both be true, neither of them likelier. */
  readonly either?: PathConflict | undefined;
  readonly write: (mm: number) => string;
  readonly unit: LengthUnit;
  readonly empty: string;
}) {
  return (
    <div>
      <dt className="text-sm text-soft">{name}</dt>
      {either ? (
        <dd>
          <span className="text-2xl font-semibold">
            {write(either.pulleys.value)} or {write(either.string.value)}
          </span>{' '}
          <span className="text-soft">{unit}</span>
        </dd>
      ) : value ? (
        <dd>
          <span className="text-2xl font-semibold">{write(value.value)}</span>{' '}
          <span className="text-soft">
            ± {formatSpread(2 * value.std, unit)} {unit}
          </span>
          {unit === 'in' && <span className="block text-sm text-soft">{formatInchFraction(value.value)} in</span>}
        </dd>
      ) : (
        <dd className="text-soft">{empty}</dd>
      )}
    </div>
  );
}
