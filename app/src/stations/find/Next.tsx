import { Link } from 'react-router';
import { causeName, chanceWords, testName } from '@loose-pulley/core/work/diagnosis';
import { usePageKey } from '../../parts/keys/useKeys';
import { useAppSelector } from '../../state/store/hooks';
import { useDrive, useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import type { Advice } from './useAdviser';
import { LEAD_WORDS, LEADS_TO } from './Why';

/** When to stop asking: open it, or go and see to it; and asking on all the same. */
export function Next({
  advice,
  asking,
  onAskOn,
}: {
  readonly advice: Advice;
  readonly asking: boolean;
  readonly onAskOn: () => void;
}) {
  const { ticket } = useTicket();
  const { drive } = useDrive();
  const keys = useAppSelector(({ settings }) => (settings.singleKeys ? settings.keys : null));
  const { machine, next, ranked } = advice;
  usePageKey('askOn', onAskOn);
  if (next.do === 'ask') return null;
  const way =
    'inline-flex min-h-12 items-center font-semibold underline decoration-live decoration-2 underline-offset-4';
  const askOn = !asking && (
    <Button look="quiet" keyCap={keys?.askOn} onClick={onAskOn}>
      Ask on
    </Button>
  );
  const onTo = (station: 'prove' | 'strip', words: string) => (
    <p className="flex flex-wrap items-center justify-between gap-3">
      <Link to={`/t/${ticket.id}/${station}`} className={way}>
        {words}
      </Link>
      {askOn}
    </p>
  );
  if (next.do === 'prove')
    return (
      <div role="status" className="grid gap-1 border-2 border-ink px-4 py-3">
        <p className="text-xl font-bold">Prove it.</p>
        <p>
          If what was put right is what was wrong, most likely nothing more is ({chanceWords(advice.soundChance)}):
          cycles tell both better than questions.
        </p>
        {onTo('prove', 'On to Prove')}
      </div>
    );
  if (next.do === 'open') {
    const inside = machine.tests.find(({ id }) => id === next.testId);
    const likely = ranked
      .slice(0, 3)
      .flatMap(({ causeId, chance }) => {
        const cause = machine.causes.find(({ id }) => id === causeId);
        return cause ? [`${causeName(cause, machine.loader).toLowerCase()} ${chanceWords(chance)}`] : [];
      })
      .join(', ');
    return (
      <div role="status" className="grid gap-1 border-2 border-ink px-4 py-3">
        <p className="text-xl font-bold">{next.to === 'deep' ? 'Open it further.' : 'Open it.'}</p>
        <p>
          {next.because === 'no question that is left would change that'
            ? 'Whatever the answers were, it would have to come open'
            : 'What is inside says more than any question that is left'}
          : {likely}.{inside && ` Look first at this: ${testName(inside, machine.loader).toLowerCase()}.`}
        </p>
        {onTo('strip', 'On to Strip')}
      </div>
    );
  }
  const cause = machine.causes.find(({ id }) => id === next.causeId);
  const chance = ranked.find(({ causeId }) => causeId === next.causeId)?.chance ?? 0;
  if (!cause) return null;
  const lead = LEADS_TO[cause.leads];
  return (
    <div role="status" className="grid gap-1 border-2 border-ink px-4 py-3">
      <p>
        <strong className="text-xl">{causeName(cause, machine.loader)}</strong>
        {next.because === 'it was seen' ? ', as it was seen' : `, ${chanceWords(chance)}`}.{' '}
        {next.because === 'no answer that is left would change that' && 'No answer that is left would change that. '}
        {cause.remedy}
      </p>
      <p className="flex flex-wrap items-center justify-between gap-3">
        {lead ? (
          <Link to={`/t/${ticket.id}/${lead}?drive=${drive.name}`} className={way}>
            {LEAD_WORDS[cause.leads]} {cause.leads === 'measure' && drive.name}
          </Link>
        ) : (
          <span />
        )}
        {askOn}
      </p>
    </div>
  );
}
