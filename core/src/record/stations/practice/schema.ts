import { LOADERS } from '../../../base/loaders';
import { flag, id, list, nullable, number, one, optional, shape, text, time, type ValueOf } from '../../../base/schema';
import { STATIONS } from '../module';

/* A machine whose truth is hidden, to learn on: which one it is, and every hand that was laid on it. Only practice has it. */

/** How much help there is: as on a bench, only where it is asked for, or none. */
export const HELPS = ['on', 'asked', 'off'] as const;
export type Help = (typeof HELPS)[number];

/** Which machine it is: the same loader and number, or the same prepared one, are the same machine everywhere. */
const dealt = shape({
  loader: one(LOADERS),
  number: number(0, 999_999),
  /** The name of a prepared one, with the version of what prepared it; null where it was dealt by number. */
  prepared: nullable(id()),
  version: number(0, 10_000),
  help: one(HELPS),
});
export interface Dealt extends ValueOf<typeof dealt> {}

/** A hand that was laid on it, and what came of it as it was seen, heard and felt. */
const handLaid = shape({
  id: id(),
  at: time(),
  do: id(),
  what: text(80),
  words: text(800),
  minutes: number(0, 1000),
  /** What was forgotten, and happened by it. */
  mishaps: list(id(), 10),
});
export interface HandLaid extends ValueOf<typeof handLaid> {}

/** How it ended. */
const ended = shape({
  at: time(),
  /** What it asked to be judged, by the name of the judgement. */
  judgement: id(),
  /** Nothing is wrong with it any more, and nothing was done to it in vain. */
  right: flag(),
  cured: flag(),
  comesBack: flag(),
  belts: number(0, 1000),
  minutes: number(0, 100_000),
});
export interface Ended extends ValueOf<typeof ended> {}

const practice = shape({
  dealt,
  hands: list(handLaid, 2000),
  /** Where the adviser or Size was asked although silent. */
  asked: list(one(STATIONS), 500),
  /** Null until it went back. */
  ended: nullable(ended),
});
export interface Practice extends ValueOf<typeof practice> {}

export const practiceState = {
  /** Not there on any machine that stands on a real bench. */
  practice: optional(practice),
};

export const practiceEvents = {
  machineDealt: { dealt },
  handLaid: { hand: handLaid },
  helpAsked: { station: one(STATIONS) },
  practiceEnded: { ended },
};

/** What only hands can find out or do: on a practice ticket it comes from them, and cannot be typed. */
export const SAID_BY_HANDS: ReadonlySet<string> = new Set([
  'mainsSaid',
  'lidSaid',
  'observed',
  'readingTaken',
  'treated',
  'slipTested',
  'feelTested',
  'treatmentRecorded',
  'tryLogged',
  'tryJudged',
  'cycleLogged',
  'timingPut',
  'checkPut',
  'ticketClosed',
]);
