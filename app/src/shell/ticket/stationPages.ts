import { STATIONS, type StationId } from '@loose-pulley/core/record/stations';
import type { Page } from '../../parts/ui/page';
import { pageOf } from '../pages';
import { STATION_PLACES } from '../places';

/** The page of a station. */
export const stationPage = (station: StationId): Page => pageOf(STATION_PLACES[station].source);

export const isStation = (name: string | undefined): name is StationId =>
  (STATIONS as readonly (string | undefined)[]).includes(name);
