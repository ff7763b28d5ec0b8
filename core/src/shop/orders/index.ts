export * from './schema';
export { isOut, outstanding, wantState, type WantState } from './standing';
export { newLine, newOrder } from './fresh';
export { orderReducers, orderSays } from './reduce';
export { arrivesBy, chanceBy, daysFor, deliveryOf, type Delivery } from './delivery';
export { gather, onOrder, orderText, priceOf, sumOf, type Wanted, type WantOf } from './gather';
export { listFor, listing, supplierKey } from './listing';
