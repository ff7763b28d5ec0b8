import { loaderOf } from '@loose-pulley/core/base/loaders';
import { useState } from 'react';
import { driveWords, GUIDES, type GuideLine } from '@loose-pulley/core/work/strip';
import { readLine } from '@loose-pulley/core/work/stripLine';
import { type Ticket } from '@loose-pulley/core/record/ticket';
import { usePastTickets } from '../../parts/ticket/usePastTickets';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { Segments } from '../../parts/ui/Segments';
import { useStripLine } from '../../parts/strip/useStripLine';

/** A past strip as lines to tick off: without what turned out needless, each in the words that were typed. */
const linesOf = ({ strip }: Ticket): readonly GuideLine[] =>
  [
    ...new Set(
      strip.steps.filter(({ kind, notNextTime }) => kind !== 'note' && notNextTime === '').map(({ line }) => line),
    ),
  ].map((line) => ({ line }));

/** What drives the lines of a guide ask for. */
function toolsOf(lines: readonly GuideLine[]): string[] {
  const drives = lines.flatMap(({ line }) => {
    const does = readLine(line)?.ways[0]?.does ?? [];
    return does.flatMap((deed) =>
      deed.type === 'step' && deed.step.driverType ? [driveWords(deed.step.driverType)] : [],
    );
  });
  return [...new Set(drives)];
}

/** A strip that others went before: ticked off instead of typed. Past ones of the mechanism, and a plain one by kind. */
export function Guide() {
  const { ticket, canWrite } = useTicket();
  const { doWay } = useStripLine();
  /** A line that went before is taken as it was meant first, and can be changed in its step. */
  const take = (text: string): void => {
    const [way] = readLine(text)?.ways ?? [];
    if (way) doWay(way);
  };
  const past = usePastTickets().filter(({ strip }) => strip.steps.length > 0);
  const [which, setWhich] = useState<string | null>(null);
  const [deep, setDeep] = useState(false);
  const guides = [
    ...past.map((one) => [one.id, `${one.number}, ${one.machine}`, linesOf(one)] as const),
    ['plain', `a plain ${loaderOf(ticket.loader).name}`, GUIDES[ticket.loader] ?? []] as const,
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
        Copy an earlier strip
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
            <Segments
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
                    <Button disabled={!canWrite || done.has(text)} onClick={() => take(text)}>
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
