import { useEffect, useId, useMemo, useRef, useState } from 'react';
import { cautionFor, type Step } from '@loose-pulley/core/work/strip';
import { LINE_MAX } from '@loose-pulley/core/work/stripLine';
import { agentCaution } from '@loose-pulley/core/work/compatibility';
import { cleanView } from '@loose-pulley/core/views/clean';
import { readSaid, type Said, type SaidWay } from '@loose-pulley/core/views/said';
import { AskFirst } from '../../parts/clean/AskFirst';
import { useClean } from '../../parts/clean/useClean';
import { useCompatibility } from '../../parts/clean/useCompatibility';
import { usePastTickets } from '../../parts/ticket/usePastTickets';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { InDoubt } from '../../parts/ui/InDoubt';
import { ByTouch } from './ByTouch';
import { WordsTaken } from '../../parts/typed/WordsTaken';
import { useUnsaved } from '../../parts/ui/useUnsaved';
import { useStripLine } from '../../parts/strip/useStripLine';
import { halfLineTyped } from '../../state/store/openTicket';
import { useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { Input } from '../../parts/ui/Input';

/** One line: what was understood is echoed before Enter; what is in doubt is asked, and answered by one key. */
export function StripLine({
  before,
  onPlaced,
}: {
  /** The next line goes in before this step, late. */
  readonly before: Step | undefined;
  readonly onPlaced: () => void;
}) {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const { doWay, sayMoments } = useStripLine();
  const cleaner = useClean(useCompatibility());
  const { places } = cleanView(ticket);
  // Half a line outlives the page.
  const text = useAppSelector(({ openTicket }) => openTicket.halfLines[ticket.id] ?? '');
  const setText = (now: string) => dispatch(halfLineTyped({ ticketId: ticket.id, text: now }));
  const [asking, setAsking] = useState(false);
  useUnsaved('enter', text.trim() !== '');
  const list = useId();
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => {
    if (before) field.current?.focus();
  }, [before]);
  const past = usePastTickets();
  // Words complete from the bench's own past, the same mechanism's first.
  const lines = useMemo(
    () => [...new Set([...past, ticket].flatMap(({ strip }) => strip.steps.map(({ line }) => line)))].slice(0, 200),
    [past, ticket],
  );
  const read = useMemo(() => readSaid(text, 'strip', { map: places, chosenId: null }), [text, places]);
  const ways = read?.ways ?? [];
  const doubtful = ways.length > 1;
  const over = (): void => {
    setText('');
    onPlaced();
  };
  const said = (way: SaidWay): void => {
    setAsking(false);
    // What was cleaned is done at Clean, and asks there first what may harm.
    const done =
      way.clean.length > 0
        ? cleaner.say(way.clean, text.trim(), { strip: way.strip, beforeId: before?.id })
        : doWay({ echo: way.echo, does: way.strip }, before?.id)
          ? 'done'
          : 'refused';
    if (done === 'done' && way.clean.length > 0) sayMoments(way.strip);
    if (done === 'done') over();
    if (done === 'asks') return;
    field.current?.focus();
  };
  const put = (): void => {
    const [way] = ways;
    if (doubtful) setAsking(true);
    else if (way) said(way);
    else field.current?.focus();
  };
  return (
    <section aria-label="A step" className="grid gap-2">
      <label htmlFor={`${list}-field`} className="text-sm text-soft">
        What came off, or what was done with it
      </label>
      {before && (
        <p className="flex flex-wrap items-center justify-between gap-3 border-l-4 border-ink pl-3">
          It goes in before number {before.number}, {before.what}.
          <Button look="quiet" onClick={onPlaced}>
            At the end after all
          </Button>
        </p>
      )}
      <div className="flex gap-2">
        <Input
          id={`${list}-field`}
          ref={field}
          list={list}
          value={text}
          autoComplete="off"
          autoFocus={ticket.strip.steps.length === 0 || text !== ''}
          aria-describedby={`${list}-echo`}
          disabled={!canWrite}
          placeholder="4 ph1 underside"
          onChange={(event) => {
            setAsking(false);
            cleaner.letBe();
            setText(event.target.value);
          }}
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return;
            event.preventDefault();
            put();
          }}
          className="w-full min-w-0 text-xl"
        />
        <Button look="strong" className="shrink-0" disabled={!canWrite || !read} onClick={put}>
          Add the step
        </Button>
      </div>
      <datalist id={list}>
        {lines.map((line) => (
          <option key={line} value={line} />
        ))}
      </datalist>
      <WordsTaken words={read?.words ?? []} />
      <div id={`${list}-echo`} aria-live="polite" className="min-h-[3em] leading-snug">
        {cleaner.waiting ? (
          <AskFirst cleaner={cleaner} onDone={over} />
        ) : read ? (
          <Understood read={read} asking={asking && doubtful} onWay={said} onNotYet={() => field.current?.focus()} />
        ) : (
          <span className="text-soft">
            Such as “2 hex8 pinned rear corners, one short”, “lens cover, 2 screws”, “motor plug pulled”, “leave the
            gold screws”, “found spring under the gear”, “sludge in the groove”, “laser bridged”, “again 3”, “power”.
          </span>
        )}
      </div>
      {text.length > LINE_MAX - 40 && text.length <= LINE_MAX && (
        <p className="text-sm text-soft">{LINE_MAX - text.length} letters left of a line.</p>
      )}
      {canWrite && <ByTouch />}
      <p className="flex items-baseline gap-3">
        <span className="text-soft">Next bag</span>
        <span className="text-[64px] leading-none font-bold">{ticket.strip.lastNumber + 1}</span>
      </p>
    </section>
  );
}

/** What a line would do, its numbers and what to mind; or the question, with a key for each reading. */
function Understood({
  read,
  asking,
  onWay,
  onNotYet,
}: {
  readonly read: Said;
  readonly asking: boolean;
  readonly onWay: (way: SaidWay) => void;
  readonly onNotYet: () => void;
}) {
  const { ticket, canWrite } = useTicket();
  const { strip } = ticket;
  const [way] = read.ways;
  if (!way) return <p className="text-live">{read.asks}</p>;
  if (read.ways.length > 1)
    return (
      <InDoubt
        asks={read.asks}
        readings={read.ways}
        asking={asking}
        disabled={!canWrite}
        onChoose={onWay}
        onNotYet={onNotYet}
      />
    );
  const steps = way.strip.flatMap((deed) => (deed.type === 'step' ? [deed.step] : []));
  const numbers = steps.map((_, index) => strip.lastNumber + 1 + index);
  const agents = way.clean.flatMap((deed) =>
    deed.type === 'treat' && deed.told.agent ? [agentCaution(deed.told.agent)] : [],
  );
  const caution = [...new Set([...steps.map((step) => cautionFor(step, strip.steps, ticket.loader)), ...agents])]
    .filter(Boolean)
    .join(' ');
  return (
    <>
      <span className={read.unread ? 'text-live' : undefined}>{way.echo}</span>{' '}
      {numbers.length > 0 && (
        <span className="text-soft">
          {numbers.length === 1 ? `It will be number ${numbers[0]}.` : `They will be numbers ${numbers.join(' and ')}.`}
        </span>
      )}
      {caution && <span className="block border-l-4 border-live pl-3">{caution}</span>}
    </>
  );
}
