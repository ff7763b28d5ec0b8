import { nanoid } from 'nanoid';
import type { Kit } from '@loose-pulley/core/shop/drawer';
import { counted } from '@loose-pulley/core/base/units';
import { Button, CommitButton } from '../../parts/ui/Button';
import { changeBook } from '../../state/persistence/book';
import { useAppDispatch } from '../../state/store/hooks';

/** Kits that are still together, to be taken apart into their belts. */
export function Kits({ kits }: { readonly kits: readonly Kit[] }) {
  const dispatch = useAppDispatch();
  if (kits.length === 0) return null;
  return (
    <section aria-labelledby="kits" className="mt-6">
      <h2 id="kits" className="border-b border-ink pb-1 text-lg">
        Kits
      </h2>
      <ul>
        {kits.map((kit) => {
          const pieces = kit.contents.reduce((sum, { count }) => sum + count, 0);
          return (
            <li key={kit.id} className="flex flex-wrap items-center justify-between gap-3 border-b border-hair py-2">
              <span>
                <strong>{kit.name}</strong>
                <span className="block text-sm text-soft">
                  {kit.quantity === 0 ? 'none left' : `${kit.quantity} unopened`},{' '}
                  {counted(kit.contents.length, 'size')}, {counted(pieces, 'piece')}
                  {kit.place && `, ${kit.place}`}
                </span>
              </span>
              <span className="flex gap-2">
                <CommitButton
                  disabled={kit.quantity === 0}
                  onClick={() =>
                    void dispatch(
                      changeBook([{ type: 'kitOpened', kitId: kit.id, itemIds: kit.contents.map(() => nanoid(12)) }]),
                    )
                  }
                >
                  Take it apart
                </CommitButton>
                <Button look="quiet" onClick={() => void dispatch(changeBook([{ type: 'kitRemoved', kitId: kit.id }]))}>
                  Remove
                </Button>
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
