import { Link } from 'react-router';
import type { CatalogueBelt } from '@loose-pulley/core/belts/catalogue';
import { goesWell, type CycleShares, type SingleChange } from '@loose-pulley/core/belts/cycling';
import { inHundredOf } from '@loose-pulley/core/views/cycle';

/** Where each is done. */
const DONE_AT: Readonly<Record<SingleChange['id'], string | null>> = {
  clean: 'clean',
  oil: 'clean',
  shorter: 'size',
  longer: 'size',
  thicker: 'size',
  rubber: 'train',
  switch: 'clean',
  warm: null,
};
const GAINS = 0.02;

/** What one change alone would do, the one that does most first, and what it takes. */
export function WouldDo({
  changes,
  found,
  now,
  done,
  ticketId,
  boughtWords,
}: {
  readonly changes: readonly SingleChange[];
  readonly found: Readonly<Partial<Record<SingleChange['id'], CycleShares>>>;
  readonly now: CycleShares;
  readonly done: boolean;
  readonly ticketId: string;
  /** Where a belt comes from, and what it costs. */
  readonly boughtWords: (belt: CatalogueBelt) => string;
}) {
  const ranked = changes
    .flatMap((change) => {
      const shares = found[change.id];
      return shares ? [{ change, well: goesWell(shares) }] : [];
    })
    .sort((a, b) => b.well - a.well || a.change.minutes - b.change.minutes);
  const as = goesWell(now);
  const best = ranked[0];
  return (
    <section aria-labelledby="would-do" className="grid gap-2">
      <h3 id="would-do" className="text-lg">
        What would do most
      </h3>
      {!done && <p className="text-soft">Trying one thing after the other…</p>}
      {done && best && best.well <= as + GAINS && <p>No single change does more than it does now.</p>}
      <ul>
        {ranked.map(({ change, well }) => {
          const where = DONE_AT[change.id];
          return (
            <li
              key={change.id}
              className="grid grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-3 border-b border-hair py-2"
            >
              <span>
                {where ? (
                  <Link
                    to={`/t/${ticketId}/${where}`}
                    className="inline-flex min-h-11 items-center underline decoration-hair underline-offset-4"
                  >
                    {change.name}
                  </Link>
                ) : (
                  change.name
                )}
                <span className="block text-sm text-soft">
                  {change.minutes > 0 ? `about ${change.minutes} minutes` : 'only waiting'}
                  {change.buys ? `, ${boughtWords(change.buys)}` : ''}
                </span>
              </span>
              <strong>{inHundredOf(well)}</strong>
            </li>
          );
        })}
      </ul>
      <p className="text-sm text-soft">Now {inHundredOf(as)} go well. Minutes are from the trade’s memory.</p>
    </section>
  );
}
