import { useEffect, useId, useMemo, useRef, useState } from 'react';
import { readLine, STEP_CAUTIONS, type Step } from '@loose-pulley/core/strip';
import { usePastTickets } from '../../parts/ticket/usePastTickets';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { ByTouch } from './ByTouch';
import { useUnsaved } from '../../parts/ui/useUnsaved';
import { useStripLine } from '../../parts/strip/useStripLine';

/** One line, one step: what was understood is echoed before Enter, and the next bag's number stands large. */
export function StripLine({
  before,
  onPlaced,
}: {
  /** The next line goes in before this step, late. */
  readonly before: Step | undefined;
  readonly onPlaced: () => void;
}) {
  const { ticket, canWrite } = useTicket();
  const { doLine } = useStripLine();
  const [text, setText] = useState('');
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
  const read = readLine(text);
  const numbered = read?.type !== 'step' || read.step.kind !== 'note';
  const put = (): void => {
    if (doLine(text, before?.id)) {
      setText('');
      onPlaced();
    }
    field.current?.focus();
  };
  return (
    <section aria-label="A step" className="grid gap-2">
      <label htmlFor={`${list}-field`} className="text-sm text-soft">
        What came off (one line per step)
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
        <input
          id={`${list}-field`}
          ref={field}
          list={list}
          value={text}
          autoComplete="off"
          maxLength={400}
          disabled={!canWrite}
          placeholder="4 ph1 underside"
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return;
            event.preventDefault();
            put();
          }}
          className="field w-full min-w-0 text-xl"
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
      <p aria-live="polite" className="min-h-[3em] leading-snug">
        {read ? (
          <>
            {read.echo}{' '}
            {read.type === 'step' && numbered && (
              <span className="text-soft">It will be number {ticket.strip.lastNumber + 1}.</span>
            )}
            {read.type === 'step' && STEP_CAUTIONS[read.step.kind] && (
              <span className="block border-l-4 border-live pl-3">{STEP_CAUTIONS[read.step.kind]}</span>
            )}
          </>
        ) : (
          <span className="text-soft">
            Such as “2 hex8 pinned rear corners, one short”, “plug 6 grey, stripe to the left”, “lid”, “laser bridged”,
            “found spring under the tray”, “again 3”, “power”.
          </span>
        )}
      </p>
      {canWrite && <ByTouch />}
      <p className="flex items-baseline gap-3">
        <span className="text-soft">Next bag</span>
        <span className="text-[64px] leading-none font-bold">{ticket.strip.lastNumber + 1}</span>
      </p>
    </section>
  );
}
