import { THRESHOLDS } from '@loose-pulley/core/base/thresholds';
import { Link } from 'react-router';
import { ringNames, type CatalogueBelt } from '@loose-pulley/core/belts/catalogue';
import { draftBelt } from '@loose-pulley/core/files/drawing';
import {
  limitedWords,
  stockOf,
  wantedWords,
  type DriveView,
  type Recommendation,
} from '@loose-pulley/core/views/drive';
import { inHundred, willDo } from '@loose-pulley/core/belts/probability';
import { hardnessOf, inRoomWords, type Situation } from '@loose-pulley/core/belts/sizing';
import { formatLength, type LengthUnit } from '@loose-pulley/core/base/units';
import { shapeOf, beltLabel } from '@loose-pulley/core/base/shapes';
import { useUnit } from '../../state/store/hooks';
import { usePaperBelt } from '../../parts/ticket/usePaperBelt';
import { useDriveView } from '../../parts/ticket/useDriveView';
import { useTicket } from '../../parts/ticket/useTicket';
import Conflicts from '../../parts/measuring/Conflicts';
import { Button } from '../../parts/ui/Button';
import { BeltName } from '../../parts/ui/SectionSign';
import { PrintScale } from './PrintScale';
import { TrueSize } from './TrueSize';

const write = (mm: number, unit: LengthUnit): string => `${formatLength(mm, unit)} ${unit}`;

/** A section as it is measured: across, and a flat belt's width too. */
const sectionWords = ({ shape, thicknessMm, widthMm }: CatalogueBelt, unit: LengthUnit): string =>
  shapeOf(shape).hasWidth && widthMm !== undefined
    ? `${write(widthMm, unit)} wide, ${write(thicknessMm, unit)} thick`
    : `${write(thicknessMm, unit)} across`;

