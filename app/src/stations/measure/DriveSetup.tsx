import { parseNumber } from '@loose-pulley/core/base/units';
import { SECTION_SHAPES } from '@loose-pulley/core/base/shapes';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { Segments } from '../../parts/ui/Segments';
import { SurfaceSelect } from './SurfaceSelect';
import type { DriveRecord, DriveSettings, GrooveRecord } from '@loose-pulley/core/record/stations';
import { Select } from '../../parts/ui/Select';
import { Input } from '../../parts/ui/Input';

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
      <Select
        aria-label={label}
        disabled={!canWrite}
        value={drive[key].form}
        onChoose={(chosen) => {
          const form = chosen as GrooveRecord['form'];
          change({ [key]: { form, veeAngleDeg: form === 'vee' ? 60 : null } });
        }}
        look="line"
        options={[['flat', 'flat bottom'] as const, ['round', 'round bottom'] as const, ['vee', 'vee'] as const]}
      />
      {drive[key].form === 'vee' && (
        <label className="flex items-center gap-1 text-[15px]">
          full angle
          <Input
            key={drive[key].veeAngleDeg}
            inputMode="numeric"
            disabled={!canWrite}
            defaultValue={drive[key].veeAngleDeg ?? 60}
            className="w-16 text-base"
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
      <Segments
        label="Old belt, cut across"
        value={drive.oldShape}
        disabled={!canWrite}
        options={SECTION_SHAPES.map((shape) => [shape, shape] as const)}
        onChoose={(oldShape) => change({ oldShape })}
      />
      <Segments
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
