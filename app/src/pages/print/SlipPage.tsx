import { Link } from 'react-router';
import { CATALOGUE } from '@loose-pulley/core/catalogue';
import { draftBelt } from '@loose-pulley/core/drafting';
import type { DriveView } from '@loose-pulley/core/driveView';
import { inHundred, willDo } from '@loose-pulley/core/probability';
import type { Situation } from '@loose-pulley/core/sizing';
import { SHAPES, beltLabel, formatLength } from '@loose-pulley/core/units';
import { useUnit } from '../../state/store/hooks';
import { usePaperBelt } from '../../parts/ticket/usePaperBelt';
import { useDrive, useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { PrintScale } from './PrintScale';
import { TrueSize } from './TrueSize';

/** What to ask for in a shop: section, sizes that will do, and the ring and its length at 1:1 to hold a belt against. */
export function SlipPage() {
  const { ticket } = useTicket();
  const view = useDrive();
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
  const { answer, ranking, best } = recommendation;
  const belt = picked?.catalogueBelt;
  if (!belt || !answer || !ready) return <p className="p-5">One moment.</p>;
  const worksIn = (id: string): number => answer.belts[id]?.works ?? 0;
  const { sameSection: good, otherSections: others } = willDo(belt, answer.belts, CATALOGUE);
  const least = good[0] ?? belt;
  const most = good[good.length - 1] ?? belt;
  const size = (mm: number) => `${formatLength(mm, unit)} ${unit}`;
  return (
    <article aria-label="Slip" className="mx-auto grid max-w-[180mm] grid-cols-1 gap-4 px-5 py-5">
      <div className="flex flex-wrap items-center gap-3 print:hidden">
        <Button look="strong" onClick={() => window.print()}>
          Print the slip
        </Button>
        <span className="text-soft">Or take the phone along.</span>
      </div>
      <header className="flex items-baseline justify-between gap-3 border-b-2 border-ink pb-2">
        <h1 className="text-2xl font-bold">Wanted: one drive belt</h1>
        <span>
          {ticket.number}, drive {drive.name}
        </span>
      </header>
      <p className="text-[34px] leading-tight font-bold">{beltLabel(belt, unit).size}</p>
      <dl className="grid grid-cols-[auto_minmax(0,1fr)] gap-x-6 gap-y-1">
        <dt className="text-soft">Section</dt>
        <dd>
          {SHAPES[belt.shape].inShop}, {size(belt.thicknessMm)} across
        </dd>
        <dt className="text-soft">Inner length that will do</dt>
        <dd>
          {least === most ? size(belt.innerLengthMm) : `${size(least.innerLengthMm)} to ${size(most.innerLengthMm)}`}
        </dd>
        <dt className="text-soft">Inner diameter, lying round</dt>
        <dd>
          {least === most
            ? size(belt.innerLengthMm / Math.PI)
            : `${size(least.innerLengthMm / Math.PI)} to ${size(most.innerLengthMm / Math.PI)}`}
        </dd>
        <dt className="text-soft">Of that section</dt>
        <dd>{good.map((one) => `${beltLabel(one, unit).size} (${inHundred(worksIn(one.id))})`).join(', ')}</dd>
        {others.length > 0 && (
          <>
            <dt className="text-soft">Of other sections</dt>
            <dd>{others.map((one) => `${beltLabel(one, unit).size} (${inHundred(worksIn(one.id))})`).join(', ')}</dd>
          </>
        )}
        <dt className="text-soft">Chance it works here</dt>
        <dd>{inHundred(worksIn(belt.id))}</dd>
        {picked !== best && best && (
          <>
            <dt className="text-soft">Recommended</dt>
            <dd>
              {beltLabel(best.catalogueBelt, unit).size} ({inHundred(worksIn(best.catalogueBelt.id))})
            </dd>
          </>
        )}
        <dt className="text-soft">Next down, next up</dt>
        <dd>
          {(picked === best ? [ranking.down, ranking.up] : [])
            .flatMap((one) =>
              one ? [`${beltLabel(one.catalogueBelt, unit).size} (${inHundred(worksIn(one.catalogueBelt.id))})`] : [],
            )
            .join(', ')}
        </dd>
        <dt className="text-soft">Rubber</dt>
        <dd>Chloroprene or the like, ground, about {situation.priors.hardnessShoreA.best} Shore A; no office band.</dd>
      </dl>
      <PrintScale />
      <TrueSize drafting={draftBelt(belt, beltLabel(belt, unit).size)} />
    </article>
  );
}
