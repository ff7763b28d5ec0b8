import { useMemo } from 'react';
import { ownedBelts, type Item } from '@loose-pulley/core/shop/drawer';
import { stockOf, type DriveView } from '@loose-pulley/core/views/drive';
import { selectItems, useAppSelector } from '../../state/store/hooks';

const NONE: ReadonlyMap<string, Item> = new Map();

/** Which of the belts that Size ranks are in the drawer, each with where it lies. */
export function useOwned(view: DriveView): ReadonlyMap<string, Item> {
  const items = useAppSelector(selectItems);
  const { drive, toBeHad, stock } = view;
  const shape = drive.oldShape;
  return useMemo(
    () =>
      items.length === 0
        ? NONE
        : ownedBelts(items, stockOf({ drive: { oldShape: shape }, toBeHad, stock } as DriveView)),
    [items, shape, toBeHad, stock],
  );
}
