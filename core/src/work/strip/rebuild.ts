import { isOpen } from './temporaryChanges';
import { lidStep } from './lid';
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
 * Everything to do on the way back: steps in order, each temporary change as soon as it may be reversed, before what
 * covers its place and before its limit, and a try before the lid.
 *
 * @example rebuildOf(strip).map(({ type }) => type) // ['step', 'try', 'step', 'change']
 */
export function rebuildOf({
  steps,
  orders,
  temporaryChanges,
}: Pick<Strip, 'steps' | 'orders' | 'temporaryChanges'>): RebuildItem[] {
  const off = steps.filter((step) => openRemoval(step));
  const back = orderBack(off, orders);
  const open = temporaryChanges.filter(isOpen);
  // The lid, or else the first cover that came off: its layer is the last to go back.
  const own = lidStep(steps);
  const lid = off.find((step) => step === own) ?? off.find(({ kind }) => kind === 'cover');
  const items: RebuildItem[] = [];
  const closed = new Set<string>();
  const stillOff = new Set(off.map(({ id }) => id));
  const waits = ({ afterStepId }: TemporaryChange): boolean => afterStepId !== null && stillOff.has(afterStepId);
  /** Ends a change, and first what must end before it, however long the chain. @returns whether it is ended now */
  const close = (change: TemporaryChange): boolean => {
    if (closed.has(change.id)) return true;
    if (waits(change)) return false;
    const first = open.find(({ id }) => id === change.afterChangeId);
    if (first && !close(first)) return false;
    closed.add(change.id);
    items.push({ type: 'change', change });
    return true;
  };
  const closeAll = (list: readonly TemporaryChange[]): void => {
    for (const change of list) close(change);
  };
  let tried = false;
  const beforeTheLid = (): void => {
    closeAll(open.filter((change) => change.before === 'power'));
    if (!tried) items.push({ type: 'try' });
    tried = true;
    closeAll(open.filter((change) => change.before === 'lid'));
  };
  // What waited for a step that is back already is next: it was put off only for that.
  closeAll(open.filter((change) => change.afterStepId !== null));
  for (const step of back) {
    closeAll(open.filter(({ beforeStepId }) => beforeStepId === step.id));
    if (step === lid) beforeTheLid();
    items.push({ type: 'step', step });
    stillOff.delete(step.id);
    closeAll(open.filter(({ afterStepId }) => afterStepId === step.id));
  }
  if (off.length > 0 || open.length > 0) {
    if (!lid && !tried) beforeTheLid();
    closeAll(open);
  }
  return items;
}
