import type { DriveRecord } from '@loose-pulley/core/record/stations';
import { SURFACES } from '@loose-pulley/core/physics/drive';
import { Select } from '../../parts/ui/Select';

type Surface = DriveRecord['drivenSurface'];

const SURFACE_NAMES = { clean: 'clean, dry', glazed: 'glazed', dusty: 'dusty', wet: 'wet', oily: 'oily' } as const;

/** How clean a pulley is where the belt lies. Where nothing said has a meaning of its own, that is offered first. */
export function SurfaceSelect({
  label,
  value,
  whenNull,
  disabled,
  onChoose,
}: {
  readonly label: string;
  readonly value: Surface | null;
  readonly whenNull?: string;
  readonly disabled: boolean;
  readonly onChoose: (surface: Surface | null) => void;
}) {
  return (
    <div className="flex items-center justify-between gap-2">
      <span className="text-[15px]">{label}</span>
      <Select
        aria-label={label}
        disabled={disabled}
        value={value ?? ''}
        onChoose={(chosen) => onChoose(SURFACES.find((one) => one === chosen) ?? null)}
        look="line"
        options={[
          ...(whenNull ? [['', whenNull] as const] : []),
          ...SURFACES.map((one) => [one, SURFACE_NAMES[one]] as const),
        ]}
      />
    </div>
  );
}
