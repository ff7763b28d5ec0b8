import type { DriveRecord } from '@loose-pulley/core/record/stations';
import { SURFACES } from '@loose-pulley/core/physics/drive';

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
      <select
        aria-label={label}
        disabled={disabled}
        value={value ?? ''}
        className="min-h-11 border-b border-ink bg-transparent"
        onChange={(event) => onChoose(SURFACES.find((one) => one === event.target.value) ?? null)}
      >
        {whenNull && <option value="">{whenNull}</option>}
        {SURFACES.map((one) => (
          <option key={one} value={one}>
            {SURFACE_NAMES[one]}
          </option>
        ))}
      </select>
    </div>
  );
}
