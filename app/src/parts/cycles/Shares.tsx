import { CYCLE_OUTCOMES } from '@loose-pulley/core/physics/cycle';
import type { CycleShares } from '@loose-pulley/core/belts/cycling';
import { inHundredOf, OUTCOME_NAMES } from '@loose-pulley/core/views/cycle';

/** What so many machines that fit all that is known come to, with what it was before a change beside it. */
export function Shares({ now, before }: { readonly now: CycleShares; readonly before: CycleShares | null }) {
  const shown = CYCLE_OUTCOMES.filter((one) => now.shares[one] > 0 || (before?.shares[one] ?? 0) > 0);
  return (
    <dl className="grid gap-2">
      {shown.map((one) => (
        <div key={one} className="grid grid-cols-[minmax(0,1fr)_64px_84px] items-center gap-3">
          <dt>{OUTCOME_NAMES[one]}</dt>
          <span aria-hidden className="h-3 bg-hair">
            <span className="block h-full bg-ink" style={{ width: `${100 * now.shares[one]}%` }} />
          </span>
          <dd className="text-right font-bold">
            {inHundredOf(now.shares[one])}
            {before && (
              <span className="block text-sm font-normal text-soft">was {inHundredOf(before.shares[one])}</span>
            )}
          </dd>
        </div>
      ))}
    </dl>
  );
}
