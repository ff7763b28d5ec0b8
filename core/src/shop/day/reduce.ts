import type { Says } from '../drawer';
import type { Reducers } from '../../record/stations';
import { ok, refuse } from '../../base/units';
import type { dayEvents, DayState } from './schema';

export const dayReducers: Reducers<DayState, typeof dayEvents> = {
  hoursSet(_, { hours }) {
    const wrong = hours.flat().find(({ fromMin, toMin }) => fromMin >= toMin);
    return wrong ? refuse('A bench opens before it closes. Nothing was changed.') : ok({ hours });
  },
  placesSet: (_, { benches, dryingPlaces }) => ok({ benches, dryingPlaces }),
  stepPinned: ({ pins }, { pin }) => ok({ pins: [...pins.filter(({ stepId }) => stepId !== pin.stepId), pin] }),
  stepUnpinned: ({ pins }, { stepId }) => ok({ pins: pins.filter((one) => one.stepId !== stepId) }),
  minutesSaid: ({ minutes }, { key, minutes: said }) => ok({ minutes: { ...minutes, [key]: said } }),
  minutesForgotten: ({ minutes }, { key }) =>
    ok({ minutes: Object.fromEntries(Object.entries(minutes).filter(([one]) => one !== key)) }),
};

export const daySays: Says<DayState, typeof dayEvents> = {
  hoursSet: () => 'opening hours',
  placesSet: ({ benches, dryingPlaces }) => `${benches} places on the bench, ${dryingPlaces} to dry`,
  stepPinned: () => 'a step set by hand',
  stepUnpinned: () => 'a step left to the plan again',
  minutesSaid: ({ minutes }) => `${minutes} minutes for a step`,
  minutesForgotten: () => 'minutes as learned again',
};
