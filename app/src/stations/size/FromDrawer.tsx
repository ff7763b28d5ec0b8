import { writtenDay } from '../../state/written';
import { THRESHOLDS } from '@loose-pulley/core/base/thresholds';
import { nanoid } from 'nanoid';
import { Link } from 'react-router';
import { labelWords, type Item } from '@loose-pulley/core/shop/drawer';
import { chanceOf, type Recommendation } from '@loose-pulley/core/views/drive';
import { arrivesBy, daysFor, deliveryOf, wantState } from '@loose-pulley/core/shop/orders';
import { inHundred } from '@loose-pulley/core/belts/probability';
import type { Candidate } from '@loose-pulley/core/belts/sizing';
import type { Want } from '@loose-pulley/core/record/stations';
import { type LengthUnit } from '@loose-pulley/core/base/units';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { useDrive, useTicket } from '../../parts/ticket/useTicket';
import { Button, CommitButton } from '../../parts/ui/Button';
import { recordEvent } from '../../state/persistence/recording';
import { selectItems, selectOrders, useAppDispatch, useAppSelector } from '../../state/store/hooks';

const ALTERNATES = 12;
const DAY_MS = 86_400_000;

const worksOf = (recommendation: Recommendation, { catalogueBelt }: Candidate): number =>
  chanceOf(recommendation, catalogueBelt)?.works ?? 0;

/** A candidate as a ticket keeps it: what tells it from another, and its chance. */
const asWanted = (recommendation: Recommendation, candidate: Candidate): Want['belt'] => {
  const { shape, thicknessMm, widthMm = null, innerLengthMm } = candidate.catalogueBelt;
  return { shape, thicknessMm, widthMm, innerLengthMm, chance: worksOf(recommendation, candidate) };
};

