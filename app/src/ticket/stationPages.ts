import { page, type Page } from '../app/page';
import { STATIONS, type StationId } from '@loose-pulley/core/stations';

const FindPage = page(async () => (await import('../find/FindPage')).FindPage);
const MeasurePage = page(async () => (await import('../measure/MeasurePage')).MeasurePage);
const SizePage = page(async () => (await import('../size/SizePage')).SizePage);
const TakeInPage = page(async () => (await import('../takein/TakeInPage')).TakeInPage);
const HandBackPage = page(async () => (await import('../handback/HandBackPage')).HandBackPage);
const ProvePage = page(async () => (await import('../prove/ProvePage')).ProvePage);
const StripPage = page(async () => (await import('../strip/StripPage')).StripPage);
const RebuildPage = page(async () => (await import('../rebuild/RebuildPage')).RebuildPage);
const NotePage = page(async () => (await import('./NotePage')).NotePage);

/** The stations, each in a file of its own. Clean is not built yet and takes a note. */
export const STATION_PAGES: Readonly<Record<StationId, Page>> = {
  takeIn: TakeInPage,
  find: FindPage,
  strip: StripPage,
  measure: MeasurePage,
  size: SizePage,
  clean: NotePage,
  rebuild: RebuildPage,
  prove: ProvePage,
  handBack: HandBackPage,
};

export const isStation = (name: string | undefined): name is StationId =>
  (STATIONS as readonly (string | undefined)[]).includes(name);
