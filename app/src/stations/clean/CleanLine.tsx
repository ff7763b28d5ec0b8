import { useId, useMemo, useRef, useState } from 'react';
import { agentCaution } from '@loose-pulley/core/work/compatibility';
import { cleanView } from '@loose-pulley/core/views/clean';
import { readSaid, type Said, type SaidWay } from '@loose-pulley/core/views/said';
import type { Cleaner } from '../../parts/clean/useClean';
import { useStripLine } from '../../parts/strip/useStripLine';
import { useTicket } from '../../parts/ticket/useTicket';
import { WordsTaken } from '../../parts/typed/WordsTaken';
import { Button } from '../../parts/ui/Button';
import { InDoubt } from '../../parts/ui/InDoubt';
import { useUnsaved } from '../../parts/ui/useUnsaved';
import { halfLineTyped } from '../../state/store/openTicket';
import { useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { AskFirst } from '../../parts/clean/AskFirst';
import { Input } from '../../parts/ui/Input';

/** One line of cleaning: place, agent, way, strokes, result. What is in doubt is asked; what may harm is asked first. */
export function CleanLine({ cleaner, chosenId }: { readonly cleaner: Cleaner; readonly chosenId: string | null }) {
  const { ticket, canWrite } = useTicket();
  const { doWay } = useStripLine();
  const dispatch = useAppDispatch();
  const key = `clean/${ticket.id}`;
  const text = useAppSelector(({ openTicket }) => openTicket.halfLines[key] ?? '');
  const setText = (now: string) => dispatch(halfLineTyped({ ticketId: key, text: now }));
  const [asking, setAsking] = useState(false);
  useUnsaved('enter', text.trim() !== '');
  const id = useId();
  const field = useRef<HTMLInputElement>(null);
  const { places } = cleanView(ticket);
  const read = useMemo(() => readSaid(text, 'clean', { map: places, chosenId }), [text, places, chosenId]);
  const ways = read?.ways ?? [];
  const chosen = places.find(({ place }) => place.id === chosenId)?.place;
  const said = (way: SaidWay): void => {
    setAsking(false);
    // What is said here and belongs to Strip happens there.
    if (way.clean.length === 0 && way.strip.length > 0) {
      if (doWay({ echo: way.echo, does: way.strip })) setText('');
      field.current?.focus();
      return;
    }
    // The line stays until it is done: what waits for an answer may be left, and is there to change.
    const done = cleaner.say(way.clean, text.trim(), { strip: way.strip });
    if (done === 'done') setText('');
    if (done !== 'asks') field.current?.focus();
  };
  const put = (): void => {
    const [way] = ways;
    if (ways.length > 1) setAsking(true);
    else if (way) said(way);
    else field.current?.focus();
  };
  return (
    <section aria-label="What was done" className="grid gap-2">
      <label htmlFor={`${id}-field`} className="text-sm text-soft">
        What was found or done, and where{chosen && `: the ${chosen.name} unless the line says otherwise`}
      </label>
      <div className="flex gap-2">
        <Input
          id={`${id}-field`}
          ref={field}
          value={text}
          autoComplete="off"
          disabled={!canWrite}
          aria-describedby={`${id}-echo`}
          placeholder="drive pulley groove acetone swab clean"
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
          Add
        </Button>
      </div>
      <WordsTaken words={read?.words ?? []} />
      <div id={`${id}-echo`} aria-live="polite" className="min-h-[3em] leading-snug">
        {cleaner.waiting ? (
          <AskFirst cleaner={cleaner} onDone={() => setText('')} />
        ) : read ? (
          <Understood
            read={read}
            asking={asking && ways.length > 1}
            onWay={said}
            onNotYet={() => field.current?.focus()}
          />
        ) : (
          <span className="text-soft">
            {cleaner.cautions.length > 0
              ? cleaner.cautions.join(' ')
              : 'Such as “both pulleys oily”, “rods old grease off, lithium”, “rollers alcohol tacky”, “pots contact cleaner 20 strokes”, “belt washed in soapy water”, “belt holds”, “hands washed”.'}
          </span>
        )}
      </div>
    </section>
  );
}

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
  const { canWrite } = useTicket();
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
  const cautions = [
    ...new Set(
      way.clean.flatMap((deed) => (deed.type === 'treat' && deed.told.agent ? [agentCaution(deed.told.agent)] : [])),
    ),
  ].filter(Boolean);
  return (
    <>
      <span className={read.unread ? 'text-live' : undefined}>{way.echo}</span>
      {cautions.map((words) => (
        <span key={words} className="mt-1 block border-l-4 border-live pl-3 text-[15px]">
          {words}
        </span>
      ))}
    </>
  );
}
