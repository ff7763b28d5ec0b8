import { useState } from 'react';
import { Link } from 'react-router';
import { CycleLink } from '../../parts/cycles/CycleLink';
import { sameTestElsewhere } from '@loose-pulley/core/views/evidence';
import { PluggedCaution } from '../../parts/clock/PluggedCaution';
import { StationFoot } from '../../parts/ticket/StationFoot';
import { useTicket } from '../../parts/ticket/useTicket';
import { Answers } from './Answers';
import { CauseDrift } from './CauseDrift';
import { OtherTests } from './OtherTests';
import { TestCard } from './TestCard';
import { useAdviser } from './useAdviser';
import { askBySet } from '../../state/store/settings';
import { useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { Segments } from '../../parts/ui/Segments';
import { Next } from './Next';
import { Offers } from './Offers';
import { Why } from './Why';

/** Finding the fault: the test that says most per minute, and where every cause stands. */
export function FindPage() {
  const { ticket } = useTicket();
  const advice = useAdviser(ticket);
  const [pickedAt, setPickedAt] = useState<{ readonly answered: number; readonly testId: string }>();
  /** How many answers there were when it was to ask on all the same. */
  const [askOnAt, setAskOnAt] = useState<number | null>(null);
  const policy = useAppSelector(({ settings }) => settings.askBy);
  const dispatch = useAppDispatch();
  const [chosen, setChosen] = useState<string | null>(null);
  const answered = advice?.answers.length ?? 0;
  // After an answer the adviser asks again.
  const picked = pickedAt?.answered === answered ? pickedAt.testId : null;
  const pick = (testId: string): void => setPickedAt({ answered, testId });
  if (!advice) return <p className="p-5">One moment.</p>;
  const { machine, suggestions, ranked } = advice;
  const found = ticket.verdicts.find(({ state }) => state === 'found');
  const { next: step } = advice;
  const asking = step.do === 'ask' || picked !== null || askOnAt === answered;
  const test = machine.tests.find(
    ({ id }) => id === (picked ?? (step.do === 'ask' ? step.testId : suggestions[0]?.testId)),
  );
  const shown = chosen ?? found?.causeId ?? ranked[0]?.causeId ?? '';
  const elsewhere = sameTestElsewhere(ticket);
  const cause = machine.causes.find(({ id }) => id === shown);
  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-[minmax(0,1fr)_340px]">
      <div className="grid grid-cols-1 content-start gap-6 bg-sheet px-5 py-5">
        <div className="flex flex-wrap items-baseline justify-between gap-3">
          <h2 className="text-2xl">Find</h2>
          <Segments
            label="Which test comes next"
            value={policy}
            options={[
              ['minute', 'most for each minute'],
              ['test', 'most for each test'],
            ]}
            onChoose={(by) => dispatch(askBySet(by))}
          />
        </div>
        <PluggedCaution ticket={ticket} />
        {/* After a cure nothing more is asked; in practice the machine is there to be asked itself. */}
        {step.do !== 'prove' && !ticket.practice && <Offers advice={advice} />}
        {step.do !== 'ask' && <Next advice={advice} asking={asking} onAskOn={() => setAskOnAt(answered)} />}
        {test && asking ? (
          <TestCard key={test.id} advice={advice} test={test} />
        ) : (
          !test && (
            <p className="text-lg">Every test is answered. Give your verdict at the side, or take an answer back.</p>
          )
        )}
        {elsewhere.length > 0 && (
          <p className="flex flex-wrap items-center gap-x-4">
            After one bad belt, the same test on:
            {elsewhere.map(({ testId, driveName }) => (
              <Link
                key={driveName}
                to={`/t/${ticket.id}/find?drive=${driveName}`}
                onClick={() => pick(testId)}
                className="inline-flex min-h-11 items-center font-semibold underline decoration-hair decoration-2 underline-offset-4"
              >
                drive {driveName}
              </Link>
            ))}
          </p>
        )}
        <OtherTests advice={advice} onChoose={({ id }) => pick(id)} />
        <CauseDrift advice={advice} chosen={shown} onChoose={setChosen} />
        <p className="text-sm text-soft">
          The figures are judgement, not measurement.{' '}
          <Link className="underline" to="/knowledge">
            See and change every number
          </Link>
          . <CycleLink />
        </p>
      </div>
      <aside aria-label="Why" className="grid content-start gap-6 border-hair px-5 py-5 max-lg:border-t lg:border-l">
        {cause && <Why key={cause.id} advice={advice} cause={cause} />}
        <Answers advice={advice} />
        <StationFoot station="find" note />
      </aside>
    </div>
  );
}
