import { lazy, Suspense } from 'react';
import { Navigate, useParams } from 'react-router';
import { nextStation, STATIONS, type StationId } from '@loose-pulley/core/ticket';
import { MeasurePage } from '../measure/MeasurePage';
import { useTicket } from './useTicket';
import { NotePage } from './NotePage';

const SizePage = lazy(() => import('../size/SizePage').then(({ SizePage: page }) => ({ default: page })));
const TakeInPage = lazy(() => import('../takein/TakeInPage').then(({ TakeInPage: page }) => ({ default: page })));
const HandBackPage = lazy(() =>
  import('../handback/HandBackPage').then(({ HandBackPage: page }) => ({ default: page })),
);

/** The station that the address names. */
export function StationPage() {
  const { ticket } = useTicket();
  const { station } = useParams();
  if (!(STATIONS as readonly string[]).includes(station ?? ''))
    return <Navigate replace to={`/t/${ticket.id}/${nextStation(ticket)}`} />;
  return <Suspense fallback={<p className="p-5">One moment.</p>}>{page(station as StationId)}</Suspense>;
}

function page(station: StationId) {
  switch (station) {
    case 'takeIn':
      return <TakeInPage />;
    case 'measure':
      return <MeasurePage />;
    case 'size':
      return <SizePage />;
    case 'handBack':
      return <HandBackPage />;
    default:
      return <NotePage station={station} />;
  }
}
