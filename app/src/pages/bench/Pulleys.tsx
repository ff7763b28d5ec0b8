import { type ReactNode } from 'react';
import { DriveDrawing } from '../../parts/draw/DriveDrawing';
import { useWalkStop } from '../../parts/keys/useWalkStop';
import { walkOn } from '../../parts/keys/walk';
import { Input } from '../../parts/ui/Input';
import type { FirstFigures, PulleyField } from './useFirstFigures';

const NAMES: Readonly<Record<PulleyField, readonly [label: string, sign: string]>> = {
  motorDiameter: ['motor pulley, bottom of the groove', 'Ø'],
  drivenDiameter: ['driven pulley, bottom of the groove', 'Ø'],
  centreDistance: ['shaft to shaft', ''],
};

function Dimension({ figures, field }: { readonly figures: FirstFigures; readonly field: PulleyField }) {
  const { typePulley, pulleyTexts } = figures;
  const ref = useWalkStop((text) => typePulley(field, text));
  const [label, sign] = NAMES[field];
  return (
    <div className="flex h-11 items-center justify-center gap-1">
      <span aria-hidden>{sign}</span>
      <Input
        ref={ref}
        aria-label={`${label}, ${figures.unit}`}
        inputMode="decimal"
        autoComplete="off"
        placeholder="?"
        value={pulleyTexts[field]}
        onChange={(event) => typePulley(field, event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return;
          event.preventDefault();
          walkOn(event.currentTarget);
        }}
        className="h-11 w-[84px] px-1 text-center text-xl font-semibold"
      />
    </div>
  );
}

/** The pulleys themselves: the drive drawing, whose dimensions are the fields. */
export default function Pulleys({ figures, section }: { readonly figures: FirstFigures; readonly section: ReactNode }) {
  const field = (one: PulleyField) => <Dimension figures={figures} field={one} />;
  return (
    <div className="grid grid-cols-1 gap-2">
      <DriveDrawing
        drawn={{
          motorMm: figures.pulleyMm('motorDiameter'),
          driveMm: figures.pulleyMm('drivenDiameter'),
          centreMm: figures.pulleyMm('centreDistance'),
          crossed: false,
          others: [],
          impossible: false,
        }}
        unit={figures.unit}
        heightPx={300}
        labels={{
          motor: field('motorDiameter'),
          drive: field('drivenDiameter'),
          centre: field('centreDistance'),
        }}
      />
      {figures.pulleyProblems.map((problem) => (
        <p key={problem} role="alert" className="text-live">
          {problem}
        </p>
      ))}
      <div className="flex flex-wrap items-end justify-between gap-3">
        {section}
        <p className="max-w-80 text-[15px] text-soft">
          Diameters at the bottom of the groove, where the belt lies. All three give the path; a string gives it too.
        </p>
      </div>
    </div>
  );
}
