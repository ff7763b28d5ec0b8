import { onSale, type Recommendation } from '@loose-pulley/core/views/drive';
import { inHundred } from '@loose-pulley/core/belts/probability';
import type { Ticket } from '@loose-pulley/core/record/ticket';
import { type LengthUnit } from '@loose-pulley/core/base/units';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { usePastTickets } from '../../parts/ticket/usePastTickets';
import { VERDICT_NAMES, type DriveRecord, type Try } from '@loose-pulley/core/record/stations';

/** What the bench learnt on other machines with this mechanism. */
const triedOn = (past: readonly Ticket[], { mechanism }: DriveRecord) =>
  past.flatMap(({ number, drives }) =>
    drives
      .filter((one) => mechanism !== '' && one.mechanism === mechanism)
      .flatMap(({ tries }) => tries.filter(({ verdict }) => verdict !== 'untried').map((tried) => ({ number, tried }))),
  );

/** The same belt with the same verdict, from however many machines. */
interface Told {
  readonly tried: Try;
  readonly numbers: readonly string[];
}

function gathered(sisters: ReadonlyArray<{ readonly number: string; readonly tried: Try }>): Told[] {
  const told = new Map<string, { tried: Try; numbers: string[] }>();
  for (const { number, tried } of sisters) {
    const key = `${tried.shape} ${tried.thicknessMm} ${tried.innerLengthMm} ${tried.verdict}`;
    const known = told.get(key) ?? { tried, numbers: [] };
    told.set(key, { tried: known.tried, numbers: [...known.numbers, number] });
  }
  // What was right is what is wanted first.
  return [...told.values()].sort((a, b) => Number(b.tried.verdict === 'right') - Number(a.tried.verdict === 'right'));
}

/** What was tried on other machines with this mechanism, and how it did: the first thing to look at on the next one. */
export function Sisters({
  drive,
  recommendation,
  unit,
  onPick,
}: {
  readonly drive: DriveRecord;
  readonly recommendation: Recommendation;
  readonly unit: LengthUnit;
  readonly onPick: (id: string) => void;
}) {
  const told = gathered(triedOn(usePastTickets(), drive));
  if (told.length === 0) return null;
  const { answer, best } = recommendation;
  const belts = answer?.belts;
  const withThem = best && belts?.[best.catalogueBelt.id];
  const alone = best && answer?.alone?.[best.catalogueBelt.id];
  return (
    <section aria-label="On other machines with this mechanism">
      <h3 className="text-sm font-semibold text-soft">On other machines with this mechanism</h3>
      <p>
        {told.map(({ tried, numbers }, index) => {
          const id = onSale(tried)?.id;
          const size = beltLabel(tried, unit).size;
          const here = id === undefined ? undefined : belts?.[id];
          return (
            <span key={tried.id}>
              {index > 0 && '; '}
              {id === undefined ? (
                size
              ) : (
                <button
                  type="button"
                  className="inline-flex min-h-11 items-center underline decoration-hair decoration-2 underline-offset-4"
                  onClick={() => onPick(id)}
                >
                  {size}
                </button>
              )}{' '}
              <strong>{VERDICT_NAMES[tried.verdict]}</strong>{' '}
              <span className="text-sm text-soft">
                ({numbers.join(', ')}
                {here && `, here ${inHundred(here.works)}`}
                {tried.label && `, label ${tried.label}`})
              </span>
            </span>
          );
        })}
      </p>
      {withThem && alone !== undefined && (
        <p className="text-sm">
          They are counted in: chance {inHundred(withThem.works)}, without them {inHundred(alone)}.
        </p>
      )}
    </section>
  );
}
