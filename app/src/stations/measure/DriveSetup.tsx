import { parseNumber } from '@loose-pulley/core/base/units';
import { SECTION_SHAPES } from '@loose-pulley/core/base/shapes';
import { recordEvent } from '../../state/persistence/actions';
import { useAppDispatch } from '../../state/store/hooks';
import { Choice } from '../../parts/ui/Choice';
import { SurfaceSelect } from './SurfaceSelect';
import type { DriveRecord, DriveSettings, GrooveRecord } from '@loose-pulley/core/record/stations';

interface Props {
  readonly drive: DriveRecord;
  readonly canWrite: boolean;
}

/** What is seen rather than measured: the belt's shape, crossed or open, grooves, surfaces. */
export function DriveSetup({ drive, canWrite }: Props) {
  const dispatch = useAppDispatch();
  const change = (changes: Partial<DriveSettings>) =>
    dispatch(recordEvent({ type: 'driveChanged', driveId: drive.id, changes }));
  const groove = (key: 'motorGroove' | 'drivenGroove', label: string) => (
    <div className="flex flex-wrap items-center justify-between gap-2">
      <span className="text-[15px]">{label}</span>
      <select
        aria-label={label}
        disabled={!canWrite}
        value={drive[key].form}
        className="min-h-11 border-b border-ink bg-transparent"
        onChange={(event) => {
          const form = event.target.value as GrooveRecord['form'];
          change({ [key]: { form, veeAngleDeg: form === 'vee' ? 60 : null } });
        }}
      >
        <option value="flat">flat bottom</option>
        <option value="round">round bottom</option>
        <option value="vee">vee</option>
      </select>
      {drive[key].form === 'vee' && (
        <label className="flex items-center gap-1 text-[15px]">
          full angle
          <input
            key={drive[key].veeAngleDeg}
            inputMode="numeric"
            disabled={!canWrite}
            defaultValue={drive[key].veeAngleDeg ?? 60}
            className="field w-16 text-base"
            onBlur={(event) => {
              const angle = parseNumber(event.target.value);
              if (angle.ok && angle.value >= 20 && angle.value <= 120) {
                if (angle.value !== drive[key].veeAngleDeg)
                  change({ [key]: { form: 'vee', veeAngleDeg: angle.value } });
              } else event.target.value = String(drive[key].veeAngleDeg ?? 60);
            }}
          />
          °
        </label>
      )}
    </div>
  );
  const surface = (key: 'motorSurface' | 'drivenSurface', label: string) => (
    <SurfaceSelect
      label={label}
      value={drive[key]}
      disabled={!canWrite}
      onChoose={(chosen) => chosen && change({ [key]: chosen })}
    />
  );
  return (
    <div className="grid gap-2 py-3">
      <Choice
        label="Old belt, cut across"
        value={drive.oldShape}
        disabled={!canWrite}
        options={SECTION_SHAPES.map((shape) => [shape, shape] as const)}
        onChoose={(oldShape) => change({ oldShape })}
      />
      <Choice
        label="Belt run"
        value={drive.crossed ? 'crossed' : 'open'}
        disabled={!canWrite}
        options={[
          ['open', 'open'],
          ['crossed', 'crossed'],
        ]}
        onChoose={(run) => change({ crossed: run === 'crossed' })}
      />
      {groove('motorGroove', 'Motor pulley’s groove')}
      {groove('drivenGroove', 'Driven pulley’s groove')}
      {surface('motorSurface', 'Motor pulley’s surface')}
      {surface('drivenSurface', 'Driven pulley’s surface')}
    </div>
  );
}
