import { useMemo } from 'react';
import { ownedBelts, type Item } from '@loose-pulley/core/shop/drawer';
import { stockOf, type DriveView, type OnSaleFor } from '@loose-pulley/core/views/drive';
import { selectItems, useAppSelector } from '../../state/store/hooks';

type Owned = ReadonlyMap<string, Item>;

const NONE: Owned = new Map();

/** Which of the belts that Size ranks are in the drawer, each with where it lies. */
export const ownedOf = (items: readonly Item[], asked: OnSaleFor): Owned =>
  items.length === 0 ? NONE : ownedBelts(items, stockOf(asked));

/** The same, found anew only where drawer, shape or stock change. */
export function useOwned({ drive, toBeHad, stock }: DriveView): Owned {
  const items = useAppSelector(selectItems);
  const shape = drive.oldShape;
  return useMemo(() => ownedOf(items, { drive: { oldShape: shape }, toBeHad, stock }), [items, shape, toBeHad, stock]);
}
