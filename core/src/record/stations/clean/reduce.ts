import { applyCleaning, isCure, treatmentSaid, type CleanEventBody } from '../../../work/cleaning';
import type { strip } from '../../../work/strip';
import type { ValueOf } from '../../../base/schema';
import type { treatment } from '../../../work/proving';
import { ok, type Result } from '../../../base/units';
import { upsert, without, type Reducers, type StateOf } from '../module';
import type { cleanEvents, cleanState } from './schema';

/** Clean shares the numbers of Strip, and what it did is what a new proof may answer. */
type State = StateOf<typeof cleanState> & {
  readonly strip: ValueOf<typeof strip>;
  readonly treatments: ReadonlyArray<ValueOf<typeof treatment>>;
};

const reduce = ({ cleaning }: State, event: CleanEventBody): Result<Partial<State>> => {
  const next = applyCleaning(cleaning, event);
  return next.ok ? ok({ cleaning: next.value }) : next;
};

export const cleanReducers: Reducers<State, typeof cleanEvents> = {
  placePut: (state, event) => {
    const next = reduce(state, event);
    if (!next.ok) return next;
    const { strip: kept } = state;
    // One numbering: a place takes its number from those that Strip gives.
    return event.place.number > kept.lastNumber
      ? ok({ ...next.value, strip: { ...kept, lastNumber: event.place.number } })
      : next;
  },
  placeRemoved: reduce,
  treated: (state, event) => {
    const next = reduce(state, event);
    if (!next.ok) return next;
    const { treatment: done } = event;
    if (!isCure(done)) return ok({ ...next.value, treatments: without(state.treatments, done.id) });
    const name = state.cleaning.places.find(({ id }) => id === done.placeId)?.name ?? '';
    const what = treatmentSaid(done, name);
    return what === ''
      ? next
      : ok({ ...next.value, treatments: upsert(state.treatments, { id: done.id, at: done.at, what }) });
  },
  treatmentRemoved: (state, event) => {
    const next = reduce(state, event);
    return next.ok ? ok({ ...next.value, treatments: without(state.treatments, event.treatmentId) }) : next;
  },
  slipTested: reduce,
  feelTested: reduce,
  shrinkPut: reduce,
  crumbsPut: reduce,
  jamPut: reduce,
};
