import { lidNow } from '@loose-pulley/core/work/strip';
import type { Ticket } from '@loose-pulley/core/record/ticket';
import { MAINS_NAMES } from '@loose-pulley/core/record/stations';

/** Cautions hand-turning while the plug is in. Nothing where it is out, or where nobody said. */
export function PluggedCaution({ ticket }: { readonly ticket: Ticket }) {
  if (ticket.mains === null || ticket.mains.state === 'unplugged') return null;
  const open = lidNow(ticket.lid, ticket.strip.steps)?.state === 'off';
  return (
    <p role="alert" className="border-2 border-live px-3 py-2 font-semibold text-live">
      {open
        ? `It is ${MAINS_NAMES[ticket.mains.state]} with the lid off: mains are in reach, and laser light. Pull the plug before a hand goes in.`
        : `It is ${MAINS_NAMES[ticket.mains.state]}. Pull the plug before you open it or turn anything by hand.`}
    </p>
  );
}
