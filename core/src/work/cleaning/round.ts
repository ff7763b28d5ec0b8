import type { Cleaning, PlaceKind } from './schema';
import { isCure } from './words';

/** Places whose cleaning changes no pull. */
const NO_PULL: ReadonlySet<PlaceKind> = new Set(['lens', 'head', 'switch', 'pot', 'key', 'contact', 'floor']);

/**
 * How often the machine was treated in a way that may change its pull: readings of a pull are of one such state.
 *
 * @example pullRound({ places: [], treatments: [] }) // 0
 */
export const pullRound = ({ places, treatments }: Pick<Cleaning, 'places' | 'treatments'>): number =>
  treatments.filter((one) => {
    const place = places.find(({ id }) => id === one.placeId);
    return place !== undefined && isCure(one) && !NO_PULL.has(place.kind);
  }).length;
