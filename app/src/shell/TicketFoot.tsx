import type { Ticket } from '@loose-pulley/core/record/ticket';
import { LidLine, MainsLine } from '../parts/clock/MainsLine';

/** What the foot says of the open ticket: mains and lid. */
export default function TicketFoot({ ticket, canWrite }: { readonly ticket: Ticket; readonly canWrite: boolean }) {
  return (
    <>
      <MainsLine ticket={ticket} canWrite={canWrite} />
      <LidLine ticket={ticket} canWrite={canWrite} />
    </>
  );
}
