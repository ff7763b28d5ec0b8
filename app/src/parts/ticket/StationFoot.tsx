import { Link, useSearchParams } from 'react-router';
import { recordEvent } from '../../state/persistence/actions';
import { useAppDispatch } from '../../state/store/hooks';
import { Choice } from '../ui/Choice';
import { TextArea } from '../ui/TextLine';
import { useTicket } from './useTicket';
import { STATION_NAMES, STATIONS, type StationId } from '@loose-pulley/core/stations';

/** What every station ends with: how it stands, a note, and the way on. */
export function StationFoot({ station, note = false }: { readonly station: StationId; readonly note?: boolean }) {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const [search] = useSearchParams();
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
      <div className="grid gap-1">
        <span className="text-sm text-soft">{STATION_NAMES[station]} is</span>
        <Choice
          label={`${STATION_NAMES[station]} is`}
          value={ticket.stations[station]}
          disabled={!canWrite}
          options={[
            ['open', 'open'],
            ['done', 'done'],
            ['notNeeded', 'not needed'],
          ]}
          onChoose={(mark) => dispatch(recordEvent({ type: 'stationMarked', station, mark }))}
        />
      </div>
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
