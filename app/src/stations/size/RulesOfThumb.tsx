import { Folded } from '../../parts/ui/Folded';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { Link } from 'react-router';
import { inHundred, type ProbabilityAnswer } from '@loose-pulley/core/belts/probability';
import { ZONE_NAMES, type RuleOfThumb } from '@loose-pulley/core/belts/sizing';
import { formatLength, formatPercent, type LengthUnit } from '@loose-pulley/core/base/units';
import { Button } from '../../parts/ui/Button';
import { BeltName } from '../../parts/ui/SectionSign';

/** Those that buy nothing stand with their chance under what else may be done. */
const BUY_NOTHING: ReadonlySet<string> = new Set(['keepAndClean', 'warm', 'band']);

/** What each rule of thumb would buy, and how that would do here. Nothing is recommended by this table. */
export function RulesOfThumb({
  rulesOfThumb,
  belts,
  unit,
  onPick,
}: {
  readonly rulesOfThumb: readonly RuleOfThumb[];
  readonly belts: ProbabilityAnswer['belts'] | undefined;
  readonly unit: LengthUnit;
  readonly onPick: (id: string) => void;
}) {
  const pickChance = ({ pick }: RuleOfThumb): string | undefined => {
    const found = pick && belts?.[pick.id];
    return found && inHundred(found.works);
  };
  return (
    <Folded name="rulesOfThumb" title="What the rules of thumb would buy" className="!gap-0 !pt-0">
      <p className="py-1 text-sm text-soft">
        How often each is right, over many drives:{' '}
        <Link className="underline" to="/why">
          why measure
        </Link>
        .
      </p>
      <div className="overflow-x-auto">
        <table className="w-full border-collapse text-[15px]">
          <thead className="sr-only">
            <tr>
              <th>Rule of thumb</th>
              <th>Would buy</th>
              <th>Here it would be</th>
            </tr>
          </thead>
          <tbody>
            {rulesOfThumb
              .filter(({ id }) => !BUY_NOTHING.has(id))
              .map((rule) => (
                <tr key={rule.id} className="border-b border-hair align-top max-sm:grid max-sm:grid-cols-2">
                  <td className="py-2 pr-3 max-sm:col-span-2 max-sm:pb-0">
                    <span className="font-semibold">{rule.name}</span>
                    <span className="block text-sm text-soft">{rule.restsOn}</span>
                  </td>
                  <td className="py-2 pr-3 whitespace-nowrap">
                    {rule.pick ? (
                      <Button look="quiet" onClick={() => rule.pick && onPick(rule.pick.id)}>
                        <BeltName shape={rule.pick.shape} size={beltLabel(rule.pick, unit).size} />
                      </Button>
                    ) : (
                      <span className="text-soft">no size in this section</span>
                    )}
                    {rule.aimMm !== undefined && (
                      <span className="block text-sm text-soft">aims at {formatLength(rule.aimMm, unit)}</span>
                    )}
                  </td>
                  <td className="py-2 text-right">
                    {rule.judgement ? (
                      <>
                        <span className="font-semibold">{ZONE_NAMES[rule.judgement.zone]}</span>
                        <span className="block text-sm whitespace-nowrap text-soft">
                          stretch {formatPercent(rule.judgement.strain)}
                          {pickChance(rule) && `, ${pickChance(rule)}`}
                        </span>
                      </>
                    ) : (
                      <span className="text-sm text-soft">{rule.remark}</span>
                    )}
                  </td>
                </tr>
              ))}
          </tbody>
        </table>
      </div>
    </Folded>
  );
}
