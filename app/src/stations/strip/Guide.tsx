import { useState } from 'react';
import { driveWords, GUIDES, readLine, type GuideLine } from '@loose-pulley/core/strip';
import { type Ticket } from '@loose-pulley/core/ticket';
import { usePastTickets } from '../../parts/ticket/usePastTickets';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { Choice } from '../../parts/ui/Choice';
import { useStripLine } from '../../parts/strip/useStripLine';
import { LOADER_NAMES } from '@loose-pulley/core/loaders';

/** A past strip as lines to tick off: without what turned out needless, each in the words that were typed. */
const linesOf = ({ strip }: Ticket): readonly GuideLine[] =>
  strip.steps.filter(({ kind, notNextTime }) => kind !== 'note' && notNextTime === '').map(({ line }) => ({ line }));

/** What drives the lines of a guide ask for. */
function toolsOf(lines: readonly GuideLine[]): string[] {
  const drives = lines.flatMap(({ line }) => {
    const read = readLine(line);
    return read?.type === 'step' && read.step.driverType !== '' ? [driveWords(read.step.driverType)] : [];
  });
  return [...new Set(drives)];
}

/** A strip that others went before: ticked off instead of typed. Past ones of the mechanism, and a plain one by kind. */
export function Guide() {
  const { ticket, canWrite } = useTicket();
  const { doLine } = useStripLine();
  const past = usePastTickets().filter(({ strip }) => strip.steps.length > 0);
  const [which, setWhich] = useState<string | null>(null);
  const [deep, setDeep] = useState(false);
  const guides = [
    ...past.map((one) => [one.id, `${one.number}, ${one.machine}`, linesOf(one)] as const),
    ['plain', `a plain ${LOADER_NAMES[ticket.loader]}`, GUIDES[ticket.loader] ?? []] as const,
  ];
  const chosen = guides.find(([id]) => id === which);
  const lines = chosen?.[2].filter((line) => deep || !line.deep) ?? [];
  const tools = toolsOf(lines);
  const done = new Set(
    ticket.strip.steps.map(({ line }) => line).concat(ticket.strip.temporaryChanges.map(({ words }) => words)),
  );
  return (
    <section aria-labelledby="guide" className="grid gap-2">
      <h3 id="guide" className="text-lg">
        Go by a strip
      </h3>
      <div className="flex flex-wrap gap-2">
        {guides.map(([id, name]) => (
          <Button key={id} aria-pressed={which === id} onClick={() => setWhich(which === id ? null : id)}>
            {name}
          </Button>
        ))}
      </div>
      {chosen && (
        <>
          {chosen[2].some((line) => line.deep) && (
            <Choice
              label="How far"
              value={deep ? 'deep' : 'least'}
              className="justify-self-start"
              options={[
                ['least', 'least, to the belt'],
                ['deep', 'all of it, to every crumb'],
              ]}
              onChoose={(how) => setDeep(how === 'deep')}
            />
          )}
          {tools.length > 0 && <p>Lay out first: {tools.join('; ')}.</p>}
          <ol>
            {lines.map((line, index) => (
              <li
                key={line.line + String(index)}
                className="flex flex-wrap items-center gap-2 border-b border-hair py-1"
              >
                {[line.line, ...(line.or ? [line.or] : [])].map((text, place) => (
                  <span key={text} className="flex items-center gap-2">
                    {place > 0 && <span className="text-soft">or</span>}
                    <Button disabled={!canWrite || done.has(text)} onClick={() => doLine(text)}>
                      {done.has(text) ? `✓ ${text}` : text}
                    </Button>
                  </span>
                ))}
              </li>
            ))}
          </ol>
        </>
      )}
    </section>
  );
}
