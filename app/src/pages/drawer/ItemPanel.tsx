import {
  isAged,
  labelWords,
  measureFrom,
  RUBBERS,
  runsLow,
  type Item,
  type Rubber,
  type Take,
} from '@loose-pulley/core/shop/drawer';
import { onOrder, type Order } from '@loose-pulley/core/shop/orders';
import {
  formatDay,
  formatEntered,
  parseLength,
  parseNumber,
  refuse,
  type LengthUnit,
  type Result,
} from '@loose-pulley/core/base/units';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { today } from '../../state/written';
import { WhoHasOne } from './WhoHasOne';
import { Button, CommitButton } from '../../parts/ui/Button';
import { NumberLine } from '../../parts/ui/NumberLine';
import { SectionSign } from '../../parts/ui/SectionSign';
import { TextLine } from '../../parts/ui/TextLine';
import { changeBook } from '../../state/persistence/book';
import { useAppDispatch } from '../../state/store/hooks';
import { Select } from '../../parts/ui/Select';
import { Input } from '../../parts/ui/Input';
import { Check } from '../../parts/ui/Check';

const RUBBER_NAMES: Readonly<Record<Rubber, string>> = {
  unknown: 'unknown',
  nitrile: 'nitrile',
  chloroprene: 'chloroprene',
  naturalRubber: 'natural rubber',
  ethylenePropylene: 'ethylene-propylene',
  siliconeRubber: 'silicone',
  polyurethane: 'polyurethane',
};

/** Pieces are whole. */
const wholeNumber = (text: string): Result<number> => {
  const read = parseNumber(text);
  return !read.ok || Number.isInteger(read.value) ? read : refuse(`Read ${text.trim()}. Pieces are whole: 0, 1, 2.`);
};

/** Where the panel is found on the page. */
export const SIZE_PANEL = 'this-size';

