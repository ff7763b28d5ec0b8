import { nanoid } from 'nanoid';
import {
  inWords,
  OPENING_MINUTES,
  testName,
  wouldLead,
  causeName,
  type BenchTest,
  type Suggestion,
} from '@loose-pulley/core/work/diagnosis';
import { recordEvent } from '../../state/persistence/recording';
import { usePageKey } from '../../parts/keys/useKeys';
import { ANSWER_KEYS, type KeyAction } from '../../state/store/settings';
import { useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { useDrive, useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { Caution } from '../../parts/ui/Caution';
import type { Advice } from './useAdviser';

const RISKS = ['harmless', 'a little risk', 'some risk', 'risky'];

/** What a test costs, in words. */
function costWords(test: BenchTest, suggestion: Suggestion | undefined): string {
  const opening = suggestion ? Math.max(0, suggestion.minutes - test.minutes) : OPENING_MINUTES[test.depth];
  const minutes = `${test.minutes} ${test.minutes === 1 ? 'minute' : 'minutes'}`;
  const depth =
    test.depth === 'lidOn' ? 'lid stays on' : opening > 0 ? `and ${opening} to open it` : 'it is open already';
  return [minutes, depth, RISKS[test.risk] ?? '', test.reversible ? '' : 'cannot be undone']
    .filter(Boolean)
    .join(' · ');
}

/** One test, large: how it is done, what it may hurt, and its answers, each at one key. */
export function TestCard({ advice, test }: { readonly advice: Advice; readonly test: BenchTest }) {
  const { ticket, canWrite } = useTicket();
  const { drive } = useDrive();
  const dispatch = useAppDispatch();
  const keys = useAppSelector(({ settings }) => (settings.singleKeys ? settings.keys : null));
  const { machine, suggestions, belief } = advice;
  const suggestion = suggestions.find(({ testId }) => testId === test.id);
  const leads = wouldLead(machine, belief, test.id);
  const answer = (outcome: string): void => {
    dispatch(
      recordEvent({
        type: 'observed',
        observation: {
          id: nanoid(10),
          at: new Date().toISOString(),
          testId: test.id,
          outcome,
          driveId: test.depth === 'lidOn' ? null : drive.id,
        },
      }),
    );
  };
  const byKey = (index: number): void => {
    const outcome = test.outcomes[index];
    if (outcome && canWrite) answer(outcome.id);
  };
  usePageKey('answer1', () => byKey(0));
  usePageKey('answer2', () => byKey(1));
  usePageKey('answer3', () => byKey(2));
  usePageKey('answer4', () => byKey(3));
  usePageKey('answer5', () => byKey(4));
  usePageKey('answer6', () => byKey(5));
  usePageKey('answerUnclear', () => canWrite && answer('unclear'));
  usePageKey('answerNotTried', () => canWrite && answer('notTried'));
  const name = (causeId: string): string => {
    const cause = machine.causes.find(({ id }) => id === causeId);
    return cause ? causeName(cause, machine.loader).toLowerCase() : '';
  };
  const key = (action: KeyAction): string | undefined => keys?.[action];
  return (
    <section aria-labelledby="test" className="grid gap-3">
      <h3 id="test" className="text-2xl leading-tight font-bold">
        {testName(test, machine.loader)}
      </h3>
      <p className="text-sm text-soft">{costWords(test, suggestion)}</p>
      <p className="max-w-prose text-lg leading-snug">{inWords(test.how, machine.loader)}</p>
      {test.caution && <Caution>{inWords(test.caution, machine.loader)}</Caution>}
      {ticket.practice ? (
        <Button
          look="strong"
          className="min-h-14 justify-self-start text-lg"
          disabled={!canWrite}
          onClick={() =>
            void import('../../state/practice/layHand').then(({ layHand }) =>
              dispatch(layHand({ do: 'test', what: test.id })),
            )
          }
        >
          Do it: the machine answers
        </Button>
      ) : (
        <>
          <div role="group" aria-label="What it shows" className="grid gap-2 sm:grid-cols-2">
            {test.outcomes.map((outcome, index) => {
              const lead = leads.find(({ outcomeId }) => outcomeId === outcome.id);
              return (
                <Button
                  key={outcome.id}
                  look="plain"
                  className="min-h-14"
                  disabled={!canWrite}
                  keyCap={key(ANSWER_KEYS[index] ?? 'answer1')}
                  onClick={() => answer(outcome.id)}
                >
                  <span className="block text-lg">{inWords(outcome.label, machine.loader)}</span>
                  {lead && <span className="block text-sm font-normal text-soft">points to {name(lead.causeId)}</span>}
                </Button>
              );
            })}
          </div>
          <div className="flex flex-wrap gap-2">
            <Button disabled={!canWrite} keyCap={key('answerUnclear')} onClick={() => answer('unclear')}>
              Unclear
            </Button>
            <Button disabled={!canWrite} keyCap={key('answerNotTried')} onClick={() => answer('notTried')}>
              Not tried, ask another
            </Button>
          </div>
        </>
      )}
    </section>
  );
}
