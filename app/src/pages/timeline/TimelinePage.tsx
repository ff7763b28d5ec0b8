import { useMemo } from 'react';
import { Link } from 'react-router';
import { changedBy, describeEvent, eventPlace, timeline } from '@loose-pulley/core/record/ticket';
import { useUnit } from '../../state/store/hooks';
import { writtenMoment } from '../../state/written';
import { DeleteTicket } from './DeleteTicket';
import { LongList } from '../../parts/ui/LongList';
import { useTicket } from '../../parts/ticket/useTicket';
import { STATION_NAMES } from '@loose-pulley/core/record/stations';

/** More than so many changed fields are counted. */
const CHANGES_SHOWN = 3;

/** Everything that happened to the ticket, newest first; what was taken back is struck through and says so. */
export function TimelinePage() {
  const { record, ticket } = useTicket();
  const unit = useUnit();
  const entries = useMemo(() => [...timeline(record)].reverse(), [record]);
  return (
    <div className="max-w-3xl px-5 py-5">
      <h2 className="text-2xl">History of {ticket.number}</h2>
      <LongList items={entries} keyOf={({ event }) => event.id} usualPx={45} className="mt-3">
        {({ event, undone }, index) => {
          const changed = changedBy(record.events, record.events.length - 1 - index);
          const place = eventPlace(event);
          const drive = ticket.drives.find(({ id }) => id === place.driveId)?.name;
          const about =
            event.type === 'undone' || event.type === 'redone'
              ? record.events.find(({ id }) => id === event.eventId)
              : undefined;
          return (
            <div className="grid grid-cols-[11rem_1fr] items-baseline gap-4 border-b border-hair max-sm:grid-cols-1 max-sm:gap-0">
              <time dateTime={event.at} className="text-soft">
                {writtenMoment(event.at)}
              </time>
              <span>
                {undone ? <del>{describeEvent(event, ticket, unit)}</del> : describeEvent(event, ticket, unit)}
                {undone && <span className="text-soft"> (taken back)</span>}
                {about && `: ${describeEvent(about, ticket, unit)}`}{' '}
                <Link
                  className="inline-flex min-h-11 items-center text-soft underline decoration-hair underline-offset-4"
                  to={`/t/${ticket.id}/${place.station}${drive ? `?drive=${drive}` : ''}`}
                >
                  {STATION_NAMES[place.station]}
                </Link>
                {changed.length > 0 && (
                  <span className="block pb-1 text-soft">
                    {changed.slice(0, CHANGES_SHOWN).map(({ name, from, to }) => (
                      <span key={name} className="block">
                        {name}: {from} → <span className="text-ink">{to}</span>
                      </span>
                    ))}
                    {changed.length > CHANGES_SHOWN && `and ${changed.length - CHANGES_SHOWN} more`}
                  </span>
                )}
              </span>
            </div>
          );
        }}
      </LongList>
      <DeleteTicket />
    </div>
  );
}
