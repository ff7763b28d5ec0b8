import { useTaken, TakenNote } from '../../parts/measuring/useTaken';
import { nanoid } from 'nanoid';
import { lazy, Suspense, useEffect, useRef, useState, type FormEvent } from 'react';
import { useSearchParams } from 'react-router';
import { findMethod, METHODS, type Reading, type Taken } from '@loose-pulley/core/belts/measuring';
import { accountOfReading, takeLine } from '@loose-pulley/core/belts/readingLine';
import { WordsTaken } from '../../parts/typed/WordsTaken';
import { type EventBody } from '@loose-pulley/core/record/ticket';
import { formatInchFraction, formatLength, formatSpread } from '@loose-pulley/core/base/units';
import { parseRingSection } from '@loose-pulley/core/base/shapes';
import { joinWalk } from '../../parts/keys/walk';
import { newTicket } from '../../state/persistence/newTicket';
import { useAppDispatch, useUnit } from '../../state/store/hooks';
import { Button } from '../../parts/ui/Button';
import { Segments } from '../../parts/ui/Segments';
import { loaderNamed, LOADERS, type Loader, loaderOf } from '@loose-pulley/core/base/loaders';
import { Select } from '../../parts/ui/Select';
import { Input } from '../../parts/ui/Input';
import { useGoOn } from '../../parts/ui/useGoOn';

const AtOnce = lazy(() => import('./AtOnce'));

/** The ways that are offered without a ticket. */
const QUICK = METHODS.flatMap(({ id, quickLabel }) => (quickLabel ? [[id, quickLabel] as const] : []));

/** Measuring without a ticket: one line, and what it truly says. A ticket can be made of it. */
export function MeasureNow() {
  const unit = useUnit();
  const [chosen, setChosen] = useState(QUICK[0]?.[0] ?? '');
  const [sectionText, setSectionText] = useState('');
  const section = sectionText.trim() === '' ? undefined : parseRingSection(sectionText);
  const sectionMm = section?.ok ? section.value : undefined;
  const {
    text: line,
    setText: setLine,
    taken,
    read: value,
    question,
    enter,
    keep,
  } = useTaken((text, kept) => takeLine(text, chosen, sectionMm, { unit, keep: kept }));
  const [search, setSearch] = useSearchParams();
  const opening = search.has('new');
  const ref = useRef<HTMLInputElement>(null);
  useEffect(() => {
    const element = ref.current;
    if (!element) return undefined;
    return joinWalk({
      element,
      take(text) {
        setLine(text);
        return true;
      },
    });
  }, [setLine]);

  const understood = taken?.state === 'reading' ? taken : undefined;
  const method = understood?.method ?? findMethod(chosen);
  const write = (mm: number) => formatLength(mm, unit);
  const what = method?.measurand === 'stringPath' ? 'Path, inner length' : 'Inner length';

  return (
    <section aria-labelledby="measure-now" className="grid content-start gap-3">
      <h2 id="measure-now" className="text-lg">
        Measure now
      </h2>
      <div>
        <label htmlFor="line" className="mb-1 block text-sm text-soft">
          As you would say it: “doubled flat 66.4, section 1.2”
        </label>
        <Input
          ref={ref}
          id="line"
          autoComplete="off"
          spellCheck={false}
          value={line}
          onChange={(event) => setLine(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Enter') enter(event);
          }}
          className="w-full text-xl font-semibold"
        />
      </div>
      <WordsTaken words={accountOfReading(line)} />
      <Segments
        label="How it was measured, where the line does not say"
        value={method?.quickLabel ? method.id : ''}
        options={QUICK}
        onChoose={setChosen}
        className="!grid w-full grid-cols-2"
      />
      <div className="flex items-center justify-between gap-3">
        <label htmlFor="line-section" className="text-[15px]">
          Belt section, {unit}
        </label>
        <Input
          id="line-section"
          inputMode="decimal"
          autoComplete="off"
          value={sectionText}
          onChange={(event) => setSectionText(event.target.value)}
          className="w-28 text-lg"
        />
      </div>
      {section && !section.ok && <p className="text-live">{section.problem}</p>}
      <div aria-live="polite" className="grid min-h-28 content-start gap-1">
        <TakenNote taken={taken} question={question} onKeep={keep} />
        {value && understood && (
          <Suspense fallback={<div className="min-h-40" />}>
            <AtOnce readingsOf={(driveId) => asReadings(driveId, { ...understood, typed: line.trim() })} />
          </Suspense>
        )}
        {value && (
          <>
            <p className="border-t border-hair pt-1">
              <span className="text-sm text-soft">
                {method?.label}: {what}, no size to buy
              </span>
              <span className="block text-lg leading-tight font-semibold">
                {write(value.value)}{' '}
                <span className="font-medium text-soft">
                  ± {formatSpread(2 * value.std, unit)} {unit}
                </span>
              </span>
              {unit === 'in' && <span className="text-soft">{formatInchFraction(value.value)} in</span>}
            </p>
            <p>{value.arithmetic(write)}</p>
            {value.uncorrected !== undefined && (
              <p className="text-soft">
                Uncorrected it would have been {write(value.uncorrected)},{' '}
                {formatSpread(Math.abs(value.uncorrected - value.value), unit)} {unit} too{' '}
                {value.uncorrected > value.value ? 'long' : 'short'}.
              </p>
            )}
          </>
        )}
      </div>
      {opening ? (
        <NewTicketForm
          onCancel={() => setSearch({}, { replace: true })}
          bodies={(driveId) => (understood && value ? asReadings(driveId, { ...understood, typed: line.trim() }) : [])}
        />
      ) : (
        <Button look={value ? 'strong' : 'plain'} className="min-h-12" onClick={() => setSearch({ new: '' })}>
          {value ? 'Open a ticket with this' : 'Open a ticket'}
        </Button>
      )}
    </section>
  );
}

