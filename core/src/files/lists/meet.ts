import { sameSize, type Item } from '../../shop/drawer';

/** How a list stands to the drawer. */
export interface Meeting {
  /** Sizes that are new there. */
  readonly fresh: readonly Item[];
  /** Bags that hang there already, with what the list says of each. */
  readonly here: ReadonlyArray<readonly [there: Item, listed: Item]>;
}

/**
 * What of a list hangs in the drawer already: the same size at the same place, by its label where one is written. Each bag
 * is met once.
 *
 * For instance meet(items, readList(table, matching, newId).items).fresh
 */
export function meet(items: readonly Item[], listed: readonly Item[]): Meeting {
  const byPlace = new Map<string, Item[]>();
  for (const one of items) byPlace.set(one.place, [...(byPlace.get(one.place) ?? []), one]);
  const met = new Set<Item>();
  const fresh: Item[] = [];
  const here: Array<readonly [Item, Item]> = [];
  for (const one of listed) {
    const bags = (byPlace.get(one.place) ?? []).filter(
      (bag) => !met.has(bag) && bag.band === one.band && sameSize(bag, one),
    );
    const bag =
      bags.find(({ label }) => label === one.label) ?? bags.find(({ label }) => label === '' || one.label === '');
    if (!bag) {
      fresh.push(one);
      continue;
    }
    met.add(bag);
    here.push([bag, one]);
  }
  return { fresh, here };
}
