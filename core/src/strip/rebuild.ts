import { ok, refuse, type Result } from '../units';
import { roundOff } from './layers';
import { isOpen } from './loops';
import type { Loop, Order, Step, Strip } from './types';

/** One thing to do on the way back. */
export type RebuildItem =
  | { readonly type: 'step'; readonly step: Step }
  | { readonly type: 'loop'; readonly loop: Loop }
  | { readonly type: 'try' };

const nameOf = (steps: readonly Step[], id: string): string => {
  const step = steps.find((one) => one.id === id);
  return step ? `${step.number} ${step.what}` : 'a step that is gone';
};

/**
 * Whether “this before that” can be held beside what was said before.
 *
 * @returns the orders with the new one; or a sentence that names the circle
 * @example addOrder(orders, { firstId: 'b', thenId: 'a', … }, steps) // refused where a is before b already
 */
export function addOrder(orders: readonly Order[], order: Order, steps: readonly Step[]): Result<readonly Order[]> {
  const { firstId, thenId } = order;
  if (firstId === thenId) return refuse(`Number ${nameOf(steps, firstId)} cannot go before itself.`);
  // A way from the later to the earlier closes the circle.
  const cameFrom = new Map<string, string>();
  const open = [thenId];
  for (let at = open.shift(); at !== undefined; at = open.shift()) {
    for (const { firstId: from, thenId: to } of orders) {
      if (from !== at || cameFrom.has(to)) continue;
      cameFrom.set(to, at);
      open.push(to);
    }
  }
  if (!cameFrom.has(firstId)) return ok([...orders, order]);
  const circle = [firstId];
  for (let at = cameFrom.get(firstId); at !== undefined && at !== thenId; at = cameFrom.get(at)) circle.unshift(at);
  circle.unshift(thenId);
  return refuse(
    `That goes round in a circle: ${circle.map((id) => nameOf(steps, id)).join(' before ')} was said already, so ${nameOf(steps, firstId)} cannot go before ${nameOf(steps, thenId)}.`,
  );
}

/**
 * The steps that are off, in the order in which they go back: the reverse of how they came off, except where an order
 * says otherwise. Orders about steps that are not off are passed over.
 *
 * @param orders without a circle, as `addOrder` keeps them
 */
export function orderBack(steps: readonly Step[], orders: readonly Order[]): Step[] {
  const left = new Map([...steps].reverse().map((step) => [step.id, step]));
  const out: Step[] = [];
  while (left.size > 0) {
    const next = [...left.values()].find(
      ({ id }) => !orders.some(({ firstId, thenId }) => thenId === id && left.has(firstId)),
    );
    // Only a circle leaves none, and circles are refused; the plain reverse is then the honest rest.
    const chosen = next ?? [...left.values()][0];
    if (!chosen) break;
    left.delete(chosen.id);
    out.push(chosen);
  }
  return out;
}

/**
 * Everything to do on the way back: steps in order, each open loop as soon as it may be closed and before its limit,
 * and a try before the lid.
 *
 * @example rebuildOf(strip).map(({ type }) => type) // ['step', 'loop', 'step', 'try', 'step']
 */
export function rebuildOf({ steps, orders, loops }: Pick<Strip, 'steps' | 'orders' | 'loops'>): RebuildItem[] {
  const off = steps.filter((step) => step.kind !== 'note' && roundOff(step));
  const back = orderBack(off, orders);
  const open = loops.filter(isOpen);
  // The first cover that came off is the lid: its layer is the last to go back.
  const lid = off.find(({ kind }) => kind === 'cover');
  const items: RebuildItem[] = [];
  const closed = new Set<string>();
  const close = (list: readonly Loop[]): void => {
    for (const loop of list) {
      if (closed.has(loop.id)) continue;
      closed.add(loop.id);
      items.push({ type: 'loop', loop });
    }
  };
  const waits = ({ afterStepId }: Loop): boolean => afterStepId !== null && off.some(({ id }) => id === afterStepId);
  let tried = false;
  const beforeTheLid = (): void => {
    close(open.filter((loop) => loop.before === 'power' && !waits(loop)));
    if (!tried) items.push({ type: 'try' });
    tried = true;
    close(open.filter((loop) => loop.before === 'lid' && !waits(loop)));
  };
  for (const step of back) {
    if (step === lid) beforeTheLid();
    items.push({ type: 'step', step });
    close(open.filter(({ afterStepId }) => afterStepId === step.id));
  }
  if (off.length > 0 || open.length > 0) {
    if (!lid && !tried) beforeTheLid();
    close(open);
  }
  return items;
}
