import { TEMPORARY_CHANGES } from './temporaryChangeKinds';
import { isOpen } from './temporaryChanges';
import { lidStep } from './lid';
import { openRemoval } from './removals';
import type { ChangeLimit, TemporaryChange, Order, Step, Strip } from './schema';

/** One thing to do on the way back. A change that ends only after its limit has passed says which that is. */
export type RebuildItem =
  | { readonly type: 'step'; readonly step: Step }
  | { readonly type: 'change'; readonly change: TemporaryChange; readonly late?: ChangeLimit }
  | { readonly type: 'try' };

/** What has to go before a step of those that go back, through whatever is not off between them. */
function before(step: Step, orders: readonly Order[], isLeft: (id: string) => boolean): string[] {
  const found: string[] = [];
  const seen = new Set<string>();
  const open = [step.id];
  for (let at = open.pop(); at !== undefined; at = open.pop())
    for (const { firstId, thenId } of orders) {
      if (thenId !== at || seen.has(firstId)) continue;
      seen.add(firstId);
      if (isLeft(firstId)) found.push(firstId);
      else open.push(firstId);
    }
  return found;
}

/**
 * The steps that are off, in the order in which they go back: the reverse of how they came off, except where an order
 * says otherwise. An order through a step that is not off holds between those that are.
 *
 * @param orders without a circle, as `addOrder` keeps them
 */
export function orderBack(steps: readonly Step[], orders: readonly Order[]): Step[] {
  const left = new Map(steps.map((step) => [step.id, step]));
  const out: Step[] = [];
  // What must go before a step is drawn forward to just before it, and what must go before that in turn.
  const put = (step: Step): void => {
    if (!left.delete(step.id)) return;
    for (const id of before(step, orders, (one) => left.has(one))) {
      const first = left.get(id);
      if (first) put(first);
    }
    out.push(step);
  };
  for (const step of [...steps].reverse()) put(step);
  return out;
}

/**
 * Everything to do on the way back: steps in order, each temporary change as soon as it may be reversed, before what
 * covers its place and before its limit, and a try before the lid. What waits for the try never ends before it; where its
 * place would be covered before, the try comes first.
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
  const ended = new Set<string>();
  const stillOff = new Set(off.map(({ id }) => id));
  const passed = new Set<ChangeLimit>();
  /** Whether a change waits for the try, itself or through what must end before it. */
  const waitsForTry = (change: TemporaryChange, left = open.length): boolean => {
    const first = open.find(({ id }) => id === change.afterChangeId);
    return (
      TEMPORARY_CHANGES[change.kind].endsAfter === 'power' ||
      (first !== undefined && left > 0 && !ended.has(first.id) && waitsForTry(first, left - 1))
    );
  };
  /** Ends a change, and first what must end before it, however long the chain. @returns whether it is ended now */
  const end = (change: TemporaryChange): boolean => {
    if (ended.has(change.id)) return true;
    if (change.afterStepId !== null && stillOff.has(change.afterStepId)) return false;
    if (TEMPORARY_CHANGES[change.kind].endsAfter === 'power' && !passed.has('power')) return false;
    const first = open.find(({ id }) => id === change.afterChangeId);
    if (first && !end(first)) return false;
    ended.add(change.id);
    items.push({ type: 'change', change, ...(passed.has(change.before) && { late: change.before }) });
    return true;
  };
  /** Changes whose turn has come; those that still wait are next as soon as they wait no more. */
  const due = new Set<TemporaryChange>();
  const settle = (now: readonly TemporaryChange[]): void => {
    for (const change of now) due.add(change);
    for (const change of due) if (end(change)) due.delete(change);
  };
  const trial = (): void => {
    settle(open.filter((change) => change.before === 'power'));
    if (!passed.has('power')) items.push({ type: 'try' });
    passed.add('power');
  };
  const beforeTheLid = (): void => {
    trial();
    settle(open.filter((change) => change.before === 'lid'));
  };
  // What waited for a step that is back already is next: it was put off only for that.
  settle(open.filter((change) => change.afterStepId !== null && !stillOff.has(change.afterStepId)));
  for (const step of back) {
    const covered = open.filter(({ beforeStepId }) => beforeStepId === step.id);
    if (covered.some((change) => !ended.has(change.id) && waitsForTry(change))) trial();
    if (step === lid) beforeTheLid();
    settle(covered);
    items.push({ type: 'step', step });
    stillOff.delete(step.id);
    if (step === lid) passed.add('lid');
    settle(open.filter(({ afterStepId }) => afterStepId === step.id));
  }
  if (off.length > 0 || open.length > 0) {
    if (!lid || open.some((change) => !ended.has(change.id))) beforeTheLid();
    settle(open);
  }
  return items;
}
