import {
  day,
  id,
  list,
  nullable,
  number,
  one,
  shape,
  some,
  text,
  time,
  type ShapeValue,
  type ValueOf,
} from '../../../base/schema';

/** Something that was offered to the owner, and who decided what. */
export const OFFER_ANSWERS = ['open', 'accepted', 'declined'] as const;
const offer = shape({
  id: id(),
  what: text(400),
  answer: one(OFFER_ANSWERS),
  /** Who said so, and why. */
  by: text(400),
});
export interface Offer extends ValueOf<typeof offer> {}

/** What the ticket can tell of itself, as text to change. */
export const FILLED = ['found', 'done', 'left'] as const;
export type FilledField = (typeof FILLED)[number];

/** What goes back with the machine. */
export const handBackFields = {
  found: text(8000),
  done: text(8000),
  left: text(8000),
  /** Which of these three are in the bench's own words; the others say what the ticket knows. */
  own: list(one(FILLED), 3),
  notTested: text(8000),
  /** What will not last, and the day it should be looked at again, `2027-05-01`; empty where nothing is provisional. */
  provisional: text(8000),
  dueOn: day(),
  /** Bench time and price, where the bench keeps them. */
  minutes: nullable(number(0, 100_000)),
  cost: text(40),
};
export interface HandBack extends ShapeValue<typeof handBackFields> {}

export const handBackState = {
  closedAt: nullable(time()),
  /** Why it went back with something still open; empty where nothing was. */
  closedDespite: text(2000),
  offers: list(offer, 100),
  handBack: shape(handBackFields),
};

export const handBackEvents = {
  offerPut: { offer },
  offerRemoved: { offerId: id() },
  handBackWritten: { changes: some(handBackFields) },
  ticketClosed: { despite: text(2000) },
  ticketReopened: {},
};
