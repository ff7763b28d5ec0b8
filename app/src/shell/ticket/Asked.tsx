import { conflictsOf } from '@loose-pulley/core/record/findings';
import DrawerAsks from '../../parts/book/DrawerAsks';
import Conflicts from '../../parts/findings/Conflicts';
import { useTicket } from '../../parts/ticket/useTicket';

/** What one key settles, one question at a time. */
export default function Asked() {
  const { ticket } = useTicket();
  return conflictsOf(ticket).length > 0 ? <Conflicts /> : <DrawerAsks />;
}
