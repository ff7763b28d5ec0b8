import { Link } from 'react-router';
import { BUILT_IN, SERIES, USUAL_SERIES } from '@loose-pulley/core/belts/catalogue';
import type { LengthUnit } from '@loose-pulley/core/base/units';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { lengthOf, type Item } from '@loose-pulley/core/shop/drawer';
import { Button } from '../../parts/ui/Button';
import { Check } from '../../parts/ui/Check';
import { changeBook } from '../../state/persistence/book';
import { useAppDispatch } from '../../state/store/hooks';

/** So many of what runs low stand beside the drawer; the rest is on the order’s page. */
const LOW_SHOWN = 6;

/** What runs low, and the way to order it. */
export function RunningLow({
  low,
  name,
  onPick,
}: {
  readonly low: readonly Item[];
  readonly name: (item: Item) => string;
  readonly onPick: (id: string) => void;
}) {
  if (low.length === 0) return null;
  return (
    <section aria-labelledby="low" className="grid gap-1">
      <h2 id="low" className="border-b border-ink pb-1 text-lg">
        Running low
      </h2>
      <ul>
        {low.slice(0, LOW_SHOWN).map((one) => (
          <li key={one.id} className="flex items-center justify-between gap-2 border-b border-hair">
            <Button look="quiet" onClick={() => onPick(one.id)}>
              {name(one)}
            </Button>
            <span>{one.quantity === 0 ? 'none' : `${one.quantity} left`}</span>
          </li>
        ))}
      </ul>
      <Link to="/orders" className="inline-flex min-h-11 items-center underline decoration-2 underline-offset-4">
        {low.length > LOW_SHOWN ? `${low.length - LOW_SHOWN} more, and what to order` : 'What to order'}
      </Link>
    </section>
  );
}

/** Rubber that was not measured for long. */
export function AgedSizes({
  aged,
  unit,
  onPick,
}: {
  readonly aged: readonly Item[];
  readonly unit: LengthUnit;
  readonly onPick: (id: string) => void;
}) {
  if (aged.length === 0) return null;
  return (
    <section aria-labelledby="aged">
      <h2 id="aged" className="border-b border-ink pb-1 text-lg">
        Old rubber, measure first
      </h2>
      <p className="py-1">
        {aged.slice(0, 12).map((one, index) => (
          <span key={one.id}>
            {index > 0 && ', '}
            <button
              type="button"
              className="min-h-11 underline decoration-hair decoration-2 underline-offset-4"
              onClick={() => onPick(one.id)}
            >
              {beltLabel({ ...one, innerLengthMm: lengthOf(one) }, unit).size}
            </button>
          </span>
        ))}
        {aged.length > 12 && ` and ${aged.length - 12} more`}
      </p>
    </section>
  );
}

/** The series that are chosen from beside the drawer. */
export function SeriesSwitches({ switched }: { readonly switched: readonly string[] }) {
  const dispatch = useAppDispatch();
  return (
    <section aria-labelledby="series">
      <h2 id="series" className="text-lg">
        Series to choose from
      </h2>
      <p className="text-sm text-soft">What Size ranks beside the drawer.</p>
      {SERIES.map((one) => {
        const on = USUAL_SERIES.includes(one) !== switched.includes(one);
        return (
          <Check
            key={one}
            checked={on}
            onCheck={(checked) => void dispatch(changeBook([{ type: 'seriesSwitched', series: one, on: checked }]))}
          >
            {BUILT_IN[one].name}
          </Check>
        );
      })}
    </section>
  );
}
