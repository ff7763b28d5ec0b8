import { COUNTED, driveWords, isAway } from '@loose-pulley/core/work/strip';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';

/** Labels for bags and trays: the number large, the ticket, what is in it, and a short code that opens the step. */
export function LabelsPage() {
  const { ticket } = useTicket();
  const steps = ticket.strip.steps.filter(({ number, fate }) => number > 0 && isAway(fate));
  return (
    <div className="px-5 py-5">
      <div className="mb-4 flex flex-wrap items-center gap-3 print:hidden">
        <Button look="strong" onClick={() => window.print()}>
          Print the labels
        </Button>
        <span className="text-soft">Cut along the lines. Type or scan a code after “/” and its step opens.</span>
      </div>
      {steps.length === 0 && <p className="text-lg">Nothing is off, so there is nothing to label.</p>}
      <ol aria-label="Labels" className="mx-auto grid max-w-[190mm] grid-cols-2 sm:grid-cols-3">
        {steps.map((step) => (
          <li
            key={step.id}
            className="grid min-h-[42mm] break-inside-avoid content-between border border-dashed border-soft bg-sheet p-3"
          >
            <p className="flex items-start justify-between gap-2">
              <span className="text-[52px] leading-none font-bold">{step.number}</span>
              <span className="text-right text-sm">
                {ticket.number}
                <br />
                {ticket.machine}
              </span>
            </p>
            <p className="leading-tight">
              {COUNTED.has(step.kind) ? `${step.count - step.missing} ${step.what}` : step.what}
              {step.driverType && `, ${driveWords(step.driverType)}`}
              {step.where && `, ${step.where}`}
            </p>
            <p className="font-mono text-sm">
              {ticket.number}-{step.number}
            </p>
          </li>
        ))}
      </ol>
    </div>
  );
}
