import { ofLoaders, type Loader } from '../../base/loaders';
import type { PlaceKind } from './schema';

/** What a kind of loader has beside its drives, in the order from the motor to the disc. Common practice, no source. */
export const STARTING_MAP: Readonly<Record<Loader, ReadonlyArray<readonly [kind: PlaceKind, name?: string]>>> =
  ofLoaders('map');
