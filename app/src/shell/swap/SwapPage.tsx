import { Link, useSearchParams } from 'react-router';
import type { Situation } from '@loose-pulley/core/belts/sizing';
import type { DriveView } from '@loose-pulley/core/views/drive';
import type { Measurand } from '@loose-pulley/core/belts/measuring';
import { cleanRunState } from '@loose-pulley/core/work/proving';
import { CycleLog } from '../../parts/cycles/CycleLog';
import { DriveDrawing } from '../../parts/draw/DriveDrawing';
import { drawingFields } from '../../parts/measuring/DrawingFields';
import { driveGeometry } from '../../parts/measuring/driveGeometry';
import { useMovePulley } from '../../parts/measuring/useMovePulley';
import { Closing } from '../../parts/ticket/Closing';
import { ComplaintAnswers } from '../../parts/ticket/ComplaintAnswers';
import { FilledArea } from '../../parts/ticket/FilledArea';
import { useDriveView } from '../../parts/ticket/useDriveView';
import { useTicket } from '../../parts/ticket/useTicket';
import { ButtonLink } from '../../parts/ui/ButtonLink';
import { Caution } from '../../parts/ui/Caution';
import { ReadingField } from '../../stations/measure/ReadingField';
import { Folded } from '../../parts/ui/Folded';
import { Fold } from '../../parts/ui/Fold';
import { Answer } from '../../stations/size/Answer';
import { AnswerDetails } from '../../stations/size/AnswerDetails';
import { Tries } from '../../stations/size/Tries';
import { useSizing } from '../../stations/size/useSizing';
import { useUnit } from '../../state/store/hooks';

/**
 * The five-minute swap on one page: what it came for, the reading, the belt, fitted, a few cycles, the letter. Every
 * part is the same part as at its station, so that the ticket is a whole one at any moment.
 */
export function SwapPage() {
  const { ticket, canWrite } = useTicket();
  const view = useDriveView();
  const { drive, facts, situation } = view;
  const unit = useUnit();
  const onMove = useMovePulley(drive, canWrite);
  const run = ticket.cleanRuns[ticket.cleanRuns.length - 1];
  const running = run && cleanRunState(run, ticket.cycles).failedAt === undefined ? run.id : null;
  const fitted = ticket.drives.some(({ tries }) => tries.length > 0) || running !== null;
  const field = (measurand: Measurand, label: string) => {
    const reading = drive.readings.find((one) => one.measurand === measurand);
    return (
      <ReadingField
        key={`${drive.id}-${measurand}-${reading?.id ?? 'new'}`}
        drive={drive}
        facts={facts}
        canWrite={canWrite}
        measurand={measurand}
        reading={reading}
        slot={reading?.id ?? 'first'}
        label={label}
        removable={false}
      />
    );
  };
  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-[minmax(0,1fr)_340px] lg:grid-rows-[auto_1fr]">
      <div className="grid grid-cols-1 content-start gap-6 bg-sheet px-5 py-4">
        <h2 className="sr-only">Swap the belt</h2>
        <ComplaintAnswers />
        <Caution>Unplug it before a hand goes in; an over-tight belt wears a small motor out.</Caution>
        <DriveDrawing
          drawn={driveGeometry(facts, drive, unit)}
          unit={unit}
          heightPx={250}
          labels={drawingFields({ drive, facts, canWrite })}
          onMove={onMove}
        />
      </div>
      <div className="order-1 grid grid-cols-1 content-start gap-6 bg-sheet px-5 pb-6 lg:col-start-1">
        {situation.ok && (
          <Tries drive={drive} facts={facts} unit={unit} canWrite={canWrite} situation={situation.value} />
        )}
        {/* What comes after the belt is on stands here once it is. */}
        <Folded name="swapCycles" title="Cycles, and what was done" open={fitted}>
          <CycleLog key={running ?? 'new'} cleanRunId={running} begins />
          <FilledArea field="done" label="What was done" />
        </Folded>
        <div className="grid gap-3 md:grid-cols-2 md:items-start">
          <Closing />
          <div className="grid gap-3 md:pt-3">
            <ButtonLink to={`/t/${ticket.id}/letter`} className="min-h-12">
              Letter to the owner
            </ButtonLink>
            <p className="text-soft">
              More than a belt?{' '}
              <Link className="underline" to={`/t/${ticket.id}/find`}>
                Find the fault
              </Link>{' '}
              or{' '}
              <Link className="underline" to={`/t/${ticket.id}/strip`}>
                strip it
              </Link>
              .
            </p>
          </div>
        </div>
      </div>
      <aside
        aria-label="Readings"
        className="grid content-start gap-4 border-hair px-5 py-4 max-lg:border-t lg:col-start-2 lg:row-span-2 lg:row-start-1 lg:border-l"
      >
        {field('oldBelt', 'Old belt')}
        {field('section', 'Belt section')}
        {situation.ok ? (
          <Choose view={view} situation={situation.value} />
        ) : (
          <p className={facts.driveProblem ? 'text-live' : undefined}>{situation.problem}</p>
        )}
      </aside>
    </div>
  );
}

function Choose({ view, situation }: { readonly view: DriveView; readonly situation: Situation }) {
  const { canWrite } = useTicket();
  const unit = useUnit();
  const [search, setSearch] = useSearchParams();
  const sizing = useSizing(view, situation, unit, search.get('belt'));
  const onPick = (id: string | null): void =>
    setSearch(
      (before) => {
        const after = new URLSearchParams(before);
        if (id === null) after.delete('belt');
        else after.set('belt', id);
        return after;
      },
      { replace: true },
    );
  return (
    <section aria-label="Recommended belt" className="grid gap-3">
      <Answer sizing={sizing} view={view} unit={unit} canWrite={canWrite} onPick={onPick} />
      <Fold title="Why this belt">
        <AnswerDetails sizing={sizing} view={view} situation={situation} unit={unit} onPick={onPick} />
      </Fold>
    </section>
  );
}
