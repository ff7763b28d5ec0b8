import { useTaken, TakenNote } from '../../parts/measuring/useTaken';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { labelLies, newItem } from '@loose-pulley/core/shop/drawer';
import { inHand, takeInHand } from '@loose-pulley/core/belts/measuring';
import { outstanding, type Order, type OrderLine } from '@loose-pulley/core/shop/orders';
import { formatLength, parseNumber, type LengthUnit } from '@loose-pulley/core/base/units';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { today } from '../../state/written';
import { Button, CommitButton } from '../../parts/ui/Button';
import { changeBook } from '../../state/persistence/book';
import { useAppDispatch } from '../../state/store/hooks';
import { Input } from '../../parts/ui/Input';

/** A line that has come: one of it is measured before it is trusted. What is another belt lies under what it measures. */
export function Arrival({
  order,
  line,
  unit,
  demoReadsMm,
  count: startCount,
}: {
  readonly order: Order;
  readonly line: OrderLine;
  readonly unit: LengthUnit;
  readonly demoReadsMm: number | null;
  readonly count: number;
}) {
  const dispatch = useAppDispatch();
  const [countText, setCount] = useState(String(startCount));
  const count = parseNumber(countText);
  const whole =
    count.ok && Number.isInteger(count.value) && count.value >= 1 && count.value <= 10_000 ? count.value : null;
  const way = inHand([], line);
  const {
    text: reads,
    setText: setReads,
    taken,
    read: measured = null,
    keep,
  } = useTaken((text, kept) => takeInHand(way, text, line, [], unit, kept));
  const wrong = measured !== null && labelLies(line.innerLengthMm, measured.value, measured.std);
  const mm = (value: number): string => `${formatLength(value, unit)} ${unit}`;
  const take = (isWrong: boolean, keep: boolean): void => {
    if (whole === null) return;
    const belt = {
      shape: line.shape,
      thicknessMm: line.thicknessMm,
      widthMm: line.widthMm,
      innerLengthMm: line.innerLengthMm,
    };
    const shared = {
      supplier: order.supplier,
      boughtOn: today(),
      price: line.price,
      sellerNumbers: line.sellerNumber === '' || isWrong ? [] : [{ seller: order.supplier, number: line.sellerNumber }],
    };
    const measure = measured ? { measuredMm: Math.round(10 * measured.value) / 10, measuredOn: today() } : {};
    // More than was ordered is here all the same; wrong is what measures otherwise.
    const right = isWrong ? 0 : whole;
    void dispatch(
      changeBook([
        {
          type: 'lineArrived',
          orderId: order.id,
          lineId: line.id,
          stillOut: outstanding(line),
          right,
          item: right > 0 ? newItem(nanoid(12), belt, right, { ...shared, label: line.label, ...measure }) : null,
          wrong: isWrong ? whole : 0,
          other:
            isWrong && keep && measured
              ? newItem(nanoid(12), { ...belt, innerLengthMm: Math.round(10 * measured.value) / 10 }, whole, {
                  ...shared,
                  label: `came as ${beltLabel(line, 'mm').size}`,
                  ...measure,
                })
              : null,
        },
      ]),
    );
  };
  return (
    <div className="grid gap-2 border-l-4 border-hair py-1 pl-3">
      <div className="flex flex-wrap items-end gap-3">
        <label className="grid gap-1 text-sm text-soft">
          How many came
          <Input
            inputMode="numeric"
            className="w-24 text-lg text-ink"
            value={countText}
            onChange={(event) => setCount(event.target.value)}
            aria-invalid={whole === null}
          />
        </label>
        <label className="grid gap-1 text-sm text-soft">
          One of them, doubled flat, reads, {unit}
          <Input
            inputMode="decimal"
            autoComplete="off"
            className="w-32 text-lg text-ink"
            value={reads}
            onChange={(event) => setReads(event.target.value)}
          />
        </label>
        {demoReadsMm !== null && (
          <Button look="quiet" onClick={() => setReads(formatLength(demoReadsMm, unit))}>
            The demo’s caliper reads {formatLength(demoReadsMm, unit)}
          </Button>
        )}
      </div>
      <div aria-live="polite">
        {whole === null && <p className="text-live">Read “{countText}”. Allowed: whole pieces, 1 to 10000.</p>}
        <TakenNote taken={taken} onKeep={keep} />
        {measured && (
          <p className={wrong ? 'text-live' : ''}>
            {mm(measured.value)} inner length
            {wrong ? `: not the ${mm(line.innerLengthMm)} that were ordered.` : ', as ordered.'}
          </p>
        )}
        {!taken && (
          <p className="text-sm text-soft">
            Measured before it is trusted: what is in the bag is not always what is on it.
          </p>
        )}
      </div>
      <p className="flex flex-wrap gap-2">
        {wrong ? (
          <>
            <CommitButton look="strong" disabled={whole === null} onClick={() => take(true, true)}>
              Wrong: keep it by what it measures
            </CommitButton>
            <CommitButton disabled={whole === null} onClick={() => take(true, false)}>
              Wrong: send it back
            </CommitButton>
            <CommitButton disabled={whole === null} onClick={() => take(false, false)}>
              Right anyway
            </CommitButton>
          </>
        ) : (
          <CommitButton
            look={measured ? 'strong' : 'plain'}
            disabled={whole === null}
            onClick={() => take(false, false)}
          >
            {measured ? 'Into the drawer' : 'Into the drawer, not measured'}
          </CommitButton>
        )}
      </p>
    </div>
  );
}
