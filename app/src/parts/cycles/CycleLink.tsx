import { Link } from 'react-router';
import { useDrive, useTicket } from '../ticket/useTicket';

/** Where the cycle itself stands, from any page of the ticket. */
export function CycleLink() {
  const { ticket } = useTicket();
  const { drive } = useDrive();
  return (
    <Link
      to={`/t/${ticket.id}/cycle?drive=${drive.name}`}
      className="inline-flex min-h-11 items-center underline decoration-hair underline-offset-4"
    >
      A cycle, as it would run
    </Link>
  );
}
