import { useTaken, TakenNote } from '../../parts/measuring/useTaken';
import { useEffect, useId, useState } from 'react';
import { inDrawer, labelLies, lengthOf, type Item } from '@loose-pulley/core/shop/drawer';
import { METHODS } from '@loose-pulley/core/belts/measuring';
import { accountOfReading, takeLine, type TakenLine } from '@loose-pulley/core/belts/readingLine';
import { WordsTaken } from '../../parts/typed/WordsTaken';
import { formatLength, formatSpread, type LengthUnit } from '@loose-pulley/core/base/units';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { Button } from '../../parts/ui/Button';
import { Select } from '../../parts/ui/Select';
import { Input } from '../../parts/ui/Input';

/** What was read of a belt in the hand. */
export interface HandReading {
  readonly lengthMm: number;
  readonly stdMm: number;
  readonly sectionMm: number | null;
}

/** Ways that say how long a belt is; the old belt of a drive and one from the drawer are read alike. */
const WAYS = METHODS.filter(({ measurand, comparable }) => measurand === 'oldBelt' && comparable);

const handOf = (taken: TakenLine | undefined): HandReading | null =>
  taken?.state === 'reading' && taken.read
    ? { lengthMm: taken.read.value, stdMm: taken.read.std, sectionMm: taken.aux.sectionMm ?? null }
    : null;

/** A belt in the hand, measured in any of Measure's ways: it finds its place, or says that the label lies. */
export function InMyHand({
  items,
  picked,
  unit,
  onRead,
  onPick,
  onMeasured,
  onNew,
}: {
  readonly items: readonly Item[];
  readonly picked: Item | undefined;
  readonly unit: LengthUnit;
  readonly onRead: (read: HandReading | null) => void;
  readonly onPick: (item: Item) => void;
  /** The picked size measures this. */
  readonly onMeasured: (item: Item, lengthMm: number) => void;
  readonly onNew: (read: HandReading) => void;
}) {
  const id = useId();
  const [way, setWay] = useState('doubledOuter');
  const take = (text: string, keep: boolean): TakenLine => takeLine(text, way, picked?.thicknessMm, { unit, keep });
  const { text: line, setText: setLine, taken, question, enter, keep } = useTaken(take);
  const hand = handOf(taken);
  const told = JSON.stringify(hand);
  useEffect(() => onRead(JSON.parse(told) as HandReading | null), [told, onRead]);
  const found = hand && inDrawer(items, hand.lengthMm, hand.stdMm, hand.sectionMm);
  const lies = hand && picked && labelLies(picked.innerLengthMm, hand.lengthMm, hand.stdMm);
  const name = (item: Item): string =>
    `${beltLabel(item, unit).size}${item.place ? `, ${item.place}` : ''} (${item.quantity} here)`;
  const clear = (): void => setLine('');
  return (
    <section aria-labelledby={`${id}-h`} className="grid gap-2">
      <h2 id={`${id}-h`} className="text-lg">
        In my hand
      </h2>
      <label htmlFor={id} className="text-sm text-soft">
        “doubled flat 56.4, section 1.2”, or the number alone
      </label>
      <Input
        id={id}
        autoComplete="off"
        spellCheck={false}
        value={line}
        className="w-full text-xl"
        onChange={(event) => setLine(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') enter(event);
        }}
      />
      <WordsTaken words={accountOfReading(line)} />
      <label className="grid gap-1 text-sm text-soft">
        Read how, where the line does not say
        <Select
          value={way}
          onChoose={(chosen) => setWay(chosen)}
          options={WAYS.map(({ id: one, label }) => [one, label] as const)}
        />
      </label>
      <div aria-live="polite" className="grid gap-2">
        <TakenNote taken={taken} question={question} onKeep={keep} />
        {hand && found && (
          <>
            <p>
              <strong className="text-xl">{formatLength(hand.lengthMm, unit)}</strong> ±{' '}
              {formatSpread(2 * hand.stdMm, unit)} {unit} inner length,{' '}
              {taken?.state === 'reading' && taken.method.label}.
            </p>
            {picked && (
              <p className={lies ? 'border-l-4 border-live pl-3' : ''}>
                {lies
                  ? `The label lies: it says ${formatLength(picked.innerLengthMm, unit)} ${unit}.`
                  : `It is ${beltLabel(picked, unit).size}, as its label says.`}{' '}
                <Button look="quiet" onClick={() => onMeasured(picked, hand.lengthMm)}>
                  Write down what it measures
                </Button>
              </p>
            )}
            {found.same.length > 0 ? (
              <p>
                It hangs with{' '}
                {found.same.slice(0, 4).map((item, index) => (
                  <span key={item.id}>
                    {index > 0 && ', '}
                    <button
                      type="button"
                      className="min-h-11 underline decoration-hair decoration-2 underline-offset-4"
                      onClick={() => onPick(item)}
                    >
                      {name(item)}
                    </button>
                  </span>
                ))}
                {found.same.length > 4 && ` and ${found.same.length - 4} more`}.
                {hand.sectionMm === null && ' Its section was not measured.'}
              </p>
            ) : (
              <p>
                {found.beside.length > 0
                  ? `No size here is that long. It hangs beside ${found.beside.map((item) => formatLength(lengthOf(item), unit)).join(' and ')}.`
                  : 'Nothing of that section hangs here.'}{' '}
                <Button look="quiet" onClick={() => onNew(hand)}>
                  Put it in the drawer
                </Button>
              </p>
            )}
            <Button look="quiet" onClick={clear}>
              Done with it
            </Button>
          </>
        )}
      </div>
    </section>
  );
}
