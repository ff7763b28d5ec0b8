import { nanoid } from 'nanoid';
import { lazy, Suspense, useState } from 'react';
import {
  countedBefore,
  failedKinds,
  mayBeginCleanRun,
  cleanRunState,
  cleanRunWords,
  tally,
  tallyWords,
  unprovableWords,
} from '@loose-pulley/core/work/proving';
import { CycleLink } from '../../parts/cycles/CycleLink';
import { CycleLog } from '../../parts/cycles/CycleLog';
import { TimedTests } from '../../parts/cycles/TimedTests';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { StationFoot } from '../../parts/ticket/StationFoot';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button, CommitButton } from '../../parts/ui/Button';
import { Checks } from './Checks';
import { ComplaintAnswers } from '../../parts/ticket/ComplaintAnswers';
import { Kinds } from './Kinds';
import { FailedUnder } from './FailedUnder';
import { Rechecks } from './Rechecks';
import { Input } from '../../parts/ui/Input';
import { useUnsaved } from '../../parts/ui/useUnsaved';

// What a watch says beside a calculated cycle is fetched once something was timed.
const AgainstWatch = lazy(async () => ({
  default: (await import('../../parts/cycles/CycleSaid')).AgainstWatch,
}));

/** Proving: clean cycles in a row, by three readings of how many it takes; a failure ends it. */
export function ProvePage() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const [what, setWhat] = useState('');
  useUnsaved('enter', what.trim() !== '');
  const before = tally(countedBefore(ticket.cycles));
  const unprovable = unprovableWords(undefined, before.failures);
  const cleanRun = ticket.cleanRuns[ticket.cleanRuns.length - 1];
  const state = cleanRun && cleanRunState(cleanRun, ticket.cycles);
  const kinds = failedKinds(ticket.cycles, cleanRun);
  const running = state !== undefined && state.failedAt === undefined;
  const mayBegin = mayBeginCleanRun(ticket.cleanRuns, ticket.treatments, ticket.cycles);
  const record = (): void => {
    const done = dispatch(
      recordEvent({
        type: 'treatmentRecorded',
        treatment: { id: nanoid(10), at: new Date().toISOString(), what: what.trim().slice(0, 2000) },
      }),
    );
    if (done) setWhat('');
  };
  const begin = () =>
    dispatch(recordEvent({ type: 'cleanRunBegun', cleanRun: { id: nanoid(10), startedAt: new Date().toISOString() } }));

  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-[minmax(0,1fr)_340px]">
      <div className="grid grid-cols-1 content-start gap-5 bg-sheet px-5 py-5">
        <h2 className="text-2xl">Prove</h2>
        <p className="text-lg">
          Before: {tallyWords(before)}{' '}
          {before.n === 0 &&
            'Count it at Take in while it still fails: what was counted before decides what must be counted after.'}
        </p>
        {state && (
          <p role="status" className={running ? 'text-xl font-semibold' : 'text-xl font-semibold text-live'}>
            Clean run {ticket.cleanRuns.length}: {cleanRunWords(state)}
          </p>
        )}
        {running && cleanRun ? (
          <CycleLog key={cleanRun.id} cleanRunId={cleanRun.id} />
        ) : (
          <div className="grid gap-2">
            {!mayBegin && (
              <p>
                Not cured. A new clean run begins only after something more was done since that failure: write it down
                at the side.
              </p>
            )}
            <CommitButton
              look="strong"
              className="min-h-12 justify-self-start"
              disabled={!canWrite || !mayBegin}
              onClick={begin}
            >
              Begin a clean run
            </CommitButton>
          </div>
        )}
        <ComplaintAnswers />
        <Rechecks />
        <Suspense fallback={null}>
          <AgainstWatch />
        </Suspense>
        <p>
          <CycleLink />
        </p>
        <TimedTests side="after" />
        <Checks />
      </div>
      <aside aria-label="How many it takes" className="grid content-start gap-4 border-hair px-5 py-5 lg:border-l">
        <h3 className="text-lg">How many clean cycles?</h3>
        {unprovable && !ticket.verdicts.some(({ state }) => state !== 'ruledOut') && (
          <p className="border-l-4 border-live pl-3">{unprovable}</p>
        )}
        <Kinds kinds={kinds} cleanRun={running ? cleanRun : undefined} />
        <FailedUnder cleanRun={cleanRun} />
        <p className="text-sm text-soft">
          Cycles in one sitting are not independent. Spread them over the conditions in which it failed, cold first.
        </p>
        <h3 className="mt-2 text-lg">What was done about it</h3>
        <ol className="grid">
          {ticket.treatments.map((one) => (
            <li key={one.id} className="border-b border-hair py-1.5">
              {one.what}
            </li>
          ))}
        </ol>
        <label className="grid gap-1 text-sm text-soft">
          A treatment, such as “belt renewed, pulleys cleaned”
          <Input
            value={what}
            disabled={!canWrite}
            maxLength={2000}
            onChange={(event) => setWhat(event.target.value)}
            onEnter={() => what.trim() !== '' && record()}
            className="text-lg text-ink"
          />
        </label>
        <Button disabled={!canWrite || what.trim() === ''} onClick={record}>
          Record the treatment
        </Button>
        <StationFoot station="prove" note />
      </aside>
    </div>
  );
}
