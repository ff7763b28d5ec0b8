import { beltLabel } from '@loose-pulley/core/units';
import { FAIL_NAMES, inHundred, type SuccessProbability, type ProbabilityAnswer } from '@loose-pulley/core/probability';
import { marginWord, WEAKNESS_NAMES, ZONE_NAMES, type Ranking } from '@loose-pulley/core/sizing';
import { formatNewton, formatPercent, type LengthUnit } from '@loose-pulley/core/units';
import { Button } from '../ui/Button';
import { BeltName } from '../ui/SectionSign';

const SHOWN = 8;
const failsBy = (odds: SuccessProbability | undefined): string | undefined => odds && FAIL_NAMES[odds.first];
const oddsWords = (odds: SuccessProbability | undefined): string => (odds ? inHundred(odds.works) : '…');

/** The best belts of every section, by their odds. */
export function Ranked({
  ranking,
  odds,
  unit,
  pickedId,
  onPick,
}: {
  readonly ranking: Ranking;
  /** By belt, as soon as they are worked out. */
  readonly odds: ProbabilityAnswer['belts'] | undefined;
  readonly unit: LengthUnit;
  readonly pickedId: string | undefined;
  readonly onPick: (id: string) => void;
}) {
  return (
    <section aria-labelledby="ranked">
      <h3 id="ranked" className="border-b border-ink pb-1 text-lg">
        Best of {ranking.candidates.length} belts, by {odds ? 'their odds' : 'their least margin'}
      </h3>
      <table className="w-full border-collapse text-[15px]">
        <thead>
          <tr className="border-b border-hair text-left text-sm text-soft">
            <th className="py-1 font-normal">belt</th>
            <th className="font-normal">here</th>
            <th className="text-right font-normal">works in</th>
            <th className="text-right font-normal">stretch</th>
            <th className="hidden text-right font-normal sm:table-cell">lets go</th>
            <th className="hidden text-right font-normal md:table-cell">would fail by</th>
          </tr>
        </thead>
        <tbody>
          {ranking.candidates.slice(0, SHOWN).map(({ catalogueBelt, judgement }) => (
            <tr
              key={catalogueBelt.id}
              className="border-b border-hair"
              aria-current={catalogueBelt.id === pickedId || undefined}
            >
              <td className="pr-3">
                <Button
                  look="quiet"
                  className={catalogueBelt.id === pickedId ? 'font-bold' : ''}
                  onClick={() => onPick(catalogueBelt.id)}
                >
                  <BeltName shape={catalogueBelt.shape} size={beltLabel(catalogueBelt, unit).size} />
                </Button>
                <span className="text-sm text-soft">{catalogueBelt.series === 'square' ? '' : catalogueBelt.name}</span>
              </td>
              <td>{ZONE_NAMES[judgement.zone]}</td>
              <td className="text-right font-semibold whitespace-nowrap">{oddsWords(odds?.[catalogueBelt.id])}</td>
              <td className="text-right">{formatPercent(judgement.strain)}</td>
              <td className="hidden text-right sm:table-cell">
                {judgement.running ? formatNewton(judgement.running.grip.beltPullN) : '–'}
              </td>
              <td className="hidden text-right md:table-cell">
                {failsBy(odds?.[catalogueBelt.id]) ??
                  `${marginWord(judgement.margin)}, ${WEAKNESS_NAMES[judgement.weakest]}`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
