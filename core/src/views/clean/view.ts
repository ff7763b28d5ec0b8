import {
  beltInReach,
  heldBelt,
  heldPower,
  nextLubrication,
  placeState,
  surfaceAt,
  type Held,
  type HeldBy,
  type LubricationStep,
  type Place,
  type PlaceState,
} from '../../work/cleaning';
import type { Surface } from '../../physics/drive';
import { asFound, mapAsFound } from '../../record/findings';
import type { Ticket } from '../../record/ticket';
import type { Timer } from '../../base/timers';

/** A place as the map and its page show it. */
export interface PlaceView {
  readonly place: Place;
  /** Nobody said anything of it yet. */
  readonly suggested: boolean;
  readonly state: PlaceState;
  /** Of a pulley, as Measure has it too. */
  readonly surface: Surface | null;
  /** The timer that runs there, or waits to be seen to. */
  readonly timer: Timer | undefined;
  readonly lubrication: LubricationStep | undefined;
  readonly beltInReach: boolean;
  /** It is off the machine now, so it is done on the bench. */
  readonly off: boolean;
}

export interface CleanView {
  readonly places: readonly PlaceView[];
  readonly heldBy: HeldBy;
}

const views = new WeakMap<Ticket, CleanView>();

/**
 * All that Clean knows of a machine: its places, and how each stands. The same ticket gives the same view.
 *
 * Cost: places × treatments, some 60 × 200 at most.
 *
 * @example cleanView(ticket).places[0]?.place.name // 'motor pulley'
 */
export function cleanView(ticket: Ticket): CleanView {
  const known = views.get(ticket);
  if (known) return known;
  const map = mapAsFound(ticket);
  const { drives } = asFound(ticket);
  const off = new Set(
    ticket.strip.steps.filter(({ removals }) => removals.some(({ back }) => back === null)).map(({ id }) => id),
  );
  const places = map.map(({ place, suggested }): PlaceView => {
    const surface = surfaceAt(place, drives);
    const state = placeState(place, ticket.cleaning.treatments, surface);
    return {
      place,
      suggested,
      surface,
      state,
      timer: ticket.timers.findLast((timer) => timer.placeId === place.id && timer.endedAt === null),
      lubrication: nextLubrication(place, state, beltInReach(place)),
      beltInReach: beltInReach(place),
      off: place.stepId !== null && off.has(place.stepId),
    };
  });
  const view: CleanView = {
    places,
    heldBy: { cleaning: ticket.cleaning, places: places.map(({ place }) => place), timers: ticket.timers },
  };
  views.set(ticket, view);
  return view;
}

/** What still holds back the belt of a drive; null for any. @example beltHeld(ticket, null, now) // [] */
export const beltHeld = (ticket: Ticket, driveId: string | null, nowMs: number): readonly Held[] =>
  heldBelt(cleanView(ticket).heldBy, driveId, nowMs);

/** What still holds back the power. @example powerHeld(ticket, now) // [] */
export const powerHeld = (ticket: Ticket, nowMs: number): readonly Held[] => heldPower(cleanView(ticket).heldBy, nowMs);
