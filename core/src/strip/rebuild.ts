import { isOpen } from './temporaryChanges';
import { openRemoval } from './removals';
import type { TemporaryChange, Order, Step, Strip } from './schema';

/** One thing to do on the way back. */
export type RebuildItem =
  | { readonly type: 'step'; readonly step: Step }
  | { readonly type: 'change'; readonly change: TemporaryChange }
  | { readonly type: 'try' };

/**
 * The steps that are off, in the order in which they go back: the reverse of how they came off, except where an order
 * says otherwise. Orders about steps that are not off are passed over.
 *
 * @param orders without a circle, as `addOrder` keeps them
 */
export function orderBack(steps: readonly Step[], orders: readonly Order[]): Step[] {
  const left = new Map(steps.map((step) => [step.id, step]));
  const out: Step[] = [];
  // What must go before a step is drawn forward to just before it, and what must go before that in turn.
  const put = (step: Step): void => {
    if (!left.delete(step.id)) return;
    for (const { firstId, thenId } of orders) {
      const first = thenId === step.id ? left.get(firstId) : undefined;
      if (first) put(first);
    }
    out.push(step);
  };
  for (const step of [...steps].reverse()) put(step);
  return out;
}

/**
 * Everything to do on the way back: steps in order, each temporary change as soon as it may be reversed and before its limit,
 * and a try before the lid.
 *
 * @example rebuildOf(strip).map(({ type }) => type) // ['step', 'change', 'step', 'try', 'step']
 */
export function rebuildOf({
  steps,
  orders,
  temporaryChanges,
}: Pick<Strip, 'steps' | 'orders' | 'temporaryChanges'>): RebuildItem[] {
  const off = steps.filter((step) => step.kind !== 'note' && openRemoval(step));
  const back = orderBack(off, orders);
  const open = temporaryChanges.filter(isOpen);
  // The first cover that came off is the lid: its layer is the last to go back.
  const lid = off.find(({ kind }) => kind === 'cover');
  const items: RebuildItem[] = [];
  const closed = new Set<string>();
  const stillOff = new Set(off.map(({ id }) => id));
  const waits = ({ afterStepId }: TemporaryChange): boolean => afterStepId !== null && stillOff.has(afterStepId);
  const close = (list: readonly TemporaryChange[]): void => {
    for (const change of list) {
      if (closed.has(change.id)) continue;
      // What must end before it comes first, whatever its own limit; circles are refused when they are said.
      const first = open.filter(({ id }) => id === change.afterChangeId);
      if (first.some(waits)) continue;
      close(first);
      closed.add(change.id);
      items.push({ type: 'change', change });
    }
  };
  let tried = false;
  const beforeTheLid = (): void => {
    close(open.filter((change) => change.before === 'power' && !waits(change)));
    if (!tried) items.push({ type: 'try' });
    tried = true;
    close(open.filter((change) => change.before === 'lid' && !waits(change)));
  };
  // What waited for a step that is back already is next: it was put off only for that.
  close(open.filter((change) => change.afterStepId !== null && !waits(change)));
  for (const step of back) {
    if (step === lid) beforeTheLid();
    items.push({ type: 'step', step });
    stillOff.delete(step.id);
    close(open.filter(({ afterStepId }) => afterStepId === step.id));
  }
  if (off.length > 0 || open.length > 0) {
    if (!lid && !tried) beforeTheLid();
    close(open);
  }
  return items;
}
