import { lazy, Suspense, useLayoutEffect } from 'react';
import { accountOfReading } from '@loose-pulley/core/belts/readingLine';
import { THICK_AS } from '@loose-pulley/core/belts/measuring';
import { formatInchFraction, formatLength, formatSpread } from '@loose-pulley/core/base/units';
import { endEarly } from '../../state/persistence/early';
import { useWalkStop } from '../../parts/keys/useWalkStop';
import { TakenNote } from '../../parts/measuring/useTaken';
import { WordsTaken } from '../../parts/typed/WordsTaken';
import { Button } from '../../parts/ui/Button';
import { Input } from '../../parts/ui/Input';
import { Segments } from '../../parts/ui/Segments';
import { useMedia } from '../../parts/ui/useMedia';
import { Select } from '../../parts/ui/Select';
import { OldBeltWays } from './OldBeltWays';
import type { FirstFigures, Having } from './useFirstFigures';

const Pulleys = lazy(() => import('./Pulleys'));
const NothingYet = lazy(() => import('./NothingYet'));
const StringPicture = lazy(() => import('./StringPicture'));

const HAVING_WORDS: ReadonlyArray<readonly [Having, string]> = [
  ['oldBelt', 'the old belt'],
  ['string', 'a string'],
  ['pulleys', 'the pulleys'],
  ['nothing', 'nothing yet'],
];

/** Which belt does it need? What is at hand, in pictures, and one figure of it. */
export function Question({
  figures,
  onMachine,
}: {
  readonly figures: FirstFigures;
  readonly onMachine: (words: string) => void;
}) {
  const { having, setHaving } = figures;
  return (
    <section aria-labelledby="which-belt" className="grid grid-cols-1 content-start gap-3">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h1 id="which-belt" className="text-[26px] leading-tight font-bold lg:text-[28px]">
          Which belt does it need?
        </h1>
        <p className="text-soft max-sm:sr-only">Type what you have. One figure is enough.</p>
      </div>
      <Segments
        label="What you have"
        value={having}
        options={HAVING_WORDS}
        onChoose={setHaving}
        className="!grid w-full grid-cols-2 font-semibold sm:grid-cols-4"
      />
      {having === 'oldBelt' && <OldBeltWays figures={figures} />}
      {(having === 'oldBelt' || having === 'string') && (
        <div className="grid grid-cols-1 gap-x-5 gap-y-2 sm:grid-cols-[minmax(0,1fr)_auto]">
          <LineField figures={figures} onMachine={onMachine} />
          <SectionFields figures={figures} />
        </div>
      )}
      {having === 'string' && (
        <Suspense fallback={<div className="min-h-24" />}>
          <StringPicture />
        </Suspense>
      )}
      {having === 'pulleys' && (
        <Suspense fallback={<div className="min-h-72" />}>
          <Pulleys figures={figures} section={<SectionFields figures={figures} />} />
        </Suspense>
      )}
      {having === 'nothing' && (
        <Suspense fallback={<div className="min-h-48" />}>
          <NothingYet onChoose={setHaving} />
        </Suspense>
      )}
    </section>
  );
}

/** Whether nothing else has the focus, or was asked to have it. */
const isFree = (): boolean =>
  document.activeElement === document.body && !new URLSearchParams(window.location.search).has('new');

/** The figure as one would say it: the field that starts the work. */
function LineField({
  figures,
  onMachine,
}: {
  readonly figures: FirstFigures;
  readonly onMachine: (words: string) => void;
}) {
  const { line, understood, way, unit } = figures;
  const { setText } = line;
  const ref = useWalkStop(setText);
  // Before anything else is drawn, with all that was typed until now.
  useLayoutEffect(() => {
    const early = endEarly();
    if (early !== '') setText(early);
    if (isFree() && (early !== '' || matchMedia('(hover: hover)').matches)) ref.current?.focus();
    // Only as the page comes.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  // A phone's number pad has no letters: the pictures say how it was read.
  const byThumb = useMedia('(pointer: coarse)');
  const words = accountOfReading(line.text);
  const value = line.read;
  const write = (mm: number) => formatLength(mm, unit);
  // Words of which hardly one is of a belt are of the machine: said so, and one press takes them there.
  const strange = words.filter(({ role }) => role === 'notKnown').length;
  const ofMachine = understood === undefined && strange > 0 && strange >= words.length / 2;
  return (
    <div className="grid min-w-0 content-start gap-1">
      <label htmlFor="line" className="text-sm text-soft">
        {byThumb
          ? `The figure, ${unit}: ${way?.quickLabel ?? ''}`
          : `As you would say it: “${way?.quickLabel ?? 'doubled flat'} ${way?.id === 'overCap' ? '41' : '66.4'}, section 1.2”`}
      </label>
      <Input
        ref={ref}
        id="line"
        data-first
        inputMode={byThumb ? 'decimal' : undefined}
        autoComplete="off"
        spellCheck={false}
        value={line.text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') line.enter(event);
        }}
        // Keys lead on, to the door; the Enter of a caliper's burst does not.
        onEnter={() => figures.any && document.getElementById('on-the-bench')?.focus()}
        className="w-full text-2xl font-semibold"
      />
      <div aria-live="polite" className="grid min-h-[92px] content-start gap-1">
        {words.some(({ role }) => role !== 'figure') && <WordsTaken words={words} />}
        {ofMachine && (
          <Button className="justify-self-start" onClick={() => onMachine(line.text)}>
            That is the machine, and what it does wrong
          </Button>
        )}
        <TakenNote taken={line.taken} question={line.question} onKeep={line.keep} />
        {value && (
          <p className="text-sm text-soft">
            <span className="font-semibold text-ink">
              {write(value.value)} ± {formatSpread(2 * value.std, unit)} {unit}
            </span>
            {unit === 'in' && <> {formatInchFraction(value.value)} in</>}{' '}
            {way?.measurand === 'stringPath' ? 'path, inner length' : 'inner length'}, no size to buy:{' '}
            <span>{value.arithmetic(write)}</span>
            {value.uncorrected !== undefined && (
              <span className="block">
                Uncorrected it would have been {write(value.uncorrected)},{' '}
                {formatSpread(Math.abs(value.uncorrected - value.value), unit)} {unit} too{' '}
                {value.uncorrected > value.value ? 'long' : 'short'}.
              </span>
            )}
          </p>
        )}
      </div>
    </div>
  );
}

/** The section: measured, held beside something known, or as usual until somebody looks. */
function SectionFields({ figures }: { readonly figures: FirstFigures }) {
  const { section, sectionInLine, unit } = figures;
  return (
    <div className="grid content-start gap-1.5">
      <div className="flex flex-wrap items-end gap-2">
        <label className="grid gap-1 text-sm text-soft">
          Belt section, {unit}
          <Input
            inputMode="decimal"
            autoComplete="off"
            disabled={sectionInLine}
            placeholder={sectionInLine ? 'in the line' : `usual ${formatLength(section.taken.mm, unit)}`}
            value={section.text}
            onChange={(event) => section.setText(event.target.value)}
            className="w-32 text-lg text-ink"
          />
        </label>
        <Select
          label="No caliper? About as thick as"
          value={section.like}
          placeholder="choose"
          disabled={sectionInLine}
          options={THICK_AS.map(
            ({ id, name, thicknessMm }) => [id, `${name}, ${formatLength(thicknessMm, unit)}`] as const,
          )}
          onChoose={section.setLike}
          className="w-48 text-[15px]"
        />
      </div>
      {section.problem && <p className="text-live">{section.problem}</p>}
    </div>
  );
}
