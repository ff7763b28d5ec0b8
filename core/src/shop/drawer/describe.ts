import { counted } from '../../base/units';
import { beltLabel } from '../../base/shapes';
import type { Says } from './says';
import type { DrawerState, drawerEvents } from './schema';

const sizeOf = ({ items }: DrawerState, itemId: string): string => {
  const item = items.find(({ id }) => id === itemId);
  return item ? beltLabel(item, 'mm').size : 'a size';
};

export const drawerSays: Says<DrawerState, typeof drawerEvents> = {
  itemsPut: ({ items }) =>
    items.length === 1 && items[0]
      ? `${beltLabel(items[0], 'mm').size} put in the drawer`
      : `${counted(items.length, 'size')} put in the drawer`,
  itemChanged: ({ itemId }, state) => `${sizeOf(state, itemId)} relabelled`,
  itemRemoved: ({ itemId }, state) => `${sizeOf(state, itemId)} removed from the drawer`,
  quantityChanged: ({ itemId, by }, state) => `${by > 0 ? `${by} more` : `${-by} fewer`} of ${sizeOf(state, itemId)}`,
  recounted: ({ itemId, quantity }, state) => `${sizeOf(state, itemId)} counted: ${quantity}`,
  kitPut: ({ kit }) => `kit “${kit.name}”`,
  kitRemoved: () => 'kit removed',
  kitOpened: ({ kitId }, { kits }) => `“${kits.find(({ id }) => id === kitId)?.name ?? 'a kit'}” taken apart`,
  taken: ({ take }, state) =>
    take.uncounted
      ? `${sizeOf(state, take.itemId)} of a ticket not counted out here`
      : `${sizeOf(state, take.itemId)} taken out for a ticket`,
  putBack: ({ gone }) => (gone ? 'a belt that was out is gone' : 'a belt put back in the drawer'),
  seriesSwitched: ({ series, on }) => `series ${series} ${on ? 'on' : 'off'}`,
};
