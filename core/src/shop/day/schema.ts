import {
  dictionary,
  list,
  number,
  optional,
  shape,
  text,
  time,
  type ShapeValue,
  type ValueOf,
} from '../../base/schema';

/* How a bench keeps its day: when it is open, how many machines fit, what was set by hand, how long things take. */

export const MINUTES_OF_DAY = 1440;

/** Open from and to, in minutes after midnight, on the bench's own clock. */
const shift = shape({ fromMin: number(0, MINUTES_OF_DAY), toMin: number(0, MINUTES_OF_DAY) });
export interface OpeningShift extends ValueOf<typeof shift> {}

/** A step that was dragged to a moment, and stays there. */
const pin = shape({ stepId: text(120, 1), at: time() });
export interface Pin extends ValueOf<typeof pin> {}

export const dayState = {
  /** The shifts of each weekday, Monday first. Seven empty days stand for the usual ones. */
  hours: list(list(shift, 4), 7),
  benches: number(1, 50, 3),
  dryingPlaces: number(1, 50, 2),
  pins: list(pin, 500),
  /** Minutes of a kind of step as the bench has put them right, by station and mechanism. */
  minutes: dictionary(number(1, 10_000)),
};
export interface DayState extends ShapeValue<typeof dayState> {}

export const dayEvents = {
  /** The whole week, as the first versions said it. */
  hoursSet: { hours: list(list(shift, 4), 7, 7) },
  /** One weekday, Monday being 0: two tabs may say two of them. */
  dayHoursSet: { weekday: number(0, 6), shifts: list(shift, 4) },
  placesSet: { benches: optional(number(1, 50)), dryingPlaces: optional(number(1, 50)) },
  stepPinned: { pin },
  stepUnpinned: { stepId: text(120, 1) },
  minutesSaid: { key: text(120, 1), minutes: number(1, 10_000) },
  minutesForgotten: { key: text(120, 1) },
};