/** The line as readings of a drive: the section first, where it was said. */
function asReadings(
  driveId: string,
  line: Omit<Extract<Taken, { state: 'reading' }>, 'state' | 'waits' | 'read'> & { readonly typed: string },
): EventBody[] {
  const { sectionMm, ...aux } = line.aux;
  const reading = (
    measurand: Reading['measurand'],
    method: string,
    amount: number,
    tools: Reading['aux'],
    typed: string,
    ownStd: number | null,
  ): EventBody => ({
    type: 'readingTaken',
    driveId,
    reading: { id: nanoid(10), measurand, method, typed: typed.slice(0, 200), amount, aux: tools, ownStd },
  });
  return [
    ...(sectionMm === undefined ? [] : [reading('section', 'sectionJaws', sectionMm, {}, String(sectionMm), null)]),
    reading(line.method.measurand, line.method.id, line.amount, aux, line.typed, line.ownStd ?? null),
  ];
}

/** What a ticket needs to be opened: hardly anything. */
function NewTicketForm({
  bodies,
  onCancel,
}: {
  readonly bodies: (driveId: string) => readonly EventBody[];
  readonly onCancel: () => void;
}) {
  const dispatch = useAppDispatch();
  const leave = useGoOn();
  const [machine, setMachine] = useState('');
  const [complaint, setComplaint] = useState('');
  const [chosen, setChosen] = useState<Loader | null>(null);
  // The machine's own name may say it; it stands in the field to be changed.
  const loader = chosen ?? loaderNamed(machine);
  const [busy, setBusy] = useState(false);
  const submit = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    setBusy(true);
    const goOn = leave();
    const id = await dispatch(
      newTicket({ machine: machine.trim(), complaint: complaint.trim(), loader, owner: '', serial: '' }, bodies),
    );
    goOn(`/t/${id}/measure`, { state: { start: true } });
  };
  return (
    <form onSubmit={(event) => void submit(event)} className="grid gap-3 border-t border-ink pt-3">
      <label className="grid gap-1 text-sm text-soft">
        Machine
        <Input
          autoFocus
          value={machine}
          maxLength={120}
          onChange={(event) => setMachine(event.target.value)}
          className="text-lg text-ink"
          autoComplete="off"
        />
      </label>
      <label className="grid gap-1 text-sm text-soft">
        What it does wrong, in the owner’s words
        <Input
          value={complaint}
          maxLength={500}
          onChange={(event) => setComplaint(event.target.value)}
          className="text-lg text-ink"
          autoComplete="off"
        />
      </label>
      <label className="grid gap-1 text-sm text-soft">
        Kind of loader
        <Select
          value={loader}
          onChoose={(chosen) => setChosen(chosen as Loader)}
          className="text-lg"
          options={LOADERS.map((one) => [one, loaderOf(one).name] as const)}
        />
      </label>
      <div className="flex gap-2">
        <Button type="submit" look="strong" className="min-h-12 grow" disabled={busy}>
          Open the ticket
        </Button>
        <Button onClick={onCancel}>Not now</Button>
      </div>
    </form>
  );
}
