import { applyStrip, type StripEventBody } from '../../../work/strip';
import { ok, type Result } from '../../../base/units';
import type { Reducers, StateOf } from '../module';
import type { stripEvents, stripState } from './schema';

type State = StateOf<typeof stripState>;
const reduce = ({ strip }: State, event: StripEventBody): Result<Partial<State>> => {
  const next = applyStrip(strip, event);
  return next.ok ? ok({ strip: next.value }) : next;
};

export const stripReducers: Reducers<State, typeof stripEvents> = {
  stepPut: reduce,
  stepRemoved: reduce,
  openedAgain: reduce,
  temporaryChangePut: reduce,
  foundPut: reduce,
  foundRemoved: reduce,
  parked: reduce,
};
