import {
  COMPLAINT_STATE_NAMES,
  COMPLAINT_STATES,
  type Complaint,
  type ComplaintState,
} from '@loose-pulley/core/record/stations';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { usePageKey } from '../keys/useKeys';
import { Button } from '../ui/Button';
import { TextLine } from '../ui/TextLine';
import { useTicket } from './useTicket';
import { Select } from '../ui/Select';

/** What it came in with, each with its answer, given where one stands. */
export function ComplaintAnswers() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const put = (complaint: Complaint, gesture?: string) =>
    dispatch(recordEvent({ type: 'complaintPut', complaint }, gesture));
  const first = ticket.complaints.find(({ state }) => state === 'open');
  const keys = useAppSelector(({ settings }) => (settings.singleKeys ? settings.keys : null));
  const cured = (): void => {
    if (first && canWrite) put({ ...first, state: 'cured' });
  };
  usePageKey('cured', first ? cured : undefined);
  if (ticket.complaints.length === 0) return null;
  return (
    <section aria-label="What it came in with" className="grid gap-2">
      <h3 className="border-b border-ink pb-1 text-lg">What it came in with</h3>
      <ul className="grid gap-3">
        {ticket.complaints.map((one, index) => (
          <li key={one.id} className="grid items-end gap-x-4 gap-y-2 md:grid-cols-[minmax(0,1fr)_auto_minmax(0,1fr)]">
            <span className="flex flex-wrap items-center justify-between gap-2 self-center">
              <q className="text-lg leading-snug">{one.words}</q>
              {one === first && (
                <Button keyCap={keys?.cured} disabled={!canWrite} onClick={cured}>
                  Cured
                </Button>
              )}
            </span>
            <label className="grid gap-1 text-sm text-soft">
              {`Complaint ${index + 1} is`}
              <Select
                value={one.state}
                disabled={!canWrite}
                onChoose={(chosen) => put({ ...one, state: chosen as ComplaintState })}
                className={one.state === 'open' ? 'text-lg !text-live' : 'text-lg'}
                options={COMPLAINT_STATES.map((state) => [state, COMPLAINT_STATE_NAMES[state]] as const)}
              />
            </label>
            <TextLine
              label={`How it is now, ${index + 1}`}
              value={one.after}
              maxLength={2000}
              disabled={!canWrite}
              onText={(after, gesture) => put({ ...one, after }, gesture)}
            />
          </li>
        ))}
      </ul>
    </section>
  );
}
