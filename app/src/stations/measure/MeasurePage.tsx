import { DRIVEN, loaderOf, isTurned } from '@loose-pulley/core/base/loaders';
import { shapeOf } from '@loose-pulley/core/base/shapes';
import { capital } from '@loose-pulley/core/base/units';
import { lazy, useState, Suspense } from 'react';
import { methodsFor, type Measurand, type Reading } from '@loose-pulley/core/belts/measuring';
import { driveFactsOf } from '@loose-pulley/core/record/ticket';
import { PluggedCaution } from '../../parts/clock/PluggedCaution';
import { DriveDrawing } from '../../parts/draw/DriveDrawing';
import { useDrive, useTicket } from '../../parts/ticket/useTicket';
import { useUnit } from '../../state/store/hooks';
import { Button } from '../../parts/ui/Button';
import { ButtonLink } from '../../parts/ui/ButtonLink';
import { Caution } from '../../parts/ui/Caution';
import { Fold } from '../../parts/ui/Fold';
import { Later } from '../../parts/ui/Later';
import { drawingFields } from '../../parts/measuring/DrawingFields';
import { driveGeometry } from '../../parts/measuring/driveGeometry';
import { ReadingField } from './ReadingField';
import { useMovePulley } from '../../parts/measuring/useMovePulley';

// What lies below the first screen.
const StationFoot = lazy(async () => ({ default: (await import('../../parts/ticket/StationFoot')).StationFoot }));
const OldBeltState = lazy(async () => ({ default: (await import('./OldBeltState')).OldBeltState }));
const Findings = lazy(async () => ({ default: (await import('./Findings')).Findings }));
// Both lie folded away at first.
const DriveSetup = lazy(async () => ({ default: (await import('./DriveSetup')).DriveSetup }));
const Idlers = lazy(async () => ({ default: (await import('./Idlers')).Idlers }));

/** Of these the section is read off the groove. */
const GONE: readonly string[] = ['crumbs', 'broken', 'stopgap'];
/** Only slots have rollers: others need not fetch them. */
const RollersPanel = lazy(async () => ({ default: (await import('../../parts/train/RollersPanel')).RollersPanel }));
const TRAY: readonly Measurand[] = ['trayTravel', 'trayPull', 'stallPull'];

/** Of a pull that was read before and after a treatment: which of them this is. */
function stateOf(reading: Reading | undefined, all: readonly Reading[]): string {
  const latest = Math.max(...all.map(({ round = 0 }) => round));
  if (!reading || all.every(({ round = 0 }) => round === latest)) return '';
  return (reading.round ?? 0) === latest ? ', as it is now' : ', before it was treated';
}

