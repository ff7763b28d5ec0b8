import { CATALOGUE, sameSection } from '@loose-pulley/core/catalogue';
import { inHundred, type ProbabilityAnswer } from '@loose-pulley/core/probability';
import { beltLabel, type LengthUnit } from '@loose-pulley/core/units';
import { usePastTickets } from '../../parts/ticket/usePastTickets';
import { VERDICT_NAMES, type DriveRecord, type Try } from '@loose-pulley/core/stations';

/** What the bench learnt on other machines with this mechanism. */
function useSisters(drive: DriveRecord): Array<{ readonly number: string; readonly tried: Try }> {
  return usePastTickets().flatMap(({ number, drives }) =>
    drives
      .filter(({ mechanism }) => mechanism !== '' && mechanism === drive.mechanism)
      .flatMap(({ tries }) => tries.filter(({ verdict }) => verdict !== 'untried').map((tried) => ({ number, tried }))),
  );
}

/** The catalogue belt that a tried one was. */
const bought = (tried: Try): string | undefined =>
  CATALOGUE.find((belt) => sameSection(belt, tried) && Math.abs(belt.innerLengthMm - tried.innerLengthMm) < 0.05)?.id;

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
  belts,
  unit,
  onPick,
}: {
  readonly drive: DriveRecord;
  readonly belts: ProbabilityAnswer['belts'] | undefined;
  readonly unit: LengthUnit;
  readonly onPick: (id: string) => void;
}) {
  const told = gathered(useSisters(drive));
  if (told.length === 0) return null;
  return (
    <section aria-label="On other machines with this mechanism">
      <h3 className="text-sm font-semibold text-soft">On other machines with this mechanism</h3>
      <p>
        {told.map(({ tried, numbers }, index) => {
          const id = bought(tried);
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
                  className="underline decoration-hair decoration-2 underline-offset-4"
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
    </section>
  );
}