/** All that the drawer knows of a size, to be changed where it stands. */
export function ItemPanel({
  item,
  orders,
  out,
  unit,
  onClose,
  onOrderIt,
}: {
  readonly item: Item;
  readonly orders: readonly Order[];
  /** Those of it that tickets have out. */
  readonly out: readonly Take[];
  readonly unit: LengthUnit;
  readonly onClose: () => void;
  readonly onOrderIt: (item: Item) => void;
}) {
  const dispatch = useAppDispatch();
  const label = beltLabel(item, unit);
  const change = (changes: Partial<Item>, gesture?: string) =>
    dispatch(changeBook([{ type: 'itemChanged', itemId: item.id, changes }], gesture));
  const set = (changes: Partial<Item>): void => void change(changes);
  const more = (by: number) => void dispatch(changeBook([{ type: 'quantityChanged', itemId: item.id, by }]));
  const aged = isAged(item, today());
  const from = measureFrom(item);
  const lies = labelWords(item, unit);
  const coming = onOrder(orders, item);
  return (
    <section id={SIZE_PANEL} aria-label="This size" className="grid gap-3">
      <div className="flex items-start justify-between gap-2">
        <div>
          <h2 className="text-[28px] leading-tight font-bold">
            <SectionSign shape={item.shape} /> {label.size}
          </h2>
          <p className="text-soft">
            {label.words}
            {item.kit && ` · from ${item.kit}`}
          </p>
        </div>
        <Button look="quiet" onClick={onClose}>
          Close
        </Button>
      </div>
      {lies && <p className="border-l-4 border-live pl-3">{lies}</p>}
      {aged && <p className="border-l-4 border-live pl-3">Old rubber: measure one before it is trusted.</p>}
      {!aged && from !== '' && <p className="text-sm text-soft">Measured first from {formatDay(from)} on.</p>}
      <div className="flex flex-wrap items-end gap-2">
        <NumberLine
          label="In the drawer"
          unit="pieces"
          max={100_000}
          value={item.quantity}
          parse={wholeNumber}
          onNumber={(value, gesture) =>
            value !== null && dispatch(changeBook([{ type: 'recounted', itemId: item.id, quantity: value }], gesture))
          }
        />
        <Button disabled={item.quantity === 0} onClick={() => more(-1)} aria-label="One fewer">
          −1
        </Button>
        <Button onClick={() => more(1)} aria-label="One more">
          +1
        </Button>
      </div>
      <p className={runsLow(item) ? 'text-live' : 'text-sm text-soft'}>
        {runsLow(item) ? 'Runs low. ' : ''}
        {coming > 0 ? `${coming} on the order.` : ''}{' '}
        {coming === 0 && (
          <Button look="quiet" onClick={() => onOrderIt(item)}>
            Put it on the order
          </Button>
        )}
      </p>
      <WhoHasOne out={out} />
      <TextLine
        label="Place"
        value={item.place}
        maxLength={80}
        onText={(place, gesture) => change({ place }, gesture)}
      />
      <TextLine
        label="Label"
        value={item.label}
        maxLength={160}
        onText={(text, gesture) => change({ label: text }, gesture)}
      />
      <TextLine
        label="Supplier"
        value={item.supplier}
        maxLength={120}
        onText={(supplier, gesture) => change({ supplier }, gesture)}
      />
      <TextLine
        label="Sellers’ numbers for this size, commas between"
        value={item.sellerNumbers.map(({ number }) => number).join(', ')}
        maxLength={400}
        onText={(text, gesture) => {
          const numbers = [...new Set(text.split(',').map((one) => one.trim().slice(0, 80)))].filter(
            (one) => one !== '',
          );
          const known = (number: string) => item.sellerNumbers.find((one) => one.number === number);
          return change(
            { sellerNumbers: numbers.slice(0, 20).map((number) => known(number) ?? { seller: item.supplier, number }) },
            gesture,
          );
        }}
      />
      <div className="flex flex-wrap gap-3">
        <NumberLine
          label="Price of one"
          unit="own money"
          max={100_000}
          value={item.price}
          onNumber={(price, gesture) => change({ price }, gesture)}
        />
        <NumberLine
          label="Few at"
          unit="pieces"
          max={100_000}
          value={item.lowAt}
          parse={wholeNumber}
          onNumber={(lowAt, gesture) => change({ lowAt }, gesture)}
        />
        <NumberLine
          label="Measured inner length"
          unit={unit}
          min={unit === 'in' ? 0.04 : 1}
          max={unit === 'in' ? 78 : 2000}
          value={item.measuredMm === null ? null : Number(formatEntered(item.measuredMm, unit))}
          onNumber={(value, gesture) => {
            const read = value === null ? null : parseLength(String(value), unit);
            return change(
              read === null || !read.ok
                ? { measuredMm: null, measuredOn: '' }
                : { measuredMm: read.value.lengthMm, measuredOn: today() },
              gesture,
            );
          }}
        />
        <NumberLine
          label="Hardness"
          unit="Shore A"
          min={10}
          max={100}
          value={item.hardnessShoreA}
          onNumber={(hardnessShoreA, gesture) => change({ hardnessShoreA }, gesture)}
        />
      </div>
      <label className="grid gap-1 text-sm text-soft">
        Kind of rubber
        <Select
          value={item.rubber}
          onChoose={(chosen) => set({ rubber: chosen as Rubber })}
          options={RUBBERS.map((one) => [one, RUBBER_NAMES[one]] as const)}
        />
      </label>
      <label className="grid gap-1 text-sm text-soft">
        Bought on
        <Input
          type="date"
          value={item.boughtOn}
          max={today()}
          onChange={(event) => set({ boughtOn: event.target.value })}
          className="text-ink"
        />
      </label>
      <Check checked={item.band} onCheck={(checked) => set({ band: checked })}>
        A household band, no belt
      </Check>
      <CommitButton
        onClick={() => {
          void dispatch(changeBook([{ type: 'itemRemoved', itemId: item.id }]));
          onClose();
        }}
      >
        Remove this size
      </CommitButton>
    </section>
  );
}
