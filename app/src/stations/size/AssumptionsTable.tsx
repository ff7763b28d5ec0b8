import { SURFACES } from '@loose-pulley/core/physics/drive';
import type { Requirements } from '@loose-pulley/core/physics/evaluation';
import {
  DEFAULT_PRIORS,
  DEFAULT_REQUIREMENTS,
  FRICTION_FIELD,
  PRIOR_FIGURES,
  PRIOR_SPREADS,
  REQUIREMENT_FIELDS,
  type FigureKey,
  type PriorField,
  type Priors,
  type Spread,
  type SpreadKey,
} from '@loose-pulley/core/belts/sizing';
import { Button } from '../../parts/ui/Button';
import { NumberLine } from '../../parts/ui/NumberLine';
import { priorsSet, requirementsSet } from '../../state/store/settings';
import { useBench } from '../../state/store/assumptions';
import { useAppDispatch } from '../../state/store/hooks';

const SPREAD_KEYS = Object.keys(PRIOR_SPREADS) as SpreadKey[];
const FIGURE_KEYS = Object.keys(PRIOR_FIGURES) as FigureKey[];
const REQUIREMENT_KEYS = Object.keys(REQUIREMENT_FIELDS) as Array<keyof Requirements>;

/** A belief with its uncertainty: two fields. */
function SpreadLine({
  field,
  name = field.name,
  spread,
  onSpread,
}: {
  readonly field: PriorField;
  readonly name?: string;
  readonly spread: Spread;
  readonly onSpread: (spread: Spread) => void;
}) {
  return (
    <div role="group" aria-label={name} className="grid grid-cols-2 items-end gap-3">
      <NumberLine
        label={name}
        unit={field.unit}
        min={field.min}
        max={field.max}
        value={spread.best}
        onNumber={(best) => best !== null && onSpread({ ...spread, best })}
      />
      <NumberLine
        label="±"
        unit={field.unit}
        max={field.max}
        value={spread.std}
        onNumber={(std) => std !== null && onSpread({ ...spread, std })}
      />
    </div>
  );
}

/** A figure by itself: one field. Emptied, it stays as it was. */
function FigureLine({
  field: { name, unit, min, max },
  value,
  onFigure,
}: {
  readonly field: PriorField;
  readonly value: number;
  readonly onFigure: (value: number) => void;
}) {
  return (
    <NumberLine
      label={name}
      unit={unit}
      min={min}
      max={max}
      value={value}
      onNumber={(typed) => typed !== null && onFigure(typed)}
    />
  );
}

/** What is believed until it is measured, and what is demanded of a belt: seen, changed and kept for this bench. */
export function AssumptionsTable() {
  const { priors, requirements } = useBench();
  const dispatch = useAppDispatch();
  const believe = (changes: Partial<Priors>) => dispatch(priorsSet({ ...priors, ...changes }));
  const own =
    JSON.stringify(priors) !== JSON.stringify(DEFAULT_PRIORS) ||
    JSON.stringify(requirements) !== JSON.stringify(DEFAULT_REQUIREMENTS);
  const restore = () => {
    dispatch(priorsSet(DEFAULT_PRIORS));
    dispatch(requirementsSet(DEFAULT_REQUIREMENTS));
  };
  return (
    <>
      <h4 className="pt-2 font-semibold">Demanded of a belt</h4>
      <div className="grid gap-4 pb-4 sm:grid-cols-2">
        {REQUIREMENT_KEYS.map((key) => (
          <FigureLine
            key={key}
            field={REQUIREMENT_FIELDS[key]}
            value={requirements[key]}
            onFigure={(value) => dispatch(requirementsSet({ ...requirements, [key]: value }))}
          />
        ))}
      </div>
      <h4 className="font-semibold">Assumed until measured</h4>
      <p className="pb-2 text-soft">
        From memory and common practice. They hold for every ticket of this bench. ± is one standard uncertainty.
      </p>
      <div className="grid gap-4 sm:grid-cols-2">
        {SPREAD_KEYS.map((key) => (
          <SpreadLine
            key={key}
            field={PRIOR_SPREADS[key]}
            spread={priors[key]}
            onSpread={(spread) => believe({ [key]: spread })}
          />
        ))}
        {SURFACES.map((surface) => (
          <SpreadLine
            key={surface}
            field={FRICTION_FIELD}
            name={`Friction, ${surface}`}
            spread={priors.friction[surface]}
            onSpread={(spread) => believe({ friction: { ...priors.friction, [surface]: spread } })}
          />
        ))}
        {FIGURE_KEYS.map((key) => (
          <FigureLine
            key={key}
            field={PRIOR_FIGURES[key]}
            value={priors[key]}
            onFigure={(value) => believe({ [key]: value })}
          />
        ))}
      </div>
      <Button className="mt-4" disabled={!own} onClick={restore}>
        Restore defaults
      </Button>
    </>
  );
}
