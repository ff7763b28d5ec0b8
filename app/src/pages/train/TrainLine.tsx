import { nanoid } from 'nanoid';
import { lazy, Suspense, useState } from 'react';
import {
  guessedMember,
  memberWords,
  MEMBER_KINDS,
  MEMBER_NAMES,
  membersOf,
  ofSister,
  readTrain,
  type Member,
} from '@loose-pulley/core/physics/train';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { usePastTickets } from '../../parts/ticket/usePastTickets';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { useUnsaved } from '../../parts/ui/useUnsaved';
import { Input } from '../../parts/ui/Input';

// It floats: fetched with the page that has one.
const Menu = lazy(() => import('../../parts/ui/Menu'));

/** The train by typing, or from a sister machine. */
export function TrainLine() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const past = usePastTickets();
  const driveIds = ticket.drives.map(({ id }) => id);
  const [typed, setTyped] = useState('');
  useUnsaved('enter', typed.trim() !== '');
  const read = typed.trim() === '' ? undefined : readTrain(typed);
  const put = (members: readonly Member[]): boolean => dispatch(recordEvent({ type: 'trainPut', members }));
  const take = (): void => {
    if (!read?.ok) return;
    const members = membersOf(read.value, { standing: ticket.train.members, driveIds, newId: nanoid });
    if (put(members)) setTyped('');
  };
  const add = (kind: Member['kind']): void => {
    const number = ticket.train.members.length + 1;
    const [driveId = null] = driveIds;
    dispatch(recordEvent({ type: 'memberPut', member: { ...guessedMember(kind, driveId), id: nanoid(10), number } }));
  };
  const sister = past.find(({ train }) => train.members.length > 0);
  return (
    <section aria-label="Its members" className="grid gap-2">
      <label htmlFor="train-line" className="text-sm text-soft">
        From the motor on
        {ticket.train.members.length > 0 ? ': typed again, it takes the place of what stands there' : ''}
      </label>
      <div className="flex gap-2">
        <Input
          id="train-line"
          value={typed}
          autoComplete="off"
          disabled={!canWrite}
          placeholder="motor 8T, gear 32/10, gear 28, rack 0.8"
          className="w-full min-w-0 text-xl"
          onChange={(event) => setTyped(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && take()}
        />
        <Button look="strong" className="shrink-0" disabled={!canWrite || !read?.ok} onClick={take}>
          Draw it
        </Button>
      </div>
      <p aria-live="polite" className={read && !read.ok ? 'text-live' : 'text-soft'}>
        {read
          ? read.ok
            ? read.value.map((one) => memberWords({ ...one, id: '', number: 0 })).join(' → ')
            : read.problem
          : 'Such as “motor, belt 12T, gear 36/10, rack 0.8”, “motor, worm 1, gear 30, mode gear 40”, “motor 10T, gear 30, rollers 8”. A machine may have no belt at all.'}
      </p>
      {canWrite && (
        <Suspense fallback={null}>
          <Menu
            label="Or one by one"
            className="justify-self-start"
            items={MEMBER_KINDS.map((kind) => [MEMBER_NAMES[kind], () => add(kind)] as const)}
          />
        </Suspense>
      )}
      {ticket.train.members.length === 0 && sister && (
        <Button
          className="justify-self-start"
          disabled={!canWrite}
          onClick={() => put(ofSister(sister.train.members, driveIds))}
        >
          Take the train of {sister.number}: {sister.train.members.map(memberWords).join(', ')}
        </Button>
      )}
    </section>
  );
}
