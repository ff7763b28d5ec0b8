import { beltLabel } from '@loose-pulley/core/base/shapes';
import type { Item } from '@loose-pulley/core/shop/drawer';
import { Button } from '../../parts/ui/Button';
import { Fold } from '../../parts/ui/Fold';
import { LongList } from '../../parts/ui/LongList';

interface Props {
  readonly items: readonly Item[];
  readonly name: (item: Item) => string;
  readonly onPick: (id: string) => void;
}

/** The sizes that all words of a search are found in: label, place, supplier, kit, size, a seller’s number. */
export function lookedFor(items: readonly Item[], find: string): readonly Item[] {
  const words = find.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return items;
  return items.filter((one) => {
    const text = [
      one.label,
      one.place,
      one.supplier,
      one.kit,
      beltLabel(one, 'mm').words,
      ...one.sellerNumbers.map(({ number }) => number),
    ]
      .join(' ')
      .toLowerCase();
    return words.every((word) => text.includes(word));
  });
}

/** What hangs at one place of the drawing, where it is several. */
export function HangingThere({ items, name, pickedId, onPick }: Props & { readonly pickedId: string | null }) {
  if (items.length < 2) return null;
  return (
    <section aria-label="Hanging there" className="my-3 flex flex-wrap items-center gap-x-2 border-t border-hair pt-2">
      <span className="text-sm text-soft">Hanging there:</span>
      {items.map((one) => (
        <Button key={one.id} look="quiet" aria-pressed={one.id === pickedId} onClick={() => onPick(one.id)}>
          {name(one)} ({one.quantity})
        </Button>
      ))}
    </section>
  );
}

/** The drawer as a list. */
export function AsList({ items, name, onPick }: Props) {
  return (
    <Fold name="drawer: as a list" title="As a list" className="mt-3 border-t border-ink">
      <LongList as="ul" items={items} keyOf={({ id }) => id} usualPx={45} label="Sizes in the drawer">
        {(one) => (
          <button
            type="button"
            className="grid min-h-11 w-full grid-cols-[7.5rem_4rem_minmax(0,1fr)] items-center gap-3 border-b border-hair text-left hover:bg-paper"
            onClick={() => onPick(one.id)}
          >
            <span className="font-semibold">{name(one)}</span>
            <span className="text-right">{one.quantity}</span>
            <span className="truncate text-soft">
              {[one.place, one.label, one.supplier].filter(Boolean).join(' · ')}
            </span>
          </button>
        )}
      </LongList>
    </Fold>
  );
}