/** The measuring station: the drawing and the list are two faces of the same readings. */
export function MeasurePage() {
  const { ticket, canWrite } = useTicket();
  const { drive, driven } = useDrive();
  const facts = driveFactsOf(drive);
  const moved = capital(DRIVEN[driven].word);
  const unit = useUnit();
  /** How many readings of the old belt there were when another way was asked for; taken, the blank field goes. */
  const [addingAt, setAddingAt] = useState(-1);
  /** Which quantity is to be read once more, and how many readings of it there were then. */
  const [again, setAgain] = useState<{ readonly measurand: Measurand; readonly count: number } | null>(null);
  const first = (measurand: Measurand) => drive.readings.find((one) => one.measurand === measurand);
  const old = drive.readings.filter(({ measurand }) => measurand === 'oldBelt');
  const adding = addingAt === old.length;
  const onMove = useMovePulley(drive, canWrite);
  const common = { drive, facts, canWrite };
  /** A quantity with its readings: the first in its own field, further ones under it, and one more on asking. */
  const one = (measurand: Measurand, label: string, balloon?: string) => {
    const readings = drive.readings.filter((each) => each.measurand === measurand);
    const more = again?.measurand === measurand && again.count === readings.length;
    return (
      <>
        {(readings.length > 0 ? readings : [undefined]).map((reading, index) => (
          <ReadingField
            key={`${drive.id}-${measurand}-${reading?.id ?? 'new'}`}
            {...common}
            measurand={measurand}
            reading={reading}
            slot={reading?.id ?? 'first'}
            label={`${index === 0 ? label : `${label}, ${index + 1}`}${stateOf(reading, readings)}`}
            removable={readings.length > 1}
            onAgain={
              reading && index === readings.length - 1 && !more
                ? () => setAgain({ measurand, count: readings.length })
                : undefined
            }
            {...(balloon && index === 0 && { balloon })}
          />
        ))}
        {more && (
          <ReadingField
            key={`${drive.id}-${measurand}-again-${readings.length}`}
            {...common}
            measurand={measurand}
            slot={`again-${readings.length}`}
            label={`${label}, once more`}
          />
        )}
      </>
    );
  };
  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-[minmax(0,1fr)_340px] lg:grid-rows-[auto_1fr]">
      <div className="bg-sheet px-5 pt-3 pb-3">
        <h2 className="sr-only">Measure</h2>
        {loaderOf(ticket.loader).has.rollers && (
          <div className="pb-4">
            <Suspense fallback={null}>
              <RollersPanel />
            </Suspense>
          </div>
        )}
        <DriveDrawing
          drawn={driveGeometry(facts, drive, unit)}
          unit={unit}
          labels={drawingFields(common)}
          onMove={onMove}
        />
      </div>
      <div className="order-1 bg-sheet px-5 pb-6 lg:col-start-1">
        <div className="border-t border-hair pt-4">
          <Later>
            <Suspense fallback={null}>
              <Findings />
            </Suspense>
          </Later>
        </div>
      </div>
      <aside
        aria-label="Readings"
        className="border-hair px-5 py-3 lg:col-start-2 lg:row-span-2 lg:row-start-1 lg:border-l"
      >
        <PluggedCaution ticket={ticket} />
        <Caution>Unplug before you turn anything by hand, and never force the {moved.toLowerCase()}.</Caution>
        {loaderOf(ticket.loader).has.rollers && (
          <p className="py-2 text-[15px]">
            A slot player may have no belt: what is below is measured only where there is one. Its rollers come first.
          </p>
        )}
        {one('motorDiameter', 'Motor pulley', '1')}
        {one('drivenDiameter', 'Driven pulley', '2')}
        {one('centreDistance', 'Shafts')}
        {one('section', 'Belt section', '3')}
        <Later>
          <Suspense fallback={null}>
            <OldBeltState drive={drive} canWrite={canWrite} />
          </Suspense>
          {GONE.includes(drive.oldState) && !facts.section && (
            <>
              {one('grooveWidth', 'Groove width')}
              {one('grooveDepth', 'Groove depth')}
            </>
          )}
          {shapeOf(drive.oldShape).hasWidth && one('width', 'Belt width')}
          {old.map((reading, index) => (
            <ReadingField
              key={reading.id}
              {...common}
              measurand="oldBelt"
              reading={reading}
              label={reading.round ? 'Old belt, warmed' : old.length > 1 ? `Old belt, ${index + 1}` : 'Old belt'}
            />
          ))}
          {(old.length === 0 || adding) && (
            <ReadingField
              key={`new-${old.length}`}
              {...common}
              measurand="oldBelt"
              slot={`new-${old.length}`}
              firstMethod={methodsFor('oldBelt')[old.length === 0 ? 0 : 1]?.id}
              label={old.length === 0 ? 'Old belt' : 'Old belt, another way'}
            />
          )}
          {old.length > 0 && !adding && canWrite && (
            <Button className="mt-3 w-full" onClick={() => setAddingAt(old.length)}>
              Measure the old belt another way
            </Button>
          )}
          {one('stringPath', 'Path by string')}
          {(!isTurned(driven) || TRAY.some((measurand) => first(measurand))) && (
            <Fold
              title={`${moved}: travel and pull`}
              className="border-b border-hair"
              open={TRAY.some((measurand) => first(measurand) !== undefined)}
            >
              {one('trayTravel', `${moved} travel`)}
              <ButtonLink to={`/t/${ticket.id}/train`}>Or by the train: count its teeth</ButtonLink>
              {one('trayPull', `${moved} pull`)}
              <Caution>
                Hold it by the scale’s hook for a second: fingers out of {moved.toLowerCase()} and gears, clear of the
                mains.
              </Caution>
              {one('stallPull', `${moved} held back`)}
            </Fold>
          )}
          <Fold title="Belt shape, grooves, surfaces" className="border-b border-hair">
            <DriveSetup drive={drive} canWrite={canWrite} />
          </Fold>
          <Fold title="More than two pulleys" className="border-b border-hair pb-2" open={drive.idlers.length > 0}>
            <Idlers drive={drive} centreMm={facts.centreDistance?.value ?? 40} canWrite={canWrite} />
          </Fold>
          <Suspense fallback={null}>
            <StationFoot station="measure" />
          </Suspense>
        </Later>
      </aside>
    </div>
  );
}
