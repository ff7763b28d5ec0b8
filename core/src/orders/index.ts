export * from './schema';
export { isOut, orderReducers, orderSays, outstanding } from './reduce';
export { arrivesBy, chanceBy, daysFor, deliveryOf, type Delivery } from './delivery';
export { gather, onOrder, orderText, sumOf, wantState, type Wanted, type WantOf, type WantState } from './gather';
