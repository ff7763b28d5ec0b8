import { Suspense } from 'react';
import { Navigate, useParams } from 'react-router';
import { nextPage } from '@loose-pulley/core/record/ticket';
import { isStation, stationPage } from './stationPages';
import { useTicket } from '../../parts/ticket/useTicket';

/** The station that the address names. */
export function StationPage() {
  const { ticket } = useTicket();
  const { station } = useParams();
  if (!isStation(station)) return <Navigate replace to={`/t/${ticket.id}/${nextPage(ticket)}`} />;
  const Shown = stationPage(station);
  return (
    <Suspense fallback={<p className="p-5">One moment.</p>}>
      <Shown key={station} />
    </Suspense>
  );
}