/** Sizes to ask for: each by its inner length and its inner diameter, a ring by its names besides. */
function Sizes({
  title,
  belts,
  first,
  chance,
  unit,
}: {
  readonly title: string;
  readonly belts: readonly CatalogueBelt[];
  readonly first: CatalogueBelt;
  readonly chance: (belt: CatalogueBelt) => string;
  readonly unit: LengthUnit;
}) {
  return (
    <table className="w-full border-collapse">
      <caption className="text-left font-semibold">{title}</caption>
      <thead>
        <tr className="border-b border-ink text-left text-sm text-soft">
          <th className="py-1 pr-3 font-normal">section</th>
          <th className="pr-3 font-normal">inner length</th>
          <th className="pr-3 font-normal">inner diameter, lying round</th>
          <th className="font-normal">here</th>
        </tr>
      </thead>
      <tbody>
        {belts.map((one) => (
          <tr key={one.id} className={`border-b border-hair align-top ${one.id === first.id ? 'font-bold' : ''}`}>
            <td className="py-1 pr-3">
              <BeltName shape={one.shape} size={sectionWords(one, unit)} />
            </td>
            <td className="py-1 pr-3 whitespace-nowrap">{write(one.innerLengthMm, unit)}</td>
            <td className="py-1 pr-3">
              Ø {write(one.innerLengthMm / Math.PI, unit)}
              {shapeOf(one.shape).soldAs === 'rings' && <span className="block text-sm">{ringNames(one)}</span>}
            </td>
            <td className="py-1">{chance(one)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function SlipHead({ number, drive }: { readonly number: string; readonly drive: string }) {
  return (
    <>
      <div className="flex flex-wrap items-center gap-3 print:hidden">
        <Button look="strong" onClick={() => window.print()}>
          Print the slip
        </Button>
        <span className="text-soft">Or take the phone along.</span>
      </div>
      <header className="flex items-baseline justify-between gap-3 border-b-2 border-ink pb-2">
        <h1 className="text-2xl font-bold">Wanted: one drive belt</h1>
        <span>
          {number}, drive {drive}
        </span>
      </header>
    </>
  );
}

/** Where nothing in stock fits, what would: a misfit is not asked for. */
function Misfit({ view, recommendation }: { readonly view: DriveView; readonly recommendation: Recommendation }) {
  const { ticket } = useTicket();
  const unit = useUnit();
  return (
    <article aria-label="Slip" className="mx-auto grid max-w-[180mm] grid-cols-1 gap-4 px-5 py-5">
      <SlipHead number={ticket.number} drive={view.drive.name} />
      <Conflicts view={view} />
      <p className="text-xl font-bold">Nothing in stock fits.</p>
      <p className="text-lg">{wantedWords(recommendation.answer?.wanted, unit)}</p>
      <PrintScale />
    </article>
  );
}

/** What to ask for in a shop: section, sizes that will do, and the ring and its length at 1:1 to hold a belt against. */
export function SlipPage() {
  const { ticket } = useTicket();
  const view = useDriveView();
  if (!view.situation.ok) {
    return (
      <p className="p-5">
        {view.situation.problem}{' '}
        <Link className="underline" to={`/t/${ticket.id}/measure?drive=${view.drive.name}`}>
          Measure
        </Link>
      </p>
    );
  }
  return <Slip view={view} situation={view.situation.value} />;
}

function Slip({ view, situation }: { readonly view: DriveView; readonly situation: Situation }) {
  const { ticket } = useTicket();
  const { drive } = view;
  const unit = useUnit();
  const { recommendation, picked, ready } = usePaperBelt(view);
  const { answer, best, decided } = recommendation;
  const belt = picked?.catalogueBelt;
  const limited = limitedWords(view);
  if (!belt || !(answer || decided) || !ready) return <p className="p-5">One moment.</p>;
  const misfit = recommendation.nothingFits && picked === best;
  if (misfit) return <Misfit view={view} recommendation={recommendation} />;
  const chance = (one: CatalogueBelt): string => {
    if (recommendation.decided && one.id === best?.catalogueBelt.id) return 'right on this machine';
    const known = answer?.belts[one.id];
    return known
      ? `${inHundred(known.works)}${view.situation.ok ? inRoomWords(view.situation.value) : ''}`
      : 'tried here';
  };
  // What the bench ruled out on this machine is not asked for.
  const stock = stockOf(view).filter((one) => recommendation.after.forbidden(one) === undefined);
  const { sameSection: good, otherSections: others } = answer
    ? willDo(belt, answer.belts, stock)
    : { sameSection: [belt], otherSections: [] };
  // Nothing that is likelier to fail is called a size that will do.
  const likely = decided !== undefined || (answer?.belts[belt.id]?.works ?? 0) >= THRESHOLDS.recommend;
  return (
    <article aria-label="Slip" className="mx-auto grid max-w-[180mm] grid-cols-1 gap-4 px-5 py-5">
      <SlipHead number={ticket.number} drive={drive.name} />
      {!decided && <Conflicts view={view} />}
      {!decided && limited && <p>{limited}</p>}
      <p className="text-[34px] leading-tight font-bold">{beltLabel(belt, unit).size}</p>
      <dl className="grid grid-cols-[auto_minmax(0,1fr)] gap-x-6 gap-y-1">
        <dt className="text-soft">Section</dt>
        <dd>
          {shapeOf(belt.shape).inShop}, {sectionWords(belt, unit)}
          {!decided && view.facts.sectionUnmeasured && (
            <strong className="block">
              Not measured: taken {view.facts.sectionUnmeasured}. Hold the old belt beside it before buying.
            </strong>
          )}
        </dd>
        <dt className="text-soft">Here</dt>
        <dd>{chance(belt)}</dd>
        {picked !== best && best && (
          <>
            <dt className="text-soft">Recommended</dt>
            <dd>
              {beltLabel(best.catalogueBelt, unit).size} ({chance(best.catalogueBelt)})
            </dd>
          </>
        )}
        <dt className="text-soft">Rubber</dt>
        <dd>
          Chloroprene or the like, ground, about {hardnessOf(belt.shape, situation.priors).best} Shore A; no office
          band.
        </dd>
      </dl>
      <Sizes
        title={likely ? 'Sizes of that section that will do' : 'To try next, likelier to fail than to work'}
        belts={good}
        first={belt}
        chance={chance}
        unit={unit}
      />
      {others.length > 0 && (
        <Sizes title="Other sections that will do" belts={others} first={belt} chance={chance} unit={unit} />
      )}
      <PrintScale />
      <TrueSize drafting={draftBelt(belt, beltLabel(belt, unit).size)} />
    </article>
  );
}
