import { useState } from 'react';
import { Link } from 'react-router';
import { KNOWLEDGE } from '@loose-pulley/core/work/diagnosis';
import type { Practice, StationId } from '@loose-pulley/core/record/stations';
import type { Ticket } from '@loose-pulley/core/record/ticket';
import { counted } from '@loose-pulley/core/base/units';
import { MISHAPS, type Hand, type Mishap } from '@loose-pulley/lab/hidden';
import { alwaysAtHand, chosenAt, handName, handsAt } from '@loose-pulley/lab/practice';
import { layHand } from '../../state/practice/layHand';
import { isMuted, mute } from '../../state/practice/sounds';
import { useAppDispatch } from '../../state/store/hooks';
import { Button } from '../ui/Button';
import { Folded } from '../ui/Folded';
import { ChooseBelt, ChooseCause, ChooseTest } from './Choices';
import { clockWords, minutesOn, standsOf } from './standing';

const CHOICES = { test: ChooseTest, cure: ChooseCause, fit: ChooseBelt } as const;

/** What was forgotten, and what it would have cost. */
function Forgotten({ mishaps }: { readonly mishaps: readonly string[] }) {
  return mishaps.map((one) => {
    const { words, cost } = MISHAPS[one as Mishap] ?? { words: one, cost: '' };
    return (
      <p key={one} className="border-l-4 border-live pl-3">
        <strong>{words}</strong> {cost}
      </p>
    );
  });
}

/** Every hand so far, newest first. */
function Laid({ practice, ticket }: { readonly practice: Practice; readonly ticket: Ticket }) {
  return (
    <ol reversed aria-label="Hands laid, newest first">
      {[...practice.hands].reverse().map((hand) => (
        <li
          key={hand.id}
          className="grid grid-cols-[4.5rem_1fr] gap-3 border-b border-hair py-1 max-sm:grid-cols-1 max-sm:gap-0"
        >
          <span className="text-soft">{hand.minutes > 0 ? `${hand.minutes.toFixed(1)} min` : ''}</span>
          <span>
            <strong className="font-semibold">
              {handName(KNOWLEDGE, ticket.loader, { do: hand.do, what: hand.what } as Hand)}.
            </strong>{' '}
            {hand.words}
          </span>
        </li>
      ))}
    </ol>
  );
}

/**
 * Hands for a hidden machine, over every station: what can be done with it here, what came of the last thing, and the
 * work clock.
 */
export default function HandsPanel({
  ticket,
  practice,
  station,
  canWrite,
}: {
  readonly ticket: Ticket;
  readonly practice: Practice;
  readonly station: StationId | undefined;
  readonly canWrite: boolean;
}) {
  const dispatch = useAppDispatch();
  const [muted, setMuted] = useState(isMuted);
  const stands = standsOf(practice);
  const { loader } = ticket;
  const last = practice.hands.at(-1);
  const lay = (hand: Hand): void => void dispatch(layHand(hand));
  // A button that is pressed stays where it is, with the focus on it, though it then does the opposite.
  const button = (hand: Hand, place: string) => (
    <Button key={place} disabled={!canWrite} onClick={() => lay(hand)}>
      {handName(KNOWLEDGE, loader, hand)}
    </Button>
  );
  const { number, prepared } = practice.dealt;
  return (
    <section aria-labelledby="hands" className="grid gap-3 border-b-2 border-ink bg-zone1 px-5 py-3 print:hidden">
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h2 id="hands" className="text-xl font-bold">
          Your hands
        </h2>
        <span data-testid="hands-laid" data-count={practice.hands.length}>
          <strong>{clockWords(minutesOn(practice))}</strong> on the work clock
        </span>
        <span>
          {stands.powered ? 'plugged in' : 'unplugged'}, lid {stands.lidOn ? 'on' : 'off'}
        </span>
        {prepared === null && <span className="text-soft">machine {number}, the same for whoever types it</span>}
        <Button
          look="quiet"
          className="ml-auto"
          onClick={() => {
            mute(!muted);
            setMuted(!muted);
          }}
        >
          Sound {muted ? 'off' : 'on'}
        </Button>
      </div>
      <div aria-live="polite" className="grid gap-2">
        {last ? (
          <p className="text-lg">
            <span className="text-soft">{handName(KNOWLEDGE, loader, { do: last.do, what: last.what } as Hand)}: </span>
            <strong className="font-semibold">{last.words}</strong>
          </p>
        ) : (
          <p className="text-lg">It stands on the bench, plugged in and closed. See it fail before you open it.</p>
        )}
        {last && <Forgotten mishaps={last.mishaps} />}
      </div>
      {practice.ended ? (
        <p className="text-lg">
          <Link className="font-semibold underline" to={`/t/${ticket.id}/ending`}>
            What was wrong with it, and what each step told
          </Link>
        </p>
      ) : (
        <>
          <div role="group" aria-label="Hands at this station" className="flex flex-wrap gap-2">
            {alwaysAtHand(stands).map((hand, at) => button(hand, String(at)))}
            {station && handsAt(station, loader).map((hand) => button(hand, `${hand.do} ${hand.what}`))}
          </div>
          {station && chosenAt(station).length > 0 && (
            <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
              {chosenAt(station).map((what) => {
                const Choose = CHOICES[what];
                return <Choose key={what} loader={loader} practice={practice} off={!canWrite} onLay={lay} />;
              })}
            </div>
          )}
        </>
      )}
      {practice.hands.length > 1 && (
        <Folded name="practice: hands" title={`${counted(practice.hands.length, 'hand')} so far`}>
          <Laid practice={practice} ticket={ticket} />
        </Folded>
      )}
    </section>
  );
}
