import { ok, refuse, type Result } from '../../base/units';
import type { Train, TrainEventBody } from './schema';

export const EMPTY_TRAIN: Train = {
  members: [],
  travelMm: null,
  motorRpm: null,
  trials: [],
  rollers: { list: [], spacingMm: null, travelMm: null, pullBackN: null, link: 'unknown', rattles: 'unknown' },
  mode: { states: [], at: null, home: null, way: 'unknown', viewedFrom: '' },
  square: { leftMm: null, rightMm: null, spacingMm: null, steps: [] },
};

/** What one event makes of a train; a sentence where it speaks of a member that is not there. */
export function applyTrain(train: Train, event: TrainEventBody): Result<Train> {
  switch (event.type) {
    case 'trainPut':
      return ok({ ...train, members: event.members });
    case 'memberPut': {
      const { member } = event;
      const known = train.members.some(({ id }) => id === member.id);
      return ok({
        ...train,
        members: known ? train.members.map((one) => (one.id === member.id ? member : one)) : [...train.members, member],
      });
    }
    case 'memberRemoved':
      if (!train.members.some(({ id }) => id === event.memberId))
        return refuse('There is no such member in the train.');
      return ok({
        ...train,
        members: train.members
          .filter(({ id }) => id !== event.memberId)
          .map((one) => ({ ...one, from: one.from.filter((id) => id !== event.memberId) })),
      });
    case 'trainSaid':
      return ok({ ...train, ...event.changes });
    case 'toothTried':
      return ok({ ...train, trials: [...train.trials, event.trial] });
    case 'rollersPut':
      return ok({ ...train, rollers: event.rollers });
    case 'modePut':
      return ok({ ...train, mode: event.mode });
    case 'squarePut':
      return ok({ ...train, square: event.square });
    case 'placesPut':
      return ok({ ...train, places: event.places });
  }
}
