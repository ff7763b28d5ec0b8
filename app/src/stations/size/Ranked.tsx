import { Folded } from '../../parts/ui/Folded';
import { beltLabel, shapeOf } from '@loose-pulley/core/base/shapes';
import { inHundred, type SuccessProbability } from '@loose-pulley/core/belts/probability';
import { chanceOf, type Recommendation } from '@loose-pulley/core/views/drive';
import { FAILURE_NAMES, marginWord, ZONE_NAMES } from '@loose-pulley/core/belts/sizing';
import { formatNewton, formatPercent, type LengthUnit } from '@loose-pulley/core/base/units';
import { TO_BE_HAD, type CatalogueBelt } from '@loose-pulley/core/belts/catalogue';
import { useDriveView } from '../../parts/ticket/useDriveView';
import { Button } from '../../parts/ui/Button';
import { Segments } from '../../parts/ui/Segments';
import { useOwned } from '../../parts/ticket/useOwned';
import { toBeHadSet } from '../../state/store/settings';
import { useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { BeltName } from '../../parts/ui/SectionSign';

const SHOWN = 8;
const HAD_NAMES = { both: 'belts and rings', belts: 'belts', rings: 'rings' } as const;
const failsBy = (chance: SuccessProbability | undefined): string | undefined => chance && FAILURE_NAMES[chance.first];
const chanceWords = (chance: SuccessProbability | undefined): string => (chance ? inHundred(chance.works) : '…');

/** What the bench said, which goes before any chance. */
const said = ({ after, decided, best }: Recommendation, belt: CatalogueBelt): string | undefined => {
  if (decided && belt.id === best?.catalogueBelt.id) return 'right here';
  return after.forbidden(belt) ? 'ruled out here' : undefined;
};

/** The best belts of every section, by their chance. */
export function Ranked({
  recommendation,
  unit,
  pickedId,
  onPick,
}: {
  readonly recommendation: Recommendation;
  readonly unit: LengthUnit;
  readonly pickedId: string | undefined;
  readonly onPick: (id: string) => void;
}) {
  const dispatch = useAppDispatch();
  const toBeHad = useAppSelector(({ settings }) => settings.toBeHad);
  const view = useDriveView();
  const owned = useOwned(view);
  const alone = shapeOf(view.drive.oldShape).seat === 'wide';
  const { ranking, status } = recommendation;
  return (
    <Folded
      name="ranked"
      title={`Best of ${ranking.candidates.length} belts, by their chance`}
      className="!gap-0 !pt-0"
    >
      {!alone && (
        <div className="flex flex-wrap items-center justify-between gap-2 py-2">
          <span className="text-[15px]">To be had here</span>
          <Segments
            label="To be had here"
            value={toBeHad}
            options={TO_BE_HAD.map((one) => [one, HAD_NAMES[one]] as const)}
            onChoose={(one) => dispatch(toBeHadSet(one))}
          />
        </div>
      )}
      <div className="overflow-x-auto">
        <table className="w-full border-collapse text-[15px]">
          <thead>
            <tr className="border-b border-hair text-left text-sm text-soft">
              <th className="py-1 font-normal">belt</th>
              <th className="font-normal">here</th>
              {owned.size > 0 && <th className="pr-3 text-right font-normal">drawer</th>}
              <th className="text-right font-normal">chance it works</th>
              <th className="text-right font-normal">stretch</th>
              <th className="hidden text-right font-normal sm:table-cell">slips at</th>
              <th className="hidden text-right font-normal md:table-cell">would fail by</th>
            </tr>
          </thead>
          <tbody>
            {(status === 'waiting' ? [] : ranking.candidates.slice(0, SHOWN)).map(({ catalogueBelt, judgement }) => (
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
                  <span className="text-sm text-soft">
                    {shapeOf(catalogueBelt.shape).soldAs === 'rings' ? catalogueBelt.name : ''}
                  </span>
                </td>
                <td>{ZONE_NAMES[judgement.zone]}</td>
                {owned.size > 0 && <td className="pr-3 text-right">{owned.get(catalogueBelt.id)?.quantity ?? '–'}</td>}
                <td className="text-right font-semibold whitespace-nowrap">
                  {said(recommendation, catalogueBelt) ?? chanceWords(chanceOf(recommendation, catalogueBelt))}
                </td>
                <td className="text-right">{formatPercent(judgement.strain)}</td>
                <td className="hidden text-right sm:table-cell">
                  {judgement.running ? formatNewton(judgement.running.grip.beltPullN) : '–'}
                </td>
                <td className="hidden text-right md:table-cell">
                  {failsBy(chanceOf(recommendation, catalogueBelt)) ??
                    `${marginWord(judgement.margin)}, ${FAILURE_NAMES[judgement.weakest]}`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </Folded>
  );
}
