import type { Ticket } from '@loose-pulley/core/record/ticket';
import { ChangeStrip } from '../parts/clock/ChangeStrip';
import { LidLine, MainsLine } from '../parts/clock/MainsLine';

/** What the foot says of the open ticket: mains, lid, and what is not as it should stay. */
export default function TicketFoot({ ticket, canWrite }: { readonly ticket: Ticket; readonly canWrite: boolean }) {
  return (
    <>
      <MainsLine ticket={ticket} canWrite={canWrite} />
      <LidLine ticket={ticket} canWrite={canWrite} />
      <ChangeStrip ticket={ticket} canWrite={canWrite} />
    </>
  );
}
