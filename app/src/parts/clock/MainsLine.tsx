import { lidNow } from '@loose-pulley/core/work/strip';
import { type Ticket } from '@loose-pulley/core/record/ticket';
import { timeOfDay } from '../../state/written';
import { usePageKey } from '../keys/useKeys';
import { sayMoment } from '../../state/persistence/moments';
import { useAppDispatch } from '../../state/store/hooks';
import { LID_NAMES, LID_STATES, MAINS_NAMES, MAINS_STATES } from '@loose-pulley/core/record/stations';
import { Select } from '../ui/Select';

const NOT_SAID = 'unknown';

/** How the machine stands to the mains, on every page of its ticket: the app cannot see it, so the bench says it. */
export function MainsLine({ ticket, canWrite }: { readonly ticket: Ticket; readonly canWrite: boolean }) {
  const dispatch = useAppDispatch();
  const { mains } = ticket;
  usePageKey('power', () => canWrite && dispatch(sayMoment(mains?.state === 'plugged' ? 'unplugged' : 'power')));
  const danger = mains !== null && mains.state !== 'unplugged';
  return (
    <span className="inline-flex items-center gap-1.5">
      <label htmlFor="mains" className="font-semibold max-sm:sr-only">
        Mains
      </label>
      <Select
        id="mains"
        value={mains?.state ?? (NOT_SAID as never)}
        disabled={!canWrite}
        onChoose={(chosen) => dispatch(sayMoment(chosen === 'plugged' ? 'power' : (chosen as 'unplugged')))}
        look="line"
        className={danger ? 'font-semibold !text-live' : ''}
        placeholder={NOT_SAID}
        options={MAINS_STATES.map((state) => [state, MAINS_NAMES[state]] as const)}
      />
      {mains && (
        <time dateTime={mains.since} className="text-soft max-xl:hidden">
          since {timeOfDay(mains.since)}
        </time>
      )}
    </span>
  );
}

/** Whether the lid is on: what was not powered since it went on is not proved. Said, since the app cannot see it. */
export function LidLine({ ticket, canWrite }: { readonly ticket: Ticket; readonly canWrite: boolean }) {
  const dispatch = useAppDispatch();
  // What the strip says of the lid counts as much as what is said here.
  const lid = lidNow(ticket.lid, ticket.strip.steps);
  usePageKey('lid', () => canWrite && dispatch(sayMoment(lid?.state === 'on' ? 'lidOff' : 'lid')));
  return (
    <span className="inline-flex items-center gap-1.5">
      <label htmlFor="lid" className="font-semibold">
        Lid
      </label>
      <Select
        id="lid"
        value={lid?.state ?? (NOT_SAID as never)}
        disabled={!canWrite}
        onChoose={(chosen) => dispatch(sayMoment(chosen === 'on' ? 'lid' : 'lidOff'))}
        look="line"
        placeholder={NOT_SAID}
        options={LID_STATES.map((state) => [state, LID_NAMES[state]] as const)}
      />
    </span>
  );
}
