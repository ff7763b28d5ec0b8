import { sameBelt, type CatalogueBelt } from '../../belts/catalogue';
import { lengthOf } from './look';
import type { Item } from './schema';

/**
 * Which of some belts are in the drawer, each with the size that it lies under: the one with most of it. Cost: linear, by
 * the millimetre.
 *
 * @example ownedBelts(items, CATALOGUE).get('square-1.2-116')?.place // 'A4'
 */
export function ownedBelts(items: readonly Item[], belts: readonly CatalogueBelt[]): ReadonlyMap<string, Item> {
  const byMm = new Map<number, Item[]>();
  for (const item of items) {
    if (item.quantity === 0 || item.band) continue;
    const mm = Math.round(lengthOf(item));
    const known = byMm.get(mm);
    if (known) known.push(item);
    else byMm.set(mm, [item]);
  }
  if (byMm.size === 0) return new Map();
  const owned = new Map<string, Item>();
  for (const belt of belts) {
    const mm = Math.round(belt.innerLengthMm);
    const like = [mm - 1, mm, mm + 1]
      .flatMap((at) => byMm.get(at) ?? [])
      .filter((item) => sameBelt(belt, { ...item, innerLengthMm: lengthOf(item) }));
    const [most] = like.sort((a, b) => b.quantity - a.quantity);
    if (most) owned.set(belt.id, most);
  }
  return owned;
}