/** What the drawer has for this drive, by its chance, beside what could be bought and when it would be here. */
export function FromDrawer({
  recommendation,
  owned,
  unit,
  canWrite,
  onFit,
}: {
  readonly recommendation: Recommendation;
  readonly owned: ReadonlyMap<string, Item>;
  readonly unit: LengthUnit;
  readonly canWrite: boolean;
  readonly onFit: (candidate: Candidate) => void;
}) {
  const dispatch = useAppDispatch();
  const { ticket } = useTicket();
  const { drive } = useDrive();
  const items = useAppSelector(selectItems);
  const orders = useAppSelector(selectOrders);
  const read = useAppSelector(({ book }) => book.record !== null);
  const nowMs = Date.now();
  const { best, decided, after, ranking, status, nothingFits } = recommendation;
  const wants = ticket.wants.filter(({ driveId }) => driveId === drive.id);
  const here =
    decided || status === 'waiting'
      ? undefined
      : ranking.candidates.find(({ catalogueBelt }) => owned.has(catalogueBelt.id) && !after.forbidden(catalogueBelt));
  const item = here && owned.get(here.catalogueBelt.id);
  const size = (candidate: Candidate): string => beltLabel(candidate.catalogueBelt, unit).size;
  const order = (candidate: Candidate): void => {
    const belt = asWanted(recommendation, candidate);
    const alternates = ranking.candidates
      .filter(
        (one) =>
          one !== candidate &&
          !after.forbidden(one.catalogueBelt) &&
          worksOf(recommendation, one) >= THRESHOLDS.recommend,
      )
      .slice(0, ALTERNATES)
      .map((one) => asWanted(recommendation, one));
    dispatch(recordEvent({ type: 'wantPut', want: { id: nanoid(10), driveId: drive.id, belt, count: 1, alternates } }));
  };
  const wanting = (
    <>
      {wants.map((want) => {
        const state = wantState(orders, ticket.id, want.id);
        const label = beltLabel(want.belt, unit).size;
        const words =
          state.at === 'arrived'
            ? `${label} has come: it is in the drawer.`
            : state.at === 'ordered'
              ? `${label} is on its way: 50 in 100 that it is here by ${writtenDay(new Date(arrivesBy(state.order, orders, nowMs, 0.5)).toISOString())}.`
              : state.at === 'listed'
                ? `${label} is on the list for ${state.order.supplier || 'a supplier'}.`
                : `${label} is wanted, not ordered yet.`;
        return (
          <p key={want.id} className="flex flex-wrap items-center gap-x-3 text-[15px]">
            <span>{words}</span>
            {state.at !== 'arrived' && (
              <Link
                to="/orders"
                className="inline-flex min-h-11 items-center underline decoration-2 underline-offset-4"
              >
                To the orders
              </Link>
            )}
            {(state.at === 'wanted' || state.at === 'arrived') && (
              <Button
                look="quiet"
                disabled={!canWrite}
                onClick={() => dispatch(recordEvent({ type: 'wantRemoved', wantId: want.id }))}
              >
                {state.at === 'arrived' ? 'Seen' : 'No longer wanted'}
              </Button>
            )}
          </p>
        );
      })}
    </>
  );
  if (decided) return wants.length > 0 ? <section aria-label="From the drawer">{wanting}</section> : null;
  // Before the bench book is read nobody knows what lies here.
  if (status === 'waiting' || !best || !read) return null;
  // What lies here is recommended unless ordering gains enough; what it would gain stands beside it, with its day.
  const likeliest = ranking.candidates
    .filter(({ catalogueBelt }) => !after.forbidden(catalogueBelt))
    .reduce((top, one) => (worksOf(recommendation, one) > worksOf(recommendation, top) ? one : top), best);
  const gains = worksOf(recommendation, likeliest) - worksOf(recommendation, best) >= THRESHOLDS.drawerPoints / 100;
  const other = best === here ? (gains ? likeliest : here) : best;
  const toBuy =
    other !== here && !wants.some(({ belt }) => Math.abs(belt.innerLengthMm - other.catalogueBelt.innerLengthMm) < 0.05)
      ? other
      : undefined;
  const known = toBuy && items.find((one) => one.shape === toBuy.catalogueBelt.shape && one.supplier !== '');
  const byMs = nowMs + daysFor(deliveryOf(orders, known?.supplier ?? ''), 0.5) * DAY_MS;
  const points =
    toBuy && here ? Math.round(100 * (worksOf(recommendation, toBuy) - worksOf(recommendation, here))) : undefined;
  /** What is likelier to fail than to work says so on its own button. */
  const allTheSame = (one: Candidate): string =>
    worksOf(recommendation, one) < THRESHOLDS.recommend
      ? ` anyway, though it works in ${inHundred(worksOf(recommendation, one))}`
      : '';
  const lies = item && labelWords(item, unit);
  return (
    <section aria-label="From the drawer" className="grid gap-2 border-y border-ink py-2">
      <p>
        {here && item ? (
          <>
            <strong>
              {size(here)} is in the drawer: {inHundred(worksOf(recommendation, here))}
            </strong>
            {item.place && `, in ${item.place}`}
            {item.quantity === 1 ? ', the last one' : `, ${item.quantity} of them`}
          </>
        ) : (
          <>Nothing in the drawer would do</>
        )}
        {toBuy && !nothingFits && (points === undefined || points >= THRESHOLDS.drawerPoints) && (
          <>
            ; {size(toBuy)} by {writtenDay(new Date(byMs).toISOString())}: {inHundred(worksOf(recommendation, toBuy))}
            {points !== undefined && ` (${points} more)`}
          </>
        )}
        .
      </p>
      {lies && <p className="text-sm text-live">{lies}</p>}
      {item && item.measuredMm === null && item.kit === '' && item.boughtOn !== '' && (
        <p className="text-sm text-soft">By its label, not measured yet.</p>
      )}
      <div className="flex flex-wrap gap-2">
        {here && item && (
          <CommitButton disabled={!canWrite} onClick={() => onFit(here)}>
            Fit {size(here)} from the drawer{allTheSame(here)}
          </CommitButton>
        )}
        {toBuy && (
          <Button disabled={!canWrite} onClick={() => order(toBuy)}>
            Order {size(toBuy)}
            {allTheSame(toBuy)}
          </Button>
        )}
      </div>
      {wanting}
    </section>
  );
}
