import { page, type Page } from '../../parts/ui/page';
import { STATIONS, type StationId } from '@loose-pulley/core/record/stations';

const FindPage = page(async () => (await import('../../stations/find/FindPage')).FindPage);
const MeasurePage = page(async () => (await import('../../stations/measure/MeasurePage')).MeasurePage);
const SizePage = page(async () => (await import('../../stations/size/SizePage')).SizePage);
const TakeInPage = page(async () => (await import('../../stations/takeIn/TakeInPage')).TakeInPage);
const HandBackPage = page(async () => (await import('../../stations/handBack/HandBackPage')).HandBackPage);
const ProvePage = page(async () => (await import('../../stations/prove/ProvePage')).ProvePage);
const StripPage = page(async () => (await import('../../stations/strip/StripPage')).StripPage);
const RebuildPage = page(async () => (await import('../../stations/rebuild/RebuildPage')).RebuildPage);
const CleanPage = page(async () => (await import('../../stations/clean/CleanPage')).CleanPage);

/** The stations, each in a file of its own. */
export const STATION_PAGES: Readonly<Record<StationId, Page>> = {
  takeIn: TakeInPage,
  find: FindPage,
  strip: StripPage,
  measure: MeasurePage,
  size: SizePage,
  clean: CleanPage,
  rebuild: RebuildPage,
  prove: ProvePage,
  handBack: HandBackPage,
};

export const isStation = (name: string | undefined): name is StationId =>
  (STATIONS as readonly (string | undefined)[]).includes(name);
