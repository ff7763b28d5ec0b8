import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import type { Advice } from './useAdviser';
import { answerWords } from './Why';

/** Everything answered so far, newest first, each to be taken back; what other stations saw says where. */
export function Answers({ advice }: { readonly advice: Advice }) {
  const { canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const { answers, fit, given } = advice;
  return (
    <section aria-labelledby="answers" className="grid gap-2">
      <h3 id="answers" className="text-lg">
        Answered
      </h3>
      {!fit.fits && (
        <div role="alert" className="border-l-4 border-live pl-3">
          <p>The answers do not fit together. Check first:</p>
          <ul className="list-disc pl-5">
            {fit.doubt.slice(0, 3).map((one) => (
              <li key={one.testId}>{answerWords(advice, one)}</li>
            ))}
          </ul>
        </div>
      )}
      {answers.length === 0 && <p className="text-soft">Nothing yet.</p>}
      <ol>
        {[...answers].reverse().map((answer) => (
          <li
            key={`${answer.testId}-${answer.cured}`}
            className="flex items-center justify-between gap-2 border-b border-hair py-1"
          >
            <span>
              {answerWords(advice, answer)}
              {answer.from && <span className="text-soft"> · {answer.from}</span>}
              {answer.cured < given.cured.length && <span className="text-soft"> · before the last cure</span>}
            </span>
            {answer.recordId && (
              <Button
                look="quiet"
                className="whitespace-nowrap"
                disabled={!canWrite}
                aria-label={`Take back: ${answerWords(advice, answer)}`}
                onClick={() =>
                  dispatch(recordEvent({ type: 'observationRemoved', observationId: answer.recordId ?? '' }))
                }
              >
                take back
              </Button>
            )}
          </li>
        ))}
      </ol>
    </section>
  );
}
