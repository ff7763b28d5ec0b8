import { CATALOGUE, sameSection } from '@loose-pulley/core/catalogue';
import { inHundred, type OddsAnswer } from '@loose-pulley/core/odds';
import { VERDICT_NAMES, type DriveRecord, type Try } from '@loose-pulley/core/ticket';
import { beltLabel, type LengthUnit } from '@loose-pulley/core/units';
import { usePastTickets } from '../ticket/usePastTickets';
import { Button } from '../ui/Button';

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

/** What was tried on other machines with this mechanism, and how it did: the first thing to look at on the next one. */
export function Sisters({
  drive,
  odds,
  unit,
  onPick,
}: {
  readonly drive: DriveRecord;
  readonly odds: OddsAnswer['belts'] | undefined;
  readonly unit: LengthUnit;
  readonly onPick: (id: string) => void;
}) {
  const sisters = useSisters(drive);
  if (sisters.length === 0) return null;
  return (
    <section aria-label="On other machines with this mechanism">
      <h3 className="text-sm font-semibold text-soft">On other machines with this mechanism</h3>
      <ul>
        {sisters.map(({ number, tried }) => {
          const id = bought(tried);
          const here = id === undefined ? undefined : odds?.[id];
          const words = `${beltLabel(tried, unit).size}, ${VERDICT_NAMES[tried.verdict]}`;
          return (
            <li key={number + tried.id}>
              {number}:{' '}
              {id === undefined ? (
                words
              ) : (
                <Button look="quiet" onClick={() => onPick(id)}>
                  {words}
                </Button>
              )}
              {here && <span className="text-sm text-soft"> here {inHundred(here.works)}</span>}
              {tried.label && <span className="block text-sm text-soft">label: {tried.label}</span>}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
