import { ok, refuse, type Result } from '../../base/units';
import { openRemoval } from './removals';
import { isOpen } from './temporaryChanges';
import { addOrder } from './order';
import type { Step, Strip, StripEventBody, TemporaryChange } from './schema';

function upsert<T extends { readonly id: string }>(list: readonly T[], item: T): readonly T[] {
  return list.some(({ id }) => id === item.id) ? list.map((old) => (old.id === item.id ? item : old)) : [...list, item];
}
/** A step put in late: before the one that came off after it. */
function placed(steps: readonly Step[], step: Step, beforeId: string): readonly Step[] {
  const rest = without(steps, step.id);
  const at = rest.findIndex(({ id }) => id === beforeId);
  return at < 0 ? [...rest, step] : [...rest.slice(0, at), step, ...rest.slice(at)];
}
const without = <T extends { readonly id: string }>(list: readonly T[], gone: string): readonly T[] =>
  list.filter(({ id }) => id !== gone);

/**
 * The strip after one body. A number once given is never given to another step, and a temporary change is reversed once.
 *
 * @returns the strip, or a sentence
 */
export function applyStrip(strip: Strip, event: StripEventBody): Result<Strip> {
  switch (event.type) {
    case 'stepPut': {
      const { step } = event;
      const old = strip.steps.find(({ id }) => id === step.id);
      if (old && old.number !== step.number) return refuse(`Number ${old.number} keeps its number.`);
      if (!old && step.number !== 0 && step.number <= strip.lastNumber) {
        return refuse(`Number ${step.number} was given before; the next is ${strip.lastNumber + 1}.`);
      }
      if (step.missing > step.count) return refuse('More are missing than there should be.');
      const impossible = step.removals.find(({ off, back }) => back !== null && back > off);
      if (impossible) {
        return refuse(
          `${impossible.off} came off, so ${impossible.back} cannot go back. Book in what was never logged as a step of its own.`,
        );
      }
      return ok({
        ...strip,
        steps: event.beforeId === undefined ? upsert(strip.steps, step) : placed(strip.steps, step, event.beforeId),
        lastNumber: Math.max(strip.lastNumber, step.number),
      });
    }
    case 'stepRemoved':
      return ok({
        ...strip,
        steps: without(strip.steps, event.stepId),
        orders: strip.orders.filter(({ firstId, thenId }) => firstId !== event.stepId && thenId !== event.stepId),
        temporaryChanges: strip.temporaryChanges.map((change) => ({
          ...change,
          ...(change.afterStepId === event.stepId && { afterStepId: null }),
          ...(change.beforeStepId === event.stepId && { beforeStepId: null }),
        })),
      });
    case 'openedAgain':
      return ok({ ...strip, opening: strip.opening + 1 });
    case 'temporaryChangePut': {
      const old = strip.temporaryChanges.find(({ id }) => id === event.change.id);
      if (old && old.closedAt !== null) return refuse(`“${old.words}” has ended. Open it anew.`);
      const early = changeWaits(strip, event.change);
      return early ? refuse(early) : ok({ ...strip, temporaryChanges: upsert(strip.temporaryChanges, event.change) });
    }
    case 'orderSaid': {
      const orders = addOrder(strip.orders, event.order, strip.steps);
      return orders.ok ? ok({ ...strip, orders: orders.value }) : orders;
    }
    case 'orderRemoved':
      return ok({ ...strip, orders: without(strip.orders, event.orderId) });
    case 'foundPut':
      return ok({ ...strip, found: upsert(strip.found, event.found) });
    case 'foundRemoved':
      return ok({ ...strip, found: without(strip.found, event.foundId) });
    case 'gearTried':
      return ok({ ...strip, gearTrials: [...strip.gearTrials, event.trial] });
    case 'parked':
      return ok({ ...strip, park: event.park });
  }
}

/** Why a change cannot be put yet, where it cannot: it waits for a step or another change, or the two wait for each other. */
function changeWaits({ steps, temporaryChanges }: Strip, change: TemporaryChange): string | undefined {
  const open = temporaryChanges.filter((one) => one.id !== change.id && isOpen(one));
  // Removal and round: each step of the walk is one temporary change that is still open.
  for (let at = change.afterChangeId, left = temporaryChanges.length; at !== null && left >= 0; left--) {
    if (at === change.id) return `“${change.words}” would wait for itself. Say the order the other way round.`;
    at = open.find(({ id }) => id === at)?.afterChangeId ?? null;
  }
  if (change.closedAt === null) return undefined;
  const step = steps.find(({ id }) => id === change.afterStepId);
  if (step && openRemoval(step)) {
    return `“${change.words}” ends only when number ${step.number}, ${step.what}, is back. Say that first, on Rebuild.`;
  }
  const first = open.find(({ id }) => id === change.afterChangeId);
  return first && `“${change.words}” ends only after “${first.words}”. End that first.`;
}
