import { useState } from 'react';
import { Link } from 'react-router';
import { causeName, chanceWords } from '@loose-pulley/core/diagnosis';
import { sameTestElsewhere } from '@loose-pulley/core/ticketEvidence';
import { PluggedCaution } from '../../parts/clock/MainsLine';
import { StationFoot } from '../../parts/ticket/StationFoot';
import { useDrive, useTicket } from '../../parts/ticket/useTicket';
import { Answers } from './Answers';
import { CauseDrift } from './CauseDrift';
import { OtherTests } from './OtherTests';
import { TestCard } from './TestCard';
import { useAdviser } from './useAdviser';
import { LEAD_WORDS, LEADS_TO, Why } from './Why';

/** From here on it is worth seeing to a cause before asking more. */
const SURE = 0.8;

/** Finding the fault: the test that says most per minute, and where every cause stands. */
export function FindPage() {
  const { ticket } = useTicket();
  const { drive } = useDrive();
  const advice = useAdviser(ticket);
  const [pickedAt, setPickedAt] = useState<{ readonly answered: number; readonly testId: string }>();
  const [chosen, setChosen] = useState<string | null>(null);
  const answered = advice?.answers.length ?? 0;
  // After an answer the adviser asks again.
  const picked = pickedAt?.answered === answered ? pickedAt.testId : null;
  const pick = (testId: string): void => setPickedAt({ answered, testId });
  if (!advice) return <p className="p-5">One moment.</p>;
  const { machine, suggestions, ranked } = advice;
  const found = ticket.verdicts.find(({ state }) => state === 'found');
  const test = machine.tests.find(({ id }) => id === (picked ?? suggestions[0]?.testId));
  const shown = chosen ?? found?.causeId ?? ranked[0]?.causeId ?? '';
  const elsewhere = sameTestElsewhere(ticket);
  const sure = ranked[0] && ranked[0].chance >= SURE ? ranked[0] : undefined;
  const first = sure && machine.causes.find(({ id }) => id === sure.causeId);
  const cause = machine.causes.find(({ id }) => id === shown);
  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-[minmax(0,1fr)_340px]">
      <div className="grid grid-cols-1 content-start gap-6 bg-sheet px-5 py-5">
        <div className="flex flex-wrap items-baseline justify-between gap-3">
          <h2 className="text-2xl">Find</h2>
          <p className="text-sm text-soft">
            {picked ? 'The test you asked for' : 'Next test: the most information per minute'}
          </p>
        </div>
        <PluggedCaution ticket={ticket} />
        {first && sure && (
          <p role="status" className="flex flex-wrap items-center justify-between gap-3 border border-ink px-4 py-2">
            <span>
              <strong>{causeName(first, machine.loader)}</strong>, {chanceWords(sure.chance)}: see to it, or ask on.
            </span>
            {LEADS_TO[first.leads] && (
              <Link
                to={`/t/${ticket.id}/${LEADS_TO[first.leads]}?drive=${drive.name}`}
                className="inline-flex min-h-11 items-center font-semibold underline decoration-live decoration-2 underline-offset-4"
              >
                {LEAD_WORDS[first.leads]} {first.leads === 'measure' && drive.name}
              </Link>
            )}
          </p>
        )}
        {test ? (
          <TestCard key={test.id} advice={advice} test={test} />
        ) : (
          <p className="text-lg">Every test is answered. Give your verdict at the side, or take an answer back.</p>
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
          .
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
