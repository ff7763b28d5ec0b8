import { writtenDay } from '../../state/written';
import { forbidding, isOpen, openRemoval, stepWords } from '@loose-pulley/core/work/strip';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';

/** The tag of a parked machine: what is out, where it lies, what must not be powered, what is awaited. */
export function TagPage() {
  const { ticket } = useTicket();
  const { strip } = ticket;
  const off = strip.steps.filter((step) => openRemoval(step));
  const noPower = forbidding(strip.temporaryChanges, 'power');
  const others = strip.temporaryChanges.filter((change) => isOpen(change) && !noPower.includes(change));
  return (
    <div className="px-5 py-5">
      <div className="mb-4 print:hidden">
        <Button look="strong" onClick={() => window.print()}>
          Print the tag
        </Button>
      </div>
      <article
        aria-label="Tag"
        className="mx-auto max-w-[140mm] border-2 border-ink bg-sheet p-6 print:max-w-none print:border-0 print:p-0"
      >
        <p className="text-[56px] leading-none font-bold">{ticket.number}</p>
        <h2 className="text-2xl font-bold">{ticket.machine || 'Unnamed machine'}</h2>
        {strip.park && (
          <p className="pt-1">
            Parked {writtenDay(strip.park.since)}. Parts lie: <strong>{strip.park.lies}</strong>.{' '}
            {strip.park.awaited && `Awaited: ${strip.park.awaited}.`}
          </p>
        )}
        {noPower.length > 0 && (
          <p className="mt-3 border-4 border-ink p-3 text-2xl font-bold">
            DO NOT POWER: {noPower.map(({ words }) => words).join(', ')}
          </p>
        )}
        {others.length > 0 && (
          <p className="pt-2">Still open: {others.map(({ words, closes }) => `${words} (${closes})`).join('; ')}.</p>
        )}
        <h3 className="pt-3 text-lg">Out</h3>
        <ul>
          {off.map((step) => (
            <li key={step.id} className="border-b border-hair py-0.5">
              <strong>{step.number}</strong> {stepWords(step)}
            </li>
          ))}
        </ul>
      </article>
    </div>
  );
}
