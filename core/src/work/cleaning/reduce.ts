import { ok, refuse, type Result } from '../../base/units';
import type { Cleaning, CleanEventBody } from './schema';

export const EMPTY_CLEANING: Cleaning = {
  places: [],
  treatments: [],
  slipTests: [],
  feelTests: [],
  shrinks: [],
  crumbs: [],
  jam: null,
};

const upsert = <T extends { readonly id: string }>(list: readonly T[], item: T): readonly T[] =>
  list.some(({ id }) => id === item.id) ? list.map((old) => (old.id === item.id ? item : old)) : [...list, item];

/** What one event makes of what Clean keeps; a sentence where it speaks of something that is not there. */
export function applyCleaning(cleaning: Cleaning, event: CleanEventBody): Result<Cleaning> {
  switch (event.type) {
    case 'placePut': {
      const { place } = event;
      const other = cleaning.places.find(({ id, number }) => id !== place.id && number === place.number && number > 0);
      if (other) return refuse(`Number ${place.number} is the ${other.name} already.`);
      return ok({ ...cleaning, places: upsert(cleaning.places, place) });
    }
    case 'placeRemoved':
      if (!cleaning.places.some(({ id }) => id === event.placeId)) return refuse('There is no such place on the map.');
      return ok({ ...cleaning, places: cleaning.places.filter(({ id }) => id !== event.placeId) });
    case 'treated': {
      const { treatment } = event;
      if (treatment.placeId !== null && !cleaning.places.some(({ id }) => id === treatment.placeId))
        return refuse('It was done at a place that is not on the map.');
      return ok({ ...cleaning, treatments: upsert(cleaning.treatments, treatment) });
    }
    case 'treatmentRemoved':
      return ok({ ...cleaning, treatments: cleaning.treatments.filter(({ id }) => id !== event.treatmentId) });
    case 'slipTested':
      return ok({ ...cleaning, slipTests: upsert(cleaning.slipTests, event.test) });
    case 'feelTested':
      return ok({ ...cleaning, feelTests: upsert(cleaning.feelTests, event.test) });
    case 'shrinkPut':
      return ok({ ...cleaning, shrinks: upsert(cleaning.shrinks, event.shrink) });
    case 'crumbsPut':
      return ok({
        ...cleaning,
        crumbs: [...cleaning.crumbs.filter(({ driveId }) => driveId !== event.crumbs.driveId), event.crumbs],
      });
    case 'jamPut':
      return ok({ ...cleaning, jam: event.jam });
  }
}
