import { ok, refuse, type Result } from '../../base/units';
import type { Order, Step } from './schema';

const nameOf = (steps: readonly Step[], id: string): string => {
  const step = steps.find((one) => one.id === id);
  return step ? `${step.number} ${step.what}` : 'a step that is gone';
};

/**
 * Whether “this before that” can be held beside what was said before.
 *
 * @returns the orders with the new one; or a sentence that names the circle
 * For instance addOrder(orders, { firstId: 'b', thenId: 'a', … }, steps): refused where a is before b already
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
