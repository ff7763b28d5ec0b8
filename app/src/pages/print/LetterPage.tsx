import { writtenDay } from '../../state/written';
import { letter } from '@loose-pulley/core/views/handBack';
import { writeTicketName } from '../../parts/ticket/names';
import { useUnit } from '../../state/store/hooks';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { download } from '../../parts/ui/download';
import { Told } from '../../parts/papers/Told';
import { BenchName, useBenchName } from './BenchName';
import { letterFile } from './letterFile';

/** The letter to the owner, in plain words: to print, or as one page for somebody far away. */
export function LetterPage() {
  const { ticket } = useTicket();
  const unit = useUnit();
  const bench = useBenchName();
  const parts = letter(ticket, unit);
  const title = `${ticket.machine || 'Your machine'}, ticket ${ticket.number}`;
  return (
    <div className="px-5 py-5">
      <div className="mb-4 flex flex-wrap items-center gap-3 print:hidden">
        <Button look="strong" onClick={() => window.print()}>
          Print the letter
        </Button>
        <Button
          onClick={() =>
            download(
              `${writeTicketName(ticket)}-letter.html`,
              letterFile(title, parts, bench, writtenDay(ticket.closedAt ?? new Date().toISOString())),
              'text/html',
            )
          }
        >
          Save as one page
        </Button>
        <span className="text-soft">
          The page opens in any browser, by itself. Press a sentence to see what it rests on.
        </span>
        <BenchName />
      </div>
      <article
        aria-label="Letter to the owner"
        className="mx-auto max-w-[170mm] border border-hair bg-sheet p-8 text-[17px] leading-relaxed print:max-w-none print:border-0 print:p-0 print:text-[12pt]"
      >
        <header className="border-b-2 border-ink pb-2">
          <h2 className="text-2xl font-bold">{ticket.machine || 'Your machine'}</h2>
          <p className="text-soft">
            Ticket {ticket.number}
            {ticket.owner && `, ${ticket.owner}`}
          </p>
          <p>
            {[bench, writtenDay(ticket.closedAt ?? new Date().toISOString())]
              .filter((words) => words !== '')
              .join(', ')}
          </p>
        </header>
        {parts.length === 0 && (
          <p className="pt-4">Nothing to tell yet: answer the complaints and write what was done.</p>
        )}
        {parts.map(({ heading, sentences }) => (
          <section key={heading} className="break-inside-avoid pt-4">
            <h3 className="text-lg">{heading}</h3>
            {sentences.map((sentence) => (
              <Told key={sentence.text} sentence={sentence} />
            ))}
          </section>
        ))}
        <footer className="mt-10 break-inside-avoid print:break-before-avoid">
          <p className="max-w-[75mm] border-t border-ink pt-1 text-sm">{bench || 'signed'}</p>
        </footer>
      </article>
    </div>
  );
}
