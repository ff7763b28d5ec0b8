import { applyStrip, type rebuildEvents, type strip, type StripEventBody } from '../../../work/strip';
import { ok, type Result } from '../../../base/units';
import type { Reducers, StateOf } from '../module';

type State = StateOf<{ strip: typeof strip }>;
const reduce = ({ strip: before }: State, event: StripEventBody): Result<Partial<State>> => {
  const next = applyStrip(before, event);
  return next.ok ? ok({ strip: next.value }) : next;
};

export const rebuildReducers: Reducers<State, typeof rebuildEvents> = {
  orderSaid: reduce,
  orderRemoved: reduce,
  gearTried: reduce,
};
