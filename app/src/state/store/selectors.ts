import { createSelector } from '@reduxjs/toolkit';
import type { Bench } from '@loose-pulley/core/views/drive';
import type { Item } from '@loose-pulley/core/shop/drawer';
import type { Order } from '@loose-pulley/core/shop/orders';
import type { RootState } from './types';

/** Every ticket in short, newest number first. */
export const selectSummaries = ({ bench }: RootState) => bench.summaries;

/** The orders of this bench; none while its book is not read. */
const NO_ORDERS: readonly Order[] = [];
export const selectOrders = ({ book }: RootState): readonly Order[] => book.record?.book.orders ?? NO_ORDERS;

const NO_ITEMS: readonly Item[] = [];
export const selectItems = ({ book }: RootState): readonly Item[] => book.record?.book.items ?? NO_ITEMS;

/** What this bench believes and demands. */
export const selectBench = createSelector(
  [
    ({ settings }: RootState) => settings.priors,
    ({ settings }: RootState) => settings.requirements,
    ({ settings }: RootState) => settings.toBeHad,
    ({ book }: RootState) => book.stock,
  ],
  (priors, requirements, toBeHad, stock): Bench => ({ priors, requirements, toBeHad, stock }),
);
