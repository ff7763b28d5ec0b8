import { nanoid } from 'nanoid';
import { useState } from 'react';
import { newItem, readPutIn, sameSize, type Item } from '@loose-pulley/core/shop/drawer';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { Button } from '../../parts/ui/Button';
import { changeBook } from '../../state/persistence/book';
import { useAppDispatch } from '../../state/store/hooks';
import { Input } from '../../parts/ui/Input';
import { useUnsaved } from '../../parts/ui/useUnsaved';

/** A belt put in by one typed line. */
export function AddBelt({ items, onPick }: { readonly items: readonly Item[]; readonly onPick: (id: string) => void }) {
  const dispatch = useAppDispatch();
  const [line, setLine] = useState('');
  useUnsaved('enter', line.trim() !== '');
  const said = line.trim() === '' ? undefined : readPutIn(line);
  const { count, size, place, supplier, price } = said?.ok
    ? said.value
    : { count: 1, size: '', place: '', supplier: '', price: null };
  // A seller's number that is written on a size is that size.
  const numbered = items.find(({ sellerNumbers }) =>
    sellerNumbers.some(({ number }) => number.toLowerCase() === size.toLowerCase()),
  );
  const read = !said || numbered ? undefined : said.ok ? said.value.belt : said;
  const belt = read?.ok && !read.value.otherwise ? read.value : undefined;
  const add = async (): Promise<void> => {
    if (numbered) {
      if (await dispatch(changeBook([{ type: 'quantityChanged', itemId: numbered.id, by: count }]))) {
        setLine('');
        onPick(numbered.id);
      }
      return;
    }
    if (!belt) return;
    const { shape, thicknessMm, widthMm = null, innerLengthMm } = belt;
    const same = items.find(
      (one) =>
        !one.band &&
        (place === '' || one.place === place) &&
        sameSize(one, { shape, thicknessMm, widthMm, innerLengthMm }),
    );
    const id = same?.id ?? nanoid(12);
    const done = await dispatch(
      changeBook([
        same
          ? { type: 'quantityChanged', itemId: same.id, by: count }
          : {
              type: 'itemsPut',
              items: [newItem(id, { shape, thicknessMm, widthMm, innerLengthMm }, count, { place, supplier, price })],
            },
        // What was said of it besides goes to the size that is there.
        ...(same && (supplier !== '' || price !== null)
          ? [
              {
                type: 'itemChanged',
                itemId: same.id,
                changes: { ...(supplier !== '' && { supplier }), ...(price !== null && { price }) },
              } as const,
            ]
          : []),
      ]),
    );
    if (!done) return;
    setLine('');
    onPick(id);
  };
  return (
    <form
      aria-label="Put a belt in"
      className="grid gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        void add();
      }}
    >
      <label htmlFor="put-in" className="text-sm text-soft">
        Put in: section × size, such as 1.2x116, ring 1.78x28.3 or 3 of 4x0.6x208 in A4
      </label>
      <div className="flex gap-2">
        <Input
          id="put-in"
          autoComplete="off"
          aria-invalid={read !== undefined && !read.ok}
          value={line}
          onChange={(event) => setLine(event.target.value)}
          className="w-full text-lg"
        />
        <Button type="submit" className="whitespace-nowrap" disabled={!belt && !numbered}>
          Put in
        </Button>
      </div>
      <p
        aria-live="polite"
        className={read && !read.ok ? 'min-h-[1.4em] text-sm text-live' : 'min-h-[1.4em] text-sm text-soft'}
      >
        {numbered && `${count} of: ${beltLabel(numbered, 'mm').words}, by the seller’s number.`}
        {read?.ok &&
          `${count} of: ${read.value.echo}${place ? `, in ${place}` : ''}${supplier ? `, from ${supplier}` : ''}${price === null ? '' : `, ${price.toFixed(2)} each`}.`}
        {read?.ok &&
          read.value.otherwise &&
          ` Or is it the other thing? Write “${size} long” for an inner length, “Ø” before the size for an inner diameter.`}
        {read && !read.ok && read.problem}
      </p>
    </form>
  );
}
