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
