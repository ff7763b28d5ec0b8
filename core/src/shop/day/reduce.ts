import type { Says } from '../drawer';
import type { Reducers } from '../../record/stations';
import { ok, refuse, type Result } from '../../base/units';
import { hoursOf } from './hours';
import type { dayEvents, DayState } from './schema';

/** Hours that a bench can keep. */
const opened = (hours: DayState['hours']): Result<Pick<DayState, 'hours'>> =>
  hours.flat().some(({ fromMin, toMin }) => fromMin >= toMin)
    ? refuse('A bench opens before it closes. Nothing was changed.')
    : ok({ hours });

export const dayReducers: Reducers<DayState, typeof dayEvents> = {
  hoursSet: (_, { hours }) => opened(hours),
  dayHoursSet: (state, { weekday, shifts }) =>
    opened(hoursOf(state).map((one, day) => (day === weekday ? shifts : one))),
  placesSet: (state, { benches = state.benches, dryingPlaces = state.dryingPlaces }) => ok({ benches, dryingPlaces }),
  stepPinned: ({ pins }, { pin }) => ok({ pins: [...pins.filter(({ stepId }) => stepId !== pin.stepId), pin] }),
  stepUnpinned: ({ pins }, { stepId }) => ok({ pins: pins.filter((one) => one.stepId !== stepId) }),
  minutesSaid: ({ minutes }, { key, minutes: said }) => ok({ minutes: { ...minutes, [key]: said } }),
  minutesForgotten: ({ minutes }, { key }) =>
    ok({ minutes: Object.fromEntries(Object.entries(minutes).filter(([one]) => one !== key)) }),
};

export const daySays: Says<DayState, typeof dayEvents> = {
  hoursSet: () => 'opening hours',
  dayHoursSet: () => 'opening hours of a day',
  placesSet: ({ benches, dryingPlaces }) =>
    [
      ...(benches ? [`${benches} places on the bench`] : []),
      ...(dryingPlaces ? [`${dryingPlaces} places to dry`] : []),
    ].join(', '),
  stepPinned: () => 'a step set by hand',
  stepUnpinned: () => 'a step left to the plan again',
  minutesSaid: ({ minutes }) => `${minutes} minutes for a step`,
  minutesForgotten: () => 'minutes as learned again',
};
