import { beltLabel } from '@loose-pulley/core/units';
import { Link } from 'react-router';
import { inHundred, type OddsAnswer } from '@loose-pulley/core/odds';
import { ZONE_NAMES, type School } from '@loose-pulley/core/sizing';
import { formatLength, formatPercent, type LengthUnit } from '@loose-pulley/core/units';
import { Button } from '../ui/Button';
import { BeltName } from '../ui/SectionSign';

/** Those that buy nothing stand with their odds under what else may be done. */
const BUY_NOTHING: ReadonlySet<string> = new Set(['keepAndClean', 'warm', 'band']);

/** What each of the trade's schools would buy, and how that would do here. Nothing is recommended by this table. */
export function Schools({
  schools,
  odds,
  unit,
  onPick,
}: {
  readonly schools: readonly School[];
  readonly odds: OddsAnswer['belts'] | undefined;
  readonly unit: LengthUnit;
  readonly onPick: (id: string) => void;
}) {
  const pickOdds = ({ pick }: School): string | undefined => {
    const found = pick && odds?.[pick.id];
    return found && inHundred(found.works);
  };
  return (
    <section aria-labelledby="schools">
      <h3 id="schools" className="border-b border-ink pb-1 text-lg">
        What each school of the trade would do
      </h3>
      <p className="py-1 text-sm text-soft">
        How often each is right, over many drives:{' '}
        <Link className="underline" to="/why">
          why measure
        </Link>
        .
      </p>
      <table className="w-full border-collapse text-[15px]">
        <thead className="sr-only">
          <tr>
            <th>School</th>
            <th>Would buy</th>
            <th>Here it would be</th>
          </tr>
        </thead>
        <tbody>
          {schools
            .filter(({ id }) => !BUY_NOTHING.has(id))
            .map((school) => (
              <tr key={school.id} className="border-b border-hair align-top">
                <td className="py-2 pr-3">
                  <span className="font-semibold">{school.name}</span>
                  <span className="block text-sm text-soft">{school.restsOn}</span>
                </td>
                <td className="py-2 pr-3 whitespace-nowrap">
                  {school.pick ? (
                    <Button look="quiet" onClick={() => school.pick && onPick(school.pick.id)}>
                      <BeltName shape={school.pick.shape} size={beltLabel(school.pick, unit).size} />
                    </Button>
                  ) : (
                    <span className="text-soft">buys nothing</span>
                  )}
                  {school.aimMm !== undefined && (
                    <span className="block text-sm text-soft">aims at {formatLength(school.aimMm, unit)}</span>
                  )}
                </td>
                <td className="py-2 text-right">
                  {school.judgement ? (
                    <>
                      <span className="font-semibold">{ZONE_NAMES[school.judgement.zone]}</span>
                      <span className="block text-sm whitespace-nowrap text-soft">
                        stretch {formatPercent(school.judgement.strain)}
                        {pickOdds(school) && `, ${pickOdds(school)}`}
                      </span>
                    </>
                  ) : (
                    <span className="text-sm text-soft">{school.remark}</span>
                  )}
                </td>
              </tr>
            ))}
        </tbody>
      </table>
    </section>
  );
}
