import { ButtonLink } from '../../parts/ui/ButtonLink';
import { nanoid } from 'nanoid';
import { Link } from 'react-router';
import {
  causeName,
  evidenceOn,
  inWords,
  testName,
  type Cause,
  type Lead,
  type Observation,
  type Evidence,
} from '@loose-pulley/core/work/diagnosis';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useDrive, useTicket } from '../../parts/ticket/useTicket';
import { Button, CommitButton } from '../../parts/ui/Button';
import type { Advice } from './useAdviser';
import { newComplaint, VERDICT_STATE_NAMES, VERDICT_STATES, type StationId } from '@loose-pulley/core/record/stations';

/** Ratios nearer to 1 say nothing worth reading. */
const TELLS = 1.3;
const MOST = 5;

/** The station that a finding leads to. */
export const LEADS_TO: Readonly<Partial<Record<Lead, StationId | 'train'>>> = {
  measure: 'measure',
  clean: 'clean',
  strip: 'strip',
  rebuild: 'rebuild',
  train: 'train',
};
export const LEAD_WORDS: Readonly<Partial<Record<Lead, string>>> = {
  measure: 'Measure on drive',
  clean: 'On to Clean',
  strip: 'On to Strip',
  rebuild: 'On to Rebuild',
  train: 'On to the train',
};

/** What was answered, in words. */
export function answerWords(advice: Advice, { testId, outcome }: Observation): string {
  const test = advice.knowledge.tests.find(({ id }) => id === testId);
  const { loader } = advice.machine;
  const label =
    outcome === 'unclear'
      ? 'unclear'
      : outcome === 'notTried'
        ? 'not tried'
        : (test?.outcomes.find(({ id }) => id === outcome)?.label ?? outcome);
  return `${test ? testName(test, loader) : testId}: ${inWords(label, loader)}`;
}

function EvidenceList({
  advice,
  list,
  sign,
}: {
  readonly advice: Advice;
  readonly list: readonly Evidence[];
  readonly sign: string;
}) {
  return (
    <ul>
      {list.slice(0, MOST).map(({ observation, factor }) => (
        <li
          key={observation.testId + String(observation.cured)}
          className="flex justify-between gap-3 border-b border-hair py-1"
        >
          <span>{answerWords(advice, observation)}</span>
          <span className="whitespace-nowrap">
            {sign} {(factor >= 1 ? factor : 1 / factor).toFixed(1)}
          </span>
        </li>
      ))}
    </ul>
  );
}

/** Why a cause stands where it stands, what to do about it, and the technician's own verdict, which always wins. */
export function Why({ advice, cause }: { readonly advice: Advice; readonly cause: Cause }) {
  const { ticket, canWrite } = useTicket();
  const { drive } = useDrive();
  const dispatch = useAppDispatch();
  const name = causeName(cause, advice.machine.loader);
  const evidence = evidenceOn(advice.machine, advice.given, cause.id);
  const speaksFor = evidence.filter(({ factor }) => factor >= TELLS);
  const against = evidence.filter(({ factor }) => factor <= 1 / TELLS);
  const verdict = ticket.verdicts.find(({ causeId }) => causeId === cause.id);
  const station = LEADS_TO[cause.leads];
  const complained = ticket.complaints.some(({ words }) => words === name);
  return (
    <section aria-labelledby="why" className="grid gap-3">
      <h3 id="why" className="text-lg">
        {name}
      </h3>
      <p>{cause.remedy}</p>
      {speaksFor.length > 0 && (
        <div>
          <p className="text-sm text-soft">Evidence for: times as likely with it as without</p>
          <EvidenceList advice={advice} list={speaksFor} sign="×" />
        </div>
      )}
      {against.length > 0 && (
        <div>
          <p className="text-sm text-soft">Evidence against: times less likely</p>
          <EvidenceList advice={advice} list={against} sign="÷" />
        </div>
      )}
      {evidence.length === 0 && <p className="text-soft">Nothing answered yet: this is how often it is the cause.</p>}
      {station && (
        <ButtonLink to={`/t/${ticket.id}/${station}?drive=${drive.name}`}>
          {LEAD_WORDS[cause.leads]} {cause.leads === 'measure' && drive.name}
        </ButtonLink>
      )}
      {cause.leads === 'complaints' && (
        <Button
          disabled={!canWrite || complained}
          onClick={() =>
            dispatch(
              recordEvent({
                type: 'complaintPut',
                complaint: { ...newComplaint(nanoid(10), name), state: 'anotherTrade', drivetrain: false },
              }),
            )
          }
        >
          {complained ? 'It is among the complaints' : 'Put it among the complaints, for another specialist'}
        </Button>
      )}
      <div role="group" aria-label={`Your verdict on: ${name}`} className="grid gap-2">
        <span className="text-sm text-soft">Your own verdict wins, and is kept as yours</span>
        <div className="flex flex-wrap gap-2">
          {VERDICT_STATES.map((state) => (
            <CommitButton
              key={state}
              look={verdict?.state === state ? 'strong' : 'plain'}
              aria-pressed={verdict?.state === state}
              disabled={!canWrite}
              onClick={() =>
                dispatch(
                  verdict?.state === state
                    ? recordEvent({ type: 'verdictRemoved', causeId: cause.id })
                    : recordEvent({
                        type: 'verdictGiven',
                        verdict: { causeId: cause.id, state, words: name, at: new Date().toISOString() },
                      }),
                )
              }
            >
              {VERDICT_STATE_NAMES[state]}
            </CommitButton>
          ))}
        </div>
        {verdict?.state === 'cured' && (
          <p className="text-sm">
            Set aside with what it explained; the list runs again.{' '}
            <Link className="underline" to={`/t/${ticket.id}/prove`}>
              Write what was done at Prove
            </Link>
            .
          </p>
        )}
      </div>
    </section>
  );
}
