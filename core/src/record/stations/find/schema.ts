import { id, list, nullable, one, optional, shape, text, time, type ValueOf } from '../../../base/schema';

/** An answer to one of the adviser's tests, as kept. The words are the knowledge's own ids: a bench may have its own. */
const observation = shape({
  id: id(),
  at: time(),
  testId: id(),
  /** An outcome of the test, or `unclear`, or `notTried`. */
  outcome: id(),
  /** The drive whose belt it was about; null where it was about the whole machine. */
  driveId: nullable(id()),
});
export interface ObservationRecord extends ValueOf<typeof observation> {}

/** What the technician says of a cause. It always wins over the adviser. */
export const VERDICT_STATES = ['found', 'cured', 'ruledOut'] as const;
const causeVerdict = shape({
  causeId: id(),
  state: one(VERDICT_STATES),
  /** The cause's name when it was said, so that a ticket can be read without the knowledge. */
  words: text(200),
  at: time(),
});
export interface CauseVerdict extends ValueOf<typeof causeVerdict> {}

/** Of two findings that cannot both be so, which one is: the other counts no more, anywhere. */
const settlement = shape({ thing: text(40), driveId: nullable(id()), kept: text(40), dropped: text(40), at: time() });
export interface Settlement extends ValueOf<typeof settlement> {}

export const findState = {
  observations: list(observation, 1000),
  verdicts: list(causeVerdict, 200),
  /** Not there until something was settled. */
  settled: optional(list(settlement, 200)),
};

export const findEvents = {
  observed: { observation },
  observationRemoved: { observationId: id() },
  verdictGiven: { verdict: causeVerdict },
  verdictRemoved: { causeId: id() },
  findingSettled: { settlement },
};
