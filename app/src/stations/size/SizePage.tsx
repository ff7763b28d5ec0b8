import { isTurned } from '@loose-pulley/core/base/loaders';
import { lazy, Suspense, useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import type { DriveView } from '@loose-pulley/core/views/drive';
import { DEFAULT_PRIORS, DEFAULT_REQUIREMENTS, ZONE_NAMES, type Situation } from '@loose-pulley/core/belts/sizing';
import { formatPercent } from '@loose-pulley/core/base/units';
import { CycleLink } from '../../parts/cycles/CycleLink';
import { DriveDrawing } from '../../parts/draw/DriveDrawing';
import { StretchRuler } from '../../parts/draw/StretchRuler';
import { drawingFields } from '../../parts/measuring/DrawingFields';
import { driveGeometry } from '../../parts/measuring/driveGeometry';
import { useMovePulley } from '../../parts/measuring/useMovePulley';
import { useBench } from '../../state/store/assumptions';
import { useUnit } from '../../state/store/hooks';
import { Fold } from '../../parts/ui/Fold';
import { StationFoot } from '../../parts/ticket/StationFoot';
import { useOwned } from '../../parts/ticket/useOwned';
import { useDriveView } from '../../parts/ticket/useDriveView';
import { useTicket } from '../../parts/ticket/useTicket';
import { useMedia } from '../../parts/ui/useMedia';
import { Answer } from './Answer';
import { AnswerDetails } from './AnswerDetails';
import { Ranked } from './Ranked';
import { Remedies } from './Remedies';
import { RulesOfThumb } from './RulesOfThumb';
import { Tries } from './Tries';
import { useSizing } from './useSizing';

// These lie folded away at first.
const AssumptionsTable = lazy(async () => ({ default: (await import('./AssumptionsTable')).AssumptionsTable }));
const SpeedPanel = lazy(async () => ({ default: (await import('./SpeedPanel')).SpeedPanel }));
const RulerPreview = lazy(async () => ({ default: (await import('./RulerPreview')).RulerPreview }));
// What a machine does in the cold is worked out for those that fail there.
const InTheCold = lazy(async () => ({ default: (await import('../../parts/cycles/CycleSaid')).InTheCold }));
const WhatIf = lazy(async () => ({ default: (await import('./WhatIf')).WhatIf }));

const HEAD = 'border-b border-ink text-lg';

/** The choosing station. Without a path it says what to measure, and where. */
export function SizePage() {
  const { ticket, canWrite } = useTicket();
  const view = useDriveView();
  const { drive, facts, situation } = view;
  const unit = useUnit();
  const onMove = useMovePulley(drive, canWrite);
  if (situation.ok) return <Sized view={view} situation={situation.value} />;
  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-[minmax(0,1fr)_340px]">
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
      <aside aria-label="Recommended belt" className="border-hair px-5 py-4 lg:border-l">
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

function Sized({ view, situation }: { readonly view: DriveView; readonly situation: Situation }) {
  const { canWrite } = useTicket();
  const { drive, facts } = view;
  const unit = useUnit();
  const onMove = useMovePulley(drive, canWrite);
  const [search, setSearch] = useSearchParams();
  const [freeMm, setFreeMm] = useState<number | null>(null);
  const bench = useBench();
  const own =
    JSON.stringify(bench.priors) !== JSON.stringify(DEFAULT_PRIORS) ||
    JSON.stringify(bench.requirements) !== JSON.stringify(DEFAULT_REQUIREMENTS);
  const owned = useOwned(view);
  // Where there is one column the belt comes first, and what it rests on after the drawing.
  const narrow = useMedia('(max-width: 1023px)');
  const sizing = useSizing(view, situation, unit, search.get('belt'));
  const { picked, recommendation } = sizing;
  const { best, answer, after } = recommendation;
  const onPick = (id: string | null): void =>
    setSearch(
      (before) => {
        const after = new URLSearchParams(before);
        if (id === null || id === best?.catalogueBelt.id) after.delete('belt');
        else after.set('belt', id);
        return after;
      },
      { replace: true },
    );
  // A path that was not measured is where all that is known puts it.
  const inferred = situation.pathFromOldBelt || situation.pathFromSisters;
  const pathMm = (inferred && answer?.pathMm.value) || situation.path.value;
  const forbidden = useMemo(
    () => new Set(sizing.stock.filter((belt) => after.forbidden(belt) !== undefined).map(({ id }) => id)),
    [sizing.stock, after],
  );
  const words = picked
    ? `${beltLabel(picked.catalogueBelt, unit).size}: ${ZONE_NAMES[picked.judgement.zone]}, ${formatPercent(picked.judgement.strain)}`
    : '';
  const details = <AnswerDetails sizing={sizing} view={view} situation={situation} unit={unit} onPick={onPick} />;
  const answered = (
    <aside
      aria-label="Recommended belt"
      className="grid content-start gap-3 border-hair px-5 py-4 lg:col-start-2 lg:row-span-2 lg:row-start-1 lg:border-l"
    >
      {picked && freeMm !== null && (
        <Suspense fallback={null}>
          <RulerPreview situation={situation} section={picked.catalogueBelt} lengthMm={freeMm} unit={unit} />
        </Suspense>
      )}
      <Answer sizing={sizing} view={view} unit={unit} canWrite={canWrite} onPick={onPick} />
      {!narrow && details}
      <Suspense fallback={null}>
        <InTheCold />
      </Suspense>
      <p>
        <CycleLink />
      </p>
      {!narrow && <StationFoot station="size" />}
    </aside>
  );
  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-[minmax(0,1fr)_340px] lg:grid-rows-[auto_1fr]">
      <h2 className="sr-only">Size</h2>
      {narrow && answered}
      <div className="bg-sheet px-5 pt-2 pb-4">
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
            pathMm={pathMm}
            owned={owned}
            forbidden={forbidden}
            picked={picked?.catalogueBelt}
            pickedWords={words}
            bestId={best?.catalogueBelt.id}
            unit={unit}
            onPick={(belt) => onPick(belt.id)}
            freeMm={freeMm}
            onFree={setFreeMm}
          />
        </div>
      </div>
      {narrow && <div className="bg-sheet px-5 pt-2 pb-4">{details}</div>}
      <div className="grid grid-cols-1 content-start gap-8 bg-sheet px-5 pt-2 pb-8 lg:col-start-1">
        <Tries drive={drive} facts={facts} unit={unit} canWrite={canWrite} situation={situation} />
        {picked && (
          <Fold name="size: what if: drag and see" title="What if: drag and see" className={HEAD}>
            <WhatIf key={picked.catalogueBelt.id} situation={situation} picked={picked} unit={unit} />
          </Fold>
        )}
        <RulesOfThumb rulesOfThumb={sizing.rulesOfThumb} belts={answer?.belts} unit={unit} onPick={onPick} />
        <Remedies recommendation={recommendation} view={view} canWrite={canWrite} />
        <Ranked recommendation={recommendation} unit={unit} pickedId={picked?.catalogueBelt.id} onPick={onPick} />
        <Fold
          name="size: where speed matters"
          title="Where speed matters"
          className={HEAD}
          open={drive.speed !== null || isTurned(situation.driven)}
        >
          <SpeedPanel
            drive={drive}
            situation={situation}
            ranking={recommendation.ranking}
            unit={unit}
            canWrite={canWrite}
          />
        </Fold>
        <Fold title={own ? 'Assumptions and limits, this bench’s own' : 'Assumptions and limits'} className={HEAD}>
          <AssumptionsTable />
        </Fold>
      </div>
      {narrow ? (
        <div className="px-5 py-4">
          <StationFoot station="size" />
        </div>
      ) : (
        answered
      )}
    </div>
  );
}
