import { loaderOf, type Loader } from '@loose-pulley/core/base/loaders';
import type { StationId } from '@loose-pulley/core/record/stations';
import { CLEANED, MEASURED_BY, type Cleaned, type Doing, type Hand } from '../hidden';

/** How a machine stands, as far as its hands depend on it. */
export interface Stands {
  readonly powered: boolean;
  readonly lidOn: boolean;
}

const hand = (doing: Doing, what = ''): Hand => ({ do: doing, what });

/** Places that a kind of loader has. */
const cleanedOn = (loader: Loader): readonly Cleaned[] => {
  const { has } = loaderOf(loader);
  return CLEANED.filter((place) => (place === 'rollers' ? has.rollers : place === 'guides' ? has.tray : true));
};

/** The plug and the lid, which are at hand wherever one is. */
export const alwaysAtHand = ({ powered, lidOn }: Stands): readonly Hand[] => [
  hand('power', powered ? 'off' : 'on'),
  lidOn ? hand('open', 'lidOff') : hand('close'),
  hand('eject'),
];

/**
 * The hands that belong to a station, beside those that are always there. Tests, causes and belts are chosen from lists.
 *
 * For instance handsAt('clean', 'tray').length: 9
 */
export function handsAt(station: StationId, loader: Loader): readonly Hand[] {
  switch (station) {
    case 'takeIn':
    case 'find':
      return loaderOf(loader).has.tray ? [hand('force')] : [];
    case 'strip':
      return [hand('open', 'deep')];
    case 'clean':
      return [...cleanedOn(loader).flatMap((place) => [hand('swab', place), hand('clean', place)]), hand('wait')];
    case 'measure':
      return MEASURED_BY.map((method) => hand('measure', method));
    case 'size':
    case 'rebuild':
      return [];
    case 'prove':
      return [hand('cycles')];
    case 'handBack':
      return [hand('handBack')];
  }
}

/** What is chosen from a list at a station: which test, what to put right, which belt. */
export const chosenAt = (station: StationId): readonly ('test' | 'cure' | 'fit')[] => {
  if (station === 'find' || station === 'takeIn') return ['test'];
  if (station === 'size') return ['fit'];
  return station === 'rebuild' || station === 'clean' || station === 'strip' ? ['cure', 'fit'] : [];
};
