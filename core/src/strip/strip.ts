import { ok, refuse, type Result } from '../units';
import { addOrder } from './order';
import type { FoundPart, GearTrial, Loop, Order, Park, Step, Strip } from './types';

export const EMPTY_STRIP: Strip = {
  steps: [],
  lastNumber: 0,
  opening: 1,
  loops: [],
  orders: [],
  found: [],
  gearTrials: [],
  park: null,
};

/** What can happen to a strip. */
export type StripHappening =
  | { readonly type: 'stepPut'; readonly step: Step }
  | { readonly type: 'stepRemoved'; readonly stepId: string }
  | { readonly type: 'openedAgain' }
  | { readonly type: 'loopPut'; readonly loop: Loop }
  | { readonly type: 'orderSaid'; readonly order: Order }
  | { readonly type: 'orderRemoved'; readonly orderId: string }
  | { readonly type: 'foundPut'; readonly found: FoundPart }
  | { readonly type: 'foundRemoved'; readonly foundId: string }
  | { readonly type: 'gearTried'; readonly trial: GearTrial }
  | { readonly type: 'parked'; readonly park: Park | null };

function upsert<T extends { readonly id: string }>(list: readonly T[], item: T): readonly T[] {
  return list.some(({ id }) => id === item.id) ? list.map((old) => (old.id === item.id ? item : old)) : [...list, item];
}
const without = <T extends { readonly id: string }>(list: readonly T[], gone: string): readonly T[] =>
  list.filter(({ id }) => id !== gone);

/**
 * The strip after one happening. A number once given is never given to another step, and a loop ends once.
 *
 * @returns the strip, or a sentence
 */
export function applyStrip(strip: Strip, event: StripHappening): Result<Strip> {
  switch (event.type) {
    case 'stepPut': {
      const { step } = event;
      const old = strip.steps.find(({ id }) => id === step.id);
      if (old && old.number !== step.number) return refuse(`Number ${old.number} keeps its number.`);
      if (!old && step.number !== 0 && step.number <= strip.lastNumber) {
        return refuse(`Number ${step.number} was given before; the next is ${strip.lastNumber + 1}.`);
      }
      if (step.missing > step.count) return refuse('More are missing than there should be.');
      const impossible = step.rounds.find(({ off, back }) => back !== null && back > off);
      if (impossible) {
        return refuse(
          `${impossible.off} came off, so ${impossible.back} cannot go back. Book in what was never logged as a step of its own.`,
        );
      }
      return ok({
        ...strip,
        steps: upsert(strip.steps, step),
        lastNumber: Math.max(strip.lastNumber, step.number),
      });
    }
    case 'stepRemoved':
      return ok({
        ...strip,
        steps: without(strip.steps, event.stepId),
        orders: strip.orders.filter(({ firstId, thenId }) => firstId !== event.stepId && thenId !== event.stepId),
        loops: strip.loops.map((loop) => (loop.afterStepId === event.stepId ? { ...loop, afterStepId: null } : loop)),
      });
    case 'openedAgain':
      return ok({ ...strip, opening: strip.opening + 1 });
    case 'loopPut': {
      const old = strip.loops.find(({ id }) => id === event.loop.id);
      if (old && old.closedAt !== null) return refuse(`“${old.words}” has ended. Open it anew.`);
      return ok({ ...strip, loops: upsert(strip.loops, event.loop) });
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

/** A step from a draft, with the next number and its first time off. Notes have no number and are never off. */
export function newStep(
  strip: Pick<Strip, 'lastNumber' | 'opening'>,
  draft: Omit<Step, 'id' | 'at' | 'number' | 'notNextTime' | 'pictureIds' | 'rounds'>,
  id: string,
  at: string,
): Step {
  const note = draft.kind === 'note';
  const stays = note || draft.leaveAlone !== '';
  return {
    ...draft,
    id,
    at,
    number: note ? 0 : strip.lastNumber + 1,
    notNextTime: '',
    pictureIds: [],
    rounds: stays ? [] : [{ opening: strip.opening, off: draft.count - draft.missing, back: null }],
  };
}

/** A step that comes off once more, in this opening, under its old number. Refused while it is off. */
export function offAgain(strip: Pick<Strip, 'opening'>, step: Step): Result<Step> {
  const last = step.rounds[step.rounds.length - 1];
  if (last?.back === null) return refuse(`Number ${step.number} is off already.`);
  const off = last ? (last.back ?? last.off) : step.count - step.missing;
  return ok({ ...step, rounds: [...step.rounds, { opening: strip.opening, off, back: null }] });
}

/** A step that went back, with how many. */
export const goneBack = (step: Step, count: number): Step => ({
  ...step,
  rounds: step.rounds.map((round, index) => (index === step.rounds.length - 1 ? { ...round, back: count } : round)),
});

/** The same step on the other deck, mirrored. @example mirrored(step).where // 'front left, other deck' */
export const mirrored = (step: Step): Omit<Step, 'id' | 'at' | 'number' | 'notNextTime' | 'pictureIds' | 'rounds'> => ({
  kind: step.kind,
  what: step.what,
  line: `${step.line}, other deck`.slice(0, 400),
  count: step.count,
  missing: 0,
  drive: step.drive,
  lengthMm: step.lengthMm,
  where: [swapSides(step.where), 'other deck'].filter(Boolean).join(', ').slice(0, 400),
  orientation: swapSides(step.orientation),
  leaveAlone: step.leaveAlone,
});

/** Left and right, changed for one another: the two decks mirror each other. */
const swapSides = (words: string): string =>
  words.replace(/\b(left|right)\b/gi, (side) => (side.toLowerCase() === 'left' ? 'right' : 'left'));

/** A fastener that was never logged, booked in as it goes back. */
export const bookedIn = (step: Step): Step => ({
  ...step,
  rounds: step.rounds.map((round) => ({ ...round, back: round.off })),
});
