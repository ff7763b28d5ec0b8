import { lazy, Suspense, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { beltLabel } from '@loose-pulley/core/units';
import type { DriveFacts } from '@loose-pulley/core/measuring';
import { DEFAULT_LIMITS, ZONE_NAMES, type Situation } from '@loose-pulley/core/sizing';
import { formatPercent } from '@loose-pulley/core/units';
import { DriveDrawing } from '../draw/DriveDrawing';
import { StretchRuler } from '../draw/StretchRuler';
import { drawingFields } from '../measure/DrawingFields';
import { driveGeometry } from '../measure/driveGeometry';
import { useMovePulley } from '../measure/useMovePulley';
import { useAppSelector, useUnit } from '../store/store';
import { Fold } from '../ui/Fold';
import { StationFoot } from '../ticket/StationFoot';
import { useDrive, useTicket } from '../ticket/useTicket';
import { Answer } from './Answer';
import { Ranked } from './Ranked';
import { Remedies } from './Remedies';
import { RulesOfThumb } from './RulesOfThumb';
import { Tries } from './Tries';
import { useSizing } from './useSizing';

// These lie folded away at first.
const LimitsTable = lazy(async () => ({ default: (await import('./LimitsTable')).LimitsTable }));
const SpeedPanel = lazy(async () => ({ default: (await import('./SpeedPanel')).SpeedPanel }));
const RulerPreview = lazy(async () => ({ default: (await import('./RulerPreview')).RulerPreview }));
const WhatIf = lazy(async () => ({ default: (await import('./WhatIf')).WhatIf }));

const HEAD = 'border-b border-ink text-lg';

/** The choosing station. Without a path it says what to measure, and where. */
export function SizePage() {
  const { ticket, canWrite } = useTicket();
  const { drive, facts, situation } = useDrive();
  const unit = useUnit();
  const onMove = useMovePulley(drive, canWrite);
  if (situation.ok) return <Sized situation={situation.value} facts={facts} />;
  return (
    <div className="grid grow lg:grid-cols-[minmax(0,1fr)_340px]">
      <div className="bg-sheet px-5 py-3">
        <h2 className="sr-only">Size</h2>
        <DriveDrawing
          drawn={driveGeometry(facts, drive, unit)}
          unit={unit}
          labels={drawingFields({ drive, facts, canWrite })}
          onMove={onMove}
        />
        <Tries drive={drive} facts={facts} unit={unit} canWrite={canWrite} situation={undefined} />
      </div>
      <aside aria-label="The belt to fit" className="border-hair px-5 py-4 lg:border-l">
        <h3 className="text-xl">Not enough to choose by yet</h3>
        <p className={facts.driveProblem ? 'my-2 text-live' : 'my-2'}>{situation.problem}</p>
        <p>
          Type the sizes straight into the drawing, or{' '}
          <Link
            className="underline decoration-2 underline-offset-4"
            to={`/t/${ticket.id}/measure?drive=${drive.name}`}
          >
            go to Measure
          </Link>
          .
        </p>
        <StationFoot station="size" />
      </aside>
    </div>
  );
}

function Sized({ situation, facts }: { readonly situation: Situation; readonly facts: DriveFacts }) {
  const { canWrite } = useTicket();
  const { drive } = useDrive();
  const unit = useUnit();
  const onMove = useMovePulley(drive, canWrite);
  const [search, setSearch] = useSearchParams();
  const [freeMm, setFreeMm] = useState<number | null>(null);
  const ownLimits = useAppSelector(
    ({ settings }) => JSON.stringify(settings.limits) !== JSON.stringify(DEFAULT_LIMITS),
  );
  const sizing = useSizing(facts, situation, drive.tries, unit, search.get('belt'));
  const { picked } = sizing;
  const onPick = (id: string | null): void =>
    setSearch(
      (before) => {
        const after = new URLSearchParams(before);
        if (id === null || id === sizing.ranking.best?.catalogueBelt.id) after.delete('belt');
        else after.set('belt', id);
        return after;
      },
      { replace: true },
    );
  const words = picked
    ? `${beltLabel(picked.catalogueBelt, unit).size}: ${ZONE_NAMES[picked.judgement.zone]}, ${formatPercent(picked.judgement.strain)}`
    : '';
  return (
    <div className="grid grow lg:grid-cols-[minmax(0,1fr)_340px] lg:grid-rows-[auto_1fr]">
      <div className="bg-sheet px-5 pt-2 pb-4">
        <h2 className="sr-only">Size</h2>
        <DriveDrawing
          drawn={driveGeometry(facts, drive, unit, picked?.judgement)}
          unit={unit}
          heightPx={312}
          labels={drawingFields({ drive, facts, canWrite })}
          onMove={onMove}
        />
        <div className="border-t border-hair pt-2">
          <StretchRuler
            rows={sizing.rows}
            zones={sizing.zones}
            stock={sizing.stock}
            pathMm={situation.path.value}
            picked={picked?.catalogueBelt}
            pickedWords={words}
            bestId={sizing.ranking.best?.catalogueBelt.id}
            unit={unit}
            onPick={(belt) => onPick(belt.id)}
            freeMm={freeMm}
            onFree={setFreeMm}
          />
        </div>
      </div>
      <div className="order-1 grid content-start gap-8 bg-sheet px-5 pt-2 pb-8 lg:col-start-1">
        <Tries drive={drive} facts={facts} unit={unit} canWrite={canWrite} situation={situation} />
        {picked && (
          <Fold title="What if: drag and see" className={HEAD}>
            <WhatIf key={picked.catalogueBelt.id} situation={situation} picked={picked} unit={unit} />
          </Fold>
        )}
        <RulesOfThumb rulesOfThumb={sizing.rulesOfThumb} odds={sizing.odds.answer?.belts} unit={unit} onPick={onPick} />
        <Remedies answer={sizing.odds.answer} facts={facts} drive={drive} canWrite={canWrite} />
        <Ranked
          ranking={sizing.ranking}
          odds={sizing.odds.answer?.belts}
          unit={unit}
          pickedId={picked?.catalogueBelt.id}
          onPick={onPick}
        />
        <Fold title="Where speed matters" className={HEAD} open={drive.speed !== null}>
          <SpeedPanel drive={drive} situation={situation} ranking={sizing.ranking} unit={unit} canWrite={canWrite} />
        </Fold>
        <Fold title={ownLimits ? 'What it is judged by, this bench’s own' : 'What it is judged by'} className={HEAD}>
          <LimitsTable />
        </Fold>
      </div>
      <aside
        aria-label="The belt to fit"
        className="border-hair px-5 py-4 lg:col-start-2 lg:row-span-2 lg:row-start-1 lg:border-l"
      >
        {picked && freeMm !== null && (
          <Suspense fallback={null}>
            <RulerPreview
              situation={situation}
              shape={picked.catalogueBelt.shape}
              thicknessMm={picked.catalogueBelt.thicknessMm}
              lengthMm={freeMm}
              unit={unit}
            />
          </Suspense>
        )}
        <Answer sizing={sizing} facts={facts} drive={drive} unit={unit} canWrite={canWrite} onPick={onPick} />
        <StationFoot station="size" />
      </aside>
    </div>
  );
}
