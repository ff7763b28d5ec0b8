import { sameSection, USUAL_SERIES } from '../../belts/catalogue';
import type { Reducers } from '../../record/stations';
import { ok, refuse, type Result } from '../../base/units';
import {
  QUANTITY_MAX,
  type BeltFields,
  type Content,
  type DrawerState,
  type Item,
  type drawerEvents,
  type Kit,
} from './schema';

/** Labels of one size differ by no more than rounding. */
const SAME_SIZE_MM = 0.05;

/**
 * Whether two sizes are one: what lies in one bag. Nearer than what the fingers can tell, since two labels are two sizes.
 *
 * @example sameSize(belt, { ...belt, innerLengthMm: 116.02 }) // true
 */
export const sameSize = (a: BeltFields, b: BeltFields): boolean =>
  sameSection(a, b) &&
  (a.widthMm ?? 0) === (b.widthMm ?? 0) &&
  Math.abs(a.innerLengthMm - b.innerLengthMm) < SAME_SIZE_MM;

const gone = <T>(what: string): Result<T> =>
  refuse(`That ${what} is not in the drawer any more. Nothing was changed; look at the drawer as it is now.`);

/** A size as it is before anything but the size is known. */
export const newItem = (id: string, belt: BeltFields, quantity: number, of: Partial<Item> = {}): Item => ({
  id,
  shape: belt.shape,
  thicknessMm: belt.thicknessMm,
  widthMm: belt.widthMm,
  innerLengthMm: belt.innerLengthMm,
  band: false,
  place: '',
  label: '',
  supplier: '',
  price: null,
  hardnessShoreA: null,
  rubber: 'unknown',
  boughtOn: '',
  measuredMm: null,
  measuredOn: '',
  lowAt: null,
  sellerNumbers: [],
  kit: '',
  ...of,
  quantity,
});

/** The drawer with so many more of an item; fewer than none, or more than a drawer holds, is refused. */
export function withQuantity(items: readonly Item[], itemId: string, by: number): Result<readonly Item[]> {
  const at = items.findIndex(({ id }) => id === itemId);
  const found = items[at];
  if (!found) return gone('size');
  const quantity = found.quantity + by;
  if (quantity < 0)
    return refuse(
      `There are ${found.quantity} of ${found.label || 'this size'} in the drawer, so ${-by} cannot be taken out. Count them again.`,
    );
  if (quantity > QUANTITY_MAX) return refuse(`A drawer holds at most ${QUANTITY_MAX} of one size.`);
  return ok(items.with(at, { ...found, quantity }));
}

/**
 * The items after so many of a size came in: added to what lies there under the same size, else as new. Refused where it
 * would be more than a drawer holds.
 */
export function received(items: readonly Item[], incoming: Item): Result<readonly Item[]> {
  const same = items.find((one) => !one.band && one.place === incoming.place && sameSize(one, incoming));
  return same ? withQuantity(items, same.id, incoming.quantity) : ok([...items, incoming]);
}

/** What one piece of a kit costs: an even share of it. */
function priceOfOne({ price, contents }: Kit): number | null {
  const pieces = contents.reduce((sum, { count }) => sum + count, 0);
  return price === null ? null : Math.round((100 * price) / pieces) / 100;
}

const ofKit = (kit: Kit, content: Content, id: string): Item =>
  newItem(id, content, content.count, {
    label: content.label,
    place: kit.place,
    supplier: kit.supplier,
    price: priceOfOne(kit),
    boughtOn: kit.boughtOn,
    kit: kit.name,
  });

export const drawerReducers: Reducers<DrawerState, typeof drawerEvents> = {
  itemsPut({ items }, event) {
    const known = new Set(items.map(({ id }) => id));
    const twice = event.items.find(({ id }) => known.has(id) || !known.add(id));
    return twice ? refuse('One of these sizes is in the drawer already.') : ok({ items: [...items, ...event.items] });
  },
  itemChanged: ({ items }, { itemId, changes }) =>
    items.some(({ id }) => id === itemId)
      ? ok({ items: items.map((one) => (one.id === itemId ? { ...one, ...changes } : one)) })
      : gone('size'),
  itemRemoved: ({ items, takes }, { itemId }) =>
    items.some(({ id }) => id === itemId)
      ? ok({ items: items.filter(({ id }) => id !== itemId), takes: takes.filter((one) => one.itemId !== itemId) })
      : gone('size'),
  quantityChanged({ items }, { itemId, by }) {
    const after = withQuantity(items, itemId, by);
    return after.ok ? ok({ items: after.value }) : after;
  },
  recounted: ({ items }, { itemId, quantity }) =>
    items.some(({ id }) => id === itemId)
      ? ok({ items: items.map((one) => (one.id === itemId ? { ...one, quantity } : one)) })
      : gone('size'),
  kitPut: ({ kits }, { kit }) =>
    ok({
      kits: kits.some(({ id }) => id === kit.id) ? kits.map((one) => (one.id === kit.id ? kit : one)) : [...kits, kit],
    }),
  kitRemoved: ({ kits }, { kitId }) =>
    kits.some(({ id }) => id === kitId) ? ok({ kits: kits.filter(({ id }) => id !== kitId) }) : gone('kit'),
  kitOpened({ items, kits }, { kitId, itemIds }) {
    const kit = kits.find(({ id }) => id === kitId);
    if (!kit) return gone('kit');
    if (kit.quantity < 1) return refuse(`None of “${kit.name}” is left to take apart.`);
    let after = items;
    for (const [index, content] of kit.contents.entries()) {
      const id = itemIds[index];
      if (id === undefined || after.some((one) => one.id === id))
        return refuse('A kit comes apart into new sizes only.');
      const next = received(after, ofKit(kit, content, id));
      if (!next.ok) return next;
      after = next.value;
    }
    return ok({ items: after, kits: kits.map((one) => (one === kit ? { ...kit, quantity: kit.quantity - 1 } : one)) });
  },
  taken({ items, takes }, { take }) {
    // Said again, by another tab or after a tab has died, it is the same one.
    if (takes.some(({ tryId }) => tryId === take.tryId)) return ok({});
    if (take.uncounted) return ok({ takes: [...takes, take] });
    const after = withQuantity(items, take.itemId, -1);
    return after.ok ? ok({ items: after.value, takes: [...takes, take] }) : after;
  },
  putBack({ items, takes }, { tryId, gone: forGood }) {
    const take = takes.find((one) => one.tryId === tryId);
    if (!take) return ok({});
    const others = takes.filter((one) => one !== take);
    if (forGood) return ok({ takes: others });
    // What was never counted out is not counted in, and is not asked about again.
    if (take.uncounted) return ok({});
    const after = withQuantity(items, take.itemId, 1);
    return after.ok ? ok({ items: after.value, takes: others }) : after;
  },
  seriesSwitched: ({ switchedSeries }, { series, on }) => {
    const others = switchedSeries.filter((one) => one !== series);
    return ok({ switchedSeries: USUAL_SERIES.includes(series) === on ? others : [...others, series] });
  },
};
