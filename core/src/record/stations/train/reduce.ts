import { applyTrain, type TrainEventBody } from '../../../physics/train';
import { ok, type Result } from '../../../base/units';
import type { Reducers, StateOf } from '../module';
import type { trainEvents, trainState } from './schema';

type State = StateOf<typeof trainState>;
const reduce = ({ train }: State, event: TrainEventBody): Result<Partial<State>> => {
  const next = applyTrain(train, event);
  return next.ok ? ok({ train: next.value }) : next;
};

export const trainReducers: Reducers<State, typeof trainEvents> = {
  trainPut: reduce,
  memberPut: reduce,
  memberRemoved: reduce,
  trainSaid: reduce,
  toothTried: reduce,
  rollersPut: reduce,
  modePut: reduce,
  squarePut: reduce,
  placesPut: reduce,
};
