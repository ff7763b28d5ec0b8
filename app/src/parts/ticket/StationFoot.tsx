import { Link, useSearchParams } from 'react-router';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { Button } from '../ui/Button';
import { TextArea } from '../ui/TextLine';
import { useTicket } from './useTicket';
import { STATION_NAMES, STATIONS, type StationId } from '@loose-pulley/core/record/stations';

/** What every station ends with: a note, whether it is needed at all, and the way on. It needs no signing off. */
export function StationFoot({ station, note = false }: { readonly station: StationId; readonly note?: boolean }) {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const [search] = useSearchParams();
  const notNeeded = ticket.stations[station] === 'notNeeded';
  const next = STATIONS[STATIONS.indexOf(station) + 1];
  return (
    <div className="grid gap-3 py-4">
      {note && (
        <TextArea
          label={`Note on ${STATION_NAMES[station]}`}
          value={ticket.notes[station]}
          disabled={!canWrite}
          onText={(text, gesture) => dispatch(recordEvent({ type: 'noteWritten', station, text }, gesture))}
        />
      )}
      {station !== 'handBack' && (
        <Button
          look="quiet"
          className="justify-self-start"
          aria-pressed={notNeeded}
          disabled={!canWrite}
          onClick={() =>
            dispatch(recordEvent({ type: 'stationMarked', station, mark: notNeeded ? 'open' : 'notNeeded' }))
          }
        >
          {notNeeded ? `${STATION_NAMES[station]} is needed after all` : `${STATION_NAMES[station]} is not needed here`}
        </Button>
      )}
      {next && (
        <Link
          to={{
            pathname: `/t/${ticket.id}/${next}`,
            search: search.get('drive') ? `?drive=${search.get('drive')}` : '',
          }}
          className="inline-flex min-h-11 items-center underline decoration-hair decoration-2 underline-offset-4 hover:decoration-live"
        >
          On to {STATION_NAMES[next]}
        </Link>
      )}
    </div>
  );
}
