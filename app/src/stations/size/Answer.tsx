import { THRESHOLDS } from '@loose-pulley/core/base/thresholds';
import { nanoid } from 'nanoid';
import { Link } from 'react-router';
import {
  chanceOf,
  chanceOnBench,
  gripsNow,
  limitedWords,
  oldBeltTry,
  soldTry,
  wantedWords,
  type DriveView,
  type NewTry,
} from '@loose-pulley/core/views/drive';
import { inHundred } from '@loose-pulley/core/belts/probability';
import { VERDICT_NAMES } from '@loose-pulley/core/record/stations';

import { type Candidate, type Situation } from '@loose-pulley/core/belts/sizing';
import { type LengthUnit } from '@loose-pulley/core/base/units';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { usePageKey } from '../../parts/keys/useKeys';
import { useOwned } from '../../parts/ticket/useOwned';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button, CommitButton } from '../../parts/ui/Button';
import { Caution } from '../../parts/ui/Caution';
import { SectionSign } from '../../parts/ui/SectionSign';
import { fittingOf } from '@loose-pulley/core/views/machine';
import { fitBelt } from '../../state/persistence/fitting';
import { useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { toBeHadSet } from '../../state/store/settings';
import Conflicts from '../../parts/measuring/Conflicts';
import { ChanceLine } from './ChanceLine';
import { FromDrawer } from './FromDrawer';
import type { Sizing } from './useSizing';

export interface AnswerProps {
  readonly sizing: Sizing;
  readonly view: DriveView;
  readonly situation: Situation;
  readonly unit: LengthUnit;
  readonly canWrite: boolean;
  readonly onPick: (id: string | null) => void;
}

/** What the best values alone would take, at once: in the place where the answer will stand, and no more than said. */
function FirstEstimate({
  recommendation: { first },
  unit,
}: {
  readonly recommendation: Sizing['recommendation'];
  readonly unit: LengthUnit;
}) {
  const label = first && beltLabel(first.catalogueBelt, unit);
  return (
    <div>
      <h3 className="text-sm font-semibold text-soft">First estimate, by the best values alone</h3>
      <p className="min-h-[1.25em] text-[38px] leading-tight font-bold whitespace-nowrap text-soft">
        {first && (
          <>
            <SectionSign shape={first.catalogueBelt.shape} /> {label?.size}
          </>
        )}
      </p>
      <p className="min-h-[1.5em] text-soft">{first && `${label?.words ?? ''} · ${first.catalogueBelt.name}`}</p>
    </div>
  );
}

/** The belt to fit, its chance, and how to have it; or, where nothing fits, what to do about that. */
export function Answer({ sizing, view, unit, canWrite, onPick }: Omit<AnswerProps, 'situation'>) {
  const dispatch = useAppDispatch();
  const { ticket } = useTicket();
  const keys = useAppSelector(({ settings }) => (settings.singleKeys ? settings.keys : null));
  const { recommendation, picked } = sizing;
  const { best, nothingFits } = recommendation;
  const { drive, facts } = view;
  const log = (belt: NewTry) =>
    dispatch(
      fitBelt(ticket, drive.id, fittingOf(ticket, drive.id, { id: nanoid(10), ...belt }, new Date().toISOString())),
    );
  const owned = useOwned(view);
  /** Out of the drawer where it lies there; the drawer follows the ticket. */
  const fitOne = ({ catalogueBelt }: Candidate) => log(soldTry(catalogueBelt, owned.get(catalogueBelt.id)));
  const fit = () => {
    if (!picked || !canWrite) return;
    fitOne(picked);
  };
  const { decided } = recommendation;
  const old = canWrite ? oldBeltTry(view, 'the old belt, cleaned') : undefined;
  const keep = old && (() => log(old));
  const grips = gripsNow(ticket, drive.id);
  usePageKey('fit', fit);
  usePageKey('keep', keep);
  if (!picked) {
    if (recommendation.status !== 'waiting') return <p>No belt in the list can be judged on this drive.</p>;
    return (
      // As high as the answer that comes: nothing below moves when it does.
      <div className="grid min-h-[440px] content-start max-lg:min-h-[560px] gap-3">
        <FirstEstimate recommendation={recommendation} unit={unit} />
        <ChanceLine chance={undefined} onBench={undefined} recommendation={recommendation} />
      </div>
    );
  }

  const { catalogueBelt } = picked;
  const chance = chanceOf(recommendation, catalogueBelt);
  const label = beltLabel(catalogueBelt, unit);
  const isBest = picked === best;
  const headings = { settled: 'Recommended belt', provisional: 'Recommended belt, provisional', waiting: '' };
  const heading = !isBest
    ? 'Looked at'
    : decided
      ? 'Right on this machine'
      : nothingFits
        ? facts.pathConflict
          ? 'Open until the readings fit; nearest is'
          : 'Nothing in stock fits; nearest is'
        : recommendation.after.any
          ? 'Next to try'
          : headings[recommendation.status];
  const limited = limitedWords(view);
  const ruledOut = recommendation.after.forbidden(catalogueBelt);
  return (
    <div className="grid gap-3">
      {grips !== undefined && !decided && (
        <section aria-label="Keep it" className="grid gap-2 border-y-2 border-ink py-2">
          <p className="text-[26px] leading-tight font-bold">Keep the old belt</p>
          <p>
            Fingers could not make it slip ({grips}): that counts more than its length. Put it on and prove it; renew it
            where it slips again.
          </p>
          <CommitButton look="strong" className="min-h-12 w-full" keyCap={keys?.keep} disabled={!keep} onClick={keep}>
            Keep the old belt, clean it
          </CommitButton>
        </section>
      )}
      <div>
        <h3 className="text-sm font-semibold text-soft">{heading}</h3>
        <p className="text-[38px] leading-tight font-bold whitespace-nowrap">
          <SectionSign shape={catalogueBelt.shape} /> {label.size}
        </p>
        <p className="text-soft">
          {label.words} · {catalogueBelt.name}
        </p>
        {limited && !(decided && isBest) && (
          <p className="text-live">
            {limited}{' '}
            <Button look="quiet" onClick={() => dispatch(toBeHadSet('both'))}>
              Choose among both
            </Button>
          </p>
        )}
        {!isBest && (
          <Button look="quiet" onClick={() => onPick(null)}>
            Back to the recommended belt
          </Button>
        )}
      </div>
      {!(decided && isBest) && <Conflicts view={view} />}
      {nothingFits && isBest && !facts.pathConflict && <p>{wantedWords(recommendation.answer?.wanted, unit)}</p>}
      {decided && isBest ? (
        <p className="border-y-2 border-ink py-2">
          <strong>Judged right here, on the bench.</strong> That stands, whatever a calculation says, until a later
          verdict on it says otherwise.
        </p>
      ) : (
        <ChanceLine
          chance={chance}
          onBench={chanceOnBench(recommendation, catalogueBelt)}
          recommendation={recommendation}
        />
      )}
      <FromDrawer recommendation={recommendation} owned={owned} unit={unit} canWrite={canWrite} onFit={fitOne} />
      {ruledOut && (
        <p className="text-live">
          Ruled out here: {beltLabel(ruledOut.belt, unit).size} was {VERDICT_NAMES[ruledOut.verdict]}.
        </p>
      )}
      <div className="grid gap-2">
        <CommitButton
          look={grips === undefined || decided ? 'strong' : 'plain'}
          className="min-h-12 w-full"
          keyCap={keys?.fit}
          data-lead
          disabled={!canWrite}
          onClick={fit}
        >
          Fit and log this try
          {chance && chance.works < THRESHOLDS.recommend && !(decided && isBest)
            ? `, though it works in ${inHundred(chance.works)}`
            : ''}
        </CommitButton>
        {(grips === undefined || decided) && (
          <CommitButton className="min-h-12 w-full" keyCap={keys?.keep} disabled={!keep} onClick={keep}>
            Keep the old belt, clean it
          </CommitButton>
        )}
      </div>
      <p className="flex flex-wrap gap-x-4">
        {(
          [
            ['slip', 'Slip for the shop'],
            ['template', 'At 1 to 1: print, SVG, DXF'],
          ] as const
        ).map(([page, words]) => (
          <Link
            key={page}
            className="inline-flex min-h-11 items-center underline"
            to={`/t/${ticket.id}/${page}?drive=${drive.name}${isBest ? '' : `&belt=${catalogueBelt.id}`}`}
          >
            {words}
          </Link>
        ))}
      </p>
      <Caution>Unplugged, residue off, pulleys dry; an over-tight belt wears a small motor out.</Caution>
    </div>
  );
}
