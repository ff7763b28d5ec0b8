import type { BeltFields } from '../drawer';
import type { Order, OrderLine } from './schema';

/** A line of an order that nothing has come of yet. */
export const newLine = (id: string, belt: BeltFields, quantity: number, of: Partial<OrderLine> = {}): OrderLine => ({
  id,
  shape: belt.shape,
  thicknessMm: belt.thicknessMm,
  widthMm: belt.widthMm,
  innerLengthMm: belt.innerLengthMm,
  label: '',
  sellerNumber: '',
  price: null,
  insteadOf: '',
  wants: [],
  ...of,
  quantity,
  arrived: 0,
  wrong: 0,
  arrivedAt: null,
});

/** A list that is being made. */
export const newOrder = (id: string, supplier: string, lines: readonly OrderLine[]): Order => ({
  id,
  supplier,
  placedAt: null,
  expectedOn: '',
  reference: '',
  byCounter: false,
  lines,
  closedAt: null,
});
