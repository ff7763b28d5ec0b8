import { changes, upsert, without, type Reducers, type StateOf } from '../module';
import type { findEvents, findState } from './schema';

export const findReducers: Reducers<StateOf<typeof findState>, typeof findEvents> = {
  observed: ({ observations }, { observation }) => changes({ observations: upsert(observations, observation) }),
  observationRemoved: ({ observations }, { observationId }) =>
    changes({ observations: without(observations, observationId) }),
  verdictGiven: ({ verdicts }, { verdict }) =>
    changes({ verdicts: [...verdicts.filter(({ causeId }) => causeId !== verdict.causeId), verdict] }),
  verdictRemoved: ({ verdicts }, event) =>
    changes({ verdicts: verdicts.filter(({ causeId }) => causeId !== event.causeId) }),
  // Settled anew, the last word counts.
  findingSettled: ({ settled = [] }, { settlement }) =>
    changes({
      settled: [
        ...settled.filter(
          ({ thing, driveId, kept, dropped }) =>
            thing !== settlement.thing ||
            driveId !== settlement.driveId ||
            ![kept, dropped].includes(settlement.kept) ||
            ![kept, dropped].includes(settlement.dropped),
        ),
        settlement,
      ],
    }),
};
